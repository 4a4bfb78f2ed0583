<script lang="ts">
  // What goes into an engine that is measured: by its own syringe, by the tablet. Each touch is logged, and what is in stands beside it.
  import { printText } from '$core/units';
  import { unitChoice } from '../sheet/unit-choice';
  import type { Footplate } from './footplate.svelte';
  import { warmthIn } from './given';

  let { foot, of }: { foot: Footplate; of: 'water' | 'charge' } = $props();
  const units = $derived(unitChoice());
  const { measures, fire } = $derived(foot.fitOut);
  const tool = $derived(measures.syringe !== null ? 'syringe' : measures.measure !== null ? 'measure' : undefined);
  const size = $derived(tool && measures[tool]);
  /** What the step asks for, and what a touch logs: said on the button. */
  const warm = $derived(warmthIn(foot.fitOut.habits, foot.card[0]?.step.cycle === 'further'));
  const { boiler, charged } = $derived(foot.state);
  const piece = $derived(fire.with === 'spirit' && fire.weight !== null ? fire.weight / (fire.pieces ?? 1) : undefined);
  const word = $derived(fire.with === 'spirit' && fire.pieces !== null ? 'tablet' : 'charge');
</script>

<div class="pad-row">
  {#if of === 'water'}
    <p>In the boiler: <strong>{boiler?.sure ? printText(boiler.volume, 'volume', units) : 'not measured'}</strong></p>
    {#if tool && size}
      {#each [1, 2, 5] as count (count)}
        <button
          class="plain"
          onclick={() =>
            foot.record('water', {
              act: 'in',
              volume: count * size,
              with: tool,
              count,
              ...(warm ? { warm } : {})
            })}>{count} {tool}{count === 1 ? '' : 's'}{warm ? `, ${warm}` : ''}</button
        >
      {/each}
    {/if}
  {:else}
    <p>Charged: <strong>{charged ? printText(charged.mass, 'mass', units) : 'nothing yet'}</strong></p>
    {#if piece && fire.with === 'spirit'}
      {#each [1, ...(fire.pieces && fire.pieces > 1 ? [fire.pieces] : [])] as count (count)}
        <button
          class="plain"
          onclick={() =>
            foot.record('charge', {
              mass: count * piece,
              fuel: fire.with === 'spirit' ? fire.fuel : 'gas',
              ...(word === 'tablet' ? { pieces: count } : {})
            })}>{count} {word}{count === 1 ? '' : 's'}</button
        >
      {/each}
    {/if}
  {/if}
</div>

<style>
  .pad-row {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    margin-top: 8px;
    align-items: center;
  }
  p {
    flex: 1 0 100%;
    font-size: 1rem;
  }
  button {
    min-height: 48px;
    flex: 1 1 5rem;
  }
</style>
