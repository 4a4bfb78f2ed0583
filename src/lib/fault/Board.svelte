<script lang="ts">
  // Every cause that this engine can have, its odds as a bar to one scale; and those that are out, with what put them out.
  import { dated } from '../sheet/when';
  import type { BoardLine } from '$core/faults';

  let { standing, excluded }: { standing: readonly BoardLine[]; excluded: readonly BoardLine[] } = $props();
  const percent = (odds: number) => (odds < 0.01 ? 'under 1 %' : `${Math.round(odds * 100)} %`);
</script>

<ol>
  {#each standing as cause (cause.key)}
    <li>
      <details>
        <summary>
          <span class="name">{cause.name}</span>
          <span class="figure">{percent(cause.odds)}</span>
          <span class="bar" aria-hidden="true"><span style:width="{Math.max(0.4, cause.odds * 100)}%"></span></span>
        </summary>
        <p>{cause.why}</p>
        {#if cause.here}<p class="second">What mended it {cause.here}.</p>{/if}
        {#if cause.floor}<p class="caution">▲ If it is this: {cause.floor}.</p>{/if}
        {#if cause.fix}
          <p class="second">
            Mended by: {cause.fix.does}
            {cause.fix.minutes} min{cause.fix.parts ? `. ${cause.fix.parts}` : ''}{cause.fix.by ? `. By: ${cause.fix.by}` : ''}.
          </p>
          {#if cause.fix.modifies}<p class="act">■ Work on a pressure part: not steamed before the examiner has cleared it.</p>{/if}
          <p class="second">Seen to be mended: {cause.fix.retest}</p>
        {/if}
      </details>
    </li>
  {/each}
</ol>
{#if excluded.length}
  <h3 class="label">Spoken against</h3>
  <ul>
    {#each excluded as cause (cause.key)}
      <li>
        <span class="name">{cause.name}</span> <span class="second">{percent(cause.odds)}</span>
        {#if cause.excluded}<p class="second">
            {cause.excluded.check} <strong>{cause.excluded.words}</strong>{#if cause.excluded.at}, <span class="figure"
                >{dated(cause.excluded.at)}</span
              >{/if}
          </p>{/if}
      </li>
    {/each}
  </ul>
{/if}
<p class="second note">
  Coarse odds from a book and this club’s fixes, not a finding. Nothing is out for good: what is struck gives it back.
</p>

<style>
  ol,
  ul {
    margin: 0;
    padding: 0;
    list-style: none;
  }
  li {
    border-top: 1px solid var(--rule);
  }
  summary {
    display: grid;
    grid-template-columns: 1fr auto;
    gap: 2px 12px;
    padding: 7px 0;
    cursor: pointer;
    list-style: none;
    line-height: 1.25;
  }
  summary::-webkit-details-marker {
    display: none;
  }
  .bar {
    grid-column: 1 / -1;
    height: 6px;
    border-bottom: 1px solid var(--rule);
  }
  .bar span {
    display: block;
    height: 5px;
    background: var(--ink);
  }
  details p {
    font-size: 0.9375rem;
    padding-bottom: 6px;
  }
  ul li {
    padding: 6px 0;
  }
  ul p,
  .note {
    font-size: 0.875rem;
    line-height: 1.35;
  }
  .label {
    margin-top: 16px;
  }
  .note {
    margin-top: 12px;
  }
</style>
