import { needleSpread } from '../../forecast';
import { saturationPressure } from '../../steam';
import { mark, psi } from '../../units';
import type { Rule, View } from '../rule';
import { attended, minute, ms } from '../view';

/** A thermometer in a pocket is off by so much, K; more than twice what both may be off together is a disagreement. */
const off = 2;
const twice = 2;
/** Under this, air and a cold pocket explain it, Pa at the gauge. */
const from = psi(40);

function pair({ plant, state: { pressure, temperature } }: View) {
  if (!pressure || !temperature || pressure.value < from || Math.abs(ms(pressure.at) - ms(temperature.at)) > 3 * minute) return undefined;
  const steam = (T: number) => saturationPressure(Math.min(600, T)) - plant.atmosphere;
  const says = steam(temperature.value);
  const error = Math.hypot(needleSpread(pressure.value), (steam(temperature.value + off) - steam(temperature.value - off)) / 2);
  return { pressure, temperature, says, error, off: pressure.value - says };
}

/** Gauge and thermometer disagree by more than both may be off. */
export const thermometer: Rule = {
  key: 'thermometer',
  rank: 'look',
  clears: 'The next pair of readings agrees.',
  on: (f) => f.gauge,
  finds: (view) => {
    const p = pair(view);
    if (!p || !attended(view.state) || Math.abs(p.off) < twice * p.error) return undefined;
    const more = p.off > 0;
    return {
      from: Math.max(ms(p.pressure.at), ms(p.temperature.at)),
      since: p.pressure.at < p.temperature.at ? p.pressure.at : p.temperature.at,
      what: `Gauge and thermometer disagree by ${mark(Math.abs(p.off), 'pressure')}`,
      first: more
        ? 'Believe the gauge: a thermometer reads low in a dry or shallow pocket. Read both again.'
        : 'Believe the thermometer, and keep it cool: the gauge’s cock may be shut or its siphon choked. Read both again.',
      evidence: [
        `The needle at ${mark(p.pressure.value, 'pressure')}; at ${mark(p.temperature.value, 'temperature')} steam has ${mark(p.says, 'pressure')}. Together they may be off by ${mark(twice * p.error, 'pressure')}.`
      ]
    };
  },
  // Until another pair was read: one of them alone settles nothing.
  holds: (view) => attended(view.state) && pair(view) === undefined
};
