<script lang="ts">
  // The gas joints by name: what the fluid shows at each, one touch; and one that was undone since.
  import { jointIn, jointNames } from '$core/log';
  import { clock } from '../sheet/when';
  import type { Footplate } from './footplate.svelte';

  let { foot }: { foot: Footplate } = $props();
  const joints = $derived(jointNames(foot.fitOut).map((name) => jointIn(foot.state, name)));
  const stale = ({ disturbedAt, testedAt }: (typeof joints)[number]) => !testedAt || (disturbedAt !== undefined && testedAt < disturbedAt);
</script>

<ul>
  {#each joints as joint (joint.name)}
    {@const due = stale(joint)}
    <li class:due={due || joint.result === 'fail'}>
      <p>
        <strong>{joint.name}</strong>
        <span class="second"
          >{due
            ? 'not tested'
            : joint.result === 'pass'
              ? `✓ no bubbles ${clock(joint.testedAt!)}`
              : `▲ bubbled ${clock(joint.testedAt!)}`}</span
        >
      </p>
      {#if due || joint.result === 'fail'}
        <button class="plain" onclick={() => foot.record('test', { test: joint.name, result: 'pass' })}>No bubbles</button>
        {#if due}<button class="plain" onclick={() => foot.record('test', { test: joint.name, result: 'fail' })}>Bubbles</button>{/if}
      {:else}
        <button class="quiet" onclick={() => foot.record('thing', { thing: 'gas joint', open: true, which: joint.name })}
          >Undone since</button
        >
      {/if}
    </li>
  {/each}
</ul>

<style>
  ul {
    margin: 8px 0;
  }
  li {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px;
    border-top: 1px solid var(--rule);
    padding: 6px 0;
  }
  p {
    flex: 1 1 auto;
    line-height: 1.25;
  }
  p span {
    display: block;
  }
  .due p {
    flex-basis: 100%;
  }
  button.plain {
    min-height: 48px;
    flex: 1 1 6rem;
  }
</style>
