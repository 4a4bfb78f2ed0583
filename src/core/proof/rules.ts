import { count, group, type Infer, maybe, number, quantity, text } from '../form';
import { psi } from '../units';

/** How long a proof stands, in months. */
const every = (what: string) => maybe(count(`${what}: again after, months`, 1, 240));

/** What a code may say nothing of. Left empty there is no figure: what is measured is written down, and judged by none. */
const figures = {
  steamHold: maybe(quantity('Steam test: held at working pressure for', 'time', 60, 7200)),
  accumulation: maybe(number('Accumulation: over working pressure at the most, %', 1, 25)),
  accumulationTime: maybe(quantity('Accumulation: how long', 'time', 60, 3600)),
  glassWithin: maybe(number('A glass holds what the drawing says within, %', 1, 50)),
  feedTimes: maybe(number('A feed gives so many times what the fire can boil away', 0.5, 10)),
  pickUp: maybe(quantity('A feed picks up within', 'time', 1, 300)),
  brakeFall: maybe(quantity('A brake that is shut in loses in a minute at the most', 'pressure', 0, psi(30))),
  braking: maybe(number('Brakes hold back, of the weight, at least, %', 1, 60)),
  gasFall: maybe(quantity('Gas, shut in: fall that is allowed', 'pressure', 0, psi(10))),
  gasHold: maybe(quantity('Gas, shut in: held for', 'time', 30, 3600)),
  earth: maybe(number('Earth lead to shell at the most, Ω', 0.01, 10)),
  insulation: maybe(number('Element to shell at least, MΩ', 0.1, 1000)),
  solids: maybe(quantity('Solids in the boiler water at the most', 'dissolved', 0.1, 20)),
  washOutAfter: maybe(count('Washed out after so many steamings', 1, 500)),
  hydraulicEvery: every('Hydraulic test'),
  steamEvery: every('Steam test and valves'),
  accumulationEvery: every('Accumulation test'),
  gaugeEvery: every('Gauge comparison'),
  plugEvery: every('Fusible plug renewed'),
  gasEvery: every('Gas train'),
  electricEvery: every('Electric set')
};

/**
 * THE RULES A CLUB PROVES BY: figures of its boiler code, as its examiner gives them, with where each comes from. Data that the club edits; every
 * version stays, and a worksheet keeps the one it was judged by.
 */
export const rulesField = group('Rules', {
  name: text('Called', 1, 120, 'The boiler code or the club’s own rule.'),
  source: text('Where the figures come from', 3, 300, 'Edition, page, or who gave them and when.'),
  hydraulicFirst: number('Hydraulic test, new or repaired: times working pressure', 1, 3),
  hydraulicRepeat: number('Hydraulic test, repeated: times working pressure', 1, 3),
  hold: quantity('Held for', 'time', 60, 7200),
  fall: quantity('Fall that is allowed while it is held', 'pressure', 0, psi(50)),
  valveWithin: number('A safety valve lifts within so much of its set, %', 0.5, 20),
  reseat: number('It shuts again within so much under its lift, %', 1, 40),
  gaugeWithin: number('A gauge reads within so much of its full scale, %', 0.1, 10),
  ...figures
});
export type Rules = Infer<typeof rulesField>;

/** No figure for any of these: what a version says that was written before they were asked. */
export const unsaid = Object.fromEntries(Object.keys(figures).map((k) => [k, null])) as { readonly [K in keyof typeof figures]: null };

/** What ships: an example, so that the forms can be tried. No club’s rule. */
export const exampleRules: Rules = {
  ...unsaid,
  name: 'Example only: ask your examiner',
  source: 'Made up, to try the forms with. Not a rule of any code.',
  hydraulicFirst: 2,
  hydraulicRepeat: 1.5,
  hold: 1200,
  fall: 0,
  valveWithin: 3,
  reseat: 15,
  gaugeWithin: 2,
  steamHold: 1200,
  accumulation: 10,
  accumulationTime: 300,
  glassWithin: 15,
  feedTimes: 1,
  pickUp: 30,
  brakeFall: psi(2),
  braking: 8,
  gasFall: 0,
  gasHold: 300,
  earth: 0.5,
  insulation: 1,
  solids: 2.5
};
