<script lang="ts">
  // A worksheet for the clipboard: each field as a line to write on, with its unit; on paper only.
  import type { Field, Group } from '$core/form';
  import { chosenUnit, printText } from '$core/units';
  import { unitChoice } from '../sheet/unit-choice';

  let {
    name,
    engine,
    fields,
    starts,
    how,
    judgedBy
  }: {
    name: string;
    engine: string;
    fields: Group;
    /** What it starts from: what this engine has of each list stands in its rows. */
    starts: Record<string, unknown>;
    how: readonly string[];
    judgedBy: string;
  } = $props();
  const units = $derived(unitChoice());
  /** As whoever stands there measures it: a stop-watch in seconds, a way in metres. */
  function unitOf(f: Field): string {
    if (f.type === 'glass') return 'of the glass';
    if (f.type !== 'quantity') return '';
    if (f.quantity === 'time' && f.max <= 600) return 's';
    return f.quantity === 'length' && units.length === 'mm' && f.max >= 10 ? 'm' : chosenUnit(f.quantity, units);
  }
  type Row = Record<string, unknown>;
  const most = 8;
  /** The rows of a list: of what this engine has by name as many as it has, else some to write in. */
  function rowsOf(key: string, f: Extract<Field, { type: 'list' }>): Row[] {
    const rows = (starts[key] ?? []) as Row[];
    const named = rows.some((r) => Object.entries(f.of.fields).some(([k, c]) => c.type === 'choice' && r[k]));
    return named ? rows : Array.from({ length: Math.max(rows.length, Math.min(f.max, most)) }, (_, i) => rows[i] ?? {});
  }
  const standing = (f: Field, v: unknown): string => {
    if (v === '' || v === null || v === undefined) return '';
    if (f.type === 'choice') return f.options[String(v)] ?? String(v);
    return f.type === 'quantity' ? printText(v as number, f.quantity, units) : String(v);
  };
</script>

{#snippet one(f: Field, at: string)}
  {#if f.type === 'group'}
    <h3>{f.label}</h3>
    {#each Object.entries(f.fields) as [key, inner] (key)}{@render one(inner, key)}{/each}
  {:else if f.type === 'list'}
    <h3>{f.label}</h3>
    <table>
      <thead
        ><tr
          ><th class="nth"></th>{#each Object.entries(f.of.fields) as [key, column] (key)}<th
              >{column.label}{unitOf(column) ? `, ${unitOf(column)}` : ''}</th
            >{/each}</tr
        ></thead
      >
      <tbody
        >{#each rowsOf(at, f) as row, i (i)}<tr
            ><td class="nth">{i + 1}</td>{#each Object.entries(f.of.fields) as [key, column] (key)}<td
                >{#if column.type === 'choice' && !row[key]}<span class="tick small"
                    >{#each Object.values(column.options) as option (option)}<span>□ {option}</span>{/each}</span
                  >{:else}{standing(column, row[key])}{/if}</td
              >{/each}</tr
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
    {#each Object.entries(f.cases) as [key, inner] (key)}{@render one(inner, key)}{/each}
  {:else}
    <p class="field"><span>{f.label}{f.help ? `. ${f.help}` : ''}</span><span class="line"></span><span class="unit">{unitOf(f)}</span></p>
  {/if}
{/snippet}

<article class="blank">
  <h1>{name}: {engine}</h1>
  <p class="field"><span>Day and place</span><span class="line"></span><span class="unit"></span></p>
  {#each Object.entries(fields.fields) as [key, f] (key)}{@render one(f, key)}{/each}
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
  .nth {
    width: 2rem;
  }
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
  .small {
    font-size: 8pt;
    gap: 0 8px;
  }
  .blank > p {
    margin-top: 6px;
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
