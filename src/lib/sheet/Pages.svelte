<script lang="ts">
  // The pages of a long list; nothing when there is one.
  import { PaginationNav } from 'carbon-components-svelte';
  import { goWith } from './go-with';

  let { total, size, page }: { total: number; size: number; /** From 1. */ page: number } = $props();
  const pages = $derived(Math.max(1, Math.ceil(total / size)));
</script>

{#if pages > 1}
  <div>
    <PaginationNav total={pages} page={page - 1} shown={7} on:change={(e) => goWith({ page: String(e.detail.page + 1) })} />
  </div>
{/if}

<style>
  div {
    border-top: 1px solid var(--ink);
    padding: 4px;
    display: flex;
    justify-content: center;
  }
</style>
