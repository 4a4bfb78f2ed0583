<script lang="ts">
  // Laps of the track: how fast, what a lap takes, and how many are left in the water.
  import { lapsOf } from '$core/log';
  import { waterIn } from '$core/forecast';
  import { lapsLeft } from '$core/sums';
  import { printText } from '$core/units';
  import { usesNow } from '$core/watch';
  import { NumberInput } from 'carbon-components-svelte';
  import { untrack } from 'svelte';
  import Figures from '../sheet/Figures.svelte';
  import { unitChoice } from '../sheet/unit-choice';
  import { leftOn } from '../sheet/when';
  import type { Footplate } from './footplate.svelte';

  let { foot }: { foot: Footplate } = $props();
  const units = $derived(unitChoice());
  const laps = $derived(lapsOf(foot.log));
  /** m: of the laps that are counted, or those of its last day. */
  let length = $state<number | null>(untrack(() => laps?.length ?? foot.log.context.begun?.expects?.lap?.length ?? null));
  const good = $derived(length !== null && length >= 5 && length <= 20_000);
  const mean = $derived(laps?.times.length ? laps.times.reduce((a, b) => a + b, 0) / laps.times.length : undefined);
  const last = $derived(laps?.times.at(-1));
  const before = $derived(foot.log.context.begun?.expects?.lap);
  const kmh = (s: number) => printText(laps!.length / s, 'travel', units);
  /** m/s: nothing that is driven here goes faster. */
  const fastest = 12;
  const tooFast = $derived(laps !== undefined && last !== undefined && laps.length / last > fastest);
  const inAll = $derived(laps && (laps.times.length * laps.length) / 1000);
  const left = $derived.by(() => {
    const view = foot.watch.view;
    const look = view?.looks.at(-1);
    if (!laps || mean === undefined || !view || !look) return undefined;
    const { levels, tanks } = foot.fitOut;
    const over = Math.max(0, waterIn(view.plant, look) - waterIn(view.plant, { ...look, glass: levels.lowest }));
    const tank = tanks.reduce((sum, t) => sum + t.capacity, 0) * (foot.state.tank?.value ?? 0);
    const said = {
      length: laps.length,
      time: mean,
      uses: usesNow(view),
      boiler: over / 1000,
      tank: Number.isFinite(tank) ? tank : 0,
      reserve: 0.33
    };
    return { key: lapsLeft.key, name: lapsLeft.name, worked: lapsLeft.work(said, { fitOut: foot.fitOut, plant: view.plant }) };
  });
  const mark = () => {
    if (!good) return;
    const begins = !laps || laps.length !== length;
    foot.record('lap', { length: length!, ...(begins ? { begins: true } : {}) });
  };
  const anew = () => good && foot.record('lap', { length: length!, begins: true });
</script>

<section>
  <h3>Laps</h3>
  <NumberInput
    labelText="Length of a lap, m"
    bind:value={length}
    min={5}
    max={20000}
    allowEmpty
    hideSteppers
    invalidText="Between 5 m and 20 km."
  />
  <button class="plain tap" disabled={!good} onclick={mark}>
    {#if laps && laps.length === length}
      <strong>{laps.times.length}</strong>
      <span>{laps.times.length === 1 ? 'lap' : 'laps'}: touch at the mark</span>
    {:else}Touch at the mark: laps are counted from there{/if}
  </button>
  {#if laps && last !== undefined && mean !== undefined}
    <p>
      Last {leftOn(last * 1000)}, {kmh(last)}. Mean of {laps.times.length}: {leftOn(mean * 1000)}, {kmh(mean)}. {inAll!.toFixed(1)} km in all.
      {#if before && before.length === laps.length}On its last day {leftOn(before.time * 1000)}.{/if}
    </p>
  {/if}
  {#if tooFast}<p class="problem">Faster than anything here goes: touched twice? Undo it, or strike it in the log.</p>{/if}
  {#if left}<Figures figures={[left]} />
    {#if !foot.state.tank && foot.fitOut.tanks.length}<p class="second">The tank was not read: it is not counted.</p>{/if}
  {:else if laps?.times.length}<p class="second">How many are left is worked once the glass was looked at.</p>{/if}
  {#if laps}<div class="row"><button class="quiet" disabled={!good} onclick={anew}>Count from here anew</button></div>{/if}
</section>

<style>
  section :global(.bx--number input[type='number']) {
    font: 500 1.0625rem var(--narrow);
  }
</style>
