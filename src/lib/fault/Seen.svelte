<script lang="ts">
  // What was seen, by the record and by hands; each can be struck, with why, and the odds follow.
  import { enhance } from '$app/forms';
  import { printMarks } from '$core/units';
  import { unitChoice } from '$lib/sheet/unit-choice';
  import type { SeenLine } from '$core/faults';
  import { dated } from '../sheet/when';

  let { seen, open, problem }: { seen: readonly SeenLine[]; open: boolean; problem?: string | undefined } = $props();
  const units = $derived(unitChoice());
</script>

<ul>
  {#each seen as s (s.entry ?? s.fact)}
    <li class:gone={s.struck || s.superseded}>
      <p class="check second">{s.check}</p>
      <p>
        <strong>{s.words}</strong>
        {#if s.note}{s.note}{/if}
        <span class="second"
          >{s.by ?? 'by the record'}{#if s.at}, <span class="figure">{dated(s.at)}</span>{/if}</span
        >
      </p>
      {#if s.says}<p class="sum">{printMarks(s.says, units)}</p>{/if}
      {#if s.struck}<p class="second">Struck by {s.struck.by}: {s.struck.why}</p>
      {:else if s.superseded}<p class="second">Looked at again since.</p>
      {:else if open}
        <details>
          <summary class="quiet">Strike it</summary>
          <form method="POST" action="?/struck" use:enhance>
            {#if s.entry}<input type="hidden" name="entry" value={s.entry} />{:else}<input type="hidden" name="fact" value={s.fact} />{/if}
            <input
              class="field"
              name="why"
              maxlength="300"
              required
              aria-label="Why it does not count"
              placeholder="Why it does not count"
            />
            <button class="plain">Strike</button>
          </form>
        </details>
      {/if}
    </li>
  {:else}<li class="second">Nothing yet. The record has nothing to say to this either.</li>{/each}
</ul>
{#if problem}<p class="problem" role="alert">{problem}</p>{/if}

<style>
  ul {
    margin: 0;
    padding: 0;
    list-style: none;
  }
  li {
    border-top: 1px solid var(--rule);
    padding: 8px 0;
    line-height: 1.35;
  }
  .check,
  .sum {
    font-size: 0.9375rem;
  }
  .gone strong,
  .gone .sum {
    text-decoration: line-through;
  }
  form {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
  }
  .field {
    flex: 1 1 12rem;
  }
  summary {
    display: inline-block;
    min-height: 32px;
  }
</style>
