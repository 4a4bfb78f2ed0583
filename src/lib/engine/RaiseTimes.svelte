<script lang="ts">
  // Raise time from one steaming to the next: a dot for what it took, a bar for what was expected, a rule where a chapter begins.
  import type { Learned } from '$core/learn';
  import { textScale } from '../draw/text-scale.svelte';
  import { month } from '../sheet/when';

  let { learned, pointed = $bindable() }: { learned: Learned; pointed?: string | undefined } = $props();
  const scale = textScale();
  let width = $state(360);
  const height = 210;
  const [left, right, top, bottom] = [34, 8, 24, 22] as const;
  const shown = $derived(learned.raisings.filter((r) => r.reached !== undefined).slice(-24));
  const most = $derived(Math.max(1, ...shown.flatMap((r) => [r.reached!, Math.min(r.expected.late, r.reached! * 1.8)])) * 1.08);
  const x = (i: number) => left + ((i + 0.5) / Math.max(1, shown.length)) * (width - left - right);
  const y = (s: number) => height - bottom - (Math.min(s, most) / most) * (height - top - bottom);
  const step = $derived([60, 300, 600, 1200, 1800, 3600].find((s) => most / s <= 6) ?? 3600);
  const chapters = $derived(
    shown.flatMap((r, i) => (i > 0 && r.chapter !== shown[i - 1]!.chapter ? [{ i, why: learned.chapters[r.chapter]!.why }] : []))
  );
</script>

<div class="plot" bind:clientWidth={width}>
  <svg
    {width}
    {height}
    role="img"
    aria-label="Raise time over {shown.length} steamings, from {Math.round((shown[0]?.reached ?? 0) / 60)} to {Math.round(
      (shown.at(-1)?.reached ?? 0) / 60
    )} minutes"
  >
    {#each Array.from({ length: Math.floor(most / step) }, (_, i) => (i + 1) * step) as s (s)}
      <path class="grid" d="M{left} {y(s)}H{width - right}" /><text x="0" y={y(s) + 4}>{s / 60}</text>
    {/each}
    <path class="axis" d="M{left} {top}V{height - bottom}H{width - right}" />
    {#each chapters as c (c.i)}
      {@const cx = (x(c.i) + x(c.i - 1)) / 2}
      <path class="chapter" d="M{cx} {top - 10}V{height - bottom}" />
      <text class="why" x={cx > width / 2 ? cx - 4 : cx + 4} y="12" text-anchor={cx > width / 2 ? 'end' : 'start'}
        >{c.why.startsWith('tubes swept') ? 'tubes swept' : c.why}</text
      >
    {/each}
    {#each shown as r, i (r.id)}
      <g role="presentation" onpointerenter={() => (pointed = r.id)} onpointerleave={() => (pointed = undefined)}>
        <rect class="band" x={x(i) - 4} y={y(r.expected.late)} width="8" height={Math.max(1, y(r.expected.early) - y(r.expected.late))} />
        <circle
          class:out={r.leftOut}
          class:on={pointed === r.id}
          class:miss={r.held === false}
          cx={x(i)}
          cy={y(r.reached!)}
          r={pointed === r.id ? 5 : 3.5}
        />
        <rect class="hit" x={x(i) - 8} y={top} width="16" height={height - top - bottom} />
      </g>
      {#if i === 0 || (i === shown.length - 1 && x(i) - x(0) > 120 * scale.of)}<text
          x={x(i)}
          y={height - 6}
          text-anchor={i === 0 ? 'start' : 'end'}>{month(r.litAt)}</text
        >{/if}
    {/each}
  </svg>
</div>
<p class="second">Minutes from the match into steam. Bar: expected before the match, eight times in ten.</p>

<style>
  .band {
    fill: color-mix(in srgb, var(--ink) 16%, var(--raised));
  }
  circle {
    fill: var(--ink);
  }
  circle.miss {
    fill: var(--raised);
    stroke: var(--ink);
    stroke-width: 2;
  }
  circle.out {
    fill: var(--rule);
  }
  circle.on {
    fill: var(--works);
  }
  .hit {
    fill: transparent;
  }
  .chapter {
    stroke: var(--ink);
    stroke-dasharray: 4 3;
  }
  .why {
    fill: var(--ink);
    font-weight: 600;
  }
  p {
    font-size: 0.875rem;
  }
</style>
