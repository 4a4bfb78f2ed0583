<script lang="ts">
  // What moves this engine's raise: its model brought up with one thing otherwise, each drawn to one scale, the greatest first.
  import type { FitOut } from '$core/engine';
  import { onMount } from 'svelte';
  import type { Output } from '../../workers/jobs';
  import { printText } from '$core/units';
  import { ask } from '../ask';
  import { unitChoice } from '../sheet/unit-choice';

  let { fitOut }: { fitOut: FitOut } = $props();
  let found = $state.raw<Output<'moves'>>();
  let problem = $state<string>();
  onMount(() => {
    ask('moves', $state.snapshot(fitOut) as FitOut)
      .then((moves) => (found = moves))
      .catch((error: Error) => (problem = error.message));
  });
  // The scale ends at the greatest that arrives; what never arrives goes over its edge.
  const most = $derived(Math.max(0.1, ...(found?.moves ?? []).filter((m) => m.longer < Infinity).map((m) => Math.abs(m.longer))));
  const least = $derived(Math.min(0, ...(found?.moves ?? []).map((m) => m.longer)));
  const span = $derived(most - least);
  const at = (longer: number) => ((Math.min(longer, most) - least) / span) * 100;
  const minutes = (s: number) => (s < Infinity ? `${Math.round(s / 60)} min` : 'never');
  const percent = (x: number) => {
    if (x === Infinity) return 'never';
    const whole = Math.round(x * 100);
    return whole === 0 ? 'as usual' : `${whole < 0 ? '−' : '+'}${Math.abs(whole)} %`;
  };
  const units = $derived(unitChoice());
</script>

<section class="box pad moves" aria-label="What moves a raise">
  <h2 class="label">What moves a raise</h2>
  {#if problem}<p class="problem" role="alert">{problem}</p>
  {:else if !found}<p class="second" aria-live="polite">Bringing the model up, one thing otherwise each time.</p>
  {:else if found.time === Infinity}<p class="second">By its dimensions and ordinary practice this engine does not come into steam.</p>
  {:else}
    <p class="second small">
      {minutes(found.time)} from the match to steam by its dimensions and ordinary practice, water at {printText(
        fitOut.fire.with === 'spirit' ? 333.15 : 288.15,
        'temperature',
        units
      )}. {#if fitOut.pace}It is warmed no faster than its pace, so little of this changes its time.
      {/if}With one thing otherwise:
    </p>
    <table class="ruled">
      <thead><tr><th>Otherwise</th><th class="wide" aria-hidden="true"></th><th class="r">Takes</th><th class="r">That is</th></tr></thead>
      <tbody>
        {#each found.moves as m (m.key)}
          <tr>
            <td>{m.name}</td>
            <td class="wide" aria-hidden="true">
              <svg width="100%" height="16" preserveAspectRatio="none" viewBox="0 0 100 16">
                <path class="zero" d="M{at(0)} 0V16" />
                <rect x={Math.min(at(0), at(m.longer))} y="4" width={Math.abs(at(m.longer) - at(0))} height="8" />
              </svg>
            </td>
            <td class="num">{minutes(m.time)}</td>
            <td class="num second">{percent(m.longer)}</td>
          </tr>
        {/each}
      </tbody>
    </table>
    <p class="second small">
      A model of this engine’s dimensions, not a measurement. What a drawing does not tell is taken as usual for its class.
    </p>
  {/if}
</section>

<style>
  .moves {
    margin-top: 12px;
  }
  .small {
    font-size: 0.9375rem;
  }
  .r {
    text-align: right;
  }
  td {
    padding-top: 4px;
    padding-bottom: 4px;
  }
  .num {
    white-space: nowrap;
  }
  .wide {
    width: 45%;
  }
  svg {
    display: block;
  }
  rect {
    fill: var(--ink2);
  }
  .zero {
    stroke: var(--ink);
    stroke-width: 1;
    vector-effect: non-scaling-stroke;
  }
  @container page (max-width: 40rem) {
    .wide {
      display: none;
    }
  }
</style>
