import { RateLimiterMemory, RateLimiterPostgres, RateLimiterRes } from 'rate-limiter-flexible';
import { sql } from '../database';

/** Tries of a password, counted in the database: for every process alike, and through a restart. */

/** What the limiter asks of a client, answered by ours. */
const client = {
  query: async ({ text, values = [] }: { text: string; values?: unknown[] }) => {
    const rows = await sql.unsafe(text, values as never[]);
    return { rows, rowCount: rows.count };
  }
};
const limiter = (keyPrefix: string, points: number) =>
  new RateLimiterPostgres({
    storeClient: client,
    storeType: 'client',
    tableName: 'try_limit',
    tableCreated: true,
    keyPrefix,
    points,
    duration: 900,
    clearExpiredByTimeout: false
  });

/** Wrong passwords in a quarter of an hour: ten for one name, forty from one address. */
const perName = limiter('name', 10);
const perAddress = limiter('address', 40);

/** Counts a try before it is looked at, so that many at once are counted too. @returns how to take it back; nothing when there were too many */
export async function countTry(name: string, address: string): Promise<(() => Promise<unknown>) | undefined> {
  const keys = [
    [perName, name.toLowerCase().slice(0, 120)],
    [perAddress, address.slice(0, 60)]
  ] as const;
  const answers = await Promise.allSettled(keys.map(([limit, key]) => limit.consume(key)));
  const failed = answers.find((a) => a.status === 'rejected' && a.reason instanceof Error);
  if (failed?.status === 'rejected') throw failed.reason;
  if (answers.some((a) => a.status === 'rejected')) return undefined;
  if (Math.random() < 0.01) void sql`delete from try_limit where expire < ${Date.now()}`.catch(() => {});
  return () => Promise.all(keys.map(([limit, key]) => limit.reward(key)));
}

/**
 * How much one member may ask of one process in a minute, and how many entries send: far above what a day of steaming asks, and what a
 * phone that was away for six hours sends. To share a process fairly, so each counts its own.
 */
const ofMember = (keyPrefix: string, points: number) =>
  new RateLimiterMemory({ keyPrefix, points: points * Number(process.env.JORAM_PATIENCE ?? 1), duration: 60 });
const requests = ofMember('requests', 3000);
const entries = ofMember('entries', 30_000);

async function waitFor(limit: RateLimiterMemory, member: string, points: number): Promise<number | undefined> {
  try {
    await limit.consume(member, points);
    return undefined;
  } catch (full) {
    if (!(full instanceof RateLimiterRes)) throw full;
    return Math.max(1, Math.ceil(full.msBeforeNext / 1000));
  }
}
/** Counts a request of a member. @returns how long to wait when there were too many, s */
export const askedBy = (member: string) => waitFor(requests, member, 1);
/** Counts entries that a member sends. @returns how long to wait when there were too many, s */
export const sentBy = (member: string, count: number) => waitFor(entries, member, count);
