import { type Fuel, fuels, type FuelName } from './fuels';

/** The fire as it is. Masses in kg, temperatures in K. Blends of fuels are kept as their weighted figures. */
export interface Bed {
  readonly with: 'solid';
  lit: number;
  fresh: number;
  ash: number;
  /** Temperature of the lit fuel. */ hot: number;
  /** Temperature of the fresh fuel. */ warm: number;
  /** Lighting fluid left, and with how much it was lit. */ fluid: number;
  fluidAll: number;
  /** Temperature of the gas in the smokebox, and as it comes to the tubes. */ smoke: number;
  gas: number;
  /** Air drawn through the fire and past it, kg/s. */ through: number;
  past: number;
  /** Soot on the tubes, m. */ soot: number;
  /** Size of the lumps of what was last put on, over the usual. */ coarse: number;
  litBulk: number;
  litHeat: number;
  litDies: number;
  freshBulk: number;
  freshHeat: number;
  freshIgnites: number;
  freshDies: number;
  freshAsh: number;
  freshFlame: number;
  freshSlow: number;
  /** Heat that the fire has made, J, and fuel gone from the grate, kg. */ made: number;
  burnt: number;
  /** Air drawn so far, and of it what gave up its oxygen, kg; heat that went up the chimney unburnt, as smoke and carbon monoxide, J. */
  drawn: number;
  used: number;
  smoked: number;
}

/** @param soot on the tubes, m */
export function coldBed(ambient: number, soot = 0): Bed {
  const f = fuels.charcoal;
  return {
    with: 'solid',
    lit: 0,
    fresh: 0,
    ash: 0,
    hot: ambient,
    warm: ambient,
    fluid: 0,
    fluidAll: 0,
    smoke: ambient,
    gas: ambient,
    through: 0,
    past: 0,
    soot,
    coarse: 1,
    litBulk: f.bulk,
    litHeat: f.heat,
    litDies: f.dies,
    freshBulk: f.bulk,
    freshHeat: f.heat,
    freshIgnites: f.ignites,
    freshDies: f.dies,
    freshAsh: f.ash,
    freshFlame: f.flame,
    freshSlow: f.slow,
    made: 0,
    burnt: 0,
    drawn: 0,
    used: 0,
    smoked: 0
  };
}

/** Two weights put together: the figure of both. */
export const blend = (a: number, x: number, b: number, y: number) => (a + b > 0 ? (a * x + b * y) / (a + b) : y);

/** Fuel onto the fire. @param kg its weight @param ambient its temperature, K @param coarse its size over the usual lump */
export function fuelOn(bed: Bed, name: FuelName, kg: number, ambient: number, coarse = 1): void {
  const f: Fuel = fuels[name];
  const had = bed.fresh;
  bed.warm = blend(had, bed.warm, kg, ambient);
  bed.freshBulk = blend(had, bed.freshBulk, kg, f.bulk);
  bed.freshHeat = blend(had, bed.freshHeat, kg, f.heat);
  bed.freshIgnites = blend(had, bed.freshIgnites, kg, f.ignites);
  bed.freshDies = blend(had, bed.freshDies, kg, f.dies);
  bed.freshAsh = blend(had, bed.freshAsh, kg, f.ash);
  bed.freshFlame = blend(had, bed.freshFlame, kg, f.flame);
  bed.freshSlow = blend(had, bed.freshSlow, kg, f.slow);
  bed.coarse = blend(had + bed.lit, bed.coarse, kg, coarse);
  bed.fresh += kg;
}

/** Lights it with fluid. @param kg of lighting fluid */
export function light(bed: Bed, kg: number): void {
  bed.fluid += kg;
  bed.fluidAll = bed.fluid;
}

/** Ash out of the bed by raking: most of it falls through. */
export const rake = (bed: Bed): void => void (bed.ash *= 0.15);
/** Tubes swept: what a brush leaves, m. */
export const sweptTo = 2e-5;
export const sweep = (bed: Bed): void => void (bed.soot = Math.min(bed.soot, sweptTo));
/** Fire out: everything off the grate. */
export const drop = (bed: Bed): void => void (bed.lit = bed.fresh = bed.fluid = bed.ash = 0);
