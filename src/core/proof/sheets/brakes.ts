import { choice, group, list, maybe, quantity } from '../../form';
import { given, line, mark, minus, over, psi, Refusal, times } from '../../units';
import { type Finding, judgedBy, percent, seen, sheet, untried } from '../sheet';

const holds = { yes: 'seen', no: 'not within', untried: 'shows nothing' } as const;
const through = { yes: 'seen', no: 'not within', none: 'measured' } as const;

/** Each brake: what it loses shut in, whether it holds, whether it works to the last vehicle, and in how far it stops. */
export const brakes = sheet({
  key: 'brakes',
  name: 'Brakes',
  how: [
    'Standing: full on, its supply shut off, and the needle read for some minutes. It must not be on its way to off.',
    'Continuity: made at the engine, seen at the last vehicle; the hose parted, it comes on by itself where it is meant to.',
    'Moving, on a line that is clear and dry, with the load that it is for: from a known speed to a stand.'
  ],
  when: (f) => f.brakes.length > 0,
  fields: ({ brakes: b }) =>
    group('Brakes', {
      error: quantity('Needle read to, either way', 'pressure', 0, psi(20)),
      brakes: list(
        'Brakes',
        'Brake',
        group('Brake', {
          kind: choice(
            'Which',
            Object.fromEntries([...new Set(b.map((x) => x.kind))].map((k) => [k, k])) as Record<'hand' | 'steam' | 'vacuum', string>
          ),
          from: maybe(
            quantity('Shut in at', 'pressure', 0, psi(300), 'Steam, or vacuum as so much under the air. Empty for a hand brake.')
          ),
          to: maybe(quantity('Read at the end', 'pressure', 0, psi(300))),
          after: maybe(quantity('After', 'time', 30, 3600)),
          holds: choice('It holds the engine and its load', { yes: 'yes', no: 'no', untried: 'not tried' }),
          through: choice('Works to the last vehicle', { yes: 'yes', no: 'no', none: 'of the engine alone' }),
          speed: maybe(quantity('Stopped from', 'travel', 0.2, 20)),
          within: maybe(quantity('Within', 'length', 0.1, 500))
        }),
        1,
        3
      )
    }),
  starts: ({ brakes: b }) => ({
    error: '',
    brakes: b.map(({ kind }) => ({ kind, from: null, to: null, after: null, holds: '', through: '', speed: null, within: null }))
  }),
  judge: ({ error, brakes: b }, fitOut, rules) => {
    const findings = b.flatMap(({ kind, from, to, after, speed, within, ...is }, i): Finding[] => {
      const name = `The ${kind} brake`;
      const shutIn = [from, to, after].filter((x) => x !== null).length;
      if (shutIn > 0 && shutIn < 3)
        throw new Refusal(
          `brakes.${i}.${from === null ? 'from' : to === null ? 'to' : 'after'}`,
          'A leak is judged over time: give what it was shut in at, what it read at the end, and after how long.'
        );
      if ((speed === null) !== (within === null))
        throw new Refusal(
          `brakes.${i}.${speed === null ? 'speed' : 'within'}`,
          'A stop is judged by the speed and the way: give both, or neither.'
        );
      const made: Finding[] = [];
      if (from !== null && to !== null && after !== null) {
        if (to > from) throw new Refusal(`brakes.${i}.to`, 'It cannot stand higher at the end than it was shut in at: read both again.');
        const lost = line(
          'lost in a minute',
          'pressure',
          times(
            minus(given('shut in at', from, 'pressure', 'measured'), given('at the end', to, 'pressure', 'measured')),
            over(given('a minute', 60, 'time', 'given'), given('after', after, 'time', 'measured'))
          )
        );
        made.push({
          verdict: judgedBy(rules.brakeFall, (r) => r - lost.result.value, (error * 60) / after),
          says: `${name} lost ${mark(lost.result.value, 'pressure')} in a minute, shut in${rules.brakeFall === null ? '' : `; ${mark(rules.brakeFall, 'pressure')} is allowed`}.`,
          steps: [lost]
        });
      } else if (kind !== 'hand') made.push({ verdict: 'shows nothing', says: `${name} was not shut in and watched.`, steps: [] });
      made.push(
        seen(
          holds,
          is.holds,
          `${name} ${is.holds === 'yes' ? 'holds' : is.holds === 'no' ? 'does not hold' : 'was not tried against'} the engine and its load.`
        )
      );
      if (is.through !== 'none')
        made.push(seen(through, is.through, `${name} ${is.through === 'yes' ? 'works' : 'does not work'} to the last vehicle.`));
      if (speed !== null && within !== null) {
        const v = given('speed', speed, 'speed', 'measured');
        const braking = line(
          'held back, of the weight',
          'share',
          over(
            times(v, v),
            times(
              given('both ways of a mean', 2, 'count', 'given'),
              given('gravity, as a way', 9.81, 'length', 'given'),
              given('the way', within, 'length', 'measured')
            )
          )
        );
        made.push({
          // A way paced out and a speed by the watch are good to a tenth together.
          verdict: judgedBy(rules.braking, (r) => braking.result.value - r / 100, braking.result.value / 10),
          says: `${name} stopped it from ${mark(speed, 'travel')} within ${mark(within, 'length')}: ${percent(braking.result.value)} of the weight${rules.braking === null ? '' : `; ${rules.braking} % at least is asked`}.`,
          steps: [braking]
        });
      }
      return made;
    });
    return [
      ...findings,
      ...untried(
        fitOut.brakes.map((x) => `${x.kind} brake`),
        b.map((x) => `${x.kind} brake`)
      )
    ];
  }
});
