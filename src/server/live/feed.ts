import type { Entry } from '$core/log';
import { inClub, sql } from '../database';
import { type EntryRow, entriesFrom, fromTheStart, partFrom, type Place, type Reached, toEntry } from '../sql/entry';
import pLimit from 'p-limit';
import { placeSaid } from './place';
import { listen, on, onAgain } from './told';

/** THE FEED: one a club a process. Whatever becomes visible is read once, and told to every viewer who wants it. */

/** What a viewer is told: entries by steaming, and the place after which the next ones come. */
export interface News {
  readonly place: string;
  readonly entries: Readonly<Record<string, readonly Entry[]>>;
}

export interface Viewer {
  readonly club: string;
  /** The session it watches by: its end is the end of the feed. */
  readonly session: string;
  readonly until: Date;
  /** The steamings it wants; all of the club's when left out. */
  readonly wants?: ReadonlySet<string>;
  readonly tell: (news: News) => void;
  /** Resolves when it has taken most of what it was told; to false when it is gone. */
  readonly taken: () => Promise<boolean>;
  /** The way from the database to here is open. */
  readonly beat: () => void;
  readonly over: () => void;
}

interface ClubFeed {
  readonly viewers: Set<Viewer>;
  /** Where it begins is known. What was there before is each viewer's own to ask for. */
  readonly ready: Promise<unknown>;
  place: Place;
  /** What has been told of transactions that may still bring more. */
  told: Set<string>;
  reading: Promise<void> | undefined;
  again: boolean;
}
const feeds = new Map<string, ClubFeed>();
const bySession = new Map<string, Set<Viewer>>();

function sorted(rows: readonly EntryRow[], wants: ReadonlySet<string> | undefined): News['entries'] {
  const out: Record<string, Entry[]> = {};
  for (const row of rows) if (!wants || wants.has(row.steamingId)) (out[row.steamingId] ??= []).push(toEntry(row));
  return out;
}

/** Reads what is new of a club and tells it: however often it is asked for meanwhile, one query at a time. */
function read(club: string, feed: ClubFeed): Promise<void> {
  if (feed.reading) {
    feed.again = true;
    return feed.reading;
  }
  feed.reading = (async () => {
    await feed.ready;
    do {
      feed.again = false;
      const { rows, next } = await inClub(club, (tx) => entriesFrom(tx, club, feed.place));
      const fresh = rows.filter((r) => !feed.told.has(r.id));
      feed.told = new Set(rows.filter((r) => BigInt(r.xact) >= BigInt(next)).map((r) => r.id));
      feed.place = next;
      if (!fresh.length) continue;
      const place = await placeSaid(next);
      for (const viewer of feed.viewers) {
        const entries = sorted(fresh, viewer.wants);
        if (Object.keys(entries).length) viewer.tell({ place, entries });
      }
    } while (feed.again);
  })()
    // A database that is away is asked again when it has come back; until then no beat comes, and the viewers say so.
    .catch(() => {})
    .finally(() => (feed.reading = undefined));
  return feed.reading;
}

function begin(club: string): ClubFeed {
  const feed: ClubFeed = {
    viewers: new Set(),
    ready: inClub(club, async (tx) => (feed.place = (await entriesFrom(tx, club, fromTheStart, [])).next)),
    place: fromTheStart,
    told: new Set(),
    reading: undefined,
    again: false
  };
  feeds.set(club, feed);
  return feed;
}

const beatMs = 5000;
const own = crypto.randomUUID();
let started = false;
function start() {
  if (started) return;
  started = true;
  on('entries', (club) => {
    const feed = feeds.get(club);
    if (feed) void read(club, feed);
  });
  on('session', (session) => {
    for (const viewer of bySession.get(session) ?? []) viewer.over();
  });
  on('beat', (whose) => {
    if (whose !== own) return;
    const now = new Date();
    for (const { viewers } of feeds.values())
      for (const viewer of viewers)
        if (viewer.until < now) viewer.over();
        else viewer.beat();
  });
  onAgain(() => {
    for (const [club, feed] of feeds) void read(club, feed);
  });
  // Through the database and back: a beat says that a new entry would have been heard.
  const timer = setInterval(() => {
    if (feeds.size) sql`select pg_notify('joram_beat', ${own})`.catch(() => {});
  }, beatMs);
  timer.unref();
}

/** The most that is read at once of what a viewer missed, and how many are read for at a time: a whole club may come back at once. */
const part = 500;
const reading = pLimit(4);

/** Tells a viewer what it missed, in parts, as fast as it takes them. @param more whether something came meanwhile */
async function catchUp(viewer: Viewer, from: Place, more: () => boolean): Promise<void> {
  const { club, wants } = viewer;
  let reached: Reached | undefined = { place: from, seq: '0' };
  let place = from;
  do {
    const at: Reached = reached ?? { place, seq: '0' };
    const found = await reading(() => inClub(club, (tx) => partFrom(tx, club, at, part, wants && [...wants])));
    ({ reached, next: place } = found);
    viewer.tell({ place: await placeSaid(place), entries: sorted(found.rows, wants) });
    if (reached && !(await viewer.taken())) return;
  } while (reached || more());
}

/**
 * Follows a club from a place on. What was missed is told first.
 * @returns what ends it
 */
export async function follow(viewer: Viewer, from: Place): Promise<() => void> {
  start();
  await listen();
  const { club, session } = viewer;
  // What comes while the missed is being read is read with it: a place must not be given before all that lies before it.
  let came = false;
  let missed = true;
  const behind: Viewer = { ...viewer, tell: (news) => (missed ? (came = true) : viewer.tell(news)) };
  const feed = feeds.get(club) ?? begin(club);
  feed.viewers.add(behind);
  const sessions = bySession.get(session) ?? new Set();
  bySession.set(session, sessions.add(behind));
  const off = () => {
    feed.viewers.delete(behind);
    if (feed.viewers.size === 0 && feeds.get(club) === feed) feeds.delete(club);
    sessions.delete(behind);
    if (sessions.size === 0) bySession.delete(session);
  };
  try {
    await feed.ready;
    await catchUp(viewer, from, () => {
      missed = came;
      came = false;
      return missed;
    });
    return off;
  } catch (error) {
    off();
    if (feeds.get(club) === feed) feeds.delete(club);
    throw error;
  }
}

/** How many watch, and how many clubs are read for them. */
export const watched = () => ({ clubs: feeds.size, viewers: [...feeds.values()].reduce((n, f) => n + f.viewers.size, 0) });
