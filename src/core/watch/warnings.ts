import type { FitOut } from '../engine';
import { feedsProven, type State } from '../log';
import { byControl, feedsAt } from '../procedure';
import { fireOut, less } from './drills';
import { feedNow } from './feeds';
import type { Rule, Warning } from './rule';
import { sags } from './sags';
import { flames, timed } from './timed';
import { isLevel, mark, printGlass, psi } from '../units';

/** How often the glass is looked at while there is fire, by size of engine, ms. */
export const glance: Record<FitOut['size'], number> = { tabletop: 3 * 60_000, small: 3 * 60_000, medium: 5 * 60_000, full: 10 * 60_000 };

/** Drains stay open for the first few turns; after this long they were forgotten, or their shutting was not logged, ms. */
const drainsLeft = 10 * 60_000;

/** A feed running wants the glass looked at sooner, ms. */
const whileFeeding = 2 * 60_000;

export const inSteam = (state: State): boolean => state.fire.litAt !== undefined && state.fire.outAt === undefined;

/** A needle under this is at nothing, Pa at the gauge. */
const atNothing = psi(3);
/** It has its keeper until the pressure is gone, and not until the fire is out. */
export const attended = (state: State): boolean =>
  inSteam(state) || (state.fire.litAt !== undefined && state.pressure !== undefined && state.pressure.value > atNothing);

/** When the glass is next due to be looked at, ms since 1970; undefined while there is no fire or no glass. */
export function nextGlance(fitOut: FitOut, state: State): number | undefined {
  if (!attended(state) || fitOut.glasses.length === 0) return undefined;
  const feeding = Object.values(state.feeds).some((f) => f.on && f.to !== 'tank');
  return Date.parse(state.glass?.at ?? state.fire.litAt!) + (feeding ? Math.min(whileFeeding, glance[fitOut.size]) : glance[fitOut.size]);
}

