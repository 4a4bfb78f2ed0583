<script lang="ts">
  // It is offered and not taken: to whoever is to have it, what goes with it and one touch; to whoever gives it, that it is still theirs.
  import Offered from './Offered.svelte';
  import type { Footplate } from './footplate.svelte';

  let { foot }: { foot: Footplate } = $props();
  const offer = $derived(foot.state.offer);
  const mine = $derived(offer?.to === foot.me);
  let signIn = $state('');
</script>

{#if offer}
  <section class="strip" aria-label="Hand over">
    {#if mine}
      <p><strong>{offer.by} hands this engine to you.</strong> Next: {offer.next}</p>
      <Offered {foot} />
      {#if foot.refusal}<p class="problem" role="alert">{foot.refusal}</p>{/if}
      <button class="plain go" onclick={() => foot.record('taken', { name: foot.me })}>I have it</button>
    {:else}
      <p><strong>Offered to {offer.to}, and not taken yet: {foot.state.keeper} has it.</strong></p>
      <form
        onsubmit={(e) => {
          e.preventDefault();
          if (signIn.trim()) foot.record('taken', { name: offer.to, signIn: signIn.trim() });
        }}
      >
        <label for="taken-by">On this device: {offer.to} signs in as</label>
        <div class="line">
          <input class="field" id="taken-by" bind:value={signIn} maxlength="60" autocomplete="off" autocapitalize="none" /><button
            class="plain"
            disabled={!signIn.trim()}>They have it</button
          >
        </div>
      </form>
      {#if foot.refusal}<p class="problem" role="alert">{foot.refusal}</p>{/if}
    {/if}
  </section>
{/if}

<style>
  section {
    display: grid;
    gap: 8px;
    padding: 8px 12px;
  }
  .go {
    min-height: 56px;
    font-size: 1.25rem;
  }
  form {
    display: grid;
    gap: 4px;
  }
  .line {
    display: flex;
    gap: 8px;
    max-width: 30rem;
  }
  .field {
    flex: 1;
    min-width: 0;
  }
</style>
