<script lang="ts">
  // A member's own password.
  import { enhance } from '$app/forms';
  import { Button, PasswordInput } from 'carbon-components-svelte';
  import type { Said } from './said';

  let { said }: { said: Said } = $props();
  const mine = $derived(said?.at === 'password' ? said : undefined);
</script>

<section class="box pad stack">
  <h2 class="heading">Password</h2>
  <form method="POST" action="?/password" class="stack" use:enhance>
    <PasswordInput
      name="old"
      labelText="As it is now"
      autocomplete="current-password"
      invalid={mine?.field === 'old'}
      invalidText={mine?.problem ?? ''}
    />
    <PasswordInput
      name="password"
      labelText="New, at least ten characters"
      autocomplete="new-password"
      invalid={mine?.problem !== undefined && mine.field !== 'old'}
      invalidText={mine?.problem ?? ''}
    />
    {#if mine?.done}<p role="status">Changed. You are signed out on every other device.</p>{/if}
    <Button type="submit">Change the password</Button>
  </form>
</section>
