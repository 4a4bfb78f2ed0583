import { onMount } from 'svelte';
import { clubNow } from '../outbox/club-time';

/** The time, ticking: what ages on a page depends on it. Starts from the server's clock so that both render the same. */
export function ticking(start: number, everyMs = 5000) {
  let now = $state(start);
  onMount(() => {
    now = clubNow();
    const timer = setInterval(() => (now = clubNow()), everyMs);
    return () => clearInterval(timer);
  });
  return {
    get now() {
      return now;
    }
  };
}
