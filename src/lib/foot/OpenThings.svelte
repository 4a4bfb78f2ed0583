<script lang="ts">
  // Whatever was put in, taken out or left open, always in view until it is closed.
  import type { State } from '$core/log';
  import { type ThingKey, things } from '$core/procedure';

  let { open, onclose }: { open: State['open']; onclose: (thing: ThingKey) => void } = $props();
</script>

<div class="open">
  <p class="label">Open{Object.keys(open).length ? ': touch one when it is closed' : ''}</p>
  <ul class="chips">
    {#each Object.keys(open) as ThingKey[] as thing (thing)}
      <!-- A fire is not put out by a touch on its name: its step does that, or what is done to the fire. -->
      <li>
        {#if thing === 'fire'}<span class="chip">{things.fire.open}</span>{:else}<button
            class="chip"
            onclick={() => onclose(thing)}
            title={things[thing].close}>{things[thing].open}</button
          >{/if}
      </li>
    {:else}<li class="second">Nothing</li>{/each}
  </ul>
</div>

<style>
  /* What stands open is never scrolled away: the list above it is. */
  .open {
    flex: none;
    margin-top: auto;
    border-top: 2px solid var(--ink);
    padding-top: 8px;
  }
  .chips {
    display: flex;
    flex-wrap: wrap;
    gap: 6px;
    margin-top: 4px;
  }
  .chip {
    display: inline-flex;
    align-items: center;
    font: 600 0.9375rem/1.2 var(--narrow);
    border: 1px dashed var(--ink);
    background: none;
    color: var(--ink);
    padding: 6px 10px;
    min-height: 40px;
  }
  button.chip {
    cursor: pointer;
  }
  @container page (max-width: 62.5rem) {
    .open {
      margin-top: 0;
      padding-top: 4px;
      border-top-width: 1px;
    }
  }
</style>
