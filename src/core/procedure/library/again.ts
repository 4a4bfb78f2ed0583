import type { FitOut } from '../../engine';
import { mark } from '../../units';
import type { StepRule } from '../step';
import { capital, depressured, electric, fed, filledThroughTop, gas, glass, listed, not, sentences, solid, spirit, valveOut } from './fits';

const unfed = not(fed);
const opened = (f: FitOut) => (valveOut(f) ? (['valve', 'funnel'] as const) : (['filler', 'funnel'] as const));
const hand = (f: FitOut) => f.lubrication.filter((x) => x.kind === 'hand' || x.kind === 'cup' || x.kind === 'displacement');

/** What says that nothing is left to let off, on an engine without a needle. */
const says: Record<FitOut['tellTale'], string> = {
  none: 'No hiss at the valve when it is lifted with a stick.',
  whistle: 'The whistle gives nothing any more, not even a breath.',
  feather: 'No feather at the valve, and no hiss when it is lifted with a stick.',
  spring: 'The flywheel turns freely against the finger: no spring is left.'
};

/**
 * A FURTHER RUN on the same day. Where nothing feeds: flame out, down to nothing, opened, what is left measured, filled hot on hot, oiled,
 * charged, lit. Where it can be fed, it is lit again on what is in it. What was proven today stands; water never does.
 */
