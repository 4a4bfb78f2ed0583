<script lang="ts">
  // What is ahead, in words: working pressure with its band, how the day stands against its plan, how long the water lasts.
  import { printGlass, printMarks, type UnitChoice } from '$core/units';
  import type { Footing } from '../../workers/jobs';
  import { unitChoice } from '../sheet/unit-choice';
  import { bandWords, clock } from '../sheet/when';

  let {
    footing,
    now,
    timed = false
  }: {
    footing: Footing;
    now: number;
    /** Nothing feeds it: its countdown says how long the water lasts, and nothing beside it. */ timed?: boolean;
  } = $props();
  const units: UnitChoice = $derived(unitChoice());
  const live = $derived(footing.live);
  const replan = $derived(footing.replan);
  const minute = 60_000;
  const behind = $derived(replan ? Math.round(replan.behind / minute) : 0);
  const minutes = (m: number) => `${m} min`;
  const wants = $derived(
    replan?.wants.map((w) => `${w.what} ${clock(w.now)}${w.now > w.wanted + minute ? ` (wanted ${clock(w.wanted)})` : ''}`).join(', ')
  );
  const skips = $derived(
    replan?.skip.length
      ? `could be skipped: ${replan.skip.map((s) => `${printMarks(s.what, units)} (${minutes(Math.round(s.gains / minute))})`).join('; ')}`
      : 'skip nothing'
  );
  const hot = $derived(
    live.hotGlass !== undefined && live.steam
      ? `At working pressure the glass will read ${live.hotGlass > 1 ? 'over the top nut' : live.hotGlass < 0 ? 'under the bottom nut' : printGlass(live.hotGlass)} as it stands.`
      : ''
  );
  // Water is warned of on its early edge: the middle is late nearly half the time.
  const soon = $derived(live.water !== undefined && live.water.early < now + 5 * minute);
</script>

{#if live.steam || replan || (live.water && !timed) || live.unsure}
  <div class="ahead" aria-label="What is ahead">
    {#if live.steam}<p>
        <strong>At pressure {bandWords(live.steam, true)}.</strong>{live.boils ? ` Boils ${bandWords(live.boils, true)}.` : ''}
      </p>{/if}
    {#if replan}
      <p class:caution={behind > 2}>
        {#if behind > 2}▲ {minutes(behind)} behind; {skips}.
        {:else if behind < -2}{minutes(-behind)} in hand.
        {:else}On the plan.
        {/if}
        {wants ? `${wants[0]!.toUpperCase()}${wants.slice(1)}.` : ''}
      </p>
    {/if}
    {#if live.water && !timed}
      <p class:caution={soon}>
        {soon ? '▲ ' : ''}{live.water.middle <= live.at
          ? `If it was not fed, the glass was at its lowest by about ${clock(live.water.middle)}. Look at it now.`
          : live.water.early <= live.at
            ? `Without feeding, the glass is down to its lowest about ${clock(live.water.middle)}, perhaps already.`
            : `Without feeding, the glass is down to its lowest about ${clock(live.water.middle)}, perhaps by ${clock(live.water.early)}.`}{live.tank
          ? ` Tanks to about ${clock(live.tank.middle)}.`
          : ''}
      </p>
    {/if}
    {#if hot}<p class="second">{hot}</p>{/if}
    {#if live.unsure}<p class="caution">▲ {printMarks(live.unsure, units)}</p>{/if}
    {#if live.steam}<p class="second">{live.on}</p>{/if}
  </div>
{/if}

<style>
  .ahead {
    font-size: 0.9375rem;
    border-top: 1px solid var(--rule);
    padding-top: 6px;
    line-height: 1.3;
  }
  .ahead p + p {
    margin-top: 2px;
  }
  .caution {
    font-weight: 500;
  }
</style>
