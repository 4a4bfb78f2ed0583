<script lang="ts">
  // The quick actions under one thumb: one touch where there is nothing to choose, two where there is.
  import { placesOf } from '$core/log';
  import { unitChoice } from '../sheet/unit-choice';
  import Coach from './Coach.svelte';
  import FaultForm from './FaultForm.svelte';
  import type { Footplate } from './footplate.svelte';
  import { Near } from './near.svelte';
  import { type Action, actionsOf, commonFaults } from './quick-actions';

  let {
    foot,
    all = false,
    ontaken,
    onopen,
    chosen = $bindable()
  }: {
    foot: Footplate;
    /** On a phone: all of them, and not only those under the thumb. */ all?: boolean;
    /** One was taken, or is being chosen. */ ontaken?: () => void;
    /** What opens over the page. */ onopen: (dialog: 'measure') => void;
    /** Key of the action that is open. */ chosen?: string;
  } = $props();
  // svelte-ignore state_referenced_locally
  const { fitOut, record } = foot;
  const actions = $derived(actionsOf(fitOut, foot.state, unitChoice()));
  const open = $derived(actions.find((a) => a.key === chosen));
  let note = $state('');

  const thumb = new Near();
  const near = $derived(thumb.of(actions));
  /** What is touched now is put under the thumb, and not taken. */
  let choosing = $state(false);
  $effect(() => {
    if (!all) choosing = false;
  });

  function take(action: Action) {
    if (choosing) return thumb.choose(action.key);
    ontaken?.();
    if ('opens' in action) onopen(action.opens);
    else if ('touch' in action) record(action.touch.kind, action.touch.body as never);
    else chosen = action.key;
  }
  /** A key of the keyboard: the same as touching the action. */
  export function press(key: string): boolean {
    const action = actions.find((a) => a.key === key);
    if (action) take(action);
    return action !== undefined;
  }
  const done = () => {
    chosen = undefined;
    note = '';
  };
</script>

{#if open && 'choices' in open}
  {#if open.word === 'Feed' || open.word === 'Fire'}<Coach
      watch={foot.watch}
      now={foot.now}
      of={open.word === 'Feed' ? 'feed' : 'fire'}
    />{/if}
  <div class="grid" role="group" aria-label={open.word}>
    {#each open.choices as choice (choice.word)}<button class="plain" onclick={() => (record(choice.kind, choice.body as never), done())}
        >{choice.word}</button
      >{/each}
    <button class="plain back" onclick={done}>Back</button>
  </div>
{:else if open && 'form' in open && open.form === 'fault'}
  <FaultForm
    usual={commonFaults(fitOut)}
    oncancel={done}
    places={placesOf(foot.log)}
    onraise={(...said) => (void foot.raise(...said), done())}
  />
{:else if open}
  <form
    class="note"
    onsubmit={(e) => {
      e.preventDefault();
      if (!note.trim()) return;
      record('note', { text: note.trim() });
      done();
    }}
  >
    <label class="label" for="note-text">Note</label>
    <textarea class="field" id="note-text" rows="3" maxlength="2000" bind:value={note}></textarea>
    <div class="row">
      <button class="plain go" disabled={!note.trim()}>Log note</button><button type="button" class="quiet" onclick={done}>Back</button>
    </div>
  </form>
{:else}
  <div class="grid" class:all role="group" aria-label="Quick actions">
    {#each actions as action (action.key)}
      <button
        class="plain"
        class:on={action.on}
        class:far={!near.includes(action.key)}
        aria-pressed={choosing ? near.includes(action.key) : undefined}
        disabled={choosing && action.key === 'x'}
        onclick={() => take(action)}
      >
        <span>{action.word}</span>{#if choosing}<span class="more">{near.includes(action.key) ? 'under the thumb' : ''}</span
          >{:else if action.more}<span class="more">{action.more}</span>{/if}
      </button>
    {/each}
  </div>
  {#if all}
    <p class="choose">
      {#if choosing}Touch what is to stay under the thumb: three of them, and Fault.{/if}
      <button class="quiet" aria-pressed={choosing} onclick={() => (choosing = !choosing)}
        >{choosing ? 'That is all' : 'Choose what stays under the thumb'}</button
      >
    </p>
  {/if}
{/if}

<style>
  .grid {
    display: grid;
    grid-template-columns: repeat(3, minmax(0, 1fr));
    gap: 8px;
  }
  .grid[aria-label]:not([aria-label='Quick actions']) {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
  .grid .plain {
    min-height: 56px;
    padding: 4px 8px;
    flex-direction: column;
    gap: 0;
    align-items: flex-start;
    overflow-wrap: anywhere;
  }
  .more {
    font-size: 0.8125rem;
    font-weight: 500;
    line-height: 1.1;
    color: var(--ink2);
    display: -webkit-box;
    -webkit-line-clamp: 2;
    line-clamp: 2;
    -webkit-box-orient: vertical;
    overflow: hidden;
  }
  .plain.on {
    border-width: 3px;
  }
  @container page (max-width: 62.5rem) {
    .grid[aria-label='Quick actions'] {
      display: flex;
      overflow-x: auto;
      scrollbar-width: none;
    }
    .grid[aria-label='Quick actions'] .plain {
      flex: 0 0 5.25rem;
    }
    .grid .plain {
      font-size: 0.9375rem;
      padding: 4px 6px;
    }
  }
  @media (min-height: 36rem) {
    @container page (min-width: 19rem) and (max-width: 37.5rem) {
      .grid[aria-label='Quick actions'] {
        display: grid;
        grid-template-columns: repeat(4, minmax(0, 1fr));
        gap: 6px;
      }
      .grid:not(.all) .far {
        display: none;
      }
    }
  }
  .choose {
    display: none;
  }
  @media (min-height: 36rem) {
    @container page (min-width: 19rem) and (max-width: 37.5rem) {
      .choose {
        display: block;
        margin-top: 6px;
        font-size: 0.9375rem;
      }
    }
  }
  .plain[aria-pressed='true'] {
    border-width: 3px;
  }
  .note {
    display: grid;
    gap: 8px;
  }
</style>
