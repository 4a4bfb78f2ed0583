import { cylinders } from './cylinders';
import { draught } from './draught';
import { electric } from './electric';
import type { Cause, Check, Family, Symptom } from './family';
import { feeds } from './feeds';
import { fire } from './fire';
import { gas } from './gas';
import { glass } from './glass';
import { leaks } from './leaks';
import { lubrication } from './lubrication';
import { roadGear } from './road-gear';
import { steam } from './steam';
import { tabletop } from './tabletop';
import { valves } from './valves';

export * from './family';
export { fits, has, type Has } from './has';

/** Every family, in the order of the book. */
export const families: readonly Family[] = [
  feeds,
  draught,
  fire,
  steam,
  glass,
  valves,
  cylinders,
  lubrication,
  gas,
  electric,
  tabletop,
  roadGear,
  leaks
];

const byKey = <T extends { readonly key: string }>(of: (family: Family) => readonly T[]): ReadonlyMap<string, T> =>
  new Map(families.flatMap((family) => of(family).map((x) => [x.key, x])));

/** All that is known, by key. A cause or a check belongs to one family, and may be named by another. */
export const knowledge: {
  readonly symptoms: ReadonlyMap<string, Symptom>;
  readonly causes: ReadonlyMap<string, Cause>;
  readonly checks: ReadonlyMap<string, Check>;
} = { symptoms: byKey((f) => f.symptoms), causes: byKey((f) => f.causes), checks: byKey((f) => f.checks) };
