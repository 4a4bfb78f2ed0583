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
