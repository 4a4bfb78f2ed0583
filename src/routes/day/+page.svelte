<script lang="ts">
  // A day on which several engines are wanted: bays and people as lanes, each engine's countdown on its own line.
  import { enhance } from '$app/forms';
  import { goto } from '$app/navigation';
  import { timeScale } from '$lib/day/scale';
  import DayField from '$lib/form/DayField.svelte';
  import TitleBlock from '$lib/sheet/TitleBlock.svelte';
  import { bandWords, clock, dayWords, moment, withTimes } from '$lib/sheet/when';

  let { data, form } = $props();
  const minute = 60_000;
  let width = $state(1200);
  const placed = $derived(data.placed);
  const planOf = $derived(new Map(data.plans.map((p) => [p.id, p])));
  const left = 150;
  const scale = $derived(
    timeScale(
      Math.min(...placed.map((p) => p.sheet.begin)) - 10 * minute,
      Math.max(...placed.map((p) => Math.max(p.sheet.ready, Date.parse(p.sheet.want.at)))) + 30 * minute,
      left,
      width - 16,
      64
    )
  );
  const x = $derived(scale.x);
  const people = $derived([...new Set(placed.flatMap((p) => p.sheet.stations.map((s) => s.who)))]);
  const tall = 34;
  const rows = $derived(placed.length + people.length);
  const height = $derived(20 + rows * tall + 44);
  const peopleY = $derived(20 + placed.length * tall + 18);
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
        <div class="canvas plot" bind:clientWidth={width}>
          <svg
            {width}
            {height}
            role="img"
            aria-label="{placed.length} engines from {clock(scale.from)} to {clock(scale.to)}; the table below says the same"
          >
            {#each scale.marks as mark (mark)}
              <path class="mark" d="M{x(mark)} 14V{height - 22}" /><text x={x(mark)} y={height - 6} text-anchor="middle">{clock(mark)}</text
              >
            {/each}
            {#each placed as p, i (p.id)}
              {@const y = 20 + i * tall + 17}
              {@const s = p.sheet}
              <text class="name" x="0" y={y + 1}>{p.name}</text>
              <text x="0" y={y + 14}>{p.bay ? `bay ${p.bay}` : 'no bay'}</text>
              <rect
                class="raise"
                x={x(s.light)}
                y={y - 9}
                width={Math.max(0, x(Math.min(scale.to, s.steam.middle)) - x(s.light))}
                height="18"
              />
              <rect
                class="due"
                x={x(Math.min(scale.to, s.steam.early))}
                y={y - 9}
                width={Math.max(1, x(Math.min(scale.to, s.steam.late)) - x(Math.min(scale.to, s.steam.early)))}
                height="18"
              />
              <path
                class="line"
                d="M{x(s.begin)} {y}H{x(s.ready)}M{x(s.begin)} {y - 7}v14M{x(s.light)} {y - 9}v18M{x(s.ready)} {y - 7}v14"
              />
              {#each planOf.get(p.id)?.plan.wants ?? [] as w (w.at)}{@const at = Date.parse(w.at)}{#if at < scale.to}<path
                    class="want"
                    d="M{x(at)} {y - 12}l-5 -7h10zM{x(at)} {y - 12}v22"
                  />{/if}{/each}
            {/each}
            <path class="rule" d="M0 {peopleY - 8}H{width}" />
            {#each people as who, i (who)}
              {@const y = peopleY + i * tall}
              <text class="name" x="0" y={y + 18}>{who}</text>
              <path class="lane" d="M{left} {y + 26}H{width - 16}" />
              {#each placed as p (p.id)}
                {#each p.sheet.stations.filter((s) => s.who === who) as s (s.key)}
                  <rect class="task" x={x(s.start)} y={y + 5} width={Math.max(2, x(s.end) - x(s.start) - 1)} height="18"
                    ><title>{p.name}</title></rect
                  >
                {/each}
              {/each}
              {#each placed as p (p.id)}
                {@const mine = p.sheet.stations.filter((s) => s.who === who)}
                {#if mine.length > 2}<text class="small" x={x(mine[0]!.start) + 3} y={y + 3}>{p.name}</text>{/if}
              {/each}
            {/each}
          </svg>
        </div>
      </div>
    </section>
  {/if}

  {#if data.plans.length}
    <section class="box pad above">
      <div class="scroll">
        <table class="ruled">
          <thead
            ><tr
              ><th>Engine</th><th>For</th><th>Keeper</th><th class="r">Bay</th><th class="r">Begin</th><th class="r">Light</th><th class="r"
                >Steam</th
              ><th class="r">Wanted</th><th></th></tr
            ></thead
          >
          <tbody>
            {#each data.plans as plan (plan.id)}
              {@const p = placed.find((q) => q.id === plan.id)}
              <tr>
                <td><a href={plan.startedAt ? `/footplate/${plan.id}` : `/day/${plan.id}`}>{plan.engine}</a></td>
                <td>{plan.purpose || '–'}</td>
                <td>{plan.plan.people.find((q) => q.as === 'keeper')?.name ?? plan.keeper}</td>
                {#if p}
                  <td class="num">{p.bay ?? '–'}</td><td class="num">{clock(p.sheet.begin)}</td><td class="num">{clock(p.sheet.light)}</td>
                  <td class="num">{bandWords(p.sheet.steam, false)}</td>
                {:else}<td colspan="4" class="second">begun {moment(plan.startedAt!)}</td>{/if}
                <td class="num">{plan.plan.wants.map((w) => clock(w.at)).join(', ')}</td>
                <td class:act={p?.sheet.late}>{p ? (p.sheet.late ? `■ ${Math.round(p.sheet.late / minute)} min late` : 'in time') : ''}</td>
              </tr>
            {/each}
          </tbody>
        </table>
      </div>
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
  .scroll {
    overflow-x: auto;
  }
  .canvas {
    min-width: 640px;
  }
  .rule {
    stroke: var(--ink);
  }
  .want {
    stroke: var(--ink);
    fill: var(--ink);
  }
  text.name {
    font-weight: 600;
    font-size: 0.9375rem;
    fill: var(--ink);
  }
  .r {
    text-align: right;
  }
  .bays {
    margin-top: 10px;
  }
  .bays .field {
    width: 4.5rem;
    min-height: 36px;
  }
  .pick .field {
    min-height: 32px;
  }
  @container page (max-width: 50rem) {
    .sheet {
      padding: 8px;
    }
  }
</style>
