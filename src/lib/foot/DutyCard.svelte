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
  form {
    display: grid;
    gap: 8px;
    margin-top: 10px;
  }
</style>
