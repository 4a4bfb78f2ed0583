<script lang="ts">
  // How this engine steams: what its past raisings show, each against what was to be expected, and how raise time has moved.
  import type { FitOut } from '$core/engine';
  import type { Learned, Learning, Told } from '$core/learn';
  import { onMount, untrack } from 'svelte';
  import { momentAt } from '$core/units';
  import { merge } from '$core/form';
  import { sendChange } from '../form/change';
  import DayField from '../form/DayField.svelte';
  import { clubZone } from '../sheet/club';
  import { unitChoice } from '../sheet/unit-choice';
  import { workedText } from '../sheet/worked-text';
  import { day } from '../sheet/when';
  import { ask } from '../ask';
  import Lifts from './Lifts.svelte';
  import Raisings from './Raisings.svelte';
  import RaiseTimes from './RaiseTimes.svelte';

  let {
    engineId,
    fitOut,
    told,
    learning: said,
    version,
    may
  }: {
    engineId: string;
    fitOut: FitOut;
    told: readonly (Told & { startedAt: Date; purpose: string })[];
    learning: Learning;
    /** Of what was said of its past. */ version: number;
    may: boolean;
  } = $props();

  let learning = $state.raw(untrack(() => said));
  /** What the server has. */
  let from = untrack(() => ({ learning: said, version }));
  let learned = $state.raw<Learned>();
  let share = $state(0);
  let problem = $state<string>();
  let chapter = $state({ open: false, why: '', at: '' });
  let pointed = $state<string>();
  const units = $derived(unitChoice());

  async function again() {
    share = 0;
    try {
      // What goes to the worker is plain data.
      const plain = told.map(({ id, past, fit }) => ({ id, past, ...(fit ? { fit } : {}) }));
      learned = await ask('learn', { fitOut, told: plain, learning }, (x) => (share = x));
      share = 1;
    } catch (error) {
      problem = (error as Error).message;
    }
  }
  onMount(() => void again());
  let sending: Promise<void> = Promise.resolve();
  /** It counts here at once. What is said after it waits for its answer, which gives the version that is changed next. */
  function save(next: Learning): Promise<void> {
    learning = next;
    void again();
    return (sending = sending.then(() => send(next)));
  }
  async function send(next: Learning): Promise<void> {
    const sent = await sendChange<Learning>(`/api/engines/${engineId}/learning`, from.version, next);
    if (sent !== 'no connection' && 'saved' in sent) {
      from = { learning: next, version: sent.saved.version };
      return void (problem = undefined);
    }
    if (sent !== 'no connection' && 'outdated' in sent) {
      // Leaving a steaming out and beginning a chapter are additions: both sides' are kept, and the page says so.
      const { theirs, version, by } = sent.outdated;
      const both = merge(from.learning, theirs, next);
      from = { learning: theirs, version };
      if (!both.clashes.length) {
        learning = both.document as Learning;
        void again();
        await send(learning);
        return void (problem ??= `${by ?? 'Somebody'} changed this meanwhile: what you both said is kept.`);
      }
      problem = `${by ?? 'Somebody'} changed this meanwhile: it stands as they left it. Say yours again.`;
    } else problem = sent === 'no connection' ? 'No network: it was not saved.' : sent.refused.sentence;
    learning = from.learning;
    void again();
  }
  const leave = (id: string) =>
    save({ ...learning, leftOut: learning.leftOut.includes(id) ? learning.leftOut.filter((x) => x !== id) : [...learning.leftOut, id] });
  function begin() {
    if (!chapter.at || !chapter.why.trim()) return;
    const at = Date.parse(momentAt(chapter.at, 0, clubZone()));
    void save({ ...learning, chapters: [...learning.chapters, { at, why: chapter.why.trim() }] });
    chapter = { open: false, why: '', at: '' };
  }
  const minutes = (s: number) => (s < Infinity ? Math.round(s / 60) : '–');
  const of = $derived(new Map(told.map((t) => [t.id, t])));
  const percent = (x: number) => `${Math.round(x * 100)} %`;
</script>

