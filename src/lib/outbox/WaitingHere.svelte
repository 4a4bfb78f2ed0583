<script lang="ts">
  // On any page but the Footplate, which says it itself: what waits on this device, for what, and why.
  import { page } from '$app/state';
  import { waitingHere } from './index.svelte';
  import { byEngine, waitingSaid } from './words';

  let { signedIn }: { signedIn: boolean } = $props();
  const view = $derived(waitingHere());
  const mine = $derived(view.trouble || view.unkept ? waitingSaid(view) : undefined);
  const makers = $derived([...new Set(view.others.map((w) => w.entry.by))].join(', '));
  const here = $derived(page.url.pathname === '/waiting');
</script>

{#if !here && (mine || view.aside.length || view.others.length)}
  <div class="waiting no-print" role="status">
    {#if mine}<p class="strip" class:act={view.unkept > 0}>▲ {mine}: {byEngine(view.waiting)}.</p>{/if}
    {#if view.aside.length}<p class="strip">
        ▲ {view.aside.length === 1 ? 'One entry was' : `${view.aside.length} entries were`} not taken: {byEngine(view.aside)}.
      </p>{/if}
    {#if view.others.length}<p class="strip">
        {view.others.length === 1 ? '1 entry waits' : `${view.others.length} entries wait`} here for {makers} to sign in on this device.
      </p>{/if}
    {#if signedIn}<a href="/waiting">See what waits</a>{/if}
  </div>
{/if}

<style>
  .waiting {
    max-width: 1280px;
    margin: 0 auto;
    padding: 8px 16px 0;
    display: flex;
    gap: 4px 20px;
    flex-wrap: wrap;
    align-items: baseline;
  }
</style>
