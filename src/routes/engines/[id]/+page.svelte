<script lang="ts">
  import { enhance } from '$app/forms';
  import { paperKinds } from '$core/engine';
  import { forbids } from '$core/log';
  import { printMarks, printText } from '$core/units';
  import BoilerSection from '$lib/draw/BoilerSection.svelte';
  import Figures from '$lib/sheet/Figures.svelte';
  import Steams from '$lib/engine/Steams.svelte';
  import TitleBlock from '$lib/sheet/TitleBlock.svelte';
  import { unitChoice } from '$lib/sheet/unit-choice';
  import { clock, day, daysLeft, dueSoon, moment, span, until } from '$lib/sheet/when';
  import { addDays, format, setHours, startOfDay } from 'date-fns';
  import { untrack } from 'svelte';
  import { Button, Modal, Select, SelectItem, TextArea, TextInput } from 'carbon-components-svelte';

  let { data, form } = $props();
  /** Eleven tomorrow: when most engines are first wanted. */
  const nextMorning = (now: number) => setHours(startOfDay(addDays(now, 1)), 11);
  const f = $derived(data.engine.fitOut);
  const units = $derived(unitChoice());
  const can = (right: (typeof data.rights)[number]) => data.rights.includes(right);
  const newest = $derived(
    [...data.papers]
      .sort((a, b) => b.expires.localeCompare(a.expires))
      .filter((p, i, all) => all.findIndex((q) => q.kind === p.kind) === i)
      .sort((a, b) => a.expires.localeCompare(b.expires))
  );
  const nextPaper = $derived(newest[0]);
  const openFaults = $derived(data.faults.filter((x) => !x.fixedAt));
  const barred = $derived(data.stops.length > 0);
  let open = $state({ start: false, plan: false, paper: false, fault: false });
  let wanted = $state(untrack(() => format(nextMorning(data.now), "yyyy-MM-dd'T'HH:mm")));
  $effect(() => {
    if (form?.at === 'start') open.start = true;
    if (form?.at === 'plan') open.plan = true;
    if (form && 'done' in form) open = { start: false, plan: false, paper: false, fault: false };
  });
  const standing = $derived(
    data.running ? 'In steam' : data.last ? `Cold, stored ${f.storage === 'full' ? 'full and treated' : 'dry and open'}` : 'Not steamed yet'
  );
</script>

