import { type FitOut, patterns } from '../src/core/engine';
import { checkFitOut } from '../src/core/engine/check';
import { filled, plantOf, type Plant, gaugeOf, shut, step } from '../src/core/boiler';
import { chance, type Chance } from '../src/core/chance';
import { type Run, shownBy } from '../src/core/log';
import { coldWater, waterVolume } from '../src/core/steam';
import { doubts, type Filling, isTimed, type Stop, stopOf, usualReserve } from '../src/core/sums';

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

/** How a run is: times the heat that is expected, the losses, and the water that was measured in. */
export interface Really {
  readonly heat: number;
  readonly loss: number;
  readonly water: number;
}
/** Everything at the end that is worst for the water. */
const badEnd = ({ fire }: FitOut): Really => ({
  heat: 1 + (fire.with === 'spirit' && fire.weight === null && fire.heat === null ? doubts.unknown : doubts.heat),
  loss: 1 - doubts.loss,
  water: 1 - doubts.water
});

/**
 * What is left of the water at the stop, by default when the heat is at the most, the losses at the least, the water short of what was measured and the
 * engine takes all that there is, kg: stepped by the model.
 */
export function leftByModel(f: FitOut, { water, air }: Pick<Filling, 'water' | 'air'>, stop: Stop, really = badEnd(f)): number {
  const usual = plantOf(f);
  const more = really.heat;
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
  const plant: Plant = { ...usual, fire: hot, vessel: { ...usual.vessel, loss: usual.vessel.loss * really.loss } };
  const w = filled(plant, { water: really.water * stop.water, T: water, ambient: air });
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

/**
 * Three runs of an engine, each measured in and out with what a hand may be off; then a fourth, by what they have shown.
 * @returns its floor and what the model leaves, kg; nothing where its runs show nothing
 */
export function fourthRun(seed: number) {
  const fitOut = unfedFitOut(seed);
  const c = chance(seed + 991);
  if (fitOut.glasses.length || fitOut.fire.with === 'electric') return undefined;
  const engine = { fitOut, plant: plantOf(fitOut) };
  const asked: Filling = { fill: fitOut.fill!, charge: null, reserve: usualReserve, water: coldWater, air: coldWater };
  const heat = c.between(0.8, 1.2);
  const day = (): Really => ({ heat: heat * (1 + 0.03 * c.normal()), loss: 1, water: 1 });
  const first = stopOf(asked, engine);
  if ('refused' in first) return undefined;
  const runs = [1, 2, 3].map((i): Run => {
    const lit = Date.UTC(2026, 5, i, 10);
    const left = leftByModel(fitOut, asked, first, day()) * waterVolume(coldWater) * (1 + 0.01 * c.normal());
    return {
      litAt: new Date(lit).toISOString(),
      outAt: new Date(lit + first.worked.value * 1000).toISOString(),
      water: asked.fill,
      T: coldWater,
      ...(first.charge === undefined ? {} : { charge: first.charge }),
      left
    };
  });
  const shown = shownBy(fitOut, runs);
  const stop = shown.runs ? stopOf(asked, engine, shown) : undefined;
  if (!stop || 'refused' in stop) return undefined;
  return { heat, shown, stop, first, floor: stop.floor.value, left: leftByModel(fitOut, asked, stop, day()) };
}
