<script lang="ts">
  // One sum on its own: what is asked, filled in from an engine; the answer in both systems, how it goes with what is asked, and its working.
  import { enhance } from '$app/forms';
  import { replaceState } from '$app/navigation';
  import { plantOf } from '$core/boiler';
  import type { FitOut } from '$core/engine';
  import { expectation, type Field } from '$core/form';
  import type { Given, Sum } from '$core/sums';
  import { type Kind, printIn, printMarks, Refusal, type UnitChoice, type Worked } from '$core/units';
  import { Button, Select, SelectItem } from 'carbon-components-svelte';
  import { untrack } from 'svelte';
  import FieldEditor from '../form/FieldEditor.svelte';
  import { goWith } from '../sheet/go-with';
  import { unitChoice } from '../sheet/unit-choice';
  import Working from '../sheet/Working.svelte';
  import { workedText } from '../sheet/worked-text';
  import { fromQuery, toQuery, wrongIn } from './address';
  import Curve from './Curve.svelte';

  let {
    sum,
    fitOut,
    engine,
    engines,
    query,
    may,
    form
  }: {
    sum: Sum;
    fitOut: FitOut;
    /** The club's engine it is filled in from; none where an engine of the scenario stands in. */ engine: string | undefined;
    engines: readonly { id: string; name: string }[];
    query: URLSearchParams;
    /** Keep what it comes to with the engine. */ may: boolean;
    form: { at: string; kept?: string; engine?: string; value?: number; problem?: string } | null;
  } = $props();
  const units = unitChoice();
  // Each sum and each engine is a page of its own: what they are does not change under it.
  const given: Given = untrack(() => ({ fitOut, plant: plantOf(fitOut) }));
  const usual = untrack(() => sum.usual(given) as Record<string, unknown>);
  let said: Record<string, unknown> = $state(untrack(() => fromQuery(sum.inputs, usual, query)));

  const fields = $derived(
    Object.entries(sum.inputs.fields).map(
      ([key, field]) =>
        [
          key,
          said[key] === usual[key] ? field : ({ ...field, help: field.help ? `Said by you. ${field.help}` : 'Said by you.' } as Field)
        ] as const
    )
  );
  const problems = $derived(wrongIn(sum.inputs, said, expectation));
  const work = (of: Record<string, unknown>): Worked | Refusal => {
    try {
      return sum.work(of as never, given);
    } catch (error) {
      if (error instanceof Refusal) return error;
      throw error;
    }
  };
  const answer = $derived(problems.size ? undefined : work($state.snapshot(said)));
  const worked = $derived(answer && !(answer instanceof Refusal) ? answer : undefined);
  /** What it leaves out is said beside the figure, once. */
  const bare = ({ value, kind, sure, steps }: Worked): Worked => ({ value, kind, sure, steps });
  const shown = $derived(
    answer instanceof Refusal
      ? new Map([[sum.inputs.fields[answer.field] ? answer.field : Object.keys(sum.inputs.fields)[0]!, printMarks(answer.sentence, units)]])
      : problems
  );

  /** The other system: whoever reads metric is told imperial beside it, and the other way. */
  const other: UnitChoice =
    units.mass === 'kg'
      ? { pressure: units.pressure === 'psi' ? 'bar' : 'psi', temperature: '°F', volume: 'gal', mass: 'lb', length: 'in' }
      : { pressure: units.pressure === 'psi' ? 'bar' : 'psi', temperature: '°C', volume: 'l', mass: 'kg', length: 'mm' };
  const beside = $derived.by(() => {
    if (!worked) return '';
    if (worked.kind === 'power') {
      const { figure, unit } = printIn(worked.value, 'power', 'hp');
      return `${figure} ${unit}`;
    }
    const [a, b] = [workedText(worked.value, worked.kind, units), workedText(worked.value, worked.kind, other)];
    return a === b ? '' : b;
  });

  /** What the answer can be drawn against: what may be any number between two. */
  const axes = untrack(() => Object.entries(sum.inputs.fields)).filter(
    ([, f]) => f.type === 'quantity' || (f.type === 'number' && !f.whole)
  );
  const moves = (key: string) => {
    const [a, b] = [1, 1.2].map((by) => work({ ...usual, [key]: Number(usual[key]) * by }));
    return !(a instanceof Refusal) && !(b instanceof Refusal) && a!.value !== b!.value;
  };
  let along = $state(untrack(() => (axes.find(([key]) => moves(key)) ?? axes[0])?.[0] ?? ''));
  const kindOf = (field: Field): Kind => (field.type === 'quantity' ? field.quantity : 'ratio');
  const curve = $derived.by(() => {
    const field = sum.inputs.fields[along];
    const x = said[along];
    if (!worked || typeof x !== 'number' || (field?.type !== 'quantity' && field?.type !== 'number')) return undefined;
    // Half and half as much again; a temperature twenty kelvin either way.
    const [low, high] =
      field.type === 'quantity' && field.quantity === 'temperature' ? [x - 20, x + 20] : x > 0 ? [0.5 * x, 1.5 * x] : [0, field.max / 100];
    const [from, to] = [Math.max(field.min, low!), Math.min(field.max, high!)];
    const points = Array.from({ length: 41 }, (_, i) => {
      const at = from + ((to - from) * i) / 40;
      const then = work({ ...$state.snapshot(said), [along]: at });
      return then instanceof Refusal || then.kind !== worked.kind || !Number.isFinite(then.value) ? undefined : { x: at, y: then.value };
    }).filter((p) => p !== undefined);
    return points.length > 2 ? { points, at: { x, y: worked.value }, xKind: kindOf(field), label: field.label } : undefined;
  });

  // The address carries what was said: a link is the sum.
  let first = true;
  $effect(() => {
    const to = toQuery(sum.inputs, said, usual, engine);
    if (first) first = false;
    else if (problems.size === 0) replaceState(`/bench/${sum.key}${to}`, {});
  });
