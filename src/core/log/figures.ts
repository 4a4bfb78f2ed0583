import type { Figure, Worked } from '../units';
import type { Log } from './fold';
import { litAt, upAt } from './summary';

/** A moment for whoever prints it, by the club's clock. */
const at = (iso: string) => `{at:${Date.parse(iso)}}`;

/** A span between two entries of the log, s. */
const between = (name: string, from: string, to: string, words: string): Worked => ({
  value: (Date.parse(to) - Date.parse(from)) / 1000,
  kind: 'time',
  sure: 'measured',
  steps: [
    {
      formula: `${words}: from ${at(from)} to ${at(to)}`,
      inputs: [],
      result: { name, value: (Date.parse(to) - Date.parse(from)) / 1000, kind: 'time' }
    }
  ]
});

/** The figures of a record that were worked out from its log, for whoever wants to see how. */
export function recordFigures(log: Log): Figure[] {
  const { state, context } = log;
  const [lit, up, out] = [litAt(log), upAt(log), state.fire.outAt];
  const figures: Figure[] = [];
  if (lit && up)
    figures.push({
      key: 'raise',
      name: 'Raise',
      worked: {
        ...between('raise', lit, up, 'from the match to the first pressure logged at 95 % of working pressure or more'),
        caution: 'As close as the readings stand together: the pressure may have been there before it was looked at.'
      }
    });
  if (lit && out && out > lit)
    figures.push({ key: 'steam', name: 'In steam', worked: between('in steam', lit, out, 'from the match to the fire seen to be out') });
  if (state.highest)
    figures.push({
      key: 'highest',
      name: 'Highest pressure seen',
      worked: {
        value: state.highest.value,
        kind: 'pressure',
        sure: 'measured',
        steps: [
          {
            formula: `the greatest of the pressures logged, at ${at(state.highest.at)}, against the working pressure`,
            inputs: [{ name: 'working pressure', value: context.fitOut.workingPressure, kind: 'pressure', from: 'fit-out' }],
            result: {
              name: 'share of working pressure',
              value: (state.highest.value / context.fitOut.workingPressure) * 100,
              kind: 'percent'
            }
          }
        ],
        caution: 'What was looked at and logged. The gauge may have stood higher between.'
      }
    });
  return figures;
}
