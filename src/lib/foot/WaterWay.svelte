<script lang="ts">
  // Where the water of a pump goes that always pumps: never how a handle stands, and one touch to say otherwise.
  import type { FitOut } from '$core/engine';
  import type { State } from '$core/log';
  import { feedWords } from '$core/watch';

  let {
    fitOut,
    state: state_,
    onsend
  }: { fitOut: FitOut; state: State; onsend: (feed: string, to: 'boiler' | 'both' | 'tank') => void } = $props();
  const pumps = $derived(fitOut.feeds.filter((x) => x.plumbed && x.turning && x.bypassShutSendsTo !== 'none'));
  const ways = ['boiler', 'both', 'tank'] as const;
</script>

{#each pumps as pump (pump.name)}
  {@const to = state_.feeds[pump.name]?.to}
  <fieldset>
    <legend class="label">{pump.name}: water goes to</legend>
    {#each ways as way (way)}
      <button class="plain" aria-pressed={to === way} onclick={() => onsend(pump.name, way)}>{way}</button>
    {/each}
    <span class="second">to the boiler: {feedWords(pump).replace(/^.*, /, '')}</span>
  </fieldset>
{/each}

<style>
  fieldset {
    display: flex;
    flex-wrap: wrap;
    gap: 6px;
    align-items: center;
  }
  .plain {
    min-height: 44px;
    flex: 1 1 4.5rem;
    text-transform: capitalize;
  }
  .plain[aria-pressed='true'] {
    background: var(--ink);
    color: var(--paper);
  }
</style>
