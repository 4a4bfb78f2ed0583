import { flushSync, onMount } from 'svelte';

/** How far below what is looked at things are made, in screens. */
const ahead = '100%';

/**
 * What is long or far down is made a part at each rest of the page, so that no part of it holds a touch up, and only while its place is
 * within a screen of what is looked at: `<div {@attach made.place}>`. For paper and for the browser's own search all of it is made at once.
 */
export function inParts(parts = 1) {
  let done = $state(0);
  onMount(() => {
    const whole = () => flushSync(() => (done = parts));
    const search = (e: KeyboardEvent) => (e.ctrlKey || e.metaKey) && e.key === 'f' && whole();
    addEventListener('beforeprint', whole);
    addEventListener('keydown', search);
    return () => {
      removeEventListener('beforeprint', whole);
      removeEventListener('keydown', search);
    };
  });
  return {
    /** How many are made, from none. */
    get parts() {
      return done;
    },
    get whole() {
      return done >= parts;
    },
    /** Marks where it is made; before there is room for it, an empty place as high as what is to come. */
    place(node: Element) {
      let stop = () => {};
      const part = () => {
        done++;
        // Looked at anew: what was made may have pushed the place out of reach.
        observer.unobserve(node);
        if (done < parts) observer.observe(node);
      };
      const observer = new IntersectionObserver(
        (seen) => {
          stop();
          if (seen.at(-1)!.isIntersecting && done < parts) stop = atRest(part);
        },
        { rootMargin: ahead }
      );
      observer.observe(node);
      return () => {
        stop();
        observer.disconnect();
      };
    }
  };
}

/** Calls when the page is at rest. Gives back what calls it off. */
function atRest(then: () => void): () => void {
  if (typeof requestIdleCallback === 'undefined') {
    const timer = setTimeout(then, 20);
    return () => clearTimeout(timer);
  }
  const asked = requestIdleCallback(then, { timeout: 600 });
  return () => cancelIdleCallback(asked);
}
