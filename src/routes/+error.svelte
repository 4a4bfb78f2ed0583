<script lang="ts">
  import { page } from '$app/state';
</script>

<svelte:head><title>{page.status} · Joram</title></svelte:head>
<div class="sheet">
  <div class="box pad stack">
    <p class="label">{page.status}</p>
    <h1 class="heading">{page.error?.message ?? 'Something went wrong.'}</h1>
    <p>{page.error?.then ?? 'Nothing you logged is lost: it is kept on this device until it is delivered.'}</p>
    <p class="row"><a class="plain" href="/">Go to the Yard</a></p>
  </div>
</div>
