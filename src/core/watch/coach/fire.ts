import { fuels, type Grate } from '../../firing';
import { mark } from '../../units';
import { fuelPower } from '../rules/fire-wants';
import type { View } from '../rule';
import { inSteam, minute, ms } from '../view';

/** THE FIRE COACH, for a grate: how long this bed lasts at this work, when the next charge is due and how large it is. */
export interface FireAhead {
  /** When the next charge is due, ms since 1970, and how much it is, kg. */
  readonly due: number;
  readonly charge: number;
  /** When the bed is as thin as it may be, ms since 1970, if nothing more is put on. */
  readonly lasts: number;
  /** The last charge is still to catch. */
  readonly alight: boolean;
  /** What stands for another way with the next charge. */
  readonly but?: string;
  /** Why none is to be put on for now. */
  readonly hold?: string;
}

/** Of a bed, in lumps: what a charge lays on it, little and often or built up, and what may burn of it before it is too thin. */
const layer = { little: 0.6, build: 1.5 } as const;
const mayBurn = 3;
/** A charge takes about so long to catch, ms, by how large its lumps are, m: three minutes for a nut. */
export const catches = (lump: number): number => Math.min(8, Math.max(2, 3 * (lump / 0.015) ** 0.5)) * minute;
/** What was seen longer ago is not so any more, ms. */
const seenFor = 5 * minute;

/** Of an engine that runs with a fire on a grate, and whose fuel was logged. @param now ms since 1970 */
export function fireAhead(view: View | undefined, now: number): FireAhead | undefined {
  if (!view || !inSteam(view.state) || view.state.phase !== 'Run' || view.plant.fire.with !== 'solid') return undefined;
  const { fitOut: f, state, plant } = view;
  const { fuelAt } = state.fire;
  const power = fuelPower(view);
  if (!fuelAt || !power) return undefined;
  const grate: Grate = plant.fire as Grate;
  const { heat, bulk } = fuels[grate.fuel];
  const lumps = (n: number) => n * grate.lump * grate.area * bulk;
  const burns = power / heat;
  const charge = lumps(layer[f.habits.firing]);
  const { 'coal alight': caught, 'fire bright': bright, 'smoke black': black, 'fire dull': dull } = state.seen;
  const lately = (when: string | undefined) => (when !== undefined && when > fuelAt && now - ms(when) < seenFor ? when : '');
  const alight = (caught ?? '') > fuelAt || (bright ?? '') > fuelAt || now - ms(fuelAt) > catches(grate.lump);
  // Blowing off, it has heat enough.
  const hot = state.pressure && state.pressure.value >= 0.97 * f.workingPressure && now - ms(state.pressure.at) < seenFor;
  const but = lately(black)
    ? 'Black smoke: less at a time, drier, and the door a crack until it clears.'
    : lately(dull) > (bright ?? '')
      ? 'It was dull when it was looked at: open it with the pricker, and fuel only where it is bright.'
      : undefined;
  return {
    due: ms(fuelAt) + (charge / burns) * 1000,
    charge,
    lasts: ms(fuelAt) + (lumps(mayBurn) / burns) * 1000,
    alight,
    ...(but ? { but } : {}),
    ...(hot ? { hold: 'It is near blowing off: no fuel yet.' } : {})
  };
}

/** In words, marked for the reader's units. */
export function fireWords({ due, charge, lasts, alight, but, hold }: FireAhead, now: number): string {
  if (hold) return hold;
  const in_ = (at: number) => mark(Math.max(60, Math.round((at - now) / minute) * 60), 'time');
  if (!alight) return `The last charge is to be alight before the next.${but ? ` ${but}` : ''}`;
  const next = due > now + minute ? `Next charge in about ${in_(due)}` : 'A charge is due';
  const left = lasts > now + minute ? `without one the bed is thin in about ${in_(lasts)}` : 'without one the bed may be thin already';
  return `${but ? `${but} ` : ''}${next}, about ${mark(charge, 'mass')} where it is bright; ${left}.`;
}
