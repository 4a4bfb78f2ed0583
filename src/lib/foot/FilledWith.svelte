<script lang="ts">
  // Which water it is filled with, in one touch: for the ledger of its water. What is usual stands in its fit-out.
  import { waters } from '$core/engine';
  import type { Footplate } from './footplate.svelte';

  let { foot }: { foot: Footplate } = $props();
  const said = $derived(foot.state.filled?.water);
  const usual = $derived(waters[foot.fitOut.water.kind]);
</script>

<div class="row" role="group" aria-label="Filled with">
  <span class="second">Which water? Usually {usual}.</span>
  {#each Object.entries(waters) as [kind, word] (kind)}<button
      class="plain"
      aria-pressed={said === kind}
      onclick={() => said === kind || foot.record('filled', { water: kind as keyof typeof waters })}>{word}</button
    >{/each}
</div>

<style>
  .row {
    gap: 8px;
    flex-wrap: wrap;
    margin-top: 8px;
  }
  .plain[aria-pressed='true'] {
    background: var(--ink);
    color: var(--paper);
  }
</style>
