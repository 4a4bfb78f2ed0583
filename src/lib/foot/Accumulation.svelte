<script lang="ts">
  // The accumulation test: set up against the log, begun by a rule, and judged by the number.
  import {
    type AccumulationTest,
    type Bodies,
    type Need,
    accumulationNeeds,
    accumulationsOf,
    accumulationWords,
    kinds,
    underWay
  } from '$core/log';
  import { expectation, type Group } from '$core/form';
  import { mark, printMarks, usualUnits } from '$core/units';
  import { Modal } from 'carbon-components-svelte';
  import { onMount, untrack } from 'svelte';
  import type { DeviceBook } from '$core/faults';
  import { wrongIn } from '../bench/address';
  import FieldEditor from '../form/FieldEditor.svelte';
  import { unitChoice } from '../sheet/unit-choice';
  import { clock } from '../sheet/when';
  import Working from '../sheet/Working.svelte';
  import type { Footplate } from './footplate.svelte';

  let { foot, onclose }: { foot: Footplate; onclose: () => void } = $props();
  const units = $derived(unitChoice());
  const { fields } = kinds.accumulation;
  const group = (fields as Extract<typeof fields, { type: 'union' }>).cases.begins as Group;
  const tests = $derived(accumulationsOf(foot.log, foot.now).toReversed());
  const under = $derived(underWay(foot.log, foot.now));
  const needs = $derived(accumulationNeeds(foot.fitOut, foot.state, foot.now));
  const ready = $derived(needs.every((n) => !n.lacks));
  let said: Record<string, unknown> = $state(
    untrack(() => {
      const last = tests[0]?.said;
      return last ? { ...last } : { rule: '', over: '', lasts: '', error: '' };
    })
  );
  // By the club’s rules, as the device has heard them; whoever typed first keeps what they typed.
  onMount(async () => {
    const answer = await fetch('/api/book').catch(() => undefined);
    const { accumulation } = answer?.ok ? ((await answer.json()) as DeviceBook) : {};
    for (const [key, value] of Object.entries(accumulation ?? {})) if (said[key] === '') said[key] = value;
  });
  let asked = $state(false);
  const problems = $derived(wrongIn(group, said, expectation));
  /** What was touched is not there any more: keys go on being heard by the sheet. */
  const say = (button: HTMLElement, { kind, body }: Pick<NonNullable<Need['touch']>, 'kind' | 'body'>) => {
    button.closest<HTMLElement>('[role="dialog"]')?.focus();
    foot.record(kind, body);
  };
  const faultOf = (t: AccumulationTest) =>
    printMarks(`Accumulation test: ${mark(t.peak!, 'pressure')} read, over at ${mark(t.limit, 'pressure')}`, usualUnits);
  const begin = () => {
    asked = true;
    if (problems.size) return;
    const body = { act: 'begins', ...$state.snapshot(said) } as Bodies['accumulation'];
    if (foot.enter([{ kind: 'accumulation', body }])) onclose();
  };
</script>

<Modal open on:close={onclose} passiveModal modalHeading="Accumulation test" size="sm" hasScrollingContent>
  <div class="test">
    <p class="second">
      The fire turned or made as fierce as it goes and everything shut but the safety valves: how far does the needle creep? People back,
      somebody at the glass, and by your club’s boiler code. Stop at once when the glass is low or the needle goes over.
    </p>
    {#if !under}
      <section>
        <h3>Set up</h3>
        <ul>
          {#each needs as { key, what, lacks, touch } (key)}
            <li class:lacks>
              <span class="mark" role="img" aria-label={lacks ? 'Not so' : 'So'}>{lacks ? '' : '✓'}</span>
              <span
                ><strong>{what}</strong>{#if lacks}<br />{printMarks(lacks, units)}{/if}</span
              >
              {#if touch}<button class="plain" onclick={(e) => say(e.currentTarget, touch)}>{touch.word}</button>{/if}
            </li>
          {/each}
        </ul>
      </section>
      <section>
        <h3>The rule it is judged by</h3>
        {#each Object.entries(group.fields) as [key, field] (key)}
          <FieldEditor {field} bind:value={said[key]} path={key} problems={asked ? problems : new Map()} />
        {/each}
        {#if foot.refusal}<p class="problem" role="alert">{printMarks(foot.refusal, units)}</p>{/if}
        <button class="plain go" disabled={!ready} onclick={begin}>Begin the test</button>
        {#if !ready}<p class="second">It begins when the log bears out all of the set-up.</p>{/if}
      </section>
    {/if}
    {#each tests as test (test.from)}
      <section>
        <h3>{clock(test.from)}{test.to === undefined ? '' : ` to ${clock(test.to)}`}, by {test.by}</h3>
        <p class:problem={test.verdict === 'over'}><strong>{printMarks(accumulationWords(test), units)}</strong></p>
        {#each test.spoilt as why (why)}<p>{printMarks(why, units)}</p>{/each}
        <p class="second">By {test.said.rule}.</p>
        {#if test.verdict === 'over' && !foot.state.faults.some((f) => f.text === faultOf(test))}
          <button
            class="plain"
            onclick={(e) => say(e.currentTarget, { kind: 'fault', body: { text: faultOf(test), forbids: 'steaming' } })}
          >
            Write it as a fault: no steaming until it is cleared
          </button>
        {/if}
        {#if test.worked}<Working worked={test.worked} />{/if}
      </section>
    {/each}
  </div>
</Modal>

<style>
  .test {
    display: grid;
    gap: 14px;
  }
  section {
    display: grid;
    gap: 8px;
    border-top: 1px solid var(--rule);
    padding-top: 10px;
  }
  h3 {
    font: 600 1.125rem/1.3 var(--narrow);
  }
  li {
    display: grid;
    grid-template-columns: 1.5rem 1fr auto;
    gap: 2px 10px;
    align-items: center;
    border-top: 1px solid var(--rule);
    padding: 6px 0;
    min-height: 44px;
  }
  li:not(.lacks) strong {
    font-weight: 400;
  }
  .mark {
    border: 1px solid var(--ink);
    width: 1.25rem;
    height: 1.25rem;
    display: grid;
    place-items: center;
    line-height: 1;
  }
</style>
