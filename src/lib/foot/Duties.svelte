<script lang="ts">
  // What comes round while it runs, and when: the next first. And the stand-by, which has duties of its own.
  import { printMarks } from '$core/units';
  import type { Duty } from '$core/watch';
  import { unitChoice } from '../sheet/unit-choice';
  import { clock, minutes } from '../sheet/when';

  let {
    duties,
    standing,
    now,
    onkeep,
    onstand
  }: {
    duties: readonly Duty[];
    /** Since when it stands by. */
    standing: string | undefined;
    now: number;
    onkeep: (duty: Duty) => void;
    onstand: (by: boolean) => void;
  } = $props();
  const when = ({ due, state, late }: Duty) =>
    due === undefined
      ? 'while it runs'
      : state === 'waiting'
        ? due - now < 600_000
          ? `in ${Math.ceil((due - now) / 60_000)} min`
          : clock(due)
        : late < 60_000
          ? 'now'
          : `${minutes(late)} late`;
</script>

{#if duties.length || standing}
  <div class="duties">
    <div class="row between">
      <p class="label">{standing ? `Standing by since ${clock(standing)}` : 'Comes round'}</p>
      <button class="quiet" onclick={() => onstand(!standing)}>{standing ? 'Running again' : 'Stand by'}</button>
    </div>
    <ul>
      {#each duties.slice(0, 5) as duty (duty.key)}
        <li class:due={duty.state !== 'waiting'} class:caution={duty.state === 'late'}>
          <span>{printMarks(duty.what, unitChoice())}</span><span class="figure">{when(duty)}</span>
          {#if duty.touch}<button class="quiet" onclick={() => onkeep(duty)}>{duty.touch.word}</button>{/if}
        </li>
      {/each}
    </ul>
    {#if duties.length > 5}<p class="second">and {duties.length - 5} later</p>{/if}
  </div>
{/if}

<style>
  .duties {
    margin-top: 2px;
  }
  li {
    display: flex;
    flex-wrap: wrap;
    gap: 2px 10px;
    align-items: center;
    min-height: 40px;
    border-top: 1px solid var(--rule);
    line-height: 1.25;
  }
  li > span:first-child {
    flex: 1 1 7rem;
  }
  .due {
    font-weight: 600;
  }
  .figure {
    font-size: 0.9375rem;
    color: var(--ink2);
    text-align: right;
  }
</style>
