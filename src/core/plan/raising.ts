import { type Plant, usualFill, energyAt, type EnergyTable } from '../boiler';
import { aheadOf, type Band, type Heating, startRaise } from '../forecast';
import { type FitOut, inSteamAt } from '../engine';
import { opensAtPressure, type Procedure } from '../procedure';
import { boilingAt } from '../steam';

/** The raise before it has begun: to each gate, in s after the match, early, middle and late. */
export interface RaisePlan {
  readonly gates: readonly { readonly pressure: number; readonly band: Band }[];
  /** To the pressure in steam. */
  readonly up: Band;
  /** To the start fuel well alight. */
  readonly alight?: Band;
  /** To the boil, as the bobbing of the glass shows it. */
  readonly boils?: Band;
  /** After the fire is out: s until the pressure has fallen by itself, falling. */
  readonly cooling?: readonly { readonly pressure: number; readonly after: number }[];
}

/** The pressures that a procedure's steps wait for on the way to steam, or for what shows at them, rising, Pa at the gauge. */
export const pressuresOf = (procedure: Procedure, inSteam: number): number[] =>
  [...new Set([...procedure.steps.flatMap((s) => s.gates.flatMap((g) => opensAtPressure(g, inSteam) ?? [])), inSteam])]
    .filter((p) => p <= inSteam * 1.0001)
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
  gates: readonly number[] = pressuresOf(procedure, inSteamAt(fitOut))
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
  const { gates: bands, boils } = aheadOf(filter, gates, 9 * 3600);
  return {
    gates: gates.map((pressure, i) => ({ pressure, band: bands[i]! })),
    up: bands.at(-1)!,
    alight: alightIn(heating),
    boils,
    cooling: cooling(plant, filter.table, air, inSteamAt(fitOut), fallsTo(procedure))
  };
}

/** A fire comes up as a series of equal shrinkings: in two of its lags it is well alight. */
function alightIn({ lag, lagSpread }: Heating): Band {
  const at = (z: number) => 2 * lag * Math.exp(z * lagSpread);
  return { early: at(-1.2816), middle: at(0), late: at(1.2816), sure: 1 };
}

/** The pressures that a procedure waits for while it cools, falling, Pa at the gauge. */
const fallsTo = (procedure: Procedure): number[] =>
  [...new Set(procedure.steps.flatMap((s) => s.gates.flatMap((g) => (g.kind === 'pressure falls' ? [g.atMost] : []))))].sort(
    (a, b) => b - a
  );

/**
 * How long a boiler in steam takes to come down by itself: its energy over what it loses to the air, dt = dE / UA(T − Tair).
 * @param air K @param to pressures at the gauge, falling, Pa
 */
function cooling(plant: Plant, table: EnergyTable, air: number, inSteam: number, to: readonly number[]): RaisePlan['cooling'] {
  let T = boilingAt(inSteam + plant.atmosphere);
  let after = 0;
  return to.map((pressure) => {
    const low = boilingAt(Math.max(0, pressure) + plant.atmosphere);
    for (; T > low; T -= 1) after += (energyAt(table, T) - energyAt(table, T - 1)) / (plant.vessel.loss * Math.max(1, T - 0.5 - air));
    return { pressure, after };
  });
}

/** When a pressure is reached, s after the match: the first gate at or above it. */
export const gateBand = (raise: RaisePlan, pressure: number): Band =>
  raise.gates.find((g) => g.pressure >= pressure * 0.999)?.band ?? raise.up;
