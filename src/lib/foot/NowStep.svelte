<script lang="ts">
  // The one thing to do: what, how, what opened it, and on request why. Done takes one touch, skipping a reason.
  import type { Snippet } from 'svelte';
  import { isDue, mayBeExcused, type State } from '$core/log';
  import type { Ask, Step } from '$core/procedure';
  import AskFields from './AskFields.svelte';
  import type { Placed } from '$core/watch';
  import { mark, printMarks } from '$core/units';
  import { unitChoice } from '../sheet/unit-choice';
  import { clock } from '../sheet/when';
  import type { Touch } from './quick-actions';

  let {
    placed,
    refusal,
    state: state_,
    chosen = false,
    opens,
    ondone,
    onskip,
    lifts = [],
    onlift,
    onending,
    onout,
    onrest,
    instead,
    pad,
    small = false,
    onback
  }: {
    placed: Placed;
    /** Why it could not be called done just now. */
    refusal?: string | undefined;
    state: State;
    chosen?: boolean;
    /** About when a step’s gate will open, ms since 1970. */
    opens?: (step: Step) => number | undefined;
    ondone: (reason?: string, values?: Partial<Record<Ask, number>>) => void;
    onskip: (reason: string) => void;
    /** What is to be seen of the valves, one touch each. */
    lifts?: readonly Touch[];
    onlift?: (touch: Touch) => void;
    onending?: () => void;
    /** The fire was seen to be out. */
    onout?: () => void;
    /** The needle was seen on its pin. */
    onrest?: () => void;
    /** What stands in the place of Done. */
    instead?: Snippet | undefined;
    /** What it is measured with, one touch each. */
    pad?: Snippet | undefined;
    /** Measured in millilitres and grams. */
    small?: boolean;
    onback?: () => void;
  } = $props();
  const step = $derived(placed.step);
  const standing = $derived(placed.standing);
  const lacking = $derived(standing.is === 'lacking' ? standing.lacks : undefined);
  const text = (t: string) => printMarks(t, unitChoice());
  const opened = $derived(step.gates.flatMap((g) => (g.kind === 'pressure' ? [mark(g.atLeast, 'pressure')] : []))[0]);
  const opensAt = $derived(standing.is === 'waiting' ? opens?.(step) : undefined);
  let why = $state(false);
  let skipping = $state(false);
  /** Not all of it was seen, and why is written down. */
  const excused = $derived(lacking !== undefined && mayBeExcused(step.proof, state_));
  let excusing = $state(false);
  let reason = $state('');
  /** Numbers that were given; undefined while one cannot be read. */
  let values = $state<Partial<Record<Ask, number>> | undefined>({});
  /** Borne out where it is said, and not by a Done. */
  const shownElsewhere = new Set<string>(['joints', 'retest', 'cells', 'swept', 'rig', 'accumulated', 'apart']);
  const weighed = new Set<string>(['water', 'left', 'charged', 'pair']);
  /** What it lacks are the numbers that are being given. */
  const measured = $derived(
    lacking !== undefined && step.asks !== undefined && weighed.has(step.proof?.kind ?? '') && Object.keys(values ?? {}).length > 0
  );
  /** How often numbers were given: what was logged does not stand in its field as if it were to be logged again. */
  let given = $state(0);
  const say = () => {
    ondone(undefined, values);
    values = {};
    given++;
  };
  const usual = ['Done before today', 'Not needed today', 'Cannot be done today'];

  // Another step: its own questions, closed.
  $effect(() => {
    void step.key;
    why = false;
    skipping = false;
    excusing = false;
    reason = '';
    values = {};
  });
</script>

