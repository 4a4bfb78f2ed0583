<script lang="ts">
  // Release to run: one page, made from what was logged, signed by the keeper before it moves.
  import { fold } from '$core/log';
  import { watching } from '$core/watch';
  import { Footplate } from '$lib/foot/footplate.svelte';
  import ReleaseSheet from '$lib/foot/ReleaseSheet.svelte';
  import TitleBlock from '$lib/sheet/TitleBlock.svelte';
  import { purposeWords } from '$lib/sheet/purpose';
  import { day } from '$lib/sheet/when';
  import { onMount, untrack } from 'svelte';

  let { data } = $props();
  // One page, one steaming: another id is another page.
  const foot = untrack(() => new Footplate({ ...data, watch: watching(fold(data.context, data.entries)), member: data.member! }));
  onMount(() => foot.steaming.open());
  const begun = $derived(data.context.begun);
</script>

<svelte:head><title>{foot.fitOut.name}, release · Joram</title></svelte:head>
<div class="sheet">
  <TitleBlock
    cells={[
      { label: 'Release to run', value: foot.fitOut.name, wide: true },
      { label: 'Class', value: `${foot.fitOut.description} · ${foot.fitOut.scale}`, desk: true },
      { label: 'For', value: purposeWords(begun?.public ?? false, data.purpose, begun?.occasion) },
      { label: 'Day', value: day(data.now), desk: true },
      { label: 'Keeper', value: foot.state.keeper }
    ]}
  />
  <div class="box pad"><ReleaseSheet {foot} /></div>
  <p class="bar no-print">
    <a href="/footplate/{data.id}">Footplate</a>
    <button class="plain right" onclick={() => print()}>Print</button>
  </p>
</div>

<style>
  .box {
    margin-top: 12px;
  }
  .bar {
    display: flex;
    gap: 16px;
    align-items: center;
    margin-top: 12px;
  }
  .right {
    margin-left: auto;
  }
</style>
