import type { FitOut } from '../../engine';
import { choice, group, list, quantity } from '../../form';
import { given, line, mark, minus, psi, Refusal } from '../../units';
import { type Finding, judgedBy, named, seen, sheet, untried } from '../sheet';

const bubbles = { tight: 'seen', bubbles: 'not within' } as const;
const dies = { yes: 'seen', no: 'not within' } as const;
const jointsOf = ({ fire }: Pick<FitOut, 'fire'>): string[] =>
  fire.with !== 'gas' ? [] : fire.joints.length ? fire.joints.map((j) => j.name) : ['canister', 'gas valve', 'jet'];

/** The gas train, from the canister to the jet: shut in and watched, soaped, and seen to shut. */
export const gas = sheet({
  key: 'gas',
  name: 'Gas train',
  how: [
    'In the open air, away from any flame. Soap and water, never a match.',
    'Gas on, burner valves shut, then the canister shut: what the needle does for the time of the rules.',
    'Every joint soaped while it is under pressure. Then lit, and shut at the canister: the flame dies, and the train holds nothing.'
  ],
  when: (f) => f.fire.with === 'gas',
  every: 'gasEvery',
  fields: (f) =>
    group('Gas train', {
      error: quantity('Needle read to, either way', 'pressure', 0, psi(5)),
      from: quantity('Shut in at', 'pressure', 0, psi(200)),
      to: quantity('Read at the end', 'pressure', 0, psi(200)),
      after: quantity('After', 'time', 1, 7200),
      joints: list(
        'Joints, soaped',
        'Joint',
        group('Joint', { joint: named('Which', jointsOf(f)), is: choice('It', { tight: 'shows no bubble', bubbles: 'bubbles' }) }),
        1,
        16
      ),
      dies: choice('Shut at the canister, the flame', { yes: 'dies', no: 'does not die' })
    }),
  starts: (f) => ({ error: '', from: '', to: '', after: '', joints: jointsOf(f).map((joint) => ({ joint, is: '' })), dies: '' }),
  judge: ({ error, from, to, after, joints, dies: out }, fitOut, rules): Finding[] => {
    if (to > from)
      throw new Refusal('to', 'It cannot stand higher at the end than it was shut in at: read both again, with the canister shut.');
    if (!(from > 0)) throw new Refusal('from', 'There was no gas in it: nothing can be seen to hold.');
    const fell = line(
      'fall',
      'pressure',
      minus(given('shut in at', from, 'pressure', 'measured'), given('at the end', to, 'pressure', 'measured'))
    );
    const soon = rules.gasHold !== null && after < rules.gasHold;
    return [
      {
        verdict:
          rules.gasFall !== null && fell.result.value === 0 ? 'within' : judgedBy(rules.gasFall, (r) => r - fell.result.value, error),
        says: `It fell by ${mark(fell.result.value, 'pressure')}${rules.gasFall === null ? '' : `; ${mark(rules.gasFall, 'pressure')} is allowed`}.`,
        steps: [fell]
      },
      {
        verdict: rules.gasHold === null ? 'measured' : soon ? 'shows nothing' : 'within',
        says: `Watched for ${mark(after, 'time')}${rules.gasHold === null ? '' : ` of the ${mark(rules.gasHold, 'time')} that the rules ask`}.`,
        steps: []
      },
      ...joints.map(({ joint, is }) => seen(bubbles, is, `${joint}: ${is === 'tight' ? 'no bubble' : 'bubbles'}.`)),
      ...untried(
        jointsOf(fitOut),
        joints.map((j) => j.joint)
      ),
      seen(dies, out, out === 'yes' ? 'Shut at the canister, the flame dies.' : 'Shut at the canister, the flame does not die.')
    ];
  }
});
