<script lang="ts">
  // The gauge glass, to scale: what it showed last, and where to point to log what it shows now.
  import { type Glass, isLevel, printGlass } from '$core/units';
  import { Pointing } from './pointing.svelte';
  import { textScale } from './text-scale.svelte';

  let {
    glass,
    levels,
    cold = null,
    name = 'Gauge glass',
    abnormal = false,
    stale = false,
    onpick,
    ondraft
  }: {
    glass?: Glass;
    levels: { lowest: number; ceiling: number };
    /** The level to fill to when cold, while that is what is asked. */
    cold?: number | null;
    name?: string;
    abnormal?: boolean;
    stale?: boolean;
    onpick?: (glass: Glass) => void;
    /** Told what would be logged while the finger is down. */
    ondraft?: (glass: Glass | undefined) => void;
  } = $props();

  const nut = 24;
  const bore = 32;
  /** A height as a glass: to a hundredth, and a nut when it is beyond the visible glass. */
  const within = (level: number): Glass =>
    level < -0.005 ? 'bottom nut' : level > 1.005 ? 'top nut' : Math.round(Math.min(1, Math.max(0, level)) * 100) / 100;
  // Drawn once its place is known: drawn before, it would be drawn twice.
  let height = $state(0);
  let width = $state(0);
  const scale = textScale();
  /** Words stand beside the tube while there is room for them. */
  const roomy = $derived(width >= 110 * scale.of);
  const x = $derived(
    roomy ? Math.min(width - 62 * scale.of, Math.max(54 * scale.of, width / 2 - 15)) : Math.max(0, (width - bore) / 2 - 10 * scale.of)
  );
  const y = (level: number) => nut + (1 - level) * (height - 2 * nut);

  const pointing = new Pointing<Glass>({
    at: (event) => {
      const box = (event.currentTarget as Element).getBoundingClientRect();
      return within(1 - (event.clientY - box.top - nut) / (box.height - 2 * nut));
    },
    key: (key, draft) => {
      if (key === 'Home') return 0;
      if (key === 'End') return 1;
      const step = { ArrowUp: 0.05, ArrowDown: -0.05, PageUp: 0.25, PageDown: -0.25 }[key];
      const mark = draft ?? glass;
      const from = mark !== undefined && isLevel(mark) ? mark : mark === 'top nut' ? 1 : mark === undefined ? 0.5 : 0;
      return step === undefined ? undefined : within(from + step);
    },
    pick: () => onpick,
    drafted: (value) => ondraft?.(value)
  });
  const shown = $derived(pointing.draft ?? glass);
</script>

<div
  class="glass"
  class:live={onpick !== undefined}
  bind:clientHeight={height}
  bind:clientWidth={width}
  role="slider"
  tabindex={onpick ? 0 : -1}
  aria-label="{name}: touch where the water stands, or arrows and Enter"
  aria-orientation="vertical"
  aria-valuemin="0"
  aria-valuemax="1"
  aria-valuenow={shown !== undefined && isLevel(shown) ? shown : 0}
  aria-valuetext={shown === undefined ? 'not read yet' : printGlass(shown)}
  {@attach pointing.at}
>
  {#if height}
    <svg {width} {height} aria-hidden="true">
      {#if shown !== undefined && isLevel(shown)}
        <rect
          class="water"
          class:stale={stale && pointing.draft === undefined}
          class:abnormal
          {x}
          y={y(shown)}
          width={bore}
          height={y(0) - y(shown)}
        />
        <!-- the meniscus: read at its lowest point -->
        <path class="meniscus" d="M{x} {y(shown) - 4} q{bore / 2} 9 {bore} 0 v3 h{-bore} z" />
      {:else if shown === 'top nut'}
        <rect class="water" {x} y={nut} width={bore} height={height - 2 * nut} />
      {/if}
      <path class="tube" d="M{x} {nut}V{height - nut}M{x + bore} {nut}V{height - nut}" />
      <rect class="nut" class:wet={shown === 'top nut'} x={x - 8} y="1" width={bore + 16} height={nut - 1} />
      <rect class="nut" class:wet={shown === 'bottom nut'} x={x - 8} y={height - nut} width={bore + 16} height={nut - 1} />
      {#each [[0.25, '¼'], [0.5, '½'], [0.75, '¾']] as const as [level, word] (word)}
        <path class="tick" d="M{x + bore} {y(level)}h9" />
        {#if (height - 2 * nut) / 4 > 16 * scale.of || level === 0.5}<text x={x + bore + 13} y={y(level) + 5 * scale.of}>{word}</text>{/if}
      {/each}
      <path class="limit" d="M0 {y(levels.lowest)}H{x - 1}" />
      {#if roomy}<text class="low" x="0" y={y(levels.lowest) + 16 * scale.of}>lowest</text>{/if}
      <path class="limit up" d="M0 {y(levels.ceiling)}H{x - 1}" />
      {#if roomy}<text x="0" y={y(levels.ceiling) - 6}>ceiling</text>{/if}
      {#if cold !== null}
        <path class="cold" d="M{x - 12} {y(cold)}H{x + bore + 12}" />
        {#if roomy}<text class="low" x="0" y={y(cold) - 5}>fill to</text>{/if}
      {/if}
      {#if pointing.draft !== undefined}
        <path
          class="draft"
          d="M{x - 14} {pointing.draft === 'bottom nut'
            ? height - nut / 2
            : pointing.draft === 'top nut'
              ? nut / 2
              : isLevel(pointing.draft)
                ? y(pointing.draft)
                : 0}h{bore + 28}"
        />
      {/if}
    </svg>
  {/if}
</div>

<style>
  .glass {
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
  .water {
    fill: var(--water);
  }
  .water.stale {
    opacity: 0.45;
  }
  .water.abnormal {
    fill: var(--act);
  }
  .meniscus {
    fill: var(--raised);
  }
  .tube,
  .nut {
    fill: none;
    stroke: var(--ink);
    stroke-width: 2;
  }
  .nut {
    fill: var(--raised);
  }
  .nut.wet {
    fill: var(--act-solid);
  }
  .tick {
    stroke: var(--ink);
    stroke-width: 1.25;
  }
  text {
    font: 500 0.875rem var(--narrow);
    fill: var(--ink2);
  }
  .limit {
    stroke: var(--ink);
    stroke-width: 2;
    stroke-dasharray: 6 4;
  }
  .limit.up {
    stroke-width: 1;
    stroke-dasharray: 2 4;
  }
  .cold {
    stroke: var(--works);
    stroke-width: 2.5;
  }
  .low {
    fill: var(--ink);
  }
  .draft {
    stroke: var(--fire);
    stroke-width: 3;
  }
</style>
