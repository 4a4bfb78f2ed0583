<script lang="ts">
  // Every entry of a log, in words; what was struck stays, struck through.
  import { againstOf, cameHow, closing, type Log, say } from '$core/log';
  import { printMarks } from '$core/units';
  import { unitChoice } from '../sheet/unit-choice';
  import { clock } from '../sheet/when';

  let { log, keeper }: { log: Log; keeper: string } = $props();
  const units = $derived(unitChoice());
  const text = (t: string) => printMarks(t, units);
  const signed = $derived(closing(log)?.receivedAt);
  const lines = $derived(log.entries.filter((e) => e.kind !== 'strike'));
</script>

<section class="log">
  <h2 class="label">Log, {lines.length} entries</h2>
  <div class="entries">
    {#each lines as entry (entry.id)}
      {@const came = cameHow(entry, signed)}
      <p class="line" class:gone={log.struck.has(entry.id)}>
        <span class="figure">{clock(entry.at)}</span><span
          >{text(say(entry, units, log.context.procedure))}{#if entry.by !== keeper}<span class="second">, {entry.by}</span
            >{/if}{#if againstOf(entry, log.state)}. ▲ {text(againstOf(entry, log.state)!)}{/if}{#if came.length}. <em>{came.join('; ')}</em
            >{/if}</span
        >
      </p>
    {/each}
  </div>
</section>

<style>
  .log {
    margin-top: 16px;
  }
  h2 {
    border-bottom: 1px solid var(--ink);
    padding-bottom: 2px;
    margin-bottom: 4px;
    column-span: all;
  }
  .line {
    display: grid;
    grid-template-columns: auto minmax(0, 1fr);
    gap: 8px;
    break-inside: avoid;
  }
  .entries {
    columns: 3;
    column-gap: 20px;
    font-size: 0.75rem;
  }
  .gone {
    text-decoration: line-through;
    color: var(--ink2);
  }
  @container page (max-width: 43.75rem) {
    .entries {
      columns: 1;
    }
  }
</style>
