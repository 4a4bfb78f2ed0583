import { type Bodies, type Entry, type Kind, placed } from '$core/log';
import { timeOrderedId } from '$core/log/id';
import { aheadNow, isoOf } from './club-time';
import type { Waiting } from './waiting';

/** What somebody says, before it is an entry. */
export type Made = { readonly kind: Kind; readonly body: Bodies[Kind]; readonly strikes?: string };
/** Of what, and by whom. */
export interface MadeOn {
  readonly steaming: string;
  readonly engine: string;
  readonly member: { readonly id: string; readonly name: string };
}

/** Makes entries of what was said now, by this device's clock and what it was measured to be off. */
export function waitingOf(made: readonly Made[], { steaming, engine, member }: MadeOn): Waiting[] {
  const now = Date.now();
  const ahead = aheadNow();
  return made.map((m, i) => {
    // A millisecond apart, so that what was said in one go keeps its order.
    const said = now + i;
    const id = timeOrderedId(said, crypto.getRandomValues(new Uint8Array(10)));
    const entry = { ...m, id, ...placed(said, ahead, Infinity), by: member.name, source: 'person' } as Entry;
    return { id, steaming, engine, member: member.id, entry, said: isoOf(said), ...(ahead === undefined ? {} : { ahead }) };
  });
}
