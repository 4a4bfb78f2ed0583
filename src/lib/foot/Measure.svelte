<script lang="ts">
  // What hands alone cannot measure: turns, times, laps.
  import { feedsAt, wheels } from '$core/procedure';
  import { Modal } from 'carbon-components-svelte';
  import Beats from './Beats.svelte';
  import type { Footplate } from './footplate.svelte';
  import Laps from './Laps.svelte';
  import Stopwatch from './Stopwatch.svelte';
  import Tries from './Tries.svelte';

  let { foot, onclose }: { foot: Footplate; onclose: () => void } = $props();
</script>

<Modal open on:close={onclose} passiveModal modalHeading="Measure" size="sm" hasScrollingContent>
  <div class="measure">
    <Beats {foot} />
    <Stopwatch {foot} />
    {#if feedsAt(foot.fitOut).length}<Tries {foot} />{/if}
    {#if wheels(foot.fitOut)}<Laps {foot} />{/if}
  </div>
</Modal>

<style>
  .measure :global(section) {
    display: grid;
    gap: 8px;
    border-bottom: 1px solid var(--rule);
    padding-bottom: 14px;
    margin-bottom: 10px;
  }
  .measure :global(h3) {
    font: 600 1.125rem/1.3 var(--narrow);
  }
  .measure :global(.row .plain[aria-pressed='true']) {
    background: var(--ink);
    color: var(--paper);
  }
  .measure :global(.row) {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
  }
  .measure :global(.tap) {
    display: grid;
    justify-items: center;
    align-content: center;
    min-height: 132px;
    width: 100%;
    touch-action: manipulation;
    user-select: none;
    font-size: 1.125rem;
  }
  .measure :global(.tap strong) {
    font: 600 3rem/1.1 var(--narrow);
  }
  .measure :global(.tap span) {
    font-size: 0.9375rem;
    color: var(--ink2);
  }
</style>
