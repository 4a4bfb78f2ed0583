<script lang="ts">
  // What is to be done now, what was left, what comes next, and what stands open.
  import type { Dialog } from './dialogs';
  import type { Footplate } from './footplate.svelte';
  import NextSteps from './NextSteps.svelte';
  import NowStep from './NowStep.svelte';
  import OpenThings from './OpenThings.svelte';

  let { foot, onlift, onopen }: { foot: Footplate; onlift: () => void; onopen: (dialog: Dialog) => void } = $props();
  const missed = $derived(foot.due.missed.length);
</script>

<p class="label">{foot.chosen ? 'Chosen step' : 'Now'}</p>
{#if foot.finished || (!foot.placed && foot.state.phase === 'Put away')}
  <article>
    <h2 class="heading">Everything is done or accounted for</h2>
    <p>Sign, and the record is closed.</p>
    <button class="plain go" onclick={() => onopen('sign')}>Sign and close</button>
  </article>
{:else if foot.placed}
  <NowStep
    placed={foot.placed}
    refusal={foot.refusal}
    state={foot.state}
    chosen={foot.chosen !== undefined}
    ondone={foot.done}
    onskip={foot.skip}
    {onlift}
    onending={() => foot.record('observation', { seen: 'running ends' })}
    opens={foot.forecast.opens}
    onback={() => foot.choose(undefined)}
  />
{/if}
{#if missed}
  <button class="quiet missed" onclick={() => onopen('steps')}>{missed} earlier {missed === 1 ? 'step' : 'steps'} not done</button>
{/if}
<NextSteps next={foot.next} opens={foot.forecast.opens} phase={foot.state.phase} onchoose={foot.choose} onall={() => onopen('steps')} />
<OpenThings open={foot.state.open} onclose={foot.shut} />

<style>
  .label {
    margin-bottom: -4px;
  }
  article {
    display: grid;
    gap: 8px;
  }
  article .plain {
    min-height: 56px;
  }
  .missed {
    width: fit-content;
  }
</style>
