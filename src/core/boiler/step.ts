import {
  type Around,
  type Bed,
  burn,
  coldBed,
  elementStep,
  type Flame,
  gasStep,
  jetDraws,
  type Passage,
  spiritStep,
  unlit
} from '../firing';
import { emptyRow, saturationRow } from '../steam';
import { blowDownFlow, jetSpeed, throughHole } from './flow';
import type { Plant } from './plant';
import { airCv, airR, type Contents, energyOf, fillAt, settle } from './settle';
import { glassAt } from './vessel';

/** What an operator has set. Openings from 0 (shut) to 1. Kept and changed in place. */
export interface Controls {
  fan: number;
  blower: number;
  damper: number;
  door: number;
  whistle: number;
  drains: number;
  vent: number;
  blowDown: number;
  /** Steam that the engine is asked to use at working pressure, kg/s. */
  engine: number;
  /** Whether the engine turns: axle, crosshead and crankshaft pumps need it. */
  turning: boolean;
  /** By feed, in the plant's order: how much of its rate goes to the boiler, 0 to 1. */
  feeds: number[];
  /** Temperature of the feed water, K. */
  feedAt: number;
}

/** Books: everything that crossed the boiler's skin since it was filled. kg, J. */
export interface Books {
  heat: number;
  lost: number;
  fed: number;
  fedEnergy: number;
  drawn: number;
  drawnEnergy: number;
  /** Of what was drawn, through safety valves. */ blownOff: number;
  airIn: number;
  airOut: number;
}

/** A boiler at work. Changed in place by `step`; `copyOf` gives another one. */
export interface Working {
  /** s since it was filled */ time: number;
  readonly contents: Contents;
  readonly fire: Bed | Flame;
  readonly books: Books;
  /** Which safety valves are open. */
  readonly open: boolean[];
  /** Surroundings, K and Pa. */
  ambient: number;
  atmosphere: number;
  /** Steam leaving now, kg/s, and heat to the water, W. */
  draw: number;
  heat: number;
  /** Steam and air through the blower now, kg/s. */
  blowing: number;
}

export const shut = (plant: Plant): Controls => ({
  fan: 0,
  blower: 0,
  damper: 1,
  door: 0,
  whistle: 0,
  drains: 0,
  vent: 0,
  blowDown: 0,
  engine: 0,
  turning: false,
  feeds: plant.feeds.map(() => 0),
  feedAt: 288.15
});

export interface Start {
  /** Mass of water, kg. */ readonly water: number;
  /** Its temperature, K. */ readonly T: number;
  readonly ambient?: number;
  readonly atmosphere?: number;
  /** Share of the air over the water that is in when it is closed up. */ readonly air?: number;
}

/** A boiler filled and cold. */
export function filled(plant: Plant, { water, T, ambient = 288.15, atmosphere = plant.atmosphere, air = 1 }: Start): Working {
  return {
    time: 0,
    contents: fillAt(plant.vessel, water, T, air, atmosphere),
    fire: plant.fire.with === 'solid' ? coldBed(ambient, plant.fire.soot) : unlit(plant.fire.with, T),
    books: { heat: 0, lost: 0, fed: 0, fedEnergy: 0, drawn: 0, drawnEnergy: 0, blownOff: 0, airIn: 0, airOut: 0 },
    open: plant.valves.map(() => false),
    ambient,
    atmosphere,
    draw: 0,
    heat: 0,
    blowing: 0
  };
}

export const copyOf = (w: Working): Working => ({
  ...w,
  contents: { ...w.contents },
  fire: { ...w.fire },
  books: { ...w.books },
  open: [...w.open]
});

/** Pressure at the gauge, Pa. */
export const gaugeOf = (w: Working): number => w.contents.p - w.atmosphere;

const row = emptyRow();
const coldRow = emptyRow();
const around: Around = { water: 0, ambient: 0, jets: 0, steam: 0, fan: 0, damper: 1, door: 0 };

/** Enthalpy of feed water under one atmosphere, J/kg. @param T K */
export function feedEnthalpy(T: number): number {
  saturationRow(T, coldRow);
  return coldRow.uf + Math.max(101_325, coldRow.p) * coldRow.vf;
}

/**
 * One step in time, by Euler's rule on the conserved masses and energy: what is drawn is booked, so the books close to
 * rounding whatever the step.
 * @param dt s, up to about 3
 */
