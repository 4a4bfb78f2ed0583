<script lang="ts">
  // How it ends: what was done, which cause that confirms and how surely, and how it is seen to hold. Nothing is mended without its retest.
  import { enhance } from '$app/forms';
  import type { FaultPage } from '$core/faults';
  import { dated } from '../sheet/when';

  let {
    page,
    rights,
    barred,
    form
  }: { page: FaultPage; rights: readonly string[]; barred: boolean; form: { at: string; field?: string; problem?: string } | null } =
    $props();
  const said = (at: string) => (form?.at === at && form.problem ? form.problem : undefined);
  const mayFix = $derived(rights.includes('fix faults') && (!barred || rights.includes('clear a bar')));
  const sures = { certain: 'certain', likely: 'likely', 'cannot be told': 'cannot be told' } as const;
  let cause = $state('');
  let retest = $state('');
  let modifies = $state(false);
  let did = $state('');
  /** What the book proposed last: it gives way to what is proposed for another cause, and never what somebody wrote. */
  let proposed = { retest: '', modifies: false };
  // The book proposes; whoever mended it says what was so.
  function propose() {
    const known = [...page.standing, ...page.excluded].find((c) => c.key === cause)?.fix;
    const next = { retest: known?.retest ?? '', modifies: known?.modifies ?? false };
    if (retest === proposed.retest) retest = next.retest;
    if (modifies === proposed.modifies) modifies = next.modifies;
    proposed = next;
  }
</script>

{#each page.fixes as fix (fix.id)}
  <div class="line">
    <p>
      <strong>{fix.did}</strong>
      <span class="second">{fix.by}, <span class="figure">{dated(fix.at)}</span>{fix.parts ? `. Parts: ${fix.parts}` : ''}</span>
    </p>
    <p class="second">
      {fix.sure === 'cannot be told' ? 'What it was cannot be told' : `It was: ${fix.causeName}, ${fix.sure}`}. Seen to be mended: {fix.retest}
    </p>
    {#if fix.modifies}<p class:act={!fix.cleared} class:second={fix.cleared}>
        {fix.cleared
          ? `A pressure part was worked on. Cleared by ${fix.cleared.by}, ${dated(fix.cleared.at)}: ${fix.cleared.note}`
          : '■ A pressure part was worked on. It is not steamed before the boiler examiner has cleared it.'}
      </p>{/if}
    {#if fix.retested}<p class:caution={fix.retested.result === 'back again'}>
        {fix.retested.result === 'holds' ? 'Holds' : '▲ Back again'}: tried by {fix.retested.by}, {dated(fix.retested.at)}{fix.retested.note
          ? `. ${fix.retested.note}`
          : ''}
      </p>{/if}
  </div>
{/each}

{#if page.stands === 'to be cleared'}
  {#if rights.includes('sign as examiner')}
    <form method="POST" action="?/cleared" class="stack" use:enhance>
      <label class="named"
        >What was examined, and how<textarea class="field" name="note" rows="3" maxlength="1000" required></textarea></label
      >
      {#if said('cleared')}<p class="problem" role="alert">{said('cleared')}</p>{/if}
      <button class="plain go">Clear it as the boiler examiner</button>
    </form>
  {:else}<p class="second">Cleared by a member who is the boiler examiner, under their own name.</p>{/if}
{:else if page.stands === 'to be tried again'}
  <form method="POST" action="?/retest" class="stack" use:enhance>
    <p>Its retest stands in this engine’s next procedure. Tried already?</p>
    <input class="field" name="note" maxlength="500" aria-label="What was seen" placeholder="What was seen" />
    <div class="row">
      <button class="plain" name="result" value="holds">It holds</button><button class="plain" name="result" value="back again"
        >It is back again</button
      >
    </div>
    {#if said('retest')}<p class="problem" role="alert">{said('retest')}</p>{/if}
  </form>
{:else if page.stands === 'open' && mayFix}
  <form method="POST" action="?/fix" class="stack" use:enhance>
    <label class="named"
      >What was done<textarea class="field" name="did" rows="2" maxlength="2000" required bind:value={did}></textarea></label
    >
    <label class="named"
      >It was<select class="field" name="cause" bind:value={cause} onchange={propose}
        ><option value="">not told</option>{#each [...page.standing, ...page.excluded] as c (c.key)}<option value={c.key}>{c.name}</option
          >{/each}</select
      ></label
    >
    <fieldset class="row">
      <legend class="label">How sure that is</legend>
      {#each Object.entries(sures) as [key, word] (key)}<label class="pick"
          ><input type="radio" name="sure" value={key} checked={key === 'cannot be told'} /> {word}</label
        >{/each}
    </fieldset>
    <label class="named">Parts<input class="field" name="parts" maxlength="300" /></label>
    <label class="named"
      >How it is seen to be mended<input class="field" name="retest" maxlength="500" required bind:value={retest} /></label
    >
    <label class="pick alone"
      ><input type="checkbox" name="modifies" value="yes" bind:checked={modifies} /> A pressure part was worked on</label
    >
    {#if said('fix')}<p class="problem" role="alert">{said('fix')}</p>{/if}
    <button class="plain go">It is mended</button>
  </form>
{:else if page.stands === 'open'}<p class="second">
    {barred ? 'Cleared by a steward, an owner or the examiner.' : 'A keeper says that it is mended.'}
  </p>{/if}

<style>
  .line {
    border-top: 1px solid var(--rule);
    padding: 8px 0;
    line-height: 1.35;
  }
  .named {
    display: grid;
    gap: 4px;
    font-size: 0.9375rem;
  }
  .pick {
    display: inline-flex;
    gap: 8px;
    align-items: center;
    min-height: 44px;
  }
  .alone {
    display: flex;
  }
  input[type='radio'],
  input[type='checkbox'] {
    width: 20px;
    height: 20px;
    accent-color: var(--works);
  }
  fieldset {
    border: 0;
    padding: 0;
  }
  textarea.field {
    padding: 8px;
  }
</style>
