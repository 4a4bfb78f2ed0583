<script lang="ts">
  // The rules that the club proves by: figures of its boiler code, with where each comes from. Every version stays.
  import { enhance } from '$app/forms';
  import { rulesField } from '$core/proof';
  import { printMarks } from '$core/units';
  import FieldEditor from '$lib/form/FieldEditor.svelte';
  import TitleBlock from '$lib/sheet/TitleBlock.svelte';
  import { unitChoice } from '$lib/sheet/unit-choice';
  import { day } from '$lib/sheet/when';
  import { untrack } from 'svelte';

  let { data, form } = $props();
  const may = $derived(data.rights.includes('keep papers'));
  // Whoever writes the first writes all of it: an example is nobody’s name and nobody’s source.
  let written: unknown = $state(untrack(() => (data.version ? data.rules : { ...data.rules, name: '', source: '' })));
  const units = unitChoice();
  const problem = $derived(form && 'problem' in form && form.problem ? { field: form.field ?? '', problem: form.problem } : undefined);
  const problems = $derived(new Map(problem?.field ? [[problem.field, printMarks(problem.problem, units)]] : []));
</script>

<svelte:head><title>Rules · Proof · Joram</title></svelte:head>
<div class="sheet">
  <TitleBlock
    cells={[
      { label: 'Rules', value: data.rules.name, wide: true },
      { label: 'Version', value: data.version ? String(data.version) : 'example' },
      { label: 'Sheet', value: 'Proof', href: '/proof' }
    ]}
  />
  <form
    method="POST"
    action="?/save"
    class="box pad"
    use:enhance={() =>
      ({ update }) =>
        update({ reset: false })}
  >
    <p class="second">
      Ask your boiler examiner. A worksheet keeps the rules that it was judged by, so that an earlier one is not judged by later rules.
    </p>
    <fieldset disabled={!may}><FieldEditor field={rulesField} bind:value={written} path="" {problems} bare /></fieldset>
    <input type="hidden" name="written" value={JSON.stringify(written)} /><input type="hidden" name="version" value={data.version} />
    <!-- At its field where it has one. -->
    {#if problem && !(problem.field.split('.')[0]! in rulesField.fields)}<p class="problem" role="alert">
        {printMarks(problem.problem, units)}
      </p>{/if}
    {#if form && 'version' in form}<p role="status">Kept as version {form.version}.</p>{/if}
    {#if may}<button class="plain go">Keep as version {data.version + 1}</button>{:else}<p class="second">
        Kept by an owner, a steward or the examiner.
      </p>{/if}
  </form>
  {#if data.before.length}
    <section class="box pad">
      <h2 class="label">Versions</h2>
      {#each data.before as v (v.version)}<p>
          <span class="figure">{v.version}</span>
          {v.name} <span class="second">{v.source} · {v.by}, {day(v.at)}</span>
        </p>{/each}
    </section>
  {/if}
</div>

<style>
  form,
  section {
    margin-top: 12px;
  }
  fieldset {
    border: 0;
    padding: 0;
    margin: 12px 0;
  }
</style>
