<script lang="ts">
  // The pressure scale: the last reading as a needle, the pressures that matter as marks, and where to point to log one.
  import { fromSi, printText, toSi } from '$core/units';
  import { unitChoice } from '../sheet/unit-choice';
  import { Pointing } from './pointing.svelte';
  import { textScale } from './text-scale.svelte';

  let {
    pressure,
    workingPressure,
    marks = [],
    stale = false,
    onpick,
    ondraft
  }: {
    pressure?: number;
    workingPressure: number;
    /** Pressures at which something opens, Pa, with a short word each. */
    marks?: { value: number; word: string }[];
    stale?: boolean;
    onpick?: (pressure: number) => void;
    ondraft?: (pressure: number | undefined) => void;
  } = $props();

  /** Step between numbered ticks, step of a reading: as a gauge of that unit is divided. */
  const divisions = { psi: [10, 20, 1], bar: [0.5, 1, 0.1], kPa: [50, 100, 5] } as const;
  const head = 12;
  // Drawn once its place is known: drawn before, it would be drawn twice.
  let height = $state(0);
  let width = $state(0);

  const unit = $derived(unitChoice().pressure);
  const [minor, major, fine] = $derived.by(() => {
    const [a, b, c] = divisions[unit];
    const small = fromSi(workingPressure, 'pressure', unit) / b < 2.5;
    return small ? [a / 2, b / 2, c / 2 >= 0.1 ? Math.max(c / 2, unit === 'psi' ? 0.5 : c / 2) : c] : [a, b, c];
  });
  const top = $derived(Math.ceil(fromSi(workingPressure * 1.18, 'pressure', unit) / minor) * minor);
  const ticks = $derived(Array.from({ length: Math.round(top / minor) + 1 }, (_, i) => Math.round(i * minor * 100) / 100));
  const y = (value: number) => height - head - (Math.min(top, Math.max(0, value)) / top) * (height - 2 * head);
  const yOf = (pascal: number) => y(fromSi(pascal, 'pressure', unit));
  const scale = textScale();
  const axis = $derived(Math.min(46 * scale.of, Math.max(46, width * 0.5)));
  /** Numbers that would lie on each other are left out. */
  const every = $derived(Math.ceil((18 * scale.of) / (((height - 2 * head) * major) / top)) * major);
  const numbered = (tick: number) => Math.abs(tick / every - Math.round(tick / every)) < 1e-6;
  const roomy = $derived(width - axis > 76 * scale.of);
  /** Words that would lie on each other are left out, the working pressure's never. */
  const spaced = $derived(
    marks.reduce<{ value: number; word: string }[]>(
      (kept, m) =>
        Math.abs(yOf(m.value) - yOf(workingPressure)) > 17 * scale.of &&
        kept.every((k) => Math.abs(yOf(k.value) - yOf(m.value)) > 17 * scale.of)
          ? [...kept, m]
          : kept,
      []
    )
  );

  /** A number of the unit as a reading: to the fineness of such a gauge, and on the scale. */
  const reading = (value: number) => toSi(Math.min(top, Math.max(0, Math.round(value / fine) * fine)), 'pressure', unit);
  const pointing = new Pointing<number>({
    at: (event) => {
      const box = (event.currentTarget as Element).getBoundingClientRect();
      return reading(((box.bottom - head - event.clientY) / (box.height - 2 * head)) * top);
    },
    key: (key, draft) => {
      const step = { ArrowUp: fine, ArrowDown: -fine, PageUp: minor, PageDown: -minor }[key];
      return step === undefined ? undefined : reading(fromSi(draft ?? pressure ?? 0, 'pressure', unit) + step);
    },
    pick: () => onpick,
    drafted: (value) => ondraft?.(value)
  });
  const shown = $derived(pointing.draft ?? pressure);
</script>

<div
  class="scale"
  class:live={onpick !== undefined}
  bind:clientHeight={height}
  bind:clientWidth={width}
  role="slider"
  tabindex={onpick ? 0 : -1}
  aria-label="Pressure: touch where the needle stands, or arrows and Enter"
  aria-orientation="vertical"
  aria-valuemin="0"
  aria-valuemax={top}
  aria-valuenow={shown === undefined ? 0 : Math.round(fromSi(shown, 'pressure', unit) * 10) / 10}
  aria-valuetext={shown === undefined ? 'not read yet' : printText(shown, 'pressure', unitChoice())}
  {@attach pointing.at}
>
  {#if height}
    <svg {width} {height} aria-hidden="true">
      <path class="tick" d={ticks.map((t) => `M${axis - (numbered(t) ? 14 : 8)} ${y(t)}H${axis}`).join('')} />
      {#each ticks.filter(numbered) as tick (tick)}<text class="number" x={axis - 19} y={y(tick) + 5 * scale.of}>{tick}</text>{/each}
      <path class="axis" d="M{axis} {y(top)}V{y(0)}" />
      {#if shown !== undefined}
        <path class="column" class:stale={stale && pointing.draft === undefined} d="M{axis} {yOf(shown)}V{y(0)}" />
        <path class="needle" class:draft={pointing.draft !== undefined} d="M{axis + 2} {yOf(shown)}l20 -10v20z" />
      {/if}
      <path class="wp" d="M{axis} {yOf(workingPressure)}H{width}" />
      <text class="wp-word" x={width} y={yOf(workingPressure) - 5}>WP</text>
      <path class="over" d="M{axis} {yOf(workingPressure * 1.1)}h24" />
      {#each spaced as mark (mark.word + mark.value)}
        <path class="mark" d="M{axis + 24} {yOf(mark.value)}H{width}" />
        {#if roomy}<text class="mark-word" x={width} y={yOf(mark.value) - 4}>{mark.word}</text>{/if}
      {/each}
    </svg>
  {/if}
</div>

<style>
  .scale {
    position: relative;
    height: 100%;
    min-height: 120px;
    touch-action: pan-y;
    user-select: none;
  }
  .live {
    cursor: crosshair;
  }
  /* Out of the flow, so that the drawing never stretches the place it is drawn in. */
  svg {
    position: absolute;
    inset: 0;
  }
  .axis {
    stroke: var(--ink);
    stroke-width: 2;
  }
  .tick {
    stroke: var(--ink);
    stroke-width: 1.25;
  }
  .column {
    stroke: var(--ink);
    stroke-width: 9;
  }
  .column.stale {
    opacity: 0.45;
  }
  .needle {
    fill: var(--ink);
  }
  .needle.draft {
    fill: var(--fire);
  }
  .wp {
    stroke: var(--ink);
    stroke-width: 3;
  }
  .over {
    stroke: var(--act);
    stroke-width: 2;
    stroke-dasharray: 4 3;
  }
  .mark {
    stroke: var(--ink2);
    stroke-dasharray: 2 4;
  }
  text {
    font: 500 0.9375rem var(--narrow);
    fill: var(--ink2);
    text-anchor: end;
  }
  .wp-word {
    fill: var(--ink);
    font-weight: 600;
  }
  .mark-word {
    font-size: 0.875rem;
  }
</style>
