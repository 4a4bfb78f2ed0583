<script lang="ts">
  // Whether what was logged has been delivered, and what was not taken.
  import { clock } from '../sheet/when';
  import type { Steaming } from './steaming.svelte';

  let { steaming }: { steaming: Steaming } = $props();
</script>

<span role="status" class:caution={!steaming.reachable}>
  {#if !steaming.reachable}▲ No connection. {steaming.waiting} kept on this device{:else if steaming.waiting}{steaming.waiting} on the way{:else}All
    delivered{steaming.deliveredAt ? ` ${clock(steaming.deliveredAt)}` : ''}{/if}
</span>
{#each steaming.refused as r (r.id)}<span class="act">Refused: {r.refused}</span>{/each}
