<script lang="ts">
  // A quantity in the reader's own unit: the figure, and its unit smaller beside it.
  import { print, type Quantity } from '$core/units';
  import { unitChoice } from './unit-choice';

  let { value, quantity, digits }: { value: number; quantity: Quantity; digits?: number } = $props();
  const shown = $derived(print(value, quantity, unitChoice(), digits));
</script>

<span class="q">{shown.figure}<span class="unit">{shown.unit === '°' ? '' : '\u2009'}{shown.unit}</span></span>

<style>
  .q {
    display: inline-flex;
    flex-wrap: wrap;
    align-items: baseline;
    column-gap: 0;
  }
  .unit {
    font-size: 0.8em;
    font-weight: 500;
  }
</style>
