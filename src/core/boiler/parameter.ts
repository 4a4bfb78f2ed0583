import type { FitOut } from '../engine';
import { given, type Kind, line, times, type WorkedStep } from '../units';

/** Parameters so far, by key, SI. */
export type So = Record<string, number>;

/** A number that the model of an engine is stepped with: the lines that lead to it, the last of which says it. */
export interface Parameter {
  readonly key: string;
  readonly name: string;
  readonly when?: (f: FitOut) => boolean;
  readonly of: (f: FitOut, so: So) => readonly WorkedStep[];
  readonly caution?: string;
}

export type Solid = Extract<FitOut['fire'], { with: 'solid' }>;
export const solid = (f: FitOut): boolean => f.fire.with === 'solid';
export const locomotive = (f: FitOut): boolean => f.kind === 'tank locomotive' || f.kind === 'tender locomotive';
export const usual = (name: string, value: number, kind: Kind) => given(name, value, kind, 'class default');
export const drawn = (name: string, value: number, kind: Kind) => given(name, value, kind, 'fit-out');
/** The grate’s area as a line. */
export const grateLine = (f: FitOut): WorkedStep => {
  const [length, width] = f.fire.with === 'solid' ? [f.fire.grateLength, f.fire.grateWidth] : [0, 0];
  return line('grate', 'area', times(drawn('length of the grate', length, 'length'), drawn('width of the grate', width, 'length')));
};
