import { boilerShape, type FitOut, glassHeight } from '../../engine';
import { count, group, list, maybe, number, quantity } from '../../form';
import { above, given, line, mark, minus, over, plus, Refusal, times } from '../../units';
import { type Finding, judgedBy, percent, sheet, untried } from '../sheet';

/** What the drawing says stands between the nuts, m³. */
const drawn = (fitOut: FitOut, which: number) => {
  const shape = boilerShape(fitOut.boiler);
  return shape.volume(glassHeight(fitOut, 1, which)) - shape.volume(glassHeight(fitOut, 0, which));
};

/** A glass calibrated by measured fills, cold: what one eighth of it is worth, against the drawing. */
export const glasses = sheet({
  key: 'glasses',
  name: 'Gauge glasses, by measured fills',
  how: [
    'Cold and level, filled until the water just shows over the bottom nut; then by measured fills, each written with what the glass reads.',
    'Wait until it has bobbed and stands. A glass that does not follow is choked or its cock is shut: that is a fault, not a reading.',
    'Where there are two, both are read: they stand level, or one of them does not tell the truth.'
  ],
  when: (f) => f.glasses.length > 0,
  fields: ({ glasses: g }) =>
    group('Gauge glasses', {
      error: number('A glass is read to, of it, either way', 0, 0.25, '1/16 is 0.06.'),
      fills: list(
        'Fills',
        'Fill',
        group('Fill', {
          which: count('Which glass', 1, g.length),
          put: quantity('Put in', 'volume', 0, 0.5),
          from: number('It read before', 0, 1, 'As a part of the glass.'),
          to: number('It reads after', 0, 1),
          other: maybe(number('The other glass reads', 0, 1, 'Empty where there is one.'))
        }),
        1,
        20
      )
    }),
  starts: ({ glasses: g }) => ({ error: '', fills: g.map((_, i) => ({ which: i + 1, put: '', from: '', to: '', other: null })) }),
  judge: ({ error, fills }, fitOut, rules) => {
    const names = fitOut.glasses.map((_, i) => `glass ${i + 1}`);
    const findings = fitOut.glasses.flatMap((_, i): Finding[] => {
      const of = fills.map((f, n) => ({ ...f, n })).filter((f) => f.which === i + 1);
      if (!of.length) return [];
      for (const f of of)
        if (f.put > 0 && f.to < f.from) throw new Refusal(`fills.${f.n}.to`, 'It fell while water was put in: read both again.');
      const rose = of.map((f) =>
        line('rose', 'ratio', minus(given('after', f.to, 'ratio', 'measured'), given('before', f.from, 'ratio', 'measured')))
      );
      const total = of.reduce((a, f) => a + f.to - f.from, 0);
      const inAll = line('put in', 'volume', plus(...of.map((f, n) => given(`fill ${n + 1}`, f.put, 'volume', 'measured'))));
      // Each fill is read twice, and errors that need not go the same way are taken as if they did.
      if (!(total > 2 * error * of.length))
        return [{ verdict: 'shows nothing', says: `Glass ${i + 1} rose by less than it can be read to: put in more.`, steps: rose }];
      const up = line('rose in all', 'ratio', plus(...rose.map(above)));
      const eighth = line('an eighth of the glass', 'volume', over(above(inAll), times(above(up), given('eighths', 8, 'count', 'given'))));
      const by = drawn(fitOut, i) / 8;
      const share = line(
        'beside the drawing',
        'ratio',
        over(minus(above(eighth), given('an eighth by the drawing', by, 'volume', 'geometry')), given('of it', by, 'volume', 'geometry'))
      );
      return [
        {
          verdict: judgedBy(rules.glassWithin, (r) => r / 100 - Math.abs(share.result.value), (2 * error * of.length) / total),
          says: `An eighth of glass ${i + 1} is ${mark(eighth.result.value, 'volume')} by ${of.length} fill${of.length === 1 ? '' : 's'}, and ${mark(by, 'volume')} by the drawing${rules.glassWithin === null ? '' : `; ${rules.glassWithin} % either way is allowed`}.`,
          steps: [...rose, up, inAll, eighth, share]
        }
      ];
    });
    const apart = fills.flatMap(({ to, other }) => (other === null ? [] : [Math.abs(to - other)]));
    return [
      ...findings,
      ...(fitOut.glasses.length > 1
        ? [
            apart.length
              ? ({
                  // Level with one another is what two readings cannot tell apart.
                  verdict: Math.max(...apart) <= 2 * error ? 'within' : 'not within',
                  says: `The two stood ${percent(Math.max(...apart))} of a glass apart at the most; each is read to ${percent(error)}.`,
                  steps: []
                } as const)
              : ({ verdict: 'shows nothing', says: 'The two were not read together.', steps: [] } as const)
          ]
        : []),
      ...untried(names, [...new Set(fills.map((f) => `glass ${f.which}`))])
    ];
  }
});
