<script lang="ts">
  // Times by a watch that is bound to what is tried, and what a time means for this engine.
  import { timeMeans } from '$core/learn';
  import { Select, SelectItem } from 'carbon-components-svelte';
  import { unitChoice } from '../sheet/unit-choice';
  import type { Footplate } from './footplate.svelte';
  import { timingsOf } from './timings';

  let { foot }: { foot: Footplate } = $props();
  const { fitOut } = $derived(foot);
  const units = $derived(unitChoice());
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
  const expects = $derived(foot.log.context.begun?.expects);
  const means = $derived(stopped === undefined ? undefined : timeMeans(timing.what, seconds, expects));
  const usual = $derived(expects?.times?.[timing.what]);
  const meaning = { usual: 'Usual for it', slow: 'Slow for it', quick: 'Quick for it' } as const;
</script>

<section>
  <h3>Stopwatch</h3>
  <Select labelText="What is timed" bind:selected={chosen} on:change={() => (started = stopped = undefined)}>
    {#each timings as t, i (t.what)}<SelectItem value={i} text={t.what} />{/each}
  </Select>
  <button class="plain tap" onclick={press} aria-live="off">
    <strong>{inSeconds(seconds)}</strong>
    <span>{started === undefined || stopped !== undefined ? `Start when: ${timing.from}` : `Stop when: ${timing.to}`}</span>
  </button>
  {#if means && usual}<p><strong>{meaning[means]}.</strong> It takes about {inSeconds(usual.usual)}, by {usual.of} that were timed.</p>{/if}
  {#if before.length}<p class="second">Today before: {before.slice(-3).map(inSeconds).join(', ')}.</p>{/if}
  <div class="row">
    <button class="plain go" disabled={stopped === undefined} onclick={logTime}>Log the time</button>
  </div>
</section>
