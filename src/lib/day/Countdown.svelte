<script lang="ts">
  // The day as a line, to scale: each step a station at its clock time, people as lanes, the raise as a shaded span with its band.
  // What is wanted can be dragged along the line, and a step's end in its lane; both can be moved with the arrow keys.
  import type { DayPlan, Sheet } from '$core/plan';
  import { printMarks } from '$core/units';
  import { unitChoice } from '../sheet/unit-choice';
  import { clock } from '../sheet/when';
  import type { ComponentProps } from 'svelte';
  import { Dragging, nudge, snap } from './dragging.svelte';
  import { timeScale } from './scale';
  import RunsOnLine from './RunsOnLine.svelte';
  import StationSaid from './StationSaid.svelte';

  let {
    sheet,
    plan,
    other,
    runs = [],
    now,
    chosen = $bindable(),
    onwant,
    onminutes
  }: {
    sheet: Sheet;
    plan: DayPlan;
    /** Another start, drawn under the line. */ other?: Sheet | undefined;
    /** Of an engine that nothing feeds. */ runs?: ComponentProps<typeof RunsOnLine>['runs'];
    now: number;
    /** Key of the station that is pointed at, here or in the table. */
    chosen?: string | undefined;
    onwant?: ((i: number, at: number) => void) | undefined;
    onminutes?: ((key: string, minutes: number) => void) | undefined;
  } = $props();

  const minute = 60_000;
  let width = $state(900);
  const left = 92;
  const right = $derived(width - 16);
  const lanes = $derived(plan.people.map((p) => p.name));
  const laneTall = 30;
  const top = 64;
  const lineY = top;
  const laneY = (who: string) => top + 26 + Math.max(0, lanes.indexOf(who)) * laneTall;
  const bottom = $derived(top + 26 + lanes.length * laneTall);
  const height = $derived(bottom + 26 + (other ? 26 : 0));

  const wants = $derived(plan.wants.map((w) => Date.parse(w.at)));
  const bounds = $derived({
    from: Math.min(sheet.begin, other?.begin ?? Infinity) - 10 * minute,
    to:
      Math.max(sheet.ready, ...runs.map((r) => r.stop), ...wants.filter((w) => w < sheet.ready + 60 * minute), other?.ready ?? 0) +
      20 * minute
  });
  const stations = $derived(sheet.stations);
  let svg: SVGSVGElement;
  const drag: Dragging<{ from: number; to: number }> = new Dragging(
    (event) => scale.at(event.clientX - svg.getBoundingClientRect().left),
    (d) => {
      if (d.kind === 'want') return d.at === wants[d.i] ? undefined : onwant?.(d.i, d.at);
      const s = stations.find((t) => t.key === d.key)!;
      onminutes?.(d.key, Math.max(0, Math.round((d.at - s.start) / minute)));
    }
  );
  const scale = $derived(timeScale((drag.held ?? bounds).from, (drag.held ?? bounds).to, left, right));
  const x = $derived(scale.x);
  const phases = $derived(
    [...new Map(stations.map((s) => [s.phase, s.start])).entries()].map(([phase, start], i, all) => ({
      phase,
      start,
      end: all[i + 1]?.[1] ?? sheet.ready
    }))
  );
  const end = $derived(Math.min(scale.to, Number.isFinite(sheet.steam.late) ? sheet.steam.late : scale.to));
  const later = $derived(plan.wants.filter((w) => x(Date.parse(w.at)) > right + 2));
  const endOf = (s: (typeof stations)[number]) => drag.step(s.key, s.end);
</script>

