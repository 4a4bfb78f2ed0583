<script lang="ts">
  // What a steaming leaves to be looked at: valves, faults, what is carried over, who signed.
  import { type Carried, feedsProven, forbids, type Log, released } from '$core/log';
  import { type Ask, asks } from '$core/procedure';
  import { dutiesKept } from '$core/watch';
  import { printMarks, printText } from '$core/units';
  import { unitChoice } from '../sheet/unit-choice';
  import { clock, minutes } from '../sheet/when';

  import Accumulations from './Accumulations.svelte';
  import Commissioned from './Commissioned.svelte';
  import WatchSaid from './WatchSaid.svelte';

  let { log, carried }: { log: Log; carried: readonly Carried[] } = $props();
  const units = $derived(unitChoice());
  const text = (t: string) => printMarks(t, units);
  const pressure = (p: number | null) => (p === null ? '–' : printText(p, 'pressure', units));
  const lifts = $derived(log.state.lifts);
  const before = $derived(log.state.before);
  const word = $derived(log.state.steps['fit-to-run']);
  const items = $derived(released(log.context.fitOut, log.state));
  const untested = $derived(items.filter((i) => i.result === 'not tested').map((i) => i.name));
  const failed = $derived(
    items.filter((i) => i.result === 'failed').map((i) => `${i.name.toLowerCase()}${i.how ? `, ${text(i.how)}` : ''}`)
  );
  const feeds = $derived(feedsProven(log.context.fitOut, log.state));
  const duties = $derived(dutiesKept(log));
  const { measured, fire, fed } = $derived(log.state);
  const charged = $derived(log.state.runs.reduce((all, run) => all + (run.charge ?? 0), 0));
  const poured = $derived(log.events.reduce((all, e) => (e.is === 'water' && e.act === 'in' ? all + e.volume : all), 0));
  const used = $derived([
    ...(Object.entries(measured) as [Ask, { value: number; product?: string }][]).map(
      ([what, m]) => [asks[what].label, `${printText(m.value, asks[what].quantity, units)}${m.product ? `, ${m.product}` : ''}`] as const
    ),
    ...(charged ? [['Fuel charged', printText(charged, 'mass', units)] as const] : []),
    ...(poured ? [['Water put in', printText(poured, 'volume', units)] as const] : []),
    ...(fire.fuel ? [['Fuel, of what was weighed', printText(fire.fuel, 'mass', units)] as const] : []),
    ...(fed ? [['Water fed, of what was measured', printText(fed, 'volume', units)] as const] : [])
  ]);
</script>

<Commissioned {log} />
<div class="cols">
  {#if log.context.fitOut.gauge}
    <section>
      <h2 class="label">Safety valves, lifted and reseated</h2>
      {#each lifts as lift, i (i)}<p class="line">
          <span class="figure">{clock(lift.at)}</span> valve {lift.valve}
          {lift.lifted !== undefined ? `lifted at ${pressure(lift.lifted)}` : ''}{lift.reseated !== undefined
            ? `reseated at ${pressure(lift.reseated)}`
            : ''}
        </p>{:else}<p class="second">None was logged.</p>{/each}
    </section>
  {/if}
  <section>
    <h2 class="label">Faults</h2>
    {#each log.state.faults as fault (fault.id)}<p class="line">
        <span class="figure">{clock(fault.at)}</span>
        {fault.text} <span class="second">({forbids[fault.forbids]})</span>
      </p>{:else}<p class="second">None was raised.</p>{/each}
  </section>
  {#if before.length}
    <section>
      <h2 class="label">Faults open when it began</h2>
      {#each before as fault, i (i)}<p class="line">
          {fault.text} <span class="second">({forbids[fault.forbids]}{fault.clearedAt ? `; cleared ${clock(fault.clearedAt)}` : ''})</span>
        </p>{/each}
    </section>
  {/if}
  <section>
    <h2 class="label">Release to run</h2>
    {#if word?.outcome === 'done'}<p class="line">
        Fit to run, <span class="figure">{word.by}</span>, {clock(word.at)}{word.against
          ? '. The log did not bear it out when it was said'
          : ''}
      </p>{:else}<p class="line">Not signed as fit to run.</p>{/if}
    {#if feeds.able.length}<p class="line">Feeds proven: {feeds.proven.length ? feeds.proven.join(', ').toLowerCase() : 'none'}</p>{/if}
    {#if untested.length}<p class="line">Not tested: {untested.join(', ').toLowerCase()}</p>{/if}
    {#if failed.length}<p class="line">Failed: {failed.join('; ')}</p>{/if}
  </section>
  {#if log.state.fire.litAt}
    <section>
      <h2 class="label">Used</h2>
      {#each used as [what, said] (what)}<p class="line">{what}: <span class="figure">{said}</span></p>{:else}<p class="second">
          Nothing was measured.
        </p>{/each}
    </section>
  {/if}
  {#if duties.length}
    <section>
      <h2 class="label">Duties of the run</h2>
      {#each duties as duty (duty.what)}<p class="line">
          {text(duty.what)}: {duty.times}
          {duty.times === 1 ? 'time' : 'times'}{duty.late
            ? `, ${duty.late} late, at most by ${minutes(duty.worst)}`
            : ', none late'}{duty.putOff ? `, put off ${duty.putOff}` : ''}
        </p>{/each}
    </section>
  {/if}
  <section>
    <h2 class="label">Keepers</h2>
    {#each log.state.keepers as keeper, i (i)}<p class="line">
        <span class="figure">{keeper.name}</span>{keeper.at ? ` from ${clock(keeper.at)}` : ', from the start'}
      </p>{/each}
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
<Accumulations {log} />
<WatchSaid {log} />
