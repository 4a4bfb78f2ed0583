<script lang="ts">
  // The head of a record: what identifies it, in ruled cells.
  import type { Context } from '$core/log';
  import { printText } from '$core/units';
  import { purposeWords } from '../sheet/purpose';
  import { unitChoice } from '../sheet/unit-choice';
  import { day } from '../sheet/when';

  let {
    context,
    startedAt,
    keeper,
    club,
    purpose
  }: { context: Context; startedAt: string; keeper: string; club: string; purpose: string } = $props();
  const f = $derived(context.fitOut);
  const units = $derived(unitChoice());
  const cells = $derived([
    ['Class', `${f.description} · ${f.scale}`],
    ['WP', printText(f.workingPressure, 'pressure', units)],
    ['Day', day(startedAt)],
    ['Keeper', keeper],
    ['Club', club, 'wide'],
    ['For', purposeWords(context.begun?.public ?? false, purpose, context.begun?.occasion) || '–', 'wide'],
    ['Procedure', `${context.procedure.library}, ${context.procedure.steps.length} steps`]
  ]);
</script>

<header>
  <div class="wide">
    <span class="label">Engine</span>
    <h1>{f.name}</h1>
  </div>
  {#each cells as [label, value, wide] (label)}
    <div class={wide}>
      <span class="label">{label}</span>
      <p>{value}</p>
    </div>
  {/each}
</header>

<style>
  header {
    display: flex;
    flex-wrap: wrap;
    border: 2px solid var(--ink);
  }
  header > div {
    flex: 1 1 auto;
    padding: 4px 10px;
    border-right: 1px solid var(--ink);
    border-top: 1px solid var(--ink);
    margin: -1px -1px 0 0;
  }
  header .wide {
    flex-grow: 4;
  }
  header h1,
  header p {
    font: 600 1.0625rem/1.2 var(--narrow);
  }
  header h1 {
    text-transform: uppercase;
  }
</style>
