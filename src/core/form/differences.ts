/**
 * What differs between two documents, leaf by leaf, in words that a reader of the document knows: “boiler.tubes: 12 → 14”.
 * @param most how many are named; the rest is counted
 */
export function differences(before: unknown, after: unknown, most = 20): string[] {
  const found: string[] = [];
  const said = (value: unknown) => (value === undefined ? 'nothing' : typeof value === 'object' ? JSON.stringify(value) : String(value));
  const isBranch = (value: unknown): value is Record<string, unknown> => typeof value === 'object' && value !== null;
  function compare(a: unknown, b: unknown, path: string) {
    if (isBranch(a) && isBranch(b) && Array.isArray(a) === Array.isArray(b))
      for (const key of new Set([...Object.keys(a), ...Object.keys(b)])) compare(a[key], b[key], path ? `${path}.${key}` : key);
    else if (a !== b) found.push(`${path}: ${said(a)} → ${said(b)}`);
  }
  compare(before, after, '');
  return found.length > most ? [...found.slice(0, most), `and ${found.length - most} more`] : found;
}
