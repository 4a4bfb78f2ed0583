import type { FitOut } from '../../engine';
import { fuelOf, solid } from '../../procedure';

/** A line that this engine’s keeper might say. */
export const exampleLine = (f: FitOut): string =>
  [
    f.gauge ? (f.workingPressure > 4.4e5 ? '65' : '30') : '',
    f.glasses.length ? '½' : f.measures.syringe === null ? `${Math.round((f.fill ?? 1e-4) * 1e6)} ml` : '3 syringes',
    solid(f) ? fuelOf(f) : f.fire.with === 'gas' ? 'flame heard' : f.fire.with === 'spirit' && f.fire.fuel === 'tablets' ? '2 tablets' : ''
  ]
    .filter(Boolean)
    .join(' ');
