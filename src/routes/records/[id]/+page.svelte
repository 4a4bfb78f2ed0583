<script lang="ts">
  // A finished steaming as a document: on screen exactly as it prints, A4 portrait.
  import { closing, fold, recordFigures } from '$core/log';
  import type { Figure } from '$core/units';
  import Senses from '$lib/record/Senses.svelte';
  import Trend from '$lib/draw/Trend.svelte';
  import Afterwards from '$lib/record/Afterwards.svelte';
  import AsRun from '$lib/record/AsRun.svelte';
  import { isTimed } from '$core/sums';
  import Facts from '$lib/record/Facts.svelte';
  import Runs from '$lib/sheet/Runs.svelte';
  import Found from '$lib/record/Found.svelte';
  import Head from '$lib/record/Head.svelte';
  import WholeLog from '$lib/record/WholeLog.svelte';
  import Figures from '$lib/sheet/Figures.svelte';
  import { unitChoice } from '$lib/sheet/unit-choice';
  import { day } from '$lib/sheet/when';

  let { data } = $props();
  const units = $derived(unitChoice());
  const log = $derived(fold(data.context, data.entries));
  const f = $derived(data.context.fitOut);
  const end = $derived(closing(log));
  // How the forecast of the water did: its code comes after the record is there to be read.
  let replayed = $state.raw<Figure>();
  $effect(() => {
    const [of, fitOut] = [log, f];
    Promise.all([import('$core/forecast/replay'), import('$core/boiler')]).then(
      ([{ waterReplayed }, { plantOf }]) => (replayed = waterReplayed(of, plantOf(fitOut))),
      () => {}
    );
  });
  const afterwards = ['add late notes', 'sign as examiner', 'strike a signature'] as const;
</script>

<svelte:head><title>{f.name}, {day(data.startedAt)} · Joram</title></svelte:head>
<div class="bar no-print">
  <a href="/logbook">Logbook</a>
  <a href="/engines/{data.engineId}">{f.name}</a>
  <a href="/records/{data.id}/replay">Once more, minute by minute</a>
  <span class="right">
    <a class="plain" href="/records/{data.id}/log.csv" download>CSV</a>
    <a class="plain" href="/records/{data.id}/record.json" download>JSON</a>
    <button class="plain go" onclick={() => print()}>Print</button>
  </span>
</div>

<article class="a4">
  <Head context={data.context} startedAt={data.startedAt} keeper={data.keeper} club={data.club} purpose={data.purpose} />

  {#if log.state.override}
    <p class="override">
      <strong>Steamed under an override</strong> by {log.state.override.by}: {log.state.override.reason}. What stood against it: {log.state.override.of.join(
        '; '
      )}.
    </p>
  {/if}
  {#if data.imported}<p class="second small">Brought in from {data.imported.club} on {day(data.imported.at)}.</p>{/if}

  {#if f.gauge || f.glasses.length}<section class="chart">
      <h2 class="label">Pressure, {units.pressure}{f.glasses.length ? '; glass; events' : '; events'}</h2>
      <div class="trend"><Trend {log} now={data.now} /></div>
    </section>{:else}<Senses {log} />{/if}

  <section class="worked"><Figures figures={[...recordFigures(log), ...(replayed ? [replayed] : [])]} /></section>
  <Facts {log} summary={data.summary} startedAt={data.startedAt} zone={data.zone} />
  {#if log.state.runs.length && isTimed(log.context.fitOut)}<Runs {log} name="Runs: water, fuel and time" />{/if}

  <Found {log} carried={data.carried} />
  <p class="second small plainly">
    This record says what was done, read and seen. It does not say that the boiler is safe: that is for the boiler examiner and the club’s
    boiler code.
  </p>

  <AsRun {log} />
  <WholeLog {log} keeper={data.keeper} />
</article>
{#if end && data.member && afterwards.some((right) => data.rights.includes(right))}<Afterwards
    on={{ steaming: data.id, engine: f.name, member: { id: data.member!.id, name: data.member!.name } }}
    {end}
    rights={data.rights}
    examined={log.state.signatures.some((s) => s.as === 'examiner')}
  />{/if}

<style>
  .bar {
    max-width: 210mm;
    margin: 12px auto 0;
    padding: 0 8px;
    display: flex;
    flex-wrap: wrap;
    gap: 8px 20px;
    align-items: center;
  }
  .right {
    margin-left: auto;
    display: flex;
    gap: 8px;
  }
  .a4 {
    max-width: 210mm;
    min-height: 297mm;
    margin: 12px auto 24px;
    padding: 12mm;
    background: var(--raised);
    border: 1px solid var(--ink);
    font-size: 0.875rem;
    line-height: 1.35;
  }
  .override {
    border: 2px solid var(--act);
    color: var(--act);
    padding: 6px 10px;
    margin-top: 8px;
  }
  .small {
    font-size: 0.8125rem;
    margin-top: 6px;
  }
  .chart {
    margin-top: 10px;
    break-inside: avoid;
  }
  .trend {
    height: 270px;
  }
  .worked {
    border-top: 1px solid var(--ink);
    margin-top: 8px;
    font-size: 1rem;
  }
  .plainly {
    border-top: 1px solid var(--rule);
    padding-top: 6px;
    margin-top: 10px;
  }
  @container page (max-width: 43.75rem) {
    .a4 {
      padding: 12px;
    }
  }
  @media print {
    .a4 {
      border: 0;
      margin: 0;
      padding: 0;
      max-width: none;
    }
  }
</style>
