<script lang="ts">
  // The register of gas joints: when each was undone last, when it was tested last, and what it did.
  import { isTight, type Joint } from '$core/log';
  import { moment } from '../sheet/when';

  let { joints }: { joints: readonly Joint[] } = $props();
</script>

<section class="box pad">
  <h2 class="label">Gas joints</h2>
  <table class="ruled">
    <thead><tr><th>From the canister</th><th>Disturbed</th><th>Tested</th></tr></thead>
    <tbody>
      {#each joints as joint (joint.name)}
        <tr>
          <td>{joint.name}</td>
          <td>{joint.disturbedAt ? moment(joint.disturbedAt) : 'never logged'}</td>
          <td class:abnormal={!isTight(joint)}
            >{!joint.testedAt
              ? '▲ never logged'
              : `${joint.result === 'fail' ? '▲ bubbled' : isTight(joint) ? 'no bubbles' : '▲ not since'}, ${moment(joint.testedAt)}, ${joint.by}`}</td
          >
        </tr>
      {/each}
    </tbody>
  </table>
  <p class="second">Each is tested before the match of each steaming. What was undone since burns nothing before it is tested again.</p>
</section>

<style>
  section {
    margin-top: 12px;
  }
  th {
    text-align: left;
  }
  .abnormal {
    font-weight: 600;
  }
  p {
    font-size: 0.9375rem;
    margin-top: 6px;
  }
</style>
