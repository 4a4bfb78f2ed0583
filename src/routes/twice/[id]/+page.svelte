<script lang="ts">
  // Two steamings of one engine at once, side by side: a steward or an owner says which is which.
  import { enhance } from '$app/forms';
  import { printGlass, printText } from '$core/units';
  import TitleBlock from '$lib/sheet/TitleBlock.svelte';
  import { unitChoice } from '$lib/sheet/unit-choice';
  import { clock, day } from '$lib/sheet/when';

  let { data, form } = $props();
  const units = $derived(unitChoice());
  const may = $derived(data.rights.includes('override'));
  const at = (when: string | null) => (when ? clock(when) : 'no');
  const both = $derived([data.first, data.second]);
  type Side = typeof data.first;
  const rows: readonly (readonly [string, (s: Side) => string])[] = [
    ['Begun', (s) => `${day(s.startedAt)} ${clock(s.startedAt)}`],
    ['By', (s) => s.keeper],
    ['Phase', (s) => s.phase],
    ['Lit', (s) => at(s.litAt)],
    ['Fire out', (s) => at(s.outAt)],
    ['Signed', (s) => at(s.endedAt)],
    ['Last pressure', (s) => (s.pressure ? `${printText(s.pressure.value, 'pressure', units)} at ${clock(s.pressure.at)}` : 'not read')],
    ['Last glass', (s) => (s.glass ? `${printGlass(s.glass.value)} at ${clock(s.glass.at)}` : 'not read')],
    ['Entries', (s) => String(s.summary.entries)]
  ];
</script>

<svelte:head><title>{data.engine}, begun twice · Joram</title></svelte:head>
<div class="sheet stack">
  <TitleBlock
    cells={[
      { label: 'Engine', value: data.engine, wide: true },
      { label: 'State', value: 'Begun twice', abnormal: true }
    ]}
  />
  <p>
    The one heard later was begun on a device without a connection, which did not know of the other. Both are kept as they are until it is
    said what they were.
  </p>
  <div class="box pad">
    <table class="ruled">
      <thead
        ><tr
          ><th></th><th><a href="/footplate/{data.first.id}">Heard first</a></th><th
            ><a href="/footplate/{data.second.id}">Heard later</a></th
          ></tr
        ></thead
      >
      <tbody>
        {#each rows as [label, of] (label)}
          <tr
            ><th scope="row">{label}</th>{#each both as side (side.id)}<td>{of(side)}</td>{/each}</tr
          >
        {/each}
      </tbody>
    </table>
  </div>
  {#if may}
    <form class="box pad stack" method="POST" use:enhance>
      <fieldset>
        <legend class="label">What were they?</legend>
        {#each Object.entries(data.answers) as [key, says] (key)}
          <label><input type="radio" name="as" value={key} required /> <span>{says}</span></label>
        {/each}
      </fieldset>
      <p class="why">
        <label for="why">How you know. It stays in the book.</label>
        <input class="field" id="why" name="why" maxlength="300" required />
      </p>
      {#if form?.problem}<p class="problem" role="alert">{form.problem}</p>{/if}
      <p class="second">
        As one fire, every entry of the one heard later is filed with the other, in its time; nothing is changed or left out. Ask the
        keepers first.
      </p>
      <p><button class="plain go">That is how it was</button></p>
    </form>
  {:else}<p>A steward or an owner says which is which. Tell them what you know.</p>{/if}
</div>

<style>
  fieldset {
    border: 0;
    padding: 0;
    margin: 0;
    display: grid;
    gap: 4px;
  }
  fieldset label {
    display: flex;
    gap: 12px;
    align-items: center;
    min-height: 44px;
    cursor: pointer;
  }
  input[type='radio'] {
    accent-color: var(--works);
    width: 22px;
    height: 22px;
    flex: none;
  }
  .why {
    display: grid;
    gap: 4px;
    max-width: 40rem;
  }
  th[scope='row'] {
    vertical-align: baseline;
    border-bottom: 1px solid var(--rule);
  }
  tr:last-child th {
    border-bottom: 0;
  }
</style>
