<script lang="ts">
  // Several engines of a day: bays and people as lanes, each engine's countdown on its own line.
  import type { DayPlaced, DayPlan } from '$core/plan';
  import { clock } from '../sheet/when';
  import { timeScale } from './scale';

  let { placed, planOf }: { placed: readonly DayPlaced[]; planOf: ReadonlyMap<string, DayPlan> } = $props();
  const minute = 60_000;
  let width = $state(1200);
  const left = 150;
  const scale = $derived(
    timeScale(
      Math.min(...placed.map((p) => p.sheet.begin)) - 10 * minute,
      Math.max(...placed.map((p) => Math.max(p.sheet.ready, Date.parse(p.sheet.want.at)))) + 30 * minute,
      left,
      width - 16,
      64
    )
  );
  const x = $derived(scale.x);
  const people = $derived([...new Set(placed.flatMap((p) => p.sheet.stations.map((s) => s.who)))]);
  const tall = 34;
  const rows = $derived(placed.length + people.length);
  const height = $derived(20 + rows * tall + 44);
  const peopleY = $derived(20 + placed.length * tall + 18);
</script>

<div class="canvas plot" bind:clientWidth={width}>
  <svg
    {width}
    {height}
    role="img"
    aria-label="{placed.length} engines from {clock(scale.from)} to {clock(scale.to)}; the table below says the same"
  >
    {#each scale.marks as mark (mark)}
      <path class="mark" d="M{x(mark)} 14V{height - 22}" /><text x={x(mark)} y={height - 6} text-anchor="middle">{clock(mark)}</text>
    {/each}
    {#each placed as p, i (p.id)}
      {@const y = 20 + i * tall + 17}
      {@const s = p.sheet}
      <text class="name" x="0" y={y + 1}>{p.name}</text>
      <text x="0" y={y + 14}>{p.bay ? `bay ${p.bay}` : 'no bay'}</text>
      <rect class="raise" x={x(s.light)} y={y - 9} width={Math.max(0, x(Math.min(scale.to, s.steam.middle)) - x(s.light))} height="18" />
      <rect
        class="due"
        x={x(Math.min(scale.to, s.steam.early))}
        y={y - 9}
        width={Math.max(1, x(Math.min(scale.to, s.steam.late)) - x(Math.min(scale.to, s.steam.early)))}
        height="18"
      />
      <path class="line" d="M{x(s.begin)} {y}H{x(s.ready)}M{x(s.begin)} {y - 7}v14M{x(s.light)} {y - 9}v18M{x(s.ready)} {y - 7}v14" />
      {#each planOf.get(p.id)?.wants ?? [] as w (w.at)}{@const at = Date.parse(w.at)}{#if at < scale.to}<path
            class="want"
            d="M{x(at)} {y - 12}l-5 -7h10zM{x(at)} {y - 12}v22"
          />{/if}{/each}
    {/each}
    <path class="rule" d="M0 {peopleY - 8}H{width}" />
    {#each people as who, i (who)}
      {@const y = peopleY + i * tall}
      <text class="name" x="0" y={y + 18}>{who}</text>
      <path class="lane" d="M{left} {y + 26}H{width - 16}" />
      {#each placed as p (p.id)}
        {#each p.sheet.stations.filter((s) => s.who === who) as s (s.key)}
          <rect class="task" x={x(s.start)} y={y + 5} width={Math.max(2, x(s.end) - x(s.start) - 1)} height="18"
            ><title>{p.name}</title></rect
          >
        {/each}
      {/each}
      {#each placed as p (p.id)}
        {@const mine = p.sheet.stations.filter((s) => s.who === who)}
        {#if mine.length > 2}<text class="small" x={x(mine[0]!.start) + 3} y={y + 3}>{p.name}</text>{/if}
      {/each}
    {/each}
  </svg>
</div>

<style>
  .canvas {
    min-width: 640px;
  }
  .rule {
    stroke: var(--ink);
  }
  .want {
    stroke: var(--ink);
    fill: var(--ink);
  }
  text.name {
    font-weight: 600;
    font-size: 0.9375rem;
    fill: var(--ink);
  }
</style>