<figure class="plot" bind:clientWidth={width}>
  <svg
    bind:this={svg}
    {width}
    {height}
    role="group"
    aria-label="Countdown, to scale: begin {clock(sheet.begin)}, light {clock(sheet.light)}, ready {clock(sheet.ready)}"
    onpointermove={drag.move}
    onpointerup={drag.end}
    onpointercancel={drag.stop}
  >
    {#each scale.marks as mark (mark)}
      <path class="mark" d="M{x(mark)} {lineY - 5}V{bottom}" />
      <text class="time" x={x(mark)} y={bottom + 16} text-anchor="middle">{clock(mark)}</text>
    {/each}

    <!-- The raise: the whole span light, the band in which working pressure is reached darker. -->
    <rect
      class="raise"
      x={x(sheet.light)}
      y={lineY - 12}
      width={Math.max(0, x(Math.min(scale.to, sheet.steam.middle)) - x(sheet.light))}
      height="24"
    />
    <rect
      class="due"
      x={x(Math.min(scale.to, sheet.steam.early))}
      y={lineY - 12}
      width={Math.max(1, x(end) - x(Math.min(scale.to, sheet.steam.early)))}
      height="24"
    />
    <RunsOnLine {runs} {x} y={lineY} />
    <path class="line" d="M{x(sheet.begin)} {lineY}H{x(Math.max(sheet.ready, ...wants.filter((w) => w < scale.to)))}" />
    {#each phases as p (p.phase)}
      <path class="phase" d="M{x(p.start)} {lineY - 9}v18" />
      {#if x(p.end) - x(p.start) > 12 + 7 * p.phase.length}<text class="word" x={x(p.start) + 4} y={lineY - 18}>{p.phase}</text>{/if}
    {/each}
    {#each stations as s (s.key)}<circle
        class="station"
        class:on={s.key === chosen}
        cx={x(s.start)}
        cy={lineY}
        r={s.key === chosen ? 5 : 3}
      />{/each}

    {#if now > scale.from && now < scale.to}<path class="now" d="M{x(now)} {lineY - 14}V{bottom}" /><text
        class="nowword"
        x={x(now) + 4}
        y={bottom - 3}>now</text
      >{/if}

    {#each plan.people as p (p.name)}
      <text class="who" x="0" y={laneY(p.name) + 16}>{p.name.split(' ')[0]}</text>
      <path class="lane" d="M{left} {laneY(p.name) + 26}H{right}" />
      {#if p.from}<path class="arrives" d="M{x(Math.max(scale.from, Math.min(scale.to, Date.parse(p.from))))} {laneY(p.name)}v26" />{/if}
    {/each}
    {#each stations as s (s.key)}
      {@const w = Math.max(2, x(endOf(s)) - x(s.start) - 1)}
      <g>
        <rect
          class="task"
          class:chore={s.chore}
          class:on={s.key === chosen}
          x={x(s.start)}
          y={laneY(s.who) + 4}
          width={w}
          height="20"
          role="button"
          tabindex="-1"
          aria-label="{printMarks(s.what, unitChoice())}, {clock(s.start)} to {clock(s.end)}"
          onclick={() => (chosen = s.key)}
          onkeydown={(e) => e.key === 'Enter' && (chosen = s.key)}
        />
        {#if onminutes && s.key === chosen && s.start >= scale.from}
          <rect
            class="grip"
            x={x(endOf(s)) - 5}
            y={laneY(s.who) + 1}
            width="10"
            height="26"
            role="slider"
            tabindex="0"
            aria-label="Minutes for: {printMarks(s.what, unitChoice())}"
            aria-valuenow={Math.round((endOf(s) - s.start) / minute)}
            aria-valuemin="0"
            aria-valuemax="480"
            aria-valuetext="{Math.round((endOf(s) - s.start) / minute)} min"
            onpointerdown={(e) => drag.begin(e, { kind: 'step', key: s.key, at: s.end }, bounds)}
            onkeydown={(e) => nudge(e, (by) => onminutes(s.key, Math.max(0, Math.round((s.end - s.start) / minute) + by)))}
          />
        {/if}
      </g>
    {/each}

    {#if other}
      {@const y = bottom + 30}
      <text class="who" x="0" y={y + 4}>the other</text>
      <rect
        class="raise"
        x={x(other.light)}
        y={y - 6}
        width={Math.max(0, x(Math.min(scale.to, other.steam.middle)) - x(other.light))}
        height="12"
      />
      <rect
        class="due"
        x={x(other.steam.early)}
        y={y - 6}
        width={Math.max(1, x(Math.min(scale.to, other.steam.late)) - x(other.steam.early))}
        height="12"
      />
      <path
        class="line"
        d="M{x(other.begin)} {y}H{x(other.ready)}M{x(other.begin)} {y - 5}v10M{x(other.light)} {y - 5}v10M{x(other.ready)} {y - 5}v10"
      />
    {/if}

    {#each plan.wants as w, i (i)}
      {@const at = drag.want(i, wants[i]!)}
      {@const wx = x(at)}
      {#if wx <= right + 2}
        <g
          class="want"
          class:first={i === 0}
          class:live={onwant !== undefined}
          role="slider"
          tabindex={onwant ? 0 : -1}
          aria-label="Wanted: {w.what}. Drag, or arrows for five minutes"
          aria-valuenow={Math.round(at / minute)}
          aria-valuemin={Math.round(scale.from / minute)}
          aria-valuemax={Math.round(scale.to / minute)}
          aria-valuetext={clock(at)}
          onpointerdown={(e) => onwant && drag.begin(e, { kind: 'want', i, at: wants[i]! }, bounds)}
          onkeydown={(e) => onwant && nudge(e, (by) => onwant(i, wants[i]! + by * snap))}
        >
          <rect class="hold" fill="transparent" x={wx - 46} y="0" width="92" height={bottom} />
          <path d="M{wx} 34V{bottom}" />
          <path class="flag" d="M{wx} 34l-7 -10h14z" />
          <text x={Math.min(right - 2, wx + 46)} y="18" text-anchor="end"
            >{w.what.length > 16 ? `${w.what.slice(0, 15)}…` : w.what} {clock(at)}</text
          >
        </g>
      {/if}
    {/each}
  </svg>
  <figcaption><StationSaid station={stations.find((s) => s.key === chosen)} {later} may={onwant !== undefined} /></figcaption>
</figure>

<style>
  figure {
    min-width: 0;
  }
  svg {
    touch-action: pan-y;
    user-select: none;
  }
  .phase {
    stroke: var(--ink);
    stroke-width: 1.5;
  }
  .station {
    fill: var(--raised);
    stroke: var(--ink);
    stroke-width: 1.5;
  }
  .station.on,
  .task.on {
    fill: var(--works);
    stroke: var(--works);
  }
  .arrives {
    stroke: var(--ink);
    stroke-width: 2;
    stroke-dasharray: 3 3;
  }
  .task {
    cursor: pointer;
    outline: none;
  }
  .task.chore {
    fill: var(--raised);
  }
  .grip {
    fill: var(--ink);
    cursor: ew-resize;
  }
  .now {
    stroke: var(--fire);
    stroke-width: 1.5;
  }
  .nowword {
    fill: var(--fire);
  }
  text {
    font-size: 0.875rem;
  }
  .word,
  .who,
  .want .flag {
    fill: var(--ink);
  }
  .want path {
    stroke: var(--ink2);
    stroke-width: 1;
    stroke-dasharray: 4 3;
  }
  .want.first path {
    stroke: var(--ink);
    stroke-width: 2;
    stroke-dasharray: none;
  }
  .want text {
    fill: var(--ink);
    font-weight: 600;
    font-size: 0.9375rem;
  }
  .want.live {
    cursor: ew-resize;
    touch-action: none;
  }
</style>
