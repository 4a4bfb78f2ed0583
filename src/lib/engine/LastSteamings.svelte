<script lang="ts">
  // The last records of an engine, with the figures that are compared.
  import type { Summary } from '$core/log';
  import { printText } from '$core/units';
  import { unitChoice } from '../sheet/unit-choice';
  import { moment, span } from '../sheet/when';

  let {
    engineId,
    steamings
  }: {
    engineId: string;
    steamings: readonly { id: string; purpose: string; startedAt: Date; endedAt: Date | null; summary: Summary | null }[];
  } = $props();
  const units = $derived(unitChoice());
</script>

<section class="box pad">
  <div class="row between">
    <h2 class="label">Last steamings</h2>
    <a class="small" href="/logbook?engine={engineId}">All in the Logbook</a>
  </div>
  <div class="scroll">
    <table class="ruled last">
      <thead
        ><tr
          ><th>Day</th><th>For</th><th class="r">In steam</th><th class="r">Raise</th><th class="r">Highest</th><th class="r">Faults</th
          ></tr
        ></thead
      >
      <tbody>
        {#each steamings.filter((s) => s.endedAt) as s (s.id)}
          <tr>
            <td><a href="/records/{s.id}">{moment(s.startedAt)}</a></td>
            <td>{s.purpose || '–'}</td>
            <td class="num">{s.summary?.inSteam ? span(s.summary.inSteam) : '–'}</td>
            <td class="num">{s.summary?.raise ? span(s.summary.raise) : '–'}</td>
            <td class="num">{s.summary?.highest ? printText(s.summary.highest, 'pressure', units) : '–'}</td>
            <td class="num">{s.summary?.faults ?? 0}</td>
          </tr>
        {:else}<tr><td colspan="6" class="second">Not steamed yet. Start one, and its record stands here.</td></tr>{/each}
      </tbody>
    </table>
  </div>
</section>

<style>
  .r {
    text-align: right;
  }
  .small {
    font-size: 0.9375rem;
  }
</style>
