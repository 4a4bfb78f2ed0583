<script lang="ts">
  // How this device looks, and who is signed in on it.
  import { Button } from 'carbon-components-svelte';
  import SignOut from '../sheet/SignOut.svelte';

  let { theme }: { theme: string } = $props();
  const themes = [
    ['sheet', 'Sheet', 'Buff paper, for the day'],
    ['lamp', 'Lamp', 'Dark, for the night and the pump house'],
    ['sun', 'Sun', 'Black on white, for glare']
  ] as const;
  const pick = (e: Event) => (e.currentTarget as HTMLFormElement).requestSubmit();
</script>

<section class="box pad">
  <h2 class="heading">This device</h2>
  <p class="second">The theme belongs to the device, not to you: a phone in the sun and a laptop at night differ.</p>
  <form method="POST" action="?/theme" onchange={pick}>
    <fieldset>
      <legend class="unseen">Theme</legend>
      {#each themes as [key, name, what] (key)}
        <label class:chosen={theme === key}
          ><input type="radio" name="theme" value={key} checked={theme === key} /><span class="figure">{name}</span><span class="second"
            >{what}</span
          ></label
        >
      {/each}
    </fieldset>
    <noscript><Button type="submit">Use it</Button></noscript>
  </form>
  <SignOut />
</section>

<style>
  form {
    margin-top: 12px;
  }
  fieldset label {
    display: grid;
    grid-template-columns: auto 4rem 1fr;
    gap: 12px;
    align-items: center;
    min-height: 56px;
    border-top: 1px solid var(--rule);
    cursor: pointer;
  }
  input[type='radio'] {
    accent-color: var(--works);
    width: 20px;
    height: 20px;
  }
</style>
