<script lang="ts">
  // Edits any part of a document from its description. What cannot be read stays in the document as it was typed, so that
  // nothing is lost and the check names it.
  import { expectation, type Field } from '$core/form';
  import { chosenUnit, parseNumber, parseQuantity, print, type Quantity } from '$core/units';
  import { Button, Checkbox, Select, SelectItem, TextInput } from 'carbon-components-svelte';
  import { untrack } from 'svelte';
  import { unitChoice } from '../sheet/unit-choice';
  import { blank, caseOf } from './blank';
  import Self from './FieldEditor.svelte';

  let {
    field,
    value = $bindable(),
    path,
    problems,
    bare = false
  }: {
    field: Field;
    value: unknown;
    path: string;
    problems: ReadonlyMap<string, string>;
    /** Without a legend of its own. */ bare?: boolean;
  } = $props();
  const problem = $derived(problems.get(path));
  const wrong = $derived({ invalid: problem !== undefined, invalidText: problem ?? '' });
  const units = untrack(() => unitChoice());

  /** A difference in temperature is a number of kelvin; everything else has the reader's unit. */
  const difference = untrack(() => field.type === 'quantity' && field.quantity === 'temperature' && field.min < 200);
  const is = (said: string, v: number): boolean => {
    if (field.type !== 'quantity') return false;
    const read = parseQuantity(said, field.quantity as Quantity, chosenUnit(field.quantity, units));
    return 'value' in read && Math.abs(read.value - v) < 1e-6 * Math.abs(v);
  };
  const shown = (v: unknown): string => {
    if (field.type === 'number') return typeof v === 'number' ? String(v) : String(v ?? '');
    if (field.type !== 'quantity') return '';
    if (typeof v !== 'number') return v === null || v === undefined ? '' : String(v);
    if (difference) return String(v);
    const p = print(
      v,
      field.quantity,
      units,
      field.quantity === 'length' && units.length === 'mm'
        ? Math.abs(v * 1e4 - Math.round(v * 1e3) * 10) > 0.01
          ? 1
          : 0
        : field.quantity === 'length'
          ? 3
          : undefined
    );
    const said = `${p.figure} ${p.unit}`;
    // What was typed finer than it is usually printed reads back as it was typed.
    const finer = print(v, field.quantity, units, (p.figure.split('.')[1]?.length ?? 0) + 1);
    const exact = `${finer.figure} ${finer.unit}`;
    return !is(said, v) && is(exact, v) ? exact : said;
  };
  let text = $state(untrack(() => shown(value)));
  // The document may be changed from outside (another pattern, a file): the text follows unless it is being typed.
  let typed = $state(false);
  $effect(() => {
    const now = shown(value);
    if (!typed) text = now;
  });

  function read(typedText: string) {
    text = typedText;
    if (field.type === 'number') value = field.optional && !typedText.trim() ? null : (parseNumber(typedText) ?? typedText);
    else if (field.type === 'quantity') {
      if (field.optional && !typedText.trim()) value = null;
      else if (difference) value = parseNumber(typedText.replace(/[°CK ]/gi, '')) ?? typedText;
      else {
        const parsed = parseQuantity(typedText, field.quantity as Quantity, chosenUnit(field.quantity, units));
        value = 'problem' in parsed ? typedText : parsed.value;
      }
    }
  }
</script>

