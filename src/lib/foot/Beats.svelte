<script lang="ts">
  // Turns by tapping with the exhaust or the crank, and the steam that goes with them.
  import { plantFor } from '$core/boiler';
  import { rateOfTaps, steamUsed } from '$core/sums';
  import Figures from '../sheet/Figures.svelte';
  import type { Footplate } from './footplate.svelte';

  let { foot }: { foot: Footplate } = $props();
  const { fitOut } = $derived(foot);
  const perTurn = $derived(fitOut.cylinders.count * (fitOut.cylinders.doubleActing ? 2 : 1));
  let crank = $state(false);
  const each = $derived(crank ? 1 : perTurn);
  /** s, by the device’s own steady clock. */
  let taps = $state.raw<readonly number[]>([]);
  const found = $derived(rateOfTaps(taps));
  const turns = $derived(found && found.rate / each);
  const steam = $derived.by(() => {
    if (!turns) return undefined;
    const chest = 0.8 * (foot.state.pressure?.value ?? fitOut.workingPressure);
    if (!(chest > 1e4)) return undefined;
    const engine = { fitOut, plant: plantFor(fitOut) };
    const worked = steamUsed.work({ ...steamUsed.usual(engine), chest, turns }, engine);
    return { key: steamUsed.key, name: steamUsed.name, worked };
  });
  /** A finger that rests begins anew. */
  const rests = 3;
  const tap = () => {
    const now = performance.now() / 1000;
    taps = taps.length && now - taps.at(-1)! > rests ? [now] : [...taps, now];
  };
  function logBeats() {
    if (!found || !turns) return;
    const said = { turns: Math.round(turns * 1e4) / 1e4, spread: Math.round((found.spread / each) * 1e4) / 1e4, beats: found.beats, each };
    foot.record('beats', said);
    taps = [];
  }
</script>

<section>
  <h3>Beats</h3>
  <p>Tap with the {crank ? 'crank, once a turn' : 'exhaust'}: twelve are enough.</p>
  <div class="row">
    <button class="plain" aria-pressed={!crank} onclick={() => ((crank = false), (taps = []))}>Exhaust, {perTurn} to a turn</button>
    <button class="plain" aria-pressed={crank} onclick={() => ((crank = true), (taps = []))}>Crank, one to a turn</button>
  </div>
  <button class="plain tap" onpointerdown={tap} onkeydown={(e) => (e.key === ' ' || e.key === 'Enter') && !e.repeat && tap()}>
    {#if turns}<strong>{Math.round(turns * 60)}</strong> turns a minute{:else}Tap here{/if}
    <span
      >{taps.length} tap{taps.length === 1 ? '' : 's'}{found
        ? `, give or take ${Math.max(1, Math.round((2 * 60 * found.spread) / each))}`
        : ''}</span
    >
  </button>
  {#if steam}<Figures figures={[steam]} />{/if}
  <div class="row">
    <button class="plain go" disabled={!found} onclick={logBeats}>Log it</button>
    <button class="plain" disabled={!taps.length} onclick={() => (taps = [])}>Again</button>
  </div>
</section>
