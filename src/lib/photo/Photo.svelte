<script lang="ts">
  // A picture by its sum: as the server has it, or as this device still keeps it.
  import { onDestroy } from 'svelte';
  import { pictureHere } from './keep';

  let { sum, what }: { sum: string; what: string } = $props();
  let own = $state<string>();
  let missing = $state(false);
  async function fromHere() {
    const bytes = own === undefined ? await pictureHere(sum) : undefined;
    if (bytes) own = URL.createObjectURL(bytes);
    else missing = true;
  }
  onDestroy(() => own && URL.revokeObjectURL(own));
</script>

{#if missing}<p class="second">Photo, not here yet: {what}</p>
{:else}<figure>
    <img src={own ?? `/api/photos/${sum}`} alt={what} loading="lazy" onerror={fromHere} />
    <figcaption class="second">{what}</figcaption>
  </figure>{/if}

<style>
  img {
    max-width: 100%;
    max-height: 18rem;
    border: 1px solid var(--ink);
    display: block;
  }
  figure {
    min-width: 0;
    break-inside: avoid;
  }
</style>
