<script lang="ts">
  // The moment of a day that is gone over once more: pulled along, stepped from entry to entry, or played.
  import { clock } from '../sheet/when';
  import type { Replay } from './replay.svelte';

  let { replay }: { replay: Replay } = $props();
  const minute = 60_000;
  let plays = $state(false);
  $effect(() => {
    if (!plays) return;
    // A minute of the day in a second.
    const timer = setInterval(() => {
      replay.go(replay.at + minute / 4);
      if (replay.at >= replay.ends) plays = false;
    }, 250);
    return () => clearInterval(timer);
  });
</script>

<div class="time">
  <strong class="figure">{clock(replay.at)}</strong>
  <label>
    <span class="label">Moment of the day</span>
    <input
      type="range"
      min={replay.begins}
      max={replay.ends}
      step={minute / 4}
      value={replay.at}
      aria-valuetext={clock(replay.at)}
      oninput={(e) => replay.go(Number(e.currentTarget.value))}
    />
  </label>
  <div class="row">
    <button class="plain" onclick={() => replay.go(replay.at - 10 * minute)}>10 min back</button>
    <button class="plain" onclick={() => replay.go(replay.next(true))}>Entry before</button>
    <button class="plain go" onclick={() => (plays = !plays)}>{plays ? 'Stop' : 'A minute a second'}</button>
    <button class="plain" onclick={() => replay.go(replay.next())}>Next entry</button>
    <button class="plain" onclick={() => replay.go(replay.at + 10 * minute)}>10 min on</button>
  </div>
</div>

<style>
  .time {
    position: sticky;
    top: 0;
    z-index: 2;
    display: grid;
    grid-template-columns: auto minmax(200px, 1fr) auto;
    gap: 8px 16px;
    align-items: center;
    border: 1px solid var(--ink);
    background: var(--raised);
    padding: 8px 12px;
  }
  .time strong {
    font: 600 2rem/1 var(--narrow);
  }
  .time label {
    display: grid;
  }
  input {
    width: 100%;
    min-height: 32px;
    accent-color: var(--works);
  }
  .row {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
  }
  @container page (max-width: 62.5rem) {
    .time {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
