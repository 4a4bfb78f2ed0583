import { group, number, quantity } from '../form';
import { above, given, line, mark, minus, times, workedFrom } from '../units';
import { said } from './words';
import { sum } from './sum';

/** Peak against the limit, by the number and the error it was read with: strict, and too close to call within that error. */
export const accumulation = sum({
  key: 'accumulation',
  name: 'Accumulation test, judged',
  asks: 'Did it pass its accumulation test?',
  inputs: group('What was read', {
    pressure: quantity('Working pressure', 'pressure', 7e3, 2.1e6),
    peak: quantity('Highest that was read', 'pressure', 0, 3e6),
    error: quantity('Gauge read to, either way', 'pressure', 0, 2e5),
    over: number('Allowed over it, %', 1, 25, 'A tenth under most codes: your club’s code says.')
  }),
  usual: ({ fitOut }) => ({ pressure: fitOut.workingPressure, peak: fitOut.workingPressure * 1.06, error: 0, over: 10 }),
  work: ({ pressure, peak, error, over }) => {
    const wp = said('working pressure', pressure, 'pressure');
    const limit = line('limit', 'pressure', times(wp, given('and what is allowed over it', 1 + over / 100, 'ratio', 'rule of the club')));
    const high = said('highest that was read', peak, 'pressure');
    const left = line('left to the limit', 'pressure', minus(above(limit), high));
    const verdict =
      Math.abs(left.result.value) < error
        ? `too close to call: the limit is ${mark(limit.result.value, 'pressure')}, and the gauge was read to ${mark(error, 'pressure')} either way. Test again with a better gauge.`
        : left.result.value >= 0
          ? `by the arithmetic it stayed under ${mark(limit.result.value, 'pressure')}. Only the boiler examiner signs.`
          : `by the arithmetic it failed: over ${mark(limit.result.value, 'pressure')}. Not to be steamed until the valve has been seen to.`;
    return workedFrom([limit, left], 'measured', verdict[0]!.toUpperCase() + verdict.slice(1));
  }
});

export const hydraulic = sum({
  key: 'hydraulic',
  name: 'Pressure of the hydraulic test',
  asks: 'What is it to be pumped to?',
  inputs: group('The test', {
    pressure: quantity('Working pressure', 'pressure', 7e3, 2.1e6),
    times: number(
      'Times working pressure',
      1,
      3,
      'Twice when new, one and a half at a repeat, under many codes: your club’s code and the examiner say.'
    )
  }),
  usual: ({ fitOut }) => ({ pressure: fitOut.workingPressure, times: 2 }),
  work: (x) =>
    workedFrom(
      [
        line(
          'test pressure',
          'pressure',
          times(said('working pressure', x.pressure, 'pressure'), given('times', x.times, 'ratio', 'rule of the club'))
        )
      ],
      'estimate',
      'With water and no air in it, and with the boiler examiner there.'
    )
});
