<script lang="ts">
  // The release in two lines, where it is about to be signed: what failed, what was not tested, how many feeds.
  import { feedsProven, openFaults, released } from '$core/log';
  import type { Footplate } from './footplate.svelte';

  let { foot, onopen }: { foot: Footplate; onopen: () => void } = $props();
  const items = $derived(released(foot.fitOut, foot.state));
  const named = (result: string) => items.filter((i) => i.result === result).map((i) => i.name.toLowerCase());
  const feeds = $derived(feedsProven(foot.fitOut, foot.state));
  const faults = $derived(openFaults(foot.state).length);
  const lines = $derived([
    ['Failed', named('failed').join(', ')],
    ['Not tested', named('not tested').join(', ')],
    ['Feeds proven', feeds.able.length ? `${feeds.proven.length} of ${feeds.able.length}` : ''],
    ['Open faults', faults ? `${faults}` : '']
  ]);
</script>

<div class="release">
  {#each lines as [label, said] (label)}{#if said}<p class:caution={label === 'Failed'}>
        <span class="label">{label}</span>
        {said}
      </p>{/if}{/each}
  <button class="quiet" onclick={onopen}>See the release</button>
</div>

<style>
  .release {
    border: 1px solid var(--rule);
    padding: 8px 10px;
    display: grid;
    gap: 4px;
  }
</style>
