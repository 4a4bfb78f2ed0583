<script lang="ts">
  // The numbers that a step asks for, each in the member's unit. None must be given; what cannot be read is kept and explained.
  import { type Ask, asks } from '$core/procedure';
  import { chosenUnit, parseQuantity, toSi } from '$core/units';
  import { unitChoice } from '../sheet/unit-choice';

  let {
    of,
    values = $bindable()
  }: {
    of: readonly Ask[];
    /** SI, of what was given and could be read; undefined where one cannot be read. */ values: Partial<Record<Ask, number>> | undefined;
  } = $props();
  let said = $state<Partial<Record<Ask, string>>>({});
  const unit = (ask: Ask) => chosenUnit(asks[ask].quantity, unitChoice());
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
      : Object.fromEntries(given.map(([ask, got]) => ('problem' in got! ? [] : [ask, toSi(got!.value, asks[ask].quantity, got!.unit)])));
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
