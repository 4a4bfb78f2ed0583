<script lang="ts">
  // The same as a table: every step at its clock time, its minutes to be changed, its slack.
  import type { DayPlan, Sheet } from '$core/plan';
  import { printMarks, printText } from '$core/units';
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
</script>

<table class="ruled">
  <thead
    ><tr
      ><th>At</th><th>Step</th>{#if many}<th class="who">Who</th>{/if}<th class="r">Min</th><th class="r slack">Slack</th></tr
    ></thead
  >
  <tbody>
    {#each sheet.stations as s, i (s.key)}
      {#if s.phase !== sheet.stations[i - 1]?.phase}<tr class="phase"><th colspan={many ? 5 : 4} scope="rowgroup">{s.phase}</th></tr>{/if}
      <tr class:on={s.key === chosen} class:light={s.start === sheet.light || s.end === sheet.light}>
        <td class="num at"><button class="bare" onclick={() => (chosen = s.key)}>{clock(s.start)}</button></td>
        <td>
          {printMarks(s.what, units)}
          {#if s.chore}<span class="second small">in the wait</span>{/if}
          {#if s.opensAt !== undefined}<span class="second small">opens at {printText(s.opensAt, 'pressure', units)}</span>{/if}
        </td>
        {#if many}<td class="who second">{s.who.split(' ')[0]}</td>{/if}
        <td class="num">
          {#if onminutes && !s.key.startsWith('test-')}
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
        <td class="num slack" class:none={s.slack < minute / 2}>{slack(s.slack)}</td>
      </tr>
    {/each}
  </tbody>
</table>
{#if sheet.noRoom.length}<p class="second small note">
    No room in the waits for: {sheet.noRoom.map((w) => printMarks(w, units)).join('; ')}.
  </p>{/if}

<style>
  .ruled td {
    padding-top: 4px;
    padding-bottom: 4px;
  }
  .phase th {
    padding-top: 12px;
    color: var(--ink);
  }
  .at {
    width: 4rem;
  }
  .r {
    text-align: right;
  }
  .small {
    font-size: 0.875rem;
    margin-left: 6px;
  }
  .note {
    margin: 8px 0 0;
  }
  .on td {
    background: color-mix(in srgb, var(--works) 12%, var(--raised));
  }
  .bare {
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
  @media print {
    input {
      border: 0;
      -moz-appearance: textfield;
      appearance: textfield;
    }
  }
</style>
