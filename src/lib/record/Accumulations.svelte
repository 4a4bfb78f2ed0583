<script lang="ts">
  // The accumulation tests of a steaming: by which rule, how high the needle came, and what the arithmetic says.
  import { accumulationsOf, accumulationWords, type Log } from '$core/log';
  import { printMarks, printText } from '$core/units';
  import { unitChoice } from '../sheet/unit-choice';
  import { clock } from '../sheet/when';
  import Working from '../sheet/Working.svelte';

  let { log }: { log: Log } = $props();
  const units = $derived(unitChoice());
  const tests = $derived(accumulationsOf(log, Date.parse(log.entries.at(-1)?.at ?? '')));
</script>

{#each tests as test (test.from)}
  <section>
    <h2 class="label">Accumulation test, {clock(test.from)}{test.to === undefined ? '' : ` to ${clock(test.to)}`}</h2>
    <p class:problem={test.verdict === 'over'}><strong>{printMarks(accumulationWords(test), units)}</strong></p>
    {#each test.spoilt as why (why)}<p>{printMarks(why, units)}</p>{/each}
    <p>
      By {test.said.rule}: {test.said.over} % allowed, for {printText(test.said.lasts, 'time', units)}, the gauge read to {printText(
        test.said.error,
        'pressure',
        units
      )} either way. Read {test.reads.length} times, by {test.by}.
    </p>
    {#if test.worked}<Working worked={test.worked} />{/if}
  </section>
{/each}

<style>
  section {
    margin-top: 12px;
    break-inside: avoid;
  }
  h2 {
    border-bottom: 1px solid var(--ink);
    padding-bottom: 2px;
    margin-bottom: 4px;
  }
</style>
