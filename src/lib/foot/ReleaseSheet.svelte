<script lang="ts">
  // Release to run, from evidence: papers, faults, each thing as passed, failed or not tested, proven feeds, what stands open.
  import {
    type Bodies,
    isCommissioned,
    leftToTouch,
    registerIn,
    feedsProven,
    forbids,
    type Item,
    openFaults,
    released,
    standing,
    standingOpen,
    whyNot
  } from '$core/log';
  import { judgedWords, judgeSweep, leftWords, rigWords } from '$core/commission';
  import { dayWords, printMarks } from '$core/units';
  import { unitChoice } from '../sheet/unit-choice';
  import { clock } from '../sheet/when';
  import type { Footplate } from './footplate.svelte';

  let { foot }: { foot: Footplate } = $props();
  const text = (t: string) => printMarks(t, unitChoice());
  const f = $derived(foot.fitOut);
  const begun = $derived(foot.log.context.begun);
  const items = $derived(released(f, foot.state));
  const faults = $derived(openFaults(foot.state));
  const feeds = $derived(feedsProven(f, foot.state));
  const open = $derived(standingOpen(foot.state));
  const rigs = $derived(Object.values(foot.state.rigs).map(rigWords));
  const left = $derived(leftToTouch(foot.log));
  const leaking = $derived(judgeSweep(registerIn(foot.log), foot.state.swept).filter((j) => j.by.at(-1)!.is !== 'dry'));
  const step = $derived(foot.procedure.steps.find((s) => s.key === 'fit-to-run'));
  const signed = $derived(step && foot.state.steps[step.key]);
  const waits = $derived(step && !signed ? whyNot(standing(step, foot.state, foot.procedure, foot.now)) : undefined);
  const enough = $derived(!begun?.public || feeds.proven.length >= begun.feedsAsked);

  let testing = $state<Item>();
  let said = $state('');
  const log = (result: Bodies['test']['result']) => {
    foot.record('test', { test: testing!.name, result, ...(said.trim() ? { text: said.trim() } : {}) });
    testing = undefined;
    said = '';
  };
</script>

<div class="sheet-of">
  <section>
    <h2 class="label">Papers</h2>
    {#each begun?.papers ?? [] as paper (paper.kind)}<p class="line">
        {paper.kind} <span class="figure">to {dayWords(paper.expires)}</span>
      </p>
    {:else}<p class="second">None were recorded when it began.</p>{/each}
    <h2 class="label">Open faults</h2>
    {#each faults as fault, i (i)}<p class="line" class:caution={fault.forbids !== 'nothing'}>
        {fault.forbids === 'nothing' ? '' : '▲ '}{fault.text} <span class="second">({forbids[fault.forbids]})</span>
      </p>{:else}<p class="second">None.</p>{/each}
    <h2 class="label">Proven feeds</h2>
    {#if feeds.able.length}
      <p class="line" class:caution={!enough}>
        {enough ? '' : '▲ '}{feeds.proven.length} of {feeds.able.length}{begun?.public
          ? `, ${begun.feedsAsked} asked for public running`
          : ''}
      </p>
    {:else}<p class="line">Nothing feeds this engine: it runs on one fill.</p>{/if}
    <h2 class="label">Still open</h2>
    {#each [...open, ...rigs] as what (what)}<p class="line">{what}</p>{:else}<p class="second">Nothing.</p>{/each}
    {#if isCommissioned(foot.log)}
      <h2 class="label">Matrix: untested or not good</h2>
      {#if left.length}<p class="line caution">▲ {leftWords(left)}</p>{:else}<p class="second">
          Every control and fitting was touched.
        </p>{/if}
      {#each leaking as j (j.place)}<p class="line" class:act={j.stops}>
          {j.stops ? '× ' : ''}{j.place}: {text(judgedWords(j, f.workingPressure))}{j.stops ? '. It means stop' : ''}
        </p>{/each}
    {/if}
  </section>
  <section>
    <h2 class="label">What must work</h2>
    <ul>
      {#each items as item (item.name)}
        <li>
          <button
            onclick={() => ((testing = testing?.name === item.name ? undefined : item), (said = ''))}
            aria-expanded={testing?.name === item.name}
            ><span class="what">{item.name}</span><span class="result" class:caution={item.result !== 'passed'}
              >{item.result === 'passed' ? '✓ ' : item.result === 'failed' ? '× ' : '○ '}{item.result}</span
            ><span class="second">{item.how ? text(item.how) : ''}{item.at ? ` ${clock(item.at)}` : ''}{item.by ? `, ${item.by}` : ''}</span
            ></button
          >
          {#if testing?.name === item.name}
            <div class="test">
              <input class="field" aria-label="What was seen of it" placeholder="What was seen" bind:value={said} maxlength="300" />
              <button class="plain" onclick={() => log('pass')}>Passed</button>
              <button class="plain" onclick={() => log('fail')}>Failed</button>
              <button class="plain" disabled={!said.trim()} onclick={() => log('noted')}>Noted</button>
            </div>
          {/if}
        </li>
      {/each}
    </ul>
  </section>
</div>
<div class="word">
  {#if signed?.outcome === 'done'}
    <p><strong>Fit to run, {signed.by}</strong>, {clock(signed.at)}{signed.initials ? `, ${signed.initials}` : ''}.</p>
  {:else if step}
    <p class="second">
      It is your word, not the book’s. What was not tested is printed in the record. It says nothing of the boiler, which is the examiner’s.
    </p>
    {#if waits}<p class="gate">{text(waits)}</p>{/if}
    {#if foot.refusal}<p class="strip caution" role="alert">▲ {text(foot.refusal)}</p>{/if}
    <button class="plain go" disabled={waits !== undefined} onclick={foot.release}>Fit to run: {foot.me}</button>
  {/if}
</div>

<style>
  .sheet-of {
    display: grid;
    grid-template-columns: minmax(0, 2fr) minmax(0, 3fr);
    gap: 12px 24px;
  }
  h2 {
    border-bottom: 1px solid var(--ink);
    padding-bottom: 2px;
    margin: 10px 0 4px;
  }
  li {
    border-bottom: 1px solid var(--rule);
  }
  li button:not(.plain) {
    display: grid;
    grid-template-columns: minmax(0, 3fr) minmax(6.5rem, 2fr) minmax(0, 5fr);
    gap: 8px;
    align-items: baseline;
    width: 100%;
    min-height: 44px;
    padding: 6px 0;
    border: 0;
    background: none;
    color: var(--ink);
    text-align: left;
    font-size: 1rem;
    cursor: pointer;
  }
  .what,
  .result {
    font: 600 1.0625rem/1.2 var(--narrow);
  }
  .test {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    padding-bottom: 8px;
  }
  .field {
    flex: 1 1 14rem;
  }
  .word {
    display: grid;
    gap: 8px;
    margin-top: 14px;
    border-top: 2px solid var(--ink);
    padding-top: 10px;
  }
  .word .go {
    min-height: 56px;
    font-size: 1.25rem;
  }
  .gate {
    font: 600 1rem/1.3 var(--narrow);
    border: 1px solid var(--ink);
    padding: 4px 8px;
    width: fit-content;
  }
  @container page (max-width: 43.75rem) {
    .sheet-of {
      grid-template-columns: minmax(0, 1fr);
    }
    li button:not(.plain) {
      grid-template-columns: minmax(0, 1fr) auto;
    }
    li button .second {
      grid-column: 1 / -1;
    }
  }
</style>
