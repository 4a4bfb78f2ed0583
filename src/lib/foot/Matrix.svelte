<script lang="ts">
  // The commissioning matrix: each control and fitting in each condition, touched by hand; what is left heads the next session.
  import { cellOf, type Condition, conditionKeys, conditions, fittingsOf, occasionOf } from '$core/commission';
  import { printMarks } from '$core/units';
  import { Modal, TextInput } from 'carbon-components-svelte';
  import { unitChoice } from '../sheet/unit-choice';
  import { day } from '../sheet/when';
  import type { Footplate } from './footplate.svelte';

  let { foot, onclose }: { foot: Footplate; onclose: () => void } = $props();
  const text = (t: string) => printMarks(t, unitChoice());
  const occasion = $derived(occasionOf(foot.log.context.begun?.occasion));
  /** A chassis alone has no boiler’s fittings to touch. */
  const rows = $derived(
    fittingsOf(foot.fitOut).filter((r) => occasion.by === 'own fire' || occasion.by === 'nothing' || r.of === 'chassis')
  );
  const columns = $derived(conditionKeys.filter((c) => rows.some((r) => r.in.includes(c))));
  let open = $state<{ item: string; in: Condition }>();
  let seen = $state('');
  let since = $state('');
  const before = $derived(open && cellOf(foot.state.cells, open.item, open.in));
  const choose = (item: string, c: Condition) => {
    open = open?.item === item && open.in === c ? undefined : { item, in: c };
    [seen, since] = ['', ''];
  };
  const say = (result: 'good' | 'not good') => {
    const body = { ...open!, result, ...(seen.trim() ? { text: seen.trim() } : {}), ...(since.trim() ? { since: since.trim() } : {}) };
    if (foot.enter([{ kind: 'cell', body }])) open = undefined;
  };
  const marks = { good: '✓', 'not good': '×' } as const;
</script>

<Modal open on:close={onclose} passiveModal modalHeading="Commissioning matrix" size="lg" hasScrollingContent>
  <p class="second">
    Touch what you have tried. Air-tested is not steam-tested; what is not touched is not known, and is said so on the release.
  </p>
  <table class="ruled">
    <thead
      ><tr
        ><th>Control or fitting</th>{#each columns as c (c)}<th class="mid">{conditions[c]}</th>{/each}</tr
      ></thead
    >
    <tbody>
      {#each rows as r (r.name)}
        <tr>
          <td class="name">{r.name}</td>
          {#each columns as c (c)}
            {@const cell = cellOf(foot.state.cells, r.name, c)}
            <td class="mid">
              {#if r.in.includes(c)}<button
                  class="cell"
                  class:act={cell?.result === 'not good'}
                  aria-expanded={open?.item === r.name && open.in === c}
                  aria-label="{r.name}, {conditions[c]}: {cell?.result ?? 'untested'}"
                  onclick={() => choose(r.name, c)}>{cell ? marks[cell.result] : '○'}</button
                >{:else}<span class="second" aria-hidden="true">–</span>{/if}
            </td>
          {/each}
        </tr>
        {#if open?.item === r.name}
          <tr class="form"
            ><td colspan={columns.length + 1}>
              {#if before}<p>
                  {before.result}, {day(before.at)}, {before.by}{before.text ? `: ${before.text}` : ''}{before.since
                    ? `. Since: ${before.since}`
                    : ''}
                </p>{/if}
              {#if r.note}<p class="second">{r.note}</p>{/if}
              <div class="fields">
                <TextInput labelText="What was seen, {conditions[open.in]}" bind:value={seen} maxlength={300} />
                {#if before}<TextInput labelText="What was done since" bind:value={since} maxlength={300} />{/if}
              </div>
              {#if foot.refusal}<p class="strip caution" role="alert">▲ {text(foot.refusal)}</p>{/if}
              <div class="row">
                <button class="plain" onclick={() => say('good')}>Good</button>
                <button class="plain" onclick={() => say('not good')}>Not good</button>
              </div>
            </td></tr
          >
        {/if}
      {/each}
    </tbody>
  </table>
</Modal>

<style>
  table {
    width: 100%;
    margin-top: 8px;
  }
  .name {
    font: 600 1.0625rem/1.2 var(--narrow);
    vertical-align: middle;
  }
  .mid {
    text-align: center;
  }
  .cell {
    min-width: 44px;
    min-height: 44px;
    border: 1px solid var(--rule);
    background: none;
    color: var(--ink);
    font: 600 1.125rem/1 var(--narrow);
    cursor: pointer;
  }
  .cell.act {
    border-color: var(--act);
    color: var(--act);
  }
  .cell[aria-expanded='true'] {
    outline: 3px solid var(--ink);
  }
  .fields {
    display: grid;
    gap: 8px;
    margin: 8px 0;
    max-width: 30rem;
  }
</style>
