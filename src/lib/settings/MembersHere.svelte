<script lang="ts">
  // Who is in the club; an owner goes on to where they are kept.
  let {
    members,
    mayKeep,
    mayRead,
    mayTakeOut
  }: {
    members: readonly { id: string; name: string; signIn: string; roles: readonly string[] }[];
    mayKeep: boolean;
    mayRead: boolean;
    mayTakeOut: boolean;
  } = $props();
</script>

<section class="box pad stack">
  <h2 class="heading">Members</h2>
  <table class="ruled">
    <thead><tr><th>Name</th><th>Signs in as</th><th>Roles</th></tr></thead>
    <tbody
      >{#each members as m (m.id)}<tr><td class="figure">{m.name}</td><td>{m.signIn}</td><td>{m.roles.join(', ')}</td></tr>{/each}</tbody
    >
  </table>
  {#if mayKeep || mayRead || mayTakeOut}
    <p class="go-on">
      {#if mayKeep}<a class="plain" href="/members">Let in, put out, change roles</a>{/if}
      {#if mayRead}<a class="plain" href="/audit">What was done, by whom</a>{/if}
      {#if mayTakeOut}<a class="plain" href="/club.zip" download>Take the whole club out, as one file</a>{/if}
    </p>
  {/if}
</section>

<style>
  .go-on {
    display: flex;
    gap: 8px 20px;
    flex-wrap: wrap;
  }
</style>
