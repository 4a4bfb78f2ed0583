<script lang="ts">
  // What the day's water and air are like, and the tests that are due on it.
  import type { DayPlan } from '$core/plan';
  import { fromSi, toSi } from '$core/units';
  import { TextInput } from 'carbon-components-svelte';
  import { typed, typedNumber, without } from '../form/typed';
  import { unitChoice } from '../sheet/unit-choice';

  let {
    plan,
    wrong,
    onchange
  }: {
    plan: DayPlan;
    /** What is wrong at one of these fields. */
    wrong: (...fields: string[]) => string | undefined;
    onchange: (part: Partial<DayPlan>) => void;
  } = $props();
  const units = $derived(unitChoice());
  const degrees = (K: number) => Math.round(fromSi(K, 'temperature', units.temperature));
  const test = (i: number, part: Partial<DayPlan['tests'][number]>) =>
    onchange({ tests: plan.tests.map((t, j) => (i === j ? { ...t, ...part } : t)) });
</script>

<fieldset>
  <legend class="label">Water, weather, tests</legend>
  <div class="line pair">
    <TextInput
      size="sm"
      labelText="Water filled in, {units.temperature}"
      type="number"
      value={String(degrees(plan.water))}
      on:change={(e) => onchange({ water: toSi(typedNumber(e), 'temperature', units.temperature) })}
    />
    <TextInput
      size="sm"
      labelText="Air, {units.temperature}"
      type="number"
      value={String(degrees(plan.air))}
      on:change={(e) => onchange({ air: toSi(typedNumber(e), 'temperature', units.temperature) })}
    />
  </div>
  {#if wrong('water', 'air')}<p class="problem" role="alert">{wrong('water', 'air')}</p>{/if}
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
        on:change={(e) => test(i, { minutes: Math.max(1, typedNumber(e) || 1) })}
      />
      <button class="quiet" aria-label="Remove {t.what}" onclick={() => onchange({ tests: without(plan.tests, i) })}>✕</button>
    </div>
  {/each}
  {#if wrong('tests', 'minutes', 'without', 'packed')}<p class="problem" role="alert">
      {wrong('tests', 'minutes', 'without', 'packed')}
    </p>{/if}
  <button class="quiet" onclick={() => onchange({ tests: [...plan.tests, { what: 'Accumulation test', minutes: 15 }] })}
    >Add a test due today</button
  >
</fieldset>

<style>
  legend {
    margin-bottom: 6px;
  }
  .line {
    display: grid;
    grid-template-columns: 6.5rem minmax(0, 1fr) auto;
    gap: 8px;
    margin-top: 6px;
    align-items: end;
  }
  .line.pair {
    grid-template-columns: repeat(2, minmax(0, 11rem));
  }
  .quiet {
    min-height: 32px;
  }
  @container page (max-width: 30rem) {
    .line {
      grid-template-columns: minmax(0, 2fr) minmax(0, 3fr) auto;
    }
    .line.pair {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
