<script lang="ts">
  // The boiler in section with every place that can leak where it is: a button for those of one spot, pointed at as they are walked past.
  import type { Anchor } from '$core/commission';
  import type { FitOut } from '$core/engine';
  import { anchorsOf } from './anchors';
  import { sectionOf } from './section';

  export interface Spot {
    readonly at: Anchor;
    /** In a word, for whoever cannot see where it stands. */
    readonly name: string;
    readonly left: number;
    readonly is: 'left' | 'dry' | 'leaks' | 'stops';
  }
  let {
    fitOut,
    spots,
    chosen,
    onpoint
  }: { fitOut: FitOut; spots: readonly Spot[]; chosen: Anchor | undefined; onpoint: (at: Anchor) => void } = $props();

  let width = $state(600);
  const section = $derived(sectionOf(fitOut.boiler));
  const anchors = $derived(anchorsOf(fitOut));
  const size = 44;
  const layout = $derived.by(() => {
    const points = spots.map((s) => anchors[s.at]);
    const all = [...section.shell, ...section.dry, ...(section.dome ? [section.dome] : []), ...points.map((p) => ({ ...p, w: 0, h: 0 }))];
    const [x0, x1] = [Math.min(...all.map((r) => r.x)), Math.max(...all.map((r) => r.x + r.w))];
    const [z0, z1] = [Math.min(...all.map((r) => r.z)), Math.max(...all.map((r) => r.z + r.h))];
    // One that stands upright is given the height it needs to be pointed at.
    const least = z1 - z0 > x1 - x0 ? 340 : 200;
    const room = { w: width - size - 16, h: Math.min(380, Math.max(least, width * 0.5)) - size - 8 };
    const scale = Math.max(1, Math.min(room.w / (x1 - x0), room.h / (z1 - z0)));
    const left = (width - (x1 - x0) * scale) / 2;
    const px = (x: number) => left + (x - x0) * scale;
    const py = (z: number) => size / 2 + 4 + (z1 - z) * scale;
    const height = (z1 - z0) * scale + size + 8;
    // Buttons that would cover each other are moved aside, within the sheet.
    const placed: { x: number; y: number }[] = [];
    for (const p of points) {
      const at = { x: px(p.x), y: py(p.z) };
      const clash = () => placed.some((q) => Math.abs(q.x - at.x) < size + 2 && Math.abs(q.y - at.y) < size + 2);
      const [sx, sy] = [at.x, at.y];
      for (let i = 1; clash() && i < 40; i++) {
        const step = Math.ceil(i / 4) * (size + 4);
        const [dx, dy] = [
          [1, 0],
          [-1, 0],
          [0, 1],
          [0, -1]
        ][i % 4]!;
        at.x = Math.min(width - size / 2, Math.max(size / 2, sx + dx! * step));
        at.y = Math.min(height - size / 2, Math.max(size / 2, sy + dy! * step));
      }
      placed.push(at);
    }
    return { px, py, scale, height, placed, from: points.map((p) => ({ x: px(p.x), y: py(p.z) })) };
  });
</script>

<div class="drawn" bind:clientWidth={width} style:height="{layout.height}px">
  <svg {width} height={layout.height} aria-hidden="true">
    {#each section.shell as r, i (i)}<rect
        class="shell"
        x={layout.px(r.x)}
        y={layout.py(r.z + r.h)}
        width={r.w * layout.scale}
        height={r.h * layout.scale}
      />{/each}
    {#if section.dome}{@const d = section.dome}<rect
        class="shell"
        x={layout.px(d.x)}
        y={layout.py(d.z + d.h)}
        width={d.w * layout.scale}
        height={d.h * layout.scale}
      />{/if}
    {#each [...section.dry, ...section.tubes] as r, i (i)}<rect
        class="thin"
        x={layout.px(r.x)}
        y={layout.py(r.z + r.h)}
        width={r.w * layout.scale}
        height={Math.max(1, r.h * layout.scale)}
      />{/each}
    {#each layout.from as from, i (i)}
      {@const to = layout.placed[i]!}
      <!-- One that had to give way still shows where it belongs. -->
      {#if Math.hypot(from.x - to.x, from.y - to.y) > 6}<path class="leader" d="M{from.x} {from.y}L{to.x} {to.y}" /><circle
          class="end"
          cx={from.x}
          cy={from.y}
          r="3"
        />{/if}
    {/each}
  </svg>
  {#each spots as spot, i (spot.at)}
    {@const p = layout.placed[i]!}
    <button
      class={spot.is}
      class:chosen={chosen === spot.at}
      style:left="{p.x - size / 2}px"
      style:top="{p.y - size / 2}px"
      aria-pressed={chosen === spot.at}
      aria-label="{spot.name}: {spot.left ? `${spot.left} left` : spot.is}"
      onclick={() => onpoint(spot.at)}>{spot.left || (spot.is === 'dry' ? '✓' : spot.is === 'stops' ? '×' : '▲')}</button
    >
  {/each}
</div>

<style>
  .drawn {
    position: relative;
    min-width: 0;
  }
  svg {
    display: block;
  }
  .shell,
  .thin {
    fill: none;
    stroke: var(--ink2);
    stroke-width: 2;
  }
  .thin {
    stroke: var(--rule);
    stroke-width: 1;
  }
  .leader {
    stroke: var(--ink2);
    stroke-width: 1;
  }
  .end {
    fill: var(--ink2);
  }
  button {
    position: absolute;
    width: 44px;
    height: 44px;
    border: 2px solid var(--ink);
    border-radius: 50%;
    background: var(--raised);
    color: var(--ink);
    font: 600 1rem/1 var(--narrow);
    cursor: pointer;
    padding: 0;
  }
  .dry {
    border-color: var(--rule);
    color: var(--ink2);
  }
  .leaks {
    border-color: var(--caution);
    color: var(--caution);
  }
  .stops {
    border-color: var(--act);
    background: var(--act-solid);
    color: var(--on-act);
  }
  .chosen {
    outline: 3px solid var(--ink);
    outline-offset: 2px;
  }
</style>
