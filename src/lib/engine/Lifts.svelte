<script lang="ts">
  // Where each safety valve was seen to lift, from one steaming to the next, against where it is set and a twentieth under it.
  import type { FitOut } from '$core/engine';
  import type { Told } from '$core/learn';
  import { printText } from '$core/units';
  import { textScale } from '../draw/text-scale.svelte';
  import { month } from '../sheet/when';
  import { unitChoice } from '../sheet/unit-choice';

  let { fitOut, told, pointed = $bindable() }: { fitOut: FitOut; told: readonly Told[]; pointed?: string | undefined } = $props();
  const scale = textScale();
  let width = $state(360);
  const height = 210;
  const [left, right, top, bottom] = [34, 62, 10, 22] as const;
  const shown = $derived(told.filter((t) => t.past.lifts?.length).slice(-24));
  const all = $derived(shown.flatMap((t) => t.past.lifts!.map((l) => l.lifted)));
  const low = $derived(Math.min(fitOut.workingPressure * 0.93, ...all) * 0.995);
  const high = $derived(Math.max(fitOut.workingPressure * 1.04, ...all) * 1.005);
  const x = (i: number) => left + ((i + 0.5) / Math.max(1, shown.length)) * (width - left - right);
  const y = (p: number) => height - bottom - ((p - low) / (high - low)) * (height - top - bottom);
  const figure = (p: number) => printText(p, 'pressure', unitChoice()).replace(/[^\d.]+$/, '');
  const line = (valve: number) =>
    shown
      .flatMap((t, i) => t.past.lifts!.filter((l) => l.valve === valve).map((l) => `${x(i).toFixed(1)} ${y(l.lifted).toFixed(1)}`))
      .map((at, i) => (i ? 'L' : 'M') + at)
      .join('');
  const last = (valve: number) =>
    shown.findLast((t) => t.past.lifts!.some((l) => l.valve === valve))?.past.lifts!.find((l) => l.valve === valve)?.lifted;
  const sets = $derived([...new Set(fitOut.safetyValves.map((v) => v.set))]);
  /** A valve that lifts a twentieth under its set is asked about. */
  const drifted = $derived(fitOut.safetyValves.flatMap((v, i) => ((last(i + 1) ?? v.set) < 0.95 * v.set ? [i + 1] : [])));
</script>

<div class="plot" bind:clientWidth={width}>
  <svg {width} {height} role="img" aria-label="Where {fitOut.safetyValves.length} safety valves lifted over {shown.length} steamings">
    {#each sets as set (set)}
      <path class="set" d="M{left} {y(set)}H{width - right}" /><text x="0" y={y(set) + 4}>{figure(set)}</text>
      <path class="grid" d="M{left} {y(0.95 * set)}H{width - right}" /><text x="0" y={y(0.95 * set) + 4}>{figure(0.95 * set)}</text>
    {/each}
    <path class="axis" d="M{left} {top}V{height - bottom}H{width - right}" />
    {#each fitOut.safetyValves as _, i (i)}
      <path class="valve" class:second={i > 0} d={line(i + 1)} />
      {#if last(i + 1) !== undefined}<text class="word" x={width - right + 4} y={y(last(i + 1)!) + (i ? 14 : -4)}>valve {i + 1}</text>{/if}
      {#each shown as t, k (t.id)}
        {#each t.past.lifts!.filter((l) => l.valve === i + 1) as l (l.lifted)}
          <circle
            class:on={pointed === t.id}
            cx={x(k)}
            cy={y(l.lifted)}
            r="3"
            role="presentation"
            onpointerenter={() => (pointed = t.id)}
            onpointerleave={() => (pointed = undefined)}
          />
        {/each}
      {/each}
    {/each}
    {#if shown.length}<text x={x(0)} y={height - 6}>{month(shown[0]!.past.litAt)}</text>{/if}
    {#if shown.length > 1 && x(shown.length - 1) - x(0) > 120 * scale.of}<text x={x(shown.length - 1)} y={height - 6} text-anchor="end"
        >{month(shown.at(-1)!.past.litAt)}</text
      >{/if}
  </svg>
</div>
<p class:caution={drifted.length} class:second={!drifted.length}>
  {#if drifted.length}▲ Valve {drifted.join(' and ')} last lifted more than a twentieth under its set. Have it looked at: set and seat, by whoever
    may.{:else}Where the valves were seen to lift; level: where each is set; dashed: a twentieth under.{/if}
</p>

<style>
  .grid {
    stroke-dasharray: 5 4;
  }
  .set {
    stroke: var(--ink);
    fill: none;
    stroke-width: 1.25;
  }
  .valve {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1.5;
  }
  .valve.second {
    stroke-dasharray: 4 3;
  }
  circle {
    fill: var(--ink);
  }
  circle.on {
    fill: var(--works);
  }
  .word {
    fill: var(--ink);
  }
  p {
    font-size: 0.875rem;
  }
</style>
