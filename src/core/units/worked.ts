import type { Expression } from './expression';
import type { Quantity } from './quantities';

/** Where a number came from, from the most to the least certain. */
export type Source =
  | 'measured'
  | 'learned'
  | 'fit-out'
  | 'geometry'
  | 'steam tables'
  | 'class default'
  | 'rule of the club'
  | /** said by whoever asks, for this sum */ 'given'
  | 'above';

/** What a number is of: a quantity with units, or a bare kind. */
export type Kind =
  | Quantity
  | 'glass'
  | 'ratio'
  | /** 0 to 1, printed as a percentage */ 'share'
  | 'percent'
  | 'count'
  | /** s since 1970, printed by the club's clock */ 'moment';

export interface WorkedInput {
  readonly name: string;
  readonly value: number;
  readonly kind: Kind;
  readonly from: Source;
}

export interface WorkedStep {
  /** The formula in words. */
  readonly formula: string;
  /** The formula as it is worked out. */
  readonly sum?: Expression;
  /** Or, where no one sum gives it, the model that answers, by the words it is asked with. */
  readonly model?: string;
  readonly inputs: readonly WorkedInput[];
  readonly result: { readonly name: string; readonly value: number; readonly kind: Kind };
}

/**
 * A figure with its working: what it is, how sure it is, and every step that led to it. One type for all figures that
 * a person sees, printed by one component.
 */
export interface Worked {
  readonly value: number;
  readonly kind: Kind;
  /** The figure is an estimate unless every input was measured or set out in the fit-out. */
  readonly sure: 'measured' | 'from the drawing' | 'estimate';
  /** A likely spread either way, in the same SI unit. */
  readonly spread?: number;
  readonly steps: readonly WorkedStep[];
  /** What the figure leaves out, in one plain sentence. */
  readonly caution?: string;
}

/** A figure with the name it is listed under. */
export interface Figure {
  readonly key: string;
  readonly name: string;
  readonly worked: Worked;
}
