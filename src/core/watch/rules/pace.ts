import { needleSpread } from '../../forecast';
import { boilingAt, saturationPressure } from '../../steam';
import { mark, psi } from '../../units';
import type { Rule, View } from '../rule';
import { inSteam, minute, ms } from '../view';
import { trendOf } from '../trend';

/** It is watched over so long, and read for so long back, ms. */
const over = 10 * minute;
const back = 25 * minute;
/** What is read of a thermometer is off by so much, and what is taken for the cold, K. */
const read = 1.5;
const taken = 4;
/** A needle under this tells of air and of nothing else, Pa at the gauge. */
const moves = psi(3);
const tooOld = 15 * minute;

interface Warmth {
  /** s since 1970 */ readonly at: number;
  /** K */ readonly value: number;
  /** K, one standard deviation */ readonly error: number;
}

/** How warm it was, by needle and thermometer, since the match. */
function warmths({ plant, state, recent, at }: View): Warmth[] {
  const litAt = state.fire.litAt!;
  const points: Warmth[] = [];
  const cold = state.temperature && state.temperature.at <= litAt ? state.temperature.value : undefined;
  points.push({ at: ms(litAt) / 1000, value: cold ?? 288.15, error: cold === undefined ? taken : read });
  for (const e of recent) {
    if (e.is !== 'reading' || e.at <= litAt) continue;
    if (e.temperature !== undefined && e.temperature < 500) points.push({ at: ms(e.at) / 1000, value: e.temperature, error: read });
    else if (e.pressure !== undefined && e.pressure >= moves) {
      const T = boilingAt(e.pressure + plant.atmosphere);
      const slope = saturationPressure(T + 0.5) - saturationPressure(T - 0.5);
      points.push({ at: ms(e.at) / 1000, value: T, error: needleSpread(e.pressure) / slope });
    }
  }
  return points.filter((p) => p.at * 1000 > at - back || p === points[0]);
}

/** The rise over ten minutes and more, K/h, with its spread; undefined while too little was read. */
function riseOf(view: View): { readonly rate: number; readonly spread: number; readonly points: readonly Warmth[] } | undefined {
  const all = warmths(view);
  const last = all.at(-1)!;
  const inTime = all.filter((p) => p.at * 1000 > last.at * 1000 - back);
  // With nothing between, from the match on: as fast as that at least.
  const points = inTime.length > 1 ? inTime : [all[0]!, last];
  if ((last.at - points[0]!.at) * 1000 < over) return undefined;
  const t = trendOf(points, Math.max(...points.map((p) => p.error)));
  return t && { rate: t.rate * 3600, spread: t.spread * 3600, points };
}

/** Warmed faster than its boiler is to be. */
export const pace: Rule = {
  key: 'pace',
  rank: 'look',
  clears: 'Rising slower than its pace.',
  on: (f) => f.pace !== null && f.gauge,
  blind: (view) =>
    inSteam(view.state) && !riseOf(view)
      ? 'How fast it warms: the needle has not moved, and no thermometer was read over ten minutes.'
      : undefined,
  finds: (view) => {
    const { fitOut: f, state } = view;
    if (!inSteam(state) || !f.pace) return undefined;
    const rise = riseOf(view);
    if (!rise || rise.rate - rise.spread <= f.pace) return undefined;
    const [first, last] = [rise.points[0]!, rise.points.at(-1)!];
    const damper = f.fire.with === 'solid' && f.fire.damper;
    return {
      from: last.at * 1000,
      till: last.at * 1000 + tooOld,
      since: new Date(last.at * 1000).toISOString(),
      what: `Warmed by ${Math.round(rise.rate)} K an hour, and its pace is ${Math.round(f.pace)}`,
      first: damper
        ? 'Damper in, nothing on the fire: let it come slowly.'
        : f.fire.with === 'solid'
          ? 'Nothing on the fire, less draught: let it come slowly.'
          : 'Fire down: let it come slowly.',
      evidence: [
        `${mark(first.value, 'temperature')} → ${mark(last.value, 'temperature')} in ${mark(last.at - first.at, 'time')}, give or take ${Math.round(rise.spread)} K an hour.`
      ],
      bad: (rise.rate / f.pace - 1) / 0.5
    };
  },
  holds: (view) => {
    const rise = inSteam(view.state) ? riseOf(view) : undefined;
    return rise !== undefined && rise.rate > view.fitOut.pace!;
  }
};
