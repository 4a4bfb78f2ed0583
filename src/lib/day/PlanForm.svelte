<script lang="ts">
  // What the day asks: when steam is wanted, when it must be over, who is there from when, water and weather, tests due.
  import type { DayPlan } from '$core/plan';
  import { fromSi, toSi } from '$core/units';
  import { Select, SelectItem, TextInput } from 'carbon-components-svelte';
  import { format, parse } from 'date-fns';
  import { unitChoice } from '../sheet/unit-choice';

  let {
    plan,
    names,
    problem,
    onchange
  }: {
    plan: DayPlan;
    names: readonly string[];
    problem?: { field: string; sentence: string } | undefined;
    onchange: (part: Partial<DayPlan>) => void;
  } = $props();
  const units = $derived(unitChoice());
  const day = $derived(format(new Date(plan.wants[0]!.at), 'yyyy-MM-dd'));
  const time = (iso: string | null | undefined) => (iso ? format(new Date(iso), 'HH:mm') : '');
  /** A clock time on the plan's day as an instant; undefined when it is not one. */
  function on(date: string, clock: string): string | undefined {
    const found = parse(`${date} ${clock}`, 'yyyy-MM-dd HH:mm', new Date(0));
    return Number.isNaN(found.getTime()) ? undefined : found.toISOString();
  }
  const degrees = (K: number) => Math.round(fromSi(K, 'temperature', units.temperature));
  /** What was typed into one of Carbon's fields: their events carry it, and have no element of their own. */
  const typed = ({ detail }: CustomEvent<string | number | null | undefined>) => String(detail ?? '').trim();
  const number = (event: CustomEvent<string | number | null | undefined>) => Number(typed(event));

  function moveDay(to: string) {
    const shift = (iso: string | null) => (iso ? (on(to, time(iso)) ?? iso) : iso);
    if (!on(to, '12:00')) return;
    onchange({
      wants: plan.wants.map((w) => ({ ...w, at: shift(w.at)! })),
      end: shift(plan.end),
      people: plan.people.map((p) => ({ ...p, from: shift(p.from) }))
    });
  }
  const want = (i: number, part: Partial<DayPlan['wants'][number]>) =>
    onchange({ wants: plan.wants.map((w, j) => (i === j ? { ...w, ...part } : w)) });
  const person = (i: number, part: Partial<DayPlan['people'][number]>) =>
    onchange({ people: plan.people.map((p, j) => (i === j ? { ...p, ...part } : p)) });
  const test = (i: number, part: Partial<DayPlan['tests'][number]>) =>
    onchange({ tests: plan.tests.map((t, j) => (i === j ? { ...t, ...part } : t)) });
  const drop = <T,>(list: readonly T[], i: number) => list.filter((_, j) => j !== i);
  const id = $props.id();
  const wrong = (field: string) => (problem?.field.startsWith(field) ? problem.sentence : undefined);
</script>

