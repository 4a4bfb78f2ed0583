<script lang="ts">
  import { page } from '$app/state';
  import { benchSum } from '$core/sums';
  import BenchSum from '$lib/bench/BenchSum.svelte';
  import TitleBlock from '$lib/sheet/TitleBlock.svelte';
  import { untrack } from 'svelte';

  let { data, form } = $props();
  const sum = $derived(benchSum(data.key)!);
</script>

<svelte:head><title>{sum.name} · Bench · Joram</title></svelte:head>
<div class="sheet">
  <TitleBlock
    cells={[
      { label: 'Asked', value: sum.asks ?? sum.name, wide: true },
      { label: 'Sheet', value: 'Bench', href: '/bench' },
      { label: 'For', value: data.fitOut.name }
    ]}
  />
  {#key `${data.key} ${data.engine}`}
    <BenchSum
      {sum}
      fitOut={data.fitOut}
      engine={data.engine}
      engines={data.engines}
      query={untrack(() => page.url.searchParams)}
      may={data.rights.includes('edit engines')}
      {form}
    />
  {/key}
</div>
