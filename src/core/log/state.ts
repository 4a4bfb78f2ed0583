import type { FitOut } from '../engine';
import type { Observation, Phase, Procedure, ThingKey, Valve } from '../procedure';
import type { Glass } from '../units';
import type { Forbids } from './kinds/fault';
import type { Lift } from './kinds/lift';
import type { Override } from './kinds/override';
import type { Sign } from './kinds/sign';

/** Something that was read, with its age. */
export interface Read<T> {
  readonly value: T;
  readonly at: string;
}

/** The state of a steaming: what every screen is a view of. Plain data, never changed in place. */
export interface State {
  readonly phase: Phase;
  readonly phaseSince?: string;
  readonly began?: string;
  readonly keeper: string;
  readonly pressure?: Read<number>;
  readonly highest?: Read<number>;
  readonly glass?: Read<Glass> & { readonly pressure: number | null };
  readonly secondGlass?: Read<Glass> & { readonly pressure: number | null };
  readonly temperature?: Read<number>;
  readonly tank?: Read<number>;
  readonly fire: {
    readonly litAt?: string;
    readonly outAt?: string;
    readonly fuelAt?: string;
    readonly rounds: number;
    /** kg, of what was weighed */ readonly fuel: number;
    /** Said to have been in before anybody said so. */
    readonly already?: true;
    /** Why the log did not bear it out when it was lit. */
    readonly against?: string;
  };
  readonly feeds: Readonly<
    Record<string, { readonly on: boolean; readonly to?: 'boiler' | 'tank' | 'both'; readonly since: string; readonly proven: boolean }>
  >;
  /** m³ fed, of what was measured */
  readonly fed: number;
  readonly valves: Readonly<Partial<Record<Valve, { readonly open: number; readonly at: string }>>>;
  readonly seen: Readonly<Partial<Record<Observation, string>>>;
  readonly open: Readonly<Partial<Record<ThingKey, { readonly since: string; readonly by: string }>>>;
  readonly steps: Readonly<
    Record<
      string,
      {
        readonly outcome: 'done' | 'skipped';
        readonly at: string;
        readonly by: string;
        readonly reason?: string;
        readonly initials?: string;
        /** Why the log did not bear it out when it was told: it came late, or by a way that did not ask. */
        readonly against?: string;
      }
    >
  >;
  readonly lifts: readonly (Lift & { readonly at: string })[];
  readonly oiledAt?: string;
  readonly faults: readonly {
    readonly id: string;
    readonly text: string;
    readonly forbids: Forbids;
    readonly at: string;
    readonly by: string;
  }[];
  readonly override?: Readonly<Override> & { readonly by: string; readonly at: string };
  readonly signatures: readonly (Sign & { readonly at: string; readonly by: string })[];
  readonly endedAt?: string;
}

/** What the fold needs to know besides the entries: what the steaming was started with. */
export interface Context {
  readonly fitOut: FitOut;
  readonly procedure: Procedure;
  readonly keeper: string;
}
