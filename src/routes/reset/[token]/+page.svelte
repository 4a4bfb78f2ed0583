<script lang="ts">
  // A new password, by a link that an owner made.
  import { Button, PasswordInput } from 'carbon-components-svelte';

  let { data, form } = $props();
</script>

<svelte:head><title>A new password · Joram</title></svelte:head>
<div class="sheet narrow">
  <form method="POST" class="box pad stack">
    <h1 class="heading">A new password</h1>
    <p>{data.name}, {data.club}. You sign in as <strong>{data.signIn}</strong>.</p>
    <PasswordInput
      name="password"
      labelText="New, at least ten characters"
      autocomplete="new-password"
      invalid={form?.problem !== undefined}
      invalidText={form?.problem ?? ''}
    />
    <p class="second">You are signed out everywhere else.</p>
    <Button type="submit">Keep it and come in</Button>
  </form>
</div>

<style>
  .narrow {
    max-width: 30rem;
  }
</style>
