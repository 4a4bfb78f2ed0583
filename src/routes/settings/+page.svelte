<script lang="ts">
  import Cards from '$lib/settings/Cards.svelte';
  import ClubClock from '$lib/settings/ClubClock.svelte';
  import KeptHere from '$lib/settings/KeptHere.svelte';
  import MembersHere from '$lib/settings/MembersHere.svelte';
  import PublicRule from '$lib/settings/PublicRule.svelte';
  import Password from '$lib/settings/Password.svelte';
  import type { Said } from '$lib/settings/said';
  import Theme from '$lib/settings/Theme.svelte';
  import Sessions from '$lib/settings/Sessions.svelte';
  import Units from '$lib/settings/Units.svelte';
  import TitleBlock from '$lib/sheet/TitleBlock.svelte';

  let { data, form } = $props();
  const said: Said = $derived(form);
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
    <div class="stack">
      <Units units={data.member?.units} {said} />
      <Cards cards={data.member?.cards} trainee={data.member?.roles.every((r) => r === 'trainee') ?? false} {said} />
    </div>
    <div class="stack">
      <Theme theme={data.theme} />
      <KeptHere />
      <PublicRule asked={data.feedsAsked} may={data.rights.includes('set the clock')} {said} />
      <ClubClock zone={data.zone} zones={data.zones} now={data.now} may={data.rights.includes('set the clock')} {said} />
    </div>
    <div class="stack">
      <Password {said} />
      <Sessions sessions={data.sessions} now={data.now} {said} />
      <MembersHere
        members={data.members}
        mayKeep={data.rights.includes('keep members')}
        mayRead={data.rights.includes('read what was done')}
        mayTakeOut={data.rights.includes('take the club out')}
      />
    </div>
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
  @container page (max-width: 62.5rem) {
    .two {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
