import { feedEnthalpy } from '../boiler';
import { saturationAtGauge } from '../steam';
import { asked, type Expression, type Gauge, given, plus, standardAtmosphere, type WorkedInput } from '../units';

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

/** Heat of a kilogram of steam at a pressure of the boiler. */
export const heatOfSteam = (gauge: number) =>
  asked(
    'heat of the steam',
    'heat of a weight',
    'heat of a kilogram of steam at that pressure (IAPWS-IF97)',
    saturationAtGauge(gauge as Gauge).hg,
    [said('boiler pressure', gauge, 'pressure')]
  );
/** Heat of a kilogram of some water, by its temperature, K. */
export const heatOfWater = (name: string, T: number, from: 'given' | 'class default' = 'given') =>
  asked(`heat of the ${name}`, 'heat of a weight', `heat of a kilogram of water, of the ${name} (IAPWS-IF97)`, feedEnthalpy(T), [
    given(name, T, 'temperature', from)
  ]);
