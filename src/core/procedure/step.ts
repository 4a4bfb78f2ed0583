import type { Condition, RigPart } from '../commission';
import type { FitOut } from '../engine';
import { type Observation, showsAt } from './observations';
import type { Ask } from './asks';
import type { RoundKey } from './rounds';
import type { Act, ThingKey } from './things';
import type { Valve } from './valves';

/** The eight phases, always in this order. */
export const phases = ['Look over', 'Fill and oil', 'Light up', 'Raise', 'Prove', 'Run', 'Shut down', 'Put away'] as const;
export type Phase = (typeof phases)[number];

export type Cycle = 'each' | 'further';

/** What a step waits for. Pressures in Pa at the gauge. */
export type Gate =
  | { readonly kind: 'pressure'; readonly atLeast: number }
  | { readonly kind: 'pressure falls'; readonly atMost: number }
  | { readonly kind: 'seen'; readonly what: Observation }
  /** What the step itself is to see: no sooner than it can be there, s after the match, where its sum is known. */
  | { readonly kind: 'comes'; readonly what: Observation; readonly after?: number }
  | { readonly kind: 'minutes'; readonly after: string; readonly minutes: number }
  | { readonly kind: 'fire out' }
  /** The running is ending: said so, or from the moment that the day sheet has it, ISO 8601. */
  | { readonly kind: 'ending'; readonly from?: string };

/** The pressure at which a gate is expected to open on the way up, Pa at the gauge; undefined where no pressure opens it. */
export function opensAtPressure(gate: Gate, inSteam: number): number | undefined {
  if (gate.kind === 'pressure') return gate.atLeast;
  const share = gate.kind === 'seen' || gate.kind === 'comes' ? showsAt[gate.what] : undefined;
  return share === undefined ? undefined : share * inSteam;
}

/** What shows that a step was done, beyond the word of whoever did it. */
export const evidences = ['tick', 'glass reading', 'pressure reading', 'temperature reading', 'lift', 'count', 'initials'] as const;
export type Evidence = (typeof evidences)[number];

/** What the evidence of a step is held against: this engine's own figures, as data beside the step. */
export type Proof =
  /** The glass stands where the starting level asks for it: no lower, no higher; what the boiler holds cold at each eighth of it, m³. */
  | {
      readonly kind: 'level';
      readonly fill: number;
      readonly least: number;
      readonly most: number;
      readonly eighths: readonly number[];
    }
  /** So many valves, each seen to lift and to shut again; or why not, in writing. */
  | { readonly kind: 'lifts'; readonly valves: number }
  /** The needle stood within so much of what each valve is stamped when it lifted, Pa at the gauge. */
  | { readonly kind: 'agrees'; readonly sets: readonly number[]; readonly within: number }
  /** So many of these feeds, seen to work today and with no fault open: the club’s rule for public running. */
  | { readonly kind: 'feeds'; readonly asked: number; readonly of: readonly string[] }
  /** Each of these gas joints was tested and held since it was disturbed. */
  | { readonly kind: 'joints'; readonly names: readonly string[] }
  /** What was mended was tried again, and holds: by the name of its test. */
  | { readonly kind: 'retest'; readonly test: string }
  /** Each of these was touched in this condition, and found good. */
  | { readonly kind: 'cells'; readonly in: Condition; readonly items: readonly string[] }
  /** A walk past each of these places at this pressure, Pa at the gauge. */
  | { readonly kind: 'swept'; readonly at: number; readonly names: readonly string[] }
  /** An accumulation test was run to its end; its verdict is its own. */
  | { readonly kind: 'accumulated' }
  /** Something was taken apart today, and each place of it said. */
  | { readonly kind: 'apart' }
  /** A temporary rig is on, with its end; or off again. */
  | { readonly kind: 'rig'; readonly part: RigPart; readonly on: boolean }
  /** The needle on its pin, Pa at the gauge. */
  | { readonly kind: 'at rest'; readonly atMost: number }
  /** The needle looked at twice, a minute or more apart, has not fallen by more than two readings may be off, Pa. */
  | { readonly kind: 'holds'; readonly within: number }
  /** So much water is in, measured, m³: no less, no more; and what must stand over the hottest metal. */
  | { readonly kind: 'water'; readonly fill: number; readonly least: number; readonly most: number; readonly metal: number }
  /** What is charged has been weighed. */
  | { readonly kind: 'charged' }
  /** What was left after the last run has been measured. */
  | { readonly kind: 'left' }
  /** The fuel ends before the water: the largest charge at each of some fillings, cold and hot, kg; nothing where none does. */
  | {
      readonly kind: 'pair';
      readonly waters: readonly number[];
      readonly cold: readonly number[];
      readonly hot: readonly number[];
      /** Of one tablet, kg. */ readonly piece?: number;
      /** What its owner charges. */ readonly own: string;
      /** m³ in the boiler at each eighth of the glass, where one shows it. */ readonly eighths?: readonly number[];
    };

/**
 * By what the log shows a step to have been done, so that nobody is asked: a reading that it waited for, something seen, the match, what it closes
 * found closed, a round on the fire, valves as it sets them, the feeds it proves proven, the oil can,
 * a test that it names, whatever its proof asks for.
 */
