<script lang="ts">
  // An accumulation test while it lasts: how long it has to go, how high the needle came, and when it is to be read.
  import { accumulationWords, underWay } from '$core/log';
  import { printMarks, printText } from '$core/units';
  import { unitChoice } from '../sheet/unit-choice';
  import { leftOn } from '../sheet/when';
  import type { Footplate } from './footplate.svelte';

  let { foot, onopen }: { foot: Footplate; onopen: () => void } = $props();
  const units = $derived(unitChoice());
  const test = $derived(underWay(foot.log, foot.now));
  const left = $derived(test ? test.from + test.said.lasts * 1000 - foot.now : 0);
  const due = $derived(test ? test.readBy - foot.now : 0);
</script>

{#if test}
  <section class="strip accumulation" class:act={test.verdict === 'over'} aria-label="Accumulation test">
    <p class="now">
      <strong>Accumulation test</strong>
      <span class="figure">{left > 0 ? `${leftOn(left)} left` : 'its time is over'}</span>
      {#if test.peak !== undefined}<span class="figure">highest {printText(test.peak, 'pressure', units)}</span>{/if}
      <span class="figure">over at {printText(test.limit, 'pressure', units)}</span>
    </p>
    {#if test.verdict === 'over'}<p>{printMarks(accumulationWords(test), units)}</p>
    {:else if left > 0}<p role={due <= 0 ? 'alert' : undefined}>
        {due > 0 ? `Read the needle and log it: within ${leftOn(due)}.` : 'Read the needle now, and log it.'} Look at the glass beside it.
      </p>{/if}
    {#each test.spoilt as why (why)}<p>{printMarks(why, units)}</p>{/each}
    <div class="row">
      <button class="plain" class:go={left <= 0} onclick={() => foot.record('accumulation', { act: 'ends' })}>
        {left > 0 && test.verdict !== 'over' ? 'End it before its time' : 'End the test'}
      </button>
      <button class="quiet" onclick={onopen}>Its working</button>
    </div>
  </section>
{/if}

<style>
  section {
    display: grid;
    gap: 6px;
  }
  .now {
    display: flex;
    flex-wrap: wrap;
    gap: 2px 18px;
    font-size: 1.125rem;
  }
</style>