<svelte:head><title>{f.name} · Joram</title></svelte:head>
<div class="sheet">
  <TitleBlock
    cells={[
      { label: 'Engine', value: f.name, wide: true },
      { label: 'Class', value: `${f.description} · ${f.scale} · ${f.shell.material}`, desk: true },
      { label: 'WP', value: printText(f.workingPressure, 'pressure', units) },
      { label: 'State', value: barred && !data.running ? 'May not be steamed' : standing, abnormal: barred && !data.running, desk: true },
      nextPaper
        ? {
            label: 'Next paper',
            value: `${nextPaper.kind} · ${day(nextPaper.expires)}`,
            abnormal: daysLeft(nextPaper.expires, data.now) < 0,
            desk: true
          }
        : { label: 'Next paper', value: 'none recorded', abnormal: true, desk: true }
    ]}
  >
    {#snippet action()}
      {#if data.running}<a class="plain go" href="/footplate/{data.running.id}">Footplate</a>
      {:else if can('start steaming')}<button class="plain go" onclick={() => (open.start = true)}>Start steaming</button>{/if}
    {/snippet}
  </TitleBlock>

  <div class="box drawing">
    <section class="pad section">
      <div class="row between">
        <h2 class="label">Boiler, in section, to scale. Levels at the glass</h2>
        <p class="row">
          {#if can('edit engines')}<a href="/engines/{data.engine.id}/edit">Change the fit-out</a>{/if}
          <a href="/engines/{data.engine.id}/fit-out.json">Export it</a>
        </p>
      </div>
      <BoilerSection fitOut={f} />
    </section>
    <section class="pad figures">
      <div class="row between">
        <h2 class="label">Figure</h2>
        <span class="label">Value</span>
      </div>
      <Figures figures={data.figures} />
      <p class="second small">
        Touch a figure for its working. These come from the fit-out; they are arithmetic, not a judgement of the boiler.
      </p>
    </section>
  </div>

  <div class="three">
    <section class="box pad">
      <div class="row between">
        <h2 class="label">Faults</h2>
        {#if can('log')}<button class="quiet" onclick={() => (open.fault = true)}>Raise a fault</button>{/if}
      </div>
      <table class="ruled">
        <tbody>
          {#each openFaults.slice(0, 5) as fault (fault.id)}
            <tr class:act={fault.forbids === 'steaming'} class:caution={fault.forbids === 'passengers'}
              ><td>{fault.text}</td><td class="num wrap">{forbids[fault.forbids]}</td></tr
            >
          {:else}<tr><td class="second">No open faults.</td></tr>{/each}
        </tbody>
      </table>
      <p class="small"><a href="/faults?engine={data.engine.id}">All faults, {data.faults.length - openFaults.length} fixed</a></p>
    </section>

    <section class="box pad">
      <h2 class="label">Carried over from last time</h2>
      <table class="ruled">
        <tbody>
          {#each data.carried.slice(0, 5) as c (c.what + c.how)}
            <tr
              ><td
                >{printMarks(c.what, units)}{#if c.reason}<br /><span class="second">{c.reason}</span>{/if}</td
              ><td class="num wrap">{c.how}</td></tr
            >
          {:else}<tr
              ><td class="second">{data.last ? 'Nothing was left undone.' : 'Nothing yet: the first steaming is still to come.'}</td></tr
            >{/each}
        </tbody>
      </table>
      {#if data.carried.length > 5}<p class="second small">and {data.carried.length - 5} more</p>{/if}
    </section>

    <section class="box pad">
      <div class="row between">
        <h2 class="label">Papers</h2>
        {#if can('keep papers')}<button class="quiet" onclick={() => (open.paper = true)}>Add a paper</button>{/if}
      </div>
      <table class="ruled">
        <tbody>
          {#each newest as paper (paper.id)}
            {@const left = daysLeft(paper.expires, data.now)}
            <tr class:act={left < 0} class:caution={left >= 0 && left <= dueSoon}>
              <td
                >{paper.kind}{#if paper.number}<span class="second number">{paper.number}</span>{/if}</td
              >
              <td class="num">{day(paper.expires)}<br /><span class="when">{until(paper.expires, data.now)}</span></td>
              {#if can('keep papers')}<td class="drop"
                  ><form method="POST" action="?/dropPaper" use:enhance>
                    <button class="quiet" name="paper" value={paper.id} aria-label="Remove {paper.kind} {paper.number}">remove</button>
                  </form></td
                >{/if}
            </tr>
          {:else}<tr><td class="act">No papers are recorded: without them it is not steamed.</td></tr>{/each}
        </tbody>
      </table>
    </section>
  </div>

  <section class="box pad history">
    <div class="row between">
      <h2 class="label">Plan</h2>
      {#if can('start steaming')}<button class="quiet" onclick={() => (open.plan = true)}>Plan a steaming</button>{/if}
    </div>
    {#if data.planned}
      <p>
        <a href="/day/{data.planned.id}">{data.planned.purpose || 'In steam'}, {moment(data.planned.wantedAt)}</a
        >{#if data.planned.planned}: light at {clock(data.planned.planned.light)}{/if}
      </p>
    {:else}<p class="second">Nothing is planned. A day sheet says when to light, what to fill to and what to bring.</p>{/if}
  </section>

  {#key data.engine.id}<Steams
      engineId={data.engine.id}
      fitOut={f}
      told={data.past.told}
      learning={data.past.learning}
      may={can('edit engines')}
    />{/key}

  <section class="box pad history">
    <div class="row between">
      <h2 class="label">Last steamings</h2>
      <a class="small" href="/logbook?engine={data.engine.id}">All in the Logbook</a>
    </div>
    <div class="scroll">
      <table class="ruled last">
        <thead
          ><tr
            ><th>Day</th><th>For</th><th class="r">In steam</th><th class="r">Raise</th><th class="r">Highest</th><th class="r">Faults</th
            ></tr
          ></thead
        >
        <tbody>
          {#each data.steamings.filter((s) => s.endedAt) as s (s.id)}
            <tr>
              <td><a href="/records/{s.id}">{moment(s.startedAt)}</a></td>
              <td>{s.purpose || '–'}</td>
              <td class="num">{s.summary?.inSteam ? span(s.summary.inSteam) : '–'}</td>
              <td class="num">{s.summary?.raise ? span(s.summary.raise) : '–'}</td>
              <td class="num">{s.summary?.highest ? printText(s.summary.highest, 'pressure', units) : '–'}</td>
              <td class="num">{s.summary?.faults ?? 0}</td>
            </tr>
          {:else}<tr><td colspan="6" class="second">Not steamed yet. Start one, and its record stands here.</td></tr>{/each}
        </tbody>
      </table>
    </div>
  </section>
</div>

<Modal bind:open={open.start} passiveModal modalHeading="Start steaming {f.name}">
  <form method="POST" action="?/start" class="stack" use:enhance>
    {#if barred}
      <div class="strip act">
        <strong>It may not be steamed as it stands:</strong>
        <ul>
          {#each data.stops as stop (stop)}<li>{stop}</li>{/each}
        </ul>
      </div>
    {/if}
    {#if data.passengers.length}<p class="strip">▲ Not with passengers: {data.passengers.join('; ')}.</p>{/if}
    {#if !barred || can('override')}
      <TextInput labelText="What for" name="purpose" maxlength={120} placeholder="Public running, members’ day, steam test" />
      {#if barred}
        <TextArea labelText="Why is it steamed all the same? This stays in the record." name="reason" rows={3} maxlength={1000} required />
        <p class="second">
          An override is yours to answer for. It changes no certificate, and the club’s boiler code and the examiner come before it.
        </p>
      {/if}
      {#if form?.at === 'start' && form.problem}<p class="problem" role="alert">{form.problem}</p>{/if}
      <Button type="submit" kind={barred ? 'danger' : 'primary'}>{barred ? 'Start it all the same' : 'Start'}</Button>
    {:else}
      <p>A steward or an owner may override this with a written reason. Fix the fault or renew the paper, or ask one of them.</p>
    {/if}
  </form>
</Modal>

<Modal bind:open={open.plan} passiveModal modalHeading="Plan a steaming of {f.name}">
  <form
    method="POST"
    action="?/plan"
    class="stack"
    use:enhance={({ formData }) => {
      // The clock on this device says which moment is meant.
      const local = new Date(String(formData.get('wanted')));
      if (!Number.isNaN(local.getTime())) formData.set('at', local.toISOString());
    }}
  >
    <TextInput labelText="Wanted in steam" name="wanted" type="datetime-local" bind:value={wanted} required />
    <TextInput labelText="What it is wanted for" name="purpose" maxlength={60} placeholder="First train, demonstration, steam test" />
    <p class="second">Who comes, the water and the weather are set on the sheet.</p>
    {#if form?.at === 'plan' && 'problem' in form}<p class="problem" role="alert">{form.problem}</p>{/if}
    <Button type="submit">Make the day sheet</Button>
  </form>
</Modal>

<Modal bind:open={open.paper} passiveModal modalHeading="Add a paper">
  <form method="POST" action="?/paper" class="stack" use:enhance>
    <Select labelText="Kind" name="kind"
      >{#each paperKinds as kind (kind)}<SelectItem value={kind} text={kind} />{/each}</Select
    >
    <TextInput labelText="Number" name="number" maxlength={60} />
    <TextInput labelText="Issued" name="issued" type="date" required />
    <TextInput labelText="Runs out" name="expires" type="date" required />
    {#if form?.at === 'paper' && 'problem' in form}<p class="problem" role="alert">{form.problem}</p>{/if}
    <Button type="submit">Add it</Button>
  </form>
</Modal>

<Modal bind:open={open.fault} passiveModal modalHeading="Raise a fault">
  <form method="POST" action="?/fault" class="stack" use:enhance>
    <TextArea labelText="What is wrong, and where" name="text" rows={3} maxlength={2000} required />
    <Select labelText="Until it is fixed" name="forbids" selected="nothing"
      >{#each Object.entries(forbids).reverse() as [key, word] (key)}<SelectItem value={key} text={word} />{/each}</Select
    >
    {#if form?.at === 'fault' && 'problem' in form}<p class="problem" role="alert">{form.problem}</p>{/if}
    <Button type="submit">Raise it</Button>
  </form>
</Modal>

<style>
  .drawing {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 380px;
    margin-top: 12px;
  }
  .section {
    padding-bottom: 8px;
  }
  .figures {
    border-left: 1px solid var(--rule);
  }
  .small {
    font-size: 0.9375rem;
    margin-top: 8px;
  }
  .section .row p,
  .section .row {
    font-size: 0.9375rem;
  }
  .three {
    display: grid;
    grid-template-columns: repeat(3, minmax(0, 1fr));
    gap: 12px;
    margin-top: 12px;
  }
  .wrap {
    white-space: normal;
  }
  .when {
    font-size: 0.875rem;
    font-weight: 500;
  }
  .number {
    margin-left: 6px;
  }
  .drop {
    width: 1px;
    font-size: 0.875rem;
  }
  .history {
    margin-top: 12px;
  }
  .r {
    text-align: right;
  }
  .scroll {
    overflow-x: auto;
  }
  @media (max-width: 900px) {
    .drawing,
    .three {
      grid-template-columns: minmax(0, 1fr);
    }
    .figures {
      border-left: 0;
      border-top: 1px solid var(--rule);
    }
  }
</style>