/** The rules, worst first. Each looks at one thing. */
const rules: readonly Rule[] = [
  ...timed.slice(0, 2),
  ...flames.slice(0, 1),
  (f, state) =>
    state.glass && !isLevel(state.glass.value) && state.glass.value !== 'top nut' && attended(state)
      ? {
          key: 'no water',
          rank: 'act now',
          what: state.glass.value === 'not seen' ? 'No water seen in the glass' : 'Water in the bottom nut: level unknown and low',
          first: `Low-water drill. ${feedsAt(f).length ? 'Do not feed.' : fireOut[f.fire.with]}`,
          since: state.glass.at
        }
      : undefined,
  (f, state) => {
    const { fire, glass, steps } = state;
    if (!fire.already || !fire.against || !inSteam(state)) return undefined;
    // Water seen since then is what can still be proven; without a glass, the step that says how much is in.
    const seen = f.glasses.length ? glass && isLevel(glass.value) && glass.at : steps['water-and-valves']?.at;
    if (seen && seen > fire.litAt!) return undefined;
    return {
      key: 'lit unproven',
      rank: 'act now',
      what: 'Fire in before water and valves were proven',
      first: f.glasses.length
        ? 'Look at the glass and at the valves now, and log the glass. No water in it: the low-water drill.'
        : 'Look at the valve now. If you do not know how much water is in, put the fire out.',
      since: fire.litAt!
    };
  },
  (f, state) =>
    state.pressure && state.pressure.value > f.workingPressure * 1.1
      ? {
          key: 'over pressure',
          rank: 'act now',
          what: `Pressure more than a tenth over ${mark(f.workingPressure, 'pressure')}`,
          first: `${less(f) ?? fireOut[f.fire.with]} People back.${feedsAt(f).length && state.glass && isLevel(state.glass.value) ? ' Feed: the glass shows water.' : ''}`,
          since: state.pressure.at
        }
      : undefined,
  (f, state) =>
    state.glass && isLevel(state.glass.value) && state.glass.value <= f.levels.lowest && attended(state)
      ? {
          key: 'low',
          rank: 'look',
          what: `Glass at ${printGlass(state.glass.value)}: at or under its lowest running level`,
          first: feedNow(f, state),
          since: state.glass.at
        }
      : undefined,
  (f, state) => {
    const { fire, kind } = f;
    const bar = state.faults.find((x) => x.forbids === 'steaming' && !x.clearedAt);
    return bar && inSteam(state)
      ? {
          key: 'barred',
          rank: 'look',
          what: `Not to be steamed: “${bar.text}”`,
          first: `Run it down: ${[
            fire.with === 'solid' ? 'nothing more on the fire' : 'fire down',
            ...(kind === 'tank locomotive' || kind === 'tender locomotive' ? ['nobody carried'] : []),
            ...(feedsAt(f).length ? ['water kept up'] : []),
            'then fire out'
          ].join(', ')}. An owner, a steward or an examiner clears it.`,
          since: bar.at
        }
      : undefined;
  },
  (f, state, now) => {
    const due = nextGlance(f, state);
    return due !== undefined && now > due
      ? {
          key: 'glance',
          rank: 'look',
          what: 'Glass not looked at',
          first: 'Look at the glass and log it.',
          since: state.glass?.at ?? state.fire.litAt!
        }
      : undefined;
  },
  (f, state) =>
    state.glass &&
    (state.glass.value === 'top nut' || (isLevel(state.glass.value) && state.glass.value > f.levels.ceiling)) &&
    inSteam(state)
      ? {
          key: 'high',
          rank: 'look',
          what: `Glass over ${printGlass(f.levels.ceiling)}: water may go over with the steam`,
          first: [
            feedsAt(f).length > 0 && 'Stop feeding.',
            f.control === 'none'
              ? 'Hold it back until it has cleared itself.'
              : `Regulator gently${f.cylinders.drains === 'none' ? '' : ', drains open'}.`
          ]
            .filter(Boolean)
            .join(' '),
          since: state.glass.at
        }
      : undefined,
  (f, state) => {
    const set = Math.min(...f.safetyValves.map((v) => v.set));
    return state.pressure &&
      state.pressure.value > set * 1.03 &&
      state.pressure.value <= f.workingPressure * 1.1 &&
      !state.lifts.some((l) => l.lifted !== undefined) &&
      state.seen['blowing off'] === undefined
      ? {
          key: 'no lift',
          rank: 'look',
          what: `Over ${mark(set, 'pressure')} and no safety valve seen to lift`,
          first: `${less(f) ?? fireOut[f.fire.with]} Log the lift if you saw it; if not, raise a fault.`,
          since: state.pressure.at
        }
      : undefined;
  },
  (f, state) => {
    const ridden = state.steps.passengers;
    const { able, proven } = feedsProven(f, state);
    return ridden?.outcome === 'done' && proven.length < Math.min(2, able.length) && state.phase === 'Run'
      ? {
          key: 'feeds',
          rank: 'look',
          what: proven.length ? `Only one feed proven today: ${proven[0]!.toLowerCase()}` : 'No feed proven today',
          first: 'Two is the usual rule for public running. Prove another, or carry nobody.',
          since: ridden.at
        }
      : undefined;
  },
  (_, state, now) => {
    const { drains } = state.open;
    const { regulator } = state.valves;
    return drains && regulator && regulator.open > 0 && now - Math.max(Date.parse(drains.since), Date.parse(regulator.at)) > drainsLeft
      ? {
          key: 'drains',
          rank: 'look',
          what: 'Moving with the drains open',
          first: 'Shut them, or say that they are shut.',
          since: drains.since
        }
      : undefined;
  },
  (_, state) => {
    const move = state.valves.regulator;
    return state.open.plug && move && move.open > 0
      ? {
          key: 'plug',
          rank: 'look',
          what: 'Regulator open with the second chimney bore plugged',
          first: 'Shut the regulator. Plug out.',
          since: move.at
        }
      : undefined;
  },
  sags,
  ...timed.slice(2),
  ...flames.slice(1)
];

/** What is the matter, worst first. */
export const warnings = (fitOut: FitOut, state: State, now: number): Warning[] =>
  state.endedAt
    ? []
    : rules
        .map((rule) => rule(fitOut, state, now))
        .filter((w) => w !== undefined)
        .map((w) => ({ ...w, what: byControl(w.what, fitOut), first: byControl(w.first, fitOut) }));
