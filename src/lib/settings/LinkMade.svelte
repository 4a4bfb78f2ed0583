<script lang="ts">
  // A link that is shown once, to be given to one person.
  import { CopyButton } from 'carbon-components-svelte';

  let { link }: { link: string } = $props();
  /** What became of copying it. */
  let copied = $state('');
</script>

<p class="link" role="status">
  <span>{link}</span><CopyButton
    text={link}
    on:copy={() => (copied = 'Copied.')}
    on:copy:error={() => (copied = 'Not copied: mark it and copy it by hand.')}
  />
</p>
{#if copied}<p role="status">{copied}</p>{/if}

<style>
  .link {
    display: flex;
    gap: 8px;
    align-items: center;
    border: 1px solid var(--ink);
    padding: 4px 4px 4px 10px;
    overflow-wrap: anywhere;
  }
</style>
