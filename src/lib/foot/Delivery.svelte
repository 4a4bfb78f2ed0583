<script lang="ts">
  // Whether what was logged has been delivered, what was not taken, and whether others are heard.
  import { waitingHere } from '../outbox/index.svelte';
  import { waitingSaid } from '../outbox/words';
  import { clock } from '../sheet/when';
  import type { Steaming } from './steaming.svelte';

  let { steaming, now }: { steaming: Steaming; now: number } = $props();
  const view = $derived(waitingHere());
  const said = $derived(waitingSaid(view));
  const wrong = $derived(view.unkept > 0 || (view.waiting.length > 0 && view.trouble !== undefined));
  /** What was not taken was not delivered either. */
  const all = $derived(view.aside.length ? '' : `All delivered${view.deliveredAt ? ` ${clock(view.deliveredAt)}` : ''}`);
  const feed = $derived(steaming.feed);
  /** How long nobody else has been heard, s: the page's clock ticks it. */
  const silent = $derived.by(() => {
    void now;
    return Math.round((Date.now() - feed.heardAt) / 1000);
  });
  const signIn = $derived(`/sign-in?then=${encodeURIComponent(`/footplate/${steaming.id}`)}`);
</script>

<span role="status" class:caution={wrong} class:act={view.unkept > 0}>
  {wrong ? '▲ ' : ''}{#if view.trouble?.is === 'signed out' && said}<a href={signIn}>{said}</a>{:else}{said ?? all}{/if}
</span>
{#if feed.over}<span class="caution">▲ <a href={signIn}>Signed out: others are not heard</a></span>
{:else if feed.deaf}<span class="caution">▲ Others last heard {silent} s ago</span>{/if}
{#each steaming.aside as w (w.id)}<span class="act">Not taken: {w.refused} <a href="/waiting">see</a></span>{/each}
