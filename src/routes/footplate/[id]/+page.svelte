<script lang="ts">
  import { goto } from '$app/navigation';
  import type { Bodies, Kind } from '$core/log';
  import { glassReading, isDue, standing, tickRefused, unskipped } from '$core/log';
  import type { ThingKey } from '$core/procedure';
  import { type Glass, printMarks, printText } from '$core/units';
  import { due, warnings } from '$core/watch';
  import Trend from '$lib/draw/Trend.svelte';
  import { actNow, once, stayAwake } from '$lib/foot/alarm';
  import Ahead from '$lib/foot/Ahead.svelte';
  import Drills from '$lib/foot/Drills.svelte';
  import { Forecast } from '$lib/foot/forecast.svelte';
  import LogList from '$lib/foot/LogList.svelte';
  import NextSteps from '$lib/foot/NextSteps.svelte';
  import NowStep from '$lib/foot/NowStep.svelte';
  import OpenThings from '$lib/foot/OpenThings.svelte';
  import QuickActions from '$lib/foot/QuickActions.svelte';
  import QuickLine from '$lib/foot/QuickLine.svelte';
  import Readings from '$lib/foot/Readings.svelte';
  import { Steaming } from '$lib/foot/steaming.svelte';
  import { ticking } from '$lib/sheet/clock.svelte';
  import TitleBlock from '$lib/sheet/TitleBlock.svelte';
  import { unitChoice } from '$lib/sheet/unit-choice';
  import { age, bandWords, clock, span } from '$lib/sheet/when';
  import { onMount, untrack } from 'svelte';

  let { data } = $props();
  // One page, one steaming: another id is another page.
  const steaming = untrack(
    () =>
      new Steaming({
        id: data.id,
        context: data.context,
        member: { id: data.member!.id, name: data.member!.name },
        entries: data.entries,
        last: data.last
      })
  );
  const time = ticking(
    untrack(() => data.now),
    1000
  );
  const forecast = untrack(() => new Forecast({ id: data.id, known: data.known, plan: data.plan }));
  const fitOut = untrack(() => data.context.fitOut);
  const procedure = untrack(() => data.context.procedure);

  const units = $derived(unitChoice());
  const text = (t: string) => printMarks(t, units);
  const log = $derived(steaming.log);
  const folded = $derived(steaming.log.state);
  const plan = $derived(due(procedure, folded, time.now));
  const alarms = $derived(warnings(fitOut, folded, time.now));

  let chosenKey = $state<string>();
  const chosen = $derived.by(() => {
    const step = procedure.steps.find((s) => s.key === chosenKey);
    // One that was skipped may be done after all.
    return step && folded.steps[step.key]?.outcome !== 'done'
      ? { step, standing: standing(step, unskipped(folded, step.key), procedure, time.now) }
      : undefined;
  });
  // When every step waits, the nearest one is shown with what it waits for.
  const placed = $derived(chosen ?? plan.now ?? plan.next[0]);
  const next = $derived(plan.next.filter((p) => p.step.key !== placed?.step.key));
  const finished = $derived(procedure.steps.every((s) => folded.steps[s.key]));

  let action = $state<string>();
  let quick: QuickActions | undefined = $state();
  let drill = $state(false);
  // The dialogs come when the page is at rest, so that they are there without a network, or at once when one is asked for.
  let Dialogs = $state.raw<typeof import('$lib/foot/Dialogs.svelte').default>();
  const load = () => void import('$lib/foot/Dialogs.svelte').then((m) => (Dialogs = m.default));
  $effect(() => {
    if (Object.values(open).some(Boolean)) load();
  });
  let open = $state({ keys: false, steps: false, hand: false, sign: false, throw: false });

  const record = <K extends Kind>(kind: K, body: Bodies[K]) => void steaming.record(kind, body);
  const initials = untrack(() =>
    data
      .member!.name.split(/\s+/)
      .map((w) => w[0])
      .join('')
      .slice(0, 4)
  );

  /** Why the last tick was not made: said until something else is. */
  let refusal = $state<string>();
  /** Button, key and quick line all come through here, and the server asks the same. */
  function tick(body: Bodies['tick']) {
    refusal = tickRefused(body, folded, procedure, Date.now());
    if (refusal) return;
    record('tick', body);
    chosenKey = undefined;
  }
  const done = () =>
    placed && tick({ step: placed.step.key, outcome: 'done', ...(placed.step.evidence === 'initials' ? { initials } : {}) });
  const skip = (reason: string) => placed && tick({ step: placed.step.key, outcome: 'skipped', reason });
  $effect(() => {
    void log;
    refusal = undefined;
  });
  /** A reading by pointing. A pressure just logged is the one that the glass was taken at. */
  const pickGlass = (glass: Glass, which: number) =>
    record('reading', { ...glassReading(glass, folded), ...(which ? { glassNumber: 2 as const } : {}) });
  const pickPressure = (pressure: number) => record('reading', { pressure });

  /** What stood open is shut: by its valve where it has one. */
  const close = (thing: ThingKey) =>
    thing === 'drains' || thing === 'vent' || thing === 'fan'
      ? record('valve', { valve: thing, open: 0 })
      : record('thing', { thing, open: false });

  function noWater() {
    steaming.recordAll([
      { kind: 'reading', body: glassReading('not seen', folded) },
      {
        kind: 'fault',
        body: { text: 'Low water: no water seen in the glass. Boiler and plug to be examined before the next fire.', forbids: 'steaming' }
      }
    ]);
  }

  const marks = $derived(
    [
      ...new Map(
        plan.next
          .concat(placed ?? [])
          .flatMap((p) =>
            folded.steps[p.step.key] ? [] : p.step.gates.flatMap((g) => (g.kind === 'pressure' ? [[g.atLeast, p.step.key] as const] : []))
          )
      ).entries()
    ]
      .filter(([, key]) =>
        ['changeover', 'changeover-air', 'changeover-none', 'air-out', 'leaks-30', 'blow-through', 'prove-injectors'].includes(key)
      )
      .map(([value, key]) => ({
        value,
        word:
          {
            changeover: 'blower',
            'changeover-air': 'blower',
            'changeover-none': 'blower',
            'air-out': 'air out',
            'leaks-30': 'leaks',
            'blow-through': 'blow through',
            'prove-injectors': 'injectors'
          }[key] ?? ''
      }))
  );
  const cells = $derived([
    { label: 'Engine', value: fitOut.name, wide: true },
    { label: 'Class', value: `${fitOut.description} · ${fitOut.scale}`, desk: true },
    { label: 'WP', value: printText(fitOut.workingPressure, 'pressure', units), desk: true },
    {
      label: 'Phase',
      value: folded.phase,
      more: folded.fire.litAt
        ? folded.fire.outAt
          ? `fire out ${clock(folded.fire.outAt)}`
          : `${span((time.now - Date.parse(folded.fire.litAt)) / 1000)} since lit`
        : `begun ${clock(folded.began ?? data.now)}`
    },
    ...(forecast.footing?.live.steam ? [{ label: 'At pressure', value: bandWords(forecast.footing.live.steam, false) }] : []),
    { label: 'Keeper', value: folded.keeper, desk: true }
  ]);

  function key(event: KeyboardEvent) {
    const target = event.target as HTMLElement;
    if (event.ctrlKey || event.metaKey || event.altKey || target.closest('input, textarea, select, dialog, .bx--modal.is-visible')) return;
    const focus = (selector: string) => document.querySelector<HTMLElement>(selector)?.focus();
    const does: Record<string, () => void> = {
      d: done,
      '/': () => focus('#quick-line'),
      w: () => focus('.readings .glass'),
      p: () => focus('.readings .scale'),
      u: () => steaming.undo(),
      t: () => (open.steps = true),
      l: () => (drill = true),
      '?': () => (open.keys = true)
    };
    const act = does[event.key.toLowerCase()];
    if (act) act();
    else if (event.key === 'Escape') action = undefined;
    else if (!quick?.press(event.key.toLowerCase())) return;
    event.preventDefault();
  }

  onMount(() => {
    const close = steaming.open();
    const sleep = stayAwake();
    const rest = setTimeout(load, 4000);
    return () => {
      close();
      sleep();
      clearTimeout(rest);
    };
  });
  // Asked again with every entry, and every half minute as what was read grows old.
  const halfMinute = $derived(Math.floor(time.now / 30_000));
  let live = $state(false);
  onMount(() => (live = true));
  $effect(() => {
    void halfMinute;
    if (live) forecast.look(log);
  });
  // An alarm sounds until it is acted on: a newer entry from here, or the drill opened.
  const loud = $derived(alarms.find((a) => a.rank === 'act now')?.key);
  $effect(() => (loud && !drill ? actNow() : undefined));
  let heard = new Set<string>();
  $effect(() => {
    const now = new Set(alarms.filter((a) => a.rank === 'look').map((a) => a.key));
    if ([...now].some((k) => !heard.has(k))) once();
    heard = now;
  });
  $effect(() => {
    if (folded.endedAt && steaming.waiting === 0 && steaming.reachable) void goto(`/records/${data.id}`);
  });