export const again: readonly StepRule[] = [
  {
    key: 'again-out',
    cycle: 'further',
    shown: 'seen',
    what: (f) => (electric(f) ? 'Off at the switch' : gas(f) ? 'Gas off, flame seen out' : 'Fire seen out'),
    how: (f) =>
      spirit(f)
        ? 'Look from the side, with a hand over it for shade: what burns pale is not seen by day.'
        : electric(f)
          ? 'The plug out, so that nobody turns it on with the top open.'
          : gas(f)
            ? 'At the canister, then the burner. Listen until it is quiet.'
            : 'No glow left under the ash.',
    why: 'Nothing is opened over a fire.',
    closes: (f) => (electric(f) ? ['mains', 'fire'] : gas(f) ? ['canister', 'fire'] : ['fire']),
    sees: 'fire out',
    must: true,
    minutes: 1
  },
  {
    key: 'again-down',
    cycle: 'further',
    when: unfed,
    what: 'Down to nothing',
    how: (f) =>
      f.gauge
        ? 'Let it off gently by its own work, then wait for the needle.'
        : `${f.whistle && f.tellTale !== 'whistle' ? 'Let it off by the whistle. ' : ''}${says[f.tellTale === 'whistle' && !f.whistle ? 'none' : f.tellTale]}`,
    why: 'What is opened with a breath left in it throws boiling water.',
    caution: 'Scalding: face and hands away from what is opened.',
    gates: (f) => (f.gauge ? depressured(f) : [{ kind: 'fire out' }]),
    needs: ['again-out'],
    sees: 'pressure gone',
    must: true,
    minutes: 3
  },
  {
    key: 'again-open',
    cycle: 'further',
    when: (f) => unfed(f) && filledThroughTop(f),
    what: (f) => (valveOut(f) ? 'Safety valve out, slowly' : 'Filler open, slowly'),
    how: 'A cloth round it, a quarter turn, wait; then the rest.',
    why: 'If anything is left it shows in the first quarter turn.',
    needs: ['again-down'],
    opens: opened,
    must: true,
    minutes: 1
  },
  {
    key: 'again-left',
    cycle: 'further',
    when: (f) => unfed(f) && !glass(f),
    asks: () => ['water left'],
    proof: () => ({ kind: 'left' }),
    what: 'Measure what is left',
    how: 'Draw it off into the measure, read it, and put it back hot; or tip it out and read it.',
    why: 'It says how much a minute of fire takes: the next run is timed by what this one used.',
    needs: ['again-open'],
    must: true,
    minutes: 2
  },
  {
    key: 'again-fill',
    cycle: 'further',
    when: unfed,
    asks: (f) => (glass(f) ? [] : ['water in']),
    what: (f) => (glass(f) ? 'Fill again, hot on hot' : 'Fill again to its measure, hot on hot'),
    how: (f) =>
      sentences(
        'Hot water only, slowly.',
        !glass(f) && `With what is left, ${mark(f.fill ?? 0, 'volume')} in all.`,
        glass(f) && 'Log the glass.'
      ),
    why: 'Hot on hot strains nothing, and it boils in half the time.',
    caution: 'Never cold water into a hot boiler.',
    needs: ['again-open', 'again-left', 'again-down'],
    evidence: 'glass reading',
    again: true,
    must: true,
    minutes: 2
  },
  {
    key: 'again-close',
    cycle: 'further',
    when: (f) => unfed(f) && filledThroughTop(f),
    what: (f) => (valveOut(f) ? 'Safety valve back, finger-tight' : 'Filler shut'),
    how: 'Washer in its place, funnel out.',
    why: 'No heat before it is back.',
    closes: opened,
    needs: ['again-fill'],
    must: true,
    minutes: 1
  },
  {
    key: 'again-water',
    cycle: 'further',
    when: (f) => fed(f),
    what: (f) => (glass(f) ? 'Water in the glass' : 'Water up to its measure'),
    how: (f) =>
      `${glass(f) ? 'Look again and log it: at least its cold mark.' : 'Feed it up, and say what is in.'} What it lost since is put in before the match.`,
    why: 'It has cooled and been worked: what stood there this morning says nothing.',
    evidence: 'glass reading',
    again: true,
    needs: ['again-out'],
    must: true,
    minutes: 1
  },
  {
    key: 'again-oil',
    cycle: 'further',
    when: (f) => f.lubrication.length > 0,
    what: (f) => `Oil again${unfed(f) ? ', with no pressure' : ''}`,
    how: (f) =>
      sentences(
        `${capital(listed(hand(f).map((x) => x.point.toLowerCase()))) || 'Each point'}.`,
        f.lubrication.some((x) => x.kind === 'displacement') && 'The lubricator is drained first, then filled: only with no pressure on it.'
      ),
    why: 'The last run used it.',
    needs: ['again-down'],
    minutes: 2,
    materials: ['oil can']
  },
  {
    key: 'again-bed',
    cycle: 'further',
    when: solid,
    what: 'Grate raked clean, dry start fuel laid',
    how: 'Ash out, air free. Dry fuel on a warm grate takes by itself: no soaked fuel goes into a hot firebox.',
    why: 'Vapour from a hot grate lights in your face.',
    caution: 'Never soaked fuel, never fluid, into a hot firebox.',
    needs: ['again-out'],
    must: true,
    minutes: 5
  },
  {
    key: 'again-charge',
    cycle: 'further',
    when: (f) => unfed(f) && (spirit(f) || gas(f)),
    asks: (f) => (f.fire.with === 'gas' && f.fire.empty !== null ? ['canister'] : ['charge']),
    what: (f) => (f.fire.with === 'spirit' ? `Charge again: ${f.fire.charge}` : 'Canister filled and weighed'),
    how: (f) =>
      spirit(f)
        ? 'Measured out away from the engine, into a cold burner.'
        : 'Filled outdoors, away from any flame. Weigh it: what it weighs over its empty weight is gas.',
    why: 'No more than ends before the water that is in it now.',
    needs: ['again-fill'],
    must: true,
    minutes: 1
  },
  {
    key: 'again-light',
    cycle: 'further',
    shown: 'lit',
    what: (f) => (electric(f) ? 'Mains on again' : 'Light it again'),
    how: (f) =>
      electric(f)
        ? 'Top shut, element covered, then the switch.'
        : gas(f)
          ? 'As before: flame to it first, then gas, slowly; hear it take within five seconds.'
          : spirit(f)
            ? 'Burner under, away from children’s hands. The clock begins again.'
            : 'As before. A warm boiler comes up sooner than you are ready.',
    why: 'What was proven today stands. Water is proven each time.',
    needs: ['again-close', 'again-fill', 'again-water', 'again-charge', 'again-bed'],
    act: 'light',
    purge: (f) => (f.fire.with === 'gas' ? f.fire.purge : 0),
    opens: (f) => (electric(f) ? ['mains', 'fire'] : gas(f) ? ['fire', 'canister'] : ['fire']),
    must: true,
    minutes: 1
  }
];
