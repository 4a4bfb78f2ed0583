import type { Cell, Cells, OccasionKey, Pictured, Place, Rigs, Swept } from '../commission';
import type { FitOut } from '../engine';
import type { Ask, Observation, Phase, Procedure, ThingKey, Valve } from '../procedure';
import type { Shown } from '../sums';
import type { Glass } from '../units';
import type { Forbids } from './kinds/fault';
import type { Filled } from './kinds/filled';
import type { Lift } from './kinds/lift';
import type { Override } from './kinds/override';
import type { PhotoBody } from './kinds/photo';
import type { Sign } from './kinds/sign';
import type { Test } from './kinds/test';

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
  /** The needle as it was read last, and twice before: what falls is told by three, because one reading may be off. */
  readonly needle: readonly Read<number>[];
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
    Record<
      string,
      {
        readonly on: boolean;
        readonly to?: 'boiler' | 'tank' | 'both';
        readonly since: string;
        readonly proven: boolean;
        readonly provenAt?: { readonly at: string; readonly by: string };
      }
    >
  >;
  /** Water in the boiler, m³, and how warm, K, by what was measured; no longer sure once it has steamed. */
  readonly boiler?: { readonly volume: number; readonly T: number; readonly at: string; readonly sure: boolean };
  /** kg of fuel measured out for the fire that burns, or the next. */
  readonly charged?: { readonly mass: number; readonly pieces?: number; readonly at: string } | undefined;
  /** Each fire of the day: what it was lit with, when it was out, and what was left. */
  readonly runs: readonly Run[];
  /** What its runs have shown of its fire, of this day and of earlier ones: measured in and left, weighed before and after. */
  readonly shown?: Shown;
  readonly earlier: readonly RunFact[];
  /** Each burner by name, as it was said last. */
  readonly flames: Readonly<Record<string, { readonly is: 'lit' | 'heard' | 'lost' | 'out'; readonly at: string }>>;
  /** A flame that was lost: which, when, and since when everything is off. */
  readonly lost?: { readonly burner: string; readonly at: string; readonly offAt?: string } | undefined;
  /** When another run was asked for last. */
  readonly again?: string;
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
        /** Nobody was asked: the log, or the club’s book, shows it. */
        readonly shown?: true;
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
    readonly place?: string;
    readonly pressure?: number;
    readonly clearedAt?: string;
  }[];
  /** Faults that were open when it began. */
  readonly before: readonly { readonly text: string; readonly forbids: Forbids; readonly clearedAt?: string }[];
  /** What was said last of each thing that was tested, by its name. */
  readonly tests: Readonly<Record<string, Omit<Test, 'test'> & { readonly at: string; readonly by: string }>>;
  /** The commissioning matrix, with what earlier sessions of its build have shown. */
  readonly cells: Cells;
  /** What was said of each place that can leak, and at which pressure; with that of earlier sessions. */
  readonly swept: readonly Swept[];
  /** Of the last accumulation test: that it began, or was ended. What it came to is worked from the whole log. */
  readonly accumulation?: 'begins' | 'ends';
  /** What is on for a trial and must come off. */
  readonly rigs: Rigs;
  /** Which water it was filled with last. */
  readonly filled?: Filled & { readonly at: string };
  readonly photos: readonly (PhotoBody & { readonly id: string; readonly at: string; readonly by: string })[];
  /** Gas joints that were disturbed, by name, and when last. */
  readonly disturbed: Readonly<Record<string, string>>;
  /** What was measured last, SI. */
  readonly measured: Readonly<
    Partial<Record<Ask, { readonly value: number; readonly at: string; readonly by: string; readonly product?: string }>>
  >;
  /** Whoever has kept it, from when. */
  readonly keepers: readonly { readonly name: string; readonly at?: string }[];
  /** It is being handed over, and has not been taken. */
  readonly offer?: { readonly to: string; readonly next: string; readonly at: string; readonly by: string };
  readonly override?: Readonly<Override> & { readonly by: string; readonly at: string };
  readonly signatures: readonly (Sign & { readonly at: string; readonly by: string })[];
  readonly endedAt?: string;
}

