<script lang="ts">
  // Every place that can leak and what each walk found of it: read on a screen, and filled in by hand on paper.
  import { judgePlace, leaks, registerOf, type Place, type Swept, sweptIn, walksOf, walkWords } from '$core/commission';
  import type { FitOut } from '$core/engine';
  import { printMarks } from '$core/units';
  import { unitChoice } from '../sheet/unit-choice';

  let { fitOut, swept, own }: { fitOut: FitOut; swept: readonly Swept[]; own: readonly Place[] } = $props();
  const text = (t: string) => printMarks(t, unitChoice());
  const walks = $derived(walksOf(fitOut));
  const said = (place: string, at: number) => {
    const is = sweptIn(swept, place, at)?.is;
    return is && is !== 'disturbed' ? leaks[is] : '○';
  };
</script>

<div class="scroll">
  <table class="ruled">
    <thead
      ><tr
        ><th>Place</th>{#each walks as p (p)}<th>{text(walkWords(p, fitOut.workingPressure))}</th>{/each}<th>So</th></tr
      ></thead
    >
    <tbody>
      {#each registerOf(fitOut, own) as p (p.name)}
        {@const judged = judgePlace(p, swept)}
        <tr>
          <td class="figure">{p.name}</td>
          {#each walks as at (at)}<td class:caution={!['dry', '○'].includes(said(p.name, at))}>{said(p.name, at)}</td>{/each}
          <td class:act={judged?.stops}>{judged && judged.trend !== 'dry' ? `${judged.trend}${judged.stops ? ': stop' : ''}` : ''}</td>
        </tr>
      {/each}
    </tbody>
  </table>
</div>