</script>

<svelte:head><title>{fitOut.name}, {folded.phase} · Joram</title></svelte:head>
<svelte:window onkeydown={key} />

<div class="page">
  <div class="top">
    <TitleBlock {cells}>
      {#snippet action()}<button class="low-water" onclick={() => (drill = true)}>LOW WATER</button>{/snippet}
    </TitleBlock>
    {#each alarms.slice(0, 2) as alarm (alarm.key)}
      <p class="strip alarm" class:act={alarm.rank === 'act now'} role="alert">
        <strong>{alarm.rank === 'act now' ? '■ Act now. ' : '▲ '}{text(alarm.what)}.</strong>
        <span>{text(alarm.first)}</span>
        <span class="since">read {age(alarm.since, time.now)}</span>
      </p>
    {/each}
  </div>

  <div class="grid">
    <section class="box pad do" aria-label="Now and next">
      <p class="label">{chosen ? 'Chosen step' : 'Now'}</p>
      {#if finished || (!placed && folded.phase === 'Put away')}
        <article class="end">
          <h2 class="heading">Everything is done or accounted for</h2>
          <p>Sign, and the record is closed.</p>
          <button class="plain go" onclick={() => (open.sign = true)}>Sign and close</button>
        </article>
      {:else if placed}
        <NowStep
          {placed}
          {refusal}
          chosen={chosen !== undefined}
          ondone={done}
          onskip={skip}
          onlift={() => (action = 'v')}
          at={forecast.at}
          onback={() => (chosenKey = undefined)}
        />
      {/if}
      {#if plan.missed.length}
        <button class="quiet missed" onclick={() => (open.steps = true)}
          >{plan.missed.length} earlier {plan.missed.length === 1 ? 'step' : 'steps'} not done</button
        >
      {/if}
      <NextSteps {next} at={forecast.at} phase={folded.phase} onchoose={(k) => (chosenKey = k)} onall={() => (open.steps = true)} />
      <OpenThings open={folded.open} onclose={close} />
    </section>

    <section class="box pad read" aria-label="Readings">
      <Readings
        {fitOut}
        state={folded}
        now={time.now}
        {marks}
        cold={folded.fire.litAt ? null : data.cold}
        onglass={pickGlass}
        onpressure={pickPressure}
      />
    </section>
    <section class="box pad chart" aria-label="Trend">
      <p class="label">Pressure, {units.pressure}{fitOut.glasses.length ? '; glass below' : ''}</p>
      <div class="trend"><Trend {log} now={time.now} footing={forecast.footing} /></div>
      {#if forecast.footing}<Ahead footing={forecast.footing} now={time.now} />{/if}
    </section>

    <section class="box pad log" aria-label="Log">
      <div class="line">
        <QuickLine
          {fitOut}
          state={folded}
          due={placed && isDue(placed.standing) ? text(placed.step.what) : undefined}
          onlog={(entries) => steaming.recordAll(entries)}
          ondone={done}
        />
      </div>
      <div class="thumb">
        {#if steaming.undoable}
          <p class="undo" role="status"><span>Logged.</span><button class="plain" onclick={() => steaming.undo()}>Undo</button></p>
        {/if}
        <QuickActions bind:this={quick} {fitOut} state={folded} {record} bind:chosen={action} />
      </div>
      <div class="entries"><LogList {log} me={data.member!.name} onstrike={(id) => steaming.strike(id)} /></div>
    </section>
  </div>

  <footer>
    <a href="/">Yard</a>
    <a href="/engines/{data.engineId}">{fitOut.name}</a>
    <span class="keeper"
      >Keeper <strong>{folded.keeper}</strong> <button class="quiet" onclick={() => (open.hand = true)}>hand over</button></span
    >
    <span role="status" class:caution={!steaming.reachable}>
      {#if !steaming.reachable}▲ No connection. {steaming.waiting} kept on this device{:else if steaming.waiting}{steaming.waiting} on the way{:else}All
        delivered{steaming.deliveredAt ? ` ${clock(steaming.deliveredAt)}` : ''}{/if}
    </span>
    {#each steaming.refused as r (r.id)}<span class="act">Refused: {r.refused}</span>{/each}
    <span class="right">
      {#if !folded.fire.litAt && data.mayThrowAway}<button class="quiet" onclick={() => (open.throw = true)}>Throw this start away</button
        >{/if}
      {#if folded.fire.outAt || !folded.fire.litAt}<button class="quiet" onclick={() => (open.sign = true)}>Sign and close</button>{/if}
      <button class="quiet" onclick={() => (open.keys = true)}>? keys</button>
    </span>
  </footer>
</div>

{#if drill}<Drills hasGlass={fitOut.glasses.length > 0} onclose={() => (drill = false)} onnowater={noWater} />{/if}
{#if Dialogs}
  <Dialogs
    bind:open
    id={data.id}
    {log}
    now={time.now}
    people={data.people}
    next={placed ? text(placed.step.what) : 'Look at the glass'}
    me={data.member!.name}
    maySign={data.rights.includes('sign as keeper')}
    {record}
    onchoose={(k) => (chosenKey = k)}
  />
{/if}

<style>
  .page {
    max-width: 1600px;
    margin: 0 auto;
    padding: 10px 16px 8px;
    display: flex;
    flex-direction: column;
    gap: 10px;
    height: 100dvh;
    min-height: 660px;
  }
  .top {
    display: grid;
    gap: 8px;
  }
  .low-water {
    background: var(--act-solid);
    color: var(--on-act);
    cursor: pointer;
    letter-spacing: 0.04em;
  }
  .alarm {
    display: flex;
    gap: 4px 12px;
    flex-wrap: wrap;
    font-size: 1.125rem;
    align-items: baseline;
  }
  .since {
    margin-left: auto;
    font-size: 0.9375rem;
  }
  .grid {
    flex: 1;
    display: grid;
    grid-template-columns: 312px max-content minmax(220px, 1fr) 308px;
    grid-template-rows: minmax(0, 1fr);
    min-height: 0;
  }
  .grid > section {
    min-height: 0;
    border-left-width: 0;
    overflow: auto;
  }
  .grid > section:first-child {
    border-left-width: 1px;
  }
  .grid > .read {
    border-right: 0;
  }
  .do {
    display: flex;
    flex-direction: column;
    gap: 10px;
  }
  .do > .label {
    margin-bottom: -4px;
  }
  .end {
    display: grid;
    gap: 8px;
  }
  .end .plain {
    min-height: 56px;
  }
  .missed {
    width: fit-content;
  }
  .read {
    display: flex;
    flex-direction: column;
  }
  .chart {
    display: flex;
    flex-direction: column;
    border-left: 1px solid var(--rule) !important;
  }
  .trend {
    flex: 1;
    min-height: 0;
  }
  .log {
    display: flex;
    flex-direction: column;
    gap: 8px;
  }
  .entries {
    flex: 1;
    min-height: 120px;
    overflow: auto;
    border-bottom: 1px solid var(--rule);
  }
  .thumb {
    display: grid;
    gap: 8px;
  }
  .undo {
    display: flex;
    justify-content: space-between;
    align-items: center;
    border: 1px dashed var(--ink);
    padding: 2px 2px 2px 10px;
  }
  footer {
    display: flex;
    gap: 4px 20px;
    flex-wrap: wrap;
    font-size: 0.9375rem;
    color: var(--ink2);
  }
  footer strong {
    color: var(--ink);
  }
  .right {
    margin-left: auto;
    display: flex;
    gap: 20px;
  }
  footer :global(.quiet),
  footer a {
    padding: 0;
  }

  @container page (max-width: 62.5rem) {
    .page {
      padding: 0 8px 8px;
      height: auto;
    }
    .top {
      position: sticky;
      top: 0;
      z-index: 5;
      background: var(--paper);
      padding-top: 6px;
    }
    .grid {
      height: auto;
      grid-template-columns: minmax(0, 1fr);
      grid-template-rows: none;
      gap: 8px;
    }
    .grid > section {
      border: 1px solid var(--ink) !important;
      overflow: visible;
      padding: 8px 10px 10px;
    }
    .read {
      order: 1;
    }
    .do {
      order: 2;
    }
    .log {
      order: 3;
    }
    .chart {
      order: 4;
    }
    .trend {
      height: 300px;
      flex: none;
    }
    /* Under the thumb, whatever the page is scrolled to; what is chosen opens upward. */
    .thumb {
      position: fixed;
      inset: auto 0 0 0;
      z-index: 6;
      max-height: 70dvh;
      overflow-y: auto;
      padding: 8px;
      background: var(--paper);
      border-top: 2px solid var(--ink);
    }
    .page {
      padding-bottom: 88px;
    }
    .entries {
      max-height: 420px;
    }
  }
</style>
