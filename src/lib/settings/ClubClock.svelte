<script lang="ts">
  // The club's time zone: every time on a page, a record, a CSV and a PDF is by it.
  import { enhance } from '$app/forms';
  import { zoneWords } from '$core/units';
  import { Button, TextInput } from 'carbon-components-svelte';
  import { keepTyped } from '../form/keep-typed';
  import { clock } from '../sheet/when';
  import type { Said } from './said';

  let { zone, zones, now, may, said }: { zone: string; zones: readonly string[]; now: number; may: boolean; said: Said } = $props();
  const problem = $derived(said?.at === 'zone' ? said.problem : undefined);
</script>

<section class="box pad">
  <h2 class="heading">The club’s clock</h2>
  <p class="second">
    Every time on a page, a record, a CSV and a PDF is by this clock, on every device. It is {clock(now)}, {zoneWords(now, zone)}.
  </p>
  {#if may}
    <form method="POST" action="?/zone" class="stack" use:enhance={keepTyped}>
      <TextInput
        labelText="Time zone"
        name="zone"
        list="zones"
        value={zone}
        helperText="Type a few letters of the nearest city."
        invalid={problem !== undefined}
        invalidText={problem ?? ''}
      />
      <datalist id="zones"
        >{#each zones as z (z)}<option value={z}></option>{/each}</datalist
      >
      <div class="row">
        <Button type="submit">Save the clock</Button>{#if said?.at === 'zone' && said.done}<span role="status">Saved.</span>{/if}
      </div>
    </form>
  {/if}
</section>

<style>
  form {
    margin-top: 12px;
  }
</style>
