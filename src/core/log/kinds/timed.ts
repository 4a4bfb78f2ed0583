import { group, type Infer, quantity, text } from '../../form';
import { printText } from '../../units';
import type { KindOf } from './kind';

const fields = group('Timed', {
  what: text('What was timed', 1, 120),
  time: quantity('How long it took', 'time', 0.1, 86_400),
  at: text('How things stood, as it was timed', 0, 120)
});
/** What a watch in the hand has shown: how long something of this engine took. */
export type Timed = Infer<typeof fields>;

export const timed: KindOf<Timed> = {
  fields,
  says: ({ what, time, at }, { units }) =>
    `${what}: ${time < 60 ? `${Math.round(time * 10) / 10} s` : printText(time, 'time', units)}${at ? `, at ${at}` : ''}`
};
