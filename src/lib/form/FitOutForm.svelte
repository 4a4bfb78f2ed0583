<script lang="ts">
  // The fit-out as a form beside the drawing it describes: both follow every keystroke that makes sense.
  import { fitOutField, type FitOut } from '$core/engine';
  import { plantOf } from '$core/boiler';
  import { engineFigures } from '$core/sums';
  import { checkFitOut } from '$core/engine/check';
  import { checkEngine } from '$core/sums/check';
  import { merge, type Problem } from '$core/form';
  import { unitChoice } from '../sheet/unit-choice';
  import BoilerSection from '../draw/BoilerSection.svelte';
  import Figures from '../sheet/Figures.svelte';
  import type { Outdated } from './change';
  import Clashes from './Clashes.svelte';
  import FieldEditor from './FieldEditor.svelte';
  import { placeSaid, valueSaid } from './said';
  import type { NotSaved } from './save-engine';
  import { Button } from 'carbon-components-svelte';
  import { untrack } from 'svelte';

  let {
    fitOut,
    version = 1,
    saveWord,
    onsave
  }: {
    fitOut: FitOut;
    /** Of the fit-out that is changed. */ version?: number;
    saveWord: string;
    onsave: (fitOut: FitOut, version: number) => Promise<NotSaved | void>;
  } = $props();
  /** What the server had when this was begun, or when it was last told of another's change. */
  let from = $state.raw(untrack(() => ({ fitOut, version })));
  let outdated = $state.raw<Outdated<FitOut>>();
  let document: Record<string, unknown> = $state(untrack(() => structuredClone({ ...fitOut })));
  let section = $state(0);
  let refused = $state<Problem[]>([]);
  let saving = $state(false);
  let tried = $state(false);

  const sections: readonly { name: string; keys: readonly (keyof typeof fitOutField.fields)[] }[] = [
    { name: 'Engine', keys: ['name', 'description', 'scale', 'kind', 'size', 'mass', 'workingPressure'] },
    { name: 'Boiler', keys: ['boiler', 'shell', 'fusiblePlug', 'blowDown', 'vent', 'manholes', 'mudholes', 'pace'] },
    { name: 'Gauge and glass', keys: ['gauge', 'altitude', 'tellTale', 'glasses', 'levels', 'fill', 'measures', 'runLimit'] },
    { name: 'Valves', keys: ['safetyValves', 'whistle'] },
    { name: 'Fire', keys: ['fire'] },
    { name: 'Feeds and water', keys: ['feeds', 'tanks', 'water', 'storage'] },
    {
      name: 'Cylinders and drive',
      keys: ['cylinders', 'control', 'drive', 'roams', 'circuit', 'brakes', 'exhaust', 'lamps', 'bell', 'comesOff']
    },
    { name: 'Lubrication', keys: ['lubrication'] },
    { name: 'Habits', keys: ['habits'] }
  ];
  const checked = $derived(checkEngine($state.snapshot(document)));
  const found = $derived([...('problems' in checked ? checked.problems : []), ...refused]);
  const problems = $derived(new Map(found.map((p) => [p.path, p.sentence])));
  const of = (keys: readonly string[]) => found.filter((p) => keys.includes(p.path.split('.')[0]!)).length;
  // The drawing keeps the last fit-out that made sense.
  let good = $state.raw(untrack(() => fitOut));
  $effect(() => {
    // A new engine has no name yet: that keeps it from being saved, not from being drawn.
    const drawn = 'fitOut' in checked ? checked : checkFitOut({ ...$state.snapshot(document), name: 'New engine' });
    if ('fitOut' in drawn) good = drawn.fitOut;
  });
  const figured = $derived.by(() => {
    try {
      return engineFigures({ fitOut: good, plant: plantOf(good) });
    } catch {
      return [];
    }
  });

  async function save() {
    tried = true;
    if (!('fitOut' in checked)) {
      section = Math.max(
        0,
        sections.findIndex(({ keys }) => of(keys))
      );
      return;
    }
    saving = true;
    const answer = await onsave(checked.fitOut, from.version);
    saving = false;
    outdated = answer && 'outdated' in answer ? answer.outdated : undefined;
    refused = answer && 'problems' in answer ? answer.problems : [];
    if (refused.length)
      section = Math.max(
        0,
        sections.findIndex(({ keys }) => of(keys))
      );
  }
  /** Goes on from what somebody else saved, with what was settled between the two. */
  function goOn(settled: unknown, then: Outdated<FitOut>) {
    from = { fitOut: then.theirs, version: then.version };
    document = structuredClone(settled) as Record<string, unknown>;
    outdated = undefined;
  }
