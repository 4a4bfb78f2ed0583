<script lang="ts">
  // What was mended is tried again: what it did goes to its fault, and holds or opens it again.
  import type { Footplate } from './footplate.svelte';

  let { foot }: { foot: Footplate } = $props();
  const proof = $derived(foot.placed?.step.proof);
  const test = $derived(proof?.kind === 'retest' ? proof.test : undefined);
  const told = $derived(test === undefined ? undefined : foot.state.tests[test]?.result);
</script>

{#if test !== undefined}
  {#if told === 'fail'}<p class="caution">▲ It is back again. Skip this step, and say why.</p>
  {:else}
    <div class="retest">
      <button class="plain go" onclick={() => foot.record('test', { test, result: 'pass' })}>It holds</button>
      <button class="plain" onclick={() => foot.record('test', { test, result: 'fail' })}>Back again</button>
    </div>
  {/if}
{/if}

<style>
  .retest {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 8px;
    margin: 8px 0;
  }
  .retest button {
    min-height: 56px;
    justify-content: center;
  }
</style>
