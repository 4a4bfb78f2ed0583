import type { FitOut } from '../engine';
import { above, given, line, over, plus, roundedDown, times, workedFrom } from '../units';
import { dayInputs, runningOf, spare, usualDay } from './day';
import { sum } from './sum';

/** What one point takes at a round, m³: a few drops by hand, eight times as much as a filling of a lubricator. */
const drops: Record<FitOut['size'], number> = { tabletop: 0.3e-6, small: 1e-6, medium: 4e-6, full: 15e-6 };

/** Oil: each point by its interval, a round before moving and one each time its interval is over. */
const oil = (kind: FitOut['lubrication'][number]['oil'], name: string) => {
  const points = (f: FitOut) => f.lubrication.filter((p) => p.oil === kind).map((p) => Math.max(300, p.every));
  return sum({
    key: `${kind}-oil`,
    name: `${name} for the day`,
    when: ({ fitOut }) => points(fitOut).length > 0,
    said: () => name,
    inputs: dayInputs,
    usual: usualDay,
    work: (day, { fitOut }) => {
      const all = points(fitOut);
      const every = [...new Set(all)].sort((a, b) => a - b);
      const rounds = every.map((gap) =>
        line(
          `rounds, one each ${Math.round(gap / 60)} min`,
          'count',
          times(
            given('points', all.filter((p) => p === gap).length, 'count', 'fit-out'),
            plus(
              given('before moving', 1, 'count', 'rule of the club'),
              roundedDown(over(runningOf(day), given('interval', gap, 'time', 'fit-out')))
            )
          )
        )
      );
      const [each, more] = kind === 'steam' ? (['one filling', 8] as const) : (['a point at a round', 3] as const);
      const sumOf = rounds.length === 1 ? above(rounds[0]!) : plus(...rounds.map(above));
      return workedFrom(
        [
          ...rounds,
          line('for the day', 'volume', times(sumOf, given(each, drops[fitOut.size] * more, 'volume', 'class default'), spare(0.5, 'half')))
        ],
        'estimate'
      );
    }
  });
};

export const steamOil = oil('steam', 'Steam oil');
export const motionOil = oil('motion', 'Motion oil');