export function step(plant: Plant, w: Working, set: Controls, dt: number): Working {
  const { contents: c, books } = w;
  const { vessel } = plant;
  const out = w.atmosphere;
  saturationRow(c.T, row);
  const density = (c.steam + c.air) / c.space;
  const wet = c.steam + c.air > 0 ? c.steam / (c.steam + c.air) : 1;
  const gauge = c.p - out;
  const hg = row.ug + row.p * row.vg;
  const hf = row.uf + row.p * row.vf;

  // Safety valves: open at set, shut a twentieth under it; lift grows to full a tenth over it, a pop valve's at once.
  let valves = 0;
  for (let i = 0; i < plant.valves.length; i++) {
    const v = plant.valves[i]!;
    if (gauge >= v.set) w.open[i] = true;
    else if (gauge < v.set * 0.95) w.open[i] = false;
    if (w.open[i]) {
      const lift = v.pop ? 1 : Math.min(1, Math.max(0.04, (gauge - v.set * 0.95) / (v.set * 0.15)));
      valves += throughHole(v.area * lift, c.p, density, out);
    }
  }
  const blowing = set.blower > 0 ? throughHole(plant.blower * set.blower, c.p, density, out) : 0;
  const small = throughHole(
    plant.leak + plant.whistle * set.whistle + plant.drains * set.drains + plant.vent * set.vent,
    c.p,
    density,
    out
  );
  // The engine gets what it wants as far as the regulator and the pressure let it.
  const wanted = set.engine > 0 && gauge > 0 ? set.engine * Math.min(1, c.p / (plant.workingPressure + out)) : 0;
  const engine = wanted > 0 ? Math.min(wanted, throughHole(plant.regulator, c.p, density, out)) : 0;

  let fed = 0;
  let injecting = 0;
  for (let i = 0; i < plant.feeds.length; i++) {
    const f = plant.feeds[i]!;
    const on = set.feeds[i]!;
    if (on <= 0 || gauge < f.from || (f.turning && !set.turning)) continue;
    // An injector does not pick up from water over about 40 °C.
    if (f.injector && set.feedAt > 313.15) continue;
    fed += f.rate * on;
    if (f.injector) injecting += (f.rate * on) / 12;
  }

  // What leaves is steam and air as they are mixed, with a little water; more of it when the water stands high.
  const gas = valves + blowing + small + engine + injecting;
  // In one step no more air than half of what is there; of steam more, because the water boils up after it.
  const airOut = Math.min(gas * (1 - wet), (0.5 * c.air) / dt);
  let steamOut = Math.min(gas * wet, Math.max(0.5 * c.steam, 0.02 * c.liquid) / dt);
  const high = vessel.glass ? glassAt(vessel, c.liquidVolume, c.T) - 0.9 : -1;
  const moisture = Math.min(0.5, plant.moisture + (high > 0 ? 3 * high : 0));
  let waterOut = (steamOut * moisture) / (1 - moisture);
  if (set.blowDown > 0) waterOut += blowDownFlow(plant.blowDown * set.blowDown, c.p, row.vf, out);
  if ((waterOut + steamOut) * dt > 0.9 * c.water) {
    const less = (0.9 * c.water) / ((waterOut + steamOut) * dt);
    waterOut *= less;
    steamOut *= less;
  }
  // Under the atmosphere air snifts in by the leaks, and by whatever stands open.
  const snift =
    c.p < out ? throughHole(plant.leak + plant.vent * set.vent + plant.drains * set.drains, out, out / (airR * w.ambient), c.p) : 0;

  // The fire.
  let heat: number;
  const { fire } = w;
  if (plant.fire.with === 'solid') {
    around.water = c.T;
    around.ambient = w.ambient;
    const speed = blowing > 0 ? jetSpeed(c.p, density, out) : 0;
    // Jets are weak until there is some pressure behind them.
    const full = jetFull(plant, out);
    around.jets =
      (full > 0 ? plant.fire.blower * ((blowing * speed) / full) * Math.min(1, Math.max(0, gauge / 55_000)) : 0) +
      blast(plant.fire.passage, engine);
    around.steam = blowing + (plant.fire.passage.nozzle > 0 ? engine : 0);
    around.fan = set.fan;
    around.damper = set.damper;
    around.door = set.door;
    heat = burn(plant.fire, fire as Bed, around, dt);
  } else if (plant.fire.with === 'gas') heat = gasStep(plant.fire, fire as Flame, dt);
  else if (plant.fire.with === 'spirit') heat = spiritStep(plant.fire, fire as Flame, dt);
  else heat = elementStep(plant.fire, fire as Flame, c.T, dt);

  const lost = vessel.loss * (c.T - w.ambient);
  const feedH = fed > 0 ? feedEnthalpy(set.feedAt) : 0;
  // An injector gives back the steam that it took, condensed in its feed.
  const back = injecting * wet;
  const airH = (T: number) => airCv * (T - 273.15) + airR * T;
  const energyIn = heat - lost + fed * feedH + back * hg + snift * airH(w.ambient);
  const energyOut = steamOut * hg + waterOut * hf + airOut * airH(c.T);

  c.water += (fed + back - steamOut - waterOut) * dt;
  c.air = Math.max(0, c.air + (snift - airOut) * dt);
  c.energy += (energyIn - energyOut) * dt;
  settle(vessel, c);

  books.heat += heat * dt;
  books.lost += lost * dt;
  books.fed += fed * dt;
  books.fedEnergy += fed * feedH * dt;
  books.drawn += (steamOut + waterOut - back) * dt;
  books.drawnEnergy += (energyOut - back * hg - snift * airH(w.ambient)) * dt;
  books.blownOff += valves * wet * dt;
  books.airIn += snift * dt;
  books.airOut += airOut * dt;
  w.time += dt;
  w.draw = steamOut;
  w.heat = heat;
  w.blowing = blowing;
  return w;
}

/** Room of a kilogram of exhaust steam, m³, and the speed that a nozzle cannot pass, m/s. */
const exhaustRoom = 1.6;
const sonic = 450;
/** Draught of the exhaust, Pa: 0.6 × its thrust over the chimney's area. @param steam kg/s */
const blast = ({ nozzle, chimney }: Passage, steam: number) =>
  nozzle > 0 ? (jetDraws * steam * Math.min(sonic, (steam * exhaustRoom) / nozzle)) / chimney : 0;

/** Thrust of the blower fully on at working pressure, N: worked out once for each plant. */
const thrusts = new WeakMap<Plant, number>();
function jetFull(plant: Plant, atmosphere: number): number {
  let thrust = thrusts.get(plant);
  if (thrust === undefined) {
    const p = plant.workingPressure + atmosphere;
    // Density of steam at working pressure; a gas of its weight is near enough for a ratio.
    const density = p / (461.5 * 440);
    thrust = throughHole(plant.blower, p, density, atmosphere) * jetSpeed(p, density, atmosphere);
    thrusts.set(plant, thrust);
  }
  return thrust;
}

/** The energy of the contents at another temperature and pressure of air; used by forecasts and tests. */
export { energyOf };
