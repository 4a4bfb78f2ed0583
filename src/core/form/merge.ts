import type { Field } from './fields';

/** One place of a document that two people changed, each to something else, from what both had before them. */
export interface Clash {
  /** Keys from the root, joined with dots. */
  readonly path: string;
  readonly was: unknown;
  readonly theirs: unknown;
  readonly mine: unknown;
}
export interface Merged {
  /** What each side changed alone, taken from both; where they clash, mine. */
  readonly document: unknown;
  readonly clashes: readonly Clash[];
  /** Places that they changed and I did not, and that are taken as theirs. */
  readonly taken: readonly Pick<Clash, 'path' | 'was' | 'theirs'>[];
}

type Branch = Record<string, unknown>;
const isBranch = (x: unknown): x is Branch => typeof x === 'object' && x !== null && !Array.isArray(x);
const same = (a: unknown, b: unknown): boolean => a === b || JSON.stringify(ordered(a)) === JSON.stringify(ordered(b));
/** The order of keys means nothing, for a database gives them back in its own; nor does a key that has no value. */
const ordered = (x: unknown): unknown =>
  Array.isArray(x)
    ? x.map(ordered)
    : isBranch(x)
      ? Object.fromEntries(
          Object.keys(x)
            .sort()
            .map((k) => [k, ordered(x[k])])
        )
      : x;

/**
 * Merges two changes of one document: the three-way merge of version control, by the leaves of a document instead of lines.
 * @param was what both began with
 * @param field what describes the document; without it a union whose case was changed is merged like any object
 */
export function merge(was: unknown, theirs: unknown, mine: unknown, field?: Field): Merged {
  const clashes: Clash[] = [];
  const taken: Pick<Clash, 'path' | 'was' | 'theirs'>[] = [];
  function at(a: unknown, b: unknown, c: unknown, path: string, f: Field | undefined): unknown {
    if (same(b, c) || same(a, b)) return c;
    const inside = (key: string) => (path ? `${path}.${key}` : key);
    if (isBranch(a) && isBranch(b) && isBranch(c) && oneCase(f, [a, b, c])) {
      const fields = fieldsOf(f, c);
      const keys = [...new Set([...Object.keys(c), ...Object.keys(b)])];
      return Object.fromEntries(
        keys.flatMap((key) => {
          const value = at(a[key], b[key], c[key], inside(key), fields?.[key]);
          return value === undefined ? [] : [[key, value]];
        })
      );
    }
    const lists = Array.isArray(a) && Array.isArray(b) && Array.isArray(c) ? ([a, b, c] as const) : undefined;
    if (lists?.every((l) => l.length === lists[0].length && l.every(isBranch)))
      return lists[2].map((_, i) => at(lists[0][i], lists[1][i], lists[2][i], inside(String(i)), f?.type === 'list' ? f.of : undefined));
    const both = same(a, c) ? b : lists && asSet(...lists);
    if (both !== undefined || same(a, c)) {
      taken.push({ path, was: a, theirs: b });
      return both;
    }
    clashes.push({ path, was: a, theirs: b, mine: c });
    return c;
  }
  return { document: at(was, theirs, mine, '', field), clashes, taken };
}

/** What is one thing or another is merged inside only while it is the same thing for all. */
const oneCase = (field: Field | undefined, [a, b, c]: [Branch, Branch, Branch]) =>
  field?.type !== 'union' || (a[field.by] === b[field.by] && b[field.by] === c[field.by]);
const fieldsOf = (field: Field | undefined, document: Branch): Readonly<Record<string, Field>> | undefined =>
  field?.type === 'group' ? field.fields : field?.type === 'union' ? field.cases[String(document[field.by])]?.fields : undefined;

/** Lists that grew or shrank: each side's additions and removals. Nothing when both replaced one item, for which of the two is not ours to say. */
function asSet(was: readonly unknown[], theirs: readonly unknown[], mine: readonly unknown[]): unknown[] | undefined {
  const has = (list: readonly unknown[], item: unknown) => list.some((x) => same(x, item));
  const added = theirs.filter((x) => !has(was, x));
  const bothReplaced = was.some((x) => !has(theirs, x) && !has(mine, x)) && added.length && mine.some((x) => !has(was, x));
  if (bothReplaced) return undefined;
  return [...mine.filter((x) => !has(was, x) || has(theirs, x)), ...added.filter((x) => !has(mine, x))];
}

/** A document with another value at a path; undefined takes the key out. */
export function put(document: unknown, path: string, value: unknown): unknown {
  const [key, ...rest] = path.split('.');
  if (!path || key === undefined) return value;
  const next = rest.length ? put((document as Branch)[key], rest.join('.'), value) : value;
  if (Array.isArray(document)) return document.map((x, i) => (String(i) === key ? next : x));
  const { [key]: _, ...others } = document as Branch;
  return next === undefined ? others : { ...others, [key]: next };
}
