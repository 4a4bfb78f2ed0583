<script lang="ts">
  // The same as a table: every step at its clock time, its minutes to be changed, its slack.
  import type { DayPlan, Sheet } from '$core/plan';
  import { printMarks, printText } from '$core/units';
  import { inParts } from '../sheet/in-parts.svelte';
  import { unitChoice } from '../sheet/unit-choice';
  import { clock } from '../sheet/when';

  let {
    sheet,
    plan,
    chosen = $bindable(),
    onminutes
  }: {
    sheet: Sheet;
    plan: DayPlan;
    chosen?: string | undefined;
    onminutes?: ((key: string, minutes: number | undefined) => void) | undefined;
  } = $props();
  const minute = 60_000;
  const units = $derived(unitChoice());
  const slack = (ms: number) => (ms > 600 * minute ? '–' : ms < minute / 2 ? '0' : String(Math.round(ms / minute)));
  const many = $derived(plan.people.length > 1);
  /** A time by its own clock: as planned, at the latest, or as is to be expected. */
  const byWords = { plan: '', latest: 'latest', expected: 'expected' } as const;
  // A day has about a hundred rows: the first are there at once, and more as they come near to what is looked at.
  const [first, more] = [16, 6];
  const made = inParts(30);
  /** Steps in their order, with the moments that the day turns on between them. */
  const rows = $derived.by(() => {
    const { steam, light, ready } = sheet;
    const moments = [
      { key: ' light', time: light, mark: 'Fire lit', by: 'plan' as const },
      ...(steam.late < Infinity
        ? [
            {
              key: ' steam',
              time: steam.middle,
              by: 'expected' as const,
              mark: `Working pressure, between ${clock(steam.early)} and ${clock(steam.late)} eight times in ten`
            }
          ]
        : []),
      { key: ' ready', time: ready, mark: 'Proven and ready', by: 'latest' as const }
    ];
    const stations = [...sheet.stations, ...sheet.after];
    return [
      ...stations.map((s, i) => ({ key: `${s.key} ${i}`, time: s.start, s })),
      ...moments.map((m) => ({ ...m, at: clock(m.time) }))
    ].sort((a, b) => a.time - b.time || ('mark' in a ? 1 : -1));
  });
  const shown = $derived(made.whole ? rows : rows.slice(0, first + more * made.parts));
</script>

<table class="ruled" aria-busy={shown.length < rows.length}>
  <thead
    ><tr
      ><th>At</th><th>Step</th><th class="ph">Phase</th>{#if many}<th class="who">Who</th>{/if}<th class="r">Min</th><th class="r slack"
        >Slack</th
      ></tr
    ></thead
  >
  <tbody>
    {#each shown as row (row.key)}
      {#if 'mark' in row}
        <tr class="moment"
          ><td class="num at"
            >{row.at}{#if byWords[row.by]}<span class="by">{byWords[row.by]}</span>{/if}</td
          ><td colspan={many ? 5 : 4}>{row.mark}</td></tr
        >
      {:else}
        {@const s = row.s}
        <tr class:on={s.key === chosen}>
          <td class="num at"
            ><button class="bare" onclick={() => (chosen = s.key)}>{clock(s.start)}</button>{#if byWords[s.by]}<span class="by"
                >{byWords[s.by]}</span
              >{/if}</td
          >
          <td>
            {printMarks(s.what, units)}
            {#if s.chore}<span class="second small">in the wait</span>{/if}
            {#if s.opensAt !== undefined}<span class="second small">opens at {printText(s.opensAt, 'pressure', units)}</span>{/if}
          </td>
          <td class="second small ph">{s.phase}</td>
          {#if many}<td class="who second">{s.who.split(' ')[0]}</td>{/if}
          <td class="num">
            {#if onminutes && s.key !== 'running' && !s.key.startsWith('test-')}
              <input
                type="number"
                min="0"
                max="480"
                value={Math.round((s.end - s.start) / minute)}
                class:own={plan.minutes[s.key] !== undefined}
                aria-label="Minutes for: {printMarks(s.what, units)}"
                onchange={(e) =>
                  onminutes(
                    s.key,
                    e.currentTarget.value === '' ? undefined : Math.min(480, Math.max(0, Math.round(Number(e.currentTarget.value) || 0)))
                  )}
              />
            {:else}{Math.round((s.end - s.start) / minute)}{/if}
          </td>
          <td class="num slack" class:none={s.slack < minute / 2}>{s.by === 'expected' ? '' : slack(s.slack)}</td>
        </tr>
      {/if}
    {/each}
  </tbody>
</table>
{#if shown.length < rows.length}<div style:height="{2.8 * (rows.length - shown.length)}rem" {@attach made.place}></div>{/if}

<style>
  .ruled td {
    padding-top: 4px;
    padding-bottom: 4px;
  }
  .moment td {
    font: 600 1rem var(--narrow);
    border-top: 2px solid var(--ink);
    border-bottom: 1px solid var(--ink);
    background: color-mix(in srgb, var(--ink) 6%, var(--raised));
  }
  td.ph {
    margin: 0;
    width: 6.5rem;
  }
  .num.at {
    width: 4.4rem;
    text-align: left;
    white-space: nowrap;
  }
  .r {
    text-align: right;
  }
  .small {
    font-size: 0.875rem;
    margin-left: 6px;
  }
  .on td {
    background: color-mix(in srgb, var(--works) 12%, var(--raised));
  }
  .by {
    display: block;
    font: 500 0.8125rem var(--sans);
    color: var(--ink2);
    line-height: 1;
  }
  .bare {
    min-height: 24px;
    min-width: 24px;
    background: none;
    border: 0;
    padding: 0;
    color: inherit;
    font: inherit;
    cursor: pointer;
  }
  input {
    width: 3.6rem;
    min-height: 32px;
    text-align: right;
    border: 1px solid transparent;
    background: transparent;
    color: var(--ink);
    font: 600 1rem var(--narrow);
  }
  tr:hover input,
  input:focus,
  input.own {
    border-color: var(--ink2);
    background: var(--raised);
  }
  .slack {
    width: 3.5rem;
  }
  .slack.none {
    color: var(--ink2);
  }
  @container page (max-width: 37.5rem) {
    .ph,
    .slack {
      display: none;
    }
    td.who {
      font-size: 0.875rem;
    }
    .who {
      padding-left: 0;
      padding-right: 0;
    }
  }
  @media print {
    .ph,
    .slack {
      display: none;
    }
    .ruled td {
      padding: 1px 4px;
    }
    input {
      border: 0;
      -moz-appearance: textfield;
      appearance: textfield;
    }
  }
</style>