<section class="box pad steams" aria-label="How this engine steams">
  <div class="row between">
    <h2 class="label">How this engine steams</h2>
    {#if learned && learned.score.of > 0}<p class="small second">
        {learned.score.held} of {learned.score.of} forecasts made at the match held; eight in ten is what the band is meant for.
      </p>{/if}
  </div>
  {#if problem}<p class="problem" role="alert">{problem}</p>{/if}
  {#if !told.length}
    <p class="second">
      Nothing yet. After a steaming in which the match and a few pressures were logged, its raising stands here, and the day sheet rests on
      it.
    </p>
  {:else if !learned}
    <p class="second" aria-live="polite">Reading {told.length} past raisings: {percent(share)}</p>
  {:else}
    <div class="charts">
      <figure>
        <figcaption class="label">Past raisings, from the match</figcaption>
        <Raisings {fitOut} {told} {learned} bind:pointed />
      </figure>
      <figure>
        <figcaption class="label">Raise time, with what was expected</figcaption>
        <RaiseTimes {learned} bind:pointed />
      </figure>
      {#if told.some((t) => t.past.lifts?.length)}
        <figure>
          <figcaption class="label">Where the safety valves lift</figcaption>
          <Lifts {fitOut} {told} bind:pointed />
        </figure>
      {/if}
    </div>
    <div class="scroll">
      <table class="ruled shown">
        <thead
          ><tr
            ><th>What they show{learned.chapters.length > 1 ? `, ${learned.chapters.at(-1)!.why}` : ''}</th><th class="r">This engine</th
            ><th class="r">Eight times in ten</th><th class="r">Its class</th><th class="r">Learnt</th><th>How</th></tr
          ></thead
        >
        <tbody>
          {#each learned.figures as f (f.key)}
            <tr>
              <td>{f.name}</td>
              <td class="num">{workedText(f.value, f.kind, units)}</td>
              <td class="num second"
                >{f.high > f.low ? `${workedText(f.low, f.kind, units)} to ${workedText(f.high, f.kind, units)}` : '–'}</td
              >
              <td class="num second">{workedText(f.usual, f.kind, units)}</td>
              <td class="num second">{percent(f.learnt)}</td>
              <td class="second small">{f.how}</td>
            </tr>
          {/each}
        </tbody>
      </table>
      <p class="second small">
        From {learned.from.length} raising{learned.from.length === 1 ? '' : 's'}. A needle tells heat against capacity; the metal stays as
        drawn unless a slug of known cold feed is tried.
      </p>
    </div>
    <div class="scroll">
      <table class="ruled each">
        <thead
          ><tr
            ><th>Raising</th><th>For</th><th class="r">Expected, min</th><th class="r">Took</th><th></th><th class="r">Heat</th>{#if may}<th
              ></th>{/if}</tr
          ></thead
        >
        <tbody>
          {#each [...learned.raisings].reverse().slice(0, 12) as r, i (r.id)}
            {@const next = [...learned.raisings].reverse()[i - 1]}
            {#if next && next.chapter !== r.chapter}<tr class="chapter"
                ><td colspan="7">{day(learned.chapters[next.chapter]!.from)}: {learned.chapters[next.chapter]!.why}</td></tr
              >{/if}
            <tr
              class:out={r.leftOut || r.unreadable}
              class:on={pointed === r.id}
              onpointerenter={() => (pointed = r.id)}
              onpointerleave={() => (pointed = undefined)}
            >
              <td><a href="/records/{r.id}">{day(r.litAt)}</a></td>
              <td>{of.get(r.id)?.purpose || '–'}</td>
              <td class="num"
                >{minutes(r.expected.middle)} <span class="second">({minutes(r.expected.early)}–{minutes(r.expected.late)})</span></td
              >
              <td class="num">{r.reached === undefined ? '–' : minutes(r.reached)}</td>
              <td class:second={r.held !== false}
                >{r.reached === undefined ? 'not logged' : r.held ? 'held' : '▲ outside'}{#if r.unreadable}<br /><span class="second"
                    >not learned from: {r.unreadable}</span
                  >{/if}</td
              >
              <td class="num">{workedText(Math.exp(r.fit.lnMean.value), 'power', units)}</td>
              {#if may}<td class="num"
                  ><button class="quiet" onclick={() => leave(r.id)}>{r.leftOut ? 'count it again' : 'leave it out'}</button></td
                >{/if}
            </tr>
          {/each}
        </tbody>
      </table>
    </div>
    {#if may}
      {#if chapter.open}
        <form class="row" onsubmit={(e) => (e.preventDefault(), begin())}>
          <DayField label="From" value={chapter.at} onchange={(at) => (chapter.at = at)} />
          <label
            >because of <input
              class="field"
              required
              maxlength="120"
              placeholder="new burner, new blast nozzle"
              bind:value={chapter.why}
            /></label
          >
          <button class="plain">Begin a chapter</button>
        </form>
      {:else}<p class="small">
          <button class="quiet" onclick={() => (chapter.open = true)}>Something changed: begin a new chapter</button>
          <span class="second">A sweep after neglect, another fuel or another burner begin one by themselves.</span>
        </p>{/if}
    {/if}
  {/if}
</section>

<style>
  .steams {
    margin-top: 12px;
  }
  .charts {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(320px, 1fr));
    gap: 20px;
    margin-top: 8px;
  }
  .small {
    font-size: 0.9375rem;
  }
  .shown td {
    padding-top: 5px;
    padding-bottom: 5px;
  }
  figure {
    min-width: 0;
  }
  .r {
    text-align: right;
  }
  .scroll {
    overflow-x: auto;
    margin-top: 10px;
  }
  .each td {
    padding-top: 4px;
    padding-bottom: 4px;
  }
  .each td:nth-child(-n + 2) {
    white-space: nowrap;
  }
  .out td {
    color: var(--ink2);
    text-decoration: line-through;
    text-decoration-color: var(--rule);
  }
  .out td:last-child {
    text-decoration: none;
  }
  .on td {
    background: color-mix(in srgb, var(--works) 10%, var(--raised));
  }
  .chapter td {
    font: 600 0.9375rem var(--narrow);
    border-top: 2px solid var(--ink);
    padding-top: 6px;
  }
  form {
    margin-top: 8px;
  }
  @container page (max-width: 56.25rem) {
    .charts {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
