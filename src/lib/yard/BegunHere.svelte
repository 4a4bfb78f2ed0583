<script lang="ts">
  // What was begun on this device and the server has not heard: it is in steam, whatever the board says.
  import { fold } from '$core/log';
  import { allBegunHere, type BegunHere } from '../here/begun';
  import { waitingHere } from '../outbox/index.svelte';
  import { clock } from '../sheet/when';

  let { known }: { known: ReadonlySet<string> } = $props();
  let all = $state.raw<readonly BegunHere[]>([]);
  const waiting = $derived(waitingHere().waiting);
  $effect(() => {
    void waiting.length;
    void allBegunHere().then((begun) => (all = begun));
  });
  const here = $derived(
    all.flatMap(({ id, opened }) => {
      const own = waiting.filter((w) => w.steaming === id).map((w) => w.entry);
      if (!own.length || known.has(id)) return [];
      const { state } = fold(opened.context, [...opened.entries, ...own]);
      return [
        { id, name: opened.context.fitOut.name, at: opened.startedAt, keeper: state.keeper, phase: state.phase, ended: state.endedAt }
      ];
    })
  );
</script>

{#each here as s (s.id)}
  <p class="strip">
    <strong>{s.name}</strong> was begun on this device at {clock(s.at)}, and that has not been delivered:
    {#if s.ended}<a href="/records/{s.id}">signed {clock(s.ended)}, its record</a>{:else}<a href="/footplate/{s.id}">its Footplate</a>, {s.phase.toLowerCase()},
      kept by {s.keeper}{/if}.
  </p>
{/each}
