<script lang="ts">
  // A finished steaming as a document: on screen exactly as it prints, A4 portrait.
  import { againstOf, fold, forbids, recordFigures, say } from '$core/log';
  import { phases } from '$core/procedure';
  import { printMarks, printText, zoneWords } from '$core/units';
  import Trend from '$lib/draw/Trend.svelte';
  import Figures from '$lib/sheet/Figures.svelte';
  import { unitChoice } from '$lib/sheet/unit-choice';
  import { clock, day } from '$lib/sheet/when';

  let { data } = $props();
  const units = $derived(unitChoice());
  const log = $derived(fold(data.context, data.entries));
  const f = $derived(data.context.fitOut);
  const s = $derived(data.summary);
  const text = (t: string) => printMarks(t, units);
  const pressure = (p: number | null) => (p === null ? '–' : printText(p, 'pressure', units));
  const steps = $derived(data.context.procedure.steps);
  const lines = $derived(log.entries.filter((e) => e.kind !== 'strike'));
  const lifts = $derived(log.state.lifts);

  const facts = $derived([
    ['Began', clock(data.startedAt)],
    ['Lit', log.state.fire.litAt ? clock(log.state.fire.litAt) : '–'],
    ['Ended', log.state.endedAt ? clock(log.state.endedAt) : '–'],
    ['Times', zoneWords(data.startedAt, data.zone)],
    ['Rounds of fuel', s.rounds ? `${s.rounds}${s.fuel ? `, ${printText(s.fuel, 'mass', units)} of it weighed` : ''}` : '–'],
    ['Readings', String(s.readings)],
    [
      'Steps done, skipped, not done',
      `${Object.values(log.state.steps).filter((t) => t.outcome === 'done').length}, ${s.skipped}, ${s.missed}`
    ],
    ['Faults', String(s.faults)]
  ]);
</script>

<svelte:head><title>{f.name}, {day(data.startedAt)} · Joram</title></svelte:head>
<div class="bar no-print">
  <a href="/logbook">Logbook</a>
  <a href="/engines/{data.engineId}">{f.name}</a>
  <span class="right">
    <a class="plain" href="/records/{data.id}/log.csv" download>CSV</a>
    <a class="plain" href="/records/{data.id}/record.json" download>JSON</a>
    <button class="plain go" onclick={() => print()}>Print</button>
  </span>
</div>

