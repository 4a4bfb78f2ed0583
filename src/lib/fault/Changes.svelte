<script lang="ts">
  // One change, then a try. A second one before that is asked about, for afterwards nobody can tell which of the two did it.
  import { enhance } from '$app/forms';
  import type { FaultPage } from '$core/faults';
  import { dated } from '../sheet/when';

  let { page, form }: { page: FaultPage; form: { at: string; field?: string; problem?: string } | null } = $props();
  const open = $derived(page.stands === 'open');
  const both = $derived(form?.at === 'changed' && form.field === 'both');
  const tried = { gone: 'gone', better: 'better', 'as before': 'as before' } as const;
</script>

{#each page.changes as change (change.id)}
  <div class="line">
    <p>
      <strong class:gone={change.undone}>{change.what}</strong>
      <span class="second"
        >{change.by}, <span class="figure">{dated(change.at)}</span>{change.causeName ? `. For: ${change.causeName}` : ''}</span
      >
    </p>
    <p class="second">
      {change.undone ? `Put back ${dated(change.undone)}` : change.tried ? `Tried: ${change.tried}` : 'Not tried since'}
    </p>
    {#if open && !change.undone}
      <form method="POST" action="?/undone" use:enhance>
        <input type="hidden" name="entry" value={change.id} /><button class="quiet">It was put back</button>
      </form>
    {/if}
  </div>
{/each}
{#each page.untold as words (words.join())}
  <p class="caution">▲ Changed together, so that they cannot be told apart any more: {words.join('; ')}.</p>
{/each}
{#if open && page.untried}
  <form method="POST" action="?/tried" class="try" use:enhance>
    <p>Try it now. What does it do since?</p>
    <div class="row">
      {#each Object.entries(tried) as [key, word] (key)}<button class="plain" name="result" value={key}>{word}</button>{/each}
    </div>
  </form>
{/if}
{#if open}
  <form method="POST" action="?/changed" class="change" use:enhance>
    <input class="field" name="what" maxlength="500" required aria-label="What was changed" placeholder="What was changed, one thing" />
    <label
      >For
      <select class="field" name="cause"
        ><option value="">not said</option>{#each page.standing.filter((c) => c.fix) as c (c.key)}<option value={c.key}>{c.name}</option
          >{/each}</select
      ></label
    >
    {#if both}<label class="both"><input type="checkbox" name="both" value="yes" /> Keep both changes, untried</label>{/if}
    <button class="plain">Log the change</button>
    {#if form?.at === 'changed' && form.problem}<p class="problem" role="alert">{form.problem}</p>{/if}
  </form>
{/if}

<style>
  .line {
    border-top: 1px solid var(--rule);
    padding: 8px 0;
  }
  .gone {
    text-decoration: line-through;
  }
  .try {
    display: grid;
    gap: 8px;
    padding: 8px 0;
  }
  .change {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    align-items: center;
    padding-top: 8px;
  }
  .field {
    flex: 1 1 14rem;
    max-width: 100%;
  }
  .change label {
    flex: 1 1 14rem;
    min-width: 0;
    display: flex;
    gap: 8px;
    align-items: center;
  }
  .both input {
    width: 20px;
    height: 20px;
    accent-color: var(--works);
  }
  .both {
    display: flex;
    gap: 8px;
    align-items: center;
    min-height: 44px;
  }
  .problem {
    flex-basis: 100%;
  }
</style>
