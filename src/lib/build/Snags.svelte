<script lang="ts">
  // What is wrong, what leaks, what must come off, what is not to be covered; and what has been done: sessions and worksheets.
  import { type BuildFacts, conditions, type Judged, type Left, occasionOf, type Rig, rigWords } from '$core/commission';
  import { sheetOf, type Verdict, verdicts } from '$core/proof';
  import { printMarks, printText } from '$core/units';
  import { unitChoice } from '../sheet/unit-choice';
  import { day, moment } from '../sheet/when';

  let {
    id,
    faults,
    bad,
    leaking,
    rigs,
    late,
    buries,
    sessions,
    sheets,
    starts
  }: {
    /** Of the engine. */
    id: string;
    bad: readonly Left[];
    leaking: readonly (Judged & { readonly words: string })[];
    rigs: readonly Rig[];
    late: ReadonlySet<Rig>;
    buries: readonly { readonly part: string; readonly place: string; readonly how: string }[];
    starts: readonly { readonly at: Date; readonly pressure: number }[];
  } & Pick<BuildFacts, 'faults' | 'sessions' | 'sheets'> = $props();
  const units = $derived(unitChoice());
  const text = (t: string) => printMarks(t, units);
</script>

<div class="beside">
  <section class="box pad">
    <h2 class="label">Snags</h2>
    {#each faults as fault (fault.text)}<p class="line caution">▲ {fault.text}</p>{/each}
    {#each bad as l (l.item + l.in)}<p class="line caution">▲ {l.item}, {conditions[l.in]}: not good{l.text ? `, ${l.text}` : ''}</p>{/each}
    {#each leaking as s (s.place)}<p class="line" class:act={s.stops} class:caution={!s.stops}>
        {s.stops ? '×' : '▲'}
        {s.place}: {text(s.words)}{s.stops ? '. It means stop' : ''}
      </p>{/each}
    {#each rigs as r (rigWords(r))}<p class="line caution">
        ▲ On, and must come off: {rigWords(r)}, {late.has(r) ? 'was to be off by' : 'by'}
        {moment(r.until)}
      </p>{/each}
    {#if !faults.length && !bad.length && !leaking.length && !rigs.length}<p class="second">None is known.</p>{/if}
    {#if buries.length}
      <h2 class="label">Not to be covered yet</h2>
      {#each buries as b (b.place)}<p class="line">{b.part}: {b.place} {text(b.how)}</p>{/each}
    {/if}
  </section>
  <section class="box pad">
    <h2 class="label">Sessions</h2>
    {#each sessions as s (s.id)}<p class="line">
        <a href="/records/{s.id}">{occasionOf(s.occasion).name}</a>, <span class="figure">{day(s.endedAt)}</span>{s.accumulation
          ? `, accumulation: ${s.accumulation}`
          : ''}
      </p>{:else}<p class="second">None is signed yet. Start one on the engine’s page.</p>{/each}
    <h2 class="label">Worksheets</h2>
    {#each sheets as s (s.id)}<p class="line">
        <a href="/proof/{s.id}">{sheetOf(s.sheet)?.name ?? s.sheet}</a>: {verdicts[s.verdict as Verdict] ?? s.verdict}{s.signedBy
          ? `, signed by ${s.signedBy}`
          : ', not signed'}
      </p>{:else}<p class="second">None. <a href="/proof?engine={id}">Begin one</a></p>{/each}
    {#if starts.length}
      <h2 class="label">Starts by itself at</h2>
      {#each starts as s (s.at)}<p class="line">
          <span class="figure">{printText(s.pressure, 'pressure', units)}</span>, {day(s.at)}
        </p>{/each}
    {/if}
  </section>
</div>

<style>
  section h2:not(:first-child) {
    margin-top: 12px;
  }
  .line {
    margin-top: 4px;
  }
</style>
