<script lang="ts">
  // What was done, by whom: owners read it, nobody changes it.
  import Pages from '$lib/sheet/Pages.svelte';
  import TitleBlock from '$lib/sheet/TitleBlock.svelte';
  import { clock, day } from '$lib/sheet/when';

  let { data } = $props();
</script>

<svelte:head><title>What was done · Joram</title></svelte:head>
<div class="sheet">
  <TitleBlock
    cells={[
      { label: 'Club', value: data.member?.club ?? '', wide: true },
      { label: 'What was done', value: data.total === 1 ? '1 line' : `${data.total} lines` }
    ]}
  >
    {#snippet action()}<a class="plain go" href="/audit/audit.csv" download>CSV</a>{/snippet}
  </TitleBlock>
  {#if data.broughtIn}<p class="strip">
      This club was brought in here as an archive on {day(data.broughtIn)} at {clock(data.broughtIn)}; what is older was done elsewhere.
    </p>{/if}
  <section class="box pad first">
    <table class="ruled">
      <thead><tr><th>When</th><th>Who</th><th>What</th></tr></thead>
      <tbody>
        {#each data.lines as line (line.id)}
          <tr><td class="figure when">{day(line.at)} {clock(line.at)}</td><td>{line.by}</td><td>{line.said}</td></tr>
        {:else}
          <tr><td colspan="3" class="second">Nothing yet.</td></tr>
        {/each}
      </tbody>
    </table>
    <Pages page={data.page} size={data.size} total={data.total} />
  </section>
</div>

<style>
  .strip,
  .first {
    margin-top: 12px;
  }
  .when {
    white-space: nowrap;
  }
</style>
