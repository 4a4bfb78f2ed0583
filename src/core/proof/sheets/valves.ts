import { group, list, quantity, text } from '../../form';
import { given, line, mark, minus, over, psi, Refusal } from '../../units';
import { type Finding, judged, sheet } from '../sheet';

/** Each safety valve by itself: where it lifts, and where it shuts again. */
export const valves = sheet({
  key: 'valves',
  name: 'Safety valves, set',
  how: [
    'In steam, by a compared gauge, each valve seen to lift and to shut by itself, the others held only under the examiner’s eye.',
    'Three lifts of each; the one that is furthest off is written down.'
  ],
  every: 'steamEvery',
  fields: () =>
    group('Safety valves', {
      gauge: text('Which gauge, and when it was compared', 1, 200),
      error: quantity('Gauge read to, either way', 'pressure', 0, psi(20)),
      lifts: list(
        'Valves',
        'Valve',
        group('Valve', { lifted: quantity('Lifted at', 'pressure', 0, psi(700)), shut: quantity('Shut at', 'pressure', 0, psi(700)) }),
        1,
        4
      )
    }),
  starts: ({ safetyValves }) => ({ gauge: '', error: '', lifts: safetyValves.map(() => ({ lifted: '', shut: '' })) }),
  judge: ({ lifts, error }, { safetyValves }, rules) => {
    if (lifts.length !== safetyValves.length)
      throw new Refusal(
        'lifts',
        `This engine has ${safetyValves.length} safety valve${safetyValves.length === 1 ? '' : 's'}: write each of them down.`
      );
    return lifts.flatMap(({ lifted, shut }, i): Finding[] => {
      if (shut > lifted) throw new Refusal(`lifts.${i}.shut`, 'A valve shuts under where it lifted: read both again.');
      const { set } = safetyValves[i]!;
      const name = `Valve ${i + 1}`;
      const was = given('lifted at', lifted, 'pressure', 'measured');
      const off = line('off its set', 'pressure', minus(was, given('set to', set, 'pressure', 'fit-out')));
      const down = line('shut under its lift', 'ratio', over(minus(was, given('shut at', shut, 'pressure', 'measured')), was));
      return [
        {
          verdict: judged((rules.valveWithin / 100) * set - Math.abs(lifted - set), error),
          says: `${name} lifted at ${mark(lifted, 'pressure')} and is set to ${mark(set, 'pressure')}; ${rules.valveWithin} % either way is allowed.`,
          steps: [off]
        },
        {
          verdict: judged(shut - (1 - rules.reseat / 100) * lifted, error),
          says: `${name} shut at ${mark(shut, 'pressure')}; ${rules.reseat} % under its lift is allowed.`,
          steps: [down]
        }
      ];
    });
  }
});
