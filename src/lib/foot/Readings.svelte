<script lang="ts">
  // The instruments: the glass and the pressure scale, each with what it showed last and how old that is. Touching them logs.
  import type { FitOut } from '$core/engine';
  import type { State } from '$core/log';
  import { type Glass, isLevel, printGlass, printText } from '$core/units';
  import { nextGlance } from '$core/watch';
  import GlassDrawing from '../draw/GlassDrawing.svelte';
  import PressureScale from '../draw/PressureScale.svelte';
  import Later from '../here/Later.svelte';
  import Quantity from '../sheet/Quantity.svelte';
  import { unitChoice } from '../sheet/unit-choice';
  import { age } from '../sheet/when';

  let {
    fitOut,
    state: state_,
    now,
    marks,
    cold = null,
    past = false,
    onglass,
    onpressure
  }: {
    fitOut: FitOut;
    state: State;
    now: number;
    /** Pressures at which something opens, with a short word each. */
    marks: { value: number; word: string }[];
    /** The level to fill to before the match. */
    cold?: number | null;
    /** As it was on a day that is over: it is looked at, and not touched. */
    past?: boolean;
    onglass: (glass: Glass, which: number) => void;
    onpressure: (pressure: number) => void;
  } = $props();

  /** A reading this old is drawn pale. */
  const pale = 10 * 60_000;
  const stale = (at: string | undefined) => at !== undefined && now - Date.parse(at) > pale;
  const units = $derived(unitChoice());
  const glance = $derived(nextGlance(fitOut, state_));
  let draft = $state<{ glass?: Glass; pressure?: number }>({});
</script>

