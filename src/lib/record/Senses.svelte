<script lang="ts">
  // What told on an engine without a needle: when each was first sensed, after the match of each run.
  import { type Log, sensedIn } from '$core/log';
  import { sensesOf } from '$core/procedure';
  import { leftOn } from '../sheet/when';

  let { log }: { log: Log } = $props();
  const runs = $derived(sensedIn(log.events));
  const rungs = $derived(sensesOf(log.context.fitOut).filter((s) => runs.some((r) => r[s.seen] !== undefined)));
</script>

<section>
  <h2 class="label">What told, min:s after the match</h2>
  {#if rungs.length}
    <table class="ruled">
      <thead
        ><tr
          ><th></th>{#each runs as _, i (i)}<th>run {i + 1}</th>{/each}</tr
        ></thead
      >
      <tbody>
        {#each rungs as s (s.seen)}
          <tr>
            <td>{s.word}</td>
            {#each runs as run, i (i)}<td class="figure">{run[s.seen] === undefined ? '–' : leftOn(run[s.seen]! * 1000)}</td>{/each}
          </tr>
        {/each}
      </tbody>
    </table>
  {:else}<p class="second">Nothing was logged of it.</p>{/if}
</section>

<style>
  section {
    margin-top: 10px;
  }
</style>
