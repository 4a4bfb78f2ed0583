<script lang="ts">
  import { printMarks } from '$core/units';
  import CallOff from '$lib/day/CallOff.svelte';
  import { DaySheet } from '$lib/day/day-sheet.svelte';
  import DayHead from '$lib/day/DayHead.svelte';
  import DayLine from '$lib/day/DayLine.svelte';
  import FillTo from '$lib/day/FillTo.svelte';
  import Pack from '$lib/day/Pack.svelte';
  import Steps from '$lib/day/Steps.svelte';
  import { ticking } from '$lib/sheet/clock.svelte';
  import { inParts } from '$lib/sheet/in-parts.svelte';
  import { unitChoice } from '$lib/sheet/unit-choice';
  import { clock, moment } from '$lib/sheet/when';
  import { untrack } from 'svelte';

  let { data } = $props();
  const of = untrack(() => new DaySheet(data));
  const time = ticking(
    untrack(() => data.now),
    20_000
  );
  const units = $derived(unitChoice());
  const sheet = $derived(of.whole.sheet);
  const started = $derived(data.startedAt !== null);
  const may = $derived(data.rights.includes('start steaming') && !started && !data.cancelled);
  let chosen = $state<string>();
  const form = inParts();
</script>

<svelte:head><title>{data.engine}, day sheet · Joram</title></svelte:head>
<div class="sheet">
  <DayHead
    id={data.id}
    engine={{ id: data.engineId, name: data.engine }}
    purpose={data.purpose}
    {of}
    now={time.now}
    {started}
    cancelled={data.cancelled}
    {may}
    problems={data.problems}
  />
  <div class="above"><DayLine id={data.id} {of} others={data.others.length} now={time.now} {may} bind:chosen /></div>

  <div class="columns">
    <div class="main">
      {#if may}<section class="box pad no-print asked" id="asked" {@attach form.place}>
          {#if form.whole}{#await import('$lib/day/PlanForm.svelte') then { default: PlanForm }}<PlanForm
                plan={of.plan}
                names={data.names}
                timed={of.whole.runs !== undefined}
                problem={of.problem}
                onchange={(part) => of.change(part)}
              />{:catch}<p class="problem" role="alert">The form could not be loaded. Load the page again.</p>{/await}{/if}
        </section>{/if}
      <section class="box pad steps" id="steps">
        <h2 class="label">
          Steps, at their times{sheet.stopBy === undefined ? '' : `; last fire by ${clock(sheet.stopBy)} to be over in time`}{sheet.noRoom
            .length
            ? `; no room in the waits for: ${sheet.noRoom.map((w) => printMarks(w, units)).join('; ')}`
            : ''}
        </h2>
        <Steps {sheet} plan={of.stands} bind:chosen onminutes={may ? (key, m) => of.minutes(key, m) : undefined} />
      </section>
      {#if may}<div class="off"><CallOff id={data.id} /></div>{/if}
    </div>
    <aside id="pack">
      <Pack whole={of.whole} carried={data.carried} packed={of.plan.packed} onpack={may ? (what) => of.pack(what) : undefined}>
        <FillTo whole={of.whole} />
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
  .small {
    font-size: 0.9375rem;
    margin-top: 4px;
  }
  .asked {
    min-height: 340px;
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
  /* On a phone what to do comes first, then what to bring, then what is asked. */
  @container page (max-width: 56.25rem) {
    .columns {
      grid-template-columns: minmax(0, 1fr);
    }
    .sheet {
      padding: 8px;
    }
    .main {
      display: contents;
    }
    .asked {
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
