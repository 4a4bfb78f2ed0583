import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  type Air,
  airThrough,
  alight,
  type Around,
  type Bed,
  burn,
  coldBed,
  depthOf,
  type Drawing,
  drop,
  type Element,
  elementStep,
  fuelOn,
  fuels,
  gasCp,
  type GasBurner,
  gasStep,
  type Grate,
  heatOfAir,
  light,
  naturalDraught,
  nusselt,
  type Passage,
  rake,
  ratedAir,
  spiritStep,
  sweep,
  sweptTo,
  tabletCurve,
  type Tablets,
  tubeResistance,
  transferUnits,
  unlit
} from '.';

/** Tubes of a good small boiler, for which published relations give figures. */
const tubes = { count: 18, bore: 0.0112, length: 0.34 };
const passage: Passage = {
  grate: 0.0032,
  damper: 0.0014,
  area: 0.0132,
  door: 0.0016,
  tubes,
  chimney: 7e-4,
  height: 0.4,
  fan: 36,
  fanFlow: 0.0085,
  nozzle: 2.3e-5
};
const grate: Grate = {
  with: 'solid',
  area: passage.area,
  lump: 0.007,
  fuel: 'dry steam coal',
  start: 'charcoal',
  damp: 0.02,
  passage,
  box: 0.07,
  radiates: 0.45,
  soot: 1e-4,
  blower: 150
};
const calm: Drawing = { drive: 0, fan: 1, damper: 1, door: 0, lumps: 5, choke: 0, gas: 850, smoke: 500, soot: 0, steam: 0 };
const drawn = (over: Partial<Passage> = {}, now: Partial<Drawing> = {}): Air => {
  const air: Air = { fire: 0, door: 0 };
  for (let i = 0; i < 60; i++) airThrough({ ...passage, ...over }, { ...calm, ...now }, air);
  return { ...air };
};

describe('tubes (docs/physics.md, Firing)', () => {
  it('have the Nusselt number, the transfer units and the resistance of the literature', () => {
    // 3.4 g/s at 800 K: Re 590, Nu 4.4, 1.2 transfer units; four of them: 0.45.
    expect(nusselt(590, 0.0112 / 0.34)).toBeCloseTo(4.4, 1);
    expect(nusselt(50, 0.01)).toBe(3.66);
    expect(nusselt(20_000, 0.01)).toBeCloseTo(0.023 * 20_000 ** 0.8 * 0.7 ** 0.4, 9);
    expect(transferUnits(tubes, 0.0034, 800)).toBeCloseTo(1.2, 1);
    expect(transferUnits({ ...tubes, count: 4 }, 0.0034, 800)).toBeCloseTo(0.45, 1);
    // (1.5 + 64/590 · 340/11.2) ρv²/2 at 4.35 m/s: about 20 Pa.
    expect(tubeResistance(tubes, 0.0034, 800) * 0.0034 ** 2).toBeGreaterThan(18);
    expect(tubeResistance(tubes, 0.0034, 800) * 0.0034 ** 2).toBeLessThan(22);
    // Turbulent: 0.316 Re^-¼.
    const wide = { count: 1, bore: 0.05, length: 2 };
    const re = (4 * 0.02) / (Math.PI * 0.05 * 3.6e-5);
    const area = (Math.PI * 0.05 ** 2) / 4;
    expect(tubeResistance(wide, 0.02, 800)).toBeCloseTo((1.5 + (0.316 * re ** -0.25 * 2) / 0.05) / (2 * (353 / 800) * area ** 2), 6);
    const none = { count: 0, bore: 0, length: 0 };
    expect([transferUnits(none, 1e-3, 800), tubeResistance(none, 1e-3, 800)]).toEqual([0, 0]);
  });

  it('take up less and let less through, the more soot is on them', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1.8e-3, noNaN: true }), fc.double({ min: 2e-4, max: 8e-3, noNaN: true }), (soot, flow) => {
        expect(transferUnits(tubes, flow, 800, soot + 1e-4)).toBeLessThan(transferUnits(tubes, flow, 800, soot));
        expect(tubeResistance(tubes, flow, 800, soot + 1e-4)).toBeGreaterThan(tubeResistance(tubes, flow, 800, soot));
      })
    );
    // Half a millimetre insulates by about a tenth, and narrows the bore by as much.
    const share = transferUnits(tubes, 0.002, 800, 5e-4) / transferUnits(tubes, 0.002, 800);
    expect(share).toBeGreaterThan(0.8);
    expect(share).toBeLessThan(0.95);
  });
});

