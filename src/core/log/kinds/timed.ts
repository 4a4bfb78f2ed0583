import { group, type Infer, optional, quantity, text } from '../../form';
import { printText } from '../../units';
import type { KindOf } from './kind';
import { gauge } from './reading';

const fields = group('Timed', {
  what: text('What was timed', 1, 120),
  time: quantity('How long it took', 'time', 0.1, 86_400),
  pressure: optional(gauge('Pressure as it was timed'))
});
/** What a watch in the hand has shown: how long something of this engine took. */
export type Timed = Infer<typeof fields>;

export const timed: KindOf<Timed> = {
  fields,
  says: ({ what, time, pressure }, { units }) =>
    `${what}: ${time < 60 ? `${Math.round(time * 10) / 10} s` : printText(time, 'time', units)}${pressure === undefined ? '' : `, at ${printText(pressure, 'pressure', units)}`}`
};
