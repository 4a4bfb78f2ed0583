import type { FitOut } from '../engine';
import type { Bodies, Kind } from '../log';
import { byControl, feedsAt } from '../procedure';

/** What each answer says: water is seen and low; it was fed and does not rise; no water is seen. */
export type LowWaterAnswer = 'seen' | 'does not rise' | 'not seen';
type Fault = Bodies['fault'];

type Made = { [K in Kind]: { readonly kind: K; readonly body: Bodies[K] } }[Kind];

/** One thing to do: said; one touch logs it; a pause is counted. */
export type DrillStep = string | { readonly says: string; readonly made?: readonly Made[]; /** s */ readonly count?: number };
export const saidOf = (step: DrillStep): string => (typeof step === 'string' ? step : step.says);

/**
 * The drills: what to do when something is wrong, in the order in which to do it. They work with no network and need no
 * reading. The club's own emergency rules come first where they differ.
 */
export interface Drill {
  readonly key: string;
  readonly title: string;
  readonly question?: {
    readonly ask: string;
    readonly answers: readonly {
      readonly says: LowWaterAnswer;
      readonly answer: string;
      readonly steps: readonly DrillStep[];
      readonly then?: string;
      /** What is to be put right before it is worked again: raised as a fault. */
      readonly fault?: Fault;
    }[];
  };
  readonly steps?: readonly DrillStep[];
  readonly then?: string;
}

/** What takes the fire away, in one touch that is logged. */
export const fireOutStep = (f: FitOut): DrillStep => ({ says: fireOut[f.fire.with], made: [{ kind: 'fire', body: { act: 'out' } }] });
export const fireOut: Record<FitOut['fire']['with'], string> = {
  solid: 'Drop the fire, or smother it with sand or ash.',
  gas: 'Gas off at the canister.',
  spirit: 'Burner out from under, flame out.',
  electric: 'Off at the switch, plug out.'
};

/** What makes the fire give less, where it can be made to. */
export const less = (f: FitOut): string | undefined =>
  f.fire.with === 'solid'
    ? `Stop firing. ${f.fire.damper ? 'Damper shut, blower' : 'Blower'} off.`
    : f.fire.with === 'gas'
      ? 'Burner down, or gas off.'
      : undefined;

const moves = (f: FitOut) => f.kind === 'tank locomotive' || f.kind === 'tender locomotive' || f.kind === 'road engine';
const steps = (...of: readonly (DrillStep | false | undefined)[]): readonly DrillStep[] => of.filter((s): s is DrillStep => Boolean(s));

type Rule = Omit<Drill, 'steps' | 'then'> & {
  /** Engines that it can happen on; all when left out. */
  readonly when?: (f: FitOut) => boolean;
  readonly steps: (f: FitOut) => readonly DrillStep[];
  readonly then?: (f: FitOut) => string;
};

