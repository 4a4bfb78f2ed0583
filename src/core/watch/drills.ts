import type { FitOut } from '../engine';
import type { Bodies } from '../log';

/** What each answer says: water is seen and low; it was fed and does not rise; no water is seen. */
export type LowWaterAnswer = 'seen' | 'does not rise' | 'not seen';
type Fault = Bodies['fault'];

/**
 * The drills: what to do when something is wrong, in the order in which to do it. They work with no network and need no
 * reading. The club's own emergency rules come first where they differ.
 */
export interface Drill {
  readonly key: string;
  readonly title: string;
  /** Engines that it can happen on; all when left out. */
  readonly when?: (fitOut: FitOut) => boolean;
  readonly question?: {
    readonly ask: string;
    readonly answers: readonly {
      readonly says: LowWaterAnswer;
      readonly answer: string;
      readonly steps: readonly string[];
      readonly then?: string;
      /** What is to be put right before it is worked again: raised as a fault. */
      readonly fault?: Fault;
    }[];
  };
  readonly steps?: readonly string[];
  readonly then?: string;
}

/** The others: low water is the engine's own (`low-water`). */
export const drills: readonly Drill[] = [
  {
    key: 'over-pressure',
    title: 'Pressure over the limit',
    steps: [
      'Stop firing.',
      'Damper shut, blower off.',
      'Feed, if the glass shows water.',
      'People back.',
      'Open nothing by force. Never load or tap a safety valve.'
    ],
    then: 'The valve is a fault that forbids steaming.'
  },
  {
    key: 'glass',
    when: (f) => f.glasses.length > 0,
    title: 'Glass broken',
    steps: ['Face away.', 'Both cocks shut, top first.', 'Use the other glass. No other glass: drop the fire.']
  },
  {
    key: 'blow-back',
    when: (f) => f.fire.with === 'solid',
    title: 'Blow back',
    steps: ['Get clear of the door.', 'Blower on.', 'Door shut when the flame has gone back in.', 'Cool burns under clean running water.']
  },
  {
    key: 'gas',
    when: (f) => f.fire.with === 'gas',
    title: 'Gas flame lost',
    steps: ['Gas off at the canister.', 'Air it for a counted minute.', 'Relight only when you know why.']
  },
  {
    key: 'spirit',
    when: (f) => f.fire.with === 'spirit',
    title: 'Burning spirit spilt',
    steps: ['Children back.', 'Cover it: lid, damp cloth, extinguisher.', 'No water on burning spirit.']
  },
  {
    key: 'priming',
    title: 'Water carried over',
    steps: [
      'Regulator in, drains open.',
      'Let the level settle before you trust the glass.',
      'Glass over its ceiling: blow down a little, fire down.'
    ]
  },
  {
    key: 'stuck',
    title: 'Fitting stuck open',
    steps: ['People back from the jet.', 'Fire down, feed to hold the glass.', 'Let the pressure fall by itself.']
  },
  {
    key: 'scald',
    title: 'Scald or burn',
    steps: [
      'Cool under clean running water for twenty minutes.',
      'Call for help.',
      'Rings and sleeves off before it swells. Nothing greasy on it.',
      'Someone else takes the engine.'
    ]
  },
  {
    key: 'runaway',
    when: (f) => f.kind !== 'tabletop',
    title: 'Engine running away',
    steps: ['Regulator shut.', 'Brake. Reverser to mid gear.', 'Shout. People off the track.', 'Drains open.']
  }
];
