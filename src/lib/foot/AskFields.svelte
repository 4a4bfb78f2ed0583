<script lang="ts">
  // The numbers that a step asks for, each in the member's unit. None must be given; what cannot be read is kept and explained.
  import { type Ask, asks } from '$core/procedure';
  import { chosenUnit, parseQuantity } from '$core/units';
  import { unitChoice } from '../sheet/unit-choice';

  let {
    of,
    small = false,
    values = $bindable()
  }: {
    of: readonly Ask[];
    /** A small engine is measured in millilitres and grams. */ small?: boolean;
    /** SI, of what was given and could be read; undefined where one cannot be read. */ values: Partial<Record<Ask, number>> | undefined;
  } = $props();
  let said = $state<Partial<Record<Ask, string>>>({});
  const smaller = { volume: 'ml', mass: 'g' } as const;
  const unit = (ask: Ask) => {
    const { quantity } = asks[ask];
    return small && quantity in smaller ? smaller[quantity as keyof typeof smaller] : chosenUnit(quantity, unitChoice());
  };
  const read = (ask: Ask) => {
    const text = said[ask]?.trim();
    return text ? parseQuantity(text, asks[ask].quantity, unit(ask)) : undefined;
  };
  const problem = (ask: Ask) => {
    const got = read(ask);
    return got && 'problem' in got ? got.problem : undefined;
  };
  $effect(() => {
    const given = of.map((ask) => [ask, read(ask)] as const).filter(([, got]) => got);
    values = given.some(([, got]) => 'problem' in got!)
      ? undefined
      : Object.fromEntries(given.map(([ask, got]) => ('problem' in got! ? [] : [ask, got!.value])));
  });
</script>

<div class="asks">
  {#each of as ask (ask)}
    <label
      ><span>{asks[ask].label}, {unit(ask)}</span><input
        class="field"
        inputmode="decimal"
        autocomplete="off"
        aria-invalid={problem(ask) !== undefined}
        bind:value={said[ask]}
      /></label
    >
    {#if problem(ask)}<p class="problem">{problem(ask)}</p>{/if}
  {/each}
</div>

<style>
  .asks {
    display: grid;
    gap: 6px;
    margin-top: 8px;
  }
  label {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 6.5rem;
    gap: 10px;
    align-items: center;
  }
  .field {
    min-width: 0;
    text-align: right;
  }
</style>
