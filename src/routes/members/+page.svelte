<script lang="ts">
  // Who is in the club, what each may do, who was asked in, and how somebody is put out.
  import { enhance } from '$app/forms';
  import Invite from '$lib/settings/Invite.svelte';
  import MemberLine from '$lib/settings/MemberLine.svelte';
  import type { Said } from '$lib/settings/said';
  import TitleBlock from '$lib/sheet/TitleBlock.svelte';
  import { day } from '$lib/sheet/when';

  let { data, form } = $props();
  const said: Said = $derived(form);
  const here = $derived(data.members.filter((m) => !m.leftAt));
  const gone = $derived(data.members.filter((m) => m.leftAt));
  let open = $state<string>();
</script>

<svelte:head><title>Members · Joram</title></svelte:head>
<div class="sheet">
  <TitleBlock
    cells={[
      { label: 'Club', value: data.member?.club ?? '', wide: true },
      { label: 'Members', value: String(here.length) },
      { label: 'Invited', value: String(data.invitations.length) }
    ]}
  >
    {#snippet action()}<a class="plain go" href="/audit">What was done</a>{/snippet}
  </TitleBlock>
  <div class="two">
    <section class="box pad">
      <h2 class="heading">Members</h2>
      {#each here as member (member.id)}
        <MemberLine
          {member}
          roles={data.roles}
          me={data.member?.id}
          now={data.now}
          {said}
          open={open === member.id}
          ontoggle={() => (open = open === member.id ? undefined : member.id)}
        />
      {/each}
      {#if gone.length}
        <h3 class="label gone">Put out</h3>
        {#each gone as m (m.id)}
          <form method="POST" action="?/again" class="line" use:enhance>
            <input type="hidden" name="member" value={m.id} />
            <span><span class="figure">{m.name}</span> <span class="second">since {day(m.leftAt!)}</span></span>
            <button class="quiet">Let in again</button>
          </form>
        {/each}
      {/if}
    </section>
    <div class="stack">
      <Invite roles={data.roles} {said} />
      <section class="box pad">
        <h2 class="heading">Invitations that are open</h2>
        {#if said?.at === 'recall' && said.problem}<p class="problem" role="alert">{said.problem}</p>{/if}
        {#each data.invitations as i (i.hash)}
          <form method="POST" action="?/recall" class="line" use:enhance>
            <input type="hidden" name="invitation" value={i.hash} />
            <span><strong>{i.roles.join(', ')}</strong> <span class="second">by {i.by}, until {day(i.expiresAt)}</span></span>
            <button class="quiet">Recall</button>
          </form>
        {:else}
          <p class="second">None: every link that was made has been used, recalled or has run out.</p>
        {/each}
      </section>
    </div>
  </div>
</div>

<style>
  .two {
    display: grid;
    grid-template-columns: minmax(0, 7fr) minmax(0, 5fr);
    gap: 12px;
    margin-top: 12px;
    align-items: start;
  }
  .line {
    display: flex;
    justify-content: space-between;
    gap: 12px;
    border-top: 1px solid var(--rule);
    padding: 6px 0;
  }
  .gone {
    margin-top: 16px;
  }
  @container page (max-width: 62.5rem) {
    .two {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
