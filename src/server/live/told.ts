import { sql } from './database';

/** The live feed: PostgreSQL tells every process of new entries, and each process tells the browsers it serves. */

interface Told {
  club: string;
  steaming: string;
  from: number;
}
type Listener = (told: Told) => void;

const listeners = new Map<string, Set<Listener>>();
let listening: Promise<unknown> | undefined;

/** Calls back whenever entries of a steaming have been stored, by any process. */
export async function onEntries(club: string, steaming: string, listener: Listener): Promise<() => void> {
  listening ??= sql
    .listen('joram_entry', (payload) => {
      const told = JSON.parse(payload) as Told;
      for (const tell of listeners.get(`${told.club} ${told.steaming}`) ?? []) tell(told);
    })
    .catch((error) => {
      listening = undefined;
      throw error;
    });
  await listening;
  const key = `${club} ${steaming}`;
  const set = listeners.get(key) ?? new Set();
  listeners.set(key, set.add(listener));
  return () => {
    set.delete(listener);
    if (set.size === 0) listeners.delete(key);
  };
}

/** Ends every feed and connection, so that the process can stop. */
const enders = new Set<() => void>();
export const whenStopping = (end: () => void) => {
  enders.add(end);
  return () => enders.delete(end);
};
process.once('sveltekit:shutdown' as never, async () => {
  for (const end of enders) end();
  await sql.end({ timeout: 1 });
});
