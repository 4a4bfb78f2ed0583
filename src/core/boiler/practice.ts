import { type Bed, depthOf, type FuelName, fuelOn, fuels, type Grate, light, rake } from '../firing';
import type { Plant } from './plant';
import { type Controls, gaugeOf, shut, type Working } from './step';

/**
 * Ordinary practice in raising steam: start fuel lit with fluid, the fan on, coal an eighth of a bed at a time, each charge
 * alight before the next; the air let out; the blower for the fan when it can sustain the fire, and turned down near the end.
 */
export interface Habits {
  /** Depth of the bed that is built, in lumps. */
  readonly depth?: number;
  /** Size of the fuel over the usual. */
  readonly coarse?: number;
  /** How long the door stands open for a charge, s. */
  readonly door?: number;
  /** s between looks at the fire */
  readonly look?: number;
  /** Whether ash is raked out as it gathers. */
  readonly rakes?: boolean;
  /** Share of the fan's or blower's draught that reaches the fire: choked tubes, damp air. */
  readonly damper?: number;
  /** Pressure at which the air is let out, Pa; undefined: nobody does. */
  readonly airOut?: number;
  /** Pressure at the gauge at which the fan gives way to the blower, Pa. */
  readonly changeover?: number;
}

export interface Keeper {
  readonly set: Controls;
  /** Pressure at the gauge at which the fan gives way to the blower, Pa: may be moved while raising. */
  changeover: number;
  /** To be called before each step. */
  tend(w: Working): void;
}

/** Weight of a full bed of a fuel, kg. @param depth in lumps */
export const bedOf = (grate: Grate, name: FuelName, depth = 5): number => grate.area * depth * grate.lump * fuels[name].bulk;

/** How deep the first bed is laid, in lumps of its fuel. */
export const startDepth = (start: FuelName): number => (start === 'wood' ? 4 : 6);

/** A keeper who lights at time 0 and raises steam by ordinary practice. */
export function keeper(plant: Plant, habits: Habits = {}): Keeper {
  const { depth = 5, coarse = 1, door = 6, look = 20, damper = 1, rakes = true, airOut } = habits;
  const set = shut(plant);
  const { fire } = plant;
  let lit = false;
  let doorUntil = -1;
  let nextLook = 0;
  let ventUntil = -1;
  let vented = airOut === undefined;
  let lastT = 0;
  let lastAt = 0;
  let pacing = 1;
  let lastGauge = 0;
  let charges = 0;

  const k: Keeper = { set, changeover: habits.changeover ?? plant.sustains, tend };
  function tend(w: Working) {
    const gauge = gaugeOf(w);
    if (!lit) {
      lit = true;
      lastT = w.contents.T;
      if (fire.with === 'solid') {
        const bed = w.fire as Bed;
        const first = bedOf(fire, fire.start, startDepth(fire.start));
        fuelOn(bed, fire.start, first, w.ambient, 1);
        light(bed, 0.07 * first);
        set.fan = fire.passage.fan > 0 ? 1 : 0;
      } else {
        const flame = w.fire;
        if (flame.with === 'solid') return;
        flame.setting = fire.with === 'gas' ? fire.lightUp : 1;
        flame.charges = 1;
        flame.on = true;
      }
    }
    if (w.time < nextLook) {
      if (w.time >= doorUntil) set.door = 0;
      if (w.time >= ventUntil) set.whistle = set.vent = 0;
      return;
    }
    nextLook = w.time + look;
    if (!vented && gauge >= airOut!) {
      vented = true;
      if (plant.whistle) set.whistle = 0.5;
      else set.vent = 1;
      ventUntil = w.time + 45;
    }
    if (fire.with === 'gas' && w.fire.with !== 'solid') {
      // Half a minute small, then full; turned down when it gets there.
      w.fire.setting = w.time < 40 ? fire.lightUp : gauge >= plant.held ? 0.35 : 1;
    }
    if (fire.with !== 'solid') return;
    const bed = w.fire as Bed;
    // A boiler with a pace is warmed no faster: the damper is set by what the last minutes brought.
    if (plant.pace < Infinity && w.time - lastAt > 120) {
      const rate = (w.contents.T - lastT) / (w.time - lastAt);
      pacing = Math.min(1, Math.max(0.08, pacing * Math.min(1.6, Math.max(0.7, (0.97 * plant.pace) / Math.max(1e-5, rate)))));
      lastT = w.contents.T;
      lastAt = w.time;
    }
    if (set.fan && gauge >= k.changeover && plant.blower > 0) {
      set.fan = 0;
      set.blower = 0.9;
    } else if (!set.fan && plant.blower > 0 && gauge >= k.changeover) {
      // The jet grows with the pressure: it is turned down as that comes, to a whisper near the end, and up again when the needle stops.
      const rises = gauge > lastGauge + 0.0008 * plant.held;
      const eased = Math.min(0.9, Math.max(0.35, (1.2 * k.changeover) / Math.max(1, gauge)));
      set.blower = gauge > plant.held * 0.9 && rises ? 0.2 : rises ? eased : 0.9;
    }
    lastGauge = gauge;
    // A thin fire is not blown through: what misses it only cools the plates.
    const thick = Math.min(1, bed.lit / (1.5 * fire.lump * fire.area * bed.litBulk));
    if (set.blower) set.blower = Math.min(set.blower, Math.max(0.15, thick));
    if (rakes && bed.ash > 200 * fire.area * fire.lump) rake(bed);
    // Held under the valves when it is there: damper to, blower off.
    const over = gauge > plant.held * 1.01;
    if (over) set.blower = 0;
    set.damper = damper * pacing * (over ? 0.05 : gauge > plant.held * 0.97 ? 0.35 : 1);

    const has = depthOf(fire, bed);
    const burning = w.time > 180 && bed.hot > bed.litDies + 130;
    // Large coal takes long to catch: it is put on while the last is still black in places.
    const taken = bed.fresh < (fire.lump > 0.03 ? 0.45 : 0.25) * (bed.lit + bed.fresh) || bed.fresh < 0.02 * bedOf(fire, fire.fuel);
    // A boiler with a pace is also fired for it.
    const heldBack = pacing < 0.5 && bed.lit > 1.5 * fire.lump * fire.area * bed.litBulk;
    if (burning && taken && !heldBack && has < depth * fire.lump * 1.02) {
      // Wood brings it to life where wood is the start fuel; coal holds it. The change is made charge by charge.
      charges++;
      const changing = gauge < 3 * plant.coalFrom && charges % 2 === 1;
      const name = gauge < plant.coalFrom / 2 || changing ? fire.start : fire.fuel;
      const share = name === 'wood' ? 1 / 3 : 1 / 8;
      const charge = Math.min(bedOf(fire, name, depth) * share, (name === 'wood' ? 0.8 : 0.5) * bed.lit + 0.01 * bedOf(fire, name));
      fuelOn(bed, name, charge, w.ambient, coarse);
      set.door = 0.5;
      doorUntil = w.time + door;
      nextLook = w.time + Math.max(door, look * 1.5);
    }
  }
  return k;
}
