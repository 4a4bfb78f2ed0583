import { group, list, quantity, text } from '../../form';
import { given, line, mark, minus, psi, times } from '../../units';
import { judged, sheet } from '../sheet';

/** A gauge beside a better one, over its range, up and down. */
export const gauge = sheet({
  key: 'gauge',
  name: 'Gauge comparison',
  how: [
    'Both gauges on one pipe, level with one another, the better one compared within its own time.',
    'Read at points over the whole range, going up and again coming down, tapped before each reading.'
  ],
  when: (f) => f.gauge,
  every: 'gaugeEvery',
  fields: () =>
    group('Gauge comparison', {
      full: quantity('Full scale of the engine’s gauge', 'pressure', psi(10), psi(700)),
      standard: text('The better gauge, and when it was compared', 1, 200),
      error: quantity('It is good to, either way', 'pressure', 0, psi(20)),
      points: list(
        'Points',
        'Point',
        group('Point', {
          standard: quantity('The better gauge', 'pressure', 0, psi(700)),
          reads: quantity('The engine’s gauge', 'pressure', 0, psi(700))
        }),
        3,
        20
      )
    }),
  starts: ({ workingPressure: p }) => ({
    full: '',
    standard: '',
    error: '',
    points: [0.25, 0.5, 0.75, 1, 0.5].map((x) => ({ standard: x * p, reads: '' }))
  }),
  judge: ({ full, error, points }, { workingPressure }, rules) => {
    const allowed = line(
      'allowed either way',
      'pressure',
      times(given('full scale', full, 'pressure', 'measured'), given('and its share', rules.gaugeWithin / 100, 'ratio', 'rule of the club'))
    );
    const off = points.map(({ standard, reads }) => Math.abs(reads - standard));
    const at = off.indexOf(Math.max(...off));
    const { standard, reads } = points[at]!;
    const worst = line(
      'off by the most',
      'pressure',
      minus(given('the engine’s gauge', reads, 'pressure', 'measured'), given('the better one', standard, 'pressure', 'measured'))
    );
    const most = Math.max(...points.map((p) => p.standard));
    return [
      {
        verdict: judged(allowed.result.value - off[at]!, error),
        says: `At ${mark(standard, 'pressure')} it reads ${mark(reads, 'pressure')}; ${mark(allowed.result.value, 'pressure')} either way is allowed.`,
        steps: [allowed, worst]
      },
      {
        verdict: most >= 0.99 * workingPressure ? 'within' : 'shows nothing',
        says: `Compared up to ${mark(most, 'pressure')}; the boiler works at ${mark(workingPressure, 'pressure')}.`,
        steps: []
      }
    ];
  }
});
