import type { FitOut } from '../engine';
import type { State } from '../log';
import { feedsAt } from '../procedure';
import { mark } from '../units';
import { countdownOf } from './countdown';
import { type Drill, type DrillStep, fireOutStep, saidOf } from './drills';
import { feedsNow, feedWords } from './feeds';

/** The low-water drill of one engine as it is now: it names the feed that can be worked, and nothing that this engine has not got. */
export function lowWater(f: FitOut, state: State, now: number = Date.parse(state.fire.litAt ?? '')): Drill {
  const [feed, other] = feedsNow(f, state);
  const solid = f.fire.with === 'solid';
  const damper = f.fire.with === 'solid' && f.fire.damper;
  const glass = f.glasses.length > 0;
  const canBeFed = feedsAt(f).length > 0;
  const less = !solid
    ? f.fire.with === 'gas'
      ? ['Burner down.']
      : []
    : [damper ? 'Blower down, damper in: ask less of the fire.' : 'Blower down: ask less of the fire.'];
  const out: DrillStep[] = [fireOutStep(f), ...(solid ? ['Blower off.'] : [])];
  const count = countdownOf(f, state);
  const left = count && 'stop' in count && now ? (count.stop - now) / 1000 : undefined;
  const inDoubt = out.map((s): DrillStep => {
    const says = saidOf(s);
    return { ...(typeof s === 'string' ? {} : s), says: `In doubt: ${says[0]!.toLowerCase()}${says.slice(1)}` };
  });
  const seen: DrillStep[] = feed
    ? [`Feed now, gently: ${feedWords(feed)}.`, ...less, glass ? 'Keep your eyes on the glass until it rises.' : 'Count what goes in.']
    : glass
      ? [
          `${canBeFed ? 'Nothing can be fed as it is now' : 'Nothing feeds this engine'}: fire out while water still shows.`,
          ...out,
          'Keep your eyes on the glass.'
        ]
      : left !== undefined && left > 0
        ? [`Its countdown has ${mark(Math.round(left), 'time')} left: keep to it.`, ...inDoubt]
        : left === undefined
          ? ['Nothing is timed: it is not lit.', 'Measure what is in before it is.']
          : ['Its time is up.', ...out];
  return {
    key: 'low-water',
    title: 'Low water',
    question: {
      ask: glass ? 'Can you see water in the glass?' : 'Is there water in the boiler? There is no glass to tell.',
      answers: [
        {
          says: 'seen',
          answer: glass ? 'Yes, I see it, but it is low' : 'Yes, I measured it and the time is not up',
          steps: seen,
          ...(glass
            ? {
                then: feed
                  ? 'Log the glass every minute until it is back over its lowest running level.'
                  : canBeFed
                    ? 'It is worked again when a feed works, and not before.'
                    : 'Nothing brings it back while there is pressure: that run is over.'
              }
            : { then: 'What is in was measured, and its time is worked from that: it is right as long as both are.' })
        },
        // Where nothing feeds, nobody feeds in vain.
        ...(canBeFed
          ? [
              {
                says: 'does not rise' as const,
                answer: glass ? 'I see it, I feed, and it does not rise' : 'I feed, and do not know that it goes in',
                steps: [
                  ...(other ? [`Once: ${feedWords(other)}.`] : []),
                  glass ? 'Still not rising: fire out now, while water shows.' : 'Fire out now.',
                  ...out,
                  glass ? 'Watch the glass. Gone from sight: answer No.' : 'Let it cool. Open nothing.'
                ],
                then: 'Why it did not go in is found before it is worked again: the feed, its clack, its tank. Joram raises a fault for it.',
                fault: {
                  text: `Low water: fed, and ${glass ? 'the glass did not rise' : 'not known to go in'}. Feeds to be proven before it is worked again.`,
                  forbids: 'passengers' as const
                }
              }
            ]
          : []),
        {
          says: 'not seen',
          answer: glass ? 'No, or it is in the bottom nut' : 'No, or I do not know',
          steps: [
            canBeFed ? 'Do not feed.' : 'Put nothing in.',
            ...out,
            ...(solid ? [`Fire door shut.${damper ? ' Damper shut.' : ''} Chimney closed off.`] : []),
            f.control === 'none' ? 'Let it run as it is.' : `Leave the ${f.control} as it is.`,
            'People back.',
            'Let it cool. Open nothing.'
          ],
          then: `The boiler${f.fusiblePlug ? ' and its plug are' : ' is'} examined before the next fire. Joram raises a fault that bars this engine until someone entitled clears it.`,
          fault: {
            text: `Low water: ${glass ? 'no water seen in the glass' : 'not known that there is water in it'}. Boiler${f.fusiblePlug ? ' and plug' : ''} to be examined before the next fire.`,
            forbids: 'steaming'
          }
        }
      ]
    }
  };
}
