<script lang="ts">
  // An engine's papers: the newest of each kind with how long it lasts, and a form for another.
  import { enhance } from '$app/forms';
  import { keepTyped } from '../form/keep-typed';
  import { paperKinds } from '$core/engine';
  import { Button, Modal, Select, SelectItem, TextInput } from 'carbon-components-svelte';
  import DayField from '../form/DayField.svelte';
  import { daysLeft, dayWords, dueSoon, until } from '../sheet/when';

  interface Paper {
    id: string;
    kind: string;
    number: string;
    issued: string;
    expires: string;
  }
  let {
    engine,
    newest,
    now,
    may,
    form
  }: {
    /** Its id. */ engine: string;
    newest: readonly Paper[];
    now: number;
    may: boolean;
    form: { at: string; field?: string; problem?: string; done?: boolean } | null;
  } = $props();
  let open = $state(false);
  let withdrawn = $state<Paper>();
  const gone = $derived(form?.at === 'withdrawn' ? form : undefined);
  $effect(() => {
    if (gone?.done) withdrawn = undefined;
  });
  const mine = $derived(form?.at === 'paper' ? form : undefined);
  $effect(() => {
    if (mine?.done) open = false;
  });
  const wrong = (field: string) => (mine?.field === field ? mine.problem : undefined);
</script>

<section class="box pad">
  <div class="row between">
    <h2 class="label">Papers</h2>
    <span class="row"
      ><a href="/engines/{engine}/proven">What is proven</a>{#if may}<button class="quiet" onclick={() => (open = true)}>Add a paper</button
        >{/if}</span
    >
  </div>
  <table class="ruled">
    <tbody>
      {#each newest as paper (paper.id)}
        {@const left = daysLeft(paper.expires, now)}
        <tr class:act={left < 0} class:caution={left >= 0 && left <= dueSoon}>
          <td
            >{paper.kind}{#if paper.number}<span class="second number">{paper.number}</span>{/if}</td
          >
          <td class="num">{dayWords(paper.expires)}<br /><span class="when">{until(paper.expires, now)}</span></td>
          {#if may}<td class="drop"
              ><button class="quiet" onclick={() => (withdrawn = paper)} aria-label="Withdraw {paper.kind} {paper.number}">withdraw</button
              ></td
            >{/if}
        </tr>
      {:else}<tr><td class="act">No papers are recorded: without them it is not steamed.</td></tr>{/each}
    </tbody>
  </table>
</section>

<Modal
  open={withdrawn !== undefined}
  on:close={() => (withdrawn = undefined)}
  passiveModal
  modalHeading="Withdraw {withdrawn?.kind ?? ''} {withdrawn?.number ?? ''}"
>
  {#if withdrawn}
    <form method="POST" action="?/withdrawPaper" class="stack" use:enhance={keepTyped}>
      <p>It counts no more, and stays in the book with who withdrew it and why.</p>
      <input type="hidden" name="paper" value={withdrawn.id} />
      <TextInput labelText="Why" name="why" maxlength={300} invalid={gone?.problem !== undefined} invalidText={gone?.problem ?? ''} />
      <Button type="submit">Withdraw it</Button>
    </form>
  {/if}
</Modal>

<Modal bind:open passiveModal modalHeading="Add a paper">
  {#if open}
    <form method="POST" action="?/paper" class="stack" use:enhance={keepTyped}>
      <Select labelText="Kind" name="kind"
        >{#each paperKinds as kind (kind)}<SelectItem value={kind} text={kind} />{/each}</Select
      >
      <TextInput labelText="Number" name="number" maxlength={60} />
      <DayField label="Issued" name="issued" problem={wrong('issued')} />
      <DayField label="Runs out" name="expires" problem={wrong('expires')} />
      {#if mine?.problem && !['issued', 'expires'].includes(mine.field ?? '')}<p class="problem" role="alert">{mine.problem}</p>{/if}
      <Button type="submit">Add it</Button>
    </form>
  {/if}
</Modal>

<style>
  .when {
    font-size: 0.875rem;
    font-weight: 500;
  }
  .number {
    margin-left: 6px;
  }
  .drop {
    width: 1px;
    font-size: 0.875rem;
  }
  /* Where there is no room for three columns, the paper has a line of its own and its date stands under it. */
  @container page (max-width: 20rem) {
    tr {
      display: grid;
      grid-template-columns: minmax(0, 1fr) auto;
    }
    td:first-child {
      grid-column: 1 / -1;
    }
    td:not(:first-child) {
      border-top: 0;
      padding-top: 0;
      text-align: left;
    }
    .drop {
      width: auto;
    }
  }
</style>
