import { type Expression, given, plus, standardAtmosphere, type WorkedInput } from '../units';

/** Numbers and turns that several sums use. */
export const said = (name: string, value: number, kind: WorkedInput['kind']): WorkedInput => given(name, value, kind, 'given');
export const rule = (name: string, value: number, kind: WorkedInput['kind']): WorkedInput => given(name, value, kind, 'class default');
export const plain = (name: string, value: number): WorkedInput => given(name, value, 'ratio', 'geometry');
export const atmosphere = (): WorkedInput => given('atmosphere, taken as', standardAtmosphere, 'pressure', 'class default');
/** A pressure at the gauge, over nothing at all. */
export const absolute = (gauge: Expression): Expression => plus(gauge, atmosphere());
export const quarterPi = (): WorkedInput => plain('circle in its square', Math.PI / 4);
export const half = (): WorkedInput => plain('one half', 0.5);
/** Fall to the ground, m/s²: weight in newtons for each kilogram. */
export const gravity = (): WorkedInput => given('weight of a kilogram, in newtons', 9.80665, 'ratio', 'geometry');
