import { feedsOf } from '../../engine';
import { count, group, quantity, text } from '../../form';
import { given, line, mark, minus, psi, Refusal, times } from '../../units';
import { type Finding, judged, judgedBy, reaches, sheet } from '../sheet';

/** Raised to working pressure and kept there: what the fire finds that cold water did not. */
export const steam = sheet({
  key: 'steam',
  name: 'Steam test',
  how: [
    'Raised in its own time to working pressure by a compared gauge, and kept there for the time of the rules.',
    'Every safety valve seen to lift by itself, and every feed used.',
    'Looked over hot by the light of a torch, with nobody’s face in line with a joint; what leaks is written down with its place.'
  ],
  when: (f) => f.gauge,
  every: 'steamEvery',
  fields: () =>
    group('Steam test', {
      gauge: text('Which gauge, and when it was compared', 1, 200),
      error: quantity('Gauge read to, either way', 'pressure', 0, psi(20)),
      lowest: quantity('Lowest while it was held', 'pressure', 0, psi(700)),
      highest: quantity('Highest', 'pressure', 0, psi(700)),
      held: quantity('Held for', 'time', 0, 24 * 3600),
      lifted: count('Safety valves seen to lift', 0, 8),
      fed: count('Feeds that put water in', 0, 8),
      leaks: text('What leaked, and where', 0, 1000, 'Empty where nothing did.')
    }),
  starts: () => ({ gauge: '', error: '', lowest: '', highest: '', held: '', lifted: '', fed: '', leaks: '' }),
  judge: ({ error, lowest, highest, held, lifted, fed, leaks }, { workingPressure, safetyValves, ...fitOut }, rules) => {
    const feeds = feedsOf(fitOut);
    if (highest < lowest) throw new Refusal('highest', 'The highest cannot stand under the lowest: read both again.');
    const short = line(
      'over working pressure, or under it',
      'pressure',
      minus(
        given('lowest while it was held', lowest, 'pressure', 'measured'),
        given('working pressure', workingPressure, 'pressure', 'fit-out')
      )
    );
    const limit =
      rules.accumulation === null
        ? []
        : [
            line(
              'may rise to',
              'pressure',
              times(
                given('working pressure', workingPressure, 'pressure', 'fit-out'),
                given('and what is allowed', 1 + rules.accumulation / 100, 'ratio', 'rule of the club')
              )
            )
          ];
    const findings: Finding[] = [
      {
        // Nobody holds a fire to the hair: what is read within the error under it is not known to have been there.
        verdict: reaches(lowest, workingPressure) ? 'within' : judged(short.result.value, error),
        says: `Kept at ${mark(lowest, 'pressure')} or more; it works at ${mark(workingPressure, 'pressure')}.`,
        steps: [short]
      },
      {
        verdict: judgedBy(rules.accumulation, () => limit[0]!.result.value - highest, error),
        says: `${mark(highest, 'pressure')} at the highest${limit.map((l) => `; ${mark(l.result.value, 'pressure')} is allowed`).join('')}.`,
        steps: limit
      },
      {
        verdict: rules.steamHold === null ? 'measured' : held >= rules.steamHold ? 'within' : 'shows nothing',
        says: `Held for ${mark(held, 'time')}${rules.steamHold === null ? '' : ` of the ${mark(rules.steamHold, 'time')} that the rules ask`}.`,
        steps: []
      },
      {
        verdict: lifted >= safetyValves.length ? 'within' : 'shows nothing',
        says: `Seen to lift: ${lifted} of ${safetyValves.length} safety valve${safetyValves.length === 1 ? '' : 's'}.`,
        steps: []
      }
    ];
    if (feeds.length)
      findings.push({
        verdict: fed >= feeds.length ? 'within' : 'shows nothing',
        says: `Put water in: ${fed} of ${feeds.length} feed${feeds.length === 1 ? '' : 's'}.`,
        steps: []
      });
    return leaks.trim() ? [...findings, { verdict: 'not within', says: `It leaked: ${leaks.trim()}.`, steps: [] }] : findings;
  }
});
