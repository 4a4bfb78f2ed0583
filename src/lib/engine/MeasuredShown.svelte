<script lang="ts">
  // What hands have measured on its days: what each feed gives, what things take, a lap; beside what its fit-out says.
  import { plantFor } from '$core/boiler';
  import type { FitOut } from '$core/engine';
  import type { ExpectsMeasured } from '$core/learn';
  import { printText } from '$core/units';
  import { leftOn } from '../sheet/when';
  import { unitChoice } from '../sheet/unit-choice';

  let { fitOut, shown }: { fitOut: FitOut; shown: ExpectsMeasured } = $props();
  const units = $derived(unitChoice());
  /** As cold water: a litre of it weighs a kilogram. A stroke of a hand pump takes about a second. */
  const gives = (kind: string, rate: number) =>
    kind === 'hand pump'
      ? `${printText(rate / 1000, 'volume', units)} a stroke`
      : `${printText((rate * 3600) / 1000, 'volume', units)} an hour`;
  const rows = $derived([
    ...plantFor(fitOut).feeds.flatMap((f) => {
      const gave = shown.feeds?.[f.name];
      const kind = fitOut.feeds.find((x) => x.name === f.name)?.kind ?? '';
      return gave === undefined ? [] : [[f.name, gives(kind, f.rate * gave), `${gives(kind, f.rate)} by its fit-out`] as const];
    }),
    ...Object.entries(shown.times ?? {}).map(([what, { usual, of }]) => [what, `${usual.toFixed(1)} s`, `${of} timed`] as const),
    ...(shown.lap
      ? [
          [
            `A lap of ${printText(shown.lap.length, 'length', units)}`,
            leftOn(shown.lap.time * 1000),
            `${printText(shown.lap.length / shown.lap.time, 'travel', units)}`
          ] as const
        ]
      : [])
  ]);
</script>

{#if rows.length}
  <section class="box pad">
    <h2 class="label">Measured by hand, on its last days</h2>
    <table class="ruled">
      <tbody>
        {#each rows as [what, is, beside] (what)}<tr><td>{what}</td><td class="num">{is}</td><td class="second">{beside}</td></tr>{/each}
      </tbody>
    </table>
  </section>
{/if}

<style>
  section {
    margin-top: 12px;
  }
</style>
