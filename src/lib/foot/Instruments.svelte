<script lang="ts">
  // What an engine is read by: its countdown where nothing feeds it, the glass and the scale where it has them, else what tells.
  import { isTimed } from '$core/sums';
  import type { Glass } from '$core/units';
  import Countdown from './Countdown.svelte';
  import type { Footplate } from './footplate.svelte';
  import Readings from './Readings.svelte';
  import SensesLadder from './SensesLadder.svelte';

  let { foot, marks, cold }: { foot: Footplate; marks: { value: number; word: string }[]; cold: number | null } = $props();
  const { fitOut } = $derived(foot);
  const onglass = (glass: Glass, which: number) => foot.pickGlass(glass, which);
</script>

{#if isTimed(fitOut)}<Countdown {foot} />{/if}
{#if fitOut.gauge || fitOut.glasses.length}
  <Readings {fitOut} state={foot.state} now={foot.now} {marks} {cold} {onglass} onpressure={foot.pickPressure} />
{/if}
{#if !fitOut.gauge}<SensesLadder {foot} />{/if}
