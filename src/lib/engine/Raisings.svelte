<script lang="ts">
  // Past raisings laid over each other: pressure as read, against minutes from the match. The last one is drawn heavy.
  import type { FitOut } from '$core/engine';
  import type { Learned, Told } from '$core/learn';
  import { printText } from '$core/units';
  import { unitChoice } from '../sheet/unit-choice';

  let {
    fitOut,
    told,
    learned,
    pointed = $bindable()
  }: { fitOut: FitOut; told: readonly Told[]; learned: Learned; pointed?: string | undefined } = $props();
  let width = $state(360);
  const height = 210;
  const [left, right, top, bottom] = [34, 8, 10, 22] as const;
  const longest = $derived(Math.max(600, ...told.map((t) => t.past.reached ?? t.past.readings.at(-1)?.at ?? 0)) * 1.03);
  const most = $derived(fitOut.workingPressure * 1.1);
  const x = (s: number) => left + (s / longest) * (width - left - right);
  const y = (p: number) => height - bottom - (Math.min(p, most) / most) * (height - top - bottom);
  /** How large the reader’s letters are: words on an axis are as far apart as they are wide. */
  const letters = typeof document === 'undefined' ? 1 : parseFloat(getComputedStyle(document.documentElement).fontSize) / 16;
  const step = $derived([300, 600, 1200, 1800, 3600].find((s) => (s / longest) * (width - left) > 44 * letters) ?? 3600);
  const counted = $derived(new Set(learned.from));
  const newest = $derived(told.at(-1)?.id);
  const line = (t: Told) => `M${x(0)} ${y(0)}${t.past.readings.map((r) => `L${x(r.at).toFixed(1)} ${y(r.value).toFixed(1)}`).join('')}`;
</script>

<div class="plot" bind:clientWidth={width}>
  <svg {width} {height} role="img" aria-label="{told.length} past raisings overlaid; the table below lists them">
    {#each Array.from({ length: Math.floor(longest / step) }, (_, i) => (i + 1) * step) as s (s)}
      <path class="grid" d="M{x(s)} {top}V{height - bottom}" /><text x={x(s)} y={height - 6} text-anchor="middle">{s / 60} min</text>
    {/each}
    <path class="wp" d="M{left} {y(fitOut.workingPressure)}H{width - right}" />
    <text x="0" y={y(fitOut.workingPressure) + 4}
      >{printText(fitOut.workingPressure, 'pressure', unitChoice()).replace(/[^\d.]+$/, '')}</text
    >
    <text x="0" y={y(fitOut.workingPressure / 2) + 4}
      >{printText(fitOut.workingPressure / 2, 'pressure', unitChoice()).replace(/[^\d.]+$/, '')}</text
    >
    <path class="axis" d="M{left} {top}V{height - bottom}H{width - right}" />
    {#each told as t (t.id)}
      <path
        class="raising"
        class:counted={counted.has(t.id)}
        class:newest={t.id === newest}
        class:on={pointed === t.id}
        d={line(t)}
        role="presentation"
        onpointerenter={() => (pointed = t.id)}
        onpointerleave={() => (pointed = undefined)}
      />
    {/each}
  </svg>
</div>
<p class="second">Thin and pale: earlier chapters or left out. Heavy: the last.</p>

<style>
  .wp {
    stroke: var(--ink);
    fill: none;
    stroke-width: 1.25;
  }
  .raising {
    fill: none;
    stroke: var(--rule);
    stroke-width: 1.25;
  }
  .raising.counted {
    stroke: var(--ink2);
  }
  .raising.newest {
    stroke: var(--ink);
    stroke-width: 2.25;
  }
  .raising.on {
    stroke: var(--works);
    stroke-width: 3;
  }
  p {
    font-size: 0.875rem;
  }
</style>
