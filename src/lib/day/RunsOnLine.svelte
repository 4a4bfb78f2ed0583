<script lang="ts">
  // Each run of a day on its line: its raise light, its running solid; what lies between is cooling, filling, oiling.
  import { clock } from '../sheet/when';

  let {
    runs,
    x,
    y
  }: {
    /** ms since 1970 */ runs: readonly { readonly light: number; readonly up: number; readonly stop: number }[];
    x: (at: number) => number;
    y: number;
  } = $props();
</script>

{#each runs as run, i (i)}
  {#if i > 0}<rect class="raise" x={x(run.light)} y={y - 12} width={Math.max(0, x(run.up) - x(run.light))} height="24" />{/if}
  <rect class="runs" x={x(run.up)} y={y - 6} width={Math.max(1, x(run.stop) - x(run.up))} height="12"
    ><title>Run {i + 1}: match {clock(run.light)}, up {clock(run.up)}, over by {clock(run.stop)}</title></rect
  >
  <path class="over" d="M{x(run.stop)} {y - 14}v28" />
{/each}

<style>
  .runs {
    fill: var(--water);
    opacity: 0.55;
  }
  .over {
    stroke: var(--ink);
    stroke-width: 1.5;
  }
</style>
