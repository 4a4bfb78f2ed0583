import { onMount } from 'svelte';

/**
 * How often the page has been at rest since it became alive, up to a number: what is long or far down is made a part at each rest, so
 * that no part of it holds a touch up.
 */
export function atRest(parts = 1) {
  let done = $state(0);
  onMount(() => {
    let stop = () => {};
    const next = () => {
      const part = () => {
        done++;
        if (done < parts) next();
      };
      if (typeof requestIdleCallback === 'undefined') {
        const timer = setTimeout(part, 20);
        stop = () => clearTimeout(timer);
      } else {
        const asked = requestIdleCallback(part, { timeout: 600 });
        stop = () => cancelIdleCallback(asked);
      }
    };
    next();
    return () => stop();
  });
  return {
    get parts() {
      return done;
    }
  };
}
