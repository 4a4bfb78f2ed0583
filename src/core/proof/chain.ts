/**
 * THE CHAIN: every worksheet and signature is kept as the text it was written as, with the sum of itself and of the one before it. A byte that
 * is changed anywhere shows at that one; one that is taken out shows at the next. What stood last and is gone shows nowhere: an export that was
 * taken before it has it.
 */
export interface Link {
  readonly id: string;
  /** The document as it was written, byte for byte. */
  readonly document: string;
  /** Sum of the link before; empty for the first of a club. */
  readonly previous: string;
  readonly hash: string;
}

/** SHA-256 of a text as UTF-8, in hexadecimal: given by whoever asks, for the core has no machine. */
export type Sum = (text: string) => string;

/** A document as text: keys in order, so that one document has one text. */
export function canonical(value: unknown): string {
  if (Array.isArray(value)) return `[${value.map(canonical).join(',')}]`;
  if (value && typeof value === 'object')
    return `{${Object.entries(value)
      .filter(([, v]) => v !== undefined)
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([k, v]) => `${JSON.stringify(k)}:${canonical(v)}`)
      .join(',')}}`;
  return JSON.stringify(value);
}

/** The sum of a link. */
export const linkSum = (previous: string, document: string, sum: Sum): string => sum(`${previous}\n${document}`);

export interface Broken {
  readonly id: string;
  readonly why: string;
}

/** What is not as it was written, by link, in their order. @param links of one club, in the order in which they were written */
export function broken(links: readonly Link[], sum: Sum): Broken[] {
  const found: Broken[] = [];
  const hashes = new Map(links.map((l) => [l.id, l.hash]));
  let last = '';
  for (const { id, document, previous, hash } of links) {
    if (linkSum(previous, document, sum) !== hash) found.push({ id, why: 'its text is not what was written' });
    else if (previous !== last) found.push({ id, why: 'what was written before it is missing, or stands elsewhere' });
    else {
      const of = signed(document);
      if (of && hashes.get(of.of) !== of.hash) found.push({ id, why: 'it signs another text than the one that stands there' });
    }
    last = hash;
  }
  return found;
}

/** What a document signs, where it is a signature. */
function signed(document: string): { of: string; hash: string } | undefined {
  try {
    const read = JSON.parse(document) as { kind?: string; of?: string; hash?: string };
    return read.kind === 'signature' && read.of && read.hash ? { of: read.of, hash: read.hash } : undefined;
  } catch {
    return undefined;
  }
}
