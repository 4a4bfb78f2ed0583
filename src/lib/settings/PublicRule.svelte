<script lang="ts">
  // The club's rule for public running: how many feeds must have been seen to work.
  import { enhance } from '$app/forms';
  import { Button, NumberInput } from 'carbon-components-svelte';
  import { keepTyped } from '../form/keep-typed';
  import type { Said } from './said';

  let { asked, may, said }: { asked: number; may: boolean; said: Said } = $props();
  const problem = $derived(said?.at === 'feeds' ? said.problem : undefined);
</script>

<section class="box pad">
  <h2 class="heading">Public running</h2>
  <p class="second">
    Nobody is carried in public running before {asked === 1 ? 'one feed has' : `${asked} feeds have`} been seen to work that day. It holds for
    steamings begun from now on.
  </p>
  {#if may}
    <form method="POST" action="?/feeds" class="stack" use:enhance={keepTyped}>
      <NumberInput
        labelText="Proven feeds asked"
        name="feeds"
        value={asked}
        min={0}
        max={6}
        invalid={problem !== undefined}
        invalidText={problem ?? ''}
      />
      <div class="row">
        <Button type="submit">Save the rule</Button>{#if said?.at === 'feeds' && said.done}<span role="status">Saved.</span>{/if}
      </div>
    </form>
  {/if}
</section>

<style>
  form {
    margin-top: 12px;
  }
</style>
