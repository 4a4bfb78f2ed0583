import type { Plant } from '../boiler';
import type { FitOut } from '../engine';
import { type Group, type Infer, quantity } from '../form';
import { coldWater } from '../steam';
import type { Worked } from '../units';
import type { Duty } from './duties';
import type { Shown } from './stop-terms';

/** What an engine used on past days: kg of fuel and s in steam, so that fuel an hour follows. */
export interface Used {
  /** kg, 0 where it was not weighed; s. */ readonly fuel: number;
  readonly inSteam: number;
  /** Water counted by glass and feeds, kg over s, and the work of that day. */
  readonly water?: { readonly kg: number; readonly time: number; readonly duty: Duty };
}

/** The engine that a sum is done for. */
export interface Given {
  readonly fitOut: FitOut;
  readonly plant: Plant;
  /** Days on which its fuel was weighed. */
  readonly used?: readonly Used[];
  /** What its own runs have shown, measured in and out. */
  readonly shown?: Shown;
}

/** A sum that an operator asks for: what it is called, what it is asked with, and how it is worked. */
export interface Sum<G extends Group = Group> {
  readonly key: string;
  readonly name: string;
  /** The question as people ask it, where it has a place on the bench. */
  readonly asks?: string;
  /** Whether it means anything for this engine; for every one when left out. */
  readonly when?: (given: Given) => boolean;
  /** What it is called for this engine, where that says more than its name. */
  readonly said?: (given: Given) => string;
  /** What is to be said before it can be worked, in the language of forms. */
  readonly inputs: G;
  /** What would usually be said, for this engine. */
  usual(given: Given): Infer<G>;
  /** @throws Refusal when what was said has no answer, with what is asked for instead */
  work(inputs: Infer<G>, given: Given): Worked;
}

/** Water that is filled in and air around it, as a sum asks for them; and what they are taken as until somebody says. */
export const conditions = {
  water: quantity('Cold water', 'temperature', 273.16, 313.15),
  air: quantity('Air', 'temperature', 243.15, 323.15)
} as const;
export const usualConditions = { water: coldWater, air: coldWater } as const;

/** A sum as it stands in its file: what it is asked with and how it is worked agree by type. */
export const sum = <const G extends Group>(s: Sum<G>): Sum<G> => s;
