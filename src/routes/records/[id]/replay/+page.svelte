<script lang="ts">
  // A steaming once more, minute by minute: for debriefs, for arguments, for learners. Nothing can be logged here.
  import { isTimed } from '$core/sums';
  import { printMarks } from '$core/units';
  import Trend from '$lib/draw/Trend.svelte';
  import Ahead from '$lib/foot/Ahead.svelte';
  import Coach from '$lib/foot/Coach.svelte';
  import LogList from '$lib/foot/LogList.svelte';
  import Readings from '$lib/foot/Readings.svelte';
  import { Replay } from '$lib/record/replay.svelte';
  import TimeBar from '$lib/record/TimeBar.svelte';
  import { unitChoice } from '$lib/sheet/unit-choice';
  import { age, clock, day } from '$lib/sheet/when';
  import { untrack } from 'svelte';

  let { data } = $props();
  const replay = untrack(() => new Replay(data));
  const { fitOut } = replay.context;
  const units = $derived(unitChoice());
  const text = (t: string) => printMarks(t, units);
  const { state: then } = $derived(replay.log);
  $effect(() => void replay.believe(Math.floor(replay.at / 15_000) * 15_000));
  const shown = $derived(replay.alarms.filter((a) => a.rank !== 'note'));
</script>

<svelte:head><title>{fitOut.name}, {day(replay.begins)}, once more · Joram</title></svelte:head>

<div class="page">
  <nav class="bar">
    <a href="/records/{data.id}">The record</a>
    <a href="/engines/{data.engineId}">{fitOut.name}</a>
    <h1>{fitOut.name}, {day(replay.begins)}: once more</h1>
  </nav>

  <TimeBar {replay} />

  <section class="said" aria-label="What the watch said">
    {#each shown as alarm (alarm.key)}
      <p class="strip" class:act={alarm.rank === 'act now'}>
        <strong>{alarm.rank === 'act now' ? '■ Act now. ' : '▲ '}{text(alarm.what)}.</strong>
        {text(alarm.first)}
        <span class="second"
          >read {age(alarm.since, replay.at)}, said at {clock(alarm.said)}{alarm.ack ? `, noted by ${alarm.ack.by}` : ''}</span
        >
      </p>
    {:else}<p class="second">The watch said nothing.</p>{/each}
  </section>

  <div class="grid">
    <section>
      <p class="label">{then.phase}, now</p>
      <h2>{replay.due.now ? text(replay.due.now.step.what) : 'Nothing was due'}</h2>
      {#each replay.due.next.slice(0, 4) as placed (placed.step.key)}<p class="line">{text(placed.step.what)}</p>{/each}
    </section>
    {#if fitOut.gauge || fitOut.glasses.length}
      <section class="read" inert>
        <Readings {fitOut} state={then} now={replay.at} marks={[]} past onglass={() => {}} onpressure={() => {}} />
      </section>
      <section>
        <p class="label">Pressure, {units.pressure}, with what was believed then</p>
        <div class="trend"><Trend log={replay.log} now={replay.at} footing={replay.footing} /></div>
        {#if replay.footing}<Ahead footing={replay.footing} now={replay.at} timed={isTimed(fitOut)} />{/if}
        <Coach watch={replay.watch} now={replay.at} />
      </section>
    {/if}
    <section class="log"><LogList log={replay.log} me="" /></section>
  </div>
</div>

<style>
  .page {
    max-width: 1600px;
    margin: 0 auto;
    padding: 10px 16px 24px;
    display: grid;
    gap: 10px;
  }
  .bar {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px 20px;
  }
  h1 {
    font: 600 1.25rem/1.2 var(--narrow);
  }
  h2 {
    font: 600 1.375rem/1.25 var(--narrow);
  }
  .said {
    display: grid;
    gap: 6px;
  }
  .grid {
    display: grid;
    grid-template-columns: 280px max-content minmax(240px, 1fr) 300px;
    border: 1px solid var(--rule);
    background: var(--raised);
  }
  .grid > section {
    padding: 12px;
    border-left: 1px solid var(--rule);
    min-width: 0;
  }
  .grid > .log {
    max-height: 620px;
    overflow: auto;
  }
  .trend {
    height: 340px;
  }
  @container page (max-width: 62.5rem) {
    .grid {
      grid-template-columns: minmax(0, 1fr);
    }
    .grid > section {
      border-left: 0;
      border-top: 1px solid var(--rule);
    }
  }
</style>
