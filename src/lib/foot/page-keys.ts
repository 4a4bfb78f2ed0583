/** Keys that belong to the page and not to something on it that is being typed into. */
const typing = 'input, textarea, select, dialog, .bx--modal.is-visible';

/**
 * Answers a key with what it does; what it does not know goes to `others`, which says whether it did.
 * @param does by key, lower case
 */
export function answerKey(event: KeyboardEvent, does: Readonly<Record<string, () => void>>, others: (key: string) => boolean | undefined) {
  if (event.ctrlKey || event.metaKey || event.altKey || (event.target as HTMLElement).closest(typing)) return;
  // A button that went away with its answer took the focus with it: under a dialog no key but the one that shuts it is heard.
  if (event.key !== 'Escape' && document.querySelector('.bx--modal.is-visible')) return;
  const key = event.key.length === 1 ? event.key.toLowerCase() : event.key;
  const act = does[key];
  if (act) act();
  else if (!others(key)) return;
  event.preventDefault();
}

/** Puts the focus on the first thing that a selector finds. */
export const focusOn = (selector: string): void => document.querySelector<HTMLElement>(selector)?.focus();
