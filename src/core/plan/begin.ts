import type { FitOut } from '../engine';
import { type Begun, type Carried, forbids, missedOf } from '../log';
import { compose, feedsAt, type Procedure, withBook } from '../procedure';
import { dayWords } from '../units';

/**
 * The procedure of a steaming that begins: composed for its engine, with what the club's book shows.
 * @param at ISO 8601 @param stops what stands against it, overridden or not @param left by the last steaming
 */
export const begunWith = (
  fitOut: FitOut,
  { papers, faults, public: open, feedsAsked }: Begun,
  { at, stops, left }: { readonly at: string; readonly stops: readonly string[]; readonly left: readonly Carried[] }
): Procedure =>
  withBook(compose(fitOut), {
    at,
    papers: papers.map((p) => `${p.kind} to ${dayWords(p.expires)}`),
    stops,
    left: [
      ...faults.map((f) => `Open fault: ${f.text} (${forbids[f.forbids]})`),
      ...left.map((c) => `${c.what}: ${c.how}${c.reason ? `, ${c.reason}` : ''}`)
    ],
    missed: left.flatMap((c) => (c.how === 'in part' && c.reason ? missedOf(c.reason) : [])),
    ...(open ? { feeds: { asked: feedsAsked, of: feedsAt(fitOut).map((x) => x.name) } } : {})
  });
