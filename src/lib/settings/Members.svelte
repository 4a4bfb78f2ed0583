<script lang="ts">
  // Who is in the club, and how somebody is let in.
  import { enhance } from '$app/forms';
  import { Button, Checkbox, CopyButton } from 'carbon-components-svelte';
  import type { Said } from './said';

  let {
    members,
    roles,
    mayInvite,
    said
  }: {
    members: readonly { id: string; name: string; signIn: string; roles: readonly string[] }[];
    roles: readonly string[];
    mayInvite: boolean;
    said: Said;
  } = $props();
  /** What became of copying the link. */
  let copied = $state('');
  const means: Record<string, string> = {
    owner: 'everything, and who comes in',
    steward: 'running days; may override with a reason',
    operator: 'keeps engines and steams them',
    examiner: 'papers, tests; only they sign as examiner',
    trainee: 'logs in a steaming that a keeper has started'
  };
</script>

<section class="box pad">
  <h2 class="heading">Members</h2>
  <table class="ruled">
    <thead><tr><th>Name</th><th>Signs in as</th><th>Roles</th></tr></thead>
    <tbody
      >{#each members as m (m.id)}<tr><td class="figure">{m.name}</td><td>{m.signIn}</td><td>{m.roles.join(', ')}</td></tr>{/each}</tbody
    >
  </table>
  {#if mayInvite}
    <form method="POST" action="?/invite" class="stack invite" use:enhance>
      <h3 class="figure">Let someone in</h3>
      <p class="second">A link that works once, for a fortnight. Give it to nobody else.</p>
      <div class="roles">
        {#each roles as role (role)}<Checkbox
            name="role"
            value={role}
            labelText="{role}: {means[role]}"
            checked={role === 'operator'}
          />{/each}
      </div>
      {#if said?.at === 'invite' && said.problem}<p class="problem" role="alert">{said.problem}</p>{/if}
      {#if said?.at === 'invite' && said.link}<p class="link" role="status">
          <span>{said.link}</span><CopyButton
            text={said.link}
            on:copy={() => (copied = 'Copied.')}
            on:copy:error={() => (copied = 'Not copied: mark it and copy it by hand.')}
          />
        </p>
        {#if copied}<p role="status">{copied}</p>{/if}{/if}
      <Button type="submit">Make a link</Button>
    </form>
  {/if}
</section>

<style>
  form {
    margin-top: 12px;
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
</style>
