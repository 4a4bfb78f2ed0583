<script lang="ts">
  // What was written on a form, read only: each field by its label, lists as numbered rows.
  import type { Field } from '$core/form';
  import { printText } from '$core/units';
  import { unitChoice } from '../sheet/unit-choice';
  import Self from './Written.svelte';

  let { field, value }: { field: Field; value: unknown } = $props();
  const units = $derived(unitChoice());
  const said = (f: Field, v: unknown): string => {
    if (v === null || v === undefined || v === '') return 'nothing';
    if (f.type === 'quantity') return printText(v as number, f.quantity, units);
    if (f.type === 'choice') return f.options[String(v)] ?? String(v);
    return typeof v === 'boolean' ? (v ? 'yes' : 'no') : String(v);
  };
</script>

{#if field.type === 'group'}
  <dl>
    {#each Object.entries(field.fields) as [key, f] (key)}
      {@const v = (value as Record<string, unknown>)[key]}
      {#if f.type === 'list' && f.of.type === 'group'}
        {#each v as unknown[] as row, i (i)}
          <dt class="whole">{f.each} {i + 1}</dt>
          <dd class="whole"><Self field={f.of} value={row} /></dd>
        {/each}
      {:else}<dt>{f.label}</dt>
        <dd class:figure={f.type === 'quantity' || f.type === 'number'}>{said(f, v)}</dd>{/if}
    {/each}
  </dl>
{/if}

<style>
  dl {
    display: grid;
    grid-template-columns: minmax(0, 1.4fr) minmax(0, 1fr);
    gap: 0 16px;
  }
  dt,
  dd {
    border-top: 1px solid var(--rule);
    padding: 5px 0;
    margin: 0;
    line-height: 1.3;
    overflow-wrap: anywhere;
  }
  dd.figure {
    white-space: normal;
  }
  .whole {
    grid-column: 1 / -1;
  }
  dt.whole {
    font-weight: 600;
  }
  dd.whole {
    border: 0;
    padding: 0 0 0 12px;
  }
</style>
