<script lang="ts">
  // What the day asks: when steam is wanted, when it must be over, who is there from when, water and weather, tests due.
  import type { DayPlan } from '$core/plan';
  import { duties, type Duty, usualDuty } from '$core/sums/duties';
  import { dayAfter, isoDayIn, minutesIn, momentAt } from '$core/units';
  import { Select, SelectItem, TextInput } from 'carbon-components-svelte';
  import DayField from '../form/DayField.svelte';
  import TimeField from '../form/TimeField.svelte';
  import { typed, typedNumber, without } from '../form/typed';
  import { inParts } from '../sheet/in-parts.svelte';
  import { clubZone } from '../sheet/club';
  import WeatherAndTests from './WeatherAndTests.svelte';

  let {
    plan,
    names,
    timed = false,
    problem,
    onchange
  }: {
    plan: DayPlan;
    names: readonly string[];
    /** It runs as long as its water and its charge do: nobody says how long. */
    timed?: boolean;
    problem?: { field: string; sentence: string } | undefined;
    onchange: (part: Partial<DayPlan>) => void;
  } = $props();
  const made = inParts(3);
  const zone = $derived(clubZone());
  const day = $derived(isoDayIn(plan.wants[0]!.at, zone));
  const minutesOf = (iso: string | null | undefined) => (iso ? minutesIn(iso, zone) : undefined);
  /** A clock time on the plan's day. */
  const on = (minutes: number) => momentAt(day, minutes, zone);
  const onOr = (minutes: number | undefined) => (minutes === undefined ? null : on(minutes));
  /** The whole day moves; every clock time of it stays. */
  function moveDay(to: string) {
    const days = Math.round((Date.parse(to) - Date.parse(day)) / 86_400_000);
    const shift = <T extends string | null | undefined>(iso: T) =>
      iso ? momentAt(dayAfter(isoDayIn(iso, zone), days), minutesIn(iso, zone), zone) : iso;
    onchange({
      wants: plan.wants.map((w) => ({ ...w, at: shift(w.at) as string })),
      end: shift(plan.end),
      people: plan.people.map((p) => ({ ...p, from: shift(p.from), ...(p.until ? { until: shift(p.until) } : {}) }))
    });
  }
  /** What ends before steam is last wanted ends after midnight. */
  function over(minutes: number | undefined) {
    const end = onOr(minutes);
    const last = Math.max(...plan.wants.map((w) => Date.parse(w.at)));
    onchange({ end: end && minutes !== undefined && minutes < 360 && Date.parse(end) <= last ? on(minutes + 1440) : end });
  }
  const want = (i: number, part: Partial<DayPlan['wants'][number]>) =>
    onchange({ wants: plan.wants.map((w, j) => (i === j ? { ...w, ...part } : w)) });
  const person = (i: number, part: Partial<DayPlan['people'][number]>) =>
    onchange({ people: plan.people.map((p, j) => (i === j ? { ...p, ...part } : p)) });
  const id = $props.id();
  /** What is wrong in a part of the form, where it has no field of its own to stand at. */
  const wrong = (...fields: string[]) =>
    problem && fields.some((f) => problem.field === f || problem.field.startsWith(`${f}.`)) ? problem.sentence : undefined;
</script>