<div class="readings" class:two={fitOut.glasses.length > 1}>
  {#each fitOut.glasses as _, i (i)}
    {@const read = i ? state_.secondGlass : state_.glass}
    <div class="instrument">
      <p class="label">{fitOut.glasses.length > 1 ? `Glass ${i + 1}` : 'Glass'}</p>
      <div class="drawing">
        <Later
          ><GlassDrawing
            glass={read?.value}
            levels={fitOut.levels}
            {cold}
            name={fitOut.glasses.length > 1 ? `Gauge glass ${i + 1}` : 'Gauge glass'}
            stale={stale(read?.at)}
            abnormal={read !== undefined &&
              isLevel(read.value) &&
              read.value <= fitOut.levels.lowest &&
              state_.fire.litAt !== undefined &&
              !state_.fire.outAt}
            onpick={(g) => onglass(g, i)}
            ondraft={(g) => (draft = i ? {} : { glass: g })}
          /></Later
        >
      </div>
      <p class="big">
        {#if draft.glass !== undefined && !i}<span class="draft">{@render level(draft.glass)}</span>{:else if read}{@render level(
            read.value
          )}{:else}<span class="second words">not read</span>{/if}
      </p>
      <p class="age second">
        {#if read}{age(read.at, now)}{#if read.pressure !== null}<span class="taken">at {printText(read.pressure, 'pressure', units)}</span
            >{/if}{/if}
      </p>
    </div>
  {/each}
  {#if fitOut.gauge}
    <div class="instrument">
      <p class="label">Pressure</p>
      <div class="drawing">
        <Later
          ><PressureScale
            pressure={state_.pressure?.value}
            workingPressure={fitOut.workingPressure}
            {marks}
            stale={stale(state_.pressure?.at)}
            onpick={onpressure}
            ondraft={(p) => (draft = { pressure: p })}
          /></Later
        >
      </div>
      <p class="big">
        {#if draft.pressure !== undefined}<span class="draft"><Quantity value={draft.pressure} quantity="pressure" /></span
          >{:else if state_.pressure}<Quantity value={state_.pressure.value} quantity="pressure" />{:else}<span class="second words"
            >not read</span
          >{/if}
      </p>
      <p class="age second">{state_.pressure ? age(state_.pressure.at, now) : ''}</p>
    </div>
  {/if}
</div>
<p class="hint">
  {#if glance !== undefined}
    {#if glance > now}<span>Look at the glass again in <strong>{Math.ceil((glance - now) / 60_000)} min</strong></span>{:else}<strong
        class="caution">Look at the glass now</strong
      >{/if}
  {:else}<span
      >{fitOut.glasses.length ? 'Glances at the glass are timed from the match on' : 'No glass: water is measured in, and timed'}</span
    >{/if}
  {#if !past}<span class="second touch">Touch where it stands</span>{/if}
</p>

{#snippet level(glass: Glass)}
  {@const [word, mark] =
    isLevel(glass) && / /.test(printGlass(glass)) && printGlass(glass).length < 11 ? printGlass(glass).split(' ') : ['', printGlass(glass)]}
  {#if word}<span class="side">{word}</span>{/if}<span class:words={mark!.length > 3}>{mark}</span>
{/snippet}

<style>
  .readings {
    flex: 1;
    display: grid;
    grid-template-columns: 132px 150px;
    gap: 12px;
    min-height: 0;
  }
  .readings.two {
    grid-template-columns: 112px 112px 132px;
    gap: 4px;
  }
  .instrument {
    display: flex;
    flex-direction: column;
    min-height: 0;
    min-width: 0;
  }
  .drawing {
    flex: 1;
    min-height: 0;
    margin-top: 6px;
  }
  .big {
    font: 600 3rem/1.05 var(--narrow);
    min-height: 3.2rem;
    margin-top: 6px;
    display: flex;
    /* A unit goes under its figure before it lies on its neighbour. */
    flex-wrap: wrap;
    align-items: end;
  }
  .side {
    font-size: 1.25rem;
    margin-right: 6px;
    padding-bottom: 4px;
  }
  .words {
    font-size: 1.375rem;
    white-space: normal;
    line-height: 1.1;
  }
  .draft {
    color: var(--fire);
  }
  .age {
    font-size: 0.875rem;
    min-height: 1.25rem;
    white-space: nowrap;
  }
  .taken {
    margin-left: 0.3em;
  }
  .readings.two .age {
    white-space: normal;
    line-height: 1.15;
    min-height: 2.3em;
  }
  .readings.two .taken {
    display: block;
    margin: 0;
  }
  .hint {
    /* Its words never widen the instruments' column. */
    width: 0;
    min-width: 100%;
    display: flex;
    justify-content: space-between;
    gap: 4px 12px;
    flex-wrap: wrap;
    border-top: 1px solid var(--rule);
    margin-top: 8px;
    padding-top: 8px;
    font-size: 0.9375rem;
  }
  @container page (max-width: 62.5rem) {
    .readings,
    .readings.two {
      height: 17rem;
      min-height: 270px;
      grid-template-columns: repeat(auto-fit, minmax(0, 1fr));
    }
    .readings:not(.two) {
      grid-template-columns: 1fr 1.1fr;
    }
    .readings.two {
      grid-template-columns: 1fr 1fr 1.15fr;
    }
    .age {
      white-space: normal;
    }
    .readings.two .age {
      min-height: 0;
    }
    .readings.two .taken,
    .touch {
      display: none;
    }
  }
  @media (min-height: 36rem) {
    @container page (min-width: 19rem) and (max-width: 37.5rem) {
      .readings,
      .readings.two {
        height: auto;
        min-height: 0;
        flex: 1;
      }
      .instrument {
        display: grid;
        grid-template: auto minmax(0, 1fr) / minmax(0, 1fr);
      }
      /* What was read last stands in the head. */
      .big:not(:has(.draft)),
      .age {
        display: none;
      }
      .instrument {
        position: relative;
      }
      .big {
        position: absolute;
        inset: auto 0 0 auto;
        background: var(--paper);
        z-index: 1;
      }
      .hint {
        margin-top: 2px;
        padding-top: 3px;
        font-size: 0.875rem;
      }
    }
  }
</style>
