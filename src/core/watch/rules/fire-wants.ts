import { fuels, type Grate } from '../../firing';
import { needleSpread } from '../../forecast';
import { saturationAtGauge } from '../../steam';
import { type Gauge, mark } from '../../units';
import { falls, trendOf } from '../trend';
import type { Rule, View } from '../rule';
import { inSteam, lately, ms, needleLine, usesNow } from '../view';

/** A bed that runs well is about five lumps deep, and wants seeing to when two of them are left. */
const burns = 3;
/** Share of the fuel's heat that reaches the water. */
const useful = 0.48;

/** Heat of fuel that the work of the moment burns, W: what its steam and its losses take, by the share that reaches the water. */
export function fuelPower(view: View): number {
  const { plant, fitOut: f } = view;
  const s = saturationAtGauge(f.workingPressure as Gauge);
  return (usesNow(view) * 1.2 * (s.hg - 60e3) + plant.vessel.loss * 130) / useful;
}

/** How long the bed lasts at the work of the moment, s: from how it is kept to how thin it may be. */
export function bedLasts(view: View): number | undefined {
  const { plant } = view;
  if (plant.fire.with !== 'solid') return undefined;
  const grate: Grate = plant.fire;
  const kg = burns * grate.lump * grate.area * fuels[grate.fuel].bulk;
  return (kg * fuels[grate.fuel].heat) / fuelPower(view);
}

export const fireWants: Rule = {
  key: 'fire wants you',
  rank: 'look',
  clears: 'Fuel logged.',
  on: ({ fire }) => fire.with === 'solid',
  finds: (view) => {
    const { state, needle, at } = view;
    const { fuelAt } = state.fire;
    if (!inSteam(state) || state.phase !== 'Run' || !fuelAt || !state.pressure) return undefined;
    const reads = lately(needle, at, 15).slice(-3);
    if (reads.length < 2 || !falls(trendOf(reads, needleSpread(reads.at(-1)!.value)))) return undefined;
    const lasts = bedLasts(view);
    if (lasts === undefined) return undefined;
    return {
      from: Math.max(ms(state.pressure.at), ms(fuelAt) + lasts * 1000),
      since: fuelAt,
      what: 'No fuel for longer than this bed lasts, and the needle falls',
      first: 'Look at the fire: thin and bright, or black and holed. Fuel where it is bright.',
      evidence: [needleLine(reads), `At this work the bed lasts about ${mark(lasts, 'time')}.`]
    };
  },
  holds: ({ state }, { since }) => inSteam(state) && state.fire.fuelAt === since && state.phase === 'Run'
};
