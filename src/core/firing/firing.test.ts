import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  type Air,
  airThrough,
  type Around,
  type Bed,
  burn,
  coldBed,
  type Drawing,
  fuelOn,
  type Grate,
  heatOfAir,
  light,
  nusselt,
  type Passage,
  rake,
  sweep,
  sweptTo,
  tubeResistance,
  transferUnits
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
