import { plantOf } from '../boiler';
import {
  cellsFrom,
  cellsLeft,
  conditionKeys,
  conditions,
  fittingsOf,
  judgedWords,
  judgeSweep,
  type OccasionKey,
  overdue,
  registerOf,
  rigWords,
  type StageStands
} from '../commission';
import type { FitOut } from '../engine';
import { expectsOf } from '../learn';
import { type Begun, type Carried, type Commissioned, forbids, missedOf } from '../log';
import { compose, feedsAt, type Procedure, type Retest, withBook } from '../procedure';
import { demandOf, startingSum } from '../sums';
import { dayWords } from '../units';
import { withEnd } from './after';
import type { DayPlan } from './day';
import { withFill } from './fill';
import { lastCoal } from './last-coal';
import { type Known, shownIn } from './whole';

/** What earlier sessions left: what is on that must come off, what leaks and means stop, what was not good or not touched. A later session begins with it. */
function stillToTouch(fitOut: FitOut, { built, cells, rigs, swept, own }: Commissioned, at: string): string[] {
  const late = new Set(overdue(rigs, Date.parse(at)));
  return [
    ...Object.values(rigs).map((r) => `${rigWords(r)} is on${late.has(r) ? ', and past its time' : ''}`),
    ...judgeSweep(registerOf(fitOut, own), swept)
      .filter((j) => j.stops)
      .map((j) => `${j.place}: ${judgedWords(j, fitOut.workingPressure)}. It means stop, until it was taken apart or is seen dry`),
    ...(built ? cellsLeft(fittingsOf(fitOut), cellsFrom(cells), conditionKeys) : []).map(
      (l) => `${l.item}, ${conditions[l.in]}: ${l.how}${l.text ? `, ${l.text}` : ''}`
    )
  ].slice(0, 80);
}

/**
 * The procedure of a steaming that begins: composed for its engine, with what the club's book shows.
 * @param at ISO 8601 @param stops what stands against it, overridden or not @param left by the last steaming @param retests of what was mended
 */
export const begunWith = (
  fitOut: FitOut,
  { papers, faults, public: open, feedsAsked, occasion, before }: Begun,
  {
    at,
    stops,
    left,
    retests = []
  }: {
    readonly at: string;
    readonly stops: readonly string[];
    readonly left: readonly Carried[];
    readonly retests?: readonly Retest[] | undefined;
  }
): Procedure =>
  withBook(compose(fitOut, occasion), {
    at,
    papers: papers.map((p) => `${p.kind} to ${dayWords(p.expires)}`),
    stops,
    left: [
      ...faults.map((f) => `Open fault: ${f.text} (${forbids[f.forbids]})`),
      ...left.map((c) => `${c.what}: ${c.how}${c.reason ? `, ${c.reason}` : ''}`),
      ...(before ? stillToTouch(fitOut, before, at) : [])
    ],
    retests,
    missed: left.flatMap((c) => (c.how === 'in part' && c.reason ? missedOf(c.reason) : [])),
    ...(open ? { feeds: { asked: feedsAsked, of: feedsAt(fitOut).map((x) => x.name) } } : {})
  });

/** What the club's book holds of an engine: all that a steaming is begun from, at the server or on a device without a network. */
export interface InBook extends Pick<Begun, 'faults' | 'papers' | 'feedsAsked' | 'treated'> {
  readonly fitOut: FitOut;
  readonly known: Pick<Known, 'fits' | 'used' | 'runs' | 'measured'>;
  /** What the last steaming left. */
  readonly left: readonly Carried[];
  /** What sessions of its build have shown; of an engine that is not being built, its rigs and what was swept. */
  readonly before?: Commissioned;
  /** How its build stands; nothing where it has none. */
  readonly build?: readonly StageStands[];
  /** Fixes that have not been seen to hold; none in a book from before they were kept. */
  readonly retests?: readonly Retest[];
}

/**
 * A steaming that begins: what it is begun with, and its procedure, filled by the day's own water and air where there is a day sheet,
 * so that the step, the sheet and the drawn glass name one level.
 * @param at ISO 8601 @param stops what stands against it, overridden or not
 */
export function beginning(
  { fitOut, known, left, retests, faults, papers, feedsAsked, before, treated }: InBook,
  {
    at,
    stops,
    plan,
    public: open,
    occasion = 'running'
  }: {
    readonly at: string;
    readonly stops: readonly string[];
    readonly plan?: DayPlan | undefined;
    readonly public: boolean;
    readonly occasion?: OccasionKey | undefined;
  }
): { readonly begun: Begun; readonly procedure: Procedure } {
  const { runs = [], fits, used, measured } = known;
  const plant = plantOf(fitOut);
  // What its past has shown; its raisings and its days stand for the engine as it is now.
  const expects = expectsOf(fitOut, fits, used, measured);
  const begun: Begun = {
    public: open,
    feedsAsked,
    faults,
    papers,
    ...(occasion === 'running' ? {} : { occasion }),
    ...(before ? { before } : {}),
    ...(runs.length ? { runs } : {}),
    ...(treated ? { treated } : {}),
    ...(Object.keys(expects).length ? { expects } : {})
  };
  const filled = withFill(begunWith(fitOut, begun, { at, stops, left, retests }), startingSum({ fitOut, plant }, plan), {
    fitOut,
    plant,
    ...shownIn({ fitOut, runs })
  });
  // The last fire opens when the day sheet has it; without one, when its keeper says that the running ends.
  return {
    begun,
    procedure: plan ? withEnd(filled, { ...plan, minutes: { ...lastCoal({ fitOut, plant }, plan), ...plan.minutes } }) : filled
  };
}

/**
 * What a Footplate shows before anything was logged: what to fill to, as a glass (null for an engine without one), by the day's own water
 * and air where there is a day sheet; and the water used while it works, kg/s.
 */
export function footFigures(
  fitOut: FitOut,
  used: Known['used'],
  plan: DayPlan | null
): { readonly cold: number | null; readonly water: number } {
  const engine = { fitOut, plant: plantOf(fitOut) };
  const { fill } = startingSum(engine, plan ?? undefined);
  return { cold: fill.kind === 'glass' ? fill.value : null, water: demandOf({ ...engine, used }, plan?.duty).hour.value };
}
