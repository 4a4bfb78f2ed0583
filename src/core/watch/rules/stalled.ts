import { energyHeld } from '../../boiler';
import { waterIn } from '../../forecast';
import { inSteamAt, type FitOut } from '../../engine';
import { boilingAt } from '../../steam';
import { isLevel, mark, psi } from '../../units';
import type { Rule, View } from '../rule';
import { inSteam, minute, ms, needleLine } from '../view';

/** Of the heat that it is expected to give, a fire that gives less is stalled, and one that gives this again is not. */
const weak = 0.45;
const well = 0.6;
/** It has to be so for this long after the start fuel took, ms. */
const lasts = 4 * minute;
/** A fire comes up in about this long from the match where nobody said that it took, ms. */
const takes = 5 * minute;
/** What has been read longer ago than this says nothing of the fire now, ms. */
const tooOld = 15 * minute;
/** A needle under this moves for air as well as for steam, Pa. */
const moves = psi(3);

/** Water in it, kg: by the glass, by what was measured, or about half of its room. */
function waterOf({ plant, state: { glass, boiler } }: View): number {
  if (plant.vessel.glass && glass && isLevel(glass.value))
    return waterIn(plant, { glass: glass.value, gauge: Math.max(0, glass.pressure ?? 0) });
  return boiler ? boiler.volume * 1000 : 0.6 * plant.vessel.room * 1000;
}

/** Heat that reached the water since a reading, W: what it holds more of, and what was lost meanwhile. */
function heatSince(view: View): { readonly heat: number; readonly from: number; readonly to: number; readonly most: boolean } | undefined {
  const { plant, state, needle } = view;
  const litAt = ms(state.fire.litAt!);
  const now = needle.findLast((n) => n.at * 1000 > litAt);
  if (!now) return undefined;
  const water = waterOf(view);
  const holds = (T: number) => energyHeld(plant.vessel, water, T);
  const cold = state.temperature && state.temperature.at <= state.fire.litAt! ? state.temperature.value : 288.15;
  // The last reading long enough before it; until the needle moves, the match.
  const before = needle.findLast((n) => n.at * 1000 > litAt && n.value >= moves && now.at - n.at >= lasts / 1000);
  const T = boilingAt(now.value + plant.atmosphere);
  const T0 = before ? boilingAt(before.value + plant.atmosphere) : cold;
  const from = before ? before.at : litAt / 1000;
  // Before it boils the needle stands still: no more can have gone in than takes it to the boil.
  const most = now.value < moves;
  const gained = holds(most ? boilingAt(moves + plant.atmosphere) : T) - holds(T0);
  const heat = gained / (now.at - from) + plant.vessel.loss * ((T + T0) / 2 - 288);
  return { heat, from, to: now.at, most };
}

/** Heat expected while it is raised, W: what it has shown, or its class. */
const expected = ({ plant, log }: View): number => log.context.begun?.expects?.heat ?? plant.ratedSteam * 2.1e6;

function lookFor({ fire }: FitOut): string {
  switch (fire.with) {
    case 'solid':
      return [
        'Look at the draught',
        'is the door shut',
        ...(fire.damper ? ['is the damper open'] : []),
        ...(fire.chimneyBores > 1 ? ['is the second bore plugged'] : []),
        'pieces too large, or the bed packed',
        'grate and tubes choked'
      ]
        .join('; ')
        .concat('. In this order.');
    case 'gas':
      return 'Look at the flame, the canister (cold, or nearly empty) and the jet. In this order.';
    case 'spirit':
      return 'Look at the flame, the charge, and how much water is in. In this order.';
    case 'electric':
      return 'Look at the switch, the thermostat, and what stands open. In this order.';
  }
}

/** Raising, and the fire gives far less than this engine’s fire does. */
export const stalled: Rule = {
  key: 'stalled',
  rank: 'look',
  clears: 'The needle rising as it should.',
  on: (f) => f.gauge && f.fire.with !== 'spirit',
  finds: (view) => {
    const { fitOut: f, state, needle } = view;
    const { fire, highest, seen } = state;
    if (!inSteam(state) || !state.pressure || (highest?.value ?? 0) >= 0.9 * inSteamAt(f)) return undefined;
    if (state.phase !== 'Light up' && state.phase !== 'Raise') return undefined;
    const took = seen['start fuel alight'] ?? seen['flame heard'];
    const since = took && took >= fire.litAt! ? ms(took) : ms(fire.litAt!) + takes;
    const found = heatSince(view);
    if (!found || found.to * 1000 < since + lasts) return undefined;
    const wanted = expected(view);
    // From the match on the fire has had its time to come up in: that is no fault of it.
    const came = found.from * 1000 <= ms(fire.litAt!) ? Math.max(0.3, 1 - takes / 1000 / (found.to - found.from)) : 1;
    if (found.heat >= weak * came * wanted) return undefined;
    return {
      from: found.to * 1000,
      till: found.to * 1000 + tooOld,
      since: state.pressure.at,
      what: `Raising has stalled: ${found.most ? 'no more than ' : ''}${mark(Math.max(0, found.heat), 'power')} reaches the water`,
      first: lookFor(f),
      evidence: [
        needleLine(needle.slice(-3)),
        `Expected: ${mark(wanted, 'power')}, ${view.log.context.begun?.expects?.heat ? 'by what it has shown' : 'by its class'}; under ${Math.round(weak * 100)} % of that for ${mark(found.to - found.from, 'time')}.`
      ]
    };
  },
  holds: (view) => {
    const { state, fitOut } = view;
    if (!inSteam(state) || (state.highest?.value ?? 0) >= 0.9 * inSteamAt(fitOut)) return false;
    const found = heatSince(view);
    return found !== undefined && found.heat < well * expected(view);
  }
};
