<script lang="ts">
  // The treatment that goes in, in one entry: how much for the water that was changed by what went in last time, and what did go in.
  import { plantFor } from '$core/boiler';
  import { waters } from '$core/engine';
  import { treatment } from '$core/sums';
  import { chosenUnit, parseQuantity, printText } from '$core/units';
  import Figures from '../sheet/Figures.svelte';
  import { unitChoice } from '../sheet/unit-choice';
  import { day } from '../sheet/when';
  import type { Footplate } from './footplate.svelte';

  let { foot }: { foot: Footplate } = $props();
  const units = $derived(unitChoice());
  // svelte-ignore state_referenced_locally
  const last = foot.log.context.begun?.treated;
  const logged = $derived(foot.state.measured.treatment);
  // svelte-ignore state_referenced_locally
  let said = $state({ changed: '', dose: '', product: last?.product ?? '', water: foot.fitOut.water.kind });
  /** The most that an entry takes, m³. */
  const most = 20;
  const read = (text: string, unit: string) => {
    const got = text.trim() ? parseQuantity(text.trim(), 'volume', unit) : undefined;
    return got && 'value' in got && !(got.value > 0 && got.value <= most)
      ? { problem: `More than nothing, and at most ${volume(most)}.` }
      : got;
  };
  const volume = (v: number) => printText(v, 'volume', units);
  const litres = $derived(chosenUnit('volume', units));
  const changed = $derived(read(said.changed, litres));
  const dose = $derived(read(said.dose, 'ml'));
  const ready = $derived(dose !== undefined && 'value' in dose && !(changed && 'problem' in changed));
  const litre = 1e-3;
  const today = $derived(
    last && changed && 'value' in changed
      ? treatment.work(
          { water: changed.value, each: litre, dose: last.each * litre },
          { fitOut: foot.fitOut, plant: plantFor(foot.fitOut) }
        )
      : undefined
  );
  function log() {
    if (!dose || !('value' in dose) || (changed && !('value' in changed))) return;
    const product = said.product.trim();
    const body = {
      what: 'treatment' as const,
      volume: dose.value,
      water: said.water,
      ...(changed ? { changed: changed.value } : {}),
      ...(product ? { product } : {})
    };
    // What was refused, and why, stands at NOW; what was typed stays.
    if (foot.enter([{ kind: 'measured', body }])) said = { ...said, changed: '', dose: '' };
  }
</script>

<section class="round" aria-label="Treatment">
  {#if logged}<p>In today: <strong>{volume(logged.value)}</strong>{logged.product ? `, ${logged.product}` : ''}.</p>{/if}
  <label><span>Water changed, {litres}</span><input class="field" inputmode="decimal" autocomplete="off" bind:value={said.changed} /></label
  >
  {#if changed && 'problem' in changed}<p class="problem">{changed.problem}</p>{/if}
  {#if today && last}
    <Figures figures={[{ key: 'treatment', name: `How much today, as on ${day(last.at)}`, worked: today }]} />
  {:else if !last}<p class="second">How much today: as its maker says. It is worked here from the first dose with its water on.</p>{/if}
  <label><span>Treatment that goes in, ml</span><input class="field" inputmode="decimal" autocomplete="off" bind:value={said.dose} /></label
  >
  {#if dose && 'problem' in dose}<p class="problem">{dose.problem}</p>{/if}
  <label><span>Product</span><input class="field" maxlength="80" autocomplete="off" bind:value={said.product} /></label>
  <label
    ><span>Kind of water</span><select class="field" bind:value={said.water}
      >{#each Object.entries(waters) as [key, word] (key)}<option value={key}>{word}</option>{/each}</select
    ></label
  >
  <button class="plain" disabled={!ready} onclick={log}>Log treatment</button>
</section>

<style>
  section {
    display: grid;
    gap: 6px;
    margin-top: 8px;
    border: 1px solid var(--rule);
    padding: 8px 10px;
  }
  label {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(6.5rem, 45%);
    gap: 10px;
    align-items: center;
  }
  .field {
    min-width: 0;
  }
  button {
    min-height: 48px;
  }
</style>
