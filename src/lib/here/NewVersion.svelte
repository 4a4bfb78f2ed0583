<script lang="ts">
  // A new version waits on this device: offered, and never taken under a running Footplate.
  import { isNewer, takeNewer } from './worker.svelte';
</script>

{#if isNewer()}
  <p class="no-print">A new version of Joram is on this device. <button class="quiet" onclick={takeNewer}>Use it now</button></p>
{/if}

<style>
  p {
    max-width: 1280px;
    margin: 0 auto;
    padding: 8px 16px 0;
    display: flex;
    gap: 12px;
    align-items: baseline;
  }
</style>