describe('draught', () => {
  it('is used up in what stands in the way: the pressures around the ring come to nothing', () => {
    const { fire, door } = drawn();
    const flow = fire + door;
    const bars = 1 / passage.grate ** 2 + 1 / passage.damper ** 2;
    const ergun = (1.75 * 0.7 * 5) / (0.3 ** 3 * (353 / 1200) * passage.area ** 2);
    const before = fire ** 2 * (bars / 2.4 + ergun);
    const chimney = (1.5 * flow ** 2) / (2 * (353 / 500) * passage.chimney ** 2);
    const fan = 36 * (1 - (flow / passage.fanFlow) ** 2);
    expect(before + tubeResistance(tubes, flow, 850) * flow ** 2 + chimney).toBeCloseTo(fan, 6);
    // Past the fire by a shut door goes what its leaks let through, under the same pressure.
    expect(door ** 2 / (2.4 * (0.03 * passage.door) ** 2)).toBeCloseTo(before, 6);
  });

  it('of a fire that is drawn well is the air of a bed five lumps deep, door shut, bars clean', () => {
    expect(ratedAir(passage, 0, 1, 0)).toBeCloseTo(drawn().fire, 9);
    expect(ratedAir(passage, 20, 0, 5e-4)).toBeCloseTo(drawn({}, { drive: 20, fan: 0, soot: 5e-4 }).fire, 9);
    // 9.81 · 2 m · 1.2 kg/m³ · (1 − 288/576): 11.8 Pa; none in a cold chimney.
    expect([naturalDraught(2, 576, 288), naturalDraught(2, 288, 288), naturalDraught(2, 280, 288)].map((x) => +x.toFixed(3))).toEqual([
      11.772, 0, 0
    ]);
  });

  it.each<[string, Partial<Passage>, Partial<Drawing>, -1 | 1]>([
    ['more tubes', { tubes: { ...tubes, count: 24 } }, {}, 1],
    ['a wider chimney', { chimney: 1e-3 }, {}, 1],
    ['a stronger fan', { fan: 50 }, {}, 1],
    ['hotter gas in the tubes', {}, { gas: 1100 }, -1],
    ['soot', {}, { soot: 1e-3 }, -1],
    ['a deeper bed', {}, { lumps: 8 }, -1],
    ['ash on the bars', {}, { choke: 0.9 }, -1],
    ['the damper put to', {}, { damper: 0.2 }, -1],
    ['the door opened', {}, { door: 0.5 }, -1],
    ['steam up the chimney', {}, { steam: 1e-3 }, -1]
  ])('%s: the air through the fire answers the right way', (_, over, now, sign) => {
    expect(Math.sign(drawn(over, now).fire - drawn().fire)).toBe(sign);
  });

  it('a hard exhaust draws two to four times its own weight of gas, a light blower more', () => {
    // 6 kg/h through a nozzle of 5.4 mm, 0.6 of its thrust as draught over the chimney.
    const steam = 6 / 3600;
    const drive = (0.6 * steam * ((steam * 1.6) / passage.nozzle)) / passage.chimney;
    const hard = drawn({}, { drive, fan: 0, steam });
    expect((hard.fire + hard.door) / steam).toBeGreaterThan(2);
    expect((hard.fire + hard.door) / steam).toBeLessThan(4);
  });
});

