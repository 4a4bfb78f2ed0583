<script lang="ts">
  // When a steaming began, was lit and ended, and how much was done in it.
  import { litAt, type Log, type Summary } from '$core/log';
  import { printText, zoneWords } from '$core/units';
  import { unitChoice } from '../sheet/unit-choice';
  import { clock } from '../sheet/when';

  let { log, summary: s, startedAt, zone }: { log: Log; summary: Summary; startedAt: string; zone: string } = $props();
  const units = $derived(unitChoice());
  const lit = $derived(litAt(log));
  const facts = $derived([
    ['Began', clock(startedAt)],
    ['Lit', lit ? `${clock(lit)}${log.state.runs.length > 1 ? `, ${log.state.runs.length} runs` : ''}` : '–'],
    ['Ended', log.state.endedAt ? clock(log.state.endedAt) : '–'],
    ['Times', zoneWords(startedAt, zone)],
    ['Rounds of fuel', s.rounds ? `${s.rounds}${s.fuel ? `, ${printText(s.fuel, 'mass', units)} of it weighed` : ''}` : '–'],
    ['Readings', String(s.readings)],
    [
      'Steps done, skipped, not done',
      `${Object.values(log.state.steps).filter((t) => t.outcome === 'done').length}, ${s.skipped}, ${s.missed}`
    ],
    ['Faults', String(s.faults)]
  ]);
</script>

<section class="facts">
  {#each facts as [name, value] (name)}<p><span>{name}</span><span class="figure">{value}</span></p>{/each}
</section>

<style>
  .facts {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 0 24px;
    border-top: 2px solid var(--ink);
    margin-top: 8px;
  }
  .facts p {
    display: flex;
    justify-content: space-between;
    gap: 8px;
    border-bottom: 1px solid var(--rule);
    padding: 3px 0;
  }
  @container page (max-width: 43.75rem) {
    .facts {
      grid-template-columns: 1fr;
    }
  }
</style>
