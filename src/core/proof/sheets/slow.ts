import { count, group, quantity, text } from '../../form';
import { dayWords, given, line, mark, minus, over, psi } from '../../units';
import { type Finding, sheet } from '../sheet';

/** How slowly it goes round and does not stop: stiffness, packing and valve events in one figure. */
export const slow = sheet({
  key: 'slow',
  name: 'Lowest steady speed',
  how: [
    'Warm and drained, without a load, the regulator just cracked, at a pressure that is written down.',
    'The slowest at which it goes round evenly for a whole minute; turns counted, not guessed.'
  ],
  fields: () =>
    group('Lowest steady speed', {
      turns: count('Turns counted', 1, 2000),
      time: quantity('In', 'time', 10, 1200),
      pressure: quantity('At the gauge', 'pressure', 0, psi(300)),
      note: text('How it was set up', 0, 300, 'On steam or on air, reverser, oil.')
    }),
  starts: () => ({ turns: '', time: '', pressure: '', note: '' }),
  judge: ({ turns, time, pressure }, _, __, before): Finding[] => {
    const now = line(
      'lowest steady speed',
      'turns',
      over(given('turns', turns, 'count', 'measured'), given('in', time, 'time', 'measured'))
    );
    const was = before && (before.body.turns as number) / (before.body.time as number);
    const change =
      was === undefined
        ? []
        : [
            line(
              'more than the last time',
              'turns',
              minus(given('now', now.result.value, 'turns', 'above'), given('last time', was, 'turns', 'measured'))
            )
          ];
    return [
      {
        verdict: 'measured',
        says: `It goes round at ${mark(now.result.value, 'turns')} at ${mark(pressure, 'pressure')}${was === undefined ? '' : `; ${mark(was, 'turns')} the last time, ${dayWords(before!.day)}`}.`,
        steps: [now, ...change]
      }
    ];
  }
});
