import { type Expression, type Figure, given, line, minus, over, plus, workedFrom, type Worked, type WorkedInput } from '../units';
import type { Log } from './fold';
import { burning, litAt, upAt } from './summary';

/** A span between two entries of the log, s. */
const between = (name: string, from: readonly [string, string], to: readonly [string, string], caution?: string): Worked => {
  const [first, last] = [from, to].map(([what, iso]) => given(what, Date.parse(iso) / 1000, 'moment', 'measured'));
  return workedFrom([line(name, 'time', minus(last!, first!))], 'measured', caution);
};

/** A sum of two or more. */
const inAll = ([first, second, ...more]: readonly WorkedInput[]): Expression => plus(first!, second!, ...more);

/** The figures of a record that were worked out from its log, for whoever wants to see how. */
export function recordFigures(log: Log): Figure[] {
  const { state, context } = log;
  const [lit, up, out] = [litAt(log), upAt(log), state.fire.outAt];
  const figures: Figure[] = [];
  if (lit && up)
    figures.push({
      key: 'raise',
      name: 'Raise',
      worked: between(
        'raise',
        ['match', lit],
        ['first pressure logged that was as good as in steam', up],
        'As close as the readings stand together: the pressure may have been there before it was looked at.'
      )
    });
  const { runs } = state;
  if (runs.length > 1)
    figures.push({
      key: 'steam',
      name: 'Fire in',
      worked: workedFrom(
        [line('fire in', 'time', inAll(runs.map((run, i) => given(`run ${i + 1}`, burning([run]), 'time', 'measured'))))],
        'measured'
      )
    });
  else if (lit && out && out > lit)
    figures.push({ key: 'steam', name: 'In steam', worked: between('in steam', ['match', lit], ['fire seen to be out', out]) });
  if (state.highest) {
    const { value, at } = state.highest;
    const highest = line('highest pressure seen', 'pressure', given('greatest of the pressures logged', value, 'pressure', 'measured'));
    figures.push({
      key: 'highest',
      name: 'Highest pressure seen',
      worked: workedFrom(
        [
          line('seen at', 'moment', given('time of that entry', Date.parse(at) / 1000, 'moment', 'measured')),
          line(
            'share of working pressure',
            'share',
            over(
              given('greatest of the pressures logged', value, 'pressure', 'measured'),
              given('working pressure', context.fitOut.workingPressure, 'pressure', 'fit-out')
            )
          ),
          highest
        ],
        'measured',
        'What was looked at and logged. The gauge may have stood higher between.'
      )
    });
  }
  return figures;
}
