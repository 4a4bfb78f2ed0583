<script lang="ts">
  // The worst two of what is the matter: what, what to do first, how old it is. One touch opens all of it.
  import { printGlass, printMarks, printText } from '$core/units';
  import { inSteam } from '$core/watch';
  import type { Footplate } from './footplate.svelte';
  import { unitChoice } from '../sheet/unit-choice';
  import { age, clock, leftOn } from '../sheet/when';
  import type { Notice } from './notices';

  let { foot, quiet, onopen }: { foot: Footplate; /** Being acted on: not to sound. */ quiet: boolean; onopen: () => void } = $props();
  const units = $derived(unitChoice());
  const text = (t: string) => printMarks(t, units);
  /** What is only noted is read where all of it is. */
  const alarms = $derived(foot.alarms.filter((a) => a.rank !== 'note'));
  const { sound } = $derived(foot);
  $effect(() => sound.hear(alarms, quiet, (a) => `${foot.fitOut.name}. ${text(a.what)}. ${text(a.first)}`));
  /** With times, and no ages: what has not changed is not said again. */
  const notice = $derived.by((): Notice | undefined => {
    const { state } = foot;
    if (!inSteam(state)) return undefined;
    const [worst] = alarms;
    const read = [
      ...(state.pressure ? [`${printText(state.pressure.value, 'pressure', units)} at ${clock(state.pressure.at)}`] : []),
      ...(state.glass ? [`glass ${printGlass(state.glass.value)} at ${clock(state.glass.at)}`] : [])
    ].join(', ');
    return {
      title: worst ? `${foot.fitOut.name}: ${text(worst.what)}` : `${foot.fitOut.name} in steam`,
      body: worst ? `${text(worst.first)} ${read}` : read || 'Nothing read yet',
      // As it is heard here: what is to be looked at is silent while its sound is off.
      loud: worst !== undefined && !worst.ack && (worst.rank === 'act now' || muted === 0)
    };
  });
  $effect(() => void foot.notices.tell(notice));
  const muted = $derived(sound.mutedFor(foot.now));
</script>

<svelte:document onvisibilitychange={() => void foot.notices.tell(notice)} />

{#each alarms.slice(0, 2) as alarm (alarm.key)}
  <div class="strip alarm" class:act={alarm.rank === 'act now'} class:quiet={alarm.ack} role="alert">
    <button class="opens" onclick={onopen}>
      <strong>{alarm.rank === 'act now' ? '■ Act now. ' : '▲ '}{text(alarm.what)}.</strong>
      <span>{text(alarm.first)}</span>
      <span class="since">{alarm.ack ? `noted by ${alarm.ack.by}, ` : ''}read {age(alarm.since, foot.now)}</span>
      <span class="others" class:last={alarm === alarms[1]}
        >{#if alarms.length > 1}<span class="one">+{alarms.length - 1} more</span>{/if}{#if alarms.length > 2}<span class="two"
            >+{alarms.length - 2} more</span
          >{/if}</span
      >
    </button>
    {#if !alarm.ack}<button class="noted" onclick={() => foot.note(alarm)}>Noted</button>{/if}
  </div>
{/each}
{#if muted > 0}
  <p class="muted">
    Sound of what is to be looked at: off for {leftOn(muted)}. <button class="quiet" onclick={() => sound.mute(0)}>On again</button>
  </p>
{/if}

<style>
  .alarm {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    font-size: 1.125rem;
    padding: 0;
  }
  .opens {
    display: flex;
    gap: 4px 12px;
    flex-wrap: wrap;
    align-items: baseline;
    border: 0;
    background: none;
    color: inherit;
    font: inherit;
    text-align: left;
    padding: 6px 12px;
    min-height: 44px;
    cursor: pointer;
  }
  .noted {
    border-width: 0 0 0 1px;
    background: none;
    color: inherit;
    min-width: 96px;
    font-size: 1rem;
    cursor: pointer;
  }
  .quiet .opens strong {
    font-weight: 500;
  }
  .since {
    margin-left: auto;
    font-size: 0.9375rem;
  }
  .one,
  .others:not(.last) .two {
    display: none;
  }
  .two {
    font-weight: 600;
  }
  .muted {
    font-size: 0.9375rem;
    color: var(--ink2);
  }
  .muted .quiet {
    padding: 0;
  }
  @media (min-height: 36rem) {
    @container page (min-width: 19rem) and (max-width: 37.5rem) {
      .alarm {
        font-size: 1rem;
        line-height: 1.25;
        border-width: 0 0 1px;
      }
      .opens {
        display: -webkit-box;
        -webkit-box-orient: vertical;
        -webkit-line-clamp: 3;
        line-clamp: 3;
        overflow: hidden;
        padding: 4px 10px 0;
        margin-bottom: 4px;
        min-height: 40px;
      }
      /* The worst of it, and how many more there are: one strip, however much is the matter. */
      .alarm ~ .alarm,
      .since,
      .two,
      .noted {
        display: none;
      }
      .one {
        display: inline;
        font-weight: 600;
      }
      .muted {
        padding: 2px 10px;
      }
    }
  }
</style>
