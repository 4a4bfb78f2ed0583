<script lang="ts">
  // What a member reads in.
  import { enhance } from '$app/forms';
  import type { UnitChoice } from '$core/units';
  import { Button, Select, SelectItem } from 'carbon-components-svelte';
  import { keepTyped } from '../form/keep-typed';
  import type { Said } from './said';

  let { units, said }: { units: UnitChoice | undefined; said: Said } = $props();
  const kinds = [
    ['pressure', 'Pressure', ['psi', 'bar', 'kPa']],
    ['temperature', 'Temperature', ['°C', '°F']],
    ['volume', 'Water', ['l', 'gal', 'qt']],
    ['mass', 'Weight', ['kg', 'lb']],
    ['length', 'Length', ['mm', 'in']]
  ] as const;
  const words: Record<string, string> = {
    l: 'litres',
    gal: 'imperial gallons',
    qt: 'US quarts',
    kg: 'kilograms',
    lb: 'pounds',
    mm: 'millimetres',
    in: 'inches'
  };
</script>

<section class="box pad">
  <h2 class="heading">Your units</h2>
  <p class="second">What you read in. What is stored does not change.</p>
  <form method="POST" action="?/units" class="stack" use:enhance={keepTyped}>
    {#each kinds as [key, name, options] (key)}
      <Select labelText={name} name={key} selected={units?.[key]}
        >{#each options as o (o)}<SelectItem value={o} text={words[o] ?? o} />{/each}</Select
      >
    {/each}
    {#if said?.at === 'units' && said.problem}<p class="problem">{said.problem}</p>{/if}
    <div class="row">
      <Button type="submit">Save units</Button>{#if said?.at === 'units' && said.done}<span role="status">Saved.</span>{/if}
    </div>
  </form>
</section>

<style>
  form {
    margin-top: 12px;
  }
</style>
