<script lang="ts">
  // A worksheet for the clipboard: each field as a line to write on, with its unit; on paper only.
  import type { Field, Group } from '$core/form';
  import { chosenUnit } from '$core/units';
  import { unitChoice } from '../sheet/unit-choice';

  let { name, engine, fields, how, judgedBy }: { name: string; engine: string; fields: Group; how: readonly string[]; judgedBy: string } =
    $props();
  const units = $derived(unitChoice());
  const unitOf = (f: Field): string => (f.type === 'quantity' ? chosenUnit(f.quantity, units) : f.type === 'glass' ? 'of the glass' : '');
  /** So many rows of a list, on paper. */
  const rows = 8;
</script>

{#snippet one(f: Field)}
  {#if f.type === 'group'}
    <h3>{f.label}</h3>
    {#each Object.entries(f.fields) as [key, inner] (key)}{@render one(inner)}{/each}
  {:else if f.type === 'list'}
    <h3>{f.label}</h3>
    <table>
      <thead
        ><tr
          >{#each Object.entries(f.of.fields) as [key, column] (key)}<th>{column.label}{unitOf(column) ? `, ${unitOf(column)}` : ''}</th
            >{/each}</tr
        ></thead
      >
      <tbody
        >{#each Array(Math.min(f.max, rows)) as _, i (i)}<tr
            >{#each Object.keys(f.of.fields) as key (key)}<td></td>{/each}</tr
          >{/each}</tbody
      >
    </table>
  {:else if f.type === 'choice'}
    <p class="field">
      <span>{f.label}</span><span class="tick"
        >{#each Object.values(f.options) as option (option)}<span>□ {option}</span>{/each}</span
      >
    </p>
  {:else if f.type === 'flag'}
    <p class="field"><span>{f.label}</span><span class="tick"><span>□ yes</span><span>□ no</span></span></p>
  {:else if f.type === 'union'}
    <p class="field">
      <span>{f.label}</span><span class="tick"
        >{#each Object.values(f.names) as option (option)}<span>□ {option}</span>{/each}</span
      >
    </p>
    {#each Object.entries(f.cases) as [key, inner] (key)}{@render one(inner)}{/each}
  {:else}
    <p class="field"><span>{f.label}{f.help ? `. ${f.help}` : ''}</span><span class="line"></span><span class="unit">{unitOf(f)}</span></p>
  {/if}
{/snippet}

<article class="blank">
  <h1>{name}: {engine}</h1>
  <p class="field"><span>Day and place</span><span class="line"></span><span class="unit"></span></p>
  {#each Object.entries(fields.fields) as [key, f] (key)}{@render one(f)}{/each}
  <h3>How it is made</h3>
  <ul>
    {#each how as line (line)}<li>{line}</li>{/each}
  </ul>
  <p>Judged by: {judgedBy}</p>
  <p class="field"><span>Written by</span><span class="line"></span><span class="unit"></span></p>
  <p class="field"><span>Seen by</span><span class="line"></span><span class="unit"></span></p>
  <p>
    It is written into Joram from here, which does the sums. It proves nothing by itself, and says nothing of the boiler that the boiler
    examiner does not.
  </p>
</article>

<style>
  .blank {
    display: none;
  }
  @media print {
    .blank {
      display: block;
      font-size: 11pt;
    }
  }
  h1 {
    font: 600 1.5rem/1.2 var(--narrow);
    border-bottom: 2px solid var(--ink);
    margin-bottom: 8px;
  }
  h3 {
    font: 600 1.125rem/1.2 var(--narrow);
    margin: 14px 0 4px;
  }
  .field {
    display: grid;
    grid-template-columns: minmax(0, 5fr) minmax(0, 4fr) 4.5rem;
    gap: 10px;
    align-items: end;
    min-height: 11mm;
    break-inside: avoid;
  }
  .line {
    border-bottom: 1px solid var(--ink);
    height: 8mm;
  }
  .tick {
    grid-column: 2 / -1;
    display: flex;
    flex-wrap: wrap;
    gap: 2px 14px;
  }
  table {
    width: 100%;
    border-collapse: collapse;
  }
  th,
  td {
    border: 1px solid var(--ink);
    height: 9mm;
    font-size: 9pt;
    text-align: left;
    padding: 2px 4px;
    vertical-align: bottom;
  }
  ul {
    list-style: disc;
    padding-left: 1.2em;
  }
</style>
