import { group, type Infer, number, optional, quantity, text, union } from '../../form';
import { printText } from '../../units';
import type { KindOf } from './kind';

const fields = union('Accumulation test', 'act', {
  begins: group('begins', {
    rule: text('By which rule', 3, 80, 'The club’s boiler code and its clause, or what the examiner asked for.'),
    over: number('Allowed over working pressure, %', 1, 25, 'A tenth under most codes: your club’s code says.'),
    lasts: quantity('For how long', 'time', 60, 3600, 'Your club’s code says.'),
    error: quantity(
      'Gauge read to, either way',
      'pressure',
      0,
      2e5,
      'Half of its smallest mark, and what it was off by when it was compared last.'
    )
  }),
  ends: group('ends', { why: optional(text('Why before its time', 1, 200)) })
});
/** The fire at its fiercest and all shut but the safety valves: when that begins, by which rule, and when it ends. What it showed is read. */
export type Accumulation = Infer<typeof fields>;

export const accumulation: KindOf<Accumulation> = {
  fields,
  does: (state, { act }) => ({ ...state, accumulation: act }),
  says: (body, { units }) =>
    body.act === 'begins'
      ? `Accumulation test begins: ${printText(body.lasts, 'time', units)}, ${body.over} % allowed, gauge read to ${printText(body.error, 'pressure', units)} either way, by ${body.rule}`
      : `Accumulation test ends${body.why ? `. ${body.why}` : ''}`
};
