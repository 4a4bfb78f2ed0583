<script lang="ts">
  // In place of a page that was asked for without a connection and is not kept here.
  import { page } from '$app/state';

  const asked = $derived(page.url.searchParams.get('page') ?? '');
  // An address of ours, and none that only looks like one.
  const again = $derived(/^\/(?![/\\])/.test(asked) ? asked : '/');
</script>

<svelte:head><title>Not kept here · Joram</title></svelte:head>
<div class="sheet">
  <div class="box pad stack">
    <p class="label">No connection</p>
    <h1 class="heading">This page is not kept on this device.</h1>
    <p>
      Kept are the Yard, the day sheets, the engines you steam with what bars them, what is in steam, and the last records. What you logged
      is kept until it is delivered.
    </p>
    <p class="row">
      <a class="plain go" href="/">Go to the Yard</a>
      <a class="plain" href={again} data-sveltekit-reload>Ask for it again</a>
    </p>
  </div>
</div>
