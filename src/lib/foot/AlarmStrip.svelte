<script lang="ts">
  // The worst two of what is the matter: what, what to do first, how old it is. "Act now" sounds until it is acted on.
  import { printMarks } from '$core/units';
  import type { Warning } from '$core/watch';
  import { unitChoice } from '../sheet/unit-choice';
  import { age } from '../sheet/when';
  import { actNow, once } from './alarm';

  let { alarms, now, quiet }: { alarms: readonly Warning[]; now: number; /** Being acted on: not to sound. */ quiet: boolean } = $props();
  const units = $derived(unitChoice());
  const text = (t: string) => printMarks(t, units);

  const loud = $derived(alarms.find((a) => a.rank === 'act now')?.key);
  $effect(() => (loud && !quiet ? actNow() : undefined));
  let heard = new Set<string>();
  $effect(() => {
    const looks = new Set(alarms.filter((a) => a.rank === 'look').map((a) => a.key));
    if ([...looks].some((k) => !heard.has(k))) once();
    heard = looks;
  });
</script>

{#each alarms.slice(0, 2) as alarm (alarm.key)}
  <p class="strip alarm" class:act={alarm.rank === 'act now'} role="alert">
    <strong>{alarm.rank === 'act now' ? '■ Act now. ' : '▲ '}{text(alarm.what)}.</strong>
    <span>{text(alarm.first)}</span>
    <span class="since">read {age(alarm.since, now)}</span>
    {#if alarms.length > 1}<span class="others">+{alarms.length - 1} more</span>{/if}
  </p>
{/each}

<style>
  .alarm {
    display: flex;
    gap: 4px 12px;
    flex-wrap: wrap;
    font-size: 1.125rem;
    align-items: baseline;
  }
  .since {
    margin-left: auto;
    font-size: 0.9375rem;
  }
  .others {
    display: none;
  }
  @media (min-height: 36rem) {
    @container page (min-width: 19rem) and (max-width: 37.5rem) {
      .alarm {
        font-size: 1rem;
        line-height: 1.25;
        border-width: 0 0 1px;
        padding: 4px 10px;
      }
      /* The worst of it, and how many more there are: one strip, however much is the matter. */
      .alarm ~ .alarm,
      .since {
        display: none;
      }
      .others {
        display: inline;
        font-weight: 600;
      }
    }
  }
</style>
