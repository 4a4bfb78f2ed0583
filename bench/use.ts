// What a day sheet packs against what a day takes, counted: `./joram bench use`. Ten engines, three kinds of work, three days of each.
import { bedOf, filled, gaugeOf, glassAt, keeper, plantOf, step, usualFill, type Working } from '../src/core/boiler';
import { chance } from '../src/core/chance';
import { type FitOut, patterns } from '../src/core/engine';
import { fuelOn, gasHeat, rake } from '../src/core/firing';
import { saturationAtGauge } from '../src/core/steam';
import { dayNeeds, fillOf, startingSum } from '../src/core/sums';
import { duties, type Duty } from '../src/core/sums/duties';
import { usualTurns } from '../src/core/sums/demand';
import type { Gauge } from '../src/core/units';

/** A turn counted stroke by stroke from what the chest holds: not the sheet's sum, and its condensing is another each day. */
function turnOf(f: FitOut, gauge: number, cutOff: number, wet: number): number {
  const { bore, stroke, count, doubleActing } = f.cylinders;
  const swept = (Math.PI / 4) * bore * bore * stroke;
  const steam = (gauge2: number) => 1 / saturationAtGauge(Math.max(0, gauge2) as Gauge).vg;
  let kilos = 0;
  for (let n = 0; n < count * (doubleActing ? 2 : 1); n++) kilos += swept * ((cutOff + 0.07) * steam(gauge * 0.95) - 0.07 * steam(7e3));
  return kilos * wet;
}

/** A day by the model: moving in spells of some minutes, fired and fed by ordinary practice. Water in kg, fuel in kg. */
function counted(f: FitOut, duty: Duty, running: number, seed: number): { water: number; fuel: number; low: number } {
  const luck = chance(seed);
  const plant = plantOf(f);
  const d = duties[duty];
  const cannotFeed = !f.feeds.some((x) => x.plumbed && x.kind !== 'bottle');
  const wet = luck.between(1.35, 1.85);
  const moves = Math.min(0.95, d.moving * luck.between(0.85, 1.15));
  let [left, water, fuel, low] = [running, 0, 0, 0];
  // What cannot be fed is filled again for each run.
  while (left > 0) {
    const w: Working = filled(plant, { water: usualFill(f, plant), T: f.fire.with === 'spirit' ? 333.15 : 288.15 });
    const k = keeper(plant);
    while (gaugeOf(w) < plant.inSteam && w.time < 4 * 3600) {
      k.tend(w);
      step(plant, w, k.set, 2);
    }
    const full = plant.fire.with === 'solid' ? bedOf(plant.fire, plant.fire.fuel) : 0;
    const put = { coal: w.fire.with === 'solid' ? w.fire.burnt + w.fire.lit + w.fire.fresh : 0 };
    let [spell, going, looked] = [0, true, 0];
    const from = w.time;
    const had = w.contents.water;
    while (w.time - from < left) {
      if (spell <= 0) {
        going = luck.odds(moves);
        spell = luck.between(120, 420);
      }
      spell -= 2;
      const speed = usualTurns(f) * (going ? 1 : 0);
      k.set.engine = going ? turnOf(f, f.workingPressure * d.chest, d.cutOff, wet) * speed : 0;
      k.set.turning = going;
      const glass = glassAt(plant.vessel, w.contents.liquidVolume, w.contents.T);
      const feeds = Number.isFinite(glass) && glass < 0.5 ? 1 : 0;
      k.set.feeds = plant.feeds.map(() => feeds);
      k.set.whistle = luck.odds(0.004) ? 1 : 0;
      if (w.fire.with === 'solid' && plant.fire.with === 'solid') {
        const bed = w.fire;
        if (w.time - looked > 30) {
          looked = w.time;
          rake(bed);
          // Who is near the valves does not fire, unless the bed grows thin.
          const wants = gaugeOf(w) < 0.96 * plant.held ? 1 : 0.4;
          if (bed.fresh < 0.4 * bed.lit && bed.lit + bed.fresh < wants * full) {
            fuelOn(bed, plant.fire.fuel, full / 10, w.ambient);
            put.coal += full / 10;
          }
        }
        k.set.fan = 0;
        const high = gaugeOf(w) / plant.held;
        k.set.blower = high < 0.9 ? 0.4 : 0.05;
        k.set.damper = high > 0.97 ? 0.04 : high > 0.92 ? 0.3 : 1;
      } else if (w.fire.with === 'gas') w.fire.setting = gaugeOf(w) > 0.97 * plant.held ? 0.35 : 1;
      step(plant, w, k.set, 2);
      if (gaugeOf(w) < 0.6 * plant.held) low += 2 / running;
      if (cannotFeed && (w.contents.water < 0.55 * had || (f.runLimit !== null && w.time - from > f.runLimit))) break;
      if (w.fire.with === 'spirit' && plant.fire.with === 'spirit' && w.fire.since >= plant.fire.burns) break;
      if (w.contents.liquid < 0.3 * had) break;
    }
    left -= Math.max(60, w.time - from);
    water += cannotFeed ? usualFill(f, plant) : had + w.books.fed;
    fuel += w.fire.with === 'solid' ? put.coal : w.fire.made / (plant.fire.with === 'spirit' ? plant.fire.heat : gasHeat);
  }
  return { water, fuel, low };
}

console.log('engine          work         water packed, l   counted, l          over   fuel packed, kg   counted, kg         over');
for (const { fitOut: f } of patterns) {
  const plant = plantOf(f);
  const given = { fitOut: f, plant };
  const running = 2 * 3600;
  for (const duty of Object.keys(duties) as Duty[]) {
    const day = { running, fill: fillOf(startingSum(given), plant), runs: 1, duty, water: 288.15, air: 288.15 };
    const needs = dayNeeds(day, given);
    const packed = (key: string) => needs.find((n) => n.key === key)?.worked.value ?? NaN;
    const days = [1, 2, 3].map((n) => counted(f, duty, running, 100 * n + f.name.length));
    const mean = (of: (d: (typeof days)[number]) => number) => days.reduce((a, x) => a + of(x), 0) / days.length;
    const range = (of: (d: (typeof days)[number]) => number) =>
      `${Math.min(...days.map(of)).toFixed(2)} to ${Math.max(...days.map(of)).toFixed(2)}`;
    const [water, fuel] = [packed('water') * 1000, packed('fuel')];
    console.log(
      [
        f.name.padEnd(15),
        duty.padEnd(12),
        water.toFixed(2).padStart(12),
        range((d) => d.water).padStart(18),
        (water / mean((d) => d.water)).toFixed(2).padStart(9),
        fuel.toFixed(3).padStart(14),
        range((d) => d.fuel).padStart(18),
        (fuel / mean((d) => d.fuel)).toFixed(2).padStart(9),
        `under six tenths of it ${Math.round(100 * mean((d) => d.low))} %`
      ].join(' ')
    );
  }
}
