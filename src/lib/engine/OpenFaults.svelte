<script lang="ts">
  // What is wrong with an engine now, what it forbids, and a form for another.
  import { enhance } from '$app/forms';
  import { keepTyped } from '../form/keep-typed';
  import { forbids } from '$core/log';
  import { Button, Modal, Select, SelectItem, TextArea } from 'carbon-components-svelte';

  interface Fault {
    id: string;
    text: string;
    forbids: keyof typeof forbids;
    fixedAt: Date | null;
  }
  let {
    engineId,
    faults,
    may,
    form
  }: {
    engineId: string;
    faults: readonly Fault[];
    may: boolean;
    form: { at: string; problem?: string; done?: boolean } | null;
  } = $props();
  let open = $state(false);
  const standing = $derived(faults.filter((x) => !x.fixedAt));
  const mine = $derived(form?.at === 'fault' ? form : undefined);
  $effect(() => {
    if (mine?.done) open = false;
  });
</script>

<section class="box pad">
  <div class="row between">
    <h2 class="label">Faults</h2>
    {#if may}<button class="quiet" onclick={() => (open = true)}>Raise a fault</button>{/if}
  </div>
  <table class="ruled">
    <tbody>
      {#each standing.slice(0, 5) as fault (fault.id)}
        <tr class:act={fault.forbids === 'steaming'} class:caution={fault.forbids === 'passengers'}
          ><td><a href="/faults/{fault.id}">{fault.text}</a></td><td class="num wrap">{forbids[fault.forbids]}</td></tr
        >
      {:else}<tr><td class="second">No open faults.</td></tr>{/each}
    </tbody>
  </table>
  <p class="small"><a href="/faults?engine={engineId}">All faults, {faults.length - standing.length} fixed</a></p>
</section>

<Modal bind:open passiveModal modalHeading="Raise a fault">
  {#if open}
    <form method="POST" action="?/fault" class="stack" use:enhance={keepTyped}>
      <TextArea labelText="What is wrong, and where" name="text" rows={3} maxlength={2000} required />
      <Select labelText="Until it is fixed" name="forbids" selected="nothing"
        >{#each Object.entries(forbids).reverse() as [key, word] (key)}<SelectItem value={key} text={word} />{/each}</Select
      >
      {#if mine?.problem}<p class="problem" role="alert">{mine.problem}</p>{/if}
      <Button type="submit">Raise it</Button>
    </form>
  {/if}
</Modal>

<style>
  .wrap {
    white-space: normal;
  }
  .small {
    font-size: 0.9375rem;
    margin-top: 8px;
  }
</style>
