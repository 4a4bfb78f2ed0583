<script lang="ts">
  // What the club's book shows, and is therefore not asked: papers with their dates, and what was left last time.
  import type { Procedure } from '$core/procedure';
  import { printMarks } from '$core/units';
  import { unitChoice } from '../sheet/unit-choice';

  let { procedure }: { procedure: Procedure } = $props();
  const words: Readonly<Record<string, string>> = { papers: 'Papers', carried: 'Left from last time' };
  const known = $derived(procedure.steps.filter((s) => s.known?.says.length));
</script>

{#each known as step (step.key)}
  <div>
    <p class="label">{words[step.key] ?? step.what}</p>
    <ul>
      {#each step.known!.says as line, i (i)}<li>{printMarks(line, unitChoice())}</li>{/each}
    </ul>
  </div>
{/each}

<style>
  li {
    border-top: 1px solid var(--rule);
    padding: 3px 0;
    line-height: 1.25;
  }
</style>
