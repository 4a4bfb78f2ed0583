<script lang="ts">
  // The oil round as a drawing: each point where it is on this engine, with its oil and when it was last seen to; touched in their order.
  import type { FitOut } from '$core/engine';
  import type { Log } from '$core/log';
  import { printText } from '$core/units';
  import { elevationOf } from '../draw/elevation';
  import { unitChoice } from '../sheet/unit-choice';
  import { clock } from '../sheet/when';

  let {
    fitOut,
    log,
    missed,
    onoil,
    onall
  }: {
    fitOut: FitOut;
    log: Log;
    /** What was missed last time heads this round. */
    missed: readonly string[];
    onoil: (point: string) => void;
    /** The round is done, but for what was missed. */
    onall: (missed: readonly string[]) => void;
  } = $props();
  const drawn = $derived(elevationOf(fitOut));
  const oiledAt = (point: string) => log.events.findLast((e) => e.is === 'oil' && e.what === point)?.at;
  const all = $derived(
    fitOut.lubrication
      .map((p, i) => ({ ...p, ...drawn.points[i]!, at: oiledAt(p.point), late: missed.includes(p.point) }))
      // What is filled and wound has steps of its own: the round is the can’s.
      .filter((p) => p.kind === 'hand' || p.kind === 'cup')
      .sort((a, b) => Number(b.late) - Number(a.late) || a.x - b.x)
  );
  const left = $derived(all.filter((p) => !p.at).map((p) => p.point));
  const path = (line: readonly (readonly [number, number])[]) => `M${line.map((p) => p.join(' ')).join('L')}`;
</script>

<div class="round">
  <svg viewBox="0 0 {drawn.wide} {drawn.high}" role="img" aria-label="{fitOut.name} from the side, with its {all.length} oiling points">
    {#each drawn.boxes as b, i (i)}<rect x={b.x} y={b.y} width={b.w} height={b.h} />{/each}
    {#each drawn.wheels as w, i (i)}<circle class="wheel" cx={w.x} cy={w.y} r={w.r} />{/each}
    {#each drawn.lines as line, i (i)}<path d={path(line)} />{/each}
    {#each all as p, i (p.point)}
      <g class:done={p.at}><circle class="dot" cx={p.x} cy={p.y} r="3.4" /><text x={p.x} y={p.y + 1.5}>{i + 1}</text></g>
    {/each}
  </svg>
  <ol>
    {#each all as p, i (p.point)}
      <li>
        <button class="point" disabled={p.at !== undefined} onclick={() => onoil(p.point)}
          ><span class="figure">{i + 1}</span><span>{p.point}{p.late ? ', missed last time' : ''}</span><span class="second"
            >{p.at ? `✓ ${clock(p.at)}` : `${p.oil === 'grease' ? 'grease' : p.oil}, ${printText(p.every, 'time', unitChoice())}`}</span
          ></button
        >
      </li>
    {/each}
  </ol>
  <button class="plain go done" onclick={() => onall(left.length === all.length ? [] : left)}
    >{left.length === 0 || left.length === all.length ? 'All oiled' : `Done, ${left.length} missed`}</button
  >
</div>

<style>
  svg {
    width: 100%;
    display: block;
  }
  rect,
  path,
  circle {
    fill: none;
    stroke: var(--ink);
    stroke-width: 0.5;
  }
  .dot {
    fill: var(--paper);
    stroke-width: 0.7;
  }
  .done .dot {
    fill: var(--works);
  }
  text {
    font: 600 4px var(--narrow);
    text-anchor: middle;
    fill: var(--ink);
  }
  .done text {
    fill: var(--paper);
  }
  li {
    border-top: 1px solid var(--rule);
  }
  .point {
    display: grid;
    grid-template-columns: 1.5rem minmax(0, 3fr) minmax(0, 2fr);
    gap: 8px;
    width: 100%;
    min-height: 44px;
    align-items: center;
    border: 0;
    background: none;
    color: var(--ink);
    text-align: left;
    font-size: 1rem;
    line-height: 1.2;
    cursor: pointer;
  }
  .point:disabled {
    color: var(--ink2);
    cursor: default;
  }
  .done.go {
    width: 100%;
    min-height: 56px;
    margin-top: 8px;
    font-size: 1.25rem;
  }
</style>
