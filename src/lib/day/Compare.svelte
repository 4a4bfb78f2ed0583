<script lang="ts">
  // Another start beside this one: what would change if it were wanted so many minutes earlier or later.
  import { bandWords, clock } from '../sheet/when';
  import type { DaySheet } from './day-sheet.svelte';

  let { of, may }: { of: DaySheet; /** Whether the other may be taken. */ may: boolean } = $props();
  const minute = 60_000;
  const both = $derived(
    of.other?.whole
      ? [
          { name: 'This one', sheet: of.whole.sheet },
          { name: 'The other', sheet: of.other.whole.sheet }
        ]
      : []
  );
  const take = (minutes: number) => (of.want(0, Date.parse(of.plan.wants[0]!.at) + minutes * minute), of.compare(undefined));
</script>

{#if of.other}
  {@const { minutes } = of.other}
  <div class="compare no-print">
    <label class="row"
      >The other start, <input
        class="field"
        type="number"
        step="5"
        min="-600"
        max="600"
        value={minutes}
        onchange={(e) => of.compare(Number(e.currentTarget.value) || 0)}
      /> minutes from this one</label
    >
    {#if both.length}
      <table class="ruled">
        <thead><tr><th></th><th class="r">Begin</th><th class="r">Light</th><th class="r">Steam</th><th class="r">Ready</th></tr></thead>
        <tbody>
          {#each both as { name, sheet } (name)}
            <tr>
              <td>{name}</td><td class="num">{clock(sheet.begin)}</td><td class="num">{clock(sheet.light)}</td>
              <td class="num">{bandWords(sheet.steam, false)}</td><td class="num">{clock(sheet.ready)}</td>
            </tr>
          {/each}
        </tbody>
      </table>
    {/if}
    <p class="row">
      {#if may}<button class="quiet" onclick={() => take(minutes)}>Take the other</button>{/if}
      <button class="quiet" onclick={() => of.compare(undefined)}>Put it away</button>
    </p>
  </div>
{:else}
  <p class="compares no-print"><button class="quiet" onclick={() => of.compare(-30)}>Compare with another start</button></p>
{/if}

<style>
  .compare {
    border-top: 1px solid var(--rule);
    padding: 8px 0;
    max-width: 44rem;
  }
  .field {
    width: 5rem;
    min-height: 36px;
  }
  .r {
    text-align: right;
  }
  .compares {
    font-size: 0.9375rem;
    margin-top: 4px;
  }
  /* A line of minutes has no room on a phone, and nothing to be compared on it. */
  @container page (max-width: 56.25rem) {
    .compares {
      display: none;
    }
  }
</style>
