<script lang="ts">
  // For ten seconds after an entry it is taken back in one touch.
  import type { Steaming } from './steaming.svelte';

  let { steaming }: { steaming: Steaming } = $props();
</script>

{#if steaming.undoable}
  <p role="status"><span>Logged.</span><button class="plain" onclick={() => steaming.undo()}>Undo</button></p>
{/if}

<style>
  p {
    display: flex;
    justify-content: space-between;
    align-items: center;
    border: 1px dashed var(--ink);
    padding: 2px 2px 2px 10px;
  }
</style>