{#if field.type === 'quantity' || field.type === 'number'}
  <TextInput
    labelText={field.label}
    value={text}
    helperText={field.help ?? (field.optional ? 'May be left empty.' : '')}
    {...wrong}
    on:focus={() => (typed = true)}
    on:blur={() => ((typed = false), (text = shown(value)))}
    on:input={(e) => read(String(e.detail ?? ''))}
  />
{:else if field.type === 'text'}
  <TextInput
    labelText={field.label}
    value={String(value ?? '')}
    helperText={field.help ?? ''}
    maxlength={field.max}
    {...wrong}
    on:input={(e) => (value = String(e.detail ?? ''))}
  />
{:else if field.type === 'choice'}
  <Select
    labelText={field.label}
    selected={String(value)}
    helperText={field.help ?? ''}
    {...wrong}
    on:change={(e) => (value = (e.target as HTMLSelectElement).value)}
  >
    {#each Object.entries(field.options) as [key, word] (key)}<SelectItem value={key} text={word} />{/each}
  </Select>
{:else if field.type === 'flag'}
  <div class="flag">
    <Checkbox labelText={field.label} checked={value === true} helperText={field.help ?? ''} on:check={(e) => (value = e.detail)} />
  </div>
{:else if field.type === 'group'}
  <fieldset class:bare>
    {#if !bare}<legend>{field.label}</legend>{/if}
    <div class="fields">
      {#each Object.entries(field.fields) as [key, f] (key)}
        <div class:whole={f.type === 'group' || f.type === 'list' || f.type === 'union'}>
          <Self
            field={f}
            bind:value={() => (value as Record<string, unknown>)[key], (v) => ((value as Record<string, unknown>)[key] = v)}
            path={path ? `${path}.${key}` : key}
            {problems}
          />
        </div>
      {/each}
    </div>
    {#if problem}<p class="problem">{problem}</p>{/if}
  </fieldset>
{:else if field.type === 'list'}
  {@const items = value as unknown[]}
  <fieldset>
    <legend>{field.label}</legend>
    {#each items as _, i (i)}
      <div class="item">
        <p class="label">{field.each} {i + 1}</p>
        <Self field={field.of} bind:value={() => items[i], (v) => (items[i] = v)} path="{path}.{i}" {problems} bare />
        {#if items.length > field.min}<button type="button" class="quiet" onclick={() => items.splice(i, 1)}
            >Remove {field.each.toLowerCase()} {i + 1}</button
          >{/if}
      </div>
    {:else}<p class="second">None.</p>{/each}
    {#if items.length < field.max}<Button
        kind="tertiary"
        size="small"
        type="button"
        on:click={() => items.push(items.length ? $state.snapshot(items.at(-1)) : blank(field.of))}>Add {field.each.toLowerCase()}</Button
      >{/if}
    {#if problem}<p class="problem">{problem}</p>{/if}
  </fieldset>
{:else if field.type === 'union'}
  {@const by = field.by}
  {@const chosen = String((value as Record<string, unknown>)?.[by])}
  <fieldset>
    <legend>{field.label}</legend>
    <Select
      labelText={field.label}
      hideLabel
      selected={chosen}
      on:change={(e) => (value = caseOf(field, (e.target as HTMLSelectElement).value))}
    >
      {#each Object.entries(field.names) as [key, word] (key)}<SelectItem value={key} text={word} />{/each}
    </Select>
    {#key chosen}
      {#if field.cases[chosen]}<div class="case"><Self field={field.cases[chosen]} bind:value {path} {problems} bare /></div>{:else}<p
          class="problem"
        >
          {expectation(field)}
        </p>{/if}
    {/key}
    {#if problem}<p class="problem">{problem}</p>{/if}
  </fieldset>
{/if}

<style>
  fieldset {
    border: 0;
    border-top: 1px solid var(--ink);
    padding: 10px 0 0;
    margin: 4px 0 0;
    min-width: 0;
  }
  fieldset.bare {
    border: 0;
    padding: 0;
    margin: 0;
  }
  legend {
    font: 600 1.0625rem/1.2 var(--narrow);
    padding: 0 8px 0 0;
  }
  .fields {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(15rem, 1fr));
    gap: 14px 20px;
    align-items: start;
  }
  .whole {
    grid-column: 1 / -1;
  }
  .item {
    border-left: 3px solid var(--rule);
    padding-left: 12px;
    margin-bottom: 14px;
  }
  .item > .label {
    margin-bottom: 6px;
  }
  .case {
    margin-top: 14px;
  }
  .flag {
    padding-top: 24px;
  }
</style>
