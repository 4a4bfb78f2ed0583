import type { FitOut } from '../engine';

/** A fuel's figures: usual values of general literature. */
export interface Fuel {
  /** Lower heating value, J/kg. */
  readonly heat: number;
  /** Weight of a heap, kg/m³. */
  readonly bulk: number;
  /** It takes fire from, K. */
  readonly ignites: number;
  /** A bed of it goes out under, K. */
  readonly dies: number;
  /** Share that leaves as ash. */
  readonly ash: number;
  /** Share that burns as flame over the bed. */
  readonly flame: number;
  /** Time it needs to take, over that of coal of its size: split wood and charcoal are quick. */
  readonly slow: number;
}

const fuel = (heat: number, bulk: number, ignites: number, dies: number, ash: number, flame: number, slow = 1): Fuel => ({
  heat: heat * 1e6,
  bulk,
  ignites,
  dies,
  ash,
  flame,
  slow
});

export const fuels = {
  charcoal: fuel(29.5, 230, 600, 700, 0.02, 0.05, 0.7),
  anthracite: fuel(32.5, 800, 800, 900, 0.05, 0.04, 1.4),
  'dry steam coal': fuel(32, 780, 730, 850, 0.06, 0.12),
  'house coal': fuel(28, 780, 680, 820, 0.08, 0.3),
  wood: fuel(15, 250, 570, 650, 0.01, 0.55, 0.35)
} as const satisfies Record<string, Fuel>;
export type FuelName = keyof typeof fuels;

/** Lighting fluid, J/kg. */
export const lightingFluid = 43e6;
/** Gas, J/kg. */
export const gasHeat = 46e6;
/** What is burnt by the charge, J/kg: usual values of general literature. */
export const chargeHeat = { spirit: 27e6, gel: 20e6, tablets: 30e6 } as const satisfies Record<
  Extract<FitOut['fire'], { with: 'spirit' }>['fuel'],
  number
>;

type Solid = Extract<FitOut['fire'], { with: 'solid' }>;

/** What the start fuel of a fit-out burns as. */
export const startFuel: Record<Solid['start'], FuelName> = {
  charcoal: 'charcoal',
  'paraffin sticks': 'wood',
  kindling: 'wood',
  firelighters: 'wood',
  wood: 'wood'
};
