import { fittingsOf } from './fittings';
import type { FitOut } from '../engine';

/** THE REGISTER OF JOINTS: every place of an engine that can leak, made from its fit-out, each with where it is on the drawing. */

/** Where on the boiler’s section a place is pointed at. */
export type Anchor =
  | 'firebox'
  | 'tubes fire'
  | 'tubes front'
  | 'top'
  | 'dome'
  | 'glass top'
  | 'glass bottom'
  | 'backhead'
  | 'bottom'
  | 'feed'
  | 'steam pipe'
  | 'cylinder'
  | 'gas';

/** What it is decides what a leak of it means. */
export const placeKinds = {
  seam: { name: 'seam or plate', stops: 'any' },
  stay: { name: 'stay', stops: 'any' },
  tube: { name: 'tube end', stops: 'grows' },
  plug: { name: 'plug', stops: 'any' },
  door: { name: 'door joint', stops: 'grows' },
  bush: { name: 'bush or thread', stops: 'grows' },
  union: { name: 'union', stops: 'blows' },
  gland: { name: 'gland', stops: 'never' },
  valve: { name: 'valve seat', stops: 'blows' },
  gas: { name: 'gas joint', stops: 'any' }
} as const satisfies Record<string, { readonly name: string; readonly stops: 'any' | 'grows' | 'blows' | 'never' }>;
export type PlaceKind = keyof typeof placeKinds;

export interface Place {
  readonly name: string;
  readonly kind: PlaceKind;
  readonly of: 'boiler' | 'chassis';
  readonly at: Anchor;
  /** What, once fitted, hides it. */
  readonly buriedBy?: string;
}

const each = (list: readonly unknown[], one: string): string[] => list.map((_, i) => (list.length > 1 ? `${one} ${i + 1}` : one));
const place = (names: readonly string[], kind: PlaceKind, at: Anchor, more: Partial<Pick<Place, 'of' | 'buriedBy'>> = {}): Place[] =>
  names.map((name) => ({ name, kind, of: 'boiler', at, ...more }));

const fireboxed = new Set<FitOut['boiler']['form']>(['locomotive', 'vertical', 'marine']);
const tubed = (b: FitOut['boiler']): boolean =>
  b.form === 'vertical'
    ? b.tubeCount > 0
    : b.form === 'locomotive' || b.form === 'horizontal' || b.form === 'marine'
      ? b.tubes.count > 0
      : false;

/** Every place, from the fire outward. @param own places that its owner has named, with what each is @returns no name twice */
export function registerOf(f: FitOut, own: readonly Place[] = []): Place[] {
  const b = f.boiler;
  const lagged = f.shell.lagged ? { buriedBy: 'the cladding' } : {};
  const cylinders = Array.from({ length: f.cylinders.count });
  const made: Place[] = [
    ...(fireboxed.has(b.form)
      ? [...place(['Firebox plates and crown'], 'seam', 'firebox'), ...place(['Firebox stays'], 'stay', 'firebox')]
      : []),
    ...(b.form === 'locomotive' ? place(['Foundation ring'], 'seam', 'bottom') : []),
    ...(tubed(b)
      ? [...place(['Tube ends at the fire'], 'tube', 'tubes fire'), ...place(['Tube ends at the front'], 'tube', 'tubes front')]
      : []),
    ...place([f.shell.joints === 'riveted' ? 'Seams and rivets of the shell' : 'Seams of the shell'], 'seam', 'top', lagged),
    ...place(f.fusiblePlug ? ['Fusible plug'] : [], 'plug', 'firebox'),
    ...place(b.form === 'locomotive' && b.dome ? ['Dome joint'] : [], 'bush', 'dome', lagged),
    ...place(each(f.safetyValves, 'Thread of safety valve'), 'bush', 'top'),
    ...place(f.gauge ? ['Gauge union'] : [], 'union', 'backhead'),
    ...f.glasses.flatMap((_, i) => {
      const n = f.glasses.length > 1 ? ` ${i + 1}` : '';
      return [
        ...place([`Top fitting of glass${n}`], 'bush', 'glass top'),
        ...place([`Bottom fitting of glass${n}`], 'bush', 'glass bottom')
      ];
    }),
    ...place(f.whistle ? ['Whistle valve'] : [], 'valve', 'backhead'),
    ...place(f.fire.with === 'solid' ? ['Blower valve'] : [], 'gland', 'backhead'),
    ...place(f.blowDown ? ['Blow-down valve'] : [], 'valve', 'bottom'),
    ...place(
      Array.from({ length: f.manholes }, (_, i) => (f.manholes > 1 ? `Manhole ${i + 1}` : 'Manhole')),
      'door',
      'top'
    ),
    ...place(
      Array.from({ length: f.mudholes }, (_, i) => (f.mudholes > 1 ? `Mudhole ${i + 1}` : 'Mudhole')),
      'door',
      'bottom'
    ),
    ...f.feeds.filter((x) => x.plumbed).flatMap((x) => place([`Clack of the ${x.name.toLowerCase()}`], 'valve', 'feed')),
    ...place(f.control === 'none' ? [] : [f.control === 'regulator' ? 'Regulator gland' : 'Steam cock'], 'gland', 'backhead'),
    ...place(['Main steam pipe'], 'union', 'steam pipe', {
      of: 'chassis',
      ...(b.form === 'locomotive' ? { buriedBy: 'the smokebox' } : {})
    }),
    ...place(each(cylinders, 'Gland of cylinder'), 'gland', 'cylinder', { of: 'chassis' }),
    ...place(each(cylinders, 'Covers of cylinder'), 'union', 'cylinder', { of: 'chassis' }),
    ...(f.fire.with === 'gas'
      ? place(
          f.fire.joints.map((j) => j.name),
          'gas',
          'gas'
        )
      : [])
  ];
  const names = new Set(made.map((p) => p.name));
  return [...made, ...own.filter((p) => !names.has(p.name) && names.add(p.name))];
}

/** Where on an engine something can be said to be, by name: what can leak, and what can be touched. @param register what can leak, with what its owner has named */
export const placesOn = (f: FitOut, register: readonly Place[] = registerOf(f)): string[] => [
  ...new Set([...register, ...fittingsOf(f)].map((p) => p.name))
];
