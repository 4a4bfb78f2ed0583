<script lang="ts">
  // The day as a line: when to begin and to light, what is the matter with it, the countdown, and what it rests on.
  import { printMarks, printText } from '$core/units';
  import { inParts } from '../sheet/in-parts.svelte';
  import { unitChoice } from '../sheet/unit-choice';
  import { bandWords, clock, isoDay, withTimes } from '../sheet/when';
  import Compare from './Compare.svelte';
  import type { DaySheet } from './day-sheet.svelte';

  let {
    id,
    of,
    others,
    now,
    may,
    chosen = $bindable()
  }: {
    id: string;
    of: DaySheet;
    /** Other engines wanted that day. */ others: number;
    now: number;
    /** Whether it may be changed. */ may: boolean;
    /** Key of the step that is pointed at. */ chosen: string | undefined;
  } = $props();
  const units = $derived(unitChoice());
  const sheet = $derived(of.whole.sheet);
  const heating = $derived(of.whole.heating);
  // A line of minutes has no room on a phone, where its place is not shown and it is never made.
  const line = inParts();
  const saving = { saved: 'saved', 'to save': 'saving…', saving: 'saving…', 'not saved': '▲ not saved yet' } as const;
</script>

<section class="box pad line">
  <div class="row between">
    <p class="said">
      Begin at <strong>{clock(sheet.begin)}</strong>, light at <strong>{clock(sheet.light)}</strong>
      (steam {bandWords(sheet.steam, true)}).
    </p>
    <p class="row small no-print">
      {#if may}<span class="second" aria-live="polite">{saving[of.saving]}</span>{/if}
      <a href="/day/{id}/sheet.ics">Calendar</a><a href="/day/{id}/sheet.csv">CSV</a><a href="/day/{id}/sheet.pdf">PDF</a>
      <button class="quiet" onclick={() => window.print()}>Print</button>
      {#if others}<a href="/day?on={isoDay(of.plan.wants[0]!.at)}"
          >{others === 1 ? 'One other engine' : `${others} other engines`} that day</a
        >{/if}
    </p>
  </div>
  {#each sheet.problems as problem (problem)}<p class="strip act">■ {printMarks(withTimes(problem), unitChoice())}</p>{/each}
  {#if sheet.cuts.length}
    <div class="strip">
      <strong>What would bring it forward:</strong>
      {sheet.cuts.map((c) => `${printMarks(c.what, units)} (${Math.round(c.gains / 60_000)} min)`).join('; ')}.
    </div>
  {/if}
  <div class="countdown" style:min-height="{168 + 30 * of.stands.people.length}px" {@attach line.place}>
    {#if line.whole}{#await import('./Countdown.svelte') then { default: Countdown }}<Countdown
          {sheet}
          plan={of.stands}
          other={of.other?.whole?.sheet}
          runs={of.whole.runs?.runs}
          {now}
          bind:chosen
          onwant={may ? (i, at) => of.want(i, at) : undefined}
          onminutes={may ? (key, m) => of.minutes(key, m) : undefined}
        />{:catch}<p class="problem" role="alert">The line could not be loaded. The table below says the same.</p>{/await}{/if}
  </div>
  <Compare {of} {may} />
  <p class="row jump no-print">
    <a href="#steps">Steps</a><a href="#pack">What to bring</a>{#if may}<a href="#asked">What is asked</a>{/if}
  </p>
  <p class="second small">
    {heating.raisings ? `The raise rests on ${heating.from}` : 'The raise rests on the class of the engine: its own past will narrow it'},
    water at {printText(of.plan.water, 'temperature', units)}. An estimate: no forecast replaces looking at the glass and the gauge.
  </p>
</section>

<style>
  .said {
    font-size: 1.125rem;
  }
  .small {
    font-size: 0.9375rem;
    margin-top: 4px;
  }
  .strip,
  .countdown {
    margin-top: 8px;
  }
  .jump {
    display: none;
  }
  /* A line of minutes has no room here: the table says the same. */
  @container page (max-width: 56.25rem) {
    .countdown {
      display: none;
    }
    .jump {
      display: flex;
      margin-top: 8px;
    }
    .jump a {
      padding: 8px 0;
    }
  }
</style>
