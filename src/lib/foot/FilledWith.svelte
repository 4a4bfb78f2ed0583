<script lang="ts">
  // Which water it is filled with, in one touch: for the ledger of its water. What is usual stands in its fit-out.
  import { waters } from '$core/engine';
  import type { Footplate } from './footplate.svelte';

  let { foot }: { foot: Footplate } = $props();
  const said = $derived(foot.state.filled?.water);
</script>

<div class="with" role="group" aria-label="Filled with">
  <span class="second">Which water? Usually {foot.fitOut.water.kind}.</span>
  {#each Object.keys(waters) as (keyof typeof waters)[] as kind (kind)}<button
      class="plain"
      aria-pressed={said === kind}
      onclick={() => said === kind || foot.record('filled', { water: kind })}>{kind}</button
    >{/each}
</div>

<style>
  .with {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(3.5rem, 1fr));
    gap: 4px 8px;
    margin-top: 8px;
  }
  .second {
    grid-column: 1 / -1;
  }
  .plain {
    padding-inline: 2px;
    font-size: 0.9375rem;
  }
  .plain[aria-pressed='true'] {
    background: var(--ink);
    color: var(--paper);
  }
</style>
