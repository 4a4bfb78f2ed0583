<script lang="ts">
  // A duty that has come round: what, how, how late; kept by one touch or by what it asks to be logged, put off once with a reason.
  import { printMarks } from '$core/units';
  import type { Duty } from '$core/watch';
  import { minutes } from '../sheet/when';
  import { unitChoice } from '../sheet/unit-choice';

  let { duty, onkeep, onput }: { duty: Duty; onkeep: () => void; onput: (reason: string) => void } = $props();
  let putting = $state(false);
  let reason = $state('');
  $effect(() => {
    void duty.key;
    putting = false;
    reason = '';
  });
</script>

<article class="now">
  <div class="text">
    <h2>{printMarks(duty.what, unitChoice())}</h2>
    <p class="how">{printMarks(duty.how, unitChoice())}</p>
    <p class="gate">{duty.late < 60_000 ? 'due now' : `due ${minutes(duty.late)} ago`}</p>
  </div>
  {#if putting}
    <form
      onsubmit={(e) => {
        e.preventDefault();
        if (reason.trim()) onput(reason.trim());
      }}
    >
      <label for="put-reason">Why is it put off? It comes round again, and is not put off twice.</label>
      <div class="line">
        <input class="field" id="put-reason" bind:value={reason} maxlength="300" /><button class="plain" disabled={!reason.trim()}
          >Put off</button
        >
      </div>
      <button type="button" class="quiet" onclick={() => (putting = false)}>Back</button>
    </form>
  {:else}
    {#if duty.touch}<button class="plain go done" onclick={onkeep}>{duty.touch.word}</button>{/if}
    <div class="row between">
      {#if duty.put}<span class="second">Put off once: {duty.put}</span>{:else}<button class="quiet" onclick={() => (putting = true)}
          >Put off</button
        >{/if}
    </div>
  {/if}
</article>

<style>
  .now {
    border-left: 4px solid var(--works);
    padding-left: 14px;
  }
  h2 {
    font: 600 1.5rem/1.2 var(--narrow);
  }
  .how {
    font-size: 1.125rem;
    line-height: 1.35;
    margin-top: 4px;
  }
  .gate {
    font: 600 1rem/1.3 var(--narrow);
    border: 1px solid var(--ink);
    padding: 4px 8px;
    margin-top: 8px;
    width: fit-content;
  }
  .done {
    width: 100%;
    min-height: 56px;
    margin: 10px 0 4px;
    font-size: 1.25rem;
  }
  form {
    display: grid;
    gap: 8px;
    margin-top: 10px;
  }
  .field {
    flex: 1;
  }
  .line {
    display: flex;
    gap: 8px;
  }
  /* What is read scrolls by itself, so that the button is never under it nor out of sight. */
  @media (min-height: 36rem) {
    @container page (min-width: 19rem) and (max-width: 37.5rem) {
      .now {
        display: flex;
        flex-direction: column;
        max-height: max(10rem, calc(var(--room) - 2.25rem));
      }
      .text {
        overflow: auto;
        min-height: 2.5rem;
        flex: 0 1 auto;
      }
      .now > :not(.text) {
        flex: none;
      }
    }
  }
</style>
