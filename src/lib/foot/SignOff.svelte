<script lang="ts">
  // The end: nothing left burning, what is still open said out loud, and a keeper's signature.
  import type { State } from '$core/log';
  import { things, type Step } from '$core/procedure';
  import { printMarks } from '$core/units';
  import { Modal, TextArea } from 'carbon-components-svelte';
  import { unitChoice } from '../sheet/unit-choice';

  let {
    state: state_,
    steps,
    me,
    refused,
    onsign,
    onclose
  }: {
    state: State;
    steps: readonly Step[];
    me: string;
    /** Why it may not be signed now. */
    refused: string | undefined;
    onsign: (remarks: string) => void;
    onclose: () => void;
  } = $props();
  let remarks = $state('');
  const left = $derived(steps.filter((s) => !state_.steps[s.key]));
  const still = $derived(Object.keys(state_.open).map((k) => things[k as keyof typeof things].open));
</script>

<Modal
  open
  modalHeading="Sign and close"
  primaryButtonText="Sign"
  secondaryButtonText="Not yet"
  primaryButtonDisabled={refused !== undefined}
  on:submit={() => onsign(remarks.trim())}
  on:close={onclose}
  on:click:button--secondary={onclose}
>
  <div class="stack">
    {#if refused}<p class="strip act">{printMarks(refused, unitChoice())}</p>{/if}
    {#if still.length}<p>Still open, and carried over to next time: <strong>{still.join(', ')}</strong>.</p>{/if}
    {#if left.length}<p>
        {left.length}
        {left.length === 1 ? 'step was' : 'steps were'} neither done nor skipped and will head the next list: {left
          .slice(0, 6)
          .map((s) => printMarks(s.what, unitChoice()))
          .join('; ')}{left.length > 6 ? ' …' : ''}.
      </p>{/if}
    <p>Signing ends this steaming. It says what was done and seen; it does not say that the boiler is safe.</p>
    <p>Keeper’s signature: <strong>{me}</strong>, who is signed in here.</p>
    <TextArea labelText="Remarks" bind:value={remarks} rows={2} maxlength={2000} placeholder="What to bring next time" />
  </div>
</Modal>
