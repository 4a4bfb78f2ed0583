<script lang="ts">
  // What comes after NOW, each with what it waits for. Touching one brings it to NOW.
  import type { Phase, Step } from '$core/procedure';
  import { printMarks } from '$core/units';
  import type { Placed } from '$core/watch';
  import { unitChoice } from '../sheet/unit-choice';
  import { clock } from '../sheet/when';

  let {
    next,
    phase,
    opens,
    onchoose,
    onall
  }: {
    next: readonly Placed[];
    phase: Phase;
    /** About when a step’s gate will open, ms since 1970. */
    opens?: (step: Step) => number | undefined;
    onchoose: (key: string) => void;
    onall: () => void;
  } = $props();
  const text = (t: string) => printMarks(t, unitChoice());

  /** What a step waits for, in a word or two: the whole sentence stands at NOW. */
  function waits({ step, standing }: Placed): string {
    if (standing.is === 'waiting') {
      const when = opens?.(step);
      return `${text(standing.waits[0] ?? '')
        .replace(/^opens (at |when seen: |when it has fallen to |when you say that )/, '')
        .replace(/, or .*$/, '')}${when ? ` · ${clock(when)}` : ''}`;
    }
    if (standing.is === 'blocked') return 'not yet';
    return step.phase === phase ? '' : step.phase;
  }
</script>

<div class="nexts">
  <div class="row between">
    <p class="label">Next</p>
    <button class="quiet" onclick={onall}>All steps</button>
  </div>
  <ul>
    {#each next.slice(0, 6) as placed (placed.step.key)}
      <li>
        <button onclick={() => onchoose(placed.step.key)}
          ><span>{text(placed.step.what)}</span><span class="figure">{waits(placed)}</span></button
        >
      </li>
    {/each}
  </ul>
</div>

<style>
  .nexts {
    margin-top: 2px;
    flex: 1 1 0;
    min-height: 84px;
    overflow: auto;
  }
  .nexts li {
    border-top: 1px solid var(--rule);
  }
  .nexts li button {
    display: flex;
    justify-content: space-between;
    gap: 12px;
    width: 100%;
    padding: 6px 0;
    border: 0;
    background: none;
    color: var(--ink);
    font-size: 1rem;
    line-height: 1.25;
    text-align: left;
    cursor: pointer;
  }
  .nexts .figure {
    font-size: 0.875rem;
    color: var(--ink2);
    text-align: right;
    flex: none;
    max-width: 45%;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  @container page (max-width: 62.5rem) {
    .nexts {
      order: 1;
      flex: none;
      min-height: 0;
    }
    .nexts li:not(:first-child) {
      display: none;
    }
  }
</style>
