<script lang="ts">
  // How the answer goes with one of the inputs: what was said stands on the curve as a dot.
  import type { Kind } from '$core/units';
  import { textScale } from '../draw/text-scale.svelte';
  import { unitChoice } from '../sheet/unit-choice';
  import { workedText } from '../sheet/worked-text';

  let {
    points,
    at,
    xKind,
    yKind,
    label
  }: {
    points: readonly { readonly x: number; readonly y: number }[];
    at: { readonly x: number; readonly y: number } | undefined;
    xKind: Kind;
    yKind: Kind;
    label: string;
  } = $props();
  const units = unitChoice();
  // Drawn at the width it is given, so that its words keep their size.
  let room = $state(560);
  const width = $derived(Math.max(240, room));
  const scale = textScale();
  const height = $derived(160 + 60 * scale.of);
  const left = $derived(76 * scale.of);
  const top = $derived(14 * scale.of);
  const bottom = $derived(30 * scale.of);
  const right = 18;
  const xs = $derived([points[0]!.x, points.at(-1)!.x] as const);
  const ys = $derived.by(() => {
    const all = points.map((p) => p.y);
    const [low, high] = [Math.min(...all), Math.max(...all)];
    // From nothing where nothing is near: a curve that begins at its own foot says too much.
    // What does not move is drawn in the middle.
    if (high - low < 1e-9 * Math.abs(high)) return [Math.min(0, 2 * low), Math.max(1e-9, 2 * high)] as const;
    return [low > 0 && low < 0.6 * high ? 0 : low, high] as const;
  });
  const X = (x: number) => left + ((x - xs[0]) / (xs[1] - xs[0] || 1)) * (width - left - right);
  const Y = (y: number) => height - bottom - ((y - ys[0]) / (ys[1] - ys[0])) * (height - top - bottom);
  const thirds = $derived(width < 420 * scale.of ? [0, 1 / 2, 1] : [0, 1 / 3, 2 / 3, 1]);
  const between = ([a, b]: readonly [number, number], share: number) => a + share * (b - a);
</script>

<div bind:clientWidth={room}>
  <svg viewBox="0 0 {width} {height}" role="img" aria-label={label}>
    {#each thirds as share (share)}
      <path class="rule" d="M{left} {Y(between(ys, share))}H{width - right}" />
      <text x={left - 8} y={Y(between(ys, share)) + 5} text-anchor="end"
        >{workedText(between(ys, share), yKind === 'glass' ? 'share' : yKind, units)}</text
      >
      <path class="tick" d="M{X(between(xs, share))} {height - bottom}v6" />
      <text x={X(between(xs, share))} y={height - 6} text-anchor={share === 1 ? 'end' : share === 0 ? 'start' : 'middle'}
        >{workedText(between(xs, share), xKind, units)}</text
      >
    {/each}
    <path class="axis" d="M{left} {top}V{height - bottom}H{width - right}" />
    <polyline points={points.map((p) => `${X(p.x).toFixed(1)},${Y(p.y).toFixed(1)}`).join(' ')} />
    {#if at && at.x >= xs[0] && at.x <= xs[1]}
      <path class="lead" d="M{X(at.x)} {height - bottom}V{Y(at.y)}H{left}" />
      <circle cx={X(at.x)} cy={Y(at.y)} r="5" />
    {/if}
  </svg>
</div>

<style>
  svg {
    width: 100%;
    height: auto;
    display: block;
  }
  text {
    font: 500 0.8125rem var(--narrow);
    fill: var(--ink2);
  }
  path {
    fill: none;
    stroke: var(--ink);
  }
  .rule {
    stroke: var(--rule);
  }
  .lead {
    stroke-dasharray: 3 3;
  }
  polyline {
    fill: none;
    stroke: var(--works);
    stroke-width: 2.5;
  }
  circle {
    fill: var(--ink);
  }
</style>