describe('what lies on a grate', () => {
  it('is the blend of what was put on, by weight; raked, dropped and lit as hands do it', () => {
    const bed = coldBed(290, 3e-4);
    expect(bed).toMatchObject({
      with: 'solid',
      lit: 0,
      fresh: 0,
      ash: 0,
      hot: 290,
      warm: 290,
      smoke: 290,
      gas: 290,
      soot: 3e-4,
      coarse: 1
    });
    fuelOn(bed, 'charcoal', 1, 290);
    fuelOn(bed, 'wood', 3, 310, 2);
    const of = (key: keyof (typeof fuels)['wood']) => (fuels.charcoal[key] + 3 * fuels.wood[key]) / 4;
    expect(bed.fresh).toBe(4);
    expect(bed.warm).toBeCloseTo(305, 9);
    expect(bed.coarse).toBeCloseTo(1.75, 9);
    for (const [kept, key] of [
      ['freshBulk', 'bulk'],
      ['freshHeat', 'heat'],
      ['freshIgnites', 'ignites'],
      ['freshDies', 'dies'],
      ['freshAsh', 'ash'],
      ['freshFlame', 'flame'],
      ['freshSlow', 'slow']
    ] as const)
      expect(bed[kept], key).toBeCloseTo(of(key), 6);
    // Of what glows already as much as of what is black.
    Object.assign(bed, { lit: 4, coarse: 1 });
    fuelOn(bed, 'wood', 0, 290, 3);
    expect(bed.coarse).toBe(1);
    fuelOn({ ...bed, fresh: 4 }, 'wood', 8, 290, 3);
    const half = { ...bed };
    fuelOn(half, 'wood', 8, 290, 3);
    expect(half.coarse).toBeCloseTo(2, 9);
    light(bed, 0.02);
    light(bed, 0.01);
    expect([bed.fluid, bed.fluidAll]).toEqual([0.03, 0.03]);
    bed.ash = 0.4;
    bed.lit = 2;
    rake(bed);
    expect(bed.ash).toBeCloseTo(0.06, 12);
    // What was put on lies deep by its own weight, what glows by its own.
    expect(depthOf(grate, bed)).toBeCloseTo(2 / (230 * grate.area) + 4 / (of('bulk') * grate.area), 9);
    drop(bed);
    expect([bed.lit, bed.fresh, bed.fluid, bed.ash]).toEqual([0, 0, 0, 0]);
  });

  it('burns of itself with a tenth of a layer of lumps glowing, hotter than it goes out at', () => {
    const layer = grate.area * grate.lump * 230;
    const is = (lit: number, hot: number) => alight(grate, { ...coldBed(288), lit, hot });
    expect([is(0.11 * layer, 701), is(0.09 * layer, 701), is(0.11 * layer, 699)]).toEqual([true, false, false]);
  });
});

describe('fires that are set', () => {
  it('gas comes to its heat with its lag, and burns by its setting from the first moment', () => {
    const gas: GasBurner = { with: 'gas', power: 1000, efficiency: 0.4, lightUp: 0.5, lag: 20, canister: 0.1 };
    const f = unlit('gas', 288);
    f.setting = 0.5;
    let heat = 0;
    for (let i = 0; i < 10; i++) heat = gasStep(gas, f, 2);
    expect(heat).toBeCloseTo(1000 * 0.4 * 0.5 * (1 - 0.9 ** 10), 9);
    expect([f.made, f.since]).toEqual([10_000, 20]);
    expect(f.burnt).toBeCloseTo(10_000 / 46e6, 12);
    f.setting = 0;
    expect(gasStep(gas, f, 1)).toBeGreaterThan(0);
    expect(f.since).toBe(0);
    // A step longer than its lag does not overshoot.
    f.setting = 1;
    expect(gasStep(gas, f, 60)).toBeCloseTo(400, 9);
  });

  it('tablets rise over a fifth of their time and fade over a fifth; the whole charge burns, and then it is out', () => {
    const mean = Array.from({ length: 1000 }, (_, i) => tabletCurve((i + 0.5) / 1000)).reduce((a, x) => a + x / 1000, 0);
    expect(mean).toBeCloseTo(1, 5);
    expect([tabletCurve(0), tabletCurve(1), tabletCurve(-0.1), tabletCurve(1.1)]).toEqual([0, 0, 0, 0]);
    expect([tabletCurve(0.1), tabletCurve(0.9), tabletCurve(0.5)].map((x) => +x.toFixed(9))).toEqual([0.625, 0.625, 1.25]);
    for (const fades of [true, false]) {
      const charge: Tablets = { with: 'spirit', charge: 360e3, burns: 600, efficiency: 0.2, fades, heat: 30e6 };
      const f = unlit('spirit', 288);
      expect(spiritStep(charge, f, 1)).toBe(0);
      Object.assign(f, { setting: 1, charges: 2 });
      let heat = 0;
      for (let i = 0; i < 350; i++) heat += 2 * spiritStep(charge, f, 2);
      expect(f.made / (2 * 360e3)).toBeCloseTo(1, 2);
      expect(heat / (0.2 * f.made)).toBeCloseTo(1, 9);
      expect(f.burnt).toBeCloseTo(f.made / 30e6, 12);
      expect(f.setting).toBe(0);
      expect(f.since).toBeGreaterThanOrEqual(600);
    }
  });

  it('an element is on under its band and off at its set, as its sensor feels it, and in between as it was', () => {
    const element: Element = { with: 'electric', power: 1500, set: 400, band: 5, lag: 15 };
    const f = unlit('electric', 288);
    f.setting = 1;
    expect(elementStep(element, f, 390, 1)).toBe(1500);
    expect(f.felt).toBeCloseTo(288 + 102 / 15, 9);
    f.felt = 397;
    expect(elementStep(element, f, 397, 1)).toBe(1500);
    f.felt = 400;
    expect(elementStep(element, f, 400, 1)).toBe(0);
    f.felt = 397;
    expect(elementStep(element, f, 397, 1)).toBe(0);
    f.felt = 395;
    expect(elementStep(element, f, 395, 1)).toBe(1500);
    expect([f.made, f.since]).toEqual([4500, 5]);
    f.setting = 0.5;
    expect(elementStep(element, f, 390, 1)).toBe(750);
    f.setting = 0;
    expect([elementStep(element, f, 390, 1), f.since]).toEqual([0, 6]);
  });
});

