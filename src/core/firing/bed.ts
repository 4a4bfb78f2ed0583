import { type Air, airCp, airThrough, type Drawing, heatOfAir, naturalDraught, type Passage } from './draught';
import { type FuelName, lightingFluid } from './fuels';
import { type Bed, blend } from './laid';
import { gasCp, transferUnits } from './tubes';

/** A grate with a fire on it: what does not change while it burns. */
export interface Grate {
  readonly with: 'solid';
  /** m² */ readonly area: number;
  /** Usual size of a lump, m. */ readonly lump: number;
  readonly fuel: FuelName;
  readonly start: FuelName;
  /** Water in the fuel that is put on, kg in each kg. */ readonly damp: number;
  readonly passage: Passage;
  /** Plates over the fire, m². */ readonly box: number;
  /** Of what the bed radiates, the plates take up. */ readonly radiates: number;
  /** Soot on the tubes as it is lit, m. */ readonly soot: number;
  /** Draught of the blower fully on at working pressure, Pa. */ readonly blower: number;
}

/** Depth of all that lies on the grate, m. */
export const depthOf = (grate: Grate, bed: Bed): number => bed.lit / (bed.litBulk * grate.area) + bed.fresh / (bed.freshBulk * grate.area);

/** Whether the fire burns of itself: enough lit fuel, hotter than it goes out at. */
export const alight = (grate: Grate, bed: Bed): boolean => bed.lit > 0.1 * grate.area * grate.lump * bed.litBulk && bed.hot > bed.litDies;

/** What stands around the fire at this moment. */
export interface Around {
  /** Temperature of the water, K. */ water: number;
  /** K */ ambient: number;
  /** Draught of blower and exhaust, Pa, and the steam of both, kg/s. */ jets: number;
  steam: number;
  /** 0 or 1 */ fan: number;
  damper: number;
  door: number;
}

const sigma = 5.67e-8;
const fourth = (x: number) => x * x * x * x;
const air: Air = { fire: 0, door: 0 };
const drawing: Drawing = { drive: 0, fan: 0, damper: 1, door: 0, lumps: 0, choke: 0, gas: 0, smoke: 0, soot: 0, steam: 0 };
/** Heat capacity of hot fuel, J/(kg K), and what it takes to dry and heat a kilogram of water in it, J/kg. */
const fuelCp = 1100;
const drying = 2.6e6;
/** Share of the lit fuel that burns through: some falls between the bars, some leaves as sparks. */
const complete = 0.88;
/** Of the air by the door, what cools the fire from above. */
const onTop = 0.5;
/** Gas to plates of the firebox, by its movement and its own glow, W/(m² K). */
const overPlates = 14;
/** Of the carbon that leaves as smoke, what sticks to the tubes, and how it lies there, kg/m³; heat of it, J/kg. And fine ash of all that burns. */
const sticks = 0.03;
const flies = 0.0012;
const sootBulk = 90;
const carbon = 33e6;

/**
 * One step of the fire. Oxygen is conserved: the glowing fuel has what strikes it; flame, carbon monoxide and lighting fluid share what is
 * left and what comes by the door; what finds none leaves as smoke, or waits.
 * @param dt s, up to about 3
 * @returns heat that reaches the water, W; below nothing when cold air is drawn over hot plates
 */