const rules: readonly Rule[] = [
  {
    key: 'over-pressure',
    title: 'Pressure over the limit',
    when: (f) => f.gauge,
    steps: (f) =>
      steps(
        less(f) ?? fireOutStep(f),
        feedsAt(f).length > 0 && (f.glasses.length ? 'Feed, if the glass shows water.' : 'Feed, counted.'),
        'People back.',
        'Open nothing by force. Never load or tap a safety valve.'
      ),
    then: () => 'The valve is a fault that forbids steaming.'
  },
  {
    key: 'valve-shut',
    title: 'Valve does not lift',
    when: (f) => !f.gauge,
    steps: (f) =>
      steps(
        fireOutStep(f),
        'People back, a table’s length and more.',
        f.whistle && 'Let it off by the whistle, at arm’s length.',
        'Open nothing.'
      ),
    then: () => 'The valve is a fault that forbids steaming.'
  },
  {
    key: 'glass',
    when: (f) => f.glasses.length > 0,
    title: 'Glass broken',
    steps: (f) =>
      steps(
        'Face away.',
        'Both cocks shut, top first. No cocks: stand back until it has blown out.',
        f.glasses.length > 1 && 'Use the other glass.',
        f.glasses.length > 1 ? 'Both gone: fire out.' : fireOutStep(f)
      )
  },
  {
    key: 'blow-back',
    when: (f) => f.fire.with === 'solid',
    title: 'Blow back',
    steps: () => [
      'Get clear of the door.',
      'Blower on.',
      'Door shut when the flame has gone back in.',
      'Cool burns under clean running water.'
    ]
  },
  {
    key: 'gas',
    when: (f) => f.fire.with === 'gas',
    title: 'Gas flame lost',
    steps: (f) => {
      if (f.fire.with !== 'gas') return [];
      const [first] = f.fire.burners;
      const many = f.fire.burners.length > 1;
      return steps(
        {
          says: `Gas off at the canister${many ? ': all of them off, and not the one alone' : ''}.`,
          made: [{ kind: 'fire', body: { act: 'out' } }]
        },
        ...f.fire.burners.map(({ name }): DrillStep => ({
          says: many ? `Was it the ${name.toLowerCase()}? Say so.` : 'Say that it was lost.',
          made: [{ kind: 'flame', body: { burner: name, is: 'lost' } }]
        })),
        `${f.boiler.form === 'vertical' ? 'Doors' : 'Flue'} open at both ends.${f.kind === 'launch plant' ? ' Tip the hull: gas lies low in it.' : ''}`,
        { says: 'Air it, and count.', count: f.fire.purge },
        many
          ? `Only when you know why: ${first!.name.toLowerCase()} first, then the others in their order.`
          : 'Light it again only when you know why.'
      );
    }
  },
  {
    key: 'spirit',
    when: (f) => f.fire.with === 'spirit',
    title: 'Burning fuel spilt',
    steps: (f) =>
      steps(
        'Children back.',
        'Cover it: lid, damp cloth, extinguisher.',
        f.fire.with === 'spirit' &&
          f.fire.fuel !== 'tablets' &&
          'No water on burning spirit. By day its flame is not seen: keep a hand over it to feel.',
        { says: 'Burner out, if it can be reached.', made: [{ kind: 'fire', body: { act: 'out' } }] }
      )
  },
  {
    key: 'shock',
    when: (f) => f.fire.with === 'electric',
    title: 'Water at the mains, or a tingle',
    steps: () =>
      steps(
        'Touch nothing of it.',
        { says: 'Off at the socket, not at the set.', made: [{ kind: 'fire', body: { act: 'out' } }] },
        'People back. Let it cool by itself.'
      ),
    then: () => 'Earth, cover and flex are a fault that forbids steaming until somebody who knows has tested them.'
  },
  {
    key: 'priming',
    title: 'Water carried over',
    steps: (f) =>
      steps(
        f.control === 'none'
          ? 'Hold it back until it has cleared itself.'
          : f.cylinders.drains === 'none'
            ? 'Steam off, gently.'
            : 'Steam off gently, drains open.',
        f.glasses.length > 0 && 'Let the level settle before you trust the glass.',
        f.glasses.length > 0 &&
          (f.blowDown
            ? 'Glass over its ceiling: blow down a little, fire down.'
            : `Glass over its ceiling: ${less(f) ? 'fire down' : 'fire out'}.`),
        f.glasses.length === 0 && 'It was filled too full, or the water is dirty: less goes in next time.'
      )
  },
  {
    key: 'stuck',
    title: 'Fitting stuck open',
    steps: (f) =>
      steps(
        'People back from the jet.',
        feedsAt(f).length > 0 ? `${less(f) ?? 'Fire out.'} Feed${f.glasses.length ? ' to hold the glass' : ''}.` : fireOutStep(f),
        'Let the pressure fall by itself.'
      )
  },
  {
    key: 'scald',
    title: 'Scald or burn',
    steps: () => [
      { says: 'Cool under clean running water for twenty minutes.', count: 1200 },
      'Call for help.',
      'Rings and sleeves off before it swells. Nothing greasy on it.',
      'Someone else takes the engine.'
    ]
  },
  {
    key: 'runaway',
    when: moves,
    title: 'Engine running away',
    steps: (f) =>
      steps(
        f.roams === 'no' ? 'Regulator shut.' : 'Do not run after it: be where it comes round.',
        f.roams === 'no' &&
          [f.brakes.length > 0 && 'Brake.', f.cylinders.reverser !== 'none' && 'Reverser to mid gear.'].filter(Boolean).join(' '),
        'Shout. People off the track.',
        f.roams === 'no' && f.cylinders.drains !== 'none' && 'Drains open.',
        f.roams !== 'no' && 'Caught: shut it off, then the fire out.'
      )
  },
  {
    key: 'adrift',
    when: (f) => f.roams === 'water',
    title: 'Adrift, or not coming in',
    steps: () => [
      'Nobody wades after it.',
      'Line or rescue boat, from upwind.',
      'Its gas burns out by itself: stay clear of it until it has cooled.'
    ],
    then: () => 'Its water is not known then: it is looked at before the next fire.'
  }
];

/** The others, of one engine: low water is `low-water`. */
export const drillsOf = (f: FitOut): readonly Drill[] =>
  rules
    .filter(({ when }) => when?.(f) ?? true)
    .map(({ key, title, steps, then }) => ({
      key,
      title,
      steps: steps(f).map((s) => (typeof s === 'string' ? byControl(s, f) : { ...s, says: byControl(s.says, f) })),
      ...(then ? { then: then(f) } : {})
    }));
