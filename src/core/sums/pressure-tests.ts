import { group, number, quantity } from '../form';
import { above, given, line, mark, minus, times, workedFrom } from '../units';
import { said } from './words';
import { sum } from './sum';

/**
 * Strict, by the number and the error it was read with: over is over by a hair, and nearer to the limit than the error is no verdict.
 * @param x Pa at the gauge; over in %
 */
export function judgeAccumulation(x: {
  readonly pressure: number;
  readonly peak: number;
  readonly error: number;
  readonly over: number;
}): 'stayed under' | 'too close' | 'over' {
  const left = x.pressure * (1 + x.over / 100) - x.peak;
  if (Math.abs(left) < x.error) return 'too close';
  return left >= 0 ? 'stayed under' : 'over';
}

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
    const at = mark(limit.result.value, 'pressure');
    const verdict = {
      'too close': `Too close to call: the limit is ${at}, and the gauge was read to ${mark(error, 'pressure')} either way. Test again with a better gauge.`,
      'stayed under': `By the arithmetic it stayed under ${at}. Only the boiler examiner signs.`,
      over: `By the arithmetic it failed: over ${at}. Not to be steamed until the valve has been seen to.`
    }[judgeAccumulation({ pressure, peak, error, over })];
    return workedFrom([limit, left], 'measured', verdict);
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
