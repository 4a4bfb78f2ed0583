<script lang="ts">
  // The ledger of water: how long since it was washed out, and what treatment went into how much water.
  import type { Ledger } from '$core/proof';
  import { printText } from '$core/units';
  import { unitChoice } from '../sheet/unit-choice';
  import { dayWords } from '../sheet/when';

  let { engine, ledger, treated }: { engine: string; ledger: Ledger; treated: boolean } = $props();
  const units = $derived(unitChoice());
  const volume = (v: number) => printText(v, 'volume', units);
  const times = $derived(`${ledger.steamings} steaming${ledger.steamings === 1 ? '' : 's'}`);
  /** Of each litre, as it is measured out. */
  const litre = 1e-3;
</script>

<section class="box pad">
  <h2 class="label">Water</h2>
  <p class:act={ledger.due}>
    {ledger.due ? '■ ' : ''}{ledger.washed
      ? `Washed out ${dayWords(ledger.washed)}, ${times} since`
      : `No wash-out is written down: ${times} known`}{ledger.due ? ': due by the rules' : ''}
  </p>
  {#if ledger.fills.length}<p>
      Filled {ledger.washed ? 'since ' : ''}with {ledger.fills
        .map((f) => `${f.kind} water ${f.times === 1 ? 'once' : `${f.times} times`}`)
        .join(', ')}
    </p>{/if}
  {#if ledger.doses.length}
    <div class="wide">
      <table class="ruled">
        <thead><tr><th>Treatment</th><th class="num">Dose</th><th class="num">For water</th><th class="num">For each litre</th></tr></thead>
        <tbody
          >{#each ledger.doses as d, i (i)}<tr
              ><td>{dayWords(d.day)} <span class="second">{[d.product, d.kind && `${d.kind} water`].filter(Boolean).join(', ')}</span></td
              ><td class="num">{volume(d.dose)}</td><td class="num">{d.water === undefined ? '–' : volume(d.water)}</td><td class="num"
                >{d.each === undefined ? '–' : volume(d.each * litre)}</td
              ></tr
            >{/each}</tbody
        >
      </table>
    </div>
    <p class="second">
      Dosed for the water that was changed: what boiled away left its treatment behind. <a
        class="no-print"
        href="/bench/treatment?engine={engine}">How much today?</a
      >
    </p>
  {:else if treated}<p class="second">
      No dose was logged yet: it is asked for with the water to hand. <a class="no-print" href="/bench/treatment?engine={engine}"
        >How much today?</a
      >
    </p>{/if}
</section>

<style>
  .wide {
    overflow-x: auto;
  }
  th {
    white-space: normal;
  }
</style>
