<script lang="ts">
  // What is to be done now, what was left, what comes next, and what stands open.
  import type { Dialog } from './dialogs';
  import type { Footplate } from './footplate.svelte';
  import Coach from './Coach.svelte';
  import Duties from './Duties.svelte';
  import DrillCard from './DrillCard.svelte';
  import DutyCard from './DutyCard.svelte';
  import FilledWith from './FilledWith.svelte';
  import FromBook from './FromBook.svelte';
  import Later from '../here/Later.svelte';
  import Joints from './Joints.svelte';
  import MeasurePad from './MeasurePad.svelte';
  import NextSteps from './NextSteps.svelte';
  import NowStep from './NowStep.svelte';
  import { jointNames, oilRound } from '$core/log';
  import { isTimed } from '$core/sums';
  import OilRound from './OilRound.svelte';
  import OpenThings from './OpenThings.svelte';
  import { unitChoice } from '../sheet/unit-choice';
  import { liftsToSee } from './quick-actions';
  import ReleaseLine from './ReleaseLine.svelte';
  import Treated from './Treated.svelte';
  import WaterWay from './WaterWay.svelte';
  import Retest from './Retest.svelte';
  import RoundCard from './RoundCard.svelte';

  let { foot, onopen, ondrill }: { foot: Footplate; onopen: (dialog: Dialog) => void; ondrill: () => void } = $props();
  const missed = $derived(foot.due.missed.length);
  /** What nothing feeds is measured in millilitres and grams. */
  const small = $derived(isTimed(foot.fitOut));
  const padOf = $derived(
    foot.placed?.step.asks?.includes('water in') ? 'water' : foot.placed?.step.asks?.includes('charge') ? 'charge' : undefined
  );
</script>

<p class="label">{foot.chosen ? 'Chosen step' : 'Now'}</p>
{#if foot.finished || (!foot.placed && foot.state.phase === 'Put away')}
  <article>
    <h2 class="heading">Everything is done or accounted for</h2>
    <p>Sign, and the record is closed.</p>
    <button class="plain go" onclick={() => onopen('sign')}>Sign and close</button>
  </article>
{:else if foot.drill}
  <DrillCard steps={foot.drill} onout={() => foot.record('fire', { act: 'out' })} {ondrill} />
{:else if foot.dutyNow}
  {@const duty = foot.dutyNow}
  <DutyCard {duty} onkeep={() => foot.keep(duty)} onput={(reason) => foot.putOff(duty, reason)} />
  {#if duty.key === 'fire'}<Coach watch={foot.watch} now={foot.now} of="fire" />{/if}
{:else if foot.card.length > 1}
  {#key `${foot.card[0]!.step.phase} ${foot.card[0]!.step.round}`}
    <RoundCard
      points={foot.card}
      refusal={foot.refusal}
      {small}
      {treatment}
      carries={foot.procedure.steps.some((s) => s.act === 'carry')}
      onall={(values) => foot.done(undefined, values)}
      onright={(step) => foot.tick({ step, outcome: 'done' })}
      onnoted={(step, reason) => foot.tick({ step, outcome: 'done', reason })}
      onfault={foot.faulty}
      onskip={(step, reason) => foot.tick({ step, outcome: 'skipped', reason })}
    />
  {/key}
{:else if foot.placed}
  <NowStep
    placed={foot.placed}
    refusal={foot.refusal}
    state={foot.state}
    chosen={foot.chosen !== undefined}
    ondone={foot.done}
    onskip={foot.skip}
    lifts={liftsToSee(foot.fitOut, foot.state, unitChoice())}
    onlift={({ kind, body }) => foot.record(kind, body)}
    onending={() => foot.record('observation', { seen: 'running ends' })}
    onout={() => foot.record('fire', { act: 'out' })}
    instead={foot.placed.step.key === oilRound && foot.fitOut.lubrication.some((p) => p.kind === 'hand' || p.kind === 'cup')
      ? oiling
      : undefined}
    pad={{ joints, retest, cells, swept, rig }[foot.placed.step.proof?.kind as 'joints' | 'retest' | 'cells' | 'swept' | 'rig'] ??
      (foot.placed.step.key === 'fill'
        ? filling
        : padOf !== undefined
          ? measuring
          : foot.placed.step.asks?.includes('treatment')
            ? treatment
            : undefined)}
    {small}
    onrest={() => foot.record('reading', { pressure: 0 })}
    opens={foot.forecast.opens}
    onback={() => foot.choose(undefined)}
  />
{/if}
{#if foot.mayRunAgain}
  <div class="again">
    <p class="label">Fire out</p>
    <button class="plain" onclick={foot.again}>Another run today</button>
  </div>
{/if}
<Later>
  <Duties
    duties={foot.duties.filter((d) => d.key !== foot.dutyNow?.key)}
    standing={foot.standsBy}
    now={foot.now}
    onkeep={foot.keep}
    onstand={foot.standBy}
  />
  {#if foot.card[0]?.step.key === 'fit-to-run'}<ReleaseLine {foot} onopen={() => onopen('release')} />{/if}
  {#if foot.state.phase === 'Look over'}<FromBook procedure={foot.procedure} />{/if}
  {#if missed}
    <button class="quiet missed" onclick={() => onopen('steps')}>{missed} earlier {missed === 1 ? 'step' : 'steps'} not done</button>
  {/if}
  <NextSteps next={foot.next} opens={foot.forecast.opens} phase={foot.state.phase} onchoose={foot.choose} onall={() => onopen('steps')} />
  <WaterWay fitOut={foot.fitOut} state={foot.state} onsend={foot.send} />
  <OpenThings
    open={foot.state.open}
    onclose={(thing) => (thing === 'gas joint' && jointNames(foot.fitOut).length ? onopen('joints') : foot.shut(thing))}
  />
</Later>

{#snippet treatment()}<Treated {foot} />{/snippet}
{#snippet retest()}<Retest {foot} />{/snippet}
{#snippet cells()}<button class="plain" onclick={() => onopen('matrix')}>Matrix</button>{/snippet}
{#snippet swept()}<button class="plain" onclick={() => onopen('sweep')}>Leak sweep</button>{/snippet}
{#snippet rig()}<button class="plain" onclick={() => onopen('rigs')}>Rig</button>{/snippet}
{#snippet joints()}<Joints {foot} />{/snippet}

{#snippet filling()}
  {@render measuring()}
  <FilledWith {foot} />
{/snippet}
{#snippet measuring()}
  {#if padOf}<MeasurePad {foot} of={padOf} />{/if}
{/snippet}

{#snippet oiling()}
  <OilRound fitOut={foot.fitOut} log={foot.log} missed={foot.placed?.step.known?.says ?? []} onoil={foot.oil} onall={foot.oiled} />
{/snippet}

<style>
  .label {
    margin-bottom: -4px;
  }
  article {
    display: grid;
    gap: 8px;
  }
  article .plain {
    min-height: 56px;
  }
  .again {
    display: grid;
    gap: 6px;
  }
  .again .plain {
    min-height: 56px;
  }
  .missed {
    width: fit-content;
  }
</style>
