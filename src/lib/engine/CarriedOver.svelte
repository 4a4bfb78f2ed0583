<script lang="ts">
  // What the last steaming left undone: it heads the next list.
  import { type Rig, rigWords } from '$core/commission';
  import type { Carried } from '$core/log';
  import { printMarks } from '$core/units';
  import { unitChoice } from '../sheet/unit-choice';
  import { moment } from '../sheet/when';

  let {
    carried,
    rigs,
    any
  }: {
    carried: readonly Carried[];
    /** What is on for a trial. */
    rigs: readonly Rig[];
    /** Whether it was ever steamed. */
    any: boolean;
  } = $props();
  const all = $derived([
    ...rigs.map((r): Carried => ({ what: `On, and must come off: ${rigWords(r)}`, how: 'left open', reason: `by ${moment(r.until)}` })),
    ...carried
  ]);
  const units = $derived(unitChoice());
</script>

<section class="box pad">
  <h2 class="label">Carried over from last time</h2>
  <table class="ruled">
    <tbody>
      {#each all.slice(0, 5) as c (c.what + c.how)}
        <tr
          ><td
            >{printMarks(c.what, units)}{#if c.reason}<br /><span class="second">{c.reason}</span>{/if}</td
          ><td class="num wrap">{c.how}</td></tr
        >
      {:else}<tr><td class="second">{any ? 'Nothing was left undone.' : 'Nothing yet: the first steaming is still to come.'}</td></tr
        >{/each}
    </tbody>
  </table>
  {#if all.length > 5}<p class="second small">and {all.length - 5} more</p>{/if}
</section>

<style>
  .wrap {
    white-space: normal;
  }
  .small {
    font-size: 0.9375rem;
    margin-top: 8px;
  }
</style>
