import type { Procedure } from '../procedure';
import type { UnitChoice } from '../units';
import type { Entry } from './entry';
import { kindOf } from './kinds';
import type { State } from './state';

/** One entry as a line of the log, in the member's units. */
export function say({ kind, body }: Pick<Entry, 'kind' | 'body'>, units: UnitChoice, procedure?: Procedure): string {
  const { says, verbatim } = kindOf(kind);
  const line = says(body as never, { units, procedure });
  return verbatim ? line : line.replace(/^\p{L}/u, (c) => c.toUpperCase());
}

/** Why the log did not bear out a tick or a match when it was told; undefined for everything else. */
export function againstOf(entry: Entry, state: State): string | undefined {
  if (entry.kind === 'fire' && entry.body.act === 'light' && state.fire.litAt === entry.at) return state.fire.against;
  if (entry.kind !== 'tick') return undefined;
  const step = state.steps[entry.body.step];
  return step?.at === entry.at ? step.against : undefined;
}

/** What the quick line understood, before it is logged. */
export const echo = ({ kind, body }: Pick<Entry, 'kind' | 'body'>, units: UnitChoice): string => {
  const { echoes, says } = kindOf(kind);
  return (echoes ?? says)(body as never, { units });
};
