<script lang="ts">
  import { goto } from '$app/navigation';
  import { printMarks, printText } from '$core/units';
  import Countdown from '$lib/day/Countdown.svelte';
  import { DaySheet } from '$lib/day/day-sheet.svelte';
  import FillTo from '$lib/day/FillTo.svelte';
  import Pack from '$lib/day/Pack.svelte';
  import PlanForm from '$lib/day/PlanForm.svelte';
  import Steps from '$lib/day/Steps.svelte';
  import { ticking } from '$lib/sheet/clock.svelte';
  import TitleBlock from '$lib/sheet/TitleBlock.svelte';
  import { unitChoice } from '$lib/sheet/unit-choice';
  import { bandWords, clock, day, isoDay, moment, withTimes } from '$lib/sheet/when';
  import { untrack } from 'svelte';

  let { data } = $props();
  const made = untrack(() => data);
  const sheetOf = new DaySheet(made);
  const time = ticking(made.now, 20_000);
  const units = $derived(unitChoice());
  const plan = $derived(sheetOf.plan);
  const whole = $derived(sheetOf.whole);
  const sheet = $derived(whole.sheet);
  const started = $derived(data.startedAt !== null);
  const may = $derived(data.rights.includes('start steaming') && !started && !data.cancelled);
  const minute = 60_000;
  const steam = $derived(sheet.steam);
  const toLight = $derived(Math.round((sheet.light - time.now) / minute));
  const away = (m: number) =>
    m < 0 ? `${-m} min ago` : m < 100 ? `in ${m} min` : m < 48 * 60 ? `in ${Math.floor(m / 60)} h ${m % 60} min` : day(sheet.light);
  let chosen = $state<string>();
  let starting = $state<string>();
  let sure = $state(false);
  /** A sheet of another day is started only when that is said. */
  let early = $state(false);

  const today = $derived(isoDay(plan.wants[0]!.at) === isoDay(time.now));
  async function start() {
    starting = undefined;
    if (!today && !early) return void (early = true);
    await sheetOf.save();
    const response = await fetch(`/api/engines/${data.engineId}/steamings`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ purpose: data.purpose, plan: data.id })
    });
    const answer = await response.json();
    if (response.ok) await goto(`/footplate/${answer.id}`);
    else starting = `${answer.sentence}${answer.stops?.length ? ` ${answer.stops.join('; ')}.` : ''}`;
  }
  async function callOff() {
    const response = await fetch(`/api/plans/${data.id}`, { method: 'DELETE' });
    if (response.ok) await goto('/');
  }
  const cells = $derived([
    { label: 'Engine', value: data.engine, wide: true },
    { label: 'Day', value: day(plan.wants[0]!.at), more: data.purpose, desk: true },
    { label: 'Light', value: clock(sheet.light), more: started ? '' : away(toLight), abnormal: toLight < 0 && !started && toLight > -720 },
    { label: 'Steam', value: bandWords(steam, false) },
    {
      label: 'Ready',
      value: clock(sheet.ready),
      more: sheet.late ? `${Math.round(sheet.late / minute)} min late` : `for ${plan.wants[0]!.what}`,
      abnormal: sheet.late > 0
    }
  ]);
  const others = $derived(data.others.length);
</script>

