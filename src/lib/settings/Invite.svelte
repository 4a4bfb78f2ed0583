<script lang="ts">
  // How somebody is let in.
  import { enhance } from '$app/forms';
  import { keepTyped } from '../form/keep-typed';
  import { Button, Checkbox } from 'carbon-components-svelte';
  import LinkMade from './LinkMade.svelte';
  import { roleMeans } from './role-words';
  import type { Said } from './said';

  let { roles, said }: { roles: readonly string[]; said: Said } = $props();
  const mine = $derived(said?.at === 'invite' ? said : undefined);
</script>

<section class="box pad">
  <h2 class="heading">Let someone in</h2>
  <form method="POST" action="?/invite" class="stack" use:enhance={keepTyped}>
    <p class="second">A link that works once, for a fortnight. Give it to nobody else.</p>
    <div class="roles">
      {#each roles as role (role)}<Checkbox
          name="role"
          value={role}
          labelText="{role}: {roleMeans[role]}"
          checked={role === 'operator'}
        />{/each}
    </div>
    {#if mine?.problem}<p class="problem" role="alert">{mine.problem}</p>{/if}
    {#if mine?.link}<LinkMade link={mine.link} />{/if}
    <Button type="submit">Make a link</Button>
  </form>
</section>
