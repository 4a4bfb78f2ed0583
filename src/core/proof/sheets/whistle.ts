import { choice, group, maybe, quantity } from '../../form';
import { mark, psi } from '../../units';
import { type Finding, seen, sheet } from '../sheet';

const speaks = { clear: 'seen', gargles: 'not within', silent: 'not within' } as const;

/** The whistle: it warns, or it does not. */
export const whistle = sheet({
  key: 'whistle',
  name: 'Whistle',
  how: ['Drained first, or it gargles. Blown at working pressure, and again as the needle falls, until it does not speak.'],
  when: (f) => f.whistle,
  fields: () =>
    group('Whistle', {
      is: choice('At working pressure it', { clear: 'speaks clear', gargles: 'gargles', silent: 'does not speak' }),
      lowest: maybe(quantity('Lowest pressure at which it speaks', 'pressure', 0, psi(300))),
      heard: maybe(quantity('Heard at', 'length', 1, 2000)),
      shuts: choice('Let go, it', { tight: 'shuts', passes: 'passes steam' })
    }),
  starts: () => ({ is: '', lowest: null, heard: null, shuts: '' }),
  judge: ({ is, lowest, heard, shuts }): Finding[] => [
    seen(
      speaks,
      is,
      is === 'clear' ? 'It speaks clear at working pressure.' : is === 'gargles' ? 'It gargles at working pressure.' : 'It does not speak.'
    ),
    ...(lowest === null ? [] : [{ verdict: 'measured', says: `It speaks down to ${mark(lowest, 'pressure')}.`, steps: [] } as const]),
    ...(heard === null ? [] : [{ verdict: 'measured', says: `It was heard at ${mark(heard, 'length')}.`, steps: [] } as const]),
    seen({ tight: 'seen', passes: 'not within' }, shuts, shuts === 'tight' ? 'Let go, it shuts.' : 'Let go, it passes steam.')
  ]
});
