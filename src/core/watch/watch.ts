import { type Entry, fold, type Log, through, whole } from '../log';
import { byControl } from '../procedure';
import { type Finding, type Rank, ranks, type Rule, type View, type Warning } from './rule';
import { rules } from './rules';
import { ms, viewOf } from './view';

/**
 * THE WATCH: the second fold. It goes over the entries of a log beside the first and keeps, rule by rule, what stands, since when, and who
 * has taken note of it. A rule says from when it holds if nothing more is said; so the watch is the same for whoever asks, whenever they
 * ask, and what will be said next is known before its time.
 */

/** What one rule has found, and whether it stands. */
interface Found {
  readonly finding: Finding;
  /** From when it has held without a break, ms since 1970. */
  readonly from: number;
  readonly stands?: {
    readonly raised: number;
    readonly said: number;
    readonly rank: Rank;
    readonly bad: number;
    readonly ack?: { readonly by: string; readonly at: number };
  };
}

/** A line of the watch’s own story. */
export interface Told {
  readonly key: string;
  readonly is: 'raised' | 'worse' | 'cleared' | 'noted';
  readonly rank: Rank;
  /** ms since 1970 */
  readonly at: number;
  readonly what: string;
  readonly by?: string;
}

interface Kept {
  readonly found: Readonly<Record<string, Found>>;
  readonly told: readonly Told[];
}

/** A log as it is watched. Immutable, as the log is. */
export interface Watch extends Kept {
  readonly log: Log;
  /** How the last entry left it; nothing before the first. */
  readonly view: View | undefined;
  /** As it stood before entry 0, 64, 128, …. */
  readonly marks: readonly Kept[];
}

const stride = 64;
const nothing: Kept = { found: {}, told: [] };
const rankOf = (rule: Rule, finding: Finding): Rank => finding.rank ?? rule.rank;
const worse = (a: Rank, b: Rank) => ranks.indexOf(a) > ranks.indexOf(b);

/** What becomes of a finding by a moment, where nothing was said until then: it is raised, or it has had its time. */
function until(rule: Rule, found: Found, now: number, told: Told[]): Found | undefined {
  const { finding, from, stands } = found;
  const over = finding.till !== undefined && finding.till <= now;
  const due = from + (rule.delay ?? 0);
  let is = stands;
  if (!is && due <= now && !(over && finding.till! <= due)) {
    const rank = rankOf(rule, finding);
    is = { raised: due, said: due, rank, bad: finding.bad ?? 0 };
    told.push({ key: rule.key, is: 'raised', rank, at: due, what: finding.what });
  }
  if (over) {
    if (is) told.push({ key: rule.key, is: 'cleared', rank: is.rank, at: finding.till!, what: finding.what });
    return undefined;
  }
  return is === stands ? found : { ...found, ...(is ? { stands: is } : {}) };
}

/** One rule, one entry more. */
function taken(rule: Rule, before: Found | undefined, view: View, entry: Entry, told: Told[]): Found | undefined {
  const now = view.at;
  const old = before && until(rule, before, now, told);
  const { key } = rule;
  const fresh = view.state.endedAt ? undefined : rule.finds(view, old?.finding);
  const stands = old?.stands;
  if (!fresh || (!stands && fresh.till !== undefined && fresh.till <= now)) {
    if (!stands || !old) return undefined;
    if (!view.state.endedAt && rule.holds?.(view, old.finding)) return noted(old, entry, key, told);
    told.push({ key, is: 'cleared', rank: stands.rank, at: now, what: old.finding.what });
    return undefined;
  }
  // It held already, and has not left off.
  const from = old && old.from <= now && fresh.from <= now ? Math.min(old.from, fresh.from) : fresh.from;
  if (!stands) return until(rule, { finding: fresh, from }, now, told);
  if (fresh.from > now) {
    if (rule.holds?.(view, old.finding)) return noted(old, entry, key, told);
    told.push({ key, is: 'cleared', rank: stands.rank, at: now, what: old.finding.what });
    return { finding: fresh, from };
  }
  const [rank, bad] = [rankOf(rule, fresh), fresh.bad ?? 0];
  const grown = worse(rank, stands.rank) || bad >= stands.bad + 1;
  if (grown) told.push({ key, is: 'worse', rank, at: now, what: fresh.what });
  const kept = grown
    ? { raised: stands.raised, said: now, rank, bad }
    : { ...stands, rank, bad: worse(stands.rank, rank) ? bad : Math.max(stands.bad, bad) };
  return noted({ finding: fresh, from, stands: kept }, entry, key, told);
}

