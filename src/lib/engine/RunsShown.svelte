<script lang="ts">
  // What the runs of an engine that nothing feeds have shown: water it takes, gas that goes, when each sense comes; beside what its class would have.
  import { plantOf } from '$core/boiler';
  import type { FitOut } from '$core/engine';
  import { gasHeat } from '$core/firing';
  import { sensesAhead } from '$core/learn';
  import type { RunFact } from '$core/log';
  import { shownIn } from '$core/plan';
  import { type Given, stopOf, type Stop, usualFilling } from '$core/sums';
  import { printText } from '$core/units';
  import { leftOn as left } from '../sheet/when';
  import { unitChoice } from '../sheet/unit-choice';

  let { fitOut, runs }: { fitOut: FitOut; runs: readonly RunFact[] } = $props();
  const units = $derived(unitChoice());
  const plain = $derived<Given>({ fitOut, plant: plantOf(fitOut) });
  const known = $derived<Given>({ ...plain, ...shownIn({ fitOut, runs }) });
  const stop = (given: Given): Stop | undefined => {
    const found = stopOf(usualFilling(given), given);
    return 'refused' in found ? undefined : found;
  };
  const [usual, own] = $derived([stop(plain), stop(known)]);
  /** As cold water: litres of it weigh as many kilograms. */
  const aMinute = (s: Stop) => `${printText((s.steams * 600) / 1000, 'volume', units)} in ten minutes`;
  const gas = $derived(plain.plant.fire.with === 'gas' ? plain.plant.fire.power / gasHeat : undefined);
  const anHour = (perSecond: number) => `${printText(perSecond * 3600, 'mass', units)} an hour`;
  const shown = $derived(known.shown);
  const first = $derived(runs.filter((r) => r.T === undefined || r.T < 340));
  const senses = $derived(
    !fitOut.gauge && own
      ? sensesAhead(
          fitOut,
          own,
          first.map((r) => r.sensed)
        ).filter((s) => s.runs > 0)
      : []
  );
</script>

{#if own && usual && (shown?.runs || shown?.weighed || senses.length)}
  <section class="box pad">
    <h2 class="label">What its runs have shown</h2>
    <table class="ruled">
      <thead><tr><th></th><th>Its own</th><th>By its class</th><th>From</th></tr></thead>
      <tbody>
        {#if shown?.runs}<tr>
            <td>Water it takes, once up</td>
            <td>{aMinute(own)}, to {Math.round(shown.spread * 100)} %</td>
            <td>{aMinute(usual)}</td>
            <td>{shown.runs} {shown.runs === 1 ? 'run' : 'runs'} measured in and out</td>
          </tr>{/if}
        {#if shown?.burns !== undefined && gas}<tr>
            <td>Gas</td><td>{anHour(shown.burns * gas)}</td><td>{anHour(gas)}, by its power</td>
            <td>{shown.weighed} {shown.weighed === 1 ? 'canister' : 'canisters'} weighed before and after</td>
          </tr>{/if}
        <tr>
          <td>Over after the match, on its own fill</td><td>{left(own.worked.value * 1000)}</td><td>{left(usual.worked.value * 1000)}</td>
          <td>{{ water: 'its water', 'run limit': 'the longest run', fuel: 'its fuel' }[own.by]} ends it</td>
        </tr>
      </tbody>
    </table>
    {#if senses.length}
      <table class="ruled">
        <thead><tr><th>What tells</th><th>From the match</th><th>Eight in ten</th><th>Runs, from cold or hand-warm</th></tr></thead>
        <tbody>
          {#each senses as s (s.sense.seen)}
            <tr>
              <td>{s.sense.word}</td>
              <td>{left(s.middle * 1000)}</td>
              <td>{left(s.early * 1000)} to {left(s.late * 1000)}</td>
              <td>{s.runs}</td>
            </tr>
          {/each}
        </tbody>
      </table>
    {/if}
    <p class="second">With the burner it has now. The day sheet, its steps and the countdown rest on these.</p>
  </section>
{/if}

<style>
  section {
    margin-top: 12px;
  }
  table {
    table-layout: fixed;
    width: 100%;
  }
  table + table {
    margin-top: 10px;
  }
  th {
    text-align: left;
  }
  p {
    font-size: 0.9375rem;
    margin-top: 6px;
  }
</style>
