<script lang="ts">
  // What may still be done to a record that is closed: a late note, the examiner's signature, and opening it again.
  import { goto, invalidateAll } from '$app/navigation';
  import type { Entry } from '$core/log';
  import { Button, TextInput } from 'carbon-components-svelte';
  import { outbox } from '../outbox/index.svelte';
  import { type Made, type MadeOn, waitingOf } from '../outbox/made';
  import { clock } from '../sheet/when';

  let {
    on,
    end,
    rights,
    examined
  }: {
    on: MadeOn;
    /** The signature that closed it. */ end: Entry;
    rights: readonly string[];
    /** An examiner has signed it already. */ examined: boolean;
  } = $props();
  type Act = 'note' | 'sign' | 'open';
  const may = (right: string) => rights.includes(right);
  const me = $derived(on.member.name);
  let note = $state('');
  let why = $state('');
  /** What is asked about once more before it is done. */
  let asked = $state<Act>();
  let problem = $state<{ at: Act; sentence: string }>();
  let said = $state('');
  const wrong = (at: Act) => (problem?.at === at ? problem.sentence : undefined);

  /**
   * Enters it by the outbox, as a Footplate does: once, however often it is sent. Whether the server has it; what was refused stands beside
   * what asked for it, and what waits for a connection says so.
   */
  async function enter(at: Act, made: Made): Promise<boolean> {
    problem = undefined;
    said = '';
    const [entry] = waitingOf([made], on);
    const { id } = entry!;
    const of = outbox().outbox;
    await of.add([entry!]);
    const refused = of.view.aside.find((w) => w.id === id)?.refused;
    if (refused !== undefined) {
      // It is said here, and what was typed is still here: it need not wait elsewhere.
      await of.discard(id);
      problem = { at, sentence: refused };
      return false;
    }
    asked = undefined;
    if (!of.view.waiting.some((w) => w.id === id)) return true;
    said = 'It waits on this device, and is entered when there is a connection.';
    return false;
  }
  async function addNote() {
    const text = note.trim();
    if (!text) return void (problem = { at: 'note', sentence: 'Say what is to be added.' });
    const entered = await enter('note', { kind: 'note', body: { text } });
    if (!problem) note = '';
    if (!entered) return;
    said = 'Added, and marked late.';
    await invalidateAll();
  }
  async function sign() {
    if (!(await enter('sign', { kind: 'sign', body: { as: 'examiner', name: me } }))) return;
    said = 'Signed.';
    await invalidateAll();
  }
  async function open() {
    const reason = why.trim();
    if (!reason) return void (problem = { at: 'open', sentence: 'Say why it is opened again: it stays in the record.' });
    if (await enter('open', { kind: 'strike', body: { reason }, strikes: end.id })) await goto(`/footplate/${on.steaming}`);
  }
</script>

<section class="box pad stack no-print after" aria-label="Afterwards">
  <p class="second">Signed by {end.by} at {clock(end.at)}, and closed. What comes to light later is added below, and marked late.</p>
  {#if may('add late notes')}
    <form class="line" onsubmit={(e) => (e.preventDefault(), void addNote())}>
      <TextInput
        size="sm"
        labelText="A late note"
        bind:value={note}
        maxlength={2000}
        invalid={!!wrong('note')}
        invalidText={wrong('note')}
      />
      <Button size="small" kind="secondary" type="submit">Add it</Button>
    </form>
  {/if}
  {#if may('sign as examiner') && !examined}
    {#if asked === 'sign'}
      <p>Your signature says that you have read this record. It does not pass the boiler.</p>
      <p class="line">
        <Button size="small" on:click={sign}>Sign, {me}</Button>
        <Button size="small" kind="ghost" on:click={() => (asked = undefined)}>Not yet</Button>
      </p>
      {#if wrong('sign')}<p class="problem" role="alert">{wrong('sign')}</p>{/if}
    {:else}<p><button class="quiet" onclick={() => (asked = 'sign')}>Sign as examiner</button></p>{/if}
  {/if}
  {#if may('strike a signature')}
    {#if asked === 'open'}
      <form class="line" onsubmit={(e) => (e.preventDefault(), void open())}>
        <TextInput
          size="sm"
          labelText="Why it is opened again"
          bind:value={why}
          maxlength={300}
          invalid={!!wrong('open')}
          invalidText={wrong('open')}
        />
        <Button size="small" kind="danger" type="submit">Strike the signature</Button>
        <Button size="small" kind="ghost" on:click={() => (asked = undefined)}>Leave it closed</Button>
      </form>
    {:else}<p><button class="quiet" onclick={() => (asked = 'open')}>Open it again</button></p>{/if}
  {/if}
  {#if said}<p role="status">{said}</p>{/if}
</section>

<style>
  .after {
    max-width: 210mm;
    margin: 0 auto 24px;
  }
  .line {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    align-items: end;
  }
  .line > :global(.bx--form-item) {
    flex: 1 1 16rem;
  }
</style>
