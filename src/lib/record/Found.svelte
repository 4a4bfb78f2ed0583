<script lang="ts">
  // What a steaming leaves to be looked at: valves, faults, what is carried over, who signed.
  import { type Carried, forbids, type Log } from '$core/log';
  import { printMarks, printText } from '$core/units';
  import { unitChoice } from '../sheet/unit-choice';
  import { clock } from '../sheet/when';

  let { log, carried }: { log: Log; carried: readonly Carried[] } = $props();
  const units = $derived(unitChoice());
  const text = (t: string) => printMarks(t, units);
  const pressure = (p: number | null) => (p === null ? '–' : printText(p, 'pressure', units));
  const lifts = $derived(log.state.lifts);
</script>

<div class="cols">
  <section>
    <h2 class="label">Safety valves, lifted and reseated</h2>
    {#each lifts as lift, i (i)}<p class="line">
        <span class="figure">{clock(lift.at)}</span> valve {lift.valve}
        {lift.lifted !== undefined ? `lifted at ${pressure(lift.lifted)}` : ''}{lift.reseated !== undefined
          ? `reseated at ${pressure(lift.reseated)}`
          : ''}
      </p>{:else}<p class="second">None was logged.</p>{/each}
  </section>
  <section>
    <h2 class="label">Faults</h2>
    {#each log.state.faults as fault (fault.id)}<p class="line">
        <span class="figure">{clock(fault.at)}</span>
        {fault.text} <span class="second">({forbids[fault.forbids]})</span>
      </p>{:else}<p class="second">None was raised.</p>{/each}
  </section>
  <section>
    <h2 class="label">Carried over to next time</h2>
    {#each carried as c (c.what + c.how)}<p class="line">
        {text(c.what)} <span class="second">({c.how}{c.reason ? `: ${c.reason}` : ''})</span>
      </p>{:else}<p class="second">Nothing.</p>{/each}
  </section>
  <section>
    <h2 class="label">Signed</h2>
    {#each log.state.signatures as sign (sign.at)}<p class="line">
        <span class="figure">{sign.name}</span>, {sign.as}, {clock(sign.at)}{sign.remarks ? `. ${sign.remarks}` : ''}
      </p>{:else}<p class="second">Not signed.</p>{/each}
  </section>
</div>

<style>
  .cols {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 12px 24px;
    margin-top: 12px;
  }
  h2 {
    border-bottom: 1px solid var(--ink);
    padding-bottom: 2px;
    margin-bottom: 4px;
  }
  .line {
    break-inside: avoid;
  }
  @container page (max-width: 43.75rem) {
    .cols {
      grid-template-columns: 1fr;
    }
  }
</style>
