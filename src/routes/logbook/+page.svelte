<script lang="ts">
  import { printText } from '$core/units';
  import DayField from '$lib/form/DayField.svelte';
  import Pages from '$lib/sheet/Pages.svelte';
  import TitleBlock from '$lib/sheet/TitleBlock.svelte';
  import { unitChoice } from '$lib/sheet/unit-choice';
  import { clock, day, span } from '$lib/sheet/when';
  import { Button, Modal, Select, SelectItem, TextInput } from 'carbon-components-svelte';

  let { data, form } = $props();
  const units = $derived(unitChoice());
  let importing = $state(false);
  $effect(() => {
    if (form?.problems) importing = true;
  });
  const filtered = $derived(Boolean(data.wanted.engine || data.wanted.keeper || data.wanted.from || data.wanted.to));
</script>

<svelte:head><title>Logbook · Joram</title></svelte:head>
<div class="sheet">
  <TitleBlock
    cells={[
      { label: 'Club', value: data.member?.club ?? '', wide: true },
      { label: 'Sheet', value: 'Logbook' },
      { label: 'Records', value: String(data.total), more: filtered ? 'as filtered' : '' }
    ]}
  >
    {#snippet action()}{#if data.rights.includes('import')}<button class="plain go" onclick={() => (importing = true)}
          >Bring in a record</button
        >{/if}{/snippet}
  </TitleBlock>

  <form class="box pad filter" method="GET">
    <Select labelText="Engine" name="engine" selected={data.wanted.engine ?? ''}>
      <SelectItem value="" text="All engines" />
      {#each data.engines as e (e.id)}<SelectItem value={e.id} text={e.name} />{/each}
    </Select>
    <TextInput labelText="Keeper" name="keeper" value={data.wanted.keeper ?? ''} placeholder="Part of a name" />
    {#each [['from', 'From'], ['to', 'To']] as const as [name, label] (name)}
      <DayField
        {label}
        {name}
        optional
        value={data.wanted[name] ?? ''}
        problem={data.problem?.field === name ? data.problem.sentence : undefined}
      />
    {/each}
    <div class="apply">
      <Button type="submit">Show</Button>{#if filtered}<a href="/logbook">All</a>{/if}
    </div>
    {#if data.problem && !['from', 'to'].includes(data.problem.field)}<p class="problem">{data.problem.sentence}</p>{/if}
  </form>

  <div class="box scroll">
    <table class="ruled">
      <thead
        ><tr
          ><th>Day</th><th>Engine</th><th>For</th><th>Keeper</th><th class="r">Began</th><th class="r">Raise</th><th class="r">In steam</th
          ><th class="r">Highest</th><th class="r">Faults</th><th class="r">Skipped</th></tr
        ></thead
      >
      <tbody>
        {#each data.lines as line (line.id)}
          <tr>
            <td><a href={line.endedAt ? `/records/${line.id}` : `/footplate/${line.id}`}>{day(line.startedAt)}</a></td>
            <td class="figure">{line.engine}</td>
            <td
              >{line.purpose || '–'}{#if line.override}<span class="act"> ■ override</span>{/if}</td
            >
            <td>{line.keeper}</td>
            <td class="num">{clock(line.startedAt)}</td>
            {#if line.endedAt}
              <td class="num">{line.summary?.raise ? span(line.summary.raise) : '–'}</td>
              <td class="num">{line.summary?.inSteam ? span(line.summary.inSteam) : '–'}</td>
              <td class="num">{line.summary?.highest ? printText(line.summary.highest, 'pressure', units) : '–'}</td>
              <td class="num">{line.summary?.faults || '–'}</td>
              <td class="num">{line.summary?.skipped || '–'}</td>
            {:else}<td class="num" colspan="5">in steam now</td>{/if}
          </tr>
        {:else}
          <tr
            ><td colspan="10" class="none"
              >{filtered ? 'No record fits. Widen the days or show all.' : 'No records yet. A steaming becomes one when it is signed.'}</td
            ></tr
          >
        {/each}
      </tbody>
    </table>
    <Pages total={data.total} size={data.size} page={data.wanted.page ?? 1} />
  </div>
</div>

<Modal bind:open={importing} passiveModal modalHeading="Bring in a record">
  <form method="POST" action="?/import" enctype="multipart/form-data" class="stack">
    <p>A record that Joram exported as JSON, from this club or another. It joins the engine of that name, or makes one.</p>
    <label for="record-file">Record, JSON</label>
    <input id="record-file" type="file" name="record" accept=".json,application/json" required />
    {#if form?.problems}
      <ul class="strip act" role="alert">
        {#each form.problems.slice(0, 8) as p (p.path + p.sentence)}<li>{p.sentence}</li>{/each}
      </ul>
      <p class="second">Nothing was changed.</p>
    {/if}
    <Button type="submit">Bring it in</Button>
  </form>
</Modal>

<style>
  .filter {
    display: grid;
    grid-template-columns: 1.2fr 1.4fr 1fr 1fr auto;
    gap: 12px;
    align-items: start;
    margin-top: 12px;
  }
  .apply {
    display: flex;
    gap: 12px;
    align-items: center;
    padding-top: 22px;
  }
  .scroll {
    margin-top: 12px;
    overflow-x: auto;
  }
  .r {
    text-align: right;
  }
  .none {
    padding: 24px 8px;
  }
  @container page (max-width: 50rem) {
    .filter {
      grid-template-columns: 1fr 1fr;
    }
    .apply {
      padding-top: 0;
    }
  }
</style>
