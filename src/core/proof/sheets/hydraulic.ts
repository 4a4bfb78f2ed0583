import { choice, group, quantity, text } from '../../form';
import { above, given, line, mark, minus, psi, Refusal, times } from '../../units';
import { type Finding, judged, reaches, sheet } from '../sheet';

/** Pumped up cold with water and held. Test pressure = working pressure × the multiplier of the rules (physics: 110 × 2 = 220 psi). */
export const hydraulic = sheet({
  key: 'hydraulic',
  name: 'Hydraulic test',
  how: [
    'Filled to the top with cold water and no air in it, fittings that cannot stand it blanked.',
    'Pumped up in steps, looked over at each, then to the test pressure and shut off for the time of the rules.',
    'Every place that weeps is written down with the pressure at which it was seen.'
  ],
  every: 'hydraulicEvery',
  fields: () =>
    group('Hydraulic test', {
      which: choice('Which', { first: 'new, or after a repair', repeat: 'repeated' }),
      reached: quantity('Pumped up to', 'pressure', 0, psi(700)),
      held: quantity('Shut off and held for', 'time', 0, 24 * 3600),
      after: quantity('Read at the end', 'pressure', 0, psi(700)),
      error: quantity('Gauge read to, either way', 'pressure', 0, psi(30)),
      gauge: text('Which gauge, and when it was compared', 1, 200),
      weeps: text('What wept, and at what pressure', 0, 1000, 'Empty where nothing did.')
    }),
  starts: () => ({ which: 'first', reached: '', held: '', after: '', error: '', gauge: '', weeps: '' }),
  judge: ({ which, reached, held, after, error, weeps }, { workingPressure }, rules) => {
    if (after > reached) throw new Refusal('after', 'It cannot stand higher at the end than it was pumped to: read both again.');
    if (!(held > 0)) throw new Refusal('held', 'A fall is judged over the time it was held: say for how long it was shut off.');
    const ratio = which === 'first' ? rules.hydraulicFirst : rules.hydraulicRepeat;
    const wp = given('working pressure', workingPressure, 'pressure', 'fit-out');
    const target = line('test pressure', 'pressure', times(wp, given('times', ratio, 'ratio', 'rule of the club')));
    const over = line('over it', 'pressure', minus(given('pumped up to', reached, 'pressure', 'measured'), above(target)));
    const fell = line(
      'fall while it was held',
      'pressure',
      minus(given('pumped up to', reached, 'pressure', 'measured'), given('at the end', after, 'pressure', 'measured'))
    );
    const findings: Finding[] = [
      {
        // To the figure is reached: what is read within the error under it is not known to have been.
        verdict: reaches(reached, target.result.value) ? 'within' : judged(over.result.value, error),
        says: `Asked for ${mark(target.result.value, 'pressure')}, pumped up to ${mark(reached, 'pressure')}.`,
        steps: [target, over]
      },
      {
        verdict: held >= rules.hold ? 'within' : 'shows nothing',
        says: `Held for ${mark(held, 'time')} of the ${mark(rules.hold, 'time')} that the rules ask.`,
        steps: []
      },
      {
        verdict: fell.result.value === 0 ? 'within' : judged(rules.fall - fell.result.value, error),
        says: `It fell by ${mark(fell.result.value, 'pressure')}; ${mark(rules.fall, 'pressure')} is allowed.`,
        steps: [fell]
      }
    ];
    return weeps.trim() ? [...findings, { verdict: 'not within', says: `It wept: ${weeps.trim()}.`, steps: [] }] : findings;
  }
});
