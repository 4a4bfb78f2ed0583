import { type Plant, plantOf, usualFill } from '../boiler';
import type { FitOut } from '../engine';
import { classHeating, type Heating } from '../forecast';
import { type Fit, fitsBySenses, heatingFrom, widthFrom } from '../learn';
import { type Measured, type RunFact, shownBy } from '../log';
import type { Procedure } from '../procedure';
import type { DayPlan } from './day';
import { type Kit, kitFor } from './kit';
import { dayNeeds, usualDuty, fillOf, type Given, isTimed, type Level, startingSum, type Used } from '../sums';
import { runningIn, type Runs, runsOf, timedPlan } from './runs';
import type { Figure } from '../units';
import { withFill } from './fill';
import { lastCoal } from './last-coal';
import { planRaise, type RaisePlan } from './raising';
import { daySheet, keptUntil, type Sheet, type Station } from './sheet';
import type { Busy } from './tasks';
import type { Engine as DayEngine } from './together';

/** What a day is planned from. */
export interface Known {
  readonly fitOut: FitOut;
  readonly procedure: Procedure;
  /** Past raisings that count, read one by one, oldest first. */
  readonly fits: readonly Fit[];
  /** How far past forecasts at the match were off, as shares of their band. */
  readonly offs?: readonly number[];
  /** Days on which fuel was weighed. */
  readonly used: readonly Used[];
  /** What its runs of past days have shown with this burner, the newest first. */
  readonly runs?: readonly RunFact[];
  /** What hands have measured on its days, the newest first. */
  readonly measured?: readonly Measured[];
}

/** A whole day sheet: the sheet, the raise it stands on, what to fill to, what to bring. */
export interface Whole {
  readonly sheet: Sheet;
  readonly raise: RaisePlan;
  readonly heating: Heating;
  readonly level: Level;
  readonly fill: number;
  /** Where nothing feeds it: its runs, with the one sum of water, fuel and time. */
  readonly runs?: Runs;
  readonly needs: readonly Figure[];
  readonly kit: readonly Kit[];
}

/** Where each time it is wanted is a run, running is those, and what lies between. */
const asRuns =
  ({ runs }: Runs) =>
  (s: Station): Station =>
    s.key === 'running' && runs.length
      ? { ...s, what: runs.length === 1 ? 'One run, over in its time' : `${runs.length} runs, each over in its time` }
      : s;

/** What its runs have shown, where there are any. */
export const shownIn = ({ fitOut, runs = [] }: Pick<Known, 'fitOut' | 'runs'>): Pick<Given, 'shown'> =>
  runs.length ? { shown: shownBy(fitOut, [], runs) } : {};

/** The engine as the model steps it and as its past makes it heat. */
export function engineOf({ fitOut, fits, offs = [], runs = [] }: Pick<Known, 'fitOut' | 'fits' | 'offs' | 'runs'>): {
  plant: Plant;
  heating: Heating;
} {
  const plant = plantOf(fitOut);
  const usual = classHeating(fitOut, plant, { water: usualFill(fitOut, plant, 288), T: 288.15 });
  // Without a needle its senses tell how it was raised; of the newest that many, oldest first.
  const heating = heatingFrom(usual, fits.length || fitOut.gauge ? fits : fitsBySenses([...runs].reverse(), usual));
  return { plant, heating: { ...heating, width: heating.width * widthFrom(offs) } };
}

export function planWhole(known: Known, asked: DayPlan, busy: Busy = {}, engine = engineOf(known)): Whole {
  const { fitOut, used } = known;
  const { plant, heating } = engine;
  const given: Given = { fitOut, plant, used, ...shownIn(known) };
  const level = startingSum(given, asked);
  const procedure = withFill(known.procedure, level, given);
  const fill = fillOf(level, plant);
  const raise = planRaise(fitOut, procedure, plant, heating, { water: asked.water, air: asked.air });
  const sheetOf = (plan: DayPlan, plain?: true) =>
    daySheet({
      procedure,
      plan: { ...plan, minutes: { ...lastCoal({ fitOut, plant, used }, plan), ...plan.minutes } },
      raise,
      busy,
      ...(plain ? { plain } : {})
    });
  const runsBy = (sheet: Pick<Sheet, 'light'>) => runsOf({ given, procedure, fill, up: raise.up }, asked, sheet);
  // An engine that is timed runs as long as its water and its charge do.
  const plan = isTimed(fitOut) ? timedPlan(asked, runsBy(sheetOf(asked, true))) : asked;
  const sheet = sheetOf(plan);
  const runs = runsBy(sheet);
  return {
    sheet: runs ? { ...sheet, after: sheet.after.map(asRuns(runs)), problems: [...sheet.problems, ...runs.problems] } : sheet,
    raise,
    heating,
    level,
    fill,
    ...(runs ? { runs } : {}),
    needs: dayNeeds(
      {
        running: runs?.runs.length ? runningIn(runs) : plan.running * 60,
        fill,
        runs: plan.wants.length,
        duty: plan.duty ?? usualDuty,
        water: plan.water,
        air: plan.air
      },
      given
    ),
    kit: kitFor(
      fitOut,
      procedure,
      runs?.runs.flatMap((r) => r.charge ?? [])
    )
  };
}

/** What a saved sheet said, for whoever looks at many of them: ms since 1970. */
export interface Planned {
  readonly begin: number;
  readonly light: number;
  readonly early: number;
  readonly middle: number;
  readonly late: number;
  readonly ready: number;
  /** Who is busy when: the keeper of a lit fire all the time. */
  readonly busy: Busy;
}

/** What never comes is not a time, and JSON has no word for it: it stands at the end of all dates. */
const asDate = (ms: number) => (Number.isFinite(ms) ? ms : 8.64e15);

export function plannedOf({ sheet }: Pick<Whole, 'sheet'>, plan: DayPlan): Planned {
  const { begin, light, steam, ready } = sheet;
  const busy: Record<string, [number, number][]> = {};
  for (const s of sheet.stations) (busy[s.who] ??= []).push([s.start, s.end]);
  (busy[plan.people.find((p) => p.as === 'keeper')!.name] ??= []).push([light, keptUntil(plan, ready)]);
  return { begin, light, early: asDate(steam.early), middle: asDate(steam.middle), late: asDate(steam.late), ready: asDate(ready), busy };
}

/** An engine of a day, as `together` takes it. */
export function dayEngine(
  { id, name, known, plan }: { id: string; name: string; known: Known; plan: DayPlan },
  { plant, heating } = engineOf(known)
): DayEngine {
  const { fitOut, procedure } = known;
  return { id, name, procedure, plan, plain: true, raise: planRaise(fitOut, procedure, plant, heating, plan) };
}
