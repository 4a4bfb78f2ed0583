<script lang="ts">
  // A start that was none: pressed on the wrong engine, or called off before the match. Nothing lit is ever thrown away.
  import { goto } from '$app/navigation';
  import { Button, Modal, TextInput } from 'carbon-components-svelte';

  let { id, engine, onclose }: { id: string; engine: string; onclose: () => void } = $props();
  let reason = $state('Started by mistake');
  let problem = $state<string>();

  async function throwAway(event: SubmitEvent) {
    event.preventDefault();
    const response = await fetch(`/api/steamings/${id}/thrown-away`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ reason })
    }).catch(() => undefined);
    if (response?.ok) return goto('/');
    problem = response ? (await response.json()).sentence : 'There is no connection: this needs one. Nothing was changed.';
  }
</script>

<Modal open on:close={onclose} passiveModal modalHeading="Throw this start away">
  <form class="stack" onsubmit={throwAway}>
    <p>{engine} was not lit. It leaves the Logbook and the Yard; a day sheet it was begun from is a plan again.</p>
    <TextInput labelText="Why it was no start" bind:value={reason} maxlength={300} required />
    {#if problem}<p class="problem" role="alert">{problem}</p>{/if}
    <Button type="submit" kind="danger">Throw it away</Button>
  </form>
</Modal>
