<script lang="ts">
  // What to fill to, on the drawing of the glass: the cold mark, and between which marks it must stand.
  import type { Whole } from '$core/plan';
  import { printGlass, printText } from '$core/units';
  import RunsOfDay from './RunsOfDay.svelte';
  import Working from '../sheet/Working.svelte';
  import { unitChoice } from '../sheet/unit-choice';

  let { whole }: { whole: Whole } = $props();
  const units = $derived(unitChoice());
  const level = $derived(whole.level);
  const glass = $derived(level.fill.kind === 'glass');
  const tall = 132;
  const y = (v: number) => 14 + (1 - Math.min(1.06, Math.max(-0.06, v))) * tall;
  const minutes = $derived(Math.round(level.gap.until / 60));
</script>

<section class="box pad">
  <h2 class="label">Fill, cold</h2>
  {#if level.refused}<p class="strip act">{level.refused}</p>{/if}
  <div class="two">
    {#if glass}
      <svg
        width="140"
        height={tall + 28}
        role="img"
        aria-label="Cold mark at {printGlass(level.fill.value)} of the glass; at least {printGlass(
          Math.max(0, level.least)
        )}, at most {printGlass(Math.min(1, level.most))}"
      >
        <rect class="water" x="14" y={y(level.fill.value)} width="24" height={y(0) - y(level.fill.value)} />
        <path class="tube" d="M14 14V{14 + tall}M38 14V{14 + tall}" />
        <rect class="nut" x="7" y="2" width="38" height="12" />
        <rect class="nut" x="7" y={14 + tall} width="38" height="12" />
        <path class="cold" d="M8 {y(level.fill.value)}H52" />
        <text class="strong" x="56" y={y(level.fill.value) + 5}>{printGlass(level.fill.value)} cold</text>
        <path class="edge" d="M38 {y(level.least)}H52M38 {y(level.most)}H52" />
        <text x="56" y={y(level.least) + 5}>least {printGlass(Math.max(0, level.least))}</text>
        <text x="56" y={y(level.most) + 5}>most {printGlass(Math.min(1, level.most))}</text>
      </svg>
    {/if}
    <div>
      <p class="big figure">{printText(whole.fill, 'volume', units)}</p>
      {#if glass}<p class="second small">to {printGlass(level.fill.value)} of the glass</p>{:else}<p class="second small">
          measured in: there is no glass. Between {printText(level.least, 'volume', units)} and {printText(level.most, 'volume', units)}.
        </p>{/if}
      <p class="small">
        {level.gap.feed
          ? `${level.gap.feed} is the first feed that can work, about ${minutes} min after the match.`
          : 'Nothing can be fed under pressure.'}
        Until then it can only lose: {printText(level.gap.kg, 'mass', units)}; the tests use {printText(level.tests, 'mass', units)}.
      </p>
    </div>
  </div>
  <details>
    <summary>Working</summary>
    <Working worked={level.fill} />
  </details>
</section>
{#if whole.runs}<RunsOfDay runs={whole.runs} />{/if}

<style>
  section {
    margin-bottom: 12px;
  }
  .two {
    display: grid;
    grid-template-columns: auto minmax(0, 1fr);
    gap: 14px;
    margin: 6px 0;
  }
  .big {
    font-size: 1.75rem;
    line-height: 1.1;
  }
  .small {
    font-size: 0.9375rem;
    margin-top: 4px;
  }
  .water {
    fill: color-mix(in srgb, var(--water) 45%, var(--raised));
  }
  .tube,
  .nut {
    stroke: var(--ink);
    stroke-width: 1.5;
    fill: none;
  }
  .cold {
    stroke: var(--ink);
    stroke-width: 2.5;
  }
  .edge {
    stroke: var(--ink2);
    stroke-dasharray: 3 2;
  }
  text {
    font: 500 0.8125rem var(--narrow);
    fill: var(--ink2);
  }
  .strong {
    fill: var(--ink);
    font-weight: 600;
    font-size: 0.9375rem;
  }
  summary {
    cursor: pointer;
    color: var(--works);
    font-size: 0.9375rem;
  }
</style>
