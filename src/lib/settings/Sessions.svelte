<script lang="ts">
  // Where a member is signed in, and how to end it there.
  import { enhance } from '$app/forms';
  import { age, day } from '../sheet/when';
  import type { Said } from './said';

  let {
    sessions,
    now,
    said
  }: {
    sessions: readonly { hash: string; agent: string; createdAt: Date; seenAt: Date; here: boolean }[];
    now: number;
    said: Said;
  } = $props();
  /** What a browser says of itself, short: its own name and the system it runs on. */
  const systems = ['Android', 'iPhone', 'iPad', 'Windows', 'Macintosh', 'Linux'] as const;
  const deviceOf = (agent: string) => {
    const system = systems.find((s) => agent.includes(s));
    return system === undefined ? 'a device that does not say what it is' : system === 'Macintosh' ? 'a Mac' : `a browser on ${system}`;
  };
</script>

<section class="box pad stack">
  <h2 class="heading">Signed in on</h2>
  {#if said?.at === 'session' && said.problem}<p class="problem" role="alert">{said.problem}</p>{/if}
  <ul>
    {#each sessions as s (s.hash)}
      <li>
        <span
          >{deviceOf(s.agent)},
          <span class="second">since {day(s.createdAt)}, {s.here ? 'this one' : `used ${age(s.seenAt.toISOString(), now)}`}</span></span
        >
        {#if !s.here}<form method="POST" action="?/session" use:enhance>
            <input type="hidden" name="session" value={s.hash} /><button class="quiet">End it</button>
          </form>{/if}
      </li>
    {/each}
  </ul>
</section>

<style>
  li {
    display: flex;
    justify-content: space-between;
    gap: 12px;
    border-top: 1px solid var(--rule);
    padding: 4px 0;
  }
</style>
