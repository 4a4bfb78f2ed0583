import type { DayPlan } from './day';
import { daySheet, keptUntil, type Sheet, type SheetInput } from './sheet';
import type { Busy } from './tasks';

/** One engine of a day on which several share people and steaming bays. */
export interface Engine extends Omit<SheetInput, 'busy' | 'notBefore' | 'leaveBy'> {
  readonly id: string;
  readonly name: string;
}
export interface Placed {
  readonly id: string;
  readonly name: string;
  readonly sheet: Sheet;
  /** Number of its steaming bay, from 1; undefined when there is none free for it. */
  readonly bay?: number;
  readonly problems: readonly string[];
}

const spansOf = ({ stations, light, ready }: Sheet, plan: DayPlan, keeper: string): Record<string, (readonly [number, number])[]> => {
  const spans: Record<string, (readonly [number, number])[]> = {};
  for (const s of stations) (spans[s.who] ??= []).push([s.start, s.end]);
  // A lit fire is never left: its keeper is there from the match until the running is over.
  (spans[keeper] ??= []).push([light, keptUntil(plan, ready)]);
  return spans;
};

/**
 * Plans engines in the order in which they are wanted, each around those before it: whoever is at one engine is not at
 * another, and a bay that is taken is left in time or the engine behind it is brought up earlier.
 * @param bays steaming bays there are
 */
export function together(engines: readonly Engine[], bays: number): Placed[] {
  const order = [...engines].sort((a, b) => Date.parse(a.plan.wants[0]!.at) - Date.parse(b.plan.wants[0]!.at));
  const busy: Record<string, (readonly [number, number])[]> = {};
  const taken: { from: number; to: number; bay: number }[] = [];
  return order.map((engine): Placed => {
    const keeper = engine.plan.people.find((p) => p.as === 'keeper')!.name;
    const plan = (leaveBy?: number) => daySheet({ ...engine, busy: busy as Busy, ...(leaveBy === undefined ? {} : { leaveBy }) });
    const freeBay = (s: Sheet) => {
      for (let bay = 1; bay <= bays; bay++) if (!taken.some((t) => t.bay === bay && t.from < s.ready && s.begin < t.to)) return bay;
      return undefined;
    };
    let sheet = plan();
    let bay = freeBay(sheet);
    // No bay while it would be wanted: it stands in one earlier, and is ready before that one is taken.
    for (const t of [...taken].sort((a, b) => b.from - a.from)) {
      if (bay !== undefined) break;
      const earlier = plan(t.from);
      if (earlier.ready <= t.from && (bay = freeBay(earlier)) !== undefined) sheet = earlier;
    }
    const problems = [...sheet.problems];
    if (bay === undefined) {
      const until = Math.min(...taken.filter((t) => t.from < sheet.ready && sheet.begin < t.to).map((t) => t.to));
      problems.push(`All ${bays} steaming bays are taken while ${engine.name} would be raised: the first is free at {at:${until}}.`);
    } else taken.push({ from: sheet.begin, to: sheet.ready, bay });
    for (const [who, spans] of Object.entries(spansOf(sheet, engine.plan, keeper))) (busy[who] ??= []).push(...spans);
    return { id: engine.id, name: engine.name, sheet, ...(bay === undefined ? {} : { bay }), problems };
  });
}