</script>

<div class="bench">
  <section class="box pad figures" aria-label="Answer" aria-live="polite">
    <p class="label">{sum.name}</p>
    <p class="figure">{worked ? workedText(worked.value, worked.kind, units) : '–'}</p>
    {#if worked}<p class="beside">{worked.steps.at(-1)!.result.name}{beside ? `, ${beside}` : ''}</p>{/if}
    {#if worked?.caution}<p class="note">{printMarks(worked.caution, units)}</p>
    {:else if !worked}<p class="note">
        {answer instanceof Refusal ? printMarks(answer.sentence, units) : 'Something that was said cannot be: see the field.'}
      </p>{/if}
  </section>

  <section class="box pad asked" aria-label="What is asked">
    {#if engines.length}
      <Select
        labelText="Filled in from"
        helperText="What its fit-out says, and what is usual where it says nothing. Change what you know better."
        selected={engine ?? ''}
        on:change={(e) => goWith({ engine: (e.target as HTMLSelectElement).value })}
      >
        {#if !engine}<SelectItem value="" text={`An engine like ${fitOut.name}`} />{/if}
        {#each engines as e (e.id)}<SelectItem value={e.id} text={e.name} />{/each}
      </Select>
    {/if}
    <div class="fields">
      {#each fields as [key, field] (key)}
        <FieldEditor {field} bind:value={() => said[key], (v) => (said[key] = v)} path={key} problems={shown} />
      {/each}
    </div>
    <div class="row no-print">
      <Button kind="tertiary" size="small" on:click={() => (said = { ...usual })}>As it would be</Button>
      <Button kind="tertiary" size="small" on:click={() => window.print()}>Print</Button>
      {#if may && engine}
        <form
          method="POST"
          action="?/keep"
          use:enhance={() =>
            ({ update }) =>
              update({ reset: false, invalidateAll: false })}
        >
          <input type="hidden" name="engine" value={engine} />
          <input type="hidden" name="said" value={JSON.stringify($state.snapshot(said))} />
          <Button type="submit" kind="tertiary" size="small" disabled={!worked}>Keep with this engine</Button>
        </form>
      {/if}
    </div>
    {#if form?.at === 'keep'}
      {#if form.problem}<p class="problem" role="alert">{printMarks(form.problem, units)}</p>
      {:else if form.kept && worked && form.value === worked.value}<p class="note" role="status">
          Kept with <a href="/engines/{engine}">{form.engine}</a>, dated today.
        </p>{/if}
    {/if}
  </section>

  <section class="box pad more" aria-label="How it goes, and its working">
    {#if curve}
      <div class="along">
        <Curve points={curve.points} at={curve.at} xKind={curve.xKind} yKind={worked!.kind} label={`${sum.name} against ${curve.label}`} />
        <div class="row no-print" role="group" aria-label="Drawn against">
          {#each axes as [key, field] (key)}<button
              class="plain"
              class:on={along === key}
              aria-pressed={along === key}
              onclick={() => (along = key)}>{field.label}</button
            >{/each}
        </div>
      </div>
    {/if}
    {#if worked}
      <h2 class="label">Working</h2>
      <Working worked={bare(worked)} />
    {:else}<p class="second">The working stands here when everything that is asked has been said.</p>{/if}
  </section>
</div>

<style>
  .bench {
    display: grid;
    grid-template: 'asked figures' auto 'asked more' 1fr / minmax(280px, 5fr) 7fr;
    margin-top: -2px;
  }
  .asked {
    grid-area: asked;
  }
  .figures {
    grid-area: figures;
    border-left: 0;
    border-bottom: 0;
  }
  .more {
    grid-area: more;
    border-left: 0;
    border-top: 0;
    min-width: 0;
  }
  .fields {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(13rem, 1fr));
    gap: 12px 16px;
    margin: 12px 0;
  }
  .figure {
    font: 600 3rem/1.1 var(--narrow);
    font-variant-numeric: tabular-nums;
  }
  .beside {
    color: var(--ink2);
    font: 500 1.25rem/1.3 var(--narrow);
  }
  .note {
    margin: 8px 0 0;
    max-width: 60ch;
  }
  .along {
    margin: 0 0 12px;
    max-width: 640px;
  }
  .row .on {
    background: var(--ink);
    color: var(--paper);
  }
  .row {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
  }
  h2 {
    margin: 16px 0 6px;
  }
  @container page (max-width: 50rem) {
    .bench {
      grid-template: 'figures' 'asked' 'more' / minmax(0, 1fr);
    }
    .figures,
    .more {
      border-left: 1px solid var(--ink);
    }
    .asked {
      border-bottom: 0;
    }
  }
</style>
