<script lang="ts">
  // One engine, two steamings at once: each was begun where the other was not known of. Somebody says which is which.
  import { clock } from '../sheet/when';

  let {
    twice,
    may
  }: {
    twice: readonly { id: string; engine: string; startedAt: string; keeper: string; other: { startedAt: string; keeper: string } }[];
    may: boolean;
  } = $props();
</script>

{#each twice as t (t.id)}
  <p class="strip">
    <strong>{t.engine}</strong> was begun twice: by {t.other.keeper} at {clock(t.other.startedAt)}, and by {t.keeper} at {clock(
      t.startedAt
    )} without a connection. <a href="/twice/{t.id}">{may ? 'Say which is which' : 'Look at both'}</a>
  </p>
{/each}
