<script lang="ts">
  // The course of the pressure beside what the plan said and the forecast says, and under it what comes when.
  import { isTimed } from '$core/sums';
  import RunChart from '../draw/RunChart.svelte';
  import Trend from '../draw/Trend.svelte';
  import { unitChoice } from '../sheet/unit-choice';
  import Ahead from './Ahead.svelte';
  import Coach from './Coach.svelte';
  import Runs from '../sheet/Runs.svelte';
  import type { Footplate } from './footplate.svelte';

  let { foot }: { foot: Footplate } = $props();
  const units = $derived(unitChoice());
  const footing = $derived(foot.forecast.footing);
</script>

{#if foot.fitOut.gauge || foot.fitOut.glasses.length}
  <p class="label">Pressure, {units.pressure}{foot.fitOut.glasses.length ? '; glass below' : ''}</p>
  <div class="trend"><Trend log={foot.log} now={foot.now} {footing} /></div>
  {#if footing}<Ahead {footing} now={foot.now} timed={isTimed(foot.fitOut)} />{/if}
  <Coach watch={foot.watch} now={foot.now} brief />
{/if}
{#if isTimed(foot.fitOut)}
  {#if !foot.fitOut.gauge && foot.countdown && !('refused' in foot.countdown)}
    <p class="label">This run: water, to scale</p>
    <RunChart count={foot.countdown} now={foot.now} />
  {/if}
  <Runs log={foot.log} name="Runs today" />
{/if}

<style>
  .trend {
    flex: 1;
    min-height: 15rem;
  }
  @container page (max-width: 62.5rem) {
    .trend {
      height: 300px;
      flex: none;
    }
  }
</style>
