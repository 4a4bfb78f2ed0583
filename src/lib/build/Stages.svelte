<script lang="ts">
  // The stages of a build: what each proves and cannot, what is lacking, and which is left out and why.
  import { enhance } from '$app/forms';
  import type { StageStands } from '$core/commission';
  import { printMarks } from '$core/units';
  import { TextInput } from 'carbon-components-svelte';
  import { unitChoice } from '../sheet/unit-choice';

  let { stands, next, may, problem }: { stands: readonly StageStands[]; next: StageStands | undefined; may: boolean; problem?: unknown } =
    $props();
  const text = (t: string) => printMarks(t, unitChoice());
  const marks = { passed: '✓', 'left out': '–', open: '○' } as const;
</script>

<ol class="box stages">
  {#each stands as s, i (s.key)}
    <li class:now={s === next}>
      <h2><span class="mark" aria-hidden="true">{marks[s.is]}</span>{i + 1}. {s.name} <span class="second">{s.is}</span></h2>
      <p class="second">Proves {s.proves}</p>
      <p class="second">{s.cannot}</p>
      {#if s.why}<p>Left out: {s.why}</p>{/if}
      {#if s.is === 'open'}
        <ul>
          {#each s.lacks as lack (lack)}<li>{text(lack)}</li>{/each}
        </ul>
      {/if}
      {#if s === next && s.optional && may}
        <details>
          <summary>Leave this stage out</summary>
          <form class="stack" method="POST" action="?/skipped" use:enhance>
            <input type="hidden" name="stage" value={s.key} />
            <TextInput labelText="Why it is left out" name="reason" maxlength={1000} />
            <button class="plain">Leave it out</button>
          </form>
        </details>
        {#if problem}<p class="problem" role="alert">{problem}</p>{/if}
      {/if}
    </li>
  {/each}
</ol>

<style>
  .stages {
    margin-top: 12px;
  }
  .stages > li {
    padding: 10px 16px;
    border-top: 1px solid var(--rule);
    break-inside: avoid;
  }
  .stages > li:first-child {
    border-top: 0;
  }
  h2 {
    font: 600 1.125rem/1.2 var(--narrow);
  }
  h2 .second {
    font-weight: 500;
    font-size: 0.9375rem;
  }
  .mark {
    display: inline-block;
    width: 1.5em;
  }
  .stages > li.now {
    border-left: 4px solid var(--works);
  }
  p {
    margin-left: 1.7rem;
    max-width: 46rem;
  }
  ul {
    margin: 4px 0 0 2.7rem;
    list-style: square;
  }
  li:not(.now) > ul {
    color: var(--ink2);
  }
  details {
    margin: 4px 0 0 1.7rem;
    max-width: 30rem;
  }
  summary {
    min-height: 44px;
    padding: 10px 0;
    cursor: pointer;
  }
</style>
