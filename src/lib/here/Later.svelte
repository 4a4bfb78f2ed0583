<script lang="ts">
  // A part of a page that comes in a turn of its own after the page is there, so that the page answers a hand between its parts. The
  // server leaves it out.
  import { onMount, type Snippet } from 'svelte';
  import { ownTurn } from './turn';

  let { children }: { children: Snippet } = $props();
  let come = $state(false);
  onMount(() => {
    let gone = false;
    void ownTurn().then(() => (come = !gone));
    return () => void (gone = true);
  });
</script>

{#if come}{@render children()}{/if}
