import { boilerShape, feedsOf, type FitOut } from '../engine';
import { gasHeat } from '../firing';
import { group, type Infer, maybe, number, quantity } from '../form';
import { coldWater, waterVolume } from '../steam';
import {
  above,
  type Expression,
  given,
  greater,
  line,
  mark,
  over,
  type Source,
  times,
  type Worked,
  workedFrom,
  type WorkedInput,
  type WorkedStep
} from '../units';
import type { Given } from './sum';

/** THE TERMS OF A STOP: how far what is expected may be off, the fire as a sum needs it, and the water that must stay. */

/** What ends a run: its water, the longest run its owner allows, its fuel. */
export type Ends = 'water' | 'run limit' | 'fuel';

export interface Stop {
  /** s from the match to when it has to be over, by which end, with its working. */
  readonly worked: Worked;
  readonly by: Ends;
  /** s from the match, as is to be expected. */
  readonly boils: number;
  readonly up: number;
  /** s from the match to the last flame; undefined where it is switched off and does not burn out. */
  readonly fuelOut?: number;
  /** s from the match to where the water might be at its floor, on the safe side. */
  readonly lasts: number;
  /** kg/s that may boil away at the most, and that go as steam once it is up, as is to be expected. */
  readonly fastest: number;
  readonly steams: number;
  /** kg in at the match, that must stay in, that is likely to be left at the stop, and that is left at least. */
  readonly water: number;
  /** The same, m³ as it was filled in. */
  readonly fill: number;
  readonly floor: Worked;
  readonly left: number;
  readonly leastLeft: number;
  /** kg of fuel that goes in, and the largest charge that ends before the water; undefined where nothing is charged. */
  readonly charge?: number;
  readonly largest?: Worked;
  /** What else is to be known, as sentences. */
  readonly notes: readonly string[];
}
export type Stopping = Stop | { readonly refused: string; readonly worked: Worked };

/** Whether anything can be fed while there is pressure. */
export const canBeFed = (f: FitOut): boolean => feedsOf(f).length > 0;
/** Whether a run is timed: nothing can be fed while there is pressure. */
export const isTimed = (f: FitOut): boolean => !canBeFed(f);
/** Whether fuel and water must end together: nothing can be fed, and the fire is not switched off by its own thermostat. */
export const needsPair = (f: FitOut): boolean => isTimed(f) && f.fire.with !== 'electric';

/** What of the water must be left when the fire is out: a third, until the owner says otherwise. */
export const usualReserve = 1 / 3;

/** Water as it is filled in: hand-warm; and hot on what is hot, as a further run begins; K. */
export const warmWater = 318.15;
export const hotOnHot = 358.15;

/**
 * What its own runs have shown of the heat of a fire: how many times what is expected boiled water away once it was up, and how far that may be
 * off. A charge burns down, and what it gives while raising is another figure.
 */
export interface Shown {
  readonly factor: number;
  readonly spread: number;
  readonly runs: number;
  /** How many times as fast as its fit-out says the fuel goes, by weighing it; undefined while nobody has. */
  readonly burns?: number;
  readonly weighed?: number;
  /** How many times what is expected it gives while raising, by when its senses came. */
  readonly raise?: number;
  readonly raised?: number;
}
/** Nothing yet. */
export const noneShown: Shown = { factor: 1, spread: 0, runs: 0 };

/**
 * How far the heat that reaches the water may be over what is expected (or unknown, of a charge that nobody has weighed), the losses under it,
 * the water that is in under what was measured, and how many times as much water as is usual goes with the steam. Guesses of ours on the safe
 * side, not fitted to measured runs: an engine’s own runs take the place of the first as soon as there is one.
 */
export const doubts = { heat: 0.15, raise: 0.15, unknown: 0.4, loss: 0.3, water: 0.05, wet: 5 } as const;

/** The fire as the sum needs it. */
export interface Heat {
  readonly power: WorkedInput;
  readonly share: number;
  /** Of a kilogram, J; undefined where nothing is charged. */
  readonly heat?: WorkedInput;
  /** kg of one charge as it is, and what it cannot be divided below. */
  readonly own?: number;
  readonly piece?: number;
  /** s: a larger charge burns no longer, and hotter. */
  readonly burns?: number;
  /** Burning hardest, over its mean. */
  readonly peak: number;
  readonly unknown: boolean;
}

