<script lang="ts">
  // What feeding and firing would do now, whether this is the moment, and what the last feed did cost.
  import { printMarks } from '$core/units';
  import { aheadWords, doneWords, feedAhead, feedDone, fireAhead, fireWords, type Watch } from '$core/watch';
  import { unitChoice } from '../sheet/unit-choice';

  let {
    watch,
    now,
    of,
    brief = false
  }: {
    watch: Watch;
    now: number;
    /** Of the one alone, where that is being chosen. */ of?: 'feed' | 'fire';
    /** Whether, and not what it comes to. */ brief?: boolean;
  } = $props();
  const units = $derived(unitChoice());
  // Ages are in minutes: nothing is worked out anew each second.
  const minute = $derived(Math.floor(now / 15_000) * 15_000);
  const feed = $derived(of === 'fire' ? undefined : feedAhead(watch.view, minute));
  const done = $derived(of === 'fire' || brief ? undefined : feedDone(watch.view));
  const fire = $derived(of === 'feed' ? undefined : fireAhead(watch.view, minute));
</script>

{#if feed || done || fire}
  <div class="coach" aria-label="Feed and fire">
    {#if feed}<p><strong>{feed.now ? 'Feed now.' : 'Not yet.'}</strong> {printMarks(feed.why, units)}</p>
      {#if !brief}<p class="second">{printMarks(aheadWords(feed), units)}</p>{/if}{/if}
    {#if done}<p class="second">{done.feed}, last: {printMarks(doneWords(done), units)}</p>{/if}
    {#if fire}<p><strong>Fire.</strong> {printMarks(fireWords(fire, minute), units)}</p>{/if}
  </div>
{/if}

<style>
  .coach {
    font-size: 0.9375rem;
    line-height: 1.3;
  }
  p + p {
    margin-top: 2px;
  }
</style>
