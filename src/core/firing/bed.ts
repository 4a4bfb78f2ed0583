import { type Air, airCp, airThrough, type Draught, gasCp, heatOfAir, naturalDraught } from './draught';
import { type Fuel, fuels, type FuelName, lightingFluid } from './fuels';

/** A grate with a fire on it: what does not change while it burns. */
export interface Grate {
  readonly with: 'solid';
  /** m² */ readonly area: number;
  /** Usual size of a lump, m. */ readonly lump: number;
  readonly fuel: FuelName;
  readonly start: FuelName;
  readonly draught: Draught;
  /** Number of transfer units of the tubes at rated air: 1.1 to 1.9. */ readonly ntu: number;
  /** Share of the bed's radiation that the firebox catches. */ readonly radiates: number;
}

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
  /** Temperature of the gas in the smokebox. */ smoke: number;
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
  /** Heat that the fire has made, J, and fuel burnt, kg. */ made: number;
  burnt: number;
}

export function coldBed(ambient: number): Bed {
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
    burnt: 0
  };
}

const blend = (a: number, x: number, b: number, y: number) => (a + b > 0 ? (a * x + b * y) / (a + b) : y);

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
/** Fire out: everything off the grate. */
export const drop = (bed: Bed): void => void (bed.lit = bed.fresh = bed.fluid = bed.ash = 0);

/** Depth of all that lies on the grate, m. */
export const depthOf = (grate: Grate, bed: Bed): number => bed.lit / (bed.litBulk * grate.area) + bed.fresh / (bed.freshBulk * grate.area);

/** Whether the fire burns of itself: enough lit fuel, hotter than it goes out at. */
export const alight = (grate: Grate, bed: Bed): boolean => bed.lit > 0.1 * grate.area * grate.lump * bed.litBulk && bed.hot > bed.litDies;

/** What stands around the fire at this moment. */
export interface Around {
  /** Temperature of the water, K. */ water: number;
  /** K */ ambient: number;
  /** Draught of blower and exhaust, Pa. */ jets: number;
  /** 0 or 1 */ fan: number;
  damper: number;
  door: number;
}

const sigma = 5.67e-8;
const fourth = (x: number) => x * x * x * x;
const air: Air = { fire: 0, door: 0 };
/** Heat capacity of hot fuel, J/(kg K). */
const fuelCp = 1100;
/** Share of the lit fuel that burns through: some falls between the bars, some leaves as soot. */
const complete = 0.88;

/**
 * One step of the fire.
 * @param dt s, up to about 3
 * @returns heat that reaches the water, W; below nothing when cold air is drawn over hot plates
 */