<div class="form">
  <fieldset>
    <legend class="label">Wanted in steam</legend>
    <TextInput size="sm" labelText="Day" type="date" value={day} on:change={(e) => moveDay(typed(e))} />
    {#each plan.wants as w, i (i)}
      <div class="line">
        <TextInput
          size="sm"
          hideLabel
          labelText="At"
          type="time"
          value={time(w.at)}
          on:change={(e) => {
            const at = on(day, typed(e));
            if (at) want(i, { at });
          }}
        />
        <TextInput
          size="sm"
          hideLabel
          labelText="What for"
          value={w.what}
          maxlength={60}
          on:change={(e) => typed(e) && want(i, { what: typed(e) })}
        />
        {#if plan.wants.length > 1}<button
            class="quiet"
            aria-label="Remove {w.what}"
            onclick={() => onchange({ wants: drop(plan.wants, i) })}>✕</button
          >{/if}
      </div>
    {/each}
    {#if wrong('wants')}<p class="problem" role="alert">{wrong('wants')}</p>{/if}
    <button
      class="quiet"
      onclick={() =>
        onchange({
          wants: [
            ...plan.wants,
            {
              what: plan.wants.length === 1 ? 'last train' : 'demonstration',
              at: new Date(Date.parse(plan.wants.at(-1)!.at) + 3.6e6).toISOString()
            }
          ]
        })}>Add a want</button
    >
    <div class="line">
      <TextInput
        size="sm"
        labelText="All over by"
        type="time"
        value={time(plan.end)}
        on:change={(e) => onchange({ end: on(day, typed(e)) ?? null })}
      />
      <TextInput
        size="sm"
        labelText="Running, min"
        type="number"
        min="0"
        max="1440"
        value={String(plan.running)}
        on:change={(e) => onchange({ running: number(e) || 0 })}
      />
    </div>
  </fieldset>

  <fieldset>
    <legend class="label">People</legend>
    {#each plan.people as p, i (i)}
      <div class="line three">
        <input
          class="field"
          list="{id}-names"
          aria-label="Name"
          value={p.name}
          maxlength="120"
          onchange={(e) => e.currentTarget.value.trim() && person(i, { name: e.currentTarget.value.trim() })}
        />
        <Select size="sm" hideLabel labelText="As" selected={p.as} on:update={({ detail }) => detail !== p.as && person(i, { as: detail })}>
          <SelectItem value="keeper" text="keeper" /><SelectItem value="helper" text="helper" /><SelectItem
            value="trainee"
            text="trainee"
          />
        </Select>
        <TextInput
          size="sm"
          hideLabel
          labelText="There from"
          type="time"
          value={time(p.from)}
          on:change={(e) => person(i, { from: on(day, typed(e)) ?? null })}
        />
        {#if plan.people.length > 1}<button
            class="quiet"
            aria-label="Remove {p.name}"
            onclick={() => onchange({ people: drop(plan.people, i) })}>✕</button
          >{/if}
      </div>
    {/each}
    <datalist id="{id}-names"
      >{#each names as name (name)}<option value={name}></option>{/each}</datalist
    >
    {#if wrong('people') || wrong('plan') || wrong('end')}<p class="problem" role="alert">
        {wrong('people') ?? wrong('plan') ?? wrong('end')}
      </p>{/if}
    <button
      class="quiet"
      onclick={() =>
        onchange({
          people: [
            ...plan.people,
            { name: names.find((n) => plan.people.every((p) => p.name !== n)) ?? 'Helper', as: 'helper', from: null }
          ]
        })}>Add somebody</button
    >
    <p class="second small">Without a time, there from the start.</p>
  </fieldset>

  <fieldset class="wide">
    <legend class="label">Water, weather, tests</legend>
    <div class="line pair">
      <TextInput
        size="sm"
        labelText="Water filled in, {units.temperature}"
        type="number"
        value={String(degrees(plan.water))}
        on:change={(e) => onchange({ water: toSi(number(e), 'temperature', units.temperature) })}
      />
      <TextInput
        size="sm"
        labelText="Air, {units.temperature}"
        type="number"
        value={String(degrees(plan.air))}
        on:change={(e) => onchange({ air: toSi(number(e), 'temperature', units.temperature) })}
      />
    </div>
    {#if wrong('water') || wrong('air')}<p class="problem" role="alert">{wrong('water') ?? wrong('air')}</p>{/if}
    {#each plan.tests as t, i (i)}
      <div class="line">
        <TextInput
          size="sm"
          hideLabel
          labelText="Test"
          value={t.what}
          maxlength={80}
          on:change={(e) => typed(e) && test(i, { what: typed(e) })}
        />
        <TextInput
          size="sm"
          hideLabel
          labelText="Minutes"
          type="number"
          min="1"
          max="240"
          value={String(t.minutes)}
          on:change={(e) => test(i, { minutes: Math.max(1, number(e) || 1) })}
        />
        <button class="quiet" aria-label="Remove {t.what}" onclick={() => onchange({ tests: drop(plan.tests, i) })}>✕</button>
      </div>
    {/each}
    <button class="quiet" onclick={() => onchange({ tests: [...plan.tests, { what: 'Accumulation test', minutes: 15 }] })}
      >Add a test due today</button
    >
  </fieldset>
</div>

<style>
  .form {
    display: grid;
    grid-template-columns: repeat(2, minmax(0, 1fr));
    gap: 16px 28px;
  }
  fieldset {
    border: 0;
    padding: 0;
    margin: 0;
    min-width: 0;
  }
  legend {
    margin-bottom: 6px;
  }
  .line {
    display: grid;
    grid-template-columns: 8.2rem minmax(0, 1fr) auto;
    gap: 8px;
    margin-top: 6px;
    align-items: end;
  }
  .line.three {
    grid-template-columns: minmax(0, 1fr) 5.6rem 7.6rem auto;
  }
  .small {
    font-size: 0.875rem;
  }
  .wide {
    grid-column: 1 / -1;
  }
  .line.pair {
    grid-template-columns: 11rem 11rem;
  }
  .quiet {
    min-height: 32px;
  }
  .field {
    width: 100%;
  }
  .form :global(.bx--select-input),
  .form :global(.bx--text-input) {
    height: 40px;
    padding-left: 8px;
  }
  .form :global(.bx--select-input) {
    padding-right: 1.6rem;
  }
  .form .field {
    min-height: 40px;
  }
  .form :global(input) {
    font-family: var(--sans);
  }
  .form :global(.bx--select),
  .form :global(.bx--form-item) {
    margin: 0;
    min-width: 0;
  }
  @media (max-width: 900px) {
    .form {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
