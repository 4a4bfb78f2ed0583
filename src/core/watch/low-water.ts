import type { FitOut } from '../engine';
import type { State } from '../log';
import { feedsAt } from '../procedure';
import { mark } from '../units';
import type { Drill } from './drills';
import { feedsNow, feedWords } from './feeds';

const fireOut: Record<FitOut['fire']['with'], string> = {
  solid: 'Drop the fire, or smother it with sand or ash.',
  gas: 'Gas off at the canister.',
  spirit: 'Burner out from under, flame out.',
  electric: 'Off at the switch.'
};

/** The low-water drill of one engine as it is now: it names the feed that can be worked, and nothing that this engine has not got. */
export function lowWater(f: FitOut, state: State): Drill {
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
  const out = [fireOut[f.fire.with], ...(solid ? ['Blower off.'] : [])];
  const seen = feed
    ? [`Feed now, gently: ${feedWords(feed)}.`, ...less, glass ? 'Keep your eyes on the glass until it rises.' : 'Count what goes in.']
    : glass
      ? ['Nothing can be fed as it is now: fire out while water still shows.', ...out, 'Keep your eyes on the glass.']
      : ['Keep to its time, and not a minute over.', ...out.map((s) => `In doubt: ${s[0]!.toLowerCase()}${s.slice(1)}`)];
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
            ? { then: 'Log the glass every minute until it is back over its lowest running level.' }
            : f.runLimit === null
              ? {}
              : { then: `Its run is ${mark(f.runLimit, 'time')} from the match.` })
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
            'Do not feed.',
            ...out,
            ...(solid ? [`Fire door shut.${damper ? ' Damper shut.' : ''} Chimney closed off.`] : []),
            'Leave the regulator as it is.',
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
