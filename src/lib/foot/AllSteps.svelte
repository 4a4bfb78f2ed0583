<script lang="ts">
  // The whole procedure by phase: what is done, skipped, open, waiting or missed; any step can be brought to NOW.
  import { isAsked, type Log, standing, type Standing } from '$core/log';
  import { phases, type Phase } from '$core/procedure';
  import { printMarks } from '$core/units';
  import { Modal } from 'carbon-components-svelte';
  import { unitChoice } from '../sheet/unit-choice';
  import { clock } from '../sheet/when';

  let {
    log,
    now,
    onchoose,
    onphase,
    onclose
  }: { log: Log; now: number; onchoose: (key: string) => void; onphase: (phase: Phase) => void; onclose: () => void } = $props();
  const steps = $derived(log.context.procedure.steps.filter((s) => isAsked(s, log.state)));
  const words = (s: Standing): string => {
    switch (s.is) {
      case 'done':
        return `done ${clock(s.at)}, ${s.by}${s.shown ? ', as the log shows' : ''}`;
      case 'skipped':
        return `skipped: ${s.reason ?? ''}`;
      case 'waiting':
        return s.waits.join('; ');
      case 'blocked':
        return s.because.join('; ');
      case 'lacking':
        return s.lacks;
      case 'open':
        return 'open';
    }
  };
  const mark = { done: '✓', skipped: '–', open: '○', lacking: '○', waiting: '…', blocked: '×' } as const;
  const text = (t: string) => printMarks(t, unitChoice());
  /** The procedure opens where the work is. */
  const bringHere = (element: Element) => void setTimeout(() => element.scrollIntoView({ block: 'start' }), 50);
</script>

<Modal open on:close={onclose} passiveModal modalHeading="All steps" size="lg" hasScrollingContent>
  {#each phases as phase (phase)}
    {@const here = steps.filter((s) => s.phase === phase)}
    {#if here.length}
      <section {@attach phase === log.state.phase && bringHere}>
        <div class="head">
          <h3>{phase} <span class="second">{here.filter((s) => log.state.steps[s.key]).length} of {here.length}</span></h3>
          {#if phase === log.state.phase}<span class="label">now</span>{:else}<button class="quiet" onclick={() => onphase(phase)}
              >Go to this phase</button
            >{/if}
        </div>
        <ul>
          {#each here as step (step.key)}
            {@const s = standing(step, log.state, log.context.procedure, now)}
            <li class={s.is} class:against={log.state.steps[step.key]?.against !== undefined}>
              <button disabled={s.is === 'done'} onclick={() => onchoose(step.key)}
                ><span class="mark" aria-hidden="true">{mark[s.is]}</span><span>{text(step.what)}</span><span class="second"
                  >{text(words(s))}{#if log.state.steps[step.key]?.against}. ▲ The log did not bear it out: {text(
                      log.state.steps[step.key]!.against!
                    )}{/if}</span
                ></button
              >
            </li>
          {/each}
        </ul>
      </section>
    {/if}
  {/each}
</Modal>

<style>
  section + section {
    margin-top: 16px;
  }
  .head {
    display: flex;
    justify-content: space-between;
    align-items: baseline;
  }
  h3 {
    font: 600 1.125rem/1.2 var(--narrow);
  }
  li {
    border-top: 1px solid var(--rule);
  }
  li button {
    display: grid;
    grid-template-columns: 1.5rem minmax(0, 3fr) minmax(0, 2fr);
    gap: 8px;
    width: 100%;
    min-height: 44px;
    align-items: center;
    border: 0;
    background: none;
    color: var(--ink);
    font-size: 1rem;
    text-align: left;
    cursor: pointer;
    padding: 4px 0;
  }
  li button:disabled {
    cursor: default;
  }
  .open button {
    font-weight: 600;
  }
  .done span {
    color: var(--ink2);
  }
</style>
