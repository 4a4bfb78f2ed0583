<script lang="ts">
  // What a worksheet comes to: the verdict follows the numbers, each with its sum.
  import { type Finding, type Verdict, verdicts } from '$core/proof';
  import { printMarks, type Worked } from '$core/units';
  import { unitChoice } from '../sheet/unit-choice';
  import Working from '../sheet/Working.svelte';
  import { toneOf } from './tone';

  let { findings, verdict }: { findings: readonly Finding[]; verdict: Verdict } = $props();
  const units = $derived(unitChoice());
  const worked = (of: Finding): Worked => ({ value: 0, kind: 'ratio', sure: 'measured', steps: of.steps });
</script>

<p class="verdict {toneOf(verdict).class}">
  {toneOf(verdict).sign}{verdicts[verdict]}
</p>
<ul>
  {#each findings as f, i (i)}
    <li>
      <p class={toneOf(f.verdict).class}>
        {toneOf(f.verdict).sign}{printMarks(f.says, units)}{toneOf(f.verdict).class ? ` ${verdicts[f.verdict]}.` : ''}
      </p>
      {#if f.steps.length}<Working worked={worked(f)} />{/if}
    </li>
  {/each}
</ul>
<p class="second">Evidence and arithmetic. Whether a boiler may be steamed is for the boiler examiner and the club’s boiler code.</p>

<style>
  .verdict {
    font: 600 1.375rem/1.25 var(--narrow);
  }
  ul {
    margin: 8px 0;
    padding: 0;
    list-style: none;
  }
  li {
    border-top: 1px solid var(--rule);
    padding: 8px 0;
  }
</style>
