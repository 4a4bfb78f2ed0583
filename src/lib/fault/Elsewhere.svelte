<script lang="ts">
  // The same trouble on this engine before, and engines that are like it: where it works there, look at what is not alike.
  import { printMarks } from '$core/units';
  import type { Twin } from '$core/finder';
  import { unitChoice } from '$lib/sheet/unit-choice';
  import { day } from '$lib/sheet/when';

  type Before = { readonly id: string; readonly raisedAt: Date; readonly fix: string | null; readonly cause: string | null };
  let { before, twins }: { before: readonly Before[]; twins: readonly Twin[] } = $props();
  const units = $derived(unitChoice());
</script>

{#if before.length}
  <section class="box pad">
    <h2 class="label">On this engine before: {before.length === 1 ? 'once' : `${before.length} times`}</h2>
    {#each before as b (b.id)}<p>
        <a href="/faults/{b.id}">{day(b.raisedAt)}</a>
        <span class="second">{b.fix ?? 'still open'}{b.cause ? `. It was: ${b.cause}` : ''}</span>
      </p>{/each}
  </section>
{/if}
{#if twins.length}
  <section class="box pad">
    <h2 class="label">Does it work on a twin?</h2>
    {#each twins as t (t.id)}<p>
        <a href="/engines/{t.id}">{t.name}</a>
        <span class="second"
          >Alike: {printMarks(t.equal.join(', '), units)}.{t.other.length
            ? ` Not alike: ${printMarks(t.other.join('; '), units)}.`
            : ''}</span
        >
      </p>{/each}
  </section>
{/if}

<style>
  p {
    line-height: 1.35;
    padding-top: 6px;
  }
</style>
