<script lang="ts">
  // A run to scale: the water that is in, when it boils and is up, how it goes as expected and at the most, its floor, and where it has to be over.
  import { printText } from '$core/units';
  import type { Countdown } from '$core/watch';
  import { unitChoice } from '../sheet/unit-choice';
  import { clock } from '../sheet/when';

  let { count, now }: { count: Countdown; now: number } = $props();
  const units = $derived(unitChoice());
  const [wide, tall, left, right, top, bottom] = [320, 240, 50, 10, 16, 30];
  const sum = $derived(count.sum);
  const long = $derived(Math.max(count.stop, now) - count.lit);
  const x = (at: number) => left + ((at - count.lit) / (1.12 * long)) * (wide - left - right);
  const y = (kg: number) => top + (1 - kg / (1.08 * sum.water)) * (tall - top - bottom);
  const boils = $derived(count.lit + sum.boils * 1000);
  const volume = (kg: number) => printText((kg / sum.water) * sum.fill, 'volume', units);
  /** Where two words would lie on each other, the later one stands a line higher. */
  const near = $derived(Math.abs(x(boils) - x(count.up)) < 70);
</script>

<svg
  viewBox="0 0 {wide} {tall}"
  role="img"
  aria-label="This run: {volume(sum.water)} at the match, {volume(sum.left)} about left at {clock(count.stop)}, floor {volume(
    sum.floor.value
  )}"
>
  <path class="axis" d="M{left} {top}V{tall - bottom}H{wide - right}" />
  <rect class="floor" x={left} y={y(sum.floor.value)} width={wide - left - right} height={tall - bottom - y(sum.floor.value)} />
  <text class="end" x={left - 5} y={y(sum.floor.value) + 5}>{volume(sum.floor.value)}</text>
  <text class="small" x={left + 6} y={y(sum.floor.value) + 15}>must stay in</text>
  <text class="end" x={left - 5} y={y(sum.water) + 5}>{volume(sum.water)}</text>
  <path class="sure" d="M{x(boils)} {y(sum.water)}L{x(count.stop)} {y(Math.max(0, sum.leastLeft))}" />
  <path class="likely" d="M{x(count.lit)} {y(sum.water)}H{x(Math.min(count.up, count.stop))}L{x(count.stop)} {y(sum.left)}" />
  <text class="small" x={x(count.stop) - 4} y={y(sum.left) + 18} text-anchor="end">about {volume(sum.left)}</text>
  {#if boils < count.stop}<path class="mark" d="M{x(boils)} {tall - bottom}v-8" /><text
      class="small"
      x={x(boils)}
      y={tall - bottom - 12}
      text-anchor="middle">boils</text
    >{/if}
  {#if count.up < count.stop}<path class="mark" d="M{x(count.up)} {tall - bottom}v{near ? -22 : -8}" /><text
      class="small"
      x={x(count.up)}
      y={tall - bottom - (near ? 26 : 12)}
      text-anchor="middle">up</text
    >{/if}
  <path class="stop" d="M{x(count.stop)} {top}V{tall - bottom}" />
  <text x={x(count.stop)} y={tall - bottom + 17} text-anchor="middle">{clock(count.stop)}</text>
  <text x={left} y={tall - bottom + 17} text-anchor="start">{clock(count.lit)}</text>
  <path class="now" d="M{x(Math.min(now, count.lit + 1.12 * long))} {top}V{tall - bottom}" />
  <text class="small" x={Math.min(wide - 20, x(now))} y={top - 4} text-anchor="middle">now</text>
</svg>

<style>
  svg {
    width: 100%;
    max-height: 300px;
    display: block;
  }
  text {
    font: 500 13px var(--narrow);
    fill: var(--ink);
  }
  .small {
    font-size: 12px;
    fill: var(--ink2);
  }
  .end {
    text-anchor: end;
  }
  .axis,
  .mark {
    stroke: var(--ink);
    fill: none;
  }
  .floor {
    fill: color-mix(in srgb, var(--water) 22%, var(--raised));
  }
  .likely {
    stroke: var(--water);
    stroke-width: 2.5;
    fill: none;
  }
  .sure {
    stroke: var(--water);
    stroke-dasharray: 4 3;
    fill: none;
  }
  .stop {
    stroke: var(--ink);
    stroke-width: 2.5;
  }
  .now {
    stroke: var(--ink2);
    stroke-dasharray: 2 3;
  }
</style>
