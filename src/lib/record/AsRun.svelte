<script lang="ts">
  // The procedure as it was run: each step with its time, or that it was not done and why.
  import { isAsked, type Log } from '$core/log';
  import { phases } from '$core/procedure';
  import { printMarks } from '$core/units';
  import { unitChoice } from '../sheet/unit-choice';
  import { clock } from '../sheet/when';

  let { log }: { log: Log } = $props();
  const text = (t: string) => printMarks(t, unitChoice());
  const steps = $derived(log.context.procedure.steps.filter((s) => isAsked(s, log.state)));
</script>

<section class="steps">
  <h2 class="label">Procedure as it was run</h2>
  {#each phases as phase (phase)}
    {@const here = steps.filter((x) => x.phase === phase)}
    {#if here.length}
      <div class="phase">
        <h3>{phase}</h3>
        {#each here as step (step.key)}
          {@const done = log.state.steps[step.key]}
          <p class="line">
            <span class="figure">{done ? clock(done.at) : '–'}</span><span
              >{text(step.what)}{#if !done}<span class="second aside">(not done)</span>{:else if done.outcome === 'skipped'}<span
                  class="second aside">(skipped: {done.reason})</span
                >{/if}{#if done?.initials}<span class="second aside">{done.initials}</span>{/if}</span
            >
          </p>
        {/each}
      </div>
    {/if}
  {/each}
</section>

<style>
  .steps {
    margin-top: 16px;
    columns: 2;
    column-gap: 24px;
    font-size: 0.8125rem;
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
  .aside {
    margin-left: 0.35em;
  }
  .phase {
    margin-bottom: 8px;
  }
  h3 {
    font: 600 0.9375rem/1.2 var(--narrow);
    break-after: avoid;
  }
  @container page (max-width: 43.75rem) {
    .steps {
      columns: 1;
    }
  }
</style>