<article class="now" class:shut={!isDue(standing)}>
  <div class="text">
    <h2>{text(step.what)}</h2>
    {#if !instead}<p class="how">{text(step.how)}</p>{/if}
    {#if step.caution}<p class="caution">▲ {text(step.caution)}</p>{/if}
    {#if standing.is === 'open' && opened && !lacking}<p class="gate">opened at {text(opened)}</p>{/if}
    {#if standing.is === 'waiting'}<p class="gate">{text(standing.waits.join('; '))}{opensAt ? `, about ${clock(opensAt)}` : ''}</p>{/if}
    {#if standing.is === 'blocked'}
      <ul class="gate">
        {#each standing.because as because (because)}<li>{text(because)}</li>{/each}
      </ul>
    {/if}
  </div>
  {#if lacking}<p class="gate">{text(lacking)}</p>{/if}
  {#if refusal}<p class="strip caution" role="alert">▲ {text(refusal)}</p>{/if}
  {#if skipping}
    <form
      class="skip-form"
      onsubmit={(e) => {
        e.preventDefault();
        if (reason.trim()) onskip(reason.trim());
      }}
    >
      <label for="skip-reason">Why is it skipped? It stays in the record.</label>
      <div class="row">
        {#each usual as word (word)}<button type="button" class="plain" onclick={() => onskip(word)}>{word}</button>{/each}
      </div>
      <div class="line">
        <input class="field" id="skip-reason" bind:value={reason} maxlength="300" placeholder="Another reason" /><button
          class="plain"
          disabled={!reason.trim()}>Skip</button
        >
      </div>
      <button type="button" class="quiet" onclick={() => (skipping = false)}>Do not skip</button>
    </form>
  {:else if excusing}
    <form
      class="skip-form"
      onsubmit={(e) => {
        e.preventDefault();
        if (reason.trim()) ondone(reason.trim());
      }}
    >
      <label for="excuse">Why was not all of it seen? It stays in the record.</label>
      <div class="line">
        <input class="field" id="excuse" bind:value={reason} maxlength="300" placeholder="What was not seen, and why" /><button
          class="plain"
          disabled={!reason.trim()}>Done, with that</button
        >
      </div>
      <button type="button" class="quiet" onclick={() => (excusing = false)}>Back</button>
    </form>
  {:else}
    {#if lacking && step.evidence === 'lift' && lifts.length && onlift}
      <div class="lifts">
        {#each lifts as touch (touch.word)}<button class="plain" onclick={() => onlift(touch)}>{touch.word}</button>{/each}
      </div>
    {:else if instead && standing.is === 'open'}
      {@render instead()}
    {:else if lacking && step.proof?.kind === 'at rest' && onrest}
      <button class="plain done rest" onclick={onrest}>It stands at nothing</button>
    {:else if standing.is === 'waiting' && onout && step.cycle && step.gates.some((g) => g.kind === 'fire out')}
      <button class="plain done" onclick={onout}>Fire is out</button>
    {:else if standing.is === 'waiting' && onending && step.gates.some((g) => g.kind === 'ending')}
      <button class="plain done" onclick={onending}>The running ends</button>
    {:else}
      {#if pad && (standing.is === 'open' || lacking)}{@render pad()}{/if}
      {#if step.asks?.length && (standing.is === 'open' || lacking)}{#key `${step.key} ${given}`}<AskFields
            of={step.asks.filter((ask) => ask !== 'treatment')}
            {small}
            bind:values
          />{/key}{/if}
      <!-- What the last joint that holds, or the retest, shows is not asked too. -->
      {#if !(lacking && shownElsewhere.has(step.proof?.kind ?? ''))}<button
          class="plain go done"
          disabled={(standing.is !== 'open' && !measured) || values === undefined}
          onclick={say}>Done</button
        >{/if}
    {/if}
    <div class="row between">
      <button class="quiet" aria-expanded={why} onclick={() => (why = !why)}>Why</button>
      {#if chosen && onback}<button class="quiet" onclick={onback}>Back to now</button>{/if}
      {#if excused}<button class="quiet" onclick={() => (excusing = true)}>Not all seen</button>{/if}
      {#if step.must}<span class="second must">Not one to skip</span>{:else}<button class="quiet" onclick={() => (skipping = true)}
          >Skip</button
        >{/if}
    </div>
    {#if why}
      <p class="why">{text(step.why)}</p>
      {#if step.materials.length}<p class="why second">
          To hand: {step.materials.join(', ')}. About {step.minutes} min{step.who === 'keeper'
            ? ''
            : step.who === 'helper'
              ? ', by a helper'
              : ', by either of you'}.
        </p>{/if}
    {/if}
  {/if}
</article>

<style>
  .shut {
    border-color: var(--rule);
  }
  p.caution {
    font-size: 1.0625rem;
    font-weight: 500;
    margin-top: 8px;
    line-height: 1.3;
  }
  .lifts {
    display: grid;
    gap: 8px;
    margin: 10px 0 4px;
  }
  .lifts .plain {
    min-height: 56px;
    font-size: 1.125rem;
  }
  .why {
    margin-top: 4px;
    font-size: 1rem;
    border-top: 1px solid var(--rule);
    padding-top: 6px;
  }
  .must {
    font-size: 0.9375rem;
  }
  .skip-form {
    margin-top: 10px;
    display: grid;
    gap: 8px;
  }
</style>
