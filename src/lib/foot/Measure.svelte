<script lang="ts">
  // What hands alone cannot measure: turns by tapping with the exhaust, and times by a watch that is bound to what is tried.
  import { rateOfTaps, steamUsed } from '$core/sums';
  import { plantFor } from '$core/boiler';
  import { Modal, Select, SelectItem } from 'carbon-components-svelte';
  import Figures from '../sheet/Figures.svelte';
  import { unitChoice } from '../sheet/unit-choice';
  import type { Footplate } from './footplate.svelte';
  import { timingsOf } from './timings';

  let { foot, onclose }: { foot: Footplate; onclose: () => void } = $props();
  const units = $derived(unitChoice());
  const { fitOut } = $derived(foot);

  const perTurn = $derived(fitOut.cylinders.count * (fitOut.cylinders.doubleActing ? 2 : 1));
  let crank = $state(false);
  const each = $derived(crank ? 1 : perTurn);
  /** s, by the device’s own steady clock. */
  let taps = $state.raw<readonly number[]>([]);
  const found = $derived(rateOfTaps(taps));
  const turns = $derived(found && found.rate / each);
  const steam = $derived.by(() => {
    if (!turns) return undefined;
    const chest = 0.8 * (foot.state.pressure?.value ?? fitOut.workingPressure);
    if (!(chest > 1e4)) return undefined;
    const engine = { fitOut, plant: plantFor(fitOut) };
    const worked = steamUsed.work({ ...steamUsed.usual(engine), chest, turns }, engine);
    return { key: steamUsed.key, name: steamUsed.name, worked };
  });
  /** A finger that rests begins anew. */
  const rests = 3;
  const tap = () => {
    const now = performance.now() / 1000;
    taps = taps.length && now - taps.at(-1)! > rests ? [now] : [...taps, now];
  };
  function logBeats() {
    if (!found || !turns) return;
    const said = { turns: Math.round(turns * 1e4) / 1e4, spread: Math.round((found.spread / each) * 1e4) / 1e4, beats: found.beats, each };
    foot.record('beats', said);
    taps = [];
  }

  const timings = $derived(timingsOf(fitOut, units));
  let chosen = $state(0);
  const timing = $derived(timings[chosen] ?? timings[0]!);
  /** ms by the steady clock. */
  let started = $state<number>();
  let stopped = $state<number>();
  let shown = $state(0);
  $effect(() => {
    if (started === undefined || stopped !== undefined) return;
    const timer = setInterval(() => (shown = performance.now()), 100);
    return () => clearInterval(timer);
  });
  const seconds = $derived(started === undefined ? 0 : Math.max(0, ((stopped ?? shown) - started) / 1000));
  const press = () => {
    if (started === undefined || stopped !== undefined) {
      stopped = undefined;
      started = shown = performance.now();
    } else stopped = performance.now();
  };
  /** What it took earlier today. */
  const before = $derived(
    foot.log.entries.flatMap((e) => (e.kind === 'timed' && e.body.what === timing.what && !foot.log.struck.has(e.id) ? [e.body.time] : []))
  );
  const inSeconds = (s: number) => `${s.toFixed(1)} s`;
  function logTime() {
    if (started === undefined || stopped === undefined) return;
    const { pressure } = foot.state;
    const time = Math.max(0.1, Math.round(seconds * 10) / 10);
    foot.record('timed', { what: timing.what, time, ...(pressure ? { pressure: pressure.value } : {}) });
    started = stopped = undefined;
  }
</script>

<Modal open on:close={onclose} passiveModal modalHeading="Measure" size="sm" hasScrollingContent>
  <section>
    <h3>Beats</h3>
    <p>Tap with the {crank ? 'crank, once a turn' : 'exhaust'}: twelve are enough.</p>
    <div class="row">
      <button class="plain" aria-pressed={!crank} onclick={() => ((crank = false), (taps = []))}>Exhaust, {perTurn} to a turn</button>
      <button class="plain" aria-pressed={crank} onclick={() => ((crank = true), (taps = []))}>Crank, one to a turn</button>
    </div>
    <button class="plain tap" onpointerdown={tap} onkeydown={(e) => (e.key === ' ' || e.key === 'Enter') && !e.repeat && tap()}>
      {#if turns}<strong>{Math.round(turns * 60)}</strong> turns a minute{:else}Tap here{/if}
      <span
        >{taps.length} tap{taps.length === 1 ? '' : 's'}{found
          ? `, give or take ${Math.max(1, Math.round((2 * 60 * found.spread) / each))}`
          : ''}</span
      >
    </button>
    {#if steam}<Figures figures={[steam]} />{/if}
    <div class="row">
      <button class="plain go" disabled={!found} onclick={logBeats}>Log it</button>
      <button class="plain" disabled={!taps.length} onclick={() => (taps = [])}>Again</button>
    </div>
  </section>
  <section>
    <h3>Stopwatch</h3>
    <Select labelText="What is timed" bind:selected={chosen} on:change={() => (started = stopped = undefined)}>
      {#each timings as t, i (t.what)}<SelectItem value={i} text={t.what} />{/each}
    </Select>
    <button class="plain tap" onclick={press} aria-live="off">
      <strong>{inSeconds(seconds)}</strong>
      <span>{started === undefined || stopped !== undefined ? `Start when: ${timing.from}` : `Stop when: ${timing.to}`}</span>
    </button>
    {#if before.length}<p class="second">Today before: {before.slice(-3).map(inSeconds).join(', ')}.</p>{/if}
    <div class="row">
      <button class="plain go" disabled={stopped === undefined} onclick={logTime}>Log the time</button>
    </div>
  </section>
</Modal>

<style>
  section {
    display: grid;
    gap: 8px;
    border-bottom: 1px solid var(--rule);
    padding-bottom: 14px;
    margin-bottom: 10px;
  }
  h3 {
    font: 600 1.125rem/1.3 var(--narrow);
  }
  .row .plain[aria-pressed='true'] {
    background: var(--ink);
    color: var(--paper);
  }
  .row {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
  }
  .tap {
    display: grid;
    justify-items: center;
    align-content: center;
    min-height: 132px;
    width: 100%;
    touch-action: manipulation;
    user-select: none;
    font-size: 1.125rem;
  }
  .tap strong {
    font: 600 3rem/1.1 var(--narrow);
  }
  .tap span {
    font-size: 0.9375rem;
    color: var(--ink2);
  }
</style>
