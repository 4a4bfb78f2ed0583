<script lang="ts">
  import { enhance } from '$app/forms';
  import { forbids } from '$core/log';
  import Asked from '$lib/fault/Asked.svelte';
  import Board from '$lib/fault/Board.svelte';
  import Changes from '$lib/fault/Changes.svelte';
  import Elsewhere from '$lib/fault/Elsewhere.svelte';
  import Mending from '$lib/fault/Mending.svelte';
  import NextCheck from '$lib/fault/NextCheck.svelte';
  import Seen from '$lib/fault/Seen.svelte';
  import Where from '$lib/fault/Where.svelte';
  import { goWith } from '$lib/sheet/go-with';
  import TitleBlock from '$lib/sheet/TitleBlock.svelte';
  import { day } from '$lib/sheet/when';

  let { data, form } = $props();
  const { fault, page } = $derived(data);
  const said = $derived(form && 'problem' in form ? { at: form.at, field: form.field, problem: form.problem } : null);
  const problem = (at: string) => (said?.at === at ? said.problem : undefined);
  const feeds = $derived(data.feeds);
  const told = $derived(fault.place !== null || data.photos.length > 0);
  const nows = [
    ['cold', 'It is cold'],
    ['in steam', 'It is in steam']
  ] as const;
  const standWords = $derived(
    page.stands === 'open' ? `open: ${forbids[fault.forbids]}` : page.stands === 'mended' ? 'mended' : `mended, ${page.stands}`
  );
</script>

<svelte:head><title>{fault.text} · {fault.engine} · Joram</title></svelte:head>
<div class="sheet">
  <TitleBlock
    cells={[
      { label: 'Fault', value: fault.text, wide: true },
      { label: 'Engine', value: fault.engine, href: `/engines/${fault.engineId}` },
      {
        label: 'Stands',
        value: standWords,
        abnormal: page.stands === 'to be cleared' || (page.stands === 'open' && fault.forbids === 'steaming')
      },
      { label: 'Raised', value: day(fault.raisedAt), more: fault.raisedBy }
    ]}
  >
    {#snippet action()}{#if data.running}<a class="plain" href="/footplate/{data.running}">Footplate</a>{/if}<a class="plain" href="/faults"
        >All faults</a
      >{/snippet}
  </TitleBlock>

  {#if !page.symptom && page.stands === 'open'}
    <div class="first"><Asked symptoms={page.symptoms} every={page.every} problem={problem('asked')} /></div>
  {/if}

  <div class="beside">
    <div class="stack">
      {#if told}{@render where()}{/if}
      {#if page.symptom && page.stands === 'open'}
        <section class="box pad">
          <div class="row between">
            <h2 class="label">Look at next</h2>
            <div class="row" role="group" aria-label="How the engine is">
              {#each nows as [key, word] (key)}<button
                  class="quiet"
                  class:on={data.now === key}
                  aria-pressed={data.now === key}
                  onclick={() => goWith({ now: key })}>{word}</button
                >{/each}
            </div>
          </div>
          {#each page.ahead as check, i (check.key)}<NextCheck {check} first={i === 0} problem={i === 0 ? problem('shown') : undefined} />
          {:else}<p>No check is left that would tell more. What stands likeliest is mended first, one change, then a try.</p>{/each}
        </section>
      {/if}
      {#if page.symptom}
        <section class="box pad">
          <h2 class="label">What was seen</h2>
          <Seen seen={page.seen} open={page.stands === 'open'} problem={problem('struck')} />
        </section>
      {/if}
      <section class="box pad">
        <h2 class="label">Changed, one thing at a time</h2>
        <Changes {page} form={said} />
      </section>
      {#if !told}{@render where()}{/if}
    </div>
    <div class="stack">
      {#if page.symptom}
        <section class="box pad">
          <h2 class="label">{page.symptom.says}{page.feed ? `: ${page.feed}` : ''}</h2>
          {#if page.symptom.of && feeds.length > 1 && page.stands === 'open'}
            <form method="POST" action="?/asked" class="row" use:enhance>
              <input type="hidden" name="symptom" value={page.symptom.key} />
              <span class="second">Which one?</span>
              {#each feeds as f (f.name)}<button class="quiet" class:on={page.feed === f.name} name="feed" value={f.name}>{f.name}</button
                >{/each}
            </form>
          {/if}
          <Board standing={page.standing} excluded={page.excluded} />
        </section>
      {/if}
      <section class="box pad">
        <h2 class="label">Mended</h2>
        {#if data.old}<p>
            {data.old.fix ?? 'How was not written down.'} <span class="second">{data.old.by}, {day(data.old.at)}</span>
          </p>{/if}
        <Mending {page} rights={data.rights} barred={fault.forbids === 'steaming'} form={said} />
      </section>
      <Elsewhere before={data.before} twins={data.twins} />
    </div>
  </div>
</div>

{#snippet where()}<Where
    {fault}
    places={data.places}
    photos={data.photos}
    asItWas={data.asItWas}
    wp={data.wp}
    open={page.stands === 'open'}
    problem={problem('placed') ?? problem('photo')}
  />{/snippet}

<style>
  .first {
    margin-top: 12px;
  }
  .on {
    font-weight: 700;
    text-decoration-thickness: 3px;
  }
</style>
