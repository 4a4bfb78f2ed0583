import { sql } from '../database';

/** PostgreSQL tells every process what has happened, and each process tells the browsers that it serves. */

const channels = { entries: 'joram_entry', session: 'joram_session', beat: 'joram_beat' } as const;
type Channel = keyof typeof channels;

const listeners: Record<Channel, Set<(payload: string) => void>> = { entries: new Set(), session: new Set(), beat: new Set() };
const again = new Set<() => void>();
let listening: Promise<unknown> | undefined;

/** Begins to listen, once a process. When the connection was lost and is there again, whoever asked to know is told: something may have been missed. */
export function listen(): Promise<unknown> {
  return (listening ??= Promise.all(
    (Object.keys(channels) as Channel[]).map((channel) =>
      sql.listen(
        channels[channel],
        (payload) => {
          for (const tell of listeners[channel]) tell(payload);
        },
        () => {
          for (const tell of again) tell();
        }
      )
    )
  ).catch((error) => {
    listening = undefined;
    throw error;
  }));
}

/** Calls back with what is told on a channel, until the function that it gives is called. */
export function on(channel: Channel, listener: (payload: string) => void): () => void {
  listeners[channel].add(listener);
  return () => void listeners[channel].delete(listener);
}
/** Calls back whenever the listening connection is there, the first time and each time anew. */
export const onAgain = (listener: () => void) => void again.add(listener);

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