</script>

<form
  class="fit-out"
  novalidate
  onsubmit={(e) => {
    e.preventDefault();
    void save();
  }}
  oninput={() => (refused = [])}
>
  {#if outdated}{@const then = outdated}{@const merged = merge(from.fitOut, then.theirs, $state.snapshot(document), fitOutField)}
    <div class="whole">
      <Clashes
        by={then.by}
        {merged}
        place={(path) => placeSaid(fitOutField, path, merged.document)}
        said={(path, value) => valueSaid(fitOutField, path, merged.document, value, unitChoice())}
        onsettled={(settled) => {
          goOn(settled, then);
          void save();
        }}
        ontheirs={() => goOn(then.theirs, then)}
      />
    </div>{/if}
  <div class="box pad left">
    <div class="tabs" role="tablist" aria-label="Parts of the fit-out">
      {#each sections as { name, keys }, i (name)}
        <button type="button" role="tab" aria-selected={section === i} onclick={() => (section = i)}
          >{name}{#if of(keys)}<span class="act wrong">■ {of(keys)}</span>{/if}</button
        >
      {/each}
    </div>
    <div role="tabpanel" aria-label={sections[section]!.name} class="fields">
      {#each sections[section]!.keys as key (key)}
        {@const field = fitOutField.fields[key]}
        <div class:whole={['group', 'list', 'union'].includes(field.type)}>
          <FieldEditor {field} bind:value={() => document[key], (v) => (document[key] = v)} path={key} {problems} />
        </div>
      {/each}
    </div>
  </div>
  <aside class="box pad right">
    <div class="row between">
      <h2 class="label">As it stands{found.length ? ', before what is wrong' : ''}</h2>
      <Button type="submit" disabled={saving || (tried && found.length > 0)}>{saving ? 'Saving' : saveWord}</Button>
    </div>
    <BoilerSection fitOut={good} figures={figured} height={300} />
    {#if found.length}
      <ul class="strip act" role="status">
        {#each found.slice(0, 4) as p (p.path + p.sentence)}<li>{p.sentence}</li>{/each}{#if found.length > 4}<li>
            and {found.length - 4} more
          </li>{/if}
      </ul>
    {/if}
    <Figures figures={figured} />
  </aside>
</form>

<style>
  form {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 480px;
    gap: 12px;
    align-items: start;
    margin-top: 12px;
  }
  .tabs {
    display: flex;
    flex-wrap: wrap;
    gap: 0 20px;
    border-bottom: 1px solid var(--ink);
    margin-bottom: 16px;
  }
  .tabs button {
    font: 600 1rem/1.2 var(--narrow);
    background: none;
    border: 0;
    border-bottom: 3px solid transparent;
    padding: 8px 0;
    color: var(--ink);
    cursor: pointer;
  }
  .tabs button[aria-selected='true'] {
    border-color: var(--ink);
  }
  .wrong {
    margin-left: 6px;
  }
  .fields {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(15rem, 1fr));
    gap: 14px 20px;
    align-items: start;
  }
  .whole {
    grid-column: 1 / -1;
  }
  .right {
    position: sticky;
    top: 8px;
  }
  @container page (max-width: 62.5rem) {
    form {
      grid-template-columns: minmax(0, 1fr);
    }
    .right {
      position: static;
    }
  }
</style>
