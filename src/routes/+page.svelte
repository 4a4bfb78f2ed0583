<script lang="ts">
  import { invalidateAll } from '$app/navigation';
  import { onMount, untrack } from 'svelte';
  import { ticking } from '$lib/sheet/clock.svelte';
  import { isBarred, yardOrder } from '$lib/sheet/plate';
  import TitleBlock from '$lib/sheet/TitleBlock.svelte';
  import { day } from '$lib/sheet/when';
  import Plate from '$lib/yard/Plate.svelte';

  let { data } = $props();
  const time = ticking(
    untrack(() => data.now),
    15_000
  );
  const steamOf = $derived(new Map(data.steam.map((s) => [s.engineId, s])));
  const lines = $derived([...data.lines].sort(yardOrder));
  const used = $derived(lines.filter((l) => !l.retired));
  const groups = $derived([
    { name: 'In steam', lines: used.filter((l) => l.running) },
    { name: 'Planned', lines: used.filter((l) => !l.running && l.planned) },
    { name: 'In the shed, by next paper', lines: used.filter((l) => !l.running && !l.planned) }
  ]);
  const barred = $derived(used.filter((l) => isBarred(l, time.now)).length);

  // The board looks again by itself: an engine lit on somebody's phone shows here within the half minute.
  onMount(() => {
    const timer = setInterval(() => document.visibilityState === 'visible' && void invalidateAll(), 30_000);
    return () => clearInterval(timer);
  });
</script>

<svelte:head><title>Yard · Joram</title></svelte:head>
<div class="sheet">
  <TitleBlock
    cells={[
      { label: 'Club', value: data.member?.club ?? '', wide: true },
      { label: 'Day', value: day(time.now), desk: true },
      { label: 'In steam', value: String(groups[0]!.lines.length) },
      { label: 'Planned', value: String(groups[1]!.lines.length), desk: true },
      { label: 'Barred', value: String(barred), abnormal: barred > 0 }
    ]}
  >
    {#snippet action()}
      {#if data.rights.includes('edit engines')}<a class="plain go" href="/engines/new">Add an engine</a>{/if}
    {/snippet}
  </TitleBlock>

  {#if lines.length === 0}
    <div class="box pad stack first">
      <h2 class="heading">No engines yet</h2>
      <p>
        Start with the engine you steam most: choose the nearest of ten patterns and change what differs. Its checklist, its starting level
        and its drawing follow from what it has on it.
      </p>
      {#if data.rights.includes('edit engines')}<p><a class="plain go" href="/engines/new">Add the first engine</a></p>{:else}<p>
          An owner, steward or operator of the club can add one.
        </p>{/if}
    </div>
  {/if}

  {#each groups as group (group.name)}
    {#if group.lines.length}
      <section aria-label={group.name}>
        <h2 class="label">{group.name}</h2>
        <ul class="box">
          {#each group.lines as line (line.id)}
            <li><Plate {line} steam={steamOf.get(line.id)} now={time.now} /></li>
          {/each}
        </ul>
      </section>
    {/if}
  {/each}
  {#if used.length < lines.length}
    <details>
      <summary class="label">Retired, {lines.length - used.length}</summary>
      <p>
        {#each lines.filter((l) => l.retired) as line, i (line.id)}{i ? ', ' : ''}<a href="/engines/{line.id}">{line.name}</a>{/each}
      </p>
    </details>
  {/if}
</div>

<style>
  details {
    margin-top: 14px;
  }
  .first {
    margin-top: 12px;
    max-width: 44rem;
  }
  section {
    margin-top: 14px;
  }
  h2.label {
    margin-bottom: 4px;
  }
  li + li {
    border-top: 1px solid var(--rule);
  }
  @container page (max-width: 50rem) {
    .sheet {
      padding: 8px;
    }
  }
</style>
