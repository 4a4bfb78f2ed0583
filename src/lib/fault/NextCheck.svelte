<script lang="ts">
  // What to look at next, why this and no other, and what it can show: one touch each.
  import { enhance } from '$app/forms';
  import type { Offered } from '$core/faults';

  let { check, first, problem }: { check: Offered; first: boolean; problem?: string | undefined } = $props();
</script>

<article class:first>
  <h3>{check.how}</h3>
  <p class="second">
    <span class="figure">{check.minutes} min</span>, {check.when}{check.tools ? `. ${check.tools}` : ''}
  </p>
  {#if first}<p class="second">{check.why}</p>{/if}
  {#if check.care}<p class="caution">▲ {check.care}</p>{/if}
  {#if check.danger}<p class="act">■ {check.danger}</p>{/if}
  {#if check.changes}<p class="caution">▲ It changes something: what was so before cannot be looked at any more.</p>{/if}
  <form method="POST" action="?/shown" use:enhance>
    <input type="hidden" name="check" value={check.key} />
    <div class="results">
      {#each check.results as result (result)}<button class="plain" name="result" value={result}
          >{result[0]!.toUpperCase()}{result.slice(1)}</button
        >{/each}
    </div>
    {#if first}<input
        class="field"
        name="note"
        maxlength="500"
        aria-label="More of what was seen"
        placeholder="More of it, if it matters"
      />{/if}
    {#if problem}<p class="problem" role="alert">{problem}</p>{/if}
  </form>
</article>

<style>
  article {
    display: grid;
    gap: 4px;
    border-top: 1px solid var(--rule);
    padding: 10px 0;
  }
  article.first {
    border-top: 0;
    padding-top: 2px;
  }
  h3 {
    font: 600 1.0625rem/1.3 var(--narrow);
  }
  .first h3 {
    font-size: 1.25rem;
  }
  p {
    font-size: 0.9375rem;
    line-height: 1.35;
  }
  form {
    display: grid;
    gap: 8px;
    margin-top: 4px;
  }
  .results {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
  }
  .results button {
    min-height: 48px;
    flex: 1 1 9rem;
    justify-content: flex-start;
  }
</style>
