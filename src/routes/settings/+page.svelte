<script lang="ts">
  import { enhance } from '$app/forms';
  import { keepTyped } from '$lib/form/keep-typed';
  import SignOut from '$lib/sheet/SignOut.svelte';
  import TitleBlock from '$lib/sheet/TitleBlock.svelte';
  import { zoneWords } from '$core/units';
  import { clock } from '$lib/sheet/when';
  import { Button, Checkbox, CopyButton, Select, SelectItem, TextInput } from 'carbon-components-svelte';

  let { data, form } = $props();
  const kinds = [
    ['pressure', 'Pressure', ['psi', 'bar', 'kPa']],
    ['temperature', 'Temperature', ['°C', '°F']],
    ['volume', 'Water', ['l', 'gal', 'qt']],
    ['mass', 'Weight', ['kg', 'lb']],
    ['length', 'Length', ['mm', 'in']]
  ] as const;
  const words: Record<string, string> = {
    l: 'litres',
    gal: 'imperial gallons',
    qt: 'US quarts',
    kg: 'kilograms',
    lb: 'pounds',
    mm: 'millimetres',
    in: 'inches'
  };
  const themes = [
    ['sheet', 'Sheet', 'Buff paper, for the day'],
    ['lamp', 'Lamp', 'Dark, for the night and the pump house'],
    ['sun', 'Sun', 'Black on white, for glare']
  ] as const;
  const means: Record<string, string> = {
    owner: 'everything, and who comes in',
    steward: 'running days; may override with a reason',
    operator: 'keeps engines and steams them',
    examiner: 'papers, tests; only they sign as examiner',
    trainee: 'logs in a steaming that a keeper has started'
  };
  const pick = (e: Event) => (e.currentTarget as HTMLFormElement).requestSubmit();
</script>

<svelte:head><title>Settings · Joram</title></svelte:head>
<div class="sheet">
  <TitleBlock
    cells={[
      { label: 'Member', value: data.member?.name ?? '', wide: true },
      { label: 'Roles', value: data.member?.roles.join(', ') ?? '' },
      { label: 'Club', value: data.member?.club ?? '', desk: true }
    ]}
  />
  <div class="two">
    <section class="box pad">
      <h2 class="heading">Your units</h2>
      <p class="second">What you read in. What is stored does not change.</p>
      <form method="POST" action="?/units" class="stack" use:enhance={keepTyped}>
        {#each kinds as [key, name, options] (key)}
          <Select labelText={name} name={key} selected={data.member?.units[key]}
            >{#each options as o (o)}<SelectItem value={o} text={words[o] ?? o} />{/each}</Select
          >
        {/each}
        {#if form?.at === 'units' && 'problem' in form}<p class="problem">{form.problem}</p>{/if}
        <div class="row">
          <Button type="submit">Save units</Button>{#if form?.at === 'units' && 'done' in form}<span role="status">Saved.</span>{/if}
        </div>
      </form>
    </section>
    <div class="stack">
      <section class="box pad">
        <h2 class="heading">This device</h2>
        <p class="second">The theme belongs to the device, not to you: a phone in the sun and a laptop at night differ.</p>
        <form method="POST" action="?/theme" onchange={pick}>
          <fieldset>
            <legend class="unseen">Theme</legend>
            {#each themes as [key, name, what] (key)}
              <label class:chosen={data.theme === key}
                ><input type="radio" name="theme" value={key} checked={data.theme === key} /><span class="figure">{name}</span><span
                  class="second">{what}</span
                ></label
              >
            {/each}
          </fieldset>
          <noscript><Button type="submit">Use it</Button></noscript>
        </form>
        <SignOut />
      </section>
      <section class="box pad">
        <h2 class="heading">The club’s clock</h2>
        <p class="second">
          Every time on a page, a record, a CSV and a PDF is by this clock, on every device. It is {clock(data.now)}, {zoneWords(
            data.now,
            data.zone
          )}.
        </p>
        {#if data.rights.includes('set the clock')}
          <form method="POST" action="?/zone" class="stack" use:enhance={keepTyped}>
            <TextInput
              labelText="Time zone"
              name="zone"
              list="zones"
              value={data.zone}
              helperText="Type a few letters of the nearest city."
              invalid={form?.at === 'zone' && 'problem' in form}
              invalidText={form?.at === 'zone' && 'problem' in form ? String(form.problem) : ''}
            />
            <datalist id="zones"
              >{#each data.zones as z (z)}<option value={z}></option>{/each}</datalist
            >
            <div class="row">
              <Button type="submit">Save the clock</Button>{#if form?.at === 'zone' && 'done' in form}<span role="status">Saved.</span>{/if}
            </div>
          </form>
        {/if}
      </section>
    </div>
    <section class="box pad members">
      <h2 class="heading">Members</h2>
      <table class="ruled">
        <thead><tr><th>Name</th><th>Signs in as</th><th>Roles</th></tr></thead>
        <tbody
          >{#each data.members as m (m.id)}<tr><td class="figure">{m.name}</td><td>{m.signIn}</td><td>{m.roles.join(', ')}</td></tr
            >{/each}</tbody
        >
      </table>
      {#if data.rights.includes('invite')}
        <form method="POST" action="?/invite" class="stack invite" use:enhance>
          <h3 class="figure">Let someone in</h3>
          <p class="second">A link that works once, for a fortnight. Give it to nobody else.</p>
          <div class="roles">
            {#each data.roles as role (role)}<Checkbox
                name="role"
                value={role}
                labelText="{role}: {means[role]}"
                checked={role === 'operator'}
              />{/each}
          </div>
          {#if form?.at === 'invite' && 'problem' in form}<p class="problem" role="alert">{form.problem}</p>{/if}
          {#if form?.at === 'invite' && 'link' in form}<p class="link" role="status">
              <span>{form.link}</span><CopyButton text={form.link ?? ''} />
            </p>{/if}
          <Button type="submit">Make a link</Button>
        </form>
      {/if}
    </section>
  </div>
</div>

<style>
  .two {
    display: grid;
    grid-template-columns: minmax(0, 4fr) minmax(0, 5fr) minmax(0, 7fr);
    gap: 12px;
    margin-top: 12px;
    align-items: start;
  }
  form {
    margin-top: 12px;
  }
  fieldset {
    border: 0;
    padding: 0;
    margin: 0;
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
  .invite {
    border-top: 2px solid var(--ink);
    padding-top: 12px;
  }
  .link {
    display: flex;
    gap: 8px;
    align-items: center;
    border: 1px solid var(--ink);
    padding: 4px 4px 4px 10px;
    overflow-wrap: anywhere;
  }
  @container page (max-width: 62.5rem) {
    .two {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
