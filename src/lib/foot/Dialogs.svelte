<script lang="ts">
  // What is asked for now and then on a Footplate, over it: loaded when the page is at rest, made when it is asked for.
  import { phases, type Phase } from '$core/procedure';
  import { printMarks } from '$core/units';
  import { Modal } from 'carbon-components-svelte';
  import { unitChoice } from '../sheet/unit-choice';
  import Accumulation from './Accumulation.svelte';
  import AllSteps from './AllSteps.svelte';
  import type { Dialog } from './dialogs';
  import type { Footplate } from './footplate.svelte';
  import HandOver from './HandOver.svelte';
  import Joints from './Joints.svelte';
  import Matrix from './Matrix.svelte';
  import Measure from './Measure.svelte';
  import { keys } from './keys';
  import ReleaseSheet from './ReleaseSheet.svelte';
  import Rigs from './Rigs.svelte';
  import SignOff from './SignOff.svelte';
  import Sweep from './Sweep.svelte';
  import WatchSheet from './WatchSheet.svelte';
  import ThrowAway from './ThrowAway.svelte';

  let { open = $bindable(), foot, people }: { open: Dialog | undefined; foot: Footplate; people: readonly string[] } = $props();
  const units = $derived(unitChoice());
  /** What is due next, for whoever takes it over. */
  const next = $derived(foot.placed ? printMarks(foot.placed.step.what, units) : 'Look at the glass');
  const shut = () => void (open = undefined);
</script>

{#if open === 'steps'}
  <AllSteps
    log={foot.log}
    now={foot.now}
    onchoose={(k) => (foot.choose(k), shut())}
    onphase={(phase: Phase) => (foot.record('phase', { phase }), shut())}
    onclose={shut}
  />
{:else if open === 'hand'}
  <HandOver
    {foot}
    {people}
    keeper={foot.state.keeper}
    {next}
    onhand={(to, due, signIn) => foot.record('handover', { to, next: due, offered: true, ...(signIn ? { signIn } : {}) })}
    onclose={shut}
  />
{:else if open === 'sign'}
  <SignOff
    state={foot.state}
    steps={foot.procedure.steps}
    me={foot.me}
    refused={foot.signRefused}
    onsign={(remarks) => {
      foot.record('sign', { as: 'keeper', name: foot.me, ...(remarks ? { remarks } : {}) });
      shut();
    }}
    onclose={shut}
  />
{:else if open === 'release'}
  <Modal open on:close={shut} passiveModal modalHeading="Release to run" size="lg" hasScrollingContent>
    <ReleaseSheet {foot} />
    <p class="second"><a href="/release/{foot.steaming.id}">The release as a page, to print</a></p>
  </Modal>
{:else if open === 'joints'}
  <Modal open on:close={shut} passiveModal modalHeading="Gas joints" size="sm" hasScrollingContent>
    <p>Leak fluid on each, a slow minute, never a flame. What was undone is tested anew before the match.</p>
    <Joints {foot} />
  </Modal>
{:else if open === 'watch'}
  <WatchSheet {foot} onclose={shut} />
{:else if open === 'measure'}
  <Measure {foot} onclose={shut} />
{:else if open === 'accumulation'}
  <Accumulation {foot} onclose={shut} />
{:else if open === 'sweep'}
  <Sweep {foot} onclose={shut} />
{:else if open === 'matrix'}
  <Matrix {foot} onclose={shut} />
{:else if open === 'rigs'}
  <Rigs {foot} onclose={shut} />
{:else if open === 'throw'}
  <ThrowAway id={foot.steaming.id} engine={foot.fitOut.name} onclose={shut} />
{:else if open === 'keys'}
  <Modal open on:close={shut} passiveModal modalHeading="Keys" size="sm">
    <table class="ruled">
      <tbody
        >{#each keys as [k, what] (k)}<tr><td class="figure">{k}</td><td>{what}</td></tr>{/each}</tbody
      >
    </table>
    <p class="second">Phases: {phases.join(', ')}.</p>
  </Modal>
{/if}
