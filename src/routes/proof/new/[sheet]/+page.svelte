<script lang="ts">
  // A worksheet: its form, what it comes to before it is kept, and how it is made.
  import { enhance } from '$app/forms';
  import { sheetOf } from '$core/proof';
  import FieldEditor from '$lib/form/FieldEditor.svelte';
  import Blank from '$lib/proof/Blank.svelte';
  import Findings from '$lib/proof/Findings.svelte';
  import TitleBlock from '$lib/sheet/TitleBlock.svelte';
  import { printMarks } from '$core/units';
  import { unitChoice } from '$lib/sheet/unit-choice';
  import { untrack } from 'svelte';

  let { data, form } = $props();
  const of = $derived(sheetOf(data.key)!);
  const fields = $derived(of.fields(data.fitOut));
  let written: unknown = $state(untrack(() => sheetOf(data.key)!.starts(data.fitOut)));
  const units = unitChoice();
  const problem = $derived(form && 'problem' in form && form.problem ? { field: form.field ?? '', problem: form.problem } : undefined);
  const problems = $derived(new Map(problem?.field ? [[problem.field, printMarks(problem.problem, units)]] : []));
</script>

<svelte:head><title>{of.name} · {data.engine.name} · Joram</title></svelte:head>
<div class="sheet no-print">
  <TitleBlock
    cells={[
      { label: 'Worksheet', value: of.name, wide: true },
      { label: 'Engine', value: data.engine.name, href: `/engines/${data.engine.id}` },
      { label: 'Rules', value: data.rules.name, href: '/proof/rules' }
    ]}
  />
  <div class="beside">
    <!-- What was written stays in its fields, whatever comes back. -->
    <form
      method="POST"
      class="box pad"
      use:enhance={() =>
        ({ update }) =>
          update({ reset: false })}
    >
      <FieldEditor field={fields} bind:value={written} path="" {problems} bare />
      <input type="hidden" name="written" value={JSON.stringify(written)} />
      <!-- At its field where it has one. -->
      {#if problem && !(problem.field.split('.')[0]! in fields.fields)}<p class="problem" role="alert">
          {printMarks(problem.problem, units)}
        </p>{/if}
      <div class="row">
        <button class="plain" formaction="?/work&engine={data.engine.id}">Work it out</button>
        <button type="button" class="quiet" onclick={() => print()}>Print it blank, for the clipboard</button>
        <button class="plain go" formaction="?/keep&engine={data.engine.id}">Keep the worksheet</button>
      </div>
      <p class="second">Kept, it is not changed any more: another is made in its place. Only the boiler examiner signs it.</p>
    </form>
    <div class="stack">
      {#if form && 'findings' in form && form.findings}<section class="box pad">
          <h2 class="label">What it comes to</h2>
          <Findings findings={form.findings} verdict={form.verdict} />
        </section>{/if}
      <section class="box pad">
        <h2 class="label">How it is made</h2>
        <ul>
          {#each of.how as line (line)}<li>{line}</li>{/each}
        </ul>
        <p class="second">Judged by: {data.rules.name}. {data.rules.source}</p>
      </section>
    </div>
  </div>
</div>
<Blank
  name={of.name}
  engine={data.engine.name}
  {fields}
  starts={of.starts(data.fitOut)}
  how={of.how}
  judgedBy="{data.rules.name}. {data.rules.source}"
/>

<style>
  .row {
    margin: 16px 0 8px;
  }
  ul {
    margin: 4px 0 8px;
    padding-left: 1.2em;
    list-style: disc;
  }
</style>
