<script lang="ts">
  import { verdicts } from '$core/proof';
  import { toneOf } from '$lib/proof/tone';
  import { goWith } from '$lib/sheet/go-with';
  import TitleBlock from '$lib/sheet/TitleBlock.svelte';
  import { day, daysLeft, dayWords, dueSoon, until } from '$lib/sheet/when';

  let { data } = $props();
</script>

<svelte:head><title>Proof · Joram</title></svelte:head>
<div class="sheet">
  <TitleBlock
    cells={[
      { label: 'Sheet', value: 'Proof', wide: true },
      { label: 'Engine', value: data.engine?.name ?? 'all' },
      { label: 'Rules', value: data.rules.name, href: '/proof/rules' }
    ]}
  />
  {#if data.rules.version === 0}<p class="strip">
      ▲ The club has not written down its rules: worksheets are judged by an example that is nobody’s rule. <a href="/proof/rules"
        >Write them down, with where they come from.</a
      >
    </p>{/if}
  <div class="box pad row choose">
    <label
      >Engine
      <select class="field" onchange={(e) => goWith({ engine: e.currentTarget.value })}
        ><option value="">all engines</option>{#each data.engines as e (e.id)}<option value={e.id} selected={e.id === data.engine?.id}
            >{e.name}</option
          >{/each}</select
      ></label
    >
    {#if data.engine}
      <a href="/engines/{data.engine.id}/proven">What is proven of it</a>
      {#each data.sheets.filter((s) => s.able) as s (s.key)}<a class="plain" href="/proof/new/{s.key}?engine={data.engine.id}">{s.name}</a
        >{/each}
    {:else}<span class="second">Choose an engine to begin a worksheet.</span>{/if}
  </div>
  <section class="box pad due">
    <div class="row between">
      <h2 class="label">Runs out next</h2>
      <a href="/proof/due.ics" download>Take all of it into a calendar</a>
    </div>
    <table class="ruled">
      <tbody>
        {#each data.due as d (d.id)}
          <tr class:act={d.past} class:caution={!d.past && daysLeft(d.day, data.now) <= dueSoon}>
            <td class="figure">{d.engine}</td><td>{d.what}</td>
            <td class="num">{dayWords(d.day)} <span class="second">{until(d.day, data.now)}</span></td>
          </tr>
        {:else}<tr><td class="second">Nothing is written down that runs out.</td></tr>{/each}
      </tbody>
    </table>
  </section>
  <div class="box scroll">
    <table class="ruled">
      <thead><tr><th>Engine</th><th>Worksheet</th><th>By the arithmetic</th><th>Made</th><th>Signed</th></tr></thead>
      <tbody>
        {#each data.lines as l (l.id)}
          <tr>
            <td class="figure">{l.engine}</td>
            <td><a href="/proof/{l.id}">{l.name}</a></td>
            <td class={toneOf(l.verdict).class}>{verdicts[l.verdict]}</td>
            <td><span class="figure">{day(l.at)}</span> <span class="second">{l.by}</span></td>
            <td
              >{#if l.signedBy}{l.signedBy}{:else}<span class="second">not signed</span>{/if}</td
            >
          </tr>
        {:else}<tr><td colspan="5" class="second">No worksheet yet.</td></tr>{/each}
      </tbody>
    </table>
    {#if data.lines.length === 100}<p class="second pad">The newest hundred. Choose an engine for its own.</p>{/if}
  </div>
</div>

<style>
  .strip,
  .choose,
  .due,
  .scroll {
    margin-top: 12px;
  }
  .choose label {
    display: flex;
    gap: 8px;
    align-items: center;
  }
</style>
