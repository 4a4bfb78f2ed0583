<script lang="ts">
  // Water is not seen and there is fire: NOW is the drill, one step at a time, until the fire is out.
  import { printMarks } from '$core/units';
  import { unitChoice } from '../sheet/unit-choice';

  let { steps, onout, ondrill }: { steps: readonly string[]; onout: () => void; ondrill: () => void } = $props();
  let at = $state(0);
  const text = (t: string) => printMarks(t, unitChoice());
</script>

<article class="now">
  <p class="label">Low water, {Math.min(at + 1, steps.length)} of {steps.length}</p>
  <h2>{text(steps[Math.min(at, steps.length - 1)] ?? '')}</h2>
  {#if at < steps.length - 1}
    <button class="plain go done" onclick={() => at++}>Done, next</button>
    <ul>
      {#each steps.slice(at + 1) as step, i (i)}<li>{text(step)}</li>{/each}
    </ul>
  {/if}
  <div class="row between">
    <button class="plain" onclick={onout}>The fire is out</button>
    <button class="quiet" onclick={ondrill}>The drill in full</button>
  </div>
</article>

<style>
  .now {
    border-left: 6px solid var(--act-solid);
    padding-left: 14px;
    display: grid;
    gap: 8px;
  }
  h2 {
    font: 600 1.75rem/1.15 var(--narrow);
    color: var(--act);
  }
  .done {
    min-height: 56px;
    font-size: 1.25rem;
  }
  li {
    border-top: 1px solid var(--rule);
    padding: 5px 0;
  }
</style>
