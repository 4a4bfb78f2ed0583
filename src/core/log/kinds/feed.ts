import { count, flag, group, type Infer, number, oneWord, optional, quantity, text } from '../../form';
import { printGlass, printText } from '../../units';
import type { KindOf } from './kind';

const fields = group('Feed', {
  feed: text('Which feed', 1, 40),
  on: flag('On'),
  to: optional(oneWord('Where the water goes', ['boiler', 'tank', 'both'])),
  part: optional(number('Of it, to the boiler', 0, 1, 'Where the bypass sends some of it back to the tank.')),
  volume: optional(quantity('Water fed', 'volume', 0, 10)),
  strokes: optional(count('Strokes of the hand pump', 1, 5000)),
  proven: optional(flag('Seen to work'))
});
/** Where the water goes, never which way a handle stands. */
export type Feed = Infer<typeof fields>;

export const feed: KindOf<Feed> = {
  fields,
  tells: (body) => [{ is: 'feed', ...body }],
  says: ({ feed, on, to, part, volume, strokes, proven }, { units }) => {
    const where =
      on && to
        ? `, water to ${to === 'both' ? `boiler and tank${part === undefined ? '' : `, ${printGlass(part)} to the boiler`}` : to}`
        : '';
    return `${feed} ${strokes ? `${strokes} strokes` : on ? 'on' : 'off'}${where}${volume ? ` ${printText(volume, 'volume', units)}` : ''}${proven ? ', proven' : ''}`;
  },
  echoes: ({ feed, on, to, part, strokes }) =>
    `${feed} ${strokes ? `${strokes} strokes` : on ? `on, water to ${to}${part === undefined ? '' : `, ${printGlass(part)} of it to the boiler`}` : 'off'}`
};
