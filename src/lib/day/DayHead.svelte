<script lang="ts">
  // The head of a day sheet: its title block, how it is begun, and what stands against that.
  import { goto } from '$app/navigation';
  import type { DayPlan, PlanProblem } from '$core/plan';
  import TitleBlock from '../sheet/TitleBlock.svelte';
  import { bandWords, clock, day, isoDay } from '../sheet/when';
  import type { DaySheet } from './day-sheet.svelte';
  import { planPlace, planSaid } from './plan-said';

  let {
    id,
    engine,
    purpose,
    of,
    now,
    started,
    cancelled,
    may,
    problems
  }: {
    id: string;
    engine: { id: string; name: string };
    purpose: string;
    of: DaySheet;
    now: number;
    started: boolean;
    cancelled: boolean;
    /** Whether it may be begun. */ may: boolean;
    /** What a stored plan no longer fits. */ problems: readonly PlanProblem[];
  } = $props();
  const minute = 60_000;
  const sheet = $derived(of.whole.sheet);
  const wanted = $derived(of.plan.wants[0]!);
  const toLight = $derived(Math.round((sheet.light - now) / minute));
  const away = (m: number) =>
    m < 0 ? `${-m} min ago` : m < 100 ? `in ${m} min` : m < 48 * 60 ? `in ${Math.floor(m / 60)} h ${m % 60} min` : day(sheet.light);
  const cells = $derived([
    { label: 'Engine', value: engine.name, wide: true },
    { label: 'Day', value: day(wanted.at), more: purpose, desk: true },
    { label: 'Light', value: clock(sheet.light), more: started ? '' : away(toLight), abnormal: toLight < 0 && !started && toLight > -720 },
    { label: 'Steam', value: bandWords(sheet.steam, false) },
    {
      label: 'Ready',
      value: clock(sheet.ready),
      more: sheet.late ? `${Math.round(sheet.late / minute)} min late` : `for ${wanted.what}`,
      abnormal: sheet.late > 0
    }
  ]);

  /** A sheet of another day is started only when that is said. */
  let early = $state(false);
  let refused = $state<string>();
  const today = $derived(isoDay(wanted.at) === isoDay(now));
  async function start() {
    refused = undefined;
    if (!today && !early) return void (early = true);
    await of.save();
    // It begins from the sheet that the server has: this one must be it.
    if (of.saving !== 'saved') return void (refused = 'This sheet is not saved: settle what stands against it, then start.');
    const response = await fetch(`/api/engines/${engine.id}/steamings`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ purpose, plan: id })
    }).catch(() => undefined);
    if (!response) return void (refused = 'There is no connection: this needs one. Nothing was changed.');
    const answer = await response.json();
    if (response.ok) await goto(`/footplate/${answer.id}`);
    else refused = `${answer.sentence}${answer.stops?.length ? ` ${answer.stops.join('; ')}.` : ''}`;
  }
</script>

<TitleBlock {cells}>
  {#snippet action()}
    {#if started}<a class="plain go" href="/footplate/{id}">Footplate</a>
    {:else if may}<button class="plain go" onclick={start}>Start steaming</button>{/if}
  {/snippet}
</TitleBlock>
{#each problems as p (p.field + p.sentence)}<p class="strip caution">
    ▲ This sheet was stored before it had to fit: {p.sentence} What is usual stands in its place; change it below, and it is written anew.
  </p>{/each}
{#if of.outdated && of.merged}{@const then = of.outdated}{@const merged =
    of.merged}{#await import('../form/Clashes.svelte') then { default: Clashes }}<Clashes
      by={then.by}
      {merged}
      place={planPlace}
      said={planSaid}
      onsettled={(plan) => of.goOn(plan as DayPlan, then)}
      ontheirs={() => of.goOn(then.theirs, then)}
    />{/await}{:else if of.took}<p class="strip" role="status">
    {of.took.by ?? 'Somebody else'} changed this sheet while you did; both are kept. Theirs: {of.took.what
      .map((t) => `${planPlace(t.path)}: ${planSaid(t.path, t.was)} → ${planSaid(t.path, t.theirs)}`)
      .join('; ')}.
    <button class="quiet" onclick={() => (of.took = undefined)}>Seen</button>
  </p>{/if}
{#if cancelled}<p class="strip">This plan was called off. It is kept to look at.</p>{/if}
{#if early}<p class="strip caution" role="alert">
    ▲ This sheet is for {day(wanted.at)}, not for today. <button class="quiet" onclick={start}>Start it now all the same</button>
    <button class="quiet" onclick={() => (early = false)}>Do not</button>
  </p>{/if}
{#if refused}<p class="strip act" role="alert">{refused} <a href="/engines/{engine.id}">Look at the engine’s page.</a></p>{/if}

<style>
  .strip {
    margin-top: 12px;
  }
</style>
