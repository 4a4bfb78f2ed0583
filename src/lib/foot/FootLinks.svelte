<script lang="ts">
  // The foot of a Footplate: where else to go, who keeps it, what was delivered, and what is asked for now and then.
  import { type FitOut, mayAccumulate } from '$core/engine';
  import { overdue } from '$core/commission';
  import { isCommissioned, type State } from '$core/log';
  import NewVersion from '../here/NewVersion.svelte';
  import Delivery from './Delivery.svelte';
  import type { Dialog } from './dialogs';
  import type { Steaming } from './steaming.svelte';

  let {
    engine,
    fitOut,
    state,
    now,
    steaming,
    mayThrowAway,
    onopen
  }: {
    /** Its id. */
    engine: string;
    fitOut: FitOut;
    state: State;
    now: number;
    steaming: Steaming;
    mayThrowAway: boolean;
    onopen: (dialog: Dialog) => void;
  } = $props();
  /** It has gas joints that are accounted for. */
  const gas = $derived(fitOut.fire.with === 'gas' && fitOut.fire.joints.length > 0);
  const rigs = $derived(Object.keys(state.rigs).length);
  const late = $derived(overdue(state.rigs, now).length > 0);
</script>

<footer>
  <a href="/">Yard</a>
  <a href="/engines/{engine}">{fitOut.name}</a>
  <span>Keeper <strong>{state.keeper}</strong> <button class="quiet" onclick={() => onopen('hand')}>hand over</button></span>
  <Delivery {steaming} {now} />
  <span class="right">
    {#if !state.fire.litAt && mayThrowAway}<button class="quiet" onclick={() => onopen('throw')}>Throw this start away</button>{/if}
    {#if state.fire.outAt || !state.fire.litAt}<button class="quiet" onclick={() => onopen('sign')}>Sign and close</button>{/if}
    {#if gas}<button class="quiet" onclick={() => onopen('joints')}>Gas joints</button>{/if}
    {#if isCommissioned(steaming.log)}<button class="quiet" onclick={() => onopen('matrix')}>Matrix</button>{/if}
    <button class="quiet" onclick={() => onopen('sweep')}>Leak sweep</button>
    <button class="quiet" class:caution={late} onclick={() => onopen('rigs')}>{late ? '▲ ' : ''}Rig{rigs ? `, ${rigs} on` : ''}</button>
    {#if mayAccumulate(fitOut) && state.fire.litAt && !state.fire.outAt}<button class="quiet" onclick={() => onopen('accumulation')}
        >Accumulation test</button
      >{/if}
    <a href="/faults/find?engine={engine}">Find a fault</a>
    <button class="quiet" onclick={() => onopen('watch')}>Watch</button>
    <button class="quiet" onclick={() => onopen('release')}>Release</button>
    <button class="quiet" onclick={() => onopen('keys')}>? keys</button>
  </span>
</footer>
{#if state.fire.outAt || !state.fire.litAt}<NewVersion />{/if}

<style>
  footer {
    display: flex;
    gap: 4px 20px;
    flex-wrap: wrap;
    font-size: 0.9375rem;
    color: var(--ink2);
  }
  strong {
    color: var(--ink);
  }
  .right {
    margin-left: auto;
    display: flex;
    flex-wrap: wrap;
    gap: 4px 20px;
  }
  .quiet,
  a {
    padding: 0;
  }
</style>
