import { group, type Infer, number, quantity, text } from '../form';
import { psi } from '../units';

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
  gaugeWithin: number('A gauge reads within so much of its full scale, %', 0.1, 10)
});
export type Rules = Infer<typeof rulesField>;

/** What ships: an example, so that the forms can be tried. No club’s rule. */
export const exampleRules: Rules = {
  name: 'Example only: ask your examiner',
  source: 'Made up, to try the forms with. Not a rule of any code.',
  hydraulicFirst: 2,
  hydraulicRepeat: 1.5,
  hold: 1200,
  fall: 0,
  valveWithin: 3,
  reseat: 15,
  gaugeWithin: 2
};