export function burn(grate: Grate, bed: Bed, around: Around, dt: number): number {
  const { area, draught } = grate;
  const lump = grate.lump * bed.coarse;
  const depth = depthOf(grate, bed);
  const litDepth = bed.lit / (bed.litBulk * area);
  // Ash lies loose, about 500 kg/m³; nine tenths of a lump deep it closes most of the grate.
  const ash = bed.ash / (500 * area * 0.9 * grate.lump);
  const choke = 6 * fourth(ash);
  // Most of the column is as warm as the smokebox; the firebox is as hot as the fire, and starts a draught when all else is cold.
  const drive =
    naturalDraught(0.85 * draught.height, bed.smoke, around.ambient) +
    naturalDraught(0.15 * draught.height, bed.hot, around.ambient) +
    around.jets;
  airThrough(draught, drive, around.fan, around.damper, around.door, depth, choke, bed.coarse, air);

  // Air that misses the glowing fuel neither burns nor cools it: one share for both.
  const hit = 1 - Math.exp(-litDepth / (2 * lump));
  const burns = Math.min(1, Math.max(0, (bed.hot - bed.litDies + 60) / 120));
  const struck = air.fire * hit;
  // Deep and starved of air over it, a fire makes carbon monoxide and takes some of its heat up the chimney.
  const over = air.door / (air.fire + air.door + 1e-12);
  const monoxide = 0.25 * Math.min(1, Math.max(0, (depth / lump - 6) / 8)) * Math.max(0, 1 - over / 0.2);
  let burnt = ((heatOfAir * struck * burns) / bed.litHeat) * (1 + monoxide);
  burnt = Math.min(burnt, bed.lit / (4 * dt));
  const release = (complete * burnt * bed.litHeat * (1 - monoxide)) / (1 + monoxide);

  // Lighting fluid burns in about two minutes, a third of its heat in the fuel and a third as flame.
  const fluidRate = bed.fluid > 0 ? Math.min(bed.fluid / dt, bed.fluidAll / 120) : 0;
  const fluidHeat = fluidRate * lightingFluid;
  bed.fluid = Math.max(0, bed.fluid - fluidRate * dt);

  // Fresh fuel is warmed by what lies under it, as far as three lumps up.
  const reached = Math.min(bed.fresh, 3 * lump * bed.freshBulk * area);
  const surface = (6 * reached) / (1.65 * bed.freshBulk * lump);
  const conducts = bed.lit > 0 ? 75 * surface * Math.min(1, (3 * bed.lit) / (reached + 1e-12)) : 0;
  const exchange = bed.fresh > 0 ? conducts / (1 + (conducts * dt) / (bed.fresh * fuelCp)) : 0;
  const toFresh = exchange * (bed.hot - bed.warm);
  if (bed.fresh > 0) bed.warm += ((toFresh + 0.2 * fluidHeat) * dt) / (bed.fresh * fuelCp);

  // What is hot enough takes fire, the sooner the smaller; its flame burns over the bed as far as there is air for it.
  const takes = bed.freshSlow * 60 * (lump / 0.008) ** 1.3;
  const rate = bed.fresh > 0 ? (bed.fresh / takes) * Math.min(1, Math.max(0, (bed.warm - bed.freshIgnites) / 60)) : 0;
  // What is soaked burns where it lies: the fluid lights as much as its heat brings to a glow, however large the heap.
  const soaked = fluidHeat > 0 ? (0.15 * fluidHeat) / (fuelCp * Math.max(50, bed.freshDies + 100 - bed.warm)) : 0;
  const caught = Math.min(bed.fresh, (rate + soaked) * dt);
  const flame = ((caught * bed.freshFlame * bed.freshHeat) / dt) * (0.4 + 0.5 * Math.min(1, (air.fire + air.door) / (0.3 * draught.air)));

  // The lit bed: heat made, less radiation to the firebox, air warmed and fresh fuel warmed. Radiation is taken at its slope.
  const glow = 1 - Math.exp(-litDepth / lump);
  const cover = bed.fresh > 0 ? bed.fresh / (bed.freshBulk * area * lump + bed.fresh) : 0;
  const shines = grate.radiates * area * sigma * glow * (1 - 0.75 * cover);
  const radiation = shines * (fourth(bed.hot) - fourth(around.water));
  const capacity = bed.lit * fuelCp + area * 900;
  const net = release - radiation - struck * airCp * (bed.hot - around.ambient) - toFresh - area * 8 * (bed.hot - around.water);
  const slope = 4 * shines * bed.hot * bed.hot * bed.hot;
  const stiff = slope + struck * airCp + exchange + area * 8;
  const before = bed.hot;
  bed.hot = Math.max(around.ambient, bed.hot + (net * dt) / (capacity + stiff * dt));
  const moved = bed.hot - before;

  if (caught > 0) {
    const stays = caught * (1 - bed.freshFlame);
    bed.hot = blend(
      bed.lit,
      bed.hot,
      stays,
      soaked > rate ? Math.max(bed.hot, bed.freshDies + 100) : Math.max(bed.warm + 150, bed.hot - 120)
    );
    bed.litBulk = blend(bed.lit, bed.litBulk, stays, bed.freshBulk);
    bed.litHeat = blend(bed.lit, bed.litHeat, stays, bed.freshHeat);
    bed.litDies = blend(bed.lit, bed.litDies, stays, bed.freshDies);
    bed.lit += stays;
    bed.fresh -= caught;
  }
  const gone = Math.min(bed.lit, burnt * dt);
  bed.lit -= gone;
  bed.ash += gone * bed.freshAsh;
  bed.burnt += gone + caught * bed.freshFlame;

  // Gas: the air that was heated, the flame, and what passed by cold; then the tubes.
  const flow = air.fire + air.door;
  const gasHeat = struck * airCp * (before + moved - around.ambient) + flame + 0.3 * fluidHeat;
  const entering = around.ambient + (flow > 0 ? gasHeat / (flow * gasCp) : 0);
  const ntu = grate.ntu * Math.max(0.05, flow / draught.air) ** -0.4;
  const kept = Math.exp(-ntu);
  const leaving = around.water + (entering - around.water) * kept;
  const toWater = flow * gasCp * (entering - leaving);
  // The smokebox follows in about twenty seconds.
  bed.smoke += (leaving - bed.smoke) * Math.min(1, dt / 20);
  bed.made += (burnt * bed.litHeat + fluidHeat) * dt + caught * bed.freshFlame * bed.freshHeat;
  // What leaves the bed is taken at the step's end, as the bed's own balance took it.
  return radiation + slope * moved + toWater + area * 8 * (before + moved - around.water);
}