export function heatOf({ fitOut: { fire: said }, plant: { fire } }: Given): Heat | undefined {
  if (fire.with === 'gas')
    return {
      power: given('power of the burners', fire.power, 'power', 'fit-out'),
      share: fire.efficiency,
      heat: given('heat of the gas', gasHeat, 'heat of fuel', 'class default'),
      own: fire.canister,
      peak: 1,
      unknown: false
    };
  if (fire.with === 'electric')
    return { power: given('power of the element', fire.power, 'power', 'fit-out'), share: 1, peak: 1, unknown: false };
  if (fire.with !== 'spirit' || said.with !== 'spirit') return undefined;
  const from: Source = said.heat === null && said.weight === null ? 'class default' : 'fit-out';
  const own = fire.charge / fire.heat;
  return {
    power: given('power of one charge', fire.charge / fire.burns, 'power', from),
    share: fire.efficiency,
    heat: given('heat of the fuel', fire.heat, 'heat of fuel', 'class default'),
    own,
    ...(said.pieces === null ? {} : { piece: own / said.pieces }),
    ...(said.layout === 'together' ? { burns: fire.burns } : {}),
    // Tablets rise over the first fifth of their time and fade over the last.
    peak: fire.fades ? 1.25 : 1,
    unknown: from === 'class default'
  };
}

const room = (cold: number) => given('room of a kilogram of cold water', waterVolume(cold), 'volume', 'steam tables');

/** What must stay in: over the hottest metal and in sight of the glass, whichever is higher, and the share kept back. */
export function floorOf({ fitOut }: Given, water: WorkedStep, reserve: number): readonly WorkedStep[] {
  const shape = boilerShape(fitOut.boiler);
  const bottom = Math.min(...fitOut.glasses.map((g) => g.bottomNut));
  const heights: Expression[] = [
    given('water over the hottest metal', shape.volume(shape.heated), 'volume', 'geometry'),
    ...(fitOut.glasses.length ? [given('lowest water that the glass shows', shape.volume(bottom), 'volume', 'geometry')] : [])
  ];
  const covered = line('must stand over it', 'volume', heights.length > 1 ? greater(...heights) : heights[0]!);
  return [
    covered,
    line(
      'floor',
      'mass',
      greater(over(above(covered), room(coldWater)), times(given('share kept back', reserve, 'share', 'rule of the club'), above(water)))
    )
  ];
}

/** The least that may be filled in so that anything at all may boil away, m³: a tenth over what must stand. */
export const leastFill = (covered: number) => (1.1 * covered) / (1 - doubts.water);

/** As much of it as there are whole pieces. */
export const whole = (kg: number, piece: number | undefined) => (piece === undefined ? kg : Math.floor(kg / piece + 1e-9) * piece);

export const stopInputs = group('Water, fuel and time', {
  fill: quantity('Water in the boiler', 'volume', 1e-6, 5),
  charge: maybe(quantity('Fuel that is charged', 'mass', 0.0001, 500)),
  reserve: number('Share of the water that must be left', 0.05, 0.9),
  water: quantity('Water in the boiler, at the match', 'temperature', 273.16, 373.2),
  air: quantity('Air', 'temperature', 243.15, 323.15)
});
export type Filling = Infer<typeof stopInputs>;

/** The heat of a fire in the water at its bad end or as expected, W; and what the boiler loses at a temperature. */
export const reaching = (power: Expression, share: number, more: number, words: string, from: Source) =>
  times(power, given('share that reaches the water', share, 'share', 'class default'), given(words, more, 'ratio', from));

/** Why there is no stop, with the lines that say so. */
export const refusal = (refused: string, steps: readonly WorkedStep[]): Stopping => ({
  refused,
  worked: steps.length ? workedFrom(steps, 'estimate') : { value: 0, kind: 'mass', sure: 'estimate', steps }
});

/** What else is to be known of a stop. @param of kg that burn and that may, where it burns already; s that its owner allows (0: none) and that its water lasts */
export const notesOf = (of: {
  readonly burns?: number;
  readonly most?: number;
  readonly limit: number;
  readonly lasts: number;
  readonly unknown: boolean;
}): string[] => [
  ...(of.burns !== undefined && of.most !== undefined && of.burns > of.most * 1.0001
    ? [
        `The fuel outlasts the water: ${mark(of.burns, 'mass')} burns, and no more than ${mark(of.most, 'mass')} ends before the water is at its floor. It has to be put out.`
      ]
    : []),
  ...(of.limit > of.lasts
    ? [`Its longest run of ${mark(of.limit, 'time')} is longer than its water surely lasts, ${mark(of.lasts, 'time')}: the water ends it.`]
    : []),
  ...(of.unknown
    ? [
        'The heat of a charge is not known: it is taken two fifths over what its fill suggests, on the safe side. Weigh a charge, or enter its heat.'
      ]
    : [])
];
