<script lang="ts">
  // What the watch said that day, by the log as it is now: for a debrief, and for whoever asks why nobody was told.
  import type { Log } from '$core/log';
  import { printMarks } from '$core/units';
  import { toldBy, watching } from '$core/watch';
  import { unitChoice } from '../sheet/unit-choice';
  import { clock, minutes } from '../sheet/when';

  let { log }: { log: Log } = $props();
  const units = $derived(unitChoice());
  const end = $derived(Date.parse(log.state.endedAt ?? log.entries.at(-1)?.at ?? ''));
  const told = $derived(log.entries.length ? toldBy(watching(log), end) : []);
  /** Each rule once, in the order in which it spoke: when, how often, how long it stood at most, and by whom it was noted. */
  const lines = $derived.by(() => {
    const said = told.flatMap((t, i) => {
      if ((t.is !== 'raised' && t.is !== 'worse') || t.rank === 'note') return [];
      const later = told.slice(i + 1).filter((x) => x.key === t.key);
      const over = later.find((x) => x.is === 'cleared');
      const noted = later.find((x) => x.is === 'noted' && (!over || x.at <= over.at));
      return [{ ...t, stood: (over?.at ?? end) - t.at, noted: noted?.by }];
    });
    return [...new Set(said.map((t) => t.key))].map((key) => {
      const all = said.filter((t) => t.key === key);
      const worst = all.find((t) => t.rank === 'act now') ?? all[0]!;
      return { ...worst, times: all.length, stood: Math.max(...all.map((t) => t.stood)), noted: all.find((t) => t.noted)?.noted };
    });
  });
</script>

<section class="under">
  <h2 class="label">What the watch said</h2>
  {#each lines as line (line.key)}
    <p class="line">
      <span class="figure">{clock(line.at)}</span>
      {line.rank === 'act now' ? '■ ' : ''}{printMarks(line.what, units)}
      <span class="second"
        >({line.times > 1 ? `${line.times} times, at most ` : ''}{minutes(line.stood)}{line.noted ? `; noted by ${line.noted}` : ''})</span
      >
    </p>
  {:else}<p class="second">Nothing was to be looked at, by what was logged.</p>{/each}
</section>

<style>
  section {
    margin-top: 12px;
  }
</style>