export type Shown = 'reading' | 'seen' | 'lit' | 'closed' | 'fuel' | 'valves' | 'proven' | 'oil' | 'agrees' | 'tested' | 'borne out';

/**
 * What a step leaves set when it has been done. A tick tells which way something stands, not how far: what was said outright
 * stands (a blower logged at a quarter is not opened to a half by the step that asks for it).
 */
export type Setting =
  | {
      readonly valve: Valve;
      /** 0 shut to 1 fully open. */
      readonly open: number;
      /** Opened for a moment, and left like this. */
      readonly then?: number;
      /** Turned down to it when it stands further open. */
      readonly down?: true;
    }
  /** A round of fuel was put on. */
  | { readonly fuel: string }
  /** A burner was lit. */
  | { readonly flame: string }
  /** Where a pump that turns with the engine sends its water. */
  | { readonly feed: string; readonly to: 'boiler' | 'tank' }
  /** Share of the tanks, 0 to 1. */
  | { readonly tank: number };

/** What the book says to a step, and whether that bears it out. */
export interface Known {
  /** ISO 8601: when the book was asked. */
  readonly at: string;
  readonly says: readonly string[];
  readonly done: boolean;
  /** What in it speaks against the step: it is not called done by hand. */
  readonly against?: string;
}

/** A step of one engine's procedure, as stored with the steaming: plain data. */
export interface Step {
  readonly key: string;
  readonly phase: Phase;
  readonly what: string;
  readonly how: string;
  readonly why: string;
  readonly caution?: string;
  readonly gates: readonly Gate[];
  /** Steps that must be done, not skipped, before this one. */
  readonly needs: readonly string[];
  readonly evidence: Evidence;
  /** What that evidence must bear out; a step of an older procedure has none. */
  readonly proof?: Proof;
  /** A second look: what an earlier step stood on does not serve for it. */
  readonly again?: true;
  /** One point of a round that is looked at in one go. */
  readonly round?: RoundKey;
  /** Numbers that it asks for, none of which must be given. */
  readonly asks?: readonly Ask[];
  /** Not asked where the log shows it. */
  readonly shown?: Shown;
  /** Borne out by the club’s book when the steaming began. */
  readonly known?: Known;
  readonly opens: readonly ThingKey[];
  readonly closes: readonly ThingKey[];
  /** How it leaves valves, feeds, fire and tanks. */
  readonly sets: readonly Setting[];
  /** What this step sets going: refused while an open thing forbids it. */
  readonly act?: Act;
  /** After a flame was lost, everything off and aired for so long first, s. */
  readonly purge?: number;
  /** Ticking it records this as seen. */
  readonly sees?: Observation;
  /** Ticking it proves these feeds for today, by name. */
  readonly proves?: readonly string[];
  /** Can be done while waiting for something else. */
  readonly chore: boolean;
  /** A chore that a day always has time for: when no wait has room, the day begins earlier. */
  readonly kept?: boolean;
  /** Handles what burns: never beside a lit fire. */
  readonly flammable?: boolean;
  /** Leads away from the engine: not for whoever minds its fire. */
  readonly away?: boolean;
  /** A step whose evidence is too important to skip. */
  readonly must: boolean;
  /** Belongs to the end of the running: not before it. */
  readonly ends?: boolean;
  /** Asked anew in each run of a day; or only where there is a further one. */
  readonly cycle?: Cycle;
  readonly minutes: number;
  readonly who: 'keeper' | 'helper' | 'either';
  readonly materials: readonly string[];
}

type Of<T> = T | ((fitOut: FitOut) => T);

/** A step in the library: which engines it is for, and what it says for each. */
export interface StepRule {
  readonly key: string;
  readonly when?: (fitOut: FitOut) => boolean;
  readonly what: Of<string>;
  readonly how: Of<string>;
  readonly why: Of<string>;
  readonly caution?: Of<string | undefined>;
  readonly gates?: Of<readonly Gate[]>;
  readonly needs?: readonly string[];
  readonly evidence?: Evidence;
  readonly proof?: (fitOut: FitOut) => Proof | undefined;
  readonly again?: true;
  readonly round?: RoundKey;
  readonly asks?: (fitOut: FitOut) => readonly Ask[];
  readonly shown?: Shown;
  readonly opens?: Of<readonly ThingKey[]>;
  readonly closes?: Of<readonly ThingKey[]>;
  readonly sets?: Of<readonly Setting[]>;
  readonly act?: Act;
  readonly purge?: (fitOut: FitOut) => number;
  readonly sees?: Observation;
  readonly proves?: (fitOut: FitOut) => readonly string[];
  readonly chore?: boolean;
  readonly kept?: boolean;
  readonly flammable?: boolean;
  readonly away?: boolean;
  readonly must?: boolean;
  readonly ends?: boolean;
  readonly cycle?: Cycle;
  readonly minutes: Of<number>;
  readonly who?: Step['who'];
  readonly materials?: Of<readonly string[]>;
}

/** A composed procedure: the steps of one engine, and the library they came from. */
export interface Procedure {
  readonly library: string;
  readonly steps: readonly Step[];
}
