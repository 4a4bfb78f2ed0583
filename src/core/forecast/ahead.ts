import { airAtRest, airLeft, airRate, energyAt, needleAt, spaceAt, temperatureAt } from '../boiler';
import { chance } from '../chance';
import { boilingAt } from '../steam';
import { blows, cloud, comesBack, keepsPace, openHole, type RaiseFilter } from './cloud';
import { comingUp } from './heating';

/** When something will be: s since 1970. Eight times in ten it lies between early and late. */
export interface Band {
  readonly early: number;
  readonly middle: number;
  readonly late: number;
  /** Share of the cloud that gets there at all within the time that was looked ahead. */
  readonly sure: number;
}

/**
 * Quantiles of arrivals that weigh the same; what never arrives stands at the end, and an edge that never arrives is
 * Infinity, never a number made up for it.
 */
export function bandOf(times: Float64Array, widen = 1, edges: readonly [early: number, late: number] = [0.1, 0.9]): Band {
  const sorted = times.slice().sort();
  const at = (q: number) => sorted[Math.min(sorted.length - 1, Math.floor(q * sorted.length))]!;
  const [early, middle, late] = [at(edges[0]), at(0.5), at(edges[1])];
  const arrive = sorted.findIndex((t) => t === Infinity);
  const sure = (arrive < 0 ? sorted.length : arrive) / sorted.length;
  if (middle === Infinity) return { early, middle, late, sure };
  return { early: middle - (middle - early) * widen, middle, late: middle + (late - middle) * widen, sure };
}

/** Steps after which a guess is run ahead in strides twice as long. */
const patience = 36;

/** Normals to wander by, drawn once: drawing each of them anew was a tenth of a forecast. */
const normals = ((luck) => Float64Array.from({ length: 8192 }, luck.normal))(chance(20_260));

/** Guesses that are run ahead: drawn from the cloud by weight, evenly. */
const scouts = 72;
const chosen = new Int32Array(scouts);
function choose(f: RaiseFilter): void {
  let [j, sum] = [0, f.weight[0]!];
  for (let i = 0; i < scouts; i++) {
    const at = (i + 0.5) / scouts;
    while (sum < at && j < cloud - 1) sum += f.weight[++j]!;
    chosen[i] = j;
  }
}

/**
 * The times at which the gauge will show these pressures.
 * @param gates Pa at the gauge, rising
 * @param far s, how far to look
 */
export const ahead = (f: RaiseFilter, gates: readonly number[], { far = 5 * 3600 } = {}): Band[] => aheadOf(f, gates, far).gates;

/** The same, and when the water boils: a gauge over air has been up for a while by then, or is still at nothing. */
export function aheadOf(f: RaiseFilter, gates: readonly number[], far: number): { readonly gates: Band[]; readonly boils: Band } {
  const { plant, heating } = f;
  // Each moment begins somewhere else in them, and each guess goes on where the last one stopped.
  let drawn = Math.round(f.now) % normals.length;
  const times = gates.map(() => new Float64Array(scouts).fill(Infinity));
  const boils = new Float64Array(scouts).fill(Infinity);
  const boiling = boilingAt(f.atmosphere);
  choose(f);
  const isPaced = plant.pace < Infinity;
  const space = spaceAt(f.table, 380);
  const hole = airRate(openHole(f), space);
  const target = energyAt(f.table, boilingAt(gates.at(-1)! + f.atmosphere));
  for (let n = 0; n < scouts; n++) {
    const i = chosen[n]!;
    let lnPace = f.lnPace[i]!;
    let energy = f.energy[i]!;
    const lnHeat = f.lnHeat[i]!;
    let air = f.air[i]!;
    let blower = blows(f);
    let rate = Math.exp(f.lnLeak[i]!) + hole;
    let gate = 0;
    let t = f.now;
    const lag = Math.exp(f.lnLag[i]!);
    // About thirty steps to the last gate: a full-size engine is not stepped like a toy.
    let dt = Math.min(180, Math.max(4, (target - energy) / Math.exp(lnHeat) / 30));
    let sd = heating.walk * Math.sqrt(dt / 60);
    let T = temperatureAt(f.table, energy);
    let before = needleAt(f.table, air, T, f.atmosphere);
    while (gate < gates.length && gates[gate]! <= before) times[gate++]![n] = t;
    if (T >= boiling) boils[n] = t;
    // The fire's coming up is a series of equal shrinkings: drawn out as such, it is a multiplication a step. A charge is asked each time.
    let down = Math.exp(-(t + dt / 2 - f.burnsFrom) / lag);
    let shrinks = Math.exp(-dt / lag);
    let wander = 0;
    let returns = Math.min(0.5, dt / comesBack);
    let paceSd = keepsPace.walk * Math.sqrt(dt / 60);
    let steps = 0;
    let heat = Math.exp(lnHeat + (blower ? f.lnBoost[i]! : 0));
    while (gate < gates.length && t < f.now + far) {
      const up = heating.charge ? comingUp(heating, t + dt / 2 - f.burnsFrom, lag) : 1 - down;
      // Burnt out on the way: it does not get there.
      if (heating.charge && up === 0) break;
      energy += (heat * Math.exp(wander) * up - plant.vessel.loss * (T - f.ambient)) * dt;
      down *= shrinks;
      // Heat wanders on, but it has a mean it belongs to.
      wander += sd * normals[(drawn = (drawn + 1) % normals.length)]! - wander * returns;
      const was = T;
      T = temperatureAt(f.table, energy);
      if (isPaced) {
        const most = was + plant.pace * Math.exp(lnPace) * dt;
        if (T > most) energy = energyAt(f.table, (T = most));
        lnPace += paceSd * normals[(drawn = (drawn + 1) % normals.length)]! - (lnPace - keepsPace.near) * returns;
      }
      if (was < boiling && T >= boiling) boils[n] = t + ((boiling - was) / (T - was)) * dt;
      const gauge = needleAt(f.table, air, T, f.atmosphere);
      if (air > 0.001) air = airLeft(air, rate, gauge, dt, airAtRest(f.table, T, f.atmosphere));
      if (!blower && plant.sustains > 0 && gauge >= plant.sustains) {
        blower = true;
        heat *= Math.exp(f.lnBoost[i]!);
        rate += airRate(plant.blower, space);
      }
      while (gate < gates.length && gauge >= gates[gate]!) {
        const share = gauge > before ? Math.min(1, Math.max(0, (gates[gate]! - before) / (gauge - before))) : 1;
        times[gate++]![n] = t + share * dt;
      }
      before = gauge;
      t += dt;
      // What takes far longer than its heat would have it is not looked at so closely: it comes late, or never.
      if (++steps % patience === 0) {
        dt *= 2;
        sd = heating.walk * Math.sqrt(dt / 60);
        paceSd = keepsPace.walk * Math.sqrt(dt / 60);
        down = Math.exp(-(t + dt / 2 - f.burnsFrom) / lag);
        shrinks = Math.exp(-dt / lag);
        returns = Math.min(0.5, dt / comesBack);
      }
      if (energy < f.table.energy[0]!) break;
    }
  }
  return { gates: times.map((of) => bandOf(of, heating.width)), boils: bandOf(boils, heating.width) };
}
