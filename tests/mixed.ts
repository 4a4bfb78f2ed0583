import fc from 'fast-check';
import { type FitOut, patterns } from '../src/core/engine';
import { checkFitOut } from '../src/core/engine/check';

const of = patterns.map((p) => p.fitOut);
const pick = <K extends keyof FitOut>(key: K) => fc.constantFrom(...of.map((f) => f[key]));

/** What an engine has on it beside its boiler and its fire, from any of the patterns, and its owner's habits in any mixture. */
const fittings = fc.record({
  habits: fc.record({
    draught: fc.constantFrom('before', 'after'),
    firstBed: fc.constantFrom('thin', 'full'),
    changeover: fc.constantFrom('first', 'late'),
    fill: fc.constantFrom('cold', 'warm'),
    oiling: fc.constantFrom('before', 'wait'),
    firing: fc.constantFrom('little', 'build'),
    oil: fc.constantFrom('motion', 'steam'),
    tooMuch: fc.constantFrom('feed', 'air'),
    lifts: fc.constantFrom('under', 'at', 'above'),
    injector: fc.constantFrom('standing', 'moving'),
    blowDown: fc.constantFrom('hot', 'cool', 'full'),
    clean: fc.constantFrom('after', 'before')
  }),
  drains: fc.constantFrom('hand', 'steam', 'steam isolated', 'chest', 'none'),
  reverser: fc.constantFrom('lever', 'none'),
  blowDown: fc.boolean(),
  vent: fc.boolean(),
  whistle: fc.boolean(),
  fusiblePlug: fc.boolean(),
  lamps: fc.boolean(),
  unscrews: fc.boolean(),
  drive: fc.constantFrom('direct', 'gears', 'clutch', 'chain'),
  storage: fc.constantFrom('dry', 'full'),
  feeds: pick('feeds'),
  plumbed: fc.boolean(),
  tanks: pick('tanks'),
  lubrication: pick('lubrication'),
  brakes: pick('brakes'),
  exhaust: pick('exhaust'),
  water: pick('water'),
  shared: fc.boolean(),
  blowThrough: fc.boolean(),
  damper: fc.boolean(),
  bores: fc.constantFrom(1, 2),
  draught: fc.constantFrom('fan', 'compressed air', 'none'),
  fuel: fc.constantFrom('dry steam coal', 'anthracite', 'charcoal', 'wood'),
  start: fc.constantFrom('charcoal', 'paraffin sticks', 'kindling', 'wood'),
  ashpan: fc.constantFrom('fixed', 'pins', 'doors')
});

/** Fit-outs that no pattern has and that the door takes. */
export const mixedFitOut: fc.Arbitrary<FitOut> = fc
  .tuple(fc.constantFrom(...of), fittings)
  .map(([base, m]): FitOut => {
    const { drains, reverser, unscrews, plumbed, shared, blowThrough, damper, bores, draught, fuel, start, ashpan, ...whole } = m;
    return {
      ...base,
      ...whole,
      feeds: whole.feeds.map((x) => ({ ...x, plumbed })),
      cylinders: { ...base.cylinders, drains, reverser },
      safetyValves: base.safetyValves.map((v) => ({ ...v, unscrewsToFill: unscrews })),
      glasses: base.glasses.map((g) => ({ ...g, blowThrough, sharesSteam: shared })),
      fire: base.fire.with === 'solid' ? { ...base.fire, damper, chimneyBores: bores, draught, fuel, start, ashpan } : base.fire
    } as FitOut;
  })
  .filter((f) => 'fitOut' in checkFitOut(f));
