import { needleSpread } from '../../forecast';
import { saturationPressure } from '../../steam';
import { mark, psi } from '../../units';
import type { Rule } from '../rule';
import { inSteam, minute, ms } from '../view';

/** A thermometer in a pocket is off by so much, K. */
const off = 3;
/** Steam by now has taken the air out, whatever was there, Pa at the gauge. */
const gone = psi(40);

/** The needle shows more than steam of that temperature can: air was shut in. */
export const airIn: Rule = {
  key: 'air in it',
  rank: 'note',
  clears: 'Air let out, or the needle in step with the thermometer.',
  on: (f) => f.gauge,
  blind: ({ state }) =>
    inSteam(state) && !state.temperature ? 'Whether there is air in it, and whether the gauge agrees: no thermometer was read.' : undefined,
  finds: ({ fitOut: f, plant, state }) => {
    const { pressure, temperature, valves } = state;
    if (!inSteam(state) || !pressure || !temperature || temperature.at <= state.fire.litAt!) return undefined;
    if (pressure.value > gone || Math.abs(ms(pressure.at) - ms(temperature.at)) > 3 * minute) return undefined;
    const steam = Math.max(0, saturationPressure(Math.min(600, temperature.value + off)) - plant.atmosphere);
    if (pressure.value - steam < 1.645 * needleSpread(pressure.value)) return undefined;
    const way = f.vent ? ('vent' as const) : f.whistle ? ('whistle' as const) : ('blower' as const);
    const let_ = valves[way];
    if (let_ && let_.at > pressure.at) return undefined;
    return {
      from: Math.max(ms(pressure.at), ms(temperature.at)),
      since: pressure.at,
      what: 'There is air in it: the needle is ahead of the water',
      first: f.vent ? 'Let it out by the vent.' : f.whistle ? 'Let it out by the whistle.' : 'Let it out by whatever is highest and opens.',
      evidence: [
        `The needle at ${mark(pressure.value, 'pressure')}; water at ${mark(temperature.value, 'temperature')} makes no more than ${mark(steam, 'pressure')}.`
      ]
    };
  }
};
