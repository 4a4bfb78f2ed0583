<script lang="ts">
  // Name, sign-in name and password of someone who is coming in.
  import { PasswordInput, TextInput } from 'carbon-components-svelte';

  let { values, problem, field }: { values?: Record<string, string>; problem?: string; field?: string } = $props();
  const wrong = (name: string) => ({ invalid: field === name, invalidText: problem ?? '' });
</script>

<TextInput labelText="Your name" name="name" value={values?.name ?? ''} {...wrong('name')} autocomplete="name" required />
<TextInput
  labelText="Sign-in name"
  name="signIn"
  helperText="At least two characters, no spaces. An e-mail address will do."
  value={values?.signIn ?? ''}
  {...wrong('signIn')}
  autocomplete="username"
  required
/>
<PasswordInput
  labelText="Password"
  name="password"
  helperText="At least ten characters. Three or four words are easy to remember."
  {...wrong('password')}
  autocomplete="new-password"
  tooltipPosition="left"
/>