describe('a moment of the bed, by hand', () => {
  const still: Around = { water: 430, ambient: 288, jets: 0, steam: 0, fan: 1, damper: 1, door: 0 };
  const dt = 1e-3;
  /** A bed as it is set, with the air that it settles to. */
  const bedOf = (more: Partial<Bed>, on: Grate = grate, at: Around = still): Bed => {
    const make = () => ({ ...coldBed(288, 1e-4), litBulk: 780, litHeat: 32e6, litDies: 850, smoke: 500, gas: 1000, ...more });
    const settled = make();
    for (let i = 0; i < 80; i++) {
      const { through, past } = settled;
      Object.assign(settled, make(), { through, past });
      burn(on, settled, at, 1e-6);
    }
    return Object.assign(make(), { through: settled.through, past: settled.past });
  };
  const glowing = (lumps: number) => lumps * grate.lump * grate.area * 780;
  const step = (bed: Bed, on: Grate = grate, at: Around = still) => {
    const was = { ...bed };
    const heat = burn(on, bed, at, dt);
    const rate = (key: 'used' | 'drawn' | 'smoked' | 'burnt' | 'ash' | 'made' | 'soot' | 'fresh' | 'lit' | 'fluid' | 'hot' | 'warm') =>
      (bed[key] - was[key]) / dt;
    return { heat, rate, was };
  };

  it('uses of the air what strikes what glows: by its depth in lumps, less of larger ones, an eighth never', () => {
    for (const [lumps, coarse] of [
      [1, 1],
      [4, 1],
      [4, 2],
      [40, 1]
    ] as const) {
      const { rate, was } = step(bedOf({ lit: glowing(lumps), hot: 1300, coarse }));
      const hit = 0.88 * (1 - Math.exp(-lumps / (2 * coarse ** 1.5)));
      const deep = Math.max(0, Math.min(1, (lumps / coarse - 6) / 8));
      // A deep bed sends a quarter of its heat up as carbon monoxide, which finds what air is left.
      const left = rate('drawn') - was.through * hit;
      const gases = 2 * 0.25 * deep * was.through * hit;
      expect(rate('used') / (was.through * hit + Math.min(0.9 * gases, 0.85 * left)), `${lumps} lumps × ${coarse}`).toBeCloseTo(1, 2);
      expect(rate('burnt') * 32e6).toBeCloseTo(2.9e6 * was.through * hit * (1 + 0.25 * deep), -1);
      expect(rate('drawn')).toBeCloseTo(was.through + was.past, 5);
    }
  });

  it('goes out over two hundred kelvins, not all at once', () => {
    const full = step(bedOf({ lit: glowing(4), hot: 1300 })).rate('burnt');
    const share = (hot: number) => step(bedOf({ lit: glowing(4), hot })).rate('burnt') / full;
    expect(share(730)).toBeCloseTo(0, 6);
    expect(share(830)).toBeCloseTo(0.5, 1);
    expect(share(930)).toBeCloseTo(1, 1);
  });

  it('leaves ash by what it burns, and burns no more than a quarter of what glows in a step', () => {
    const { rate } = step(bedOf({ lit: glowing(4), hot: 1300, freshAsh: 0.06 }));
    expect(rate('ash')).toBeCloseTo(0.06 * rate('burnt'), 9);
    expect(rate('made')).toBeCloseTo(rate('burnt') * 32e6, 3);
    expect(rate('lit')).toBeCloseTo(-rate('burnt'), 9);
    const thin = bedOf({ lit: 1e-6, hot: 1300 });
    burn(grate, thin, still, 2);
    expect(thin.lit).toBeGreaterThanOrEqual(0.75e-6);
  });

  it('shines on its plates as a grey body does, less where black coal covers it', () => {
    // With no way for air, what reaches the water is what shines, and what plates touch.
    const blind = { ...grate, passage: { ...passage, grate: 1e-9, door: 1e-9 } };
    const shines = (fresh: number) =>
      step(bedOf({ lit: glowing(3), fresh, hot: 1200, warm: 1200, freshBulk: 780, freshIgnites: 2000 }, blind), blind).heat;
    const black = 5.67e-8 * (1200 ** 4 - 430 ** 4) * grate.area * 0.45 * (1 - Math.exp(-3));
    const plates = 8 * grate.area * (1200 - 430);
    expect(shines(0) / (black + plates)).toBeCloseTo(1, 3);
    const layer = 780 * grate.area * grate.lump;
    expect(shines(layer) / (black * (1 - 0.75 / 2) + plates)).toBeCloseTo(1, 2);
  });

  it('fresh coal takes in a minute at eight millimetres, slower the larger and the damper; its flame burns over the bed', () => {
    const takes = (over: Partial<Grate>, coarse = 1) => {
      const on = { ...grate, lump: 0.008, damp: 0, ...over };
      const { rate } = step(
        bedOf(
          {
            lit: glowing(4),
            fresh: 0.05,
            hot: 1300,
            warm: 900,
            coarse,
            freshIgnites: 730,
            freshFlame: 0.12,
            freshHeat: 32e6,
            freshBulk: 780,
            freshSlow: 1
          },
          on
        ),
        on
      );
      return -0.05 / rate('fresh');
    };
    expect(takes({})).toBeCloseTo(60, 0);
    expect(takes({}, 2) / takes({})).toBeCloseTo(2 ** 1.3, 1);
    expect(takes({ damp: 0.25 }) / takes({})).toBeCloseTo(2, 1);
    // Half way to sixty kelvins over where it takes fire, half of it does.
    const half = step(
      bedOf({ lit: glowing(4), fresh: 0.05, hot: 1300, warm: 760, freshIgnites: 730, freshBulk: 780 }, { ...grate, lump: 0.008, damp: 0 }),
      {
        ...grate,
        lump: 0.008,
        damp: 0
      }
    );
    expect(-0.05 / half.rate('fresh') / 0.7).toBeCloseTo(120, -1);
  });

  it('what takes fire glows, less its flame, and chills or feeds what glows already; a tenth of its flame finds no air', () => {
    // Too cool to burn, and what lies on it hot enough to take: nothing else happens.
    const dark = {
      lit: glowing(4),
      fresh: 0.05,
      hot: 690,
      warm: 900,
      freshIgnites: 730,
      freshFlame: 0.1,
      freshHeat: 28e6,
      freshBulk: 780,
      freshSlow: 1
    };
    const dry = { ...grate, lump: 0.008, damp: 0 };
    const takes = step(bedOf(dark, dry), dry);
    const caught = 0.05 / 60;
    expect(takes.rate('fresh')).toBeCloseTo(-caught, 6);
    expect(takes.rate('lit')).toBeCloseTo(0.9 * caught, 6);
    expect(takes.rate('burnt')).toBeCloseTo(0.1 * caught, 6);
    expect(takes.rate('smoked')).toBeCloseTo(0.1 * caught * 0.1 * 28e6, 0);
    // What takes comes in a hundred and fifty kelvins over what it was, or a little under what glows.
    const waits = step(bedOf({ ...dark, freshIgnites: 2000 }, dry), dry);
    const warms = (takes.rate('hot') - waits.rate('hot')) / ((0.9 * caught) / dark.lit);
    expect(warms / (900 + 150 - 690)).toBeCloseTo(1, 1);
    const bright = { ...dark, hot: 1300, warm: 800 };
    const [on, off] = [step(bedOf(bright, dry), dry), step(bedOf({ ...bright, freshIgnites: 2000 }, dry), dry)];
    expect((on.rate('hot') - off.rate('hot')) / ((0.9 * caught) / dark.lit) / (1180 - 1300)).toBeCloseTo(1, 0);
  });

  it('fluid brings as much of what is soaked to a glow as its heat can, and that is a hundred kelvins over where it dies', () => {
    const bed = bedOf({ fresh: 0.1, fluid: 0.004, fluidAll: 0.004 });
    const { rate } = step(bed);
    const heat = (0.004 / 120) * 43e6;
    expect(rate('fresh') / ((-0.15 * heat) / (1100 * (700 + 100 - 288)))).toBeCloseTo(1, 2);
    expect(bed.hot).toBeCloseTo(800, 0);
  });

  it('lighting fluid burns away in two minutes where it has air, and waits where it has none', () => {
    const soaked = { fresh: 0.1, fluid: 0.004, fluidAll: 0.004 };
    expect(step(bedOf(soaked)).rate('fluid')).toBeCloseTo(-0.004 / 120, 7);
    const blind = { ...grate, passage: { ...passage, grate: 1e-9, door: 1e-9 } };
    expect(step(bedOf(soaked, blind), blind).rate('fluid')).toBeCloseTo(0, 8);
    const lit = bedOf(soaked);
    for (let i = 0; i < 60; i++) burn(grate, lit, still, 1);
    expect(lit.lit).toBeGreaterThan(0.01);
  });

  it('soot grows by what leaves as smoke and a little by all that burns, spread over the walls of the tubes, to a fifth of their bore', () => {
    const bed = bedOf({ lit: glowing(4), fresh: 0.1, hot: 1300, warm: 900, freshFlame: 0.5 });
    const { rate } = step(bed);
    const walls = Math.PI * 0.0112 * 0.34 * 18;
    const burnt = rate('lit') === 0 ? 0 : (rate('made') - 0.5 * bed.freshHeat * -rate('fresh')) / 32e6;
    expect(rate('soot')).toBeCloseTo(((0.03 * rate('smoked')) / 33e6 + 0.0012 * burnt) / (90 * walls), 9);
    expect(step(bedOf({ lit: glowing(4), hot: 1300, soot: 0.2 * 0.0112 })).rate('soot')).toBe(0);
  });

  it('what it makes goes to the water, up the chimney, into ash and smoke, and nowhere else', () => {
    const bed = bedOf({ lit: glowing(4), hot: 1300 });
    let [heat, made, up, smoked, n] = [0, 0, 0, 0, 0];
    for (let i = 0; i < 240; i++) {
      bed.lit = glowing(4);
      const was = { ...bed };
      const gives = burn(grate, bed, still, 1);
      if (i < 120) continue;
      n++;
      heat += gives;
      made += bed.made - was.made;
      smoked += bed.smoked - was.smoked;
      up += (bed.through + bed.past) * gasCp * (bed.smoke - 288);
    }
    expect(n).toBe(120);
    expect((heat + up + smoked + 0.12 * (made - smoked)) / made).toBeCloseTo(1, 1);
    expect(Math.abs((heat + up + smoked + 0.12 * (made - smoked)) / made - 1)).toBeLessThan(0.02);
  });
});

