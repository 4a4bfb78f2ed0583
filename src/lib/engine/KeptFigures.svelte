<script lang="ts">
  // What was worked on the bench and kept with this engine: dated, with a way back to the sum as it was said.
  import { enhance } from '$app/forms';
  import type { Kind } from '$core/units';
  import { unitChoice } from '../sheet/unit-choice';
  import { day } from '../sheet/when';
  import { workedText } from '../sheet/worked-text';

  let {
    engineId,
    kept,
    may,
    problem
  }: {
    engineId: string;
    kept: readonly {
      id: string;
      sum: string;
      name: string;
      said: Record<string, number>;
      value: number;
      kind: Kind;
      at: Date;
      by: string;
    }[];
    may: boolean;
    problem?: string | undefined;
  } = $props();
  const units = $derived(unitChoice());
  const address = (k: (typeof kept)[number]) =>
    `/bench/${k.sum}?${new URLSearchParams({ engine: engineId, ...Object.fromEntries(Object.entries(k.said).map(([key, x]) => [key, String(x)])) })}`;
</script>

{#if kept.length}
  <section class="box pad kept" aria-label="Kept from the bench">
    <h2 class="label">Kept from the bench</h2>
    {#if problem}<p class="problem" role="alert">{problem}</p>{/if}
    <table class="ruled">
      <tbody>
        {#each kept as k (k.id)}
          <tr>
            <td><a href={address(k)}>{k.name}</a></td>
            <td class="num">{workedText(k.value, k.kind, units)}</td>
            <td class="second">{day(k.at.getTime())}, {k.by}</td>
            {#if may}<td class="drop"
                ><form method="POST" action="?/letGo" use:enhance>
                  <button class="quiet" name="kept" value={k.id} aria-label="Let go of {k.name}, {day(k.at.getTime())}">let go</button>
                </form></td
              >{/if}
          </tr>
        {/each}
      </tbody>
    </table>
  </section>
{/if}

<style>
  .kept {
    margin-top: 12px;
  }
  td {
    padding-top: 5px;
    padding-bottom: 5px;
  }
  .num {
    white-space: nowrap;
  }
  .drop {
    text-align: right;
  }
</style>
