<script lang="ts">
  // A day on which several engines are wanted: bays and people as lanes, each engine's countdown on its own line.
  import { enhance } from '$app/forms';
  import { goto } from '$app/navigation';
  import Lanes from '$lib/day/Lanes.svelte';
  import Wanted from '$lib/day/Wanted.svelte';
  import DayField from '$lib/form/DayField.svelte';
  import TitleBlock from '$lib/sheet/TitleBlock.svelte';
  import { clock, dayWords, moment, withTimes } from '$lib/sheet/when';

  let { data, form } = $props();
  const placed = $derived(data.placed);
  const problems = $derived(placed.flatMap((p) => p.problems.map((text) => ({ id: p.id, engine: p.name, text }))));
</script>

<svelte:head><title>Day sheets · Joram</title></svelte:head>
<div class="sheet">
  <TitleBlock
    cells={[
      { label: 'Day', value: dayWords(data.on), wide: true },
      { label: 'Engines wanted', value: String(data.plans.length) },
      { label: 'First light', value: placed.length ? clock(Math.min(...placed.map((p) => p.sheet.light))) : '–' },
      { label: 'Steaming bays', value: String(data.bays), desk: true },
      { label: 'To settle', value: String(problems.length), abnormal: problems.length > 0 }
    ]}
  >
    {#snippet action()}<div class="pick">
        <DayField label="Another day" value={data.on} onchange={(on) => void goto(`/day?on=${on}`)} />
      </div>{/snippet}
  </TitleBlock>

  {#if !data.plans.length}
    <section class="box pad above">
      <p>Nothing is planned for this day. Plan a steaming on an engine’s page.</p>
    </section>
  {:else if placed.length}
    {#each problems as p (p.id + p.text)}<p class="strip act above">■ <strong>{p.engine}:</strong> {withTimes(p.text)}</p>{/each}
    <section class="box pad above" aria-label="The day as lines">
      <h2 class="label">Engines in the order they are wanted, with their bays; then people</h2>
      <div class="scroll">
        <Lanes {placed} planOf={new Map(data.plans.map((p) => [p.id, p.plan]))} />
      </div>
    </section>
  {/if}

  {#if data.plans.length}
    <section class="box pad above">
      <Wanted plans={data.plans} {placed} />
      {#if data.maySetBays}
        <form class="row bays" method="POST" action="?/bays" use:enhance>
          <label>Steaming bays <input class="field" type="number" name="bays" min="1" max="60" value={data.bays} /></label>
          <button class="quiet">Set it</button>
          {#if form && 'problem' in form}<span class="problem" role="alert">{form.problem}</span>{/if}
        </form>
      {/if}
    </section>
  {/if}

  {#if data.coming.length}
    <section class="box pad above">
      <h2 class="label">In the next thirty days</h2>
      <table class="ruled">
        <tbody>
          {#each data.coming as c (c.id)}
            <tr
              ><td><a href="/day/{c.id}">{c.engine}</a></td><td>{c.purpose || '–'}</td><td class="num">{moment(c.wantedAt)}</td><td
                class="num second">{c.planned ? `light ${clock(c.planned.light)}` : ''}</td
              ></tr
            >
          {/each}
        </tbody>
      </table>
    </section>
  {/if}
</div>

<style>
  .above {
    margin-top: 12px;
  }
  .bays {
    margin-top: 10px;
  }
  .bays .field {
    width: 4.5rem;
    min-height: 36px;
  }
  @container page (max-width: 50rem) {
    .sheet {
      padding: 8px;
    }
  }
</style>
