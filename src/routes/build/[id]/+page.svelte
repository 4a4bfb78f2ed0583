<script lang="ts">
  // An engine on its way: each stage by its evidence, what it proves and what it cannot; what is left, what leaks, what must come off.
  import { enhance } from '$app/forms';
  import { builtAs, buildWords, cellsFrom, overdue } from '$core/commission';
  import { printMarks } from '$core/units';
  import AsItWas from '$lib/photo/AsItWas.svelte';
  import Snags from '$lib/build/Snags.svelte';
  import Stages from '$lib/build/Stages.svelte';
  import MatrixTable from '$lib/build/MatrixTable.svelte';
  import SweepTable from '$lib/build/SweepTable.svelte';
  import TitleBlock from '$lib/sheet/TitleBlock.svelte';
  import { unitChoice } from '$lib/sheet/unit-choice';
  import { day } from '$lib/sheet/when';
  import { TextArea, TextInput } from 'carbon-components-svelte';

  let { data, form } = $props();
  const units = $derived(unitChoice());
  const text = (t: string) => printMarks(t, units);
  const f = $derived(data.fitOut);
  const can = (right: (typeof data.rights)[number]) => data.rights.includes(right);
  const build = $derived(data.build && !data.build.ended ? data.build : undefined);
  const next = $derived(data.stands.find((s) => s.is === 'open'));
  const bad = $derived(data.left.filter((l) => l.how === 'not good'));
  // What took up is no snag: it is in the table of the walks.
  const leaking = $derived(data.swept.filter((s) => s.by.at(-1)!.is !== 'dry'));
  const late = $derived(new Set(overdue(Object.fromEntries(data.rigs.map((r, i) => [`${i}`, r])), data.now)));
  const snags = $derived(bad.length + leaking.length + data.faults.length + data.rigs.length);
  const problemOf = (at: string) => (form?.at === at && 'problem' in form ? form.problem : undefined);
</script>

<svelte:head><title>{f.name}, build · Joram</title></svelte:head>
<div class="sheet">
  <TitleBlock
    cells={[
      { label: 'Build', value: f.name, wide: true },
      { label: 'Class', value: `${f.description} · ${f.scale}`, desk: true },
      { label: 'Begun', value: data.build ? day(data.build.since) : 'not begun', desk: true },
      { label: 'Stage', value: build ? (next?.name ?? 'every stage is passed') : data.build ? 'ended' : '–' },
      { label: 'Snags', value: String(snags), abnormal: snags > 0 }
    ]}
  >
    {#snippet action()}<a class="plain" href="/engines/{data.id}">Engine</a>{/snippet}
  </TitleBlock>

  {#if !build}
    <div class="box pad stack above no-print">
      {#if data.build?.ended}<p>
          <strong>{buildWords(data.build.ended)}</strong> <span class="second">{data.build.ended.by}, {day(data.build.ended.at)}</span>
        </p>{/if}
      <p>
        While it is being built, each stage bars the next: nothing is lit before its boiler’s hydraulic test is signed, and nobody is
        carried before it is released.
      </p>
      {#if can('edit engines')}
        <form class="row" method="POST" action="?/begun" use:enhance>
          <label
            >What there is of it
            <select class="field" name="has"
              >{#each Object.entries(builtAs) as [key, words] (key)}<option value={key}>{words}</option>{/each}</select
            ></label
          >
          <button class="plain go">Begin its build</button>
        </form>
      {/if}
      {#if problemOf('begun')}<p class="problem" role="alert">{problemOf('begun')}</p>{/if}
    </div>
  {/if}
  {#if data.build}<Stages
      stands={data.stands}
      next={build && next}
      may={build !== undefined && can('edit engines')}
      problem={problemOf('skipped')}
    />{/if}

  <Snags {...data} {bad} {leaking} {late} />

  {#if data.pictured.length}
    <section class="box pad above" aria-label="Pictures of places">
      <h2 class="label">Pictures that places are held against</h2>
      <div class="pictures">
        {#each data.pictured as picture (picture.place)}<AsItWas {picture} wp={f.workingPressure} named />{/each}
      </div>
    </section>
  {/if}

  {#if data.build}
    <section class="box pad above">
      <h2 class="label">Matrix: {data.left.length} left</h2>
      <MatrixTable fitOut={f} cells={cellsFrom(data.cells)} />
    </section>
    <section class="box pad above">
      <h2 class="label">Leak sweep, place by place</h2>
      <SweepTable fitOut={f} swept={data.looked} own={data.own} />
    </section>
    <section class="box pad above">
      <h2 class="label">Log of the build</h2>
      {#each data.log as e, i (i)}<p class="line">
          <span class="figure">{day(e.at)}</span>
          {buildWords(e)} <span class="second">{e.by}</span>
        </p>{/each}
      {#if build && can('sign as examiner')}
        <form class="stack" method="POST" action="?/released" use:enhance>
          <TextArea labelText="What was witnessed, and what is left to do" name="note" rows={3} maxlength={2000} />
          <p class="second">
            What is left of the matrix is written down with it. It says what was seen; it says nothing of the boiler, which is its
            certificate’s to say.
          </p>
          <button class="plain go">Release it, {data.member?.name}</button>
          {#if problemOf('released')}<p class="problem" role="alert">{text(String(problemOf('released')))}</p>{/if}
        </form>
      {/if}
      {#if build && can('override')}
        <details>
          <summary>End this build without a release</summary>
          <form class="stack" method="POST" action="?/stopped" use:enhance>
            <TextInput labelText="Why" name="reason" maxlength={1000} />
            <button class="plain">End it</button>
            {#if problemOf('stopped')}<p class="problem" role="alert">{problemOf('stopped')}</p>{/if}
          </form>
        </details>
      {/if}
    </section>
  {/if}
  <p class="row no-print above"><button class="plain" onclick={() => print()}>Print</button></p>
</div>

<style>
  .above {
    margin-top: 12px;
  }
  details {
    margin: 4px 0 0;
    max-width: 30rem;
  }
  summary {
    min-height: 44px;
    padding: 10px 0;
    cursor: pointer;
  }
  .line {
    margin-top: 4px;
  }
  .pictures {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(min(100%, 14rem), 1fr));
    gap: 12px;
    margin-top: 8px;
  }
</style>