/** That somebody has taken note of what stands: an entry, as everything else. */
function noted(found: Found, entry: Entry, key: string, told: Told[]): Found {
  if (entry.kind !== 'ack' || entry.body.rule !== key || !found.stands || found.stands.ack) return found;
  const at = ms(entry.at);
  told.push({ key, is: 'noted', rank: found.stands.rank, at, what: found.finding.what, by: entry.by });
  return { ...found, stands: { ...found.stands, ack: { by: entry.by, at } } };
}

function step(kept: Kept, view: View, entry: Entry): Kept {
  const told: Told[] = [];
  const found: Record<string, Found> = {};
  for (const rule of rules) {
    if (rule.on && !rule.on(view.fitOut)) continue;
    const is = taken(rule, kept.found[rule.key], view, entry, told);
    if (is) found[rule.key] = is;
  }
  return { found, told: told.length ? [...kept.told, ...told.sort((a, b) => a.at - b.at)] : kept.told };
}

/** Where two logs part, as a place in the newer: before it the same entries stand, and the same are struck. */
function partsAt(before: Log, log: Log): number {
  const { entries } = before;
  let place = 0;
  while (place < entries.length && place < log.entries.length && entries[place]!.id === log.entries[place]!.id) {
    const e = entries[place]!;
    if (e.at !== log.entries[place]!.at || (before.struck !== log.struck && before.struck.has(e.id) !== log.struck.has(e.id))) break;
    place++;
  }
  return place;
}

/** Watches a log, an entry at a time: a page that opens on a long one can be touched between them. */
export function* watchingOn(log: Log, before?: Watch): Generator<undefined, Watch> {
  const same = before && before.log.context === log.context ? partsAt(before.log, log) : 0;
  if (before && same === log.entries.length && same === before.log.entries.length) return { ...before, log };
  const goesOn = before !== undefined && same === before.log.entries.length && same > 0;
  // A mark hangs on the entries before it and on nothing else.
  const marks = before && same ? before.marks.filter((_, k) => k * stride <= same) : [];
  const from = goesOn ? same : Math.max(0, marks.length - 1) * stride;
  let kept: Kept = goesOn ? before : (marks.at(-1) ?? nothing);
  let view = goesOn ? before.view : undefined;
  let next = from;
  for (const stood of through(log, from)) {
    for (; next <= stood.place; next++) if (next % stride === 0 && marks.length === next / stride) marks.push(kept);
    view = viewOf(log, stood);
    kept = step(kept, view, stood.entry);
    yield;
  }
  return { log, view, marks, ...kept };
}

/** Watches a log. @param before the watch of the log before it: what has not changed is not watched again */
export const watching = (log: Log, before?: Watch): Watch => whole(watchingOn(log, before));

/** By how much it matters, then the order of the rules. */
const order = new Map(rules.map((r, i) => [r.key, i]));
const weight = (w: Pick<Warning, 'rank' | 'key'>) => -1000 * ranks.indexOf(w.rank) + order.get(w.key)!;
const byKey = new Map(rules.map((r) => [r.key, r]));

/** As it is found by a moment: what stands, and what came to stand since the last entry. */
function standingAt(watch: Watch, now: number): { rule: Rule; found: Found }[] {
  return Object.entries(watch.found).flatMap(([key, found]) => {
    const rule = byKey.get(key)!;
    const is = until(rule, found, now, []);
    return is?.stands ? [{ rule, found: is }] : [];
  });
}

/** What reached the club longer than this after it was read came late, ms. */
const longAfter = 2 * 60_000;
/** How late what was read at a moment reached the club, ms; undefined where it came at once, or has not come yet. */
function cameLate({ log }: Watch, since: string): number | undefined {
  const entry = log.entries.findLast((e) => e.at === since);
  const by = entry?.receivedAt ? ms(entry.receivedAt) - ms(entry.at) : 0;
  return by > longAfter ? by : undefined;
}

