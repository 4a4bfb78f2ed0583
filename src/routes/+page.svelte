<script lang="ts">
  import { invalidateAll } from '$app/navigation';
  import { onMount, untrack } from 'svelte';
  import { ticking } from '$lib/sheet/clock.svelte';
  import { isBarred, yardOrder } from '$lib/sheet/plate';
  import TitleBlock from '$lib/sheet/TitleBlock.svelte';
  import { clock, day } from '$lib/sheet/when';
  import BegunHere from '$lib/yard/BegunHere.svelte';
  import Plate from '$lib/yard/Plate.svelte';
  import Twice from '$lib/yard/Twice.svelte';

  let { data } = $props();
  const time = ticking(
    untrack(() => data.now),
    15_000
  );
  const steamOf = $derived(new Map(data.steam.map((s) => [s.id, s])));
  const known = $derived(new Set(data.steam.map((s) => s.id)));
  /** It looks again every half minute: what is older was kept here. */
  const old = $derived(time.now - data.now > 90_000);
  const lines = $derived([...data.lines].sort(yardOrder));
  const used = $derived(lines.filter((l) => !l.retired));
  /** One engine may have been begun twice: a plate for each. */
  const inSteam = (line: (typeof data.lines)[number]) => {
    const ids = data.steam.filter((s) => s.engineId === line.id).map((s) => s.id);
    return ids.length > 1 ? ids.map((id) => ({ ...line, running: { ...line.running!, id } })) : [line];
  };
  const groups = $derived([
    { name: 'In steam', lines: used.filter((l) => l.running).flatMap(inSteam) },
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

  <div class="said stack">
    {#if old}<p class="strip">▲ No connection: this is how the Yard was at {clock(data.now)}.</p>{/if}
    <BegunHere {known} />
    <Twice twice={data.twice} may={data.rights.includes('override')} />
  </div>

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
          {#each group.lines as line (line.running?.id ?? line.id)}
            <li><Plate {line} steam={line.running ? steamOf.get(line.running.id) : undefined} now={time.now} /></li>
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
  .said:not(:empty) {
    margin-top: 12px;
  }
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
