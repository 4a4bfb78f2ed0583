import { type FitOut, patterns } from '../src/core/engine';
import { checkFitOut } from '../src/core/engine/check';
import { filled, plantOf, type Plant, gaugeOf, shut, step } from '../src/core/boiler';
import { chance, type Chance } from '../src/core/chance';
import { doubts, type Filling, isTimed, type Stop, stopOf } from '../src/core/sums';

/** ENGINES THAT NOTHING FEEDS, in any mixture, and one run of each by the model with everything at its bad end. */

const unfed = patterns.map((p) => p.fitOut).filter(isTimed);

/** Every length of a boiler, longer or shorter. */
const sized = (boiler: FitOut['boiler'], by: number): FitOut['boiler'] =>
  JSON.parse(JSON.stringify(boiler), (key, value) =>
    typeof value !== 'number' || key === 'count' ? value : key === 'elementVolume' ? value * by ** 3 : value * by
  );

function fireOf(fire: FitOut['fire'], c: Chance, by: number): FitOut['fire'] {
  const power = by ** 2.5 * c.between(0.6, 1.6);
  if (fire.with === 'gas') return { ...fire, power: fire.power * power, canister: fire.canister * c.between(0.3, 4) };
  if (fire.with === 'electric') return { ...fire, power: fire.power * power };
  if (fire.with !== 'spirit') return fire;
  const fuel = c.pick(['spirit', 'gel', 'tablets'] as const);
  return {
    ...fire,
    fuel,
    layout: c.pick(['together', 'after'] as const),
    pieces: fuel === 'tablets' ? c.pick([1, 2, 3, 6]) : null,
    weight: c.odds(0.8) ? 0.014 * by ** 3 * c.between(0.6, 3) : null,
    burns: c.between(240, 1500)
  };
}

/** An engine that nothing feeds and that the door takes, made from a seed. */
export function unfedFitOut(seed: number): FitOut {
  const c = chance(seed);
  for (;;) {
    const base = c.pick(unfed);
    const by = c.between(0.7, 1.8);
    const f = {
      ...base,
      boiler: sized(base.boiler, by),
      shell: { ...base.shell, metal: base.shell.metal * by ** 2.4, lagged: c.odds(0.5) },
      glasses: base.glasses.map((g) => ({ ...g, bottomNut: g.bottomNut * by, topNut: g.topNut * by })),
      fill: base.fill === null ? null : base.fill * by ** 3 * c.between(0.55, 1.15),
      runLimit: c.odds(0.6) ? c.between(240, 2400) : base.glasses.length ? null : 1200,
      workingPressure: base.workingPressure * c.between(0.7, 1.1),
      fire: fireOf(base.fire, c, by)
    } as FitOut;
    const safe = { ...f, safetyValves: f.safetyValves.map((v) => ({ ...v, set: f.workingPressure })) };
    if ('fitOut' in checkFitOut(safe)) return safe;
  }
}

/**
 * What is left of the water at the stop when the heat is at the most, the losses at the least, the water short of what was measured and the
 * engine takes all that there is, kg: stepped by the model.
 */
export function leftByModel(f: FitOut, { water, air }: Pick<Filling, 'water' | 'air'>, stop: Stop): number {
  const usual = plantOf(f);
  const unknown = f.fire.with === 'spirit' && f.fire.weight === null && f.fire.heat === null;
  const more = 1 + (unknown ? doubts.unknown : doubts.heat);
  const { fire } = usual;
  const hot: Plant['fire'] =
    fire.with === 'gas'
      ? { ...fire, efficiency: fire.efficiency * more, lightUp: 1, lag: 1 }
      : fire.with === 'spirit'
        ? {
            ...fire,
            efficiency: fire.efficiency * more,
            charge: stop.charge! * fire.heat,
            burns: stop.fuelOut!
          }
        : fire.with === 'electric'
          ? { ...fire, power: fire.power * more, set: 480 }
          : fire;
  const plant: Plant = { ...usual, fire: hot, vessel: { ...usual.vessel, loss: usual.vessel.loss * (1 - doubts.loss) } };
  const w = filled(plant, { water: (1 - doubts.water) * stop.water, T: water, ambient: air });
  const set = shut(plant);
  if (w.fire.with === 'solid') throw new Error('nothing that burns coal is timed');
  Object.assign(w.fire, { setting: 1, charges: 1, on: true });
  while (w.time < stop.worked.value) {
    // Turned on as soon as there is anything, and never shut: it takes all that is made.
    set.engine = gaugeOf(w) > 2000 ? 1 : 0;
    set.turning = set.engine > 0;
    step(plant, w, set, 1);
  }
  return w.contents.water;
}

/** One engine's run as a row: what the sum says, and what the model leaves. */
export function runOf(seed: number) {
  const f = unfedFitOut(seed);
  const c = chance(seed + 77);
  const [water, air] = [c.pick([283.15, 288.15, 318.15, 353.15]), c.between(275, 303)];
  const engine = { fitOut: f, plant: plantOf(f) };
  const room = engine.plant.vessel.room;
  const fill = f.fill === null ? room * c.between(0.5, 0.8) : Math.min(f.fill, 0.85 * room);
  const asked: Filling = { fill, charge: null, reserve: c.pick([0.2, 1 / 3, 0.45]), water, air };
  const stop = stopOf(asked, engine);
  return { fitOut: f, asked, stop, ...('refused' in stop ? {} : { left: leftByModel(f, asked, stop) }) };
}
