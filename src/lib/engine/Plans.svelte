<script lang="ts">
  // What is planned of an engine, and where its build stands.
  import { clock, moment } from '../sheet/when';

  let {
    engine,
    plans,
    building,
    onplan
  }: {
    engine: string;
    plans: readonly {
      readonly id: string;
      readonly purpose: string;
      readonly wantedAt: Date;
      readonly planned: { readonly light: number } | null;
    }[];
    building: boolean;
    onplan: (() => void) | undefined;
  } = $props();
</script>

<section class="box pad">
  <div class="row between">
    <h2 class="label">Plan</h2>
    <p class="row">
      <a href="/build/{engine}">{building ? 'Its build' : 'Build'}</a>
      {#if onplan}<button class="quiet" onclick={onplan}>Plan a steaming</button>{/if}
    </p>
  </div>
  {#each plans as p (p.id)}
    <p>
      <a href="/day/{p.id}">{p.purpose || 'In steam'}, {moment(p.wantedAt)}</a>{#if p.planned}: light at {clock(p.planned.light)}{/if}
    </p>
  {:else}<p class="second">Nothing is planned. A day sheet says when to light, what to fill to and what to bring.</p>{/each}
</section>

<style>
  section {
    margin-top: 12px;
  }
</style>
