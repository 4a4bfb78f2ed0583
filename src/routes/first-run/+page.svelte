<script lang="ts">
  import { browser } from '$app/environment';
  import { Button, TextInput } from 'carbon-components-svelte';
  import PersonFields from '$lib/form/PersonFields.svelte';
  import TitleBlock from '$lib/sheet/TitleBlock.svelte';

  let { data, form } = $props();
</script>

<svelte:head><title>First run · Joram</title></svelte:head>
<div class="sheet">
  <TitleBlock
    cells={[
      { label: 'Book', value: 'Joram', wide: true },
      { label: 'Sheet', value: 'First run' }
    ]}
  />
  <form method="POST" class="box pad stack">
    <h2 class="heading">Open the book</h2>
    <p>There is no club in this book yet. You will be its owner: you can add engines and let other members in.</p>
    <TextInput
      labelText="Name of the club"
      name="club"
      value={form?.values.club ?? ''}
      invalid={form?.field === 'club'}
      invalidText={form?.problem ?? ''}
      required
    />
    <!-- The club's clock is the one of whoever founds it, until Settings say otherwise. -->
    <input type="hidden" name="zone" value={browser ? Intl.DateTimeFormat().resolvedOptions().timeZone : 'UTC'} />
    {#if data.asksForCode}<TextInput
        labelText="Set-up code, as it stands where the server was started"
        name="code"
        autocomplete="off"
        invalid={form?.field === 'code'}
        invalidText={form?.problem ?? ''}
        required
      />{/if}
    <PersonFields values={form?.values} problem={form?.problem} field={form?.field} />
    <Button type="submit">Open the book</Button>
  </form>
</div>

<style>
  form {
    max-width: 34rem;
    margin-top: 12px;
  }
</style>
