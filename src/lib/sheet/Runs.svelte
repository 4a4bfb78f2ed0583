<script lang="ts">
  // The runs of a day: what went in, what was charged, when each had to be over, what was left.
  import { type Log, runsTold } from '$core/log';
  import { printText } from '$core/units';
  import { unitChoice } from './unit-choice';
  import { clock, minutes } from './when';

  let { log, name }: { log: Log; name: string } = $props();
  const units = $derived(unitChoice());
  const runs = $derived(runsTold(log));
  const volume = (x: number | undefined) => (x === undefined ? '–' : printText(x, 'volume', units));
</script>

<section class="runs" aria-label="Runs">
  <h2 class="label">{name}</h2>
  {#if runs.length}
    <table>
      <thead><tr><th>Match</th><th>Over by</th><th>Out</th><th>Water in</th><th>Left</th><th>Fuel</th></tr></thead>
      <tbody>
        {#each runs as { run, over, late } (run.litAt)}
          <tr>
            <td>{clock(run.litAt)}</td>
            <td>{over === undefined ? '–' : clock(over)}</td>
            <td
              >{run.outAt ? clock(run.outAt) : ''}{#if late}<span class="late">{minutes(late)} late</span>{/if}</td
            >
            <td>{volume(run.water)}</td>
            <td>{volume(run.left)}</td>
            <td
              >{run.charge === undefined ? '–' : printText(run.charge, 'mass', units)}{#if run.burnt !== undefined}<span class="burnt"
                  >{printText(run.burnt, 'mass', units)} burnt</span
                >{/if}</td
            >
          </tr>
        {/each}
      </tbody>
    </table>
  {:else}<p class="second">None yet. What is measured in and what is charged stand here with each.</p>{/if}
</section>

<style>
  section {
    margin-top: 10px;
  }
  table {
    width: 100%;
    border-collapse: collapse;
    margin-top: 6px;
  }
  th,
  td {
    text-align: left;
    font-size: 0.9375rem;
    padding: 4px 6px 4px 0;
    border-bottom: 1px solid var(--rule);
    vertical-align: top;
  }
  th {
    font-weight: 400;
    color: var(--ink2);
  }
  .burnt {
    display: block;
    color: var(--ink2);
  }
  .late {
    display: block;
    color: var(--act);
    font-weight: 600;
  }
</style>