<svelte:head><title>{data.engine}, day sheet · Joram</title></svelte:head>
<div class="sheet">
  <TitleBlock {cells}>
    {#snippet action()}
      {#if started}<a class="plain go" href="/footplate/{data.id}">Footplate</a>
      {:else if may}<button class="plain go" onclick={start}>Start steaming</button>{/if}
    {/snippet}
  </TitleBlock>
  {#each data.problems as p (p.field + p.sentence)}<p class="strip caution above">
      ▲ This sheet was stored before it had to fit: {p.sentence} What is usual stands in its place; change it below, and it is written anew.
    </p>{/each}
  {#if data.cancelled}<p class="strip above">This plan was called off. It is kept to look at.</p>{/if}
  {#if early}<p class="strip caution above" role="alert">
      ▲ This sheet is for {day(plan.wants[0]!.at)}, not for today. <button class="quiet" onclick={start}>Start it now all the same</button>
      <button class="quiet" onclick={() => (early = false)}>Do not</button>
    </p>{/if}
  {#if starting}<p class="strip act above" role="alert">
      {starting} <a href="/engines/{data.engineId}">Look at the engine’s page.</a>
    </p>{/if}

  <section class="box pad above line">
    <div class="row between">
      <p class="said">
        Begin at <strong>{clock(sheet.begin)}</strong>, light at <strong>{clock(sheet.light)}</strong>
        (steam {bandWords(steam, true)}).
      </p>
      <p class="row small no-print">
        {#if may}<span class="second" aria-live="polite"
            >{{ saved: 'saved', 'to save': 'saving…', saving: 'saving…', 'not saved': '▲ not saved yet' }[sheetOf.saving]}</span
          >{/if}
        <a href="/day/{data.id}/sheet.ics">Calendar</a><a href="/day/{data.id}/sheet.csv">CSV</a><a href="/day/{data.id}/sheet.pdf">PDF</a>
        <button class="quiet" onclick={() => window.print()}>Print</button>
        {#if others}<a href="/day?on={isoDay(plan.wants[0]!.at)}"
            >{others === 1 ? 'One other engine' : `${others} other engines`} that day</a
          >{/if}
      </p>
    </div>
    {#each sheet.problems as problem (problem)}<p class="strip act">■ {withTimes(problem)}</p>{/each}
    {#if sheet.cuts.length}
      <div class="strip">
        <strong>What would bring it forward:</strong>
        {sheet.cuts.map((c) => `${printMarks(c.what, units)} (${Math.round(c.gains / minute)} min)`).join('; ')}.
      </div>
    {/if}
    <div class="countdown">
      <Countdown
        {sheet}
        plan={sheetOf.stands}
        other={sheetOf.other?.whole?.sheet}
        now={time.now}
        bind:chosen
        onwant={may ? (i, at) => sheetOf.want(i, at) : undefined}
        onminutes={may ? (key, m) => sheetOf.minutes(key, m) : undefined}
      />
    </div>
    {#if sheetOf.other}
      {@const o = sheetOf.other}
      <div class="compare no-print">
        <label class="row"
          >The other start, <input
            class="field"
            type="number"
            step="5"
            min="-600"
            max="600"
            value={o.minutes}
            onchange={(e) => sheetOf.compare(Number(e.currentTarget.value) || 0)}
          /> minutes from this one</label
        >
        {#if o.whole}
          <table class="ruled">
            <thead><tr><th></th><th class="r">Begin</th><th class="r">Light</th><th class="r">Steam</th><th class="r">Ready</th></tr></thead
            >
            <tbody>
              <tr
                ><td>This one</td><td class="num">{clock(sheet.begin)}</td><td class="num">{clock(sheet.light)}</td><td class="num"
                  >{bandWords(steam, false)}</td
                ><td class="num">{clock(sheet.ready)}</td></tr
              >
              <tr
                ><td>The other</td><td class="num">{clock(o.whole.sheet.begin)}</td><td class="num">{clock(o.whole.sheet.light)}</td><td
                  class="num">{bandWords(o.whole.sheet.steam, false)}</td
                ><td class="num">{clock(o.whole.sheet.ready)}</td></tr
              >
            </tbody>
          </table>
        {/if}
        <p class="row">
          {#if may}<button
              class="quiet"
              onclick={() => (sheetOf.want(0, Date.parse(plan.wants[0]!.at) + o.minutes * minute), sheetOf.compare(undefined))}
              >Take the other</button
            >{/if}
          <button class="quiet" onclick={() => sheetOf.compare(undefined)}>Put it away</button>
        </p>
      </div>
    {:else}<p class="small no-print compares">
        <button class="quiet" onclick={() => sheetOf.compare(-30)}>Compare with another start</button>
      </p>{/if}
    <p class="row jump no-print">
      <a href="#steps">Steps</a><a href="#pack">What to bring</a>{#if may}<a href="#asked">What is asked</a>{/if}
    </p>
    <p class="second small">
      {whole.heating.raisings
        ? `The raise rests on ${whole.heating.from}`
        : 'The raise rests on the class of the engine: its own past will narrow it'}, water at {printText(
        plan.water,
        'temperature',
        units
      )}. An estimate: no forecast replaces looking at the glass and the gauge.
    </p>
  </section>

  <div class="columns">
    <div class="main">
      {#if may}<section class="box pad no-print asked" id="asked">
          <PlanForm {plan} names={data.names} problem={sheetOf.problem} onchange={(part) => sheetOf.change(part)} />
        </section>{/if}
      <section class="box pad steps" id="steps">
        <h2 class="label">
          Steps, at their times{sheet.stopBy === undefined ? '' : `; last fire by ${clock(sheet.stopBy)} to be over in time`}{sheet.noRoom
            .length
            ? `; no room in the waits for: ${sheet.noRoom.map((w) => printMarks(w, units)).join('; ')}`
            : ''}
        </h2>
        <Steps {sheet} plan={sheetOf.stands} bind:chosen onminutes={may ? (key, m) => sheetOf.minutes(key, m) : undefined} />
      </section>
      {#if may}<p class="small no-print off">
          {#if sure}Call this plan off? <button class="quiet" onclick={callOff}>Yes, call it off</button>
            <button class="quiet" onclick={() => (sure = false)}>No</button>
          {:else}<button class="quiet" onclick={() => (sure = true)}>Call this plan off</button>{/if}
        </p>{/if}
    </div>
    <aside id="pack">
      <Pack {whole} carried={data.carried} packed={plan.packed} onpack={may ? (what) => sheetOf.pack(what) : undefined}>
        <FillTo {whole} />
      </Pack>
    </aside>
  </div>
  <p class="second small">
    {moment(data.now)}. The club’s boiler code and the boiler examiner come before anything on this sheet.
  </p>
</div>

<style>
  .above,
  .main > * + * {
    margin-top: 12px;
  }
  .said {
    font-size: 1.125rem;
  }
  .small {
    font-size: 0.9375rem;
    margin-top: 4px;
  }
  .strip {
    margin-top: 8px;
  }
  .countdown {
    margin-top: 8px;
  }
  .jump {
    display: none;
  }
  /* What is far down is laid out when it is looked at: the sheet is long. */
  .steps,
  aside {
    content-visibility: auto;
    contain-intrinsic-size: auto 1400px;
  }
  .columns {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 380px;
    gap: 12px;
    margin-top: 12px;
    align-items: start;
  }
  .compare {
    border-top: 1px solid var(--rule);
    padding: 8px 0;
    max-width: 44rem;
  }
  .compare .field {
    width: 5rem;
    min-height: 36px;
  }
  .r {
    text-align: right;
  }
  @container page (max-width: 56.25rem) {
    .columns {
      grid-template-columns: minmax(0, 1fr);
    }
    .sheet {
      padding: 8px;
    }
    /* A line of minutes has no room here: the table says the same. What is asked comes last, what to do first. */
    .countdown,
    .compares {
      display: none;
    }
    .jump {
      display: flex;
      margin-top: 8px;
    }
    .jump a {
      padding: 8px 0;
    }
    .main {
      display: contents;
    }
    .main > :global(.asked) {
      order: 3;
    }
    aside {
      order: 2;
    }
    .off {
      order: 4;
    }
  }
  @media print {
    .columns {
      grid-template-columns: minmax(0, 1.6fr) minmax(0, 1fr);
      font-size: 0.8125rem;
    }
    .main {
      display: block;
    }
  }
</style>
