<script lang="ts">
  // The boiler in section, to scale, beside the figures that follow from it.
  import type { FitOut } from '$core/engine';
  import type { Figure } from '$core/units';
  import BoilerSection from '../draw/BoilerSection.svelte';
  import Figures from '../sheet/Figures.svelte';

  let { engineId, fitOut, figures, mayEdit }: { engineId: string; fitOut: FitOut; figures: readonly Figure[]; mayEdit: boolean } = $props();
</script>

<div class="box drawing">
  <section class="pad section">
    <div class="row between">
      <h2 class="label">Boiler, in section, to scale. Levels at the glass</h2>
      <p class="row">
        {#if mayEdit}<a href="/engines/{engineId}/edit">Change the fit-out</a>{/if}
        <a href="/engines/{engineId}/fit-out.json">Export it</a>
      </p>
    </div>
    <BoilerSection {fitOut} {figures} />
  </section>
  <section class="pad figures">
    <div class="row between">
      <h2 class="label">Figure</h2>
      <span class="label">Value</span>
    </div>
    <Figures {figures} />
    <p class="second small">
      Touch a figure for its working. These come from the fit-out; they are arithmetic, not a judgement of the boiler.
    </p>
  </section>
</div>

<style>
  .drawing {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 380px;
    margin-top: 12px;
  }
  .section {
    padding-bottom: 8px;
  }
  .figures {
    border-left: 1px solid var(--rule);
  }
  .small {
    font-size: 0.9375rem;
    margin-top: 8px;
  }
  .section .row p,
  .section .row {
    font-size: 0.9375rem;
  }
  @container page (max-width: 56.25rem) {
    .drawing {
      grid-template-columns: minmax(0, 1fr);
    }
    .figures {
      border-left: 0;
      border-top: 1px solid var(--rule);
    }
  }
</style>
