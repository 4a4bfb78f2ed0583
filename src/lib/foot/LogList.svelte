<script lang="ts">
  // The log, newest first. Nothing is edited: a line is struck through by a later one.
  import { againstOf, cameHow, type Entry, type Log, say } from '$core/log';
  import { printMarks } from '$core/units';
  import { inParts } from '../sheet/in-parts.svelte';
  import { unitChoice } from '../sheet/unit-choice';
  import { clock } from '../sheet/when';

  let { log, me, onstrike }: { log: Log; me: string; onstrike?: (id: string) => void } = $props();
  let open = $state<string>();
  const all = $derived([...log.entries].reverse().filter((e) => e.kind !== 'strike'));
  /** A long day is not drawn whole on a phone: the newest, those that come near, and older ones on request. */
  let many = $state(40);
  const made = inParts(2);
  const lines = $derived(all.slice(0, made.whole ? many : 12 + 12 * made.parts));
  const units = $derived(unitChoice());
  const strong = (e: Entry) => e.kind === 'reading' || e.kind === 'fault' || e.kind === 'lift';
</script>

<ol aria-label="Log, newest first">
  {#each lines as entry (entry.id)}
    {@const gone = log.struck.has(entry.id)}
    {@const against = againstOf(entry, log.state)}
    {@const came = cameHow(entry).join('; ')}
    <li class:gone class:strong={strong(entry)}>
      <button aria-expanded={open === entry.id} onclick={() => (open = open === entry.id ? undefined : entry.id)}>
        <time class="figure" datetime={entry.at}>{clock(entry.at)}</time>
        <span
          >{printMarks(say(entry, units, log.context.procedure), units)}{#if entry.by !== me}<span class="by">, {entry.by}</span
            >{/if}{#if against}<span class="against">▲ {printMarks(against, units)}</span>{/if}{#if came}<span class="came">{came}</span
            >{/if}</span
        >
      </button>
      {#if open === entry.id}
        <p class="more">
          <span class="second">by {entry.by}{gone ? ', struck out' : ''}</span>
          {#if !gone && entry.kind === 'fault' && entry.receivedAt}<a class="plain" href="/faults/{entry.id}">Find what it is</a>{/if}
          {#if !gone && onstrike}<button class="plain" onclick={() => (onstrike(entry.id), (open = undefined))}>Strike it out</button>{/if}
        </p>
      {/if}
    </li>
  {:else}
    <li class="none second">Nothing logged yet. Touch the glass or the scale, or type a line.</li>
  {/each}
  {#if !made.whole && lines.length < all.length}<li {@attach made.place}></li>{:else if all.length > many}<li>
      <button onclick={() => (many += 300)}><span></span><span>Show older ones, {all.length - many} more</span></button>
    </li>{/if}
</ol>

<style>
  .against {
    display: block;
    color: var(--caution);
    font-size: 0.9375rem;
  }
  .came {
    display: block;
    color: var(--ink2);
    font:
      400 0.9375rem Barlow,
      sans-serif;
  }
  li {
    border-top: 1px solid var(--rule);
  }
  li > button {
    display: grid;
    grid-template-columns: 3.25rem 1fr;
    width: 100%;
    padding: 6px 0;
    background: none;
    border: 0;
    color: var(--ink);
    font-size: 0.9375rem;
    text-align: left;
    cursor: pointer;
  }
  time {
    font-weight: 500;
  }
  .strong span {
    font-weight: 600;
    font-family: var(--narrow);
    font-size: 1rem;
  }
  .gone > button {
    text-decoration: line-through;
    color: var(--ink2);
  }
  .by {
    font-weight: 400;
    color: var(--ink2);
  }
  .more {
    display: flex;
    justify-content: space-between;
    align-items: center;
    padding: 0 0 8px 3.25rem;
  }
  .none {
    padding: 8px 0;
  }
</style>
