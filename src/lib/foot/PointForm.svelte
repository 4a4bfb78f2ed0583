<script lang="ts">
  // One point of a round that is not as it should be: noted, a fault with what it forbids, or left for today.
  import { forbids as words, type Forbids } from '$core/log';
  import type { Step } from '$core/procedure';
  import { printMarks } from '$core/units';
  import { unitChoice } from '../sheet/unit-choice';

  let {
    step,
    carries,
    onright,
    onnoted,
    onfault,
    onskip,
    onback
  }: {
    step: Step;
    /** Whether it ever carries anybody. */
    carries: boolean;
    onright: () => void;
    onnoted: (text: string) => void;
    onfault: (text: string, forbids: Forbids) => void;
    onskip: (reason: string) => void;
    onback: () => void;
  } = $props();
  const printed = (t: string) => printMarks(t, unitChoice());
  let said = $state('');
  // What is found where it would hurt somebody is not a note until somebody says so.
  const forbid = $derived((Object.keys(words) as Forbids[]).filter((f) => carries || f !== 'passengers').reverse());
  let chosen = $state<Forbids>('nothing');
  const empty = $derived(!said.trim());
</script>

<div class="point">
  <h3>{printed(step.what)}</h3>
  <p>{printed(step.how)}</p>
  {#if step.caution}<p class="care">▲ {printed(step.caution)}</p>{/if}
  <p class="second">{printed(step.why)}</p>
  <button class="plain" onclick={onright}>This one is right</button>
  <label for="found" class="label">What was found</label>
  <input class="field" id="found" bind:value={said} maxlength="250" autocomplete="off" />
  <button class="plain" disabled={empty} onclick={() => onnoted(said.trim())}>Noted, and it will do</button>
  <fieldset>
    <legend class="label">A fault: until it is fixed</legend>
    {#each forbid as key (key)}
      <label class:chosen={chosen === key}
        ><input class="unseen" type="radio" name="point-forbids" value={key} bind:group={chosen} />{words[key]}</label
      >
    {/each}
  </fieldset>
  <button class="plain go" disabled={empty} onclick={() => onfault(said.trim(), chosen)}>Log fault</button>
  <div class="row between">
    <button class="quiet" onclick={onback}>Back</button>
    {#if step.must}<span class="second">Not one to skip</span>{:else}<button
        class="quiet"
        disabled={empty}
        onclick={() => onskip(said.trim())}>Leave it today, for that reason</button
      >{/if}
  </div>
</div>

<style>
  .point {
    display: grid;
    gap: 8px;
    margin-top: 8px;
  }
  h3 {
    font: 600 1.125rem/1.2 var(--narrow);
  }
  .care {
    font-weight: 500;
  }
  fieldset {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(7rem, 1fr));
    gap: 8px;
  }
  fieldset label {
    border: 1px solid var(--ink);
    min-height: 44px;
    padding: 6px 10px;
    display: flex;
    align-items: center;
    font: 600 0.9375rem/1.15 var(--narrow);
    cursor: pointer;
  }
  fieldset label:focus-within {
    outline: 3px solid var(--ink);
    outline-offset: 2px;
  }
  .chosen {
    background: var(--ink);
    color: var(--paper);
  }
</style>
