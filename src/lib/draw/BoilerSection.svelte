<script lang="ts">
  // The boiler in section, to scale from the fit-out's own figures, with the levels that matter on leaders.
  import { type FitOut, glassHeight } from '$core/engine';
  import { type Figure, printText } from '$core/units';
  import { unitChoice } from '../sheet/unit-choice';
  import { sectionLayout } from './section-layout';

  let {
    fitOut,
    figures,
    height: wanted = 400
  }: { fitOut: FitOut; /** What to fill to is among them. */ figures: readonly Figure[]; height?: number } = $props();
  let width = $state(800);
  const units = $derived(unitChoice());
  const len = (m: number) => printText(m, 'length', units);
  const { section, chimney, bounds, stacked, height, scale, px, py, end, detail, levels, placed, dimY, waterTop } = $derived(
    sectionLayout(fitOut, { width, wanted, units, valueOf: (key) => figures.find((f) => f.key === key)?.worked.value })
  );
  const id = $props.id();
</script>

<figure bind:clientWidth={width}>
  <svg {width} {height} role="img" aria-label="Boiler of {fitOut.name} in section, to scale. {levels.map((l) => l.word).join('; ')}.">
    <defs>
      <clipPath id="{id}-shell">
        {#each section.shell as r, i (i)}<rect x={px(r.x)} y={py(r.z + r.h)} width={r.w * scale} height={r.h * scale} />{/each}
      </clipPath>
      <pattern id="{id}-hatch" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)"
        ><path class="hatch" d="M0 0V7" /></pattern
      >
    </defs>

    <rect
      class="water"
      clip-path="url(#{id}-shell)"
      x={px(bounds.x0)}
      y={py(waterTop)}
      width={(bounds.x1 - bounds.x0) * scale}
      height={Math.max(0, py(bounds.z0) - py(waterTop))}
    />
    {#each section.shell as r, i (i)}<rect class="shell" x={px(r.x)} y={py(r.z + r.h)} width={r.w * scale} height={r.h * scale} />{/each}
    {#if section.dome}{@const d = section.dome}
      <path class="shell" d="M{px(d.x)} {py(d.z)}V{py(d.z + d.h)}h{d.w * scale}V{py(d.z)}" />
      <path class="open" d="M{px(d.x) + 1.5} {py(d.z)}H{px(d.x + d.w) - 1.5}" />
    {/if}
    {#if chimney}
      {@const [left, right] = [-chimney.bore / 2, chimney.bore / 2]}
      {#each chimney.bores as x (x)}
        <path class="thin" d="M{px(x + left)} {py(chimney.to)}V{py(chimney.from)}M{px(x + right)} {py(chimney.to)}V{py(chimney.from)}" />
        <path
          class="thin"
          d="M{px(x + left) - 4} {py(chimney.to) + 3}l{(chimney.bore * scale) / 2 + 2} -5v8l{(chimney.bore * scale) / 2 + 6} -5"
        />
        {#if chimney.nozzle}{@const n = chimney.nozzle}
          <path
            class="thin"
            d="M{px(x - 1.5 * n.bore)} {py(n.z - 3 * n.bore)}L{px(x - n.bore / 2)} {py(n.z)}M{px(x + 1.5 * n.bore)} {py(
              n.z - 3 * n.bore
            )}L{px(x + n.bore / 2)} {py(n.z)}"
          />
        {/if}
      {/each}
      <text text-anchor="end" x={px(chimney.bores[0]! + left) - 10} y={py(chimney.to) + 10}
        >chimney {len(chimney.bore)}{chimney.nozzle ? `, nozzle ${len(chimney.nozzle.bore)}` : ''}</text
      >
    {/if}
    {#if section.shell.length > 1}
      <!-- Where barrel and wrapper meet there is no plate. -->
      {@const b = section.shell[1]!}
      <path class="open water-line" d="M{px(b.x)} {py(Math.min(b.z + b.h, waterTop))}V{py(b.z) - 1.5}" />
      <path class="open" d="M{px(b.x)} {py(b.z + b.h) + 1.5}V{py(Math.min(b.z + b.h, waterTop))}" />
    {/if}
    {#each section.tubes as r, i (i)}<rect
        class="tube"
        x={px(r.x)}
        y={py(r.z + r.h)}
        width={r.w * scale}
        height={Math.max(1, r.h * scale)}
      />{/each}
    {#each section.dry as r, i (i)}<rect class="dry" x={px(r.x)} y={py(r.z + r.h)} width={r.w * scale} height={r.h * scale} />{/each}
    {#if section.fire}
      <rect
        class="fire"
        fill="url(#{id}-hatch)"
        x={px(section.fire.x)}
        y={py(section.fire.z) - 2}
        width={section.fire.w * scale}
        height="8"
      />
      <path class="thin" d="M{px(section.fire.x)} {py(section.fire.z) - 2}h{section.fire.w * scale}" />
    {/if}

    {#each fitOut.glasses.slice(0, 1) as g (g.bottomNut)}
      {@const gx = px(section.glassX)}
      <rect
        class="gw"
        x={gx - 3.5}
        y={py(glassHeight(fitOut, fitOut.levels.wanted))}
        width="7"
        height={py(g.bottomNut) - py(glassHeight(fitOut, fitOut.levels.wanted))}
      />
      <path class="thin" d="M{gx - 4.5} {py(g.topNut)}V{py(g.bottomNut)}M{gx + 4.5} {py(g.topNut)}V{py(g.bottomNut)}" />
      <path class="nuts" d="M{gx - 9} {py(g.topNut) - 3}h18M{gx - 9} {py(g.bottomNut) + 3}h18" />
      <path class="thin" d="M{gx} {py(g.topNut) - 3}H{px(0)}M{gx} {py(g.bottomNut) + 3}H{px(0)}" />
    {/each}

    {#each levels as level (level.word)}
      {#if level.kind !== 'plain' || !detail}<path
          class="level {level.kind}"
          d="M{px(fitOut.glasses.length ? section.glassX : bounds.x0)} {py(level.z)}H{end}"
        />{/if}
    {/each}
    {#if detail}
      {@const [g] = fitOut.glasses}
      {#if !stacked}<path
          class="zoom"
          d="M{end} {py(g!.topNut)}L{detail.x - 8} {detail.nuts[0]}M{end} {py(g!.bottomNut)}L{detail.x - 8} {detail.nuts[1]}"
        />{/if}
      <rect class="gw" x={detail.x} y={detail.y(waterTop)} width="18" height={Math.max(0, detail.nuts[1] - detail.y(waterTop))} />
      <path class="thin tube-wall" d="M{detail.x} {detail.nuts[0]}V{detail.nuts[1]}M{detail.x + 18} {detail.nuts[0]}V{detail.nuts[1]}" />
      <rect class="nut" x={detail.x - 7} y={detail.nuts[0] - 12} width="32" height="12" />
      <rect class="nut" x={detail.x - 7} y={detail.nuts[1]} width="32" height="12" />
    {/if}
    {#each placed as level (level.word)}
      {#if detail}
        {@const y = detail.y(level.z)}
        <path class="level {level.kind}" d="M{detail.x - 4} {y}h30" />
        <path class="leader" d="M{detail.x + 27} {y}L{detail.x + 38} {level.y - 5}h6" />
      {:else}
        <path class="leader" d="M{end} {py(level.z)}L{end + 18} {level.y - 5}h8" />
      {/if}
      <text class={level.kind} x={detail ? detail.x + 48 : end + 30} y={level.y}>{level.word}</text>
    {/each}
    {#if detail}<text x={detail.x - 7} y={detail.nuts[0] - 20}>the glass, {detail.times.toFixed(1)} times as large</text>{/if}

    <g class="dim">
      <path
        d="M{px(section.along.from)} {dimY}H{px(section.along.to)}M{px(section.along.from)} {dimY - 6}v12M{px(section.along.to)} {dimY -
          6}v12"
      />
      <path
        class="ext"
        d="M{px(section.along.from)} {py(section.along.z) + 4}V{dimY - 8}M{px(section.along.to)} {py(section.along.z) + 4}V{dimY - 8}"
      />
      <text text-anchor="middle" x={(px(section.along.from) + px(section.along.to)) / 2} y={dimY + 20}
        >{section.along.word}
        {len(section.along.to - section.along.from)}
        {fitOut.boiler.form === 'vertical' ? 'across' : 'long'}, {len(section.up.to - section.up.from)}
        {fitOut.boiler.form === 'vertical' ? 'high' : 'across'}</text
      >
    </g>
  </svg>
</figure>

<style>
  figure {
    min-width: 0;
    overflow: hidden;
  }
  svg {
    display: block;
  }
  .water {
    fill: color-mix(in srgb, var(--water) 16%, var(--raised));
  }
  .shell,
  .dry {
    fill: none;
    stroke: var(--ink);
    stroke-width: 2.5;
  }
  .dry {
    fill: var(--raised);
    stroke-width: 2;
  }
  .open {
    stroke: var(--raised);
    stroke-width: 4;
  }
  .open.water-line {
    stroke: color-mix(in srgb, var(--water) 16%, var(--raised));
  }
  .tube {
    fill: var(--raised);
    stroke: var(--ink);
    stroke-width: 1;
  }
  .hatch,
  .thin {
    stroke: var(--ink);
    stroke-width: 1;
    fill: none;
  }
  .gw {
    fill: var(--water);
  }
  .zoom {
    stroke: var(--rule);
    stroke-width: 1;
    fill: none;
  }
  .tube-wall {
    stroke-width: 1.5;
  }
  .nut {
    fill: var(--raised);
    stroke: var(--ink);
    stroke-width: 1.5;
  }
  .nuts {
    stroke: var(--ink);
    stroke-width: 6;
  }
  .level {
    stroke: var(--ink2);
    stroke-width: 1;
    stroke-dasharray: 2 4;
    fill: none;
  }
  .level.water {
    stroke: var(--water);
    stroke-dasharray: 10 4;
    stroke-width: 1.5;
  }
  .level.cold {
    stroke: var(--ink);
    stroke-dasharray: 5 4;
  }
  .level.low {
    stroke: var(--act);
    stroke-dasharray: 7 3;
    stroke-width: 1.5;
  }
  .leader {
    stroke: var(--ink2);
    stroke-width: 1;
    fill: none;
  }
  text {
    /* The drawing is to scale and cannot grow with the text: enlarged words stop where they would run off it. */
    font: 500 min(0.9375rem, max(15px, 4cqi)) var(--narrow);
    fill: var(--ink2);
  }
  text.water {
    fill: var(--water);
    font-weight: 600;
  }
  text.cold {
    fill: var(--ink);
    font-weight: 600;
  }
  text.low {
    fill: var(--act);
    font-weight: 600;
  }
  .dim path {
    stroke: var(--ink2);
    stroke-width: 1;
    fill: none;
  }
  .dim .ext {
    stroke: var(--rule);
  }
</style>
