<script lang="ts">
  // The picture that a place is held against: when it was taken, and what the walk before it had found there.
  import { leaks, type Pictured, walkWords } from '$core/commission';
  import { printMarks } from '$core/units';
  import { unitChoice } from '../sheet/unit-choice';
  import { day } from '../sheet/when';
  import Photo from './Photo.svelte';

  let { picture, wp, named = false }: { picture: Pictured; wp: number; named?: boolean } = $props();
  const found = $derived(
    picture.found ? `${leaks[picture.found.is]} ${printMarks(walkWords(picture.found.at, wp), unitChoice())}` : 'before any walk'
  );
  const words = $derived(`as it was ${day(picture.at)}, ${found}; ${picture.by}`);
</script>

<Photo sum={picture.sum} what={named ? `${picture.place}, ${words}` : `${words[0]!.toUpperCase()}${words.slice(1)}`} />
