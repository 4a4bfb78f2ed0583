<script lang="ts">
  // What to bring: what was carried over first, then quantities, then kit; each to be ticked off.
  import type { Carried } from '$core/log';
  import type { Whole } from '$core/plan';
  import { printMarks, printText, type Quantity } from '$core/units';
  import type { Snippet } from 'svelte';
  import Working from '../sheet/Working.svelte';
  import { inParts } from '../sheet/in-parts.svelte';
  import { unitChoice } from '../sheet/unit-choice';

  let {
    whole,
    carried,
    packed,
    onpack,
    children
  }: {
    whole: Whole;
    carried: readonly Carried[];
    packed: readonly string[];
    onpack?: ((what: string) => void) | undefined;
    /** Stands between what was carried over and what to bring. */ children?: Snippet;
  } = $props();
  // Far down on a phone: made as it comes near to what is looked at.
  const made = inParts(16);
  const kit = $derived(made.whole ? whole.kit : whole.kit.slice(0, 6 * made.parts));
  const units = $derived(unitChoice());
  let open = $state<string>();
  const has = (what: string) => packed.includes(what);
  const left = $derived([...whole.needs.map((n) => n.key), ...whole.kit.map((k) => k.what)].filter((w) => !has(w)).length);
</script>

{#snippet box(key: string, word: string)}
  <input type="checkbox" id="pack-{key}" checked={has(key)} disabled={!onpack} onchange={() => onpack?.(key)} />
  <label for="pack-{key}">{word}</label>
{/snippet}

{#if carried.length}
  <section class="box pad">
    <h2 class="label">Carried over from last time: first</h2>
    <ul>
      {#each carried as c (c.what + c.how)}
        <li>
          {@render box(`carried: ${c.what}`.slice(0, 120), printMarks(c.what, units))}
          <span class="second how">{c.how}{c.reason ? `: ${c.reason}` : ''}</span>
        </li>
      {/each}
    </ul>
  </section>
{/if}
{@render children?.()}
<section class="box pad">
  <h2 class="label">Quantities</h2>
  <ul>
    {#each whole.needs as need (need.key)}
      <li class="need">
        {@render box(need.key, need.name)}
        <button class="amount figure" aria-expanded={open === need.key} onclick={() => (open = open === need.key ? undefined : need.key)}
          >{printText(need.worked.value, need.worked.kind as Quantity, units)}</button
        >
        {#if open === need.key}<div class="working"><Working worked={need.worked} /></div>{/if}
      </li>
    {/each}
  </ul>
</section>
<section class="box pad">
  <div class="row between">
    <h2 class="label">Kit to pack</h2>
    <span class="label">{left === 0 ? 'all packed' : `${left} to pack`}</span>
  </div>
  <ul>
    {#each kit as item (item.what)}
      <li>
        {@render box(item.what.slice(0, 120), printMarks(item.what, units))} <span class="second how">{printMarks(item.for, units)}</span>
      </li>
    {/each}
  </ul>
  {#if kit.length < whole.kit.length}<div style:height="{3.65 * (whole.kit.length - kit.length)}rem" {@attach made.place}></div>{/if}
</section>

<style>
  section {
    margin-bottom: 12px;
  }
  li {
    display: grid;
    grid-template-columns: 24px minmax(0, 1fr) auto;
    gap: 2px 8px;
    align-items: baseline;
    border-top: 1px solid var(--rule);
    padding: 5px 0;
  }
  li:first-child {
    border-top: 0;
  }
  input {
    width: 24px;
    height: 24px;
    accent-color: var(--works);
    align-self: center;
  }
  label {
    min-height: 28px;
    display: flex;
    align-items: center;
    cursor: pointer;
  }
  .how {
    grid-column: 2 / 4;
    font-size: 0.875rem;
    margin-top: -4px;
  }
  .working {
    grid-column: 1 / 4;
    padding: 4px 0 8px;
  }
  .amount {
    background: none;
    border: 0;
    border-bottom: 1px solid var(--rule);
    padding: 4px 0;
    color: var(--ink);
    font-size: 1.0625rem;
    cursor: pointer;
  }
</style>
