<script lang="ts">
  // What was read, against time. The chart's code is fetched only when a trend is looked at.
  import type { Log } from '$core/log';
  import { onMount } from 'svelte';
  import type { Footing } from '../../workers/jobs';
  import { clubZone } from '../sheet/club';
  import { unitChoice } from '../sheet/unit-choice';

  let {
    log,
    now,
    footing
  }: { log: Log; now: number; /** Plan and forecast, drawn behind what was read. */ footing?: Footing | undefined } = $props();
  let element: HTMLElement;
  let chart = $state<Awaited<ReturnType<typeof import('./trend').draw>>>();
  let failed = $state(false);
  const some = $derived(log.events.some((e) => e.is === 'reading') || (footing?.fan.length ?? 0) > 0);

  onMount(() => {
    let ended = false;
    // On a phone the trend lies under what is done first: its code comes when somebody scrolls near it.
    const near = new IntersectionObserver(
      (seen) => {
        if (!seen.some((s) => s.isIntersecting)) return;
        near.disconnect();
        import('./trend').then(
          ({ draw }) => {
            if (!ended) chart = draw(element);
          },
          () => (failed = true)
        );
      },
      { rootMargin: '200px' }
    );
    near.observe(element);
    return () => {
      ended = true;
      near.disconnect();
      chart?.end();
    };
  });
  // Once a minute is often enough for the axis; every entry redraws at once.
  const minute = $derived(Math.floor(now / 60_000) * 60_000);
  $effect(() => chart?.show(log, unitChoice(), minute, clubZone(), footing));
</script>

<div class="trend">
  <div
    class="canvas"
    class:none={!some}
    bind:this={element}
    role="img"
    aria-label="Trend of pressure and glass against time; every reading is listed in the log"
  ></div>
  {#if !some}<p class="note second">
      {failed ? 'The chart could not be loaded. Every reading is in the log.' : 'The trend begins with the first reading.'}
    </p>{/if}
</div>

<style>
  .trend {
    position: relative;
    height: 100%;
    min-height: 220px;
  }
  .canvas {
    position: absolute;
    inset: 0;
  }
  .none {
    visibility: hidden;
  }
  .note {
    position: absolute;
    left: 0;
    top: 8px;
  }
</style>
