<script lang="ts">
  // The head of a Footplate on a phone: which engine and phase, what was read last and how old it is, and the drill. Always in view.
  import { sensesOf } from '$core/procedure';
  import { printGlass, printText } from '$core/units';
  import { unitChoice } from '../sheet/unit-choice';
  import { age } from '../sheet/when';
  import Countdown from './Countdown.svelte';
  import type { Footplate } from './footplate.svelte';

  let {
    foot,
    cells,
    ondrill
  }: { foot: Footplate; /** Of the desk’s title block. */ cells: readonly { label: string; more?: string }[]; ondrill: () => void } =
    $props();
  const { pressure, glass, phase } = $derived(foot.state);
  const since = $derived(cells.find((c) => c.label === 'Phase')?.more);
  /** Where nothing is read: what was sensed last. */
  const told = $derived.by(() => {
    const rung = [...sensesOf(foot.fitOut)].reverse().find((r) => foot.state.seen[r.seen]);
    return foot.fitOut.gauge || !rung ? undefined : `${rung.word}, ${age(foot.state.seen[rung.seen]!, foot.now)}`;
  });
  const units = $derived(unitChoice());
  const old = $derived([pressure?.at, glass?.at].filter((at) => at !== undefined).sort()[0]);
</script>

<header>
  <div>
    <h1>{foot.fitOut.name} <span>· {phase}{since ? ` · ${since}` : ''}</span></h1>
    <p>
      <Countdown {foot} small />
      {#if pressure}<strong>{printText(pressure.value, 'pressure', units)}</strong>{/if}
      {#if glass}<strong>{printGlass(glass.value)}</strong>{/if}
      {#if old}<span>{pressure && glass && pressure.at !== glass.at ? 'older ' : ''}{age(old, foot.now)}</span>{:else if !told}<span
          >nothing read yet</span
        >{:else}<span>{told}</span>{/if}
    </p>
  </div>
  <button class="low-water" onclick={ondrill}>LOW WATER</button>
</header>

<style>
  header {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    min-height: 64px;
    border-bottom: 2px solid var(--ink);
    background: var(--raised);
  }
  div {
    padding: 4px 10px;
    min-width: 0;
  }
  h1 {
    font: 600 1.0625rem/1.2 var(--narrow);
    text-transform: uppercase;
    white-space: nowrap;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  h1 span {
    font-weight: 500;
    text-transform: none;
  }
  p {
    display: flex;
    gap: 12px;
    align-items: baseline;
    white-space: nowrap;
  }
  strong {
    font: 600 1.625rem/1.2 var(--narrow);
  }
  p span {
    font-size: 0.9375rem;
    line-height: 1;
    color: var(--ink2);
    white-space: normal;
    min-width: 0;
  }
  .low-water {
    background: var(--act-solid);
    color: var(--on-act);
    border: 0;
    font: 600 1.125rem/1.1 var(--narrow);
    letter-spacing: 0.04em;
    width: 5rem;
    cursor: pointer;
  }
</style>
