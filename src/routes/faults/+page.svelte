<script lang="ts">
  import { enhance } from '$app/forms';
  import { forbids } from '$core/log';
  import { goWith } from '$lib/sheet/go-with';
  import Pages from '$lib/sheet/Pages.svelte';
  import TitleBlock from '$lib/sheet/TitleBlock.svelte';
  import { day } from '$lib/sheet/when';
  import { Button, Modal, Select, SelectItem, TextArea } from 'carbon-components-svelte';

  let { data, form } = $props();
  let raising = $state(false);
  $effect(() => {
    if (form && 'done' in form) raising = false;
  });
  const shows = [
    ['open', 'Open'],
    ['fixed', 'Fixed'],
    ['all', 'All']
  ] as const;

  const go = (change: Record<string, string>) => goWith({ page: '1', ...change });
</script>

<svelte:head><title>Faults · Joram</title></svelte:head>
<div class="sheet">
  <TitleBlock
    cells={[
      { label: 'Club', value: data.member?.club ?? '', wide: true },
      { label: 'Sheet', value: 'Faults' },
      { label: data.wanted.show === 'all' ? 'Faults' : data.wanted.show === 'open' ? 'Open' : 'Fixed', value: String(data.total) }
    ]}
  >
    {#snippet action()}<a class="plain" href="/faults/find{data.wanted.engine ? `?engine=${data.wanted.engine}` : ''}">Find a fault</a
      ><button class="plain go" onclick={() => (raising = true)}>Raise a fault</button>{/snippet}
  </TitleBlock>

  <div class="box pad filter">
    <div class="row" role="group" aria-label="Show">
      {#each shows as [key, word] (key)}<button
          class="plain"
          class:on={data.wanted.show === key}
          aria-pressed={data.wanted.show === key}
          onclick={() => go({ show: key })}>{word}</button
        >{/each}
    </div>
    <Select
      labelText="Engine"
      hideLabel
      selected={data.wanted.engine ?? ''}
      on:change={(e) => go({ engine: (e.target as HTMLSelectElement).value })}
    >
      <SelectItem value="" text="All engines" />
      {#each data.engines as e (e.id)}<SelectItem value={e.id} text={e.name} />{/each}
    </Select>
  </div>

  <div class="box scroll">
    <table class="ruled">
      <thead><tr><th>Engine</th><th>What is wrong</th><th>Until it is fixed</th><th>Raised</th><th>Fixed</th></tr></thead>
      <tbody>
        {#each data.lines as line (line.id)}
          <tr>
            <td class="figure"><a href="/engines/{line.engineId}">{line.engine}</a></td>
            <td
              ><a href="/faults/{line.id}">{line.text}</a>{#if line.steamingId}<br /><a
                  class="second small"
                  href="/records/{line.steamingId}">found in steam</a
                >{/if}</td
            >
            <td class:act={!line.fixedAt && line.forbids === 'steaming'} class:caution={!line.fixedAt && line.forbids === 'passengers'}
              >{#if !line.fixedAt && line.forbids !== 'nothing'}<span aria-hidden="true">{line.forbids === 'steaming' ? '■ ' : '▲ '}</span
                >{/if}{forbids[line.forbids]}</td
            >
            <td><span class="figure">{day(line.raisedAt)}</span><br /><span class="second small">{line.raisedBy}</span></td>
            <td>
              {#if line.fixedAt}<span class="figure">{day(line.fixedAt)}</span><br /><span class="second small"
                  >{line.fix}, {line.fixedBy}{line.awaits === 'retest' ? '. To be tried again' : ''}</span
                >
              {:else if line.awaits === 'examiner'}<span class="act">mended, to be cleared by the examiner</span>
              {:else}<a href="/faults/{line.id}">Find and mend</a>{/if}
            </td>
          </tr>
        {:else}<tr
            ><td colspan="5" class="none"
              >{data.wanted.show === 'open'
                ? 'No open faults. What is found in steam is raised on the Footplate in two touches.'
                : 'None.'}</td
            ></tr
          >{/each}
      </tbody>
    </table>
    <Pages total={data.total} size={data.size} page={data.wanted.page} />
  </div>
</div>

<Modal bind:open={raising} passiveModal modalHeading="Raise a fault">
  <form method="POST" action="?/raise" class="stack" use:enhance>
    <Select labelText="Engine" name="engine" selected={data.wanted.engine ?? data.engines[0]?.id}
      >{#each data.engines as e (e.id)}<SelectItem value={e.id} text={e.name} />{/each}</Select
    >
    <TextArea labelText="What is wrong, and where" name="text" rows={3} maxlength={2000} required />
    <Select labelText="Until it is fixed" name="forbids" selected="nothing"
      >{#each Object.entries(forbids).reverse() as [key, word] (key)}<SelectItem value={key} text={word} />{/each}</Select
    >
    {#if form?.at === 'raise' && 'problem' in form}<p class="problem" role="alert">{form.problem}</p>{/if}
    <Button type="submit">Raise it</Button>
  </form>
</Modal>

<style>
  .filter {
    display: flex;
    flex-wrap: wrap;
    gap: 8px 24px;
    align-items: center;
    justify-content: space-between;
    margin-top: 12px;
  }
  .filter > :global(.bx--form-item) {
    flex: 0 0 16rem;
  }
  .plain.on {
    border-width: 3px;
  }
  .scroll {
    margin-top: 12px;
    overflow-x: auto;
  }
  .small {
    font-size: 0.9375rem;
  }
  .none {
    padding: 24px 8px;
  }
</style>
