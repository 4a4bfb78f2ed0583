import { choice, group, list, quantity } from '../../form';
import { dayWords, given, line, mark, minus, psi } from '../../units';
import { type Finding, sheet } from '../sheet';

interface Start {
  way: string;
  pressure: number;
}
const highest = (starts: readonly Start[]) => Math.max(...starts.map((s) => s.pressure));

/** The pressure at which it starts by itself, on air: compared from year to year it shows what has grown stiff or blows past. */
export const selfStart = sheet({
  key: 'self-start',
  name: 'Starts by itself, on air',
  how: [
    'Cold and oiled, on air, brakes off, nothing coupled; the air let in slowly until it goes round by itself.',
    'Both ways, from several places of the wheel: the worst place is the figure.',
    'The same hose and gauge each year, or two years cannot be compared.'
  ],
  fields: () =>
    group('Starts by itself', {
      error: quantity('Gauge read to, either way', 'pressure', 0, psi(10)),
      starts: list(
        'Starts',
        'Start',
        group('Start', {
          way: choice('Way', { forward: 'forward', back: 'back' }),
          pressure: quantity('Went round at', 'pressure', 0, psi(150))
        }),
        1,
        16
      )
    }),
  starts: ({ cylinders }) => ({
    error: '',
    starts: (cylinders.reverser === 'none' ? ['forward'] : ['forward', 'back']).map((way) => ({ way, pressure: '' }))
  }),
  judge: ({ error, starts }, { cylinders }, _, before): Finding[] => {
    const now = highest(starts);
    const was = before && highest(before.body.starts as Start[]);
    const apart = was !== undefined && Math.abs(now - was) > 2 * error;
    const made: Finding[] = [
      { verdict: 'measured', says: `It starts by itself at ${mark(now, 'pressure')} from its worst place.`, steps: [] }
    ];
    if (was !== undefined)
      made.push({
        verdict: 'measured',
        says: `It was ${mark(was, 'pressure')} on ${dayWords(before!.day)}: ${!apart ? 'no more apart than two readings are' : now > was ? 'it needs more than then' : 'it needs less than then'}.`,
        steps: [
          line('more than then', 'pressure', minus(given('now', now, 'pressure', 'measured'), given('then', was, 'pressure', 'measured')))
        ]
      });
    if (cylinders.reverser !== 'none' && new Set(starts.map((s) => s.way)).size < 2)
      made.push({ verdict: 'shows nothing', says: 'One way only was tried.', steps: [] });
    return made;
  }
});
