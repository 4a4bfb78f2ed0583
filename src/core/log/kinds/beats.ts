import { count, group, type Infer, quantity } from '../../form';
import type { KindOf } from './kind';

const fields = group('Beats', {
  turns: quantity('Turns', 'turns', 0.05, 50),
  spread: quantity('Its spread', 'turns', 0, 10),
  beats: count('Beats that were tapped', 3, 5000),
  each: count('Beats to a turn', 1, 16)
});
/** How fast it turned, by taps with the exhaust or the crank. */
export type Beats = Infer<typeof fields>;

const aMinute = (turns: number) => Math.round(turns * 60);

export const beats: KindOf<Beats> = {
  fields,
  says: ({ turns, spread, beats: counted }) =>
    `${aMinute(turns)} turns a minute${spread > 0 ? `, give or take ${Math.max(1, aMinute(2 * spread))}` : ''}, by ${counted} beats`
};
