<script lang="ts">
  // For ten seconds after an entry it is taken back in one touch: what was logged is said.
  import { say } from '$core/log';
  import { printMarks } from '$core/units';
  import { unitChoice } from '../sheet/unit-choice';
  import type { Footplate } from './footplate.svelte';

  let { foot }: { foot: Footplate } = $props();
  const units = $derived(unitChoice());
  const ids = $derived(foot.steaming.undoable?.ids ?? []);
  const made = $derived(foot.log.entries.filter((e) => ids.includes(e.id)));
  const words = $derived.by(() => {
    const [first] = made;
    if (!first) return 'Logged.';
    const said = printMarks(say(first, units, foot.procedure), units);
    return made.length > 1 ? `Logged: ${said}, and ${made.length - 1} more` : `Logged: ${said}`;
  });
</script>

{#if ids.length}
  <p role="status"><span>{words}</span><button class="plain" onclick={() => foot.steaming.undo()}>Undo</button></p>
{/if}

<style>
  p {
    display: flex;
    justify-content: space-between;
    align-items: center;
    gap: 8px;
    border: 1px dashed var(--ink);
    padding: 2px 2px 2px 10px;
  }
  span {
    min-width: 0;
    overflow: hidden;
    text-overflow: ellipsis;
    display: -webkit-box;
    -webkit-line-clamp: 2;
    line-clamp: 2;
    -webkit-box-orient: vertical;
  }
</style>
