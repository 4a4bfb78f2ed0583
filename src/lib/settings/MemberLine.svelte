<script lang="ts">
  // One member: what they are, and what an owner does about it.
  import { enhance } from '$app/forms';
  import { Button, Checkbox } from 'carbon-components-svelte';
  import { age } from '../sheet/when';
  import LinkMade from './LinkMade.svelte';
  import { roleMeans } from './role-words';
  import type { Said } from './said';

  let {
    member,
    roles,
    me,
    now,
    said,
    open,
    ontoggle
  }: {
    member: { id: string; name: string; signIn: string; roles: readonly string[]; seenAt: Date | null };
    roles: readonly string[];
    me: string | undefined;
    now: number;
    said: Said;
    open: boolean;
    ontoggle: () => void;
  } = $props();
  const mine = $derived(said?.at.endsWith(` ${member.id}`) ? said : undefined);
</script>

<article>
  <button class="head" aria-expanded={open} onclick={ontoggle}>
    <span
      ><span class="figure">{member.name}</span>{#if member.id === me}<span class="second">, you</span>{/if}</span
    >
    <span>{member.roles.join(', ')}</span>
    <span class="second">{member.seenAt ? `here ${age(member.seenAt.toISOString(), now)}` : 'not signed in'}</span>
  </button>
  {#if open}
    <div class="stack body">
      <p class="second">Signs in as {member.signIn}.</p>
      <form
        method="POST"
        action="?/roles"
        class="stack"
        use:enhance={() =>
          async ({ update }) =>
            update({ reset: false })}
      >
        <input type="hidden" name="member" value={member.id} />
        <div>
          {#each roles as role (role)}<Checkbox
              name="role"
              value={role}
              labelText="{role}: {roleMeans[role]}"
              checked={member.roles.includes(role)}
            />{/each}
        </div>
        <p><Button type="submit" size="small">Keep these roles</Button></p>
      </form>
      {#if mine?.problem}<p class="problem" role="alert">{mine.problem}</p>{/if}
      {#if mine?.link}<p class="second">For a new password, once, for a day:</p>
        <LinkMade link={mine.link} />{/if}
      {#if mine?.done && !mine.link}<p role="status">Done.</p>{/if}
      <div class="acts">
        <form method="POST" action="?/reset" use:enhance>
          <input type="hidden" name="member" value={member.id} /><button class="plain">Link for a new password</button>
        </form>
        <form method="POST" action="?/out" use:enhance>
          <input type="hidden" name="member" value={member.id} /><button class="quiet">Put out</button>
        </form>
      </div>
    </div>
  {/if}
</article>

<style>
  article {
    border-top: 1px solid var(--rule);
  }
  .head {
    display: grid;
    grid-template-columns: minmax(0, 5fr) minmax(0, 4fr) minmax(0, 3fr);
    gap: 4px 12px;
    width: 100%;
    padding: 8px 0;
    font: inherit;
    background: none;
    border: 0;
    color: var(--ink);
    text-align: left;
    cursor: pointer;
  }
  .body {
    padding: 0 0 12px 12px;
  }
  .acts {
    display: flex;
    gap: 20px;
    align-items: center;
  }
</style>
