<script lang="ts">
  // A fault in two touches: one of the usual ones as a note, or one's own words with what it forbids.
  import { forbids as words, type Forbids } from '$core/log';
  import type { Picture } from '../photo/make';
  import Take from '../photo/Take.svelte';

  let {
    usual,
    places,
    onraise,
    oncancel
  }: {
    usual: readonly string[];
    /** Where on this engine, by name. */
    places: readonly string[];
    onraise: (text: string, forbids: Forbids, more: { place?: string; picture?: Picture }) => void;
    oncancel: () => void;
  } = $props();
  let place = $state('');
  let picture = $state.raw<Picture>();
  const raise = (words: string) => onraise(words, forbids, { ...(place ? { place } : {}), ...(picture ? { picture } : {}) });
  let text = $state('');
  let forbids = $state<Forbids>('nothing');
  const options = Object.entries(words) as [Forbids, string][];
</script>

<div class="fault">
  <fieldset>
    <legend class="label">Until it is fixed</legend>
    {#each [...options].reverse() as [key, word] (key)}
      <label class:chosen={forbids === key}
        ><input class="unseen" type="radio" name="forbids" value={key} bind:group={forbids} />{word}</label
      >
    {/each}
  </fieldset>
  <div class="row">
    <select class="field" aria-label="Where on the engine" bind:value={place}
      ><option value="">where, if you can say</option>{#each places as p (p)}<option value={p}>{p}</option>{/each}</select
    >
    <Take word={picture ? 'Another photo' : 'Photo'} ontaken={(p) => void (picture = p)} />
    {#if picture}<span class="second">✓ one photo, {Math.round(picture.bytes.size / 1000)} kB</span>{/if}
  </div>
  <div class="usual">
    {#each usual as word (word)}<button class="plain" onclick={() => raise(word)}>{word}</button>{/each}
  </div>
  <form
    onsubmit={(e) => {
      e.preventDefault();
      if (text.trim()) raise(text.trim());
    }}
  >
    <input class="field" aria-label="The fault in your own words" placeholder="In your own words" bind:value={text} maxlength="2000" />
    <button class="plain go" disabled={!text.trim()}>Log fault</button>
  </form>
  <button class="quiet" onclick={oncancel}>Back</button>
</div>

<style>
  .fault {
    display: grid;
    gap: 8px;
  }
  fieldset {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 8px;
  }
  fieldset label {
    border: 1px solid var(--ink);
    min-height: 44px;
    padding: 6px 10px;
    display: flex;
    align-items: center;
    font: 600 0.9375rem/1.15 var(--narrow);
    cursor: pointer;
  }
  fieldset label:last-child {
    grid-column: 1 / -1;
  }
  fieldset label:focus-within {
    outline: 3px solid var(--ink);
    outline-offset: 2px;
  }
  .chosen {
    background: var(--ink);
    color: var(--paper);
  }
  .usual {
    display: grid;
    gap: 6px;
  }
  .usual .plain {
    justify-content: flex-start;
    min-height: 44px;
  }
  .field {
    flex: 1;
  }
  form {
    display: flex;
    gap: 8px;
  }
</style>
