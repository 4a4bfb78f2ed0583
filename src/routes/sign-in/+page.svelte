<script lang="ts">
  import { Button, PasswordInput, TextInput } from 'carbon-components-svelte';
  import TitleBlock from '$lib/sheet/TitleBlock.svelte';

  let { data, form } = $props();
  const clubs = $derived([...new Set(data.demo.map((m) => m.club))]);
</script>

<svelte:head><title>Sign in · Joram</title></svelte:head>
<div class="sheet">
  <TitleBlock
    cells={[
      { label: 'Book', value: 'Joram', wide: true },
      { label: 'What it is', value: 'The steaming book that does the sums', desk: true },
      { label: 'Sheet', value: data.demo.length ? 'Sign in · demo' : 'Sign in' }
    ]}
  />
  <div class="two" class:demo={data.demo.length > 0}>
    <form method="POST" class="box pad stack">
      <h2 class="heading">Sign in</h2>
      <TextInput labelText="Sign-in name" name="name" value={form?.name ?? ''} autocomplete="username" required />
      <PasswordInput labelText="Password" name="password" autocomplete="current-password" tooltipPosition="left" />
      {#if form?.problem}<p class="problem" role="alert">{form.problem}</p>{/if}
      <Button type="submit">Sign in</Button>
      <p class="second">New to the club? Its owner can make you an invitation link.</p>
    </form>
    {#if data.demo.length}
      <form method="POST" class="box pad">
        <h2 class="heading">This is a demo</h2>
        <p>The people and engines are made up. Touch a name to come in as that member; what you do stays on this machine.</p>
        {#each clubs as club (club)}
          <p class="label club">{club}</p>
          <ul>
            {#each data.demo.filter((m) => m.club === club) as member (member.signIn)}
              <li>
                <button name="demo" value={member.signIn}
                  ><span class="figure">{member.name}</span><span class="second">{member.roles.join(', ')}</span></button
                >
              </li>
            {/each}
          </ul>
        {/each}
      </form>
    {/if}
  </div>
  <p class="second foot">
    Joram keeps the book. It does not replace looking at the glass, your club’s boiler code, the boiler examiner or licensed practice.
  </p>
</div>

<style>
  .two {
    display: grid;
    gap: 12px;
    margin-top: 12px;
    max-width: 30rem;
  }
  .two.demo {
    max-width: none;
    grid-template-columns: minmax(0, 2fr) minmax(0, 3fr);
    align-items: start;
  }
  .club {
    margin: 16px 0 4px;
  }
  li button {
    display: flex;
    justify-content: space-between;
    width: 100%;
    min-height: 48px;
    align-items: center;
    padding: 4px 8px;
    border: 0;
    border-top: 1px solid var(--rule);
    background: none;
    color: var(--ink);
    font-size: 1.0625rem;
    cursor: pointer;
  }
  li button:hover {
    background: var(--paper);
  }
  .foot {
    margin-top: 12px;
    font-size: 0.9375rem;
  }
  @container page (max-width: 43.75rem) {
    .two.demo {
      grid-template-columns: minmax(0, 1fr);
    }
    .two.demo > :last-child {
      order: -1;
    }
  }
</style>
