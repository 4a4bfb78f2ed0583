import { Refusal } from '$core/units';

/**
 * The one place where text that no database takes is refused: U+0000, which no text has, and halves of characters, which a broken
 * device sends.
 */
const isText = (text: string) => !text.includes('\u0000') && text.isWellFormed();

/** The path of the first text in a document that cannot be kept; undefined when all can. */
export function unkeepable(document: unknown): string | undefined {
  const left: [path: string, value: unknown][] = [['', document]];
  for (const [path, value] of left) {
    if (typeof value === 'string' && !isText(value)) return path || 'body';
    if (typeof value !== 'object' || value === null) continue;
    for (const [key, inside] of Object.entries(value)) {
      const at = path ? `${path}.${key}` : key;
      if (!isText(key)) return path || 'body';
      left.push([at, inside]);
    }
  }
  return undefined;
}

export const unkeepableSentence = 'This holds a character that cannot be kept (U+0000, or half a character): take it out.';

/** @throws Refusal with the path of what cannot be kept */
export function checkText(document: unknown): void {
  const path = unkeepable(document);
  if (path !== undefined) throw new Refusal(path, unkeepableSentence);
}