export function burn(grate: Grate, bed: Bed, around: Around, dt: number): number {
  const { area, passage } = grate;
  const lump = grate.lump * bed.coarse;
  const depth = depthOf(grate, bed);
  const litDepth = bed.lit / (bed.litBulk * area);
  // Ash lies loose, about 500 kg/m³; nine tenths of a lump deep it closes most of the grate.
  const ash = bed.ash / (500 * area * 0.9 * grate.lump);
  // Most of the column is as warm as the smokebox; the firebox is as hot as the fire, and starts a draught when all else is cold.
  drawing.drive =
    naturalDraught(0.85 * passage.height, bed.smoke, around.ambient) +
    naturalDraught(0.15 * passage.height, bed.hot, around.ambient) +
    around.jets;
  drawing.fan = around.fan;
  drawing.damper = around.damper;
  drawing.door = around.door;
  drawing.lumps = depth / lump;
  drawing.choke = (0.995 * fourth(ash)) / (0.02 + fourth(ash));
  drawing.gas = (bed.gas + bed.smoke) / 2;
  drawing.smoke = bed.smoke;
  drawing.soot = bed.soot;
  drawing.steam = around.steam;
  air.fire = bed.through;
  air.door = bed.past;
  airThrough(passage, drawing, air);
  bed.through = air.fire;
  bed.past = air.door;
  const flow = air.fire + air.door;

  // Air that misses the glowing fuel neither burns nor cools it: one share for both.
  // Of a deep bed an eighth still goes by, along the plates.
  // Larger lumps have less to strike, and thicker air around them: as size to the power of 1.5.
  const hit = 0.88 * (1 - Math.exp(-litDepth / (2 * lump * Math.sqrt(bed.coarse))));
  // A bed does not go out all at once: its hottest lumps burn on.
  const burns = Math.min(1, Math.max(0, (bed.hot - bed.litDies + 120) / 200));
  const struck = air.fire * hit;
  // Deep, a fire makes carbon monoxide, which takes its heat along unless there is air over the fire for it.
  const monoxide = 0.25 * Math.min(1, Math.max(0, (depth / lump - 6) / 8));
  let burnt = ((heatOfAir * struck * burns) / bed.litHeat) * (1 + monoxide);
  burnt = Math.min(burnt, bed.lit / (4 * dt));
  const claimed = (burnt * bed.litHeat) / (1 + monoxide);
  const release = complete * claimed * (1 - monoxide);
  // What the glowing fuel leaves of the oxygen, as heat that it can make.
  let oxygen = Math.max(0, flow * heatOfAir - claimed);

  // Lighting fluid burns in about two minutes, if there is air for it: some of its heat in the fuel, a third as flame.
  const fluidRate = bed.fluid > 0 ? Math.min(bed.fluid / dt, bed.fluidAll / 120, oxygen / lightingFluid) : 0;
  const fluidHeat = fluidRate * lightingFluid;
  oxygen -= fluidHeat;
  bed.fluid = Math.max(0, bed.fluid - fluidRate * dt);

  // Fresh fuel is warmed by what lies under it, as far as three lumps up.
  const reached = Math.min(bed.fresh, 3 * lump * bed.freshBulk * area);
  const surface = (6 * reached) / (1.65 * bed.freshBulk * lump);
  const conducts = bed.lit > 0 ? 75 * surface * Math.min(1, (3 * bed.lit) / (reached + 1e-12)) : 0;
  const exchange = bed.fresh > 0 ? conducts / (1 + (conducts * dt) / (bed.fresh * fuelCp)) : 0;
  const toFresh = exchange * (bed.hot - bed.warm);
  if (bed.fresh > 0)
    bed.warm += ((toFresh + 0.35 * fluidHeat * (bed.fresh / (bed.lit + bed.fresh))) * dt) / (bed.fresh * (fuelCp + grate.damp * 4200));

  // What is hot enough takes fire, the sooner the smaller, once its water is gone; its flame burns over the bed as far as there is air for it.
  const takes = bed.freshSlow * 60 * (lump / 0.008) ** 1.3 * (1 + 4 * grate.damp);
  const rate = bed.fresh > 0 ? (bed.fresh / takes) * Math.min(1, Math.max(0, (bed.warm - bed.freshIgnites) / 60)) : 0;
  // What is soaked burns where it lies: the fluid lights as much as its heat brings to a glow, however large the heap.
  const soaked = fluidHeat > 0 ? (0.15 * fluidHeat) / (fuelCp * Math.max(50, bed.freshDies + 100 - bed.warm)) : 0;
  const caught = Math.min(bed.fresh, (rate + soaked) * dt);
  const gases = (caught * bed.freshFlame * bed.freshHeat) / dt + 2 * claimed * monoxide;
  // Flame and air mix badly over a bed: a tenth finds no partner even where there is plenty.
  const flame = Math.min(0.9 * gases, 0.85 * oxygen);
  const unburnt = gases - flame;
  bed.smoked += unburnt * dt;
  bed.drawn += flow * dt;
  bed.used += ((claimed + fluidHeat + flame) / heatOfAir) * dt;

  // The lit bed: heat made, less radiation to the firebox, air warmed, fresh fuel warmed and dried.
  const glow = 1 - Math.exp(-litDepth / lump);
  const cover = bed.fresh > 0 ? bed.fresh / (bed.freshBulk * area * lump + bed.fresh) : 0;
  const shines = grate.radiates * area * sigma * glow * (1 - 0.75 * cover);
  const radiation = shines * (fourth(bed.hot) - fourth(around.water));
  const capacity = bed.lit * fuelCp + area * 900;
  // Of the air that comes by the door, some falls on the fire before it is drawn away.
  const falls = onTop * air.door;
  const dries = (caught * grate.damp * drying) / dt;
  const soaks = 0.35 * fluidHeat * (bed.lit / (bed.lit + bed.fresh + 1e-12));
  const net =
    release +
    soaks -
    radiation -
    (struck + falls) * airCp * (bed.hot - around.ambient) -
    toFresh -
    dries -
    area * 8 * (bed.hot - around.water);
  const slope = 4 * shines * bed.hot * bed.hot * bed.hot;
  const stiff = slope + (struck + falls) * airCp + exchange + area * 8;
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

  // Gas: the air that was heated, the flame, and what passed by cold; over the plates, then through the tubes.
  const gasHeat = (struck + falls) * airCp * (before + moved - around.ambient) + flame + 0.3 * fluidHeat;
  const entering = around.ambient + (flow > 0 ? gasHeat / (flow * gasCp) : 0);
  const plates = Math.exp(-(overPlates * grate.box) / (flow * gasCp));
  const toTubes = around.water + (entering - around.water) * plates;
  const leaving =
    around.water + (toTubes - around.water) * Math.exp(-transferUnits(passage.tubes, flow, Math.max(250, drawing.gas), bed.soot));
  const toWater = flow * gasCp * (entering - leaving);
  // The smokebox follows in about twenty seconds.
  bed.smoke += (leaving - bed.smoke) * Math.min(1, dt / 20);
  bed.gas += (toTubes - bed.gas) * Math.min(1, dt / 20);
  bed.made += (burnt * bed.litHeat + fluidHeat) * dt + caught * bed.freshFlame * bed.freshHeat;
  // Soot grows on the tubes by what leaves as smoke, and a little by all that burns; at a fifth of the bore the gas tears it off.
  const walls = Math.PI * passage.tubes.bore * passage.tubes.length * passage.tubes.count;
  if (walls > 0)
    bed.soot = Math.min(
      Math.max(bed.soot, 0.2 * passage.tubes.bore),
      bed.soot + (((sticks * unburnt) / carbon + flies * burnt) * dt) / (sootBulk * walls)
    );
  // What leaves the bed is taken at the step's end, as the bed's own balance took it.
  return radiation + slope * moved + toWater + area * 8 * (before + moved - around.water);
}
