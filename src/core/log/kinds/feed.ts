import { flag, group, type Infer, oneWord, optional, quantity, text } from '../../form';
import { printText } from '../../units';
import type { KindOf } from './kind';

const fields = group('Feed', {
  feed: text('Which feed', 1, 40),
  on: flag('On'),
  to: optional(oneWord('Where the water goes', ['boiler', 'tank', 'both'])),
  volume: optional(quantity('Water fed', 'volume', 0, 10)),
  proven: optional(flag('Seen to work'))
});
/** Where the water goes, never which way a handle stands. */
export type Feed = Infer<typeof fields>;

export const feed: KindOf<Feed> = {
  fields,
  tells: (body) => [{ is: 'feed', ...body }],
  says: ({ feed, on, to, volume, proven }, { units }) => {
    const where = on && to ? `, water to ${to === 'both' ? 'boiler and tank' : to}` : '';
    return `${feed} ${on ? 'on' : 'off'}${where}${volume ? ` ${printText(volume, 'volume', units)}` : ''}${proven ? ', proven' : ''}`;
  },
  echoes: ({ feed, on, to }) => `${feed} ${on ? `on, water to ${to}` : 'off'}`
};
