import type { Event } from './events';

/** How long the regulator was open between two moments, ms. */
export function openFor(events: readonly Event[], from: number, to: number): number {
  let [open, since, sum] = [0, from, 0];
  for (const e of events) {
    if (e.is !== 'valve' || e.valve !== 'regulator') continue;
    const at = Math.min(Math.max(Date.parse(e.at), from), to);
    if (open > 0) sum += at - since;
    [open, since] = [e.open, at];
  }
  return sum + (open > 0 ? to - since : 0);
}
