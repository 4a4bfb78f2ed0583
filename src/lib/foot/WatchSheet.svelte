<script lang="ts">
  // All that the watch says now: what it is based on and how old that is, what would clear it, what cannot be known, and how it is heard.
  import { printMarks } from '$core/units';
  import { cannotKnow, nextTold, type Warning } from '$core/watch';
  import { Modal } from 'carbon-components-svelte';
  import { onMount } from 'svelte';
  import { unitChoice } from '../sheet/unit-choice';
  import { age, clock, leftOn, minutes } from '../sheet/when';
  import type { Footplate } from './footplate.svelte';
  import LockScreen from './LockScreen.svelte';
  import { longestMute } from './sound.svelte';
  import { aloud, canSpeak, speakThem, speaks } from './speech';

  let { foot, onclose }: { foot: Footplate; onclose: () => void } = $props();
  const units = $derived(unitChoice());
  const text = (t: string) => printMarks(t, units);
  const small = (t: string) => `${t[0]!.toLowerCase()}${t.slice(1)}`;
  const next = $derived(nextTold(foot.watch, foot.now));
  const blind = $derived(cannotKnow(foot.watch, foot.now));
  const muted = $derived(foot.sound.mutedFor(foot.now));
  const head: Record<Warning['rank'], string> = { 'act now': '■ Act now', look: '▲ Look', note: 'Note' };
  let voice = $state(false);
  let speaking = $state(speaks());
  onMount(() => {
    const look = () => void (voice = canSpeak());
    look();
    // Voices come when the device has them ready.
    globalThis.speechSynthesis?.addEventListener?.('voiceschanged', look);
    return () => globalThis.speechSynthesis?.removeEventListener?.('voiceschanged', look);
  });
</script>

<Modal open on:close={onclose} passiveModal modalHeading="What the watch says" size="sm" hasScrollingContent>
  {#each foot.alarms as alarm (alarm.key)}
    <section class={alarm.rank === 'act now' ? 'act' : alarm.rank}>
      <h3><span>{head[alarm.rank]}.</span> {text(alarm.what)}</h3>
      <p class="first">{text(alarm.first)}</p>
      {#if alarm.evidence}
        <ul>
          {#each alarm.evidence as line (line)}<li>{text(line)}</li>{/each}
        </ul>
      {/if}
      <p class="second">
        Read {age(alarm.since, foot.now)}{alarm.late ? `, and it reached the others ${minutes(alarm.late)} later` : ''}; said at {clock(
          alarm.said
        )}. Cleared by: {small(alarm.clears)}
      </p>
      {#if alarm.ack}
        <p class="second">Noted by {alarm.ack.by} at {clock(alarm.ack.at)}: it is heard again when it is worse.</p>
      {:else if alarm.rank !== 'note'}
        <button class="plain" onclick={() => foot.note(alarm)}>Noted</button>
      {/if}
      {#if voice}<button class="quiet" onclick={() => aloud(`${foot.fitOut.name}. ${text(alarm.what)}. ${text(alarm.first)}`)}
          >Say it</button
        >{/if}
    </section>
  {:else}
    <p>Nothing is the matter by what was logged. It replaces no look at the glass.</p>
  {/each}
  {#if next}
    <p class="second">Next, if nothing is logged until then: {small(text(next.what))}, at {clock(next.at)}.</p>
  {/if}
  {#if blind.length}
    <h3>Cannot be known</h3>
    <ul>
      {#each blind as { key, why } (key)}<li>{text(why)}</li>{/each}
    </ul>
  {/if}
  <h3>On this device</h3>
  <p>
    “Act now” sounds until it is done or noted. “Look” sounds once.
    {#if muted > 0}Its sound is off for {leftOn(muted)}.{/if}
  </p>
  <p class="row">
    {#if muted > 0}<button class="plain" onclick={() => foot.sound.mute(0)}>Sound on again</button>
    {:else}<button class="plain" onclick={() => foot.sound.mute(foot.now + longestMute)}>Sound of looks off for 15 min</button>{/if}
    {#if voice}
      <button
        class="plain"
        aria-pressed={speaking}
        onclick={() => {
          speaking = !speaking;
          speakThem(speaking);
        }}>{speaking ? 'Spoken: yes' : 'Spoken: no'}</button
      >
    {/if}
  </p>
  <LockScreen />
  {#if !voice}<p class="second">This device has no voice of its own: nothing can be spoken.</p>{/if}
</Modal>

<style>
  section {
    border: 1px solid var(--rule);
    border-left-width: 4px;
    padding: 8px 12px;
    margin-bottom: 10px;
  }
  .look {
    border-left-color: var(--caution);
  }
  .act {
    border-left-color: var(--act);
  }
  h3 {
    font: 600 1.125rem/1.3 var(--narrow);
    margin-top: 4px;
  }
  h3 span {
    font-weight: 500;
  }
  .first {
    font-size: 1.125rem;
  }
  ul {
    list-style: disc;
    padding-left: 20px;
  }
  .plain {
    margin-top: 6px;
  }
  .row .plain[aria-pressed='true'] {
    background: var(--ink);
    color: var(--paper);
  }
  .row {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
  }
</style>
