<script lang="ts">
  // What the last steaming left undone: it heads the next list.
  import type { Carried } from '$core/log';
  import { printMarks } from '$core/units';
  import { unitChoice } from '../sheet/unit-choice';

  let { carried, any }: { carried: readonly Carried[]; /** Whether it was ever steamed. */ any: boolean } = $props();
  const units = $derived(unitChoice());
</script>

<section class="box pad">
  <h2 class="label">Carried over from last time</h2>
  <table class="ruled">
    <tbody>
      {#each carried.slice(0, 5) as c (c.what + c.how)}
        <tr
          ><td
            >{printMarks(c.what, units)}{#if c.reason}<br /><span class="second">{c.reason}</span>{/if}</td
          ><td class="num wrap">{c.how}</td></tr
        >
      {:else}<tr><td class="second">{any ? 'Nothing was left undone.' : 'Nothing yet: the first steaming is still to come.'}</td></tr
        >{/each}
    </tbody>
  </table>
  {#if carried.length > 5}<p class="second small">and {carried.length - 5} more</p>{/if}
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
