<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { type FitOut, patterns } from '$core/engine';
  import { checkFitOut } from '$core/engine/check';
  import type { Problem } from '$core/form';
  import { printText } from '$core/units';
  import FitOutForm from '$lib/form/FitOutForm.svelte';
  import { saveEngine } from '$lib/form/save-engine';
  import TitleBlock from '$lib/sheet/TitleBlock.svelte';
  import { unitChoice } from '$lib/sheet/unit-choice';
  import { FileUploaderButton } from 'carbon-components-svelte';

  let brought = $state.raw<FitOut>();
  let wrong = $state<Problem[]>([]);

  /** A pattern is a starting point: its name is the demo's, and the owner gives their own. */
  const pattern = $derived(patterns.find((p) => p.key === page.url.searchParams.get('pattern'))?.fitOut);
  const chosen = $derived(brought ?? (pattern && { ...pattern, name: '' }));
  async function file(files: readonly File[]) {
    wrong = [];
    const [one] = files;
    if (!one) return;
    let document: unknown;
    try {
      document = JSON.parse(await one.text());
    } catch (error) {
      wrong = [{ path: one.name, sentence: `${one.name} is not JSON: ${(error as Error).message}.` }];
      return;
    }
    const checked = checkFitOut(document);
    if ('problems' in checked) wrong = checked.problems.map((p) => ({ path: p.path, sentence: `${p.path}: ${p.sentence}` }));
    else brought = checked.fitOut;
  }
</script>

<svelte:head><title>New engine · Joram</title></svelte:head>
<div class="sheet">
  <TitleBlock
    cells={[
      { label: 'Engine', value: 'New engine', wide: true },
      { label: 'Sheet', value: chosen ? 'Fit-out' : 'Choose a pattern' }
    ]}
  />
  {#if chosen}
    <FitOutForm
      fitOut={chosen}
      saveWord="Add this engine"
      onsave={async (fitOut) => {
        const saved = await saveEngine(fitOut);
        if (!('id' in saved)) return saved;
        await goto(`/engines/${saved.id}`, { invalidateAll: true });
      }}
    />
  {:else}
    <div class="two">
      <section class="box pad">
        <h2 class="heading">Start from the nearest pattern</h2>
        <p class="second">Change anything afterwards; the drawing and the figures follow as you type.</p>
        <div class="scroll">
          <table class="ruled">
            <thead><tr><th>Pattern</th><th>Boiler</th><th class="r">Working pressure</th><th></th></tr></thead>
            <tbody>
              {#each patterns as p (p.key)}
                <tr>
                  <td>{p.title}</td>
                  <td class="second">{p.fitOut.boiler.form}, {p.fitOut.shell.material}</td>
                  <td class="num">{printText(p.fitOut.workingPressure, 'pressure', unitChoice())}</td>
                  <td class="num"><a class="plain" href="?pattern={p.key}" aria-label="Start from: {p.title}">Start from it</a></td>
                </tr>
              {/each}
            </tbody>
          </table>
        </div>
      </section>
      <section class="box pad stack">
        <h2 class="heading">Or from a file</h2>
        <p class="second">A fit-out exported from Joram, as JSON.</p>
        <FileUploaderButton
          labelText="Choose a fit-out file"
          accept={['.json', 'application/json']}
          kind="tertiary"
          on:change={(e) => void file(e.detail)}
        />
        {#if wrong.length}
          <ul class="strip act" role="alert">
            {#each wrong.slice(0, 8) as p (p.path + p.sentence)}<li>{p.sentence}</li>{/each}
          </ul>
          <p class="second">Nothing was changed.</p>
        {/if}
      </section>
    </div>
  {/if}
</div>

<style>
  .two {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 320px;
    gap: 12px;
    margin-top: 12px;
    align-items: start;
  }
  .r {
    text-align: right;
  }
  td.num .plain {
    min-height: 40px;
  }
  @container page (max-width: 56.25rem) {
    .two {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
