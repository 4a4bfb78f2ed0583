<script lang="ts">
  // A lit engine has a named keeper: who takes it, and what is due next.
  import { Modal, Select, SelectItem, TextInput } from 'carbon-components-svelte';
  import { untrack } from 'svelte';
  import type { Footplate } from './footplate.svelte';
  import Offered from './Offered.svelte';

  let {
    foot,
    people,
    keeper,
    next,
    onhand,
    onclose
  }: {
    foot: Footplate;
    people: readonly string[];
    keeper: string;
    next: string;
    onhand: (to: string, next: string, signIn?: string) => void;
    onclose: () => void;
  } = $props();
  const others = $derived(people.filter((p) => p !== keeper));
  // What stood when it was opened: a step that is done meanwhile must not type over what is being said.
  let to = $state(untrack(() => others[0] ?? ''));
  let due = $state(untrack(() => next));
  /** On a device that is not the keeper’s, they say that it is they who offer it. */
  const elses = $derived(foot.me !== keeper);
  let signIn = $state('');
</script>

<Modal
  open
  modalHeading="Hand over"
  primaryButtonText="Offer it"
  secondaryButtonText="Keep it"
  primaryButtonDisabled={!to || !due.trim() || (elses && !foot.mayHandOn && !signIn.trim())}
  on:submit={() => (onhand(to, due.trim(), elses && signIn.trim() ? signIn.trim() : undefined), onclose())}
  on:close={onclose}
  on:click:button--secondary={onclose}
>
  <div class="stack">
    <p>{keeper} has this engine, until the other has said that they have it. Say it to their face first: water, fire, what is next.</p>
    <Select labelText="Who takes it" bind:selected={to}
      >{#each others as person (person)}<SelectItem value={person} text={person} />{/each}</Select
    >
    {#if elses && !foot.mayHandOn}<TextInput
        labelText="On this device: {keeper} signs in as"
        bind:value={signIn}
        maxlength={60}
        autocomplete="off"
        autocapitalize="none"
      />{/if}
    <TextInput labelText="What is due next" bind:value={due} maxlength={300} />
    <p class="label">Goes with it</p>
    <Offered {foot} />
  </div>
</Modal>
