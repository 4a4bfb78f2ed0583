import { type Plant, usualFill } from '../boiler';
import { ahead, type Band, type Heating, startRaise } from '../forecast';
import type { FitOut } from '../engine';
import type { Procedure } from '../procedure';

/** The raise before it has begun: to each gate, in s after the match, early, middle and late. */
export interface RaisePlan {
  readonly gates: readonly { readonly pressure: number; readonly band: Band }[];
  /** To working pressure. */
  readonly up: Band;
}

/** The pressures that a procedure's steps wait for, rising, Pa at the gauge. */
export const pressuresOf = (procedure: Procedure, workingPressure: number): number[] =>
  [...new Set([...procedure.steps.flatMap((s) => s.gates.flatMap((g) => (g.kind === 'pressure' ? [g.atLeast] : []))), workingPressure])]
    .filter((p) => p <= workingPressure * 1.0001)
    .sort((a, b) => a - b);

/**
 * @param water K, of what is filled in @param air K
 * @param kg of water; the engine's usual fill when left out
 * @param gates pressures, rising; those that the procedure waits for when left out
 */
export function planRaise(
  fitOut: FitOut,
  procedure: Procedure,
  plant: Plant,
  heating: Heating,
  { water, air, kg }: { water: number; air: number; kg?: number },
  gates: readonly number[] = pressuresOf(procedure, fitOut.workingPressure)
): RaisePlan {
  const filter = startRaise({
    plant,
    heating,
    water: kg ?? usualFill(fitOut, plant, water),
    T: water,
    ambient: air,
    litAt: 0,
    seed: 11
  });
  const bands = ahead(filter, gates, { far: 9 * 3600 });
  return { gates: gates.map((pressure, i) => ({ pressure, band: bands[i]! })), up: bands.at(-1)! };
}

/** When a pressure is reached, s after the match: the first gate at or above it. */
export const gateBand = (raise: RaisePlan, pressure: number): Band =>
  raise.gates.find((g) => g.pressure >= pressure * 0.999)?.band ?? raise.up;
