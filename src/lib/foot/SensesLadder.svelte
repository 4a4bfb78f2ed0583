<script lang="ts">
  // What tells on an engine without a needle: a ladder from cold to blowing off, to point at as others point at a scale.
  import { sensesAhead } from '$core/learn';
  import { sensedBefore } from '$core/log';
  import { sensesOf } from '$core/procedure';
  import { clock } from '../sheet/when';
  import type { Footplate } from './footplate.svelte';

  let { foot }: { foot: Footplate } = $props();
  const lit = $derived(foot.state.fire.litAt && !foot.state.fire.outAt ? Date.parse(foot.state.fire.litAt) : undefined);
  const all = $derived([...sensesOf(foot.fitOut)].reverse());
  const at = (seen: (typeof all)[number]['seen']) => {
    const when = foot.state.seen[seen];
    return when && (lit === undefined ? !foot.state.fire.litAt : Date.parse(when) >= lit) ? when : undefined;
  };
  /** The highest rung that was reached. */
  const stands = $derived(all.find((r) => at(r.seen))?.seen);
  /** A window of it that climbs with the engine: one rung under where it stands, and those that come next. */
  const rungs = $derived.by(() => {
    const from = stands === undefined || lit === undefined ? all.length : Math.min(all.length, all.findIndex((r) => r.seen === stands) + 2);
    return all.slice(Math.max(0, from - 7), from);
  });
  const past = $derived(sensedBefore(foot.log));
  const ahead = $derived.by(() => {
    const count = foot.countdown;
    if (!count || 'refused' in count || lit === undefined) return new Map<string, string>();
    return new Map(
      sensesAhead(foot.fitOut, count.sum, past).map((f) => [f.sense.seen, `${clock(lit + f.early * 1000)}–${clock(lit + f.late * 1000)}`])
    );
  });
</script>

<div class="ladder" role="group" aria-label="What tells">
  <p class="label">What tells</p>
  {#each rungs as rung (rung.seen)}
    {@const seen = at(rung.seen)}
    <button
      class:here={stands === rung.seen}
      class:seen={seen !== undefined}
      onclick={() => foot.record('observation', { seen: rung.seen })}
    >
      <span>{rung.word}</span>
      <span class="second">{seen ? clock(seen) : (ahead.get(rung.seen) ?? '')}</span>
    </button>
  {/each}
</div>

<style>
  .ladder {
    display: flex;
    flex-direction: column;
    min-height: 0;
    overflow: auto;
    flex: 1;
  }
  button {
    display: flex;
    justify-content: space-between;
    align-items: center;
    gap: 10px;
    min-height: 44px;
    flex: 1 0 44px;
    max-height: 56px;
    border: 0;
    border-top: 1px solid var(--rule);
    border-left: 3px solid var(--rule);
    background: none;
    color: var(--ink);
    font: 500 1rem/1.15 var(--sans, inherit);
    text-align: left;
    padding: 2px 8px;
    cursor: pointer;
  }
  button:last-child {
    border-bottom: 1px solid var(--rule);
  }
  .seen {
    border-left-color: var(--ink);
  }
  .here {
    font-weight: 700;
    border-left-width: 8px;
    border-left-color: var(--ink);
  }
  .second {
    font-size: 0.875rem;
    white-space: nowrap;
  }
</style>
