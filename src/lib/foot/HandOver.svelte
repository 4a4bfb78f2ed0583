<script lang="ts">
  // A lit engine has a named keeper: who takes it, and what is due next.
  import { Modal, Select, SelectItem, TextInput } from 'carbon-components-svelte';

  let {
    open = $bindable(),
    people,
    keeper,
    next,
    onhand
  }: { open: boolean; people: readonly string[]; keeper: string; next: string; onhand: (to: string, next: string) => void } = $props();
  const others = $derived(people.filter((p) => p !== keeper));
  let to = $state('');
  let due = $state('');
  $effect(() => {
    if (open) {
      to = others[0] ?? '';
      due = next;
    }
  });
</script>

<Modal
  bind:open
  modalHeading="Hand over"
  primaryButtonText="They have it"
  secondaryButtonText="Keep it"
  primaryButtonDisabled={!to || !due.trim()}
  on:submit={() => (onhand(to, due.trim()), (open = false))}
  on:click:button--secondary={() => (open = false)}
>
  {#if open}
    <div class="stack">
      <p>{keeper} has this engine. Say it to their face first: water, fire, what is next.</p>
      <Select labelText="Who takes it" bind:selected={to}
        >{#each others as person (person)}<SelectItem value={person} text={person} />{/each}</Select
      >
      <TextInput labelText="What is due next" bind:value={due} maxlength={300} />
    </div>
  {/if}
</Modal>
