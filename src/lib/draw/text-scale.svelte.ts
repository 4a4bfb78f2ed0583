import { onMount } from 'svelte';

/** How many times its usual size the reader has made the text: drawings leave that much more room for their words. */
export function textScale(): { readonly of: number } {
  const scale = $state({ of: 1 });
  onMount(() => {
    scale.of = parseFloat(getComputedStyle(document.documentElement).fontSize) / 16 || 1;
  });
  return scale;
}
