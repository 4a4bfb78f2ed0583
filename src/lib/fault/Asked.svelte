<script lang="ts">
  // What it does, as keepers say it: what the fault's own words come nearest to, or anything that this engine can have.
  import { enhance } from '$app/forms';

  type Said = { readonly key: string; readonly says: string };
  let { symptoms, every, problem }: { symptoms: readonly Said[]; every: readonly Said[]; problem?: string | undefined } = $props();
</script>

<section class="box pad">
  <h2 class="heading">What does it do?</h2>
  <p class="second">Said as one of these, the book has causes for it and checks that part them. It may be mended without, too.</p>
  {#if problem}<p class="problem" role="alert">{problem}</p>{/if}
  {#if symptoms.length}
    <form method="POST" action="?/asked" class="asks" use:enhance>
      {#each symptoms as s (s.key)}<button class="plain" name="symptom" value={s.key}>{s.says}</button>{/each}
    </form>
  {/if}
  <form method="POST" action="?/asked" class="row" use:enhance>
    <select class="field" name="symptom" aria-label="Anything that this engine can have"
      >{#each every as s (s.key)}<option value={s.key}>{s.says}</option>{/each}</select
    ><button class="plain">It does this</button>
  </form>
</section>

<style>
  .asks {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    margin: 12px 0;
  }
</style>
