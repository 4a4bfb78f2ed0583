<script lang="ts">
  // The drills, over everything else. Low water first, and its question before anything.
  import type { FitOut } from '$core/engine';
  import type { State } from '$core/log';
  import { printMarks } from '$core/units';
  import { type Drill, drillsOf, type DrillStep, lowWater, saidOf } from '$core/watch';
  import type { Made } from '../outbox/made';
  import { leftOn } from '../sheet/when';
  import { unitChoice } from '../sheet/unit-choice';
  import { onMount, untrack } from 'svelte';

  let {
    fitOut,
    state: state_,
    now,
    onmade,
    onclose,
    onanswer
  }: {
    fitOut: FitOut;
    state: State;
    /** ms since 1970 */ now: number;
    /** What a step of a drill logs by one touch. */ onmade: (made: readonly Made[]) => void;
    onclose: () => void;
    onanswer: (answer: NonNullable<Drill['question']>['answers'][number]) => void;
  } = $props();
  /** As the engine was when it was opened: what is read out does not change under the eye. */
  const low = untrack(() => lowWater(fitOut, state_, now));
  const all = [low, ...untrack(() => drillsOf(fitOut))];
  /** Pauses that are counted, by what is said of them: until when, ms since 1970. */
  let counting = $state<Record<string, number>>({});
  let logged = $state<Record<string, true>>({});
  const act = (step: Exclude<DrillStep, string>) => {
    if (step.made) onmade(step.made);
    if (step.count) counting[step.says] = now + step.count * 1000;
    logged[step.says] = true;
  };
  let dialog: HTMLDialogElement;
  let drill = $state<Drill>(low);
  let answer = $state<number>();
  const shown = $derived(
    drill.question ? (answer === undefined ? undefined : drill.question.answers[answer]) : { steps: drill.steps ?? [], then: drill.then }
  );

  onMount(() => dialog.showModal());
  function choose(i: number) {
    answer = i;
    onanswer(drill.question!.answers[i]!);
  }
</script>

<dialog bind:this={dialog} {onclose} aria-labelledby="drill-title">
  <div class="head">
    <h2 id="drill-title">{drill.title}</h2>
    <button class="plain" onclick={() => dialog.close()}>Back to the Footplate</button>
  </div>
  {#if drill.question && answer === undefined}
    <p class="ask">{drill.question.ask}</p>
    <div class="answers">
      {#each drill.question.answers as a, i (a.answer)}<button class="plain" class:worst={a.says === 'not seen'} onclick={() => choose(i)}
          >{a.answer}</button
        >{/each}
    </div>
  {:else if shown}
    <ol class="steps">
      {#each shown.steps as step (saidOf(step))}
        <li>
          {printMarks(saidOf(step), unitChoice())}
          {#if typeof step !== 'string'}
            {#if counting[step.says]}<strong role="timer"
                >{counting[step.says]! > now ? leftOn(counting[step.says]! - now) : 'counted'}</strong
              >
            {:else}<button class="plain" disabled={logged[step.says]} onclick={() => act(step)}
                >{step.count ? 'Count it' : logged[step.says] ? 'Logged' : 'Done: log it'}</button
              >{/if}
          {/if}
        </li>
      {/each}
    </ol>
    {#if shown.then}<p class="then">{printMarks(shown.then, unitChoice())}</p>{/if}
    {#if drill.question}<button class="quiet" onclick={() => (answer = undefined)}>Ask me again</button>{/if}
  {/if}
  <nav aria-label="Other drills">
    {#each all as other (other.key)}
      <button class="plain" aria-pressed={other.key === drill.key} onclick={() => ((drill = other), (answer = undefined))}
        >{other.title}</button
      >
    {/each}
  </nav>
  <p class="second small">Your club’s own emergency rules come first where they differ.</p>
</dialog>

<style>
  dialog {
    width: min(760px, calc(100vw - 16px));
    max-height: calc(100dvh - 16px);
    overflow: auto;
    border: 4px solid var(--act-solid);
    background: var(--raised);
    color: var(--ink);
    padding: 16px 20px;
  }
  dialog::backdrop {
    background: rgb(0 0 0 / 0.55);
  }
  .head {
    display: flex;
    justify-content: space-between;
    gap: 12px;
    align-items: center;
  }
  h2 {
    font: 600 1.75rem/1.1 var(--narrow);
    color: var(--act);
    text-transform: uppercase;
  }
  .ask {
    font: 600 2rem/1.2 var(--narrow);
    margin: 20px 0 12px;
  }
  .answers {
    display: grid;
    gap: 12px;
  }
  .answers button {
    min-height: 84px;
    font-size: 1.5rem;
    border-width: 2px;
  }
  .answers .worst {
    background: var(--act-solid);
    color: var(--on-act);
    border-color: var(--act-solid);
  }
  .steps {
    counter-reset: n;
    margin: 16px 0;
  }
  .steps li {
    counter-increment: n;
    font: 600 1.5rem/1.25 var(--narrow);
    padding: 9px 0 9px 2.25rem;
    border-top: 1px solid var(--rule);
    position: relative;
  }
  .steps li::before {
    content: counter(n);
    position: absolute;
    left: 4px;
    color: var(--act);
  }
  .then {
    font-size: 1.125rem;
    margin-bottom: 8px;
  }
  nav {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    margin-top: 20px;
    padding-top: 12px;
    border-top: 1px solid var(--ink);
  }
  nav button[aria-pressed='true'] {
    border-width: 3px;
  }
  .small {
    margin-top: 10px;
    font-size: 0.9375rem;
  }
</style>
