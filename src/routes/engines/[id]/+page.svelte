<script lang="ts">
  import { enhance } from '$app/forms';
  import { printText } from '$core/units';
  import CarriedOver from '$lib/engine/CarriedOver.svelte';
  import Drawing from '$lib/engine/Drawing.svelte';
  import GasJoints from '$lib/engine/GasJoints.svelte';
  import KeptFigures from '$lib/engine/KeptFigures.svelte';
  import LastSteamings from '$lib/engine/LastSteamings.svelte';
  import MeasuredShown from '$lib/engine/MeasuredShown.svelte';
  import Moves from '$lib/engine/Moves.svelte';
  import OpenFaults from '$lib/engine/OpenFaults.svelte';
  import Papers from '$lib/engine/Papers.svelte';
  import Plans from '$lib/engine/Plans.svelte';
  import PlanDialog from '$lib/engine/PlanDialog.svelte';
  import StartDialog from '$lib/engine/StartDialog.svelte';
  import RunsShown from '$lib/engine/RunsShown.svelte';
  import Steams from '$lib/engine/Steams.svelte';
  import { newestPapers } from '$lib/sheet/plate';
  import TitleBlock from '$lib/sheet/TitleBlock.svelte';
  import { unitChoice } from '$lib/sheet/unit-choice';
  import { daysLeft, dayWords } from '$lib/sheet/when';

  let { data, form } = $props();
  const f = $derived(data.engine.fitOut);
  const units = $derived(unitChoice());
  const can = (right: (typeof data.rights)[number]) => data.rights.includes(right);
  const newest = $derived(newestPapers(data.papers));
  const nextPaper = $derived(newest[0]);
  const retired = $derived(data.engine.retiredAt !== null);
  const [barred, building] = $derived([data.stops.length > 0, data.standing.build !== undefined]);
  let open = $state({ start: false, plan: false });
  $effect(() => {
    if (form?.at === 'start') open.start = true;
    if (form?.at === 'plan') open.plan = true;
  });
  const problemOf = (at: string) => (form?.at === at && 'problem' in form ? form.problem : undefined);
  const stands = $derived(
    retired
      ? 'Retired'
      : data.running
        ? 'In steam'
        : building
          ? 'Being built'
          : barred
            ? 'May not be steamed'
            : data.last
              ? `Cold, stored ${f.storage === 'full' ? 'full and treated' : 'dry and open'}`
              : 'Not steamed yet'
  );
</script>

<svelte:head><title>{f.name} · Joram</title></svelte:head>
<div class="sheet">
  <TitleBlock
    cells={[
      { label: 'Engine', value: f.name, wide: true },
      { label: 'Class', value: `${f.description} · ${f.scale} · ${f.shell.material}`, desk: true },
      { label: 'WP', value: printText(f.workingPressure, 'pressure', units) },
      { label: 'State', value: stands, abnormal: barred && !building && !data.running && !retired, desk: true },
      nextPaper
        ? {
            label: 'Next paper',
            value: `${nextPaper.kind} · ${dayWords(nextPaper.expires)}`,
            abnormal: daysLeft(nextPaper.expires, data.now) < 0,
            desk: true
          }
        : { label: 'Next paper', value: 'none recorded', abnormal: true, desk: true }
    ]}
  >
    {#snippet action()}
      {#if data.running}<a class="plain go" href="/footplate/{data.running.id}">Footplate</a>
      {:else if can('start steaming') && !retired}<button class="plain go" onclick={() => (open.start = true)}
          >{building ? 'Start a session' : 'Start steaming'}</button
        >{/if}
    {/snippet}
  </TitleBlock>
  {#if retired}<p class="strip above">This engine is retired: it is neither planned nor steamed. Its records stay.</p>{/if}

  <Drawing engineId={data.engine.id} fitOut={f} figures={data.figures} mayEdit={can('edit engines')} />

  <div class="three">
    <OpenFaults engineId={data.engine.id} faults={data.faults} may={can('log')} {form} />
    <CarriedOver carried={data.carried} rigs={data.rigs} any={data.last !== undefined} />
    <Papers engine={data.engine.id} {newest} now={data.now} may={can('keep papers')} {form} />
  </div>

  <MeasuredShown fitOut={f} shown={data.measured} />{#if data.runs.length}<RunsShown fitOut={f} runs={data.runs} />{/if}
  {#if data.joints.length}<GasJoints joints={data.joints} />{/if}

  <Plans
    engine={data.engine.id}
    plans={data.plans}
    {building}
    onplan={can('start steaming') && !retired ? () => (open.plan = true) : undefined}
  />

  {#key data.engine.id}{#if f.gauge || data.past.told.length}<Steams
        engineId={data.engine.id}
        fitOut={f}
        told={data.past.told}
        learning={data.past.learning}
        version={data.past.learningVersion}
        may={can('edit engines')}
      />{/if}<KeptFigures engineId={data.engine.id} kept={data.kept} may={can('edit engines')} problem={problemOf('kept')} /><Moves
      fitOut={f}
    />{/key}
  <div class="history"><LastSteamings engineId={data.engine.id} steamings={data.steamings} /></div>

  {#if can('edit engines') && !data.running}
    <form class="history small" method="POST" action="?/retire" use:enhance>
      <button class="quiet" name="retired" value={retired ? 'no' : 'yes'}
        >{retired ? 'Bring this engine back' : 'Retire this engine'}</button
      >
      {#if problemOf('retire')}<span class="problem" role="alert">{problemOf('retire')}</span>{/if}
    </form>
  {/if}
</div>

<StartDialog
  bind:open={open.start}
  engine={data.engine.id}
  name={f.name}
  about={data}
  mayOverride={can('override')}
  problem={problemOf('start')}
/>
<PlanDialog bind:open={open.plan} name={f.name} now={data.now} problem={problemOf('plan')} />

<style>
  .above {
    margin-top: 12px;
  }
  .three {
    display: grid;
    grid-template-columns: repeat(3, minmax(0, 1fr));
    gap: 12px;
    margin-top: 12px;
  }
  .small {
    font-size: 0.9375rem;
  }
  .history {
    margin-top: 12px;
  }
  @container page (max-width: 56.25rem) {
    .three {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
