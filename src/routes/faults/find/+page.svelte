<script lang="ts">
  // What does it do? In the keeper's own words, on one engine: the fault is raised with it, and its page asks on.
  import { enhance } from '$app/forms';
  import TitleBlock from '$lib/sheet/TitleBlock.svelte';

  let { data, form } = $props();
</script>

<svelte:head><title>Find a fault · Joram</title></svelte:head>
<div class="sheet">
  <TitleBlock
    cells={[
      { label: 'Sheet', value: 'Find a fault', wide: true },
      { label: 'Engine', value: data.engine?.name ?? 'none' }
    ]}
  >
    {#snippet action()}<a class="plain" href="/faults">All faults</a>{/snippet}
  </TitleBlock>
  <form method="GET" class="box pad ask" data-sveltekit-keepfocus data-sveltekit-replacestate>
    <label
      >Engine<select class="field" name="engine"
        >{#each data.engines as e (e.id)}<option value={e.id} selected={e.id === data.engine?.id}>{e.name}</option>{/each}</select
      ></label
    >
    <label class="say"
      >What does it do?<input
        class="field"
        name="say"
        value={data.say}
        maxlength="200"
        placeholder="will not pick up, glass stands still, knocks"
      /></label
    >
    <button class="plain go">Look it up</button>
  </form>
  <section class="box pad found">
    {#if form && 'problem' in form}<p class="problem" role="alert">{form.problem}</p>{/if}
    <form method="POST" action="?/found" use:enhance>
      <input type="hidden" name="engine" value={data.engine?.id ?? ''} />
      <ul>
        {#each data.symptoms as s (s.key)}
          <li>
            <button class="plain" name="symptom" value={s.key}>{s.name}</button>
            <p class="second">
              {s.also}{#if s.floor}<br /><span class="caution">▲ {s.floor} until it is mended</span>{/if}
            </p>
          </li>
        {:else}<li class="second">
            Nothing in the book is said so for this engine. Say it otherwise, or <a href="/faults">raise it in your own words</a>.
          </li>{/each}
      </ul>
    </form>
    <p class="second">Choosing one writes the fault into the club’s book, and its page asks what to look at next.</p>
  </section>
</div>

<style>
  .ask {
    display: flex;
    flex-wrap: wrap;
    gap: 8px 16px;
    align-items: end;
    margin-top: 12px;
  }
  .ask label {
    display: grid;
    gap: 4px;
  }
  .say {
    flex: 1 1 18rem;
  }
  .found {
    margin-top: 12px;
  }
  ul {
    margin: 0 0 12px;
    padding: 0;
    list-style: none;
    columns: 2 24rem;
    column-gap: 32px;
  }
  li {
    break-inside: avoid;
    border-top: 1px solid var(--rule);
    padding: 8px 0;
    font-size: 0.9375rem;
    line-height: 1.35;
  }
  li button {
    margin-bottom: 4px;
  }
</style>
