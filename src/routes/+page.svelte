<script lang="ts">
  import { invalidateAll } from '$app/navigation';
  import { onMount, untrack } from 'svelte';
  import { ticking } from '$lib/sheet/clock.svelte';
  import { isBarred, plate, yardOrder } from '$lib/sheet/plate';
  import TitleBlock from '$lib/sheet/TitleBlock.svelte';
  import { unitChoice } from '$lib/sheet/unit-choice';
  import { day } from '$lib/sheet/when';

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
            {@const steam = steamOf.get(line.id)}
            {@const p = plate(line, steam, unitChoice(), time.now)}
            <li>
              <div class="name">
                <h3><a href="/engines/{line.id}">{line.name}</a></h3>
                <p class="second">{line.description}, {line.scale}</p>
              </div>
              <div class="state">
                <p class="figure">{p.state}</p>
                <p class="second">{p.since}</p>
              </div>
              <p class="need {p.tone}">
                {#if p.tone}<span aria-hidden="true">{p.tone === 'act' ? '■ ' : '▲ '}</span>{/if}{p.need}
              </p>
              <div class="do">
                {#if steam}<a class="plain go" href="/footplate/{steam.id}">Footplate</a>
                {:else if line.planned}<a class="plain" href="/day/{line.planned.id}">Day sheet</a>
                {:else}<a class="plain" href="/engines/{line.id}">Open</a>{/if}
              </div>
            </li>
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
  h3 a {
    display: inline-block;
    min-height: 24px;
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
  li {
    display: grid;
    grid-template-columns: minmax(0, 14rem) minmax(0, 19rem) minmax(0, 1fr) 7.5rem;
    gap: 4px 20px;
    align-items: center;
    padding: 7px 8px 7px 16px;
  }
  li + li {
    border-top: 1px solid var(--rule);
  }
  h3 {
    font: 600 1.25rem/1.2 var(--narrow);
    text-transform: uppercase;
    letter-spacing: 0.01em;
  }
  h3 a {
    color: inherit;
    text-decoration: none;
  }
  h3 a:hover {
    text-decoration: underline;
  }
  .second {
    font-size: 0.9375rem;
  }
  .figure {
    white-space: normal;
  }
  .need {
    overflow-wrap: anywhere;
  }
  .need.act,
  .need.caution {
    font-weight: 500;
  }
  .do > :global(a) {
    width: 100%;
  }
  @container page (max-width: 50rem) {
    li {
      grid-template-columns: minmax(0, 1fr) auto;
      padding: 10px 8px 10px 12px;
    }
    .state {
      grid-column: 1;
    }
    .need {
      grid-column: 1;
    }
    .do {
      grid-area: 1 / 2 / 4 / 3;
      align-self: center;
    }
    .sheet {
      padding: 8px;
    }
  }
</style>
