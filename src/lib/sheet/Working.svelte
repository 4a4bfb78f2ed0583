<script lang="ts">
  // The working of a figure: every step in words, its inputs, and where each came from.
  import { printMarks, type Worked } from '$core/units';
  import { unitChoice } from './unit-choice';
  import { withTimes } from './when';
  import { workedText } from './worked-text';

  let { worked }: { worked: Worked } = $props();
  const units = $derived(unitChoice());
</script>

<ol class="working">
  {#each worked.steps as step, i (i)}
    <li>
      <p>{withTimes(step.formula)}</p>
      {#each step.inputs as input (input.name)}
        <p class="input">
          <span>{input.name}</span><span class="figure">{workedText(input.value, input.kind, units)}</span><span class="from"
            >{input.from}</span
          >
        </p>
      {/each}
      <p class="input result">
        <span>{step.result.name}</span><span class="figure">{workedText(step.result.value, step.result.kind, units)}</span><span></span>
      </p>
    </li>
  {/each}
</ol>
<p class="how">
  {worked.sure === 'measured'
    ? 'Measured.'
    : worked.sure === 'estimate'
      ? 'An estimate, not a measurement.'
      : 'Worked from the fit-out’s dimensions, not measured.'}
  {printMarks(worked.caution ?? '', units)}
</p>

<style>
  .working {
    border-left: 3px solid var(--rule);
    padding-left: 12px;
    font-size: 0.9375rem;
  }
  li + li {
    margin-top: 8px;
  }
  .input {
    display: grid;
    grid-template-columns: 1fr auto 5.5rem;
    gap: 12px;
    color: var(--ink2);
  }
  .result {
    color: var(--ink);
  }
  .from {
    font-size: 0.8125rem;
    text-align: right;
  }
  .how {
    font-size: 0.875rem;
    color: var(--ink2);
    margin-top: 6px;
  }
</style>
