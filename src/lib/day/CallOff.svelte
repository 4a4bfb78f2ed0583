<script lang="ts">
  // Calling a plan off: asked twice.
  import { goto } from '$app/navigation';

  let { id }: { id: string } = $props();
  let sure = $state(false);
  let problem = $state<string>();
  async function callOff() {
    const response = await fetch(`/api/plans/${id}`, { method: 'DELETE' }).catch(() => undefined);
    if (response?.ok) return goto('/');
    problem = response ? (await response.json()).sentence : 'There is no connection: this needs one. Nothing was changed.';
  }
</script>

<p class="off no-print">
  {#if sure}Call this plan off? <button class="quiet" onclick={callOff}>Yes, call it off</button>
    <button class="quiet" onclick={() => (sure = false)}>No</button>
  {:else}<button class="quiet" onclick={() => (sure = true)}>Call this plan off</button>{/if}
  {#if problem}<span class="problem" role="alert">{problem}</span>{/if}
</p>

<style>
  .off {
    font-size: 0.9375rem;
  }
</style>
