import { feedsOf } from './feeds';
import type { FitOut } from './fit-out';

/** ANOTHER BURNER is another fire: what was shown with the one before it says nothing of this one. */

/** What of a fire makes it another one, as plain data; how its charge is called is no part of it. */
function burnerOf({ fire }: FitOut): unknown {
  if (fire.with === 'gas')
    return [fire.with, fire.power, fire.gasRegulator, fire.burners.map(({ jet, lightUp, running }) => [jet, lightUp, running])];
  if (fire.with === 'spirit') return [fire.with, fire.fuel, fire.layout, fire.pieces, fire.weight, fire.heat, fire.burns];
  return fire.with === 'electric' ? [fire.with, fire.power] : [fire.with];
}

/** By which a burner is known again. */
export const burnerKey = (f: FitOut): string => JSON.stringify(burnerOf(f));

/**
 * What a change of its burner takes away until it is done again, in a keeper’s words; nothing where the burner is the same.
 * @param before as it was @param after as it is to be
 */
export function voidedBy(before: FitOut, after: FitOut): string[] {
  if (burnerKey(before) === burnerKey(after)) return [];
  const fed = feedsOf(after).length > 0;
  return [
    after.fire.with === 'gas' && 'the leak test of every gas joint',
    !fed && after.fire.with !== 'electric' && 'the pair of fuel and water: one run measured in and out, timed by the class',
    `what the safety valve${after.safetyValves.length > 1 ? 's' : ''} can pass: the accumulation test, with the fire at its fiercest`
  ].filter((x): x is string => Boolean(x));
}
