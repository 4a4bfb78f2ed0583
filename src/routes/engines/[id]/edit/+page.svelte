<script lang="ts">
  import { goto } from '$app/navigation';
  import { printText } from '$core/units';
  import FitOutForm from '$lib/form/FitOutForm.svelte';
  import { saveEngine } from '$lib/form/save-engine';
  import TitleBlock from '$lib/sheet/TitleBlock.svelte';
  import { unitChoice } from '$lib/sheet/unit-choice';

  let { data } = $props();
  const f = $derived(data.engine.fitOut);
</script>

<svelte:head><title>Fit-out of {f.name} · Joram</title></svelte:head>
<div class="sheet">
  <TitleBlock
    cells={[
      { label: 'Engine', value: f.name, wide: true, href: `/engines/${data.engine.id}` },
      { label: 'Class', value: `${f.description} · ${f.scale}`, desk: true },
      { label: 'WP', value: printText(f.workingPressure, 'pressure', unitChoice()), desk: true },
      { label: 'Sheet', value: 'Fit-out' }
    ]}
  />
  <FitOutForm
    fitOut={f}
    version={data.engine.version}
    saveWord="Save the fit-out"
    onsave={async (fitOut, version) => {
      const saved = await saveEngine(fitOut, { id: data.engine.id, version });
      if (!('id' in saved)) return saved;
      await goto(`/engines/${saved.id}`, { invalidateAll: true });
    }}
  />
</div>