/** One fire, from the match to the last flame. */
export interface Run {
  readonly litAt: string;
  readonly outAt?: string;
  /** m³ in at the match, by what was measured, and how warm it was, K. */
  readonly water?: number;
  readonly T?: number;
  /** kg of fuel */ readonly charge?: number;
  /** m³ found left after it, or let out and measured. */
  readonly left?: number;
  /** kg of gas that it burnt, by the canister’s weight before and after. */
  readonly burnt?: number;
}

/** What a run of an earlier day has shown, as it is kept. */
export interface RunFact {
  /** By which burner. */ readonly burner: string;
  /** kg */ readonly charge?: number;
  /** How warm it was filled, K. */ readonly T?: number;
  /** Water that went, times what was expected; fuel that went, times what its power asks. */
  readonly factor?: number;
  readonly burns?: number;
  /** Heat while raising, times what is expected, by when its senses came. */ readonly raise?: number;
  /** s from the match to each sense. */
  readonly sensed: Readonly<Partial<Record<Observation, number>>>;
}

/** What the fold needs to know besides the entries: what the steaming was started with. */
export interface Context {
  readonly fitOut: FitOut;
  readonly procedure: Procedure;
  readonly keeper: string;
  readonly begun?: Begun;
}

/** What sessions before this one have shown of an engine that is being built, or was. */
export interface Commissioned {
  /** It is being built: its matrix is kept. */
  readonly built?: true;
  readonly cells: readonly Cell[];
  readonly swept: readonly Swept[];
  readonly rigs: Rigs;
  /** Places that its owner has named. */
  readonly own: readonly Place[];
  /** Of its places, what each is held against. */
  readonly pictured?: readonly Pictured[];
}

/** What it was begun with, as the book had it then. */
export interface Begun {
  /** Public running: chosen, and not guessed from what it is for. */
  readonly public: boolean;
  /** How many proven feeds the club asks for it. */
  readonly feedsAsked: number;
  readonly faults: readonly { readonly text: string; readonly forbids: Forbids }[];
  /** The latest last day of each kind of paper, written 2026-06-13. */
  readonly papers: readonly { readonly kind: string; readonly expires: string }[];
  /** What it is worked on for; a steaming where it is not said. */
  readonly occasion?: OccasionKey;
  /** What earlier sessions have shown of its matrix, its places and its rigs. */
  readonly before?: Commissioned;
  /** What its runs of earlier days have shown with this burner, the newest first; of an engine that nothing feeds. */
  readonly runs?: readonly RunFact[];
  /** The treatment that went in last, m³ for each m³ of water that was changed, and on which day. */
  readonly treated?: Treated;
  /** What it is expected to do, by what it has shown until then: heat to the water while it is raised, W, and water used at work, kg/s. */
  readonly expects?: {
    readonly heat?: number;
    readonly uses?: number;
    /** Of each feed, what it gives over what its fit-out says. */
    readonly feeds?: Readonly<Record<string, number>>;
    /** s, by what was timed, and how far one lies from it as a logarithm; of so many. */
    readonly times?: Readonly<Record<string, { readonly usual: number; readonly spread: number; readonly of: number }>>;
    /** Of its laps: m, and s. */
    readonly lap?: { readonly length: number; readonly time: number };
  };
}

/** A treatment as it went in last. */
export interface Treated {
  /** ISO. */
  readonly at: string;
  readonly each: number;
  readonly product?: string;
}

/** What is wrong with it and not fixed, found before it began or since. */
export const openFaults = ({ before, faults }: Pick<State, 'before' | 'faults'>) => [...before, ...faults].filter((f) => !f.clearedAt);
