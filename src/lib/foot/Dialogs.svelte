<script lang="ts">
  // What is asked for now and then on a Footplate, over it: loaded when the page is at rest, made when it is asked for.
  import type { Bodies, Kind, Log } from '$core/log';
  import { phases, type Phase } from '$core/procedure';
  import { Modal } from 'carbon-components-svelte';
  import AllSteps from './AllSteps.svelte';
  import HandOver from './HandOver.svelte';
  import { keys } from './keys';
  import SignOff from './SignOff.svelte';
  import ThrowAway from './ThrowAway.svelte';

  let {
    open = $bindable(),
    id,
    log,
    now,
    people,
    next,
    me,
    maySign,
    record,
    onchoose
  }: {
    open: { keys: boolean; steps: boolean; hand: boolean; sign: boolean; throw: boolean };
    id: string;
    log: Log;
    now: number;
    people: readonly string[];
    /** What is due next, for whoever takes it over. */
    next: string;
    me: string;
    maySign: boolean;
    record: <K extends Kind>(kind: K, body: Bodies[K]) => void;
    onchoose: (step: string) => void;
  } = $props();
  const { fitOut, procedure } = $derived(log.context);
</script>

{#if open.steps}
  <AllSteps
    bind:open={open.steps}
    {log}
    {now}
    onchoose={(k) => (onchoose(k), (open.steps = false))}
    onphase={(phase: Phase) => (record('phase', { phase }), (open.steps = false))}
  />
{/if}
{#if open.hand}
  <HandOver bind:open={open.hand} {people} keeper={log.state.keeper} {next} onhand={(to, due) => record('handover', { to, next: due })} />
{/if}
{#if open.sign}
  <SignOff
    bind:open={open.sign}
    state={log.state}
    steps={procedure.steps}
    {me}
    {maySign}
    onsign={(name, remarks) => {
      record('sign', { as: 'keeper', name, ...(remarks ? { remarks } : {}) });
      open.sign = false;
    }}
  />
{/if}
{#if open.throw}<ThrowAway bind:open={open.throw} {id} engine={fitOut.name} />{/if}
{#if open.keys}
  <Modal bind:open={open.keys} passiveModal modalHeading="Keys" size="sm">
    <table class="ruled">
      <tbody
        >{#each keys as [k, what] (k)}<tr><td class="figure">{k}</td><td>{what}</td></tr>{/each}</tbody
      >
    </table>
    <p class="second">Phases: {phases.join(', ')}.</p>
  </Modal>
{/if}