<article class="a4">
  <header>
    <div class="wide">
      <span class="label">Engine</span>
      <h1>{f.name}</h1>
    </div>
    <div>
      <span class="label">Class</span>
      <p>{f.description} · {f.scale}</p>
    </div>
    <div>
      <span class="label">WP</span>
      <p>{printText(f.workingPressure, 'pressure', units)}</p>
    </div>
    <div>
      <span class="label">Day</span>
      <p>{day(data.startedAt)}</p>
    </div>
    <div>
      <span class="label">Keeper</span>
      <p>{data.keeper}</p>
    </div>
    <div class="wide">
      <span class="label">Club</span>
      <p>{data.club}</p>
    </div>
    <div class="wide">
      <span class="label">For</span>
      <p>{data.purpose || '–'}</p>
    </div>
    <div>
      <span class="label">Procedure</span>
      <p>{data.context.procedure.library}, {steps.length} steps</p>
    </div>
  </header>

  {#if log.state.override}
    <p class="override">
      <strong>Steamed under an override</strong> by {log.state.override.by}: {log.state.override.reason}. What stood against it: {log.state.override.of.join(
        '; '
      )}.
    </p>
  {/if}
  {#if data.imported}<p class="second small">Brought in from {data.imported.club} on {day(data.imported.at)}.</p>{/if}

  <section class="chart">
    <h2 class="label">Pressure, {units.pressure}{f.glasses.length ? '; glass; events' : '; events'}</h2>
    <div class="trend"><Trend {log} now={data.now} /></div>
  </section>

  <section class="worked"><Figures figures={recordFigures(log)} /></section>
  <section class="facts">
    {#each facts as [name, value] (name)}<p><span>{name}</span><span class="figure">{value}</span></p>{/each}
  </section>

  <div class="cols">
    <section>
      <h2 class="label">Safety valves, lifted and reseated</h2>
      {#each lifts as lift, i (i)}<p class="line">
          <span class="figure">{clock(lift.at)}</span> valve {lift.valve}
          {lift.lifted !== undefined ? `lifted at ${pressure(lift.lifted)}` : ''}{lift.reseated !== undefined
            ? `reseated at ${pressure(lift.reseated)}`
            : ''}
        </p>{:else}<p class="second">None was logged.</p>{/each}
    </section>
    <section>
      <h2 class="label">Faults</h2>
      {#each log.state.faults as fault (fault.id)}<p class="line">
          <span class="figure">{clock(fault.at)}</span>
          {fault.text} <span class="second">({forbids[fault.forbids]})</span>
        </p>{:else}<p class="second">None was raised.</p>{/each}
    </section>
    <section>
      <h2 class="label">Carried over to next time</h2>
      {#each data.carried as c (c.what + c.how)}<p class="line">
          {text(c.what)} <span class="second">({c.how}{c.reason ? `: ${c.reason}` : ''})</span>
        </p>{:else}<p class="second">Nothing.</p>{/each}
    </section>
    <section>
      <h2 class="label">Signed</h2>
      {#each log.state.signatures as sign (sign.at)}<p class="line">
          <span class="figure">{sign.name}</span>, {sign.as}, {clock(sign.at)}{sign.remarks ? `. ${sign.remarks}` : ''}
        </p>{:else}<p class="second">Not signed.</p>{/each}
    </section>
  </div>
  <p class="second small plainly">
    This record says what was done, read and seen. It does not say that the boiler is safe: that is for the boiler examiner and the club’s
    boiler code.
  </p>

  <section class="steps">
    <h2 class="label">Procedure as it was run</h2>
    {#each phases as phase (phase)}
      {@const here = steps.filter((x) => x.phase === phase)}
      {#if here.length}
        <div class="phase">
          <h3>{phase}</h3>
          {#each here as step (step.key)}
            {@const done = log.state.steps[step.key]}
            <p class="line">
              <span class="figure">{done ? clock(done.at) : '–'}</span><span
                >{text(step.what)}{#if !done}<span class="second aside">(not done)</span>{:else if done.outcome === 'skipped'}<span
                    class="second aside">(skipped: {done.reason})</span
                  >{/if}{#if done?.initials}<span class="second aside">{done.initials}</span>{/if}</span
              >
            </p>
          {/each}
        </div>
      {/if}
    {/each}
  </section>

  <section class="log">
    <h2 class="label">Log, {lines.length} entries</h2>
    <div class="entries">
      {#each lines as entry (entry.id)}
        <p class="line" class:gone={log.struck.has(entry.id)}>
          <span class="figure">{clock(entry.at)}</span><span
            >{text(say(entry, units, data.context.procedure))}{#if entry.by !== data.keeper}<span class="second">, {entry.by}</span
              >{/if}{#if againstOf(entry, log.state)}. ▲ {text(againstOf(entry, log.state)!)}{/if}</span
          >
        </p>
      {/each}
    </div>
  </section>
</article>

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
  header {
    display: flex;
    flex-wrap: wrap;
    border: 2px solid var(--ink);
  }
  header > div {
    flex: 1 1 auto;
    padding: 4px 10px;
    border-right: 1px solid var(--ink);
    border-top: 1px solid var(--ink);
    margin: -1px -1px 0 0;
  }
  header .wide {
    flex-grow: 4;
  }
  header h1,
  header p {
    font: 600 1.0625rem/1.2 var(--narrow);
  }
  header h1 {
    text-transform: uppercase;
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
  .facts {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 0 24px;
    border-top: 2px solid var(--ink);
    margin-top: 8px;
  }
  .facts p {
    display: flex;
    justify-content: space-between;
    gap: 8px;
    border-bottom: 1px solid var(--rule);
    padding: 3px 0;
  }
  .cols {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 12px 24px;
    margin-top: 12px;
  }
  .cols h2,
  .steps h2,
  .log h2 {
    border-bottom: 1px solid var(--ink);
    padding-bottom: 2px;
    margin-bottom: 4px;
  }
  .line {
    display: grid;
    grid-template-columns: auto minmax(0, 1fr);
    gap: 8px;
  }
  .cols .line {
    display: block;
  }
  .aside {
    margin-left: 0.35em;
  }
  .plainly {
    border-top: 1px solid var(--rule);
    padding-top: 6px;
    margin-top: 10px;
  }
  .steps,
  .log {
    margin-top: 16px;
  }
  .steps {
    columns: 2;
    column-gap: 24px;
    font-size: 0.8125rem;
  }
  .steps h2,
  .log h2 {
    column-span: all;
  }
  .phase {
    margin-bottom: 8px;
  }
  h3 {
    font: 600 0.9375rem/1.2 var(--narrow);
    break-after: avoid;
  }
  .entries {
    columns: 3;
    column-gap: 20px;
    font-size: 0.75rem;
  }
  .line {
    break-inside: avoid;
  }
  .gone {
    text-decoration: line-through;
    color: var(--ink2);
  }
  @container page (max-width: 43.75rem) {
    .a4 {
      padding: 12px;
    }
    .facts,
    .cols {
      grid-template-columns: 1fr;
    }
    .steps {
      columns: 1;
    }
    .entries {
      columns: 1;
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
