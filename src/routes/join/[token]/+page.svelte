<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import PersonFields from '$lib/form/PersonFields.svelte';
  import TitleBlock from '$lib/sheet/TitleBlock.svelte';

  let { data, form } = $props();
</script>

<svelte:head><title>Join {data.club} · Joram</title></svelte:head>
<div class="sheet">
  <TitleBlock
    cells={[
      { label: 'Book', value: 'Joram', wide: true },
      { label: 'Club', value: data.club }
    ]}
  />
  <form method="POST" class="box pad stack">
    <h2 class="heading">Join {data.club}</h2>
    <p>You come in as {data.roles.join(' and ')}.</p>
    <PersonFields values={form?.values} problem={form?.problem} field={form?.field} />
    <Button type="submit">Join</Button>
  </form>
</div>

<style>
  form {
    max-width: 34rem;
    margin-top: 12px;
  }
</style>
