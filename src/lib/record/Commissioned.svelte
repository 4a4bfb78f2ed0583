<script lang="ts">
  // What a session of commissioning leaves to be looked at: the walks, the matrix and what is left of it, rigs, pictures.
  import { conditions, judgedWords, judgeSweep, leaks, leftWords, rigWords, walksOf, walkWords } from '$core/commission';
  import { isCommissioned, type Log, leftToTouch, registerIn } from '$core/log';
  import { printMarks } from '$core/units';
  import Photo from '../photo/Photo.svelte';
  import { unitChoice } from '../sheet/unit-choice';
  import { clock, moment } from '../sheet/when';

  let { log }: { log: Log } = $props();
  const text = (t: string) => printMarks(t, unitChoice());
  const f = $derived(log.context.fitOut);
  const began = $derived(log.state.began ?? '');
  const today = $derived(log.state.swept.filter((s) => s.when >= began));
  const walks = $derived(walksOf(f).filter((p) => today.some((s) => s.at === p && s.is !== 'disturbed')));
  const register = $derived(registerIn(log));
  const wet = $derived(judgeSweep(register, log.state.swept).filter((j) => j.trend !== 'dry'));
  const touched = $derived(Object.values(log.state.cells).filter((c) => c.at >= began));
  const left = $derived(isCommissioned(log) ? leftToTouch(log) : []);
  const rigs = $derived(Object.values(log.state.rigs));
</script>

{#if today.length || touched.length || left.length || rigs.length || log.state.photos.length}
  <div class="cols">
    {#if today.length}
      <section>
        <h2 class="label">Leak sweep</h2>
        {#each walks as p (p)}
          {@const of = today.filter((s) => s.at === p && s.is !== 'disturbed')}
          <p class="line">
            {text(walkWords(p, f.workingPressure))}: <span class="figure">{new Set(of.map((s) => s.place)).size} of {register.length}</span>
            places looked at{of.some((s) => s.is !== 'dry')
              ? `; ${of
                  .filter((s) => s.is !== 'dry')
                  .map((s) => `${s.place.toLowerCase()} ${s.is === 'disturbed' ? '' : leaks[s.is]}`)
                  .join(', ')}`
              : ', all dry'}
          </p>
        {/each}
        {#each wet as j (j.place)}<p class="line">
            {j.place}: {text(judgedWords(j, f.workingPressure))}{j.stops ? '. It means stop' : ''}
          </p>{/each}
        {#each today.filter((s) => s.is === 'disturbed') as s, i (i)}<p class="line">Taken apart: {s.place}, {clock(s.when)}</p>{/each}
      </section>
    {/if}
    {#if touched.length || left.length}
      <section>
        <h2 class="label">Matrix</h2>
        {#each touched as c (c.item + c.in)}<p class="line">
            <span class="figure">{clock(c.at)}</span>
            {c.item}, {conditions[c.in]}: {c.result}{c.text ? `, ${c.text}` : ''}{c.since ? `. Since: ${c.since}` : ''}
          </p>{/each}
        {#if left.length}<p class="line">Not tested or not good: {leftWords(left)}</p>{/if}
      </section>
    {/if}
    {#if rigs.length}
      <section>
        <h2 class="label">Still on, and must come off</h2>
        {#each rigs as r (rigWords(r))}<p class="line">{rigWords(r)}, by {moment(r.until)}</p>{/each}
      </section>
    {/if}
    {#if log.state.photos.length}
      <section>
        <h2 class="label">Photos</h2>
        {#each log.state.photos as p (p.id)}<Photo sum={p.sum} what="{p.what}, {clock(p.at)}, {p.by}" />{/each}
      </section>
    {/if}
  </div>
{/if}
