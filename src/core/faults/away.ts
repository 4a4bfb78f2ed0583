import type { Begun } from '../log';
import type { Procedure } from '../procedure';
import { Refusal } from '../units';
import { beginning, type DayPlan, type InBook, type Known } from '../plan';
import { barsOf } from './bars';
import { mayBegin, type MayBegin } from './may-begin';

/** A STEAMING BEGUN ON A DEVICE WITHOUT A CONNECTION: from what the device has heard of the club's book, by the rules of the server. */

/** The club's book as a device keeps it. */
export interface DeviceBook {
  /** When the server wrote it; ISO 8601. */
  readonly at: string;
  /** Whoever may keep an engine. */
  readonly people: readonly string[];
  readonly engines: readonly EngineInBook[];
  /** What an accumulation test is judged by, as far as the club’s rules say it; none in a book from before it was kept. */
  readonly accumulation?: { readonly rule: string; readonly over?: number; readonly lasts?: number };
}
export interface EngineInBook extends InBook {
  readonly id: string;
  /** Of its fit-out. */
  readonly version: number;
  readonly known: Pick<Known, 'fits' | 'offs' | 'used' | 'runs' | 'measured'>;
  readonly plans: readonly { readonly id: string; readonly wantedAt: string; readonly purpose: string; readonly plan: DayPlan | null }[];
  /** The steaming that is under way, when it was written. */
  readonly running: string | null;
  /** Whoever asked for it has kept this engine within the year. */
  readonly mine: boolean;
  /** Its last records. */
  readonly records: readonly string[];
}

/** How it is delivered: with all that it was begun with, so that the log says of the same steps what was ticked. */
export interface BegunAway {
  readonly engine: string;
  readonly version: number;
  /** By the device's own clock, ISO 8601, and how far ahead of the server's that was measured to be, ms. */
  readonly at: string;
  readonly ahead?: number;
  /** When the book that it was begun by was written. */
  readonly book: string;
  readonly purpose: string;
  readonly plan: string | null;
  readonly begun: Begun;
  readonly procedure: Procedure;
  /** The entry that says it in its log. */
  readonly entry: string;
  readonly override: { readonly id: string; readonly reason: string; readonly of: readonly string[] } | null;
}

/** What is asked of a device. */
export interface AskedAway extends MayBegin {
  readonly purpose: string;
  readonly public: boolean;
  /** The plan it is begun from; null for none. */
  readonly plan: string | null;
  /** By the club's clock, ISO 8601. */
  readonly at: string;
  /** What was found on this device and has not been delivered. */
  readonly faults: Begun['faults'];
}

/**
 * What a device begins a steaming with. What the server would refuse is refused here.
 * @throws Refusal with what stops the engine as `stops`
 */
export function beginAway(
  of: EngineInBook,
  asked: AskedAway
): Pick<BegunAway, 'begun' | 'procedure' | 'plan'> & { readonly stops: readonly string[] } {
  const book = { ...of, faults: [...asked.faults, ...of.faults] };
  const stops = mayBegin(book, asked);
  const planned = of.plans.find((p) => p.id === asked.plan);
  if (asked.plan !== null && !planned)
    throw new Refusal('plan', 'This device has not heard of that day sheet: begin it without one.', { code: 'missing' });
  return {
    ...beginning(book, { at: asked.at, stops, plan: planned?.plan ?? undefined, public: asked.public, occasion: asked.occasion }),
    plan: asked.plan,
    stops
  };
}

/** What stood against it and its device had not heard of: said, for it was steamed all the same. */
export const unheardOf = (
  stops: readonly string[],
  { begun, override }: Pick<BegunAway, 'begun' | 'override'>,
  today: string
): string[] => {
  const heard = new Set([...barsOf(begun, today, begun), ...(override?.of ?? [])]);
  return stops.filter((s) => !heard.has(s));
};
