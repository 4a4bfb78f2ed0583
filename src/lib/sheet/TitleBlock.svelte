<script lang="ts">
  // The title block of a drawing sheet: ruled cells with the facts that identify what is drawn.
  import type { Snippet } from 'svelte';
  import { printMarks } from '$core/units';
  import { unitChoice } from './unit-choice';

  type Cell = { label: string; value: string; more?: string; href?: string; wide?: boolean; abnormal?: boolean; desk?: boolean };
  let { cells, action, heading = 0 }: { cells: Cell[]; action?: Snippet; /** Which cell names the page. */ heading?: number } = $props();
  const units = $derived(unitChoice());
</script>

<header class="block">
  {#each cells as cell, i (cell.label)}
    <div class="cell" class:wide={cell.wide} class:abnormal={cell.abnormal} class:desk={cell.desk}>
      <span class="label">{cell.label}</span>
      {#if i === heading}<h1 class="value">{@render fact(cell)}</h1>{:else}<p class="value">{@render fact(cell)}</p>{/if}
    </div>
  {/each}
  {#if action}<div class="action no-print">{@render action()}</div>{/if}
</header>

{#snippet fact({ value, href, more }: Cell)}
  {#if href}<a {href}>{printMarks(value, units)}</a>{:else}{printMarks(value, units)}{/if}
  {#if more}<span class="more">{printMarks(more, units)}</span>{/if}
{/snippet}

<style>
  .block {
    display: flex;
    flex-wrap: wrap;
    border: 2px solid var(--ink);
    background: var(--raised);
  }
  .cell {
    flex: 1 1 auto;
    padding: 6px 12px 5px;
    border-right: 1px solid var(--ink);
    margin-right: -1px;
    min-width: 0;
  }
  .cell:last-child {
    border-right: 0;
    margin-right: 0;
  }
  .wide {
    flex-grow: 3;
  }
  .label {
    display: block;
  }
  .value {
    font: 600 1.25rem/1.25 var(--narrow);
    overflow-wrap: anywhere;
  }
  .value a {
    color: inherit;
    text-decoration: none;
  }
  .value a:hover {
    text-decoration: underline;
  }
  h1.value {
    text-transform: uppercase;
    letter-spacing: 0.01em;
  }
  .more {
    font-weight: 500;
    font-size: 1rem;
  }
  .more::before {
    content: ' · ';
  }
  .abnormal .value {
    color: var(--act);
  }
  .action {
    display: flex;
    flex: 0 0 auto;
    margin-left: auto;
  }
  .action :global(> *) {
    min-height: 56px;
    border: 0;
    font: 600 1.25rem/1.2 var(--narrow);
    padding: 8px 20px;
  }
  @container page (max-width: 37.5rem) {
    /* Beside the cells where there is room, a row of its own where there is not. */
    .action {
      flex: 1 0 auto;
    }
    .action :global(> *) {
      font-size: 1.0625rem;
      padding: 4px 12px;
      flex: 1;
    }
    .value {
      font-size: 1.0625rem;
    }
    .cell {
      padding: 4px 8px;
    }
    .more {
      display: block;
    }
    .more::before {
      content: none;
    }
    .value {
      overflow-wrap: break-word;
    }
    .desk {
      display: none;
    }
  }
</style>
