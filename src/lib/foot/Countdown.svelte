<script lang="ts">
  // One time by which it has to be over, large, with what sets it; before the match what it will be by what is in.
  import { ends } from '../sheet/ends';
  import { unitChoice } from '../sheet/unit-choice';
  import { clock, leftOn } from '../sheet/when';
  import Working from '../sheet/Working.svelte';
  import { printMarks, printText } from '$core/units';
  import { lastMinutes } from '$core/watch';
  import type { Footplate } from './footplate.svelte';

  let { foot, small = false }: { foot: Footplate; /** In the head of a phone: the figure alone. */ small?: boolean } = $props();
  const units = $derived(unitChoice());
  const count = $derived(foot.countdown);
  const running = $derived(count && !('refused' in count) ? count : undefined);
  const volume = (kg: number) => (running ? printText((kg / running.sum.water) * running.sum.fill, 'volume', units) : '');
  // The page’s second may lie before the match by a hair.
  const left = $derived(running ? running.stop - Math.max(running.lit, foot.now) : 0);
</script>

{#if small}
  {#if running}<strong class="small" class:over={left <= lastMinutes}>{leftOn(left)}</strong>{/if}
{:else if count && 'refused' in count}
  <p class="strip act" role="alert">▲ {printMarks(count.refused, units)}</p>
{:else if running}
  <section class="count" aria-label="Countdown">
    <p class="label">{left < 0 ? 'Over its time by' : 'Over in'}</p>
    <p class="figure" class:over={left <= lastMinutes} role="timer">{leftOn(Math.abs(left))}</p>
    <p class="line">
      at {clock(running.stop)}: {ends[running.by]}{#if running.flameOut && Math.abs(running.flameOut - running.stop) > 60_000}. Last flame
        about {clock(running.flameOut)}{/if}{#if running.callIn}. <strong>Call it in at {clock(running.callIn)}</strong>{/if}
    </p>
    <p class="line second">
      {running.taken ? 'Water not measured: taken as ' : 'Of '}{volume(running.sum.water)} about
      {volume(running.sum.left)} is left then, {volume(Math.max(0, running.sum.leastLeft))} at least.
    </p>
    <details><summary>Working</summary><Working worked={running.sum.worked} /></details>
  </section>
{/if}

<style>
  .count {
    border-bottom: 1px solid var(--rule);
    padding-bottom: 8px;
    margin-bottom: 8px;
    /* Its words never widen the instruments’ column. */
    width: 0;
    min-width: 100%;
  }
  .figure {
    font: 600 4.5rem/1 var(--narrow);
    font-variant-numeric: tabular-nums;
  }
  .small {
    font: 600 1.625rem/1.2 var(--narrow);
  }
  /* On a phone it shares its height with what tells. */
  @media (min-height: 36rem) {
    @container page (min-width: 19rem) and (max-width: 37.5rem) {
      .count {
        display: grid;
        grid-template-columns: auto minmax(0, 1fr);
        gap: 0 12px;
        align-items: center;
        padding-bottom: 4px;
        margin-bottom: 4px;
        flex: none;
      }
      .count .figure {
        font-size: 2.75rem;
      }
      .count .label,
      .count details,
      .count .second {
        display: none;
      }
    }
  }
  .over {
    color: var(--act);
  }
  .line {
    font-size: 0.9375rem;
    line-height: 1.3;
  }
</style>