/** What is told for later than this after a moment is not of it: a clock was wrong, ms. */
const ahead = 60_000;
const asOf = new WeakMap<Log['context'], { readonly of: Log; readonly entries: number; readonly watch: Watch }>();

/** A watch without what lies in the future of a moment: entries of a clock that is ahead of whoever asks. */
function upTo(watch: Watch, now: number): Watch {
  const { log } = watch;
  const limit = new Date(now + ahead).toISOString();
  let count = log.entries.length;
  while (count > 0 && log.entries[count - 1]!.at > limit) count--;
  if (count === log.entries.length) return watch;
  // Asked again with one entry more, it goes on from where it was.
  const kept = asOf.get(log.context);
  if (kept?.of === log && kept.entries === count) return kept.watch;
  const made = watching(fold(log.context, log.entries.slice(0, count)), kept?.watch);
  asOf.set(log.context, { of: log, entries: count, watch: made });
  return made;
}

/**
 * What is the matter at a moment, worst first.
 * @param now ms since 1970
 * @param at who asks: at the engine, or away from it, where an engine that nobody looks after is another matter
 */
export function warningsOf(whole: Watch, now: number, at: 'engine' | 'away' = 'engine'): Warning[] {
  if (whole.log.state.endedAt) return [];
  const watch = upTo(whole, now);
  const { fitOut } = watch.log.context;
  const standing = standingAt(watch, now);
  const covered = new Set(standing.flatMap(({ rule }) => rule.covers ?? []));
  return standing
    .filter(({ rule }) => !covered.has(rule.key))
    .map(({ rule, found: { finding, stands } }): Warning => {
      const { raised, said, ack } = stands!;
      const late = cameLate(watch, finding.since);
      const first = typeof finding.first === 'string' ? finding.first : finding.first(now);
      return {
        ...finding,
        key: rule.key,
        rank: (at === 'away' && rule.away) || rankOf(rule, finding),
        what: byControl(finding.what, fitOut),
        first: byControl(first, fitOut),
        clears: byControl(rule.clears, fitOut),
        raised,
        said,
        ...(late === undefined ? {} : { late }),
        ...(ack ? { ack } : {})
      };
    })
    .sort((a, b) => weight(a) - weight(b));
}

/** By what a steaming was begun with: whoever asks again goes on from where it was watched last. */
const watched = new WeakMap<Log['context'], Watch>();

/** What is the matter with a steaming. @param now ms since 1970 */
export function warnings(log: Log, now: number, at?: 'engine' | 'away'): Warning[] {
  const watch = watching(log, watched.get(log.context));
  watched.set(log.context, watch);
  return warningsOf(watch, now, at);
}

/** The whole story of a watch up to a moment: what was raised and cleared, oldest first. */
export function toldBy(watch: Watch, now: number): Told[] {
  const told = [...watch.told];
  for (const [key, found] of Object.entries(watch.found)) until(byKey.get(key)!, found, now, told);
  return told.sort((a, b) => a.at - b.at);
}

/** The next moment at which something will be said, if nothing is told before; ms since 1970. */
export function nextTold(watch: Watch, now: number): { readonly at: number; readonly what: string; readonly rank: Rank } | undefined {
  if (watch.log.state.endedAt) return undefined;
  return Object.entries(watch.found)
    .flatMap(([key, { finding, from, stands }]) => {
      const rule = byKey.get(key)!;
      const at = from + (rule.delay ?? 0);
      return !stands && at > now && (finding.till ?? Infinity) > at ? [{ at, what: finding.what, rank: rankOf(rule, finding) }] : [];
    })
    .sort((a, b) => a.at - b.at)[0];
}

/** What cannot be judged, and for want of what. */
export const cannotKnow = ({ view }: Watch, now: number): { readonly key: string; readonly why: string }[] =>
  view
    ? rules.flatMap((rule) => {
        if (rule.on && !rule.on(view.fitOut)) return [];
        const why = rule.blind?.(view, now);
        return why ? [{ key: rule.key, why: byControl(why, view.fitOut) }] : [];
      })
    : [];
