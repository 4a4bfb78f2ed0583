<script lang="ts">
  // A ruled list of figures; touching one opens its working under it.
  import type { Figure } from '$core/units';
  import { unitChoice } from './unit-choice';
  import { workedText } from './worked-text';
  import Working from './Working.svelte';

  let { figures }: { figures: readonly Figure[] } = $props();
  let open = $state<string>();
</script>

<ul>
  {#each figures as { key, name, worked } (key)}
    <li>
      <button aria-expanded={open === key} onclick={() => (open = open === key ? undefined : key)}>
        <span>{name}</span>
        <span class="figure">{workedText(worked.value, worked.kind, unitChoice())}</span>
      </button>
      {#if open === key}<div class="open"><Working {worked} /></div>{/if}
    </li>
  {/each}
</ul>

<style>
  li {
    border-top: 1px solid var(--rule);
  }
  button {
    display: flex;
    justify-content: space-between;
    gap: 12px;
    width: 100%;
    padding: 6px 0;
    background: none;
    border: 0;
    color: var(--ink);
    font: inherit;
    text-align: left;
    cursor: pointer;
  }
  .figure {
    border-bottom: 1px solid var(--rule);
    font-size: 1.0625rem;
  }
  button:hover .figure {
    border-color: var(--ink);
  }
  .open {
    padding: 2px 0 12px;
  }
</style>
