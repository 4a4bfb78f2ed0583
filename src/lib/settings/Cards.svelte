<script lang="ts">
  // How much a Footplate asks at once. The record keeps every point, whichever it is.
  import { enhance } from '$app/forms';
  import { type Detail, details } from '$core/watch';
  import { Button } from 'carbon-components-svelte';
  import { keepTyped } from '../form/keep-typed';
  import type { Said } from './said';

  let { cards, trainee, said }: { cards: Detail | undefined; trainee: boolean; said: Said } = $props();
  const pick = (e: Event) => (e.currentTarget as HTMLFormElement).requestSubmit();
</script>

<section class="box pad">
  <h2 class="heading">Your checklists</h2>
  {#if trainee}
    <p class="second">Asked point by point while you are a trainee.</p>
  {:else}
    <p class="second">What is asked at once. The record keeps every point.</p>
    <form method="POST" action="?/cards" onchange={pick} use:enhance={keepTyped}>
      <fieldset>
        <legend class="unseen">What is asked at once</legend>
        {#each Object.entries(details) as [key, what] (key)}
          <label
            ><input type="radio" name="cards" value={key} checked={cards === key} /><span class="figure">{key}</span><span class="second"
              >{what}</span
            ></label
          >
        {/each}
      </fieldset>
      {#if said?.at === 'cards' && said.problem}<p class="problem">{said.problem}</p>{/if}
      {#if said?.at === 'cards' && said.done}<span role="status">Saved.</span>{/if}
      <noscript><Button type="submit">Save</Button></noscript>
    </form>
  {/if}
</section>

<style>
  fieldset label {
    display: grid;
    grid-template-columns: auto 4rem 1fr;
    gap: 12px;
    align-items: center;
    min-height: 48px;
    border-top: 1px solid var(--rule);
    cursor: pointer;
  }
  input {
    accent-color: var(--works);
    width: 20px;
    height: 20px;
  }
</style>