describe('the bed', () => {
  const around: Around = { water: 430, ambient: 288, jets: 0, steam: 0, fan: 1, damper: 1, door: 0 };
  const litBed = (): Bed => {
    const bed = coldBed(288, grate.soot);
    fuelOn(bed, 'charcoal', 0.12, 288);
    light(bed, 0.008);
    for (let i = 0; i < 240; i++) burn(grate, bed, around, 1);
    return bed;
  };

  it('never uses more oxygen than is drawn, in any step of a thousand random days; what finds none is smoke', () => {
    const share = fc.double({ min: 0, max: 1, noNaN: true });
    const moment = fc.record({
      damper: share,
      door: share,
      fan: fc.constantFrom(0, 1),
      jets: share,
      coal: share,
      fluid: share,
      steam: share
    });
    let days = 0;
    const broken: unknown[] = [];
    fc.assert(
      fc.property(fc.array(moment, { minLength: 8, maxLength: 8 }), share, (moments, wet) => {
        days++;
        const bed = coldBed(288, 1e-4);
        fuelOn(bed, 'charcoal', 0.12, 288);
        light(bed, 0.02);
        const its = { ...grate, damp: 0.3 * wet };
        for (const m of moments) {
          if (m.coal > 0.5) fuelOn(bed, m.coal > 0.8 ? 'wood' : 'house coal', 0.1 * m.coal, 288);
          if (m.fluid > 0.9) light(bed, 0.01);
          if (m.coal < 0.1) rake(bed);
          for (let i = 0; i < 30; i++) {
            const [drawn, used, smoked] = [bed.drawn, bed.used, bed.smoked];
            const heat = burn(its, bed, { ...around, ...m, jets: 200 * m.jets, steam: 1e-3 * m.steam }, 3);
            // Nothing but what burns with that oxygen, and what the bed itself gives back, can reach the water.
            if (!(bed.used - used <= (bed.drawn - drawn) * (1 + 1e-9) + 1e-15 && bed.smoked >= smoked && heat < 1.5e5))
              broken.push({ ...bed, heat });
          }
        }
      }),
      { numRuns: 1000 }
    );
    expect(broken).toEqual([]);
    expect(days).toBe(1000);
    expect(heatOfAir).toBe(2.9e6);
  });

  it('smokes when volatile coal is heaped on with the door shut, less with air over it, and its soot grows until it is swept', () => {
    const smoke = (door: number) => {
      const bed = litBed();
      const [before, soot] = [bed.smoked, bed.soot];
      fuelOn(bed, 'house coal', 0.08, 288);
      for (let i = 0; i < 240; i++) burn(grate, bed, { ...around, door }, 1);
      return { smoked: bed.smoked - before, soot: bed.soot - soot, bed };
    };
    const [shut, open] = [smoke(0), smoke(0.3)];
    expect(shut.smoked).toBeGreaterThan(1.3 * open.smoked);
    expect(shut.soot).toBeGreaterThan(open.soot);
    expect(shut.soot).toBeGreaterThan(0);
    sweep(shut.bed);
    expect(shut.bed.soot).toBe(sweptTo);
    const clean = coldBed(288, 1e-6);
    sweep(clean);
    expect(clean.soot).toBe(1e-6);
  });

  it('gives the water two to five hundred kilowatts for each square metre of grate with the fan, and six to nine hundred drawn hard', () => {
    const heat = (more: Partial<Around>) => {
      const bed = litBed();
      let sum = 0;
      // Built up with the fan first: a thin fire drawn hard only cools the plates.
      for (let i = 0; i < 1500; i++) {
        if (bed.fresh < 0.1 * bed.lit && bed.lit < 0.36) fuelOn(bed, 'dry steam coal', 0.03, 288);
        const gives = burn(grate, bed, { ...around, ...(i < 1200 ? {} : more) }, 1);
        if (i >= 1200) sum += gives / 300;
      }
      return sum / grate.area / 1000;
    };
    expect(heat({})).toBeGreaterThan(200);
    expect(heat({})).toBeLessThan(500);
    expect(heat({ fan: 0, jets: 400, steam: 4e-4 })).toBeGreaterThan(600);
    expect(heat({ fan: 0, jets: 400, steam: 4e-4 })).toBeLessThan(1000);
  });

  it('is out when it is raked of everything that glows, and draws cold air over hot plates', () => {
    const bed = litBed();
    bed.lit = bed.fresh = 0;
    bed.hot = 288;
    for (let i = 0; i < 60; i++) burn(grate, bed, around, 1);
    expect(burn(grate, bed, around, 1)).toBeLessThan(0);
  });
});
