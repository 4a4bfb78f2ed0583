import type { Procedure } from '../procedure';
import type { UnitChoice } from '../units';
import type { Entry } from './entry';
import { kindOf } from './kinds';

/** One entry as a line of the log, in the member's units. */
export function say({ kind, body }: Pick<Entry, 'kind' | 'body'>, units: UnitChoice, procedure?: Procedure): string {
  const { says, verbatim } = kindOf(kind);
  const line = says(body as never, { units, procedure });
  return verbatim ? line : line.replace(/^\p{L}/u, (c) => c.toUpperCase());
}

/** What the quick line understood, before it is logged. */
export const echo = ({ kind, body }: Pick<Entry, 'kind' | 'body'>, units: UnitChoice): string => {
  const { echoes, says } = kindOf(kind);
  return (echoes ?? says)(body as never, { units });
};
