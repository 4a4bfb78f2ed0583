<script lang="ts">
  // A photo into the log of a steaming: with or without a connection, the bytes before the entry that tells of them.
  import { keepPicture } from '../photo/keep';
  import Take from '../photo/Take.svelte';
  import type { Footplate } from './footplate.svelte';

  let {
    foot,
    what,
    fault,
    place,
    word
  }: { foot: Footplate; what: string; fault?: string | undefined; place?: string | undefined; word?: string | undefined } = $props();
</script>

<Take
  {word}
  ontaken={async (picture) => {
    await keepPicture(picture);
    foot.record('photo', { sum: picture.sum, what: what.slice(0, 200), ...(fault ? { fault } : {}), ...(place ? { place } : {}) });
  }}
/>
