<script lang="ts">
  // The runs of an engine that nothing feeds: water, fuel and time of each as one sum, with what ends it.
  import type { Whole } from '$core/plan';
  import { printMarks, printText } from '$core/units';
  import { ends } from '../sheet/ends';
  import { unitChoice } from '../sheet/unit-choice';
  import { clock, minutes } from '../sheet/when';
  import Working from '../sheet/Working.svelte';

  let { runs }: { runs: NonNullable<Whole['runs']> } = $props();
  const units = $derived(unitChoice());
  const first = $derived(runs.first);
</script>

<section class="box pad" aria-label="Runs">
  <h2 class="label">{runs.runs.length > 1 ? 'Runs: water, fuel and time' : 'The run: water, fuel and time'}</h2>
  {#if 'refused' in first}
    <p class="strip act">{printMarks(first.refused, units)}</p>
    <details><summary>Working</summary><Working worked={first.worked} /></details>
  {:else}
    <table>
      <thead><tr><th>For</th><th>Match</th><th>Up</th><th>Over</th><th>Water in it</th><th>Fuel</th></tr></thead>
      <tbody>
        {#each runs.runs as run, i (i)}
          <tr>
            <td>{run.what}</td>
            <td>{clock(run.light)}</td>
            <td>{clock(run.up)}</td>
            <td><strong>{clock(run.stop)}</strong></td>
            <td>{printText(run.fill, 'volume', units)}</td>
            <td>{run.charge === undefined ? '' : printText(run.charge, 'mass', units)}</td>
          </tr>
        {/each}
      </tbody>
    </table>
    <p class="small">
      Over {minutes(first.worked.value * 1000)} after the match: {ends[first.by]}.
      {#if first.largest}No more than {printText(first.largest.value, 'mass', units)} of fuel ends before the water of the first.{/if}
      {#if runs.runs.length > 1}Between two runs: {minutes(runs.between.cooling * 1000)} until nothing is left of the pressure, {minutes(
          runs.between.hands * 1000
        )} of work.{/if}
    </p>
    {#each first.notes as note (note)}<p class="small">{printMarks(note, units)}</p>{/each}
    <details><summary>Working</summary><Working worked={first.worked} /></details>
  {/if}
</section>

<style>
  section {
    margin-bottom: 12px;
  }
  table {
    width: 100%;
    border-collapse: collapse;
    margin: 6px 0;
  }
  th,
  td {
    text-align: left;
    padding: 3px 8px 3px 0;
    border-bottom: 1px solid var(--rule);
    font-size: 0.9375rem;
  }
  th {
    color: var(--ink2);
    font-weight: 400;
  }
  .small {
    font-size: 0.9375rem;
    margin-top: 4px;
  }
</style>
