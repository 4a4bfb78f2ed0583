import type { FitOut } from '../engine';
import type { Observation } from './observations';

/** SENSES AS INSTRUMENTS: what tells how far it has come on an engine without a needle, from cold to blowing off. */
export interface Sense {
  readonly seen: Observation;
  /** As it stands on its rung. */
  readonly word: string;
  /** Of the way to the boil, while it is under it; over it, 1 and the share of the pressure in steam. */
  readonly way: number;
  readonly when: (f: FitOut) => boolean;
}

const always = () => true;
const whistle = (f: FitOut) => f.whistle;
const wheel = (f: FitOut) => f.kind === 'tabletop' || f.kind === 'stationary plant' || f.kind === 'launch plant';

/** From the bottom rung to the top; in the way of each a keeper’s rough time, and no reading. */
export const ladder: readonly Sense[] = [
  { seen: 'touch warm', word: 'warm to the hand', way: 0.3, when: always },
  { seen: 'touch hot', word: 'too hot to touch', way: 0.55, when: always },
  { seen: 'simmer begins', word: 'begins to sing', way: 0.85, when: always },
  { seen: 'glass moving', word: 'glass bobs', way: 1, when: (f) => f.glasses.length > 0 },
  { seen: 'whistle wet', word: 'whistle spits water', way: 1.08, when: whistle },
  { seen: 'spring soft', word: 'flywheel gives a little', way: 1.2, when: wheel },
  { seen: 'whistle thin', word: 'whistle thin', way: 1.3, when: whistle },
  { seen: 'spring stiff', word: 'flywheel springs back', way: 1.4, when: wheel },
  { seen: 'whistle note', word: 'whistle full', way: 1.6, when: whistle },
  { seen: 'exhaust dry', word: 'vapour at the exhaust', way: 1.7, when: (f) => f.exhaust !== 'condensate' },
  { seen: 'feather', word: 'feather at the valve', way: 1.97, when: always },
  {
    seen: 'thermostat cycling',
    word: 'light goes out',
    way: 1.98,
    when: (f) => f.fire.with === 'electric' && f.fire.thermostat !== 'none'
  },
  { seen: 'blowing off', word: 'valve blows off', way: 2, when: always }
];

/** The rungs of an engine, from cold up. */
export const sensesOf = (f: FitOut): readonly Sense[] => ladder.filter((s) => s.when(f));

/** When a sense is expected, s after the match: straight to the boil, and straight from there to being up. */
export const expectedAt = ({ way }: Sense, { boils, up }: { readonly boils: number; readonly up: number }): number =>
  way <= 1 ? way * boils : boils + (way - 1) * (up - boils);
