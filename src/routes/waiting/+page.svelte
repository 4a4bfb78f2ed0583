<script lang="ts">
  // What this device has not delivered: on its way, not taken, and of others. Nothing leaves here unless its maker throws it away.
  import { echo } from '$core/log';
  import { printMarks } from '$core/units';
  import { outbox, waitingHere } from '$lib/outbox/index.svelte';
  import type { Waiting } from '$lib/outbox/waiting';
  import { waitingSaid } from '$lib/outbox/words';
  import { unitChoice } from '$lib/sheet/unit-choice';
  import { clock, day } from '$lib/sheet/when';

  const view = $derived(waitingHere());
  const units = $derived(unitChoice());
  const words = (w: Waiting) => printMarks(echo(w.entry, units), units);
  /** What can be put right by typing it again; a tick, a signature or a strike is made by its own button. */
  const isTyped = ({ entry: { kind } }: Waiting) => !['tick', 'sign', 'strike', 'handover', 'phase'].includes(kind);
  const anew = (w: Waiting) =>
    `/footplate/${w.steaming}${isTyped(w) ? `?say=${encodeURIComponent(words(w).replaceAll('\u2009', ' '))}` : ''}`;
  /** Asked twice: what is thrown away here is nowhere else. */
  let sure = $state<string>();
  const discard = (id: string) => (sure === id ? void outbox().outbox.discard(id) : void (sure = id));
</script>

<svelte:head><title>Waiting entries · Joram</title></svelte:head>
<div class="sheet stack">
  <h1 class="heading">Waiting on this device</h1>
  <p class="second">
    {waitingSaid(view) ??
      (view.aside.length
        ? 'What stands below was not taken; all else that you made here has been delivered'
        : 'All that was made here by you has been delivered')}.
  </p>

  {#if view.aside.length}
    <section class="box pad stack">
      <h2 class="label">Not taken, {view.aside.length}</h2>
      {#each view.aside as w (w.id)}
        <article class="entry">
          {@render line(w)}
          <p class="act">{w.refused}</p>
          <p class="acts">
            <button class="plain" onclick={() => outbox().outbox.retry(w.id)}>Try again</button>
            <a class="plain" href={anew(w)}>{isTyped(w) ? 'Enter it anew' : 'Open its Footplate'}</a>
            <button class="quiet" onclick={() => discard(w.id)}>{sure === w.id ? 'Throw it away for good' : 'Throw it away'}</button>
          </p>
        </article>
      {/each}
    </section>
  {/if}
  {#if view.waiting.length}
    <section class="box pad stack">
      <h2 class="label">On the way, {view.waiting.length}</h2>
      {#each view.waiting as w (w.id)}<article class="entry">{@render line(w)}</article>{/each}
    </section>
  {/if}
  {#if view.others.length}
    <section class="box pad stack">
      <h2 class="label">Of others, {view.others.length}</h2>
      <p class="second">Each is delivered when its maker signs in on this device.</p>
      {#each view.others as w (w.id)}
        <article class="entry"><p>{w.entry.by}, {w.engine || 'an engine'}, {day(w.entry.at)} {clock(w.entry.at)}</p></article>
      {/each}
    </section>
  {/if}
</div>

{#snippet line(w: Waiting)}
  <p>
    <span class="figure">{day(w.entry.at)} {clock(w.entry.at)}</span>
    <a href="/footplate/{w.steaming}">{w.engine || 'its Footplate'}</a>: <strong>{words(w)}</strong>
  </p>
{/snippet}

<style>
  .entry {
    border-top: 1px solid var(--rule);
    padding-top: 6px;
  }
  .acts {
    display: flex;
    gap: 20px;
    align-items: center;
    margin-top: 6px;
  }
</style>
