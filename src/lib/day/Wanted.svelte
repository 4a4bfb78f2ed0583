<script lang="ts">
  // The engines wanted on a day, as a table: what the lanes show, in figures.
  import type { DayPlaced, DayPlan } from '$core/plan';
  import { bandWords, clock, moment } from '../sheet/when';

  interface Wanted {
    readonly id: string;
    readonly engine: string;
    readonly purpose: string;
    readonly keeper: string;
    readonly startedAt: string | Date | null;
    readonly plan: DayPlan;
  }
  let { plans, placed }: { plans: readonly Wanted[]; placed: readonly DayPlaced[] } = $props();
  const minute = 60_000;
</script>

<div class="scroll">
  <table class="ruled">
    <thead
      ><tr
        ><th>Engine</th><th>For</th><th>Keeper</th><th class="r">Bay</th><th class="r">Begin</th><th class="r">Light</th><th class="r"
          >Steam</th
        ><th class="r">Wanted</th><th></th></tr
      ></thead
    >
    <tbody>
      {#each plans as plan (plan.id)}
        {@const p = placed.find((q) => q.id === plan.id)}
        <tr>
          <td><a href={plan.startedAt ? `/footplate/${plan.id}` : `/day/${plan.id}`}>{plan.engine}</a></td>
          <td>{plan.purpose || '–'}</td>
          <td>{plan.plan.people.find((q) => q.as === 'keeper')?.name ?? plan.keeper}</td>
          {#if p}
            <td class="num">{p.bay ?? '–'}</td><td class="num">{clock(p.sheet.begin)}</td><td class="num">{clock(p.sheet.light)}</td>
            <td class="num">{bandWords(p.sheet.steam, false)}</td>
          {:else}<td colspan="4" class="second">begun {moment(plan.startedAt!)}</td>{/if}
          <td class="num">{plan.plan.wants.map((w) => clock(w.at)).join(', ')}</td>
          <td class:act={p?.sheet.late}>{p ? (p.sheet.late ? `■ ${Math.round(p.sheet.late / minute)} min late` : 'in time') : ''}</td>
        </tr>
      {/each}
    </tbody>
  </table>
</div>

<style>
  .r {
    text-align: right;
  }
</style>
