<script lang="ts">
  // The sums on their own, by what people ask.
  import { benchIndex } from '$core/sums';
  import TitleBlock from '$lib/sheet/TitleBlock.svelte';

  let { data } = $props();
  const groups = Object.entries(benchIndex);
  const count = groups.reduce((n, [, list]) => n + list.length, 0);
</script>

<svelte:head><title>Bench · Joram</title></svelte:head>
<div class="sheet">
  <TitleBlock
    cells={[
      { label: 'Club', value: data.member?.club ?? '', wide: true },
      { label: 'Sheet', value: 'Bench' },
      { label: 'Sums', value: String(count) }
    ]}
    heading={1}
  />
  <div class="box groups">
    {#each groups as [name, list] (name)}
      <section>
        <h2 class="label">{name}</h2>
        <ul>
          {#each list as s (s.key)}
            <li><a href="/bench/{s.key}">{s.asks}</a><span class="second">{s.name}</span></li>
          {/each}
        </ul>
      </section>
    {/each}
  </div>
  <p class="second note">
    Arithmetic with its working. It says nothing of whether a boiler is safe: the club’s boiler code and the boiler examiner come first.
  </p>
</div>

<style>
  .groups {
    margin-top: -2px;
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(min(24rem, 100%), 1fr));
  }
  section {
    padding: 12px 16px 16px;
    border-bottom: 1px solid var(--rule);
    border-right: 1px solid var(--rule);
  }
  h2 {
    margin-bottom: 4px;
  }
  li {
    display: flex;
    flex-direction: column;
    padding: 7px 0;
    border-top: 1px solid var(--rule);
  }
  a {
    font: 600 1.125rem/1.3 var(--narrow);
    color: var(--ink);
  }
  .second {
    font-size: 0.9375rem;
  }
  .note {
    padding: 10px 16px;
  }
</style>
