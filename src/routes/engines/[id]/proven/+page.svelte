<script lang="ts">
  // What is proven of an engine today: each proof as it was made last, what it no longer speaks of, when it is due; printed, its evidence in full.
  import { sheetOf, verdicts } from '$core/proof';
  import Done from '$lib/proof/Done.svelte';
  import Evidence from '$lib/proof/Evidence.svelte';
  import { toneOf } from '$lib/proof/tone';
  import Water from '$lib/proof/Water.svelte';
  import TitleBlock from '$lib/sheet/TitleBlock.svelte';
  import { dayWords, until } from '$lib/sheet/when';

  let { data, form } = $props();
  const f = $derived(data.engine.fitOut);
  const open = $derived(data.proven.filter((p) => p.again.length || p.due?.past).length);
  const can = (right: (typeof data.rights)[number]) => data.rights.includes(right);
</script>

<svelte:head><title>{data.engine.name}, what is proven · Joram</title></svelte:head>
<div class="sheet">
  <TitleBlock
    cells={[
      { label: 'What is proven', value: data.engine.name, href: `/engines/${data.engine.id}`, wide: true },
      { label: 'Class', value: `${f.description} · ${f.scale}`, desk: true },
      { label: 'Rules', value: data.rules.name, href: '/proof/rules', desk: true },
      { label: 'To be made again', value: String(open), abnormal: open > 0 }
    ]}
  >
    {#snippet action()}<button class="plain" onclick={() => print()}>Print</button>{/snippet}
  </TitleBlock>
  <div class="beside above" style="--left: 1.6fr">
    <section class="box pad scroll">
      <table class="ruled">
        <thead><tr><th>Proof</th><th>By the arithmetic</th><th>Made and signed</th></tr></thead>
        <tbody>
          {#each data.proven as p (p.key)}
            <tr>
              <td
                >{#if p.last}<a href={p.last.href}>{p.name}</a>{:else}{p.name}{/if}
                {#if sheetOf(p.key)}<a class="make no-print" href="/proof/new/{p.key}?engine={data.engine.id}">make it</a>{:else}<span
                    class="make no-print">on the Footplate</span
                  >{/if}</td
              >
              <td
                >{#if p.last}<span class={toneOf(p.last.verdict).class}>{toneOf(p.last.verdict).sign}{verdicts[p.last.verdict]}</span
                  >{:else}<span class="second">not made</span>{/if}
                {#each p.again as d (d.id)}<p class="caution">▲ to be made again since {dayWords(d.day)}</p>{/each}
                {#if p.due}<p class={p.due.past ? 'act' : 'second'}>
                    {p.due.past ? '■ stood until' : 'stands until'}
                    {dayWords(p.due.day)}
                  </p>{/if}</td
              >
              <td
                >{#if p.last}<span class="figure">{dayWords(p.last.day)}</span> <span class="second">{p.last.by}</span>
                  {#if sheetOf(p.key)}<p class="second">
                      {p.last.signedBy ? `signed by the examiner, ${p.last.signedBy}` : 'not signed'}
                    </p>{/if}{/if}</td
              >
            </tr>
          {/each}
        </tbody>
      </table>
    </section>
    <div class="stack">
      <Done done={data.done} can={can('edit engines') ? data.works : []} may={can('keep papers')} {form} />
      <Water engine={data.engine.id} ledger={data.ledger} treated={f.water.treatment !== 'none'} />
      <section class="box pad">
        <h2 class="label">Papers</h2>
        {#each data.papers as p (p.id)}<p>
            {p.kind} <span class="second">{p.number}</span> <span class="figure">{dayWords(p.expires)}</span>
            <span class="second">{until(p.expires, data.now)}</span>
          </p>{:else}<p class="act">No papers are recorded.</p>{/each}
      </section>
    </div>
  </div>
  <Evidence proven={data.proven} rules={data.rules} now={data.now} />
</div>

<style>
  .above {
    margin-top: 12px;
  }
  .make {
    margin-left: 8px;
    white-space: nowrap;
    font-size: 0.875rem;
    color: var(--ink2);
  }
  /* On a narrow phone each proof is a block of its own. */
  @media (max-width: 480px) {
    thead {
      display: none;
    }
    tr {
      display: block;
      border-top: 1px solid var(--rule);
      padding: 8px 0;
    }
    td {
      display: block;
      border: 0;
      padding: 1px 0;
    }
  }
</style>
