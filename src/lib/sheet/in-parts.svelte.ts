import { flushSync, onMount } from 'svelte';

/** How far below what is looked at things are made, in screens. */
const ahead = '100%';

/**
 * What is long or far down is made a part at each rest of the page, so that no part of it holds a touch up, and only while its place is
 * within a screen of what is looked at: `<div {@attach made.place}>`. For paper and for the browser's own search all of it is made at once.
 */
export function inParts(parts = 1) {
  let done = $state(0);
  let near = false;
  let stop = () => {};
  const part = () => {
    stop = () => {};
    if (near && done < parts) {
      done++;
      next();
    }
  };
  function next() {
    stop();
    if (!near || done >= parts) return;
    if (typeof requestIdleCallback === 'undefined') {
      const timer = setTimeout(part, 20);
      stop = () => clearTimeout(timer);
    } else {
      const asked = requestIdleCallback(part, { timeout: 600 });
      stop = () => cancelIdleCallback(asked);
    }
  }
  onMount(() => {
    const whole = () => flushSync(() => (done = parts));
    const search = (e: KeyboardEvent) => (e.ctrlKey || e.metaKey) && e.key === 'f' && whole();
    addEventListener('beforeprint', whole);
    addEventListener('keydown', search);
    return () => {
      stop();
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
      const observer = new IntersectionObserver(
        (seen) => {
          near = seen.at(-1)!.isIntersecting;
          next();
        },
        // What scrolls by itself, such as the log on a desk, is looked ahead in as well.
        { rootMargin: ahead, scrollMargin: ahead }
      );
      observer.observe(node);
      return () => {
        near = false;
        observer.disconnect();
      };
    }
  };
}
