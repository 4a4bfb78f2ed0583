<script lang="ts">
  // The commissioning matrix to be read: every control and fitting in every condition, with what was found.
  import { cellOf, type Cells, conditionKeys, conditions, fittingsOf } from '$core/commission';
  import type { FitOut } from '$core/engine';
  import { day } from '../sheet/when';

  let { fitOut, cells }: { fitOut: FitOut; cells: Cells } = $props();
  const rows = $derived(fittingsOf(fitOut));
</script>

<div class="scroll">
  <table class="ruled">
    <thead
      ><tr
        ><th>Control or fitting</th>{#each conditionKeys as c (c)}<th>{conditions[c]}</th>{/each}</tr
      ></thead
    >
    <tbody>
      {#each rows as r (r.name)}
        <tr>
          <td class="figure">{r.name}</td>
          {#each conditionKeys as c (c)}
            {@const cell = cellOf(cells, r.name, c)}
            <td class:caution={cell?.result === 'not good'}
              >{#if !r.in.includes(c)}<span class="second">–</span>{:else if cell}{cell.result === 'good' ? '✓' : '× '}{cell.text ?? ''}
                <span class="second">{day(cell.at)}, {cell.by}</span>{:else}○{/if}</td
            >
          {/each}
        </tr>
      {/each}
    </tbody>
  </table>
</div>