<div class="form" {@attach made.place}>
  {#if made.parts > 0}<fieldset>
      <legend class="label">Wanted in steam</legend>
      <DayField label="Day" value={day} onchange={moveDay} />
      {#each plan.wants as w, i (i)}
        <div class="line">
          <TimeField label="At" hideLabel minutes={minutesOf(w.at)} onchange={(m) => m !== undefined && want(i, { at: on(m) })} />
          <TextInput
            size="sm"
            hideLabel
            labelText="What for"
            value={w.what}
            maxlength={60}
            on:change={(e) => typed(e) && want(i, { what: typed(e) })}
          />
          {#if plan.wants.length > 1}<button
              class="quiet"
              aria-label="Remove {w.what}"
              onclick={() => onchange({ wants: without(plan.wants, i) })}>✕</button
            >{/if}
        </div>
      {/each}
      {#if wrong('wants')}<p class="problem" role="alert">{wrong('wants')}</p>{/if}
      <button
        class="quiet"
        onclick={() =>
          onchange({
            wants: [
              ...plan.wants,
              {
                what: plan.wants.length === 1 ? 'last train' : 'demonstration',
                at: new Date(Date.parse(plan.wants.at(-1)!.at) + 3.6e6).toISOString()
              }
            ]
          })}>Add a want</button
      >
      <div class="line how">
        <TimeField label="All over by" optional minutes={minutesOf(plan.end)} onchange={over} />
        {#if !timed}
          <TextInput
            size="sm"
            labelText="Running, min"
            type="number"
            min="0"
            max="1440"
            value={String(plan.running)}
            on:change={(e) => onchange({ running: typedNumber(e) || 0 })}
          />
          <Select
            size="sm"
            labelText="Work"
            selected={plan.duty ?? usualDuty}
            on:change={(e) => onchange({ duty: (e.target as HTMLSelectElement).value as Duty })}
          >
            {#each Object.keys(duties) as duty (duty)}<SelectItem value={duty} text={duty} />{/each}
          </Select>
        {/if}
      </div>
      {#if timed}<p class="second small">Each time it is wanted is one run, as long as its water and its charge allow.</p>{/if}
      {#if wrong('end', 'running')}<p class="problem" role="alert">{wrong('end', 'running')}</p>{/if}
    </fieldset>{/if}

  {#if made.parts > 1}<fieldset>
      <legend class="label">People</legend>
      <div class="line people head second small" aria-hidden="true">
        <span>Name</span><span>As</span><span>There from</span><span>until</span>
      </div>
      {#each plan.people as p, i (i)}
        <div class="line people">
          <input
            class="field"
            list="{id}-names"
            aria-label="Name"
            value={p.name}
            maxlength="120"
            aria-invalid={problem?.field === `people.${i}.name`}
            onchange={(e) => e.currentTarget.value.trim() && person(i, { name: e.currentTarget.value.trim() })}
          />
          <Select
            size="sm"
            hideLabel
            labelText="As"
            selected={p.as}
            on:update={({ detail }) => detail !== p.as && person(i, { as: detail })}
          >
            <SelectItem value="keeper" text="keeper" /><SelectItem value="helper" text="helper" /><SelectItem
              value="trainee"
              text="trainee"
            />
          </Select>
          <TimeField label="There from" hideLabel optional minutes={minutesOf(p.from)} onchange={(m) => person(i, { from: onOr(m) })} />
          <TimeField label="There until" hideLabel optional minutes={minutesOf(p.until)} onchange={(m) => person(i, { until: onOr(m) })} />
          {#if plan.people.length > 1}<button
              class="quiet"
              aria-label="Remove {p.name}"
              onclick={() => onchange({ people: without(plan.people, i) })}>✕</button
            >{/if}
        </div>
      {/each}
      <datalist id="{id}-names"
        >{#each names as name (name)}<option value={name}></option>{/each}</datalist
      >
      {#if wrong('people', 'plan')}<p class="problem" role="alert">{wrong('people', 'plan')}</p>{/if}
      <button
        class="quiet"
        onclick={() =>
          onchange({
            people: [
              ...plan.people,
              {
                name: names.find((n) => plan.people.every((p) => p.name !== n)) ?? `Helper ${plan.people.length}`,
                as: 'helper',
                from: null
              }
            ]
          })}>Add somebody</button
      >
      <p class="second small">
        Without a time, there from the start and to the end. Times by the club’s clock, {zone.replaceAll('_', ' ')}.
      </p>
    </fieldset>{/if}

  {#if made.parts > 2}<div class="wide"><WeatherAndTests {plan} {wrong} {onchange} /></div>{/if}
</div>

<style>
  .form {
    display: grid;
    grid-template-columns: minmax(0, 5fr) minmax(0, 7fr);
    gap: 16px 28px;
  }
  legend {
    margin-bottom: 6px;
  }
  .line {
    display: grid;
    grid-template-columns: 6.5rem minmax(0, 1fr) auto;
    gap: 8px;
    margin-top: 6px;
    align-items: end;
  }
  .line.how {
    grid-template-columns: 6.5rem minmax(0, 1fr) 8.5rem;
  }
  .line.people {
    grid-template-columns: minmax(0, 1fr) 5.6rem 5rem 5rem auto;
  }
  .head {
    margin: 0;
  }
  .small {
    font-size: 0.875rem;
  }
  .wide {
    grid-column: 1 / -1;
  }
  .quiet {
    min-height: 32px;
  }
  .field {
    width: 100%;
  }
  .form :global(.bx--select-input.bx--select-input),
  .form :global(.bx--text-input) {
    height: 40px;
    max-height: none;
    padding-left: 8px;
  }
  .form :global(.bx--select-input) {
    padding-right: 1.6rem;
  }
  .form .field {
    min-height: 40px;
  }
  .form :global(input) {
    font-family: var(--sans);
  }
  .form :global(.bx--select),
  .form :global(.bx--form-item) {
    margin: 0;
    min-width: 0;
  }
  @container page (max-width: 56.25rem) {
    .form {
      grid-template-columns: minmax(0, 1fr);
    }
  }
  /* On a phone a person's times go under the name. */
  @container page (max-width: 30rem) {
    .line {
      grid-template-columns: minmax(0, 2fr) minmax(0, 3fr) auto;
    }
    .line.how {
      grid-template-columns: 1fr 1fr;
    }
    .line.how :global(.bx--select) {
      grid-column: 1 / -1;
    }
    .line.people {
      grid-template-columns: 1fr 1fr auto;
    }
    .line.people .field {
      grid-column: 1 / 3;
      grid-row: 1;
    }
    .line.people :global(.bx--select) {
      grid-column: 1 / -1;
    }
    .head {
      display: none;
    }
  }
</style>
