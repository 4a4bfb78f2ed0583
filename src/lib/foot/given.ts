import type { FitOut } from '$core/engine';
import type { Bodies } from '$core/log';
import { type Ask, asks } from '$core/procedure';
import type { Made } from '../outbox/made';

/** From where water is called warm, and hot, K. */
const [warmFrom, hotFrom] = [303, 333];

/** How warm what goes in is: hot on what is hot, by its temperature where that was given, else as its owner fills. @param T K */
export const warmthIn = ({ fill }: Pick<FitOut['habits'], 'fill'>, again: boolean, T?: number): 'hot' | 'warm' | undefined =>
  again || (T !== undefined && T >= hotFrom) ? 'hot' : (T === undefined ? fill === 'warm' : T >= warmFrom) ? 'warm' : undefined;

/**
 * Numbers that a step asked for, as they are logged: water and fuel by their own kinds, a temperature as a reading, the rest as measured.
 * Where nothing is said of how warm it is, it is as its owner fills. @param again what goes in goes into a hot boiler, and is hot
 */
export function givenAs(values: Partial<Record<Ask, number>>, { fire, habits }: Pick<FitOut, 'fire' | 'habits'>, again: boolean): Made[] {
  const warm = warmthIn(habits, again, values['water temperature']);
  const made: Partial<Record<Ask, (value: number) => Made>> = {
    'water temperature': (temperature) => ({ kind: 'reading', body: { temperature } }),
    'water in': (volume) => ({ kind: 'water', body: { act: 'in', volume, ...(warm ? { warm } : {}) } }),
    'water left': (volume) => ({ kind: 'water', body: { act: 'left', volume } }),
    'water out': (volume) => ({ kind: 'water', body: { act: 'out', volume } }),
    charge: (mass) => ({ kind: 'charge', body: { mass, fuel: fire.with === 'spirit' ? fire.fuel : fire.with } })
  };
  return (Object.entries(values) as [Ask, number][]).map(
    ([what, value]) => made[what]?.(value) ?? { kind: 'measured', body: { what, [asks[what].quantity]: value } as Bodies['measured'] }
  );
}
