import { building } from '$app/environment';
import postgres from 'postgres';
import type { Tx } from './sql/json';

const url = process.env.JORAM_APP_DATABASE_URL;

/** The serving role's connections. It sees nothing until a club has been set, and cannot change a log entry. */
export const sql = postgres(building || !url ? 'postgres://127.0.0.1:1/none' : url, {
  max: 12,
  idle_timeout: 60,
  onnotice: () => {},
  // Columns are snake in the database and camel here; what stands inside JSON is left alone.
  transform: { column: { from: postgres.toCamel, to: postgres.fromCamel } },
  types: { date: { to: 1082, from: [1082], serialize: (x: string) => x, parse: (x: string) => x } }
});

/**
 * Runs queries as one club, in one transaction. The setting ends with the transaction, so a pooled connection never
 * carries one club's right to another.
 * @param how the transaction begins, such as `isolation level repeatable read read only`
 */
export const inClub = <T>(club: string, work: (tx: Tx) => Promise<T>, how = ''): Promise<T> =>
  sql.begin(how, async (tx) => {
    // One connection answers in order, so the work's first query need not wait for this one's answer; but it must be sent
    // first, and a query is not sent before it is executed or awaited.
    const [, result] = await Promise.all([tx`select set_config('joram.club', ${club}, true)`.execute(), work(tx)]);
    return result;
  }) as Promise<T>;
