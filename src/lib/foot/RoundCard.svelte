<script lang="ts">
  // A round: its points in the order in which they are walked. One touch says that all is right; a touch on a point says what is not.
  import type { Forbids } from '$core/log';
  import type { Snippet } from 'svelte';
  import type { Ask } from '$core/procedure';
  import { printMarks } from '$core/units';
  import { headOf, type Placed } from '$core/watch';
  import { unitChoice } from '../sheet/unit-choice';
  import AskFields from './AskFields.svelte';
  import PointForm from './PointForm.svelte';

  let {
    points,
    refusal,
    carries,
    small = false,
    treatment,
    onall,
    onright,
    onnoted,
    onfault,
    onskip
  }: {
    points: readonly Placed[];
    /** Why it could not be called done just now. */
    refusal?: string | undefined;
    carries: boolean;
    /** Measured in millilitres and grams. */ small?: boolean;
    /** Where it is asked what went into the water. */ treatment: Snippet;
    onall: (values?: Partial<Record<Ask, number>>) => void;
    onright: (key: string) => void;
    onnoted: (key: string, text: string) => void;
    onfault: (key: string, text: string, forbids: Forbids) => void;
    onskip: (key: string, reason: string) => void;
  } = $props();
  const text = (t: string) => printMarks(t, unitChoice());
  const head = $derived(headOf(points));
  let chosen = $state<string>();
  const asked = $derived(points.flatMap((p) => p.step.asks ?? []));
  const wanted = $derived(asked.filter((ask) => ask !== 'treatment'));
  /** Numbers that were given; undefined while one cannot be read. */
  let values = $state<Partial<Record<Ask, number>> | undefined>({});
  const at = $derived(points.find((p) => p.step.key === chosen));
</script>

<article class="now">
  <h2>{head.what}</h2>
  {#if refusal}<p class="strip caution" role="alert">▲ {text(refusal)}</p>{/if}
  {#if at}
    {@const { step } = at}
    {#key step.key}
      <PointForm
        {step}
        {carries}
        onright={() => (onright(step.key), (chosen = undefined))}
        onnoted={(said) => (onnoted(step.key, said), (chosen = undefined))}
        onfault={(said, forbids) => (onfault(step.key, said, forbids), (chosen = undefined))}
        onskip={(said) => (onskip(step.key, said), (chosen = undefined))}
        onback={() => (chosen = undefined)}
      />
    {/key}
  {:else}
    {#if asked.includes('treatment')}{@render treatment()}{/if}
    {#if wanted.length}<AskFields {small} of={wanted} bind:values />{/if}
    <button class="plain go done" disabled={values === undefined} onclick={() => onall(values)}>{head.all}</button>
    <p class="second">Touch a point that is wrong, or to see why.</p>
    <ul>
      {#each points as { step } (step.key)}
        <li>
          <button onclick={() => (chosen = step.key)}
            ><span class="what">{text(step.what)}</span><span class="how">{text(step.how)}</span>{#if step.caution}<span class="care"
                >▲ {text(step.caution)}</span
              >{/if}</button
          >
        </li>
      {/each}
    </ul>
  {/if}
</article>

<style>
  ul {
    margin-top: 6px;
  }
  li {
    border-top: 1px solid var(--rule);
  }
  li button {
    display: grid;
    gap: 1px;
    width: 100%;
    min-height: 44px;
    padding: 6px 0;
    border: 0;
    background: none;
    color: var(--ink);
    text-align: left;
    cursor: pointer;
  }
  .what {
    font: 600 1.0625rem/1.2 var(--narrow);
  }
  .how {
    font-size: 0.9375rem;
    line-height: 1.3;
    color: var(--ink2);
  }
  .care {
    font-size: 0.9375rem;
    font-weight: 500;
    line-height: 1.3;
  }
</style>
