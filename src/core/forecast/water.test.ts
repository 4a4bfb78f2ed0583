import { describe, expect, it } from 'vitest';
import { plantOf } from '../boiler';
import { coldFor, patterns } from '../engine';
import { psi } from '../units';
import { glassWhen, tankOut, waterAt, waterIn, waterOut } from '.';

const patternOf = (key: string) => patterns.find((p) => p.key === key)!.fitOut;

describe('water while in steam', () => {
  const tender = patternOf('tender');
  const plant = plantOf(tender);
  it('errs to the early side: by what all looks may have wrong alike, and the more the less was seen', () => {
    const look = (at: number, glass: number) => ({ at, glass, gauge: psi(80) });
    const asked = { now: 600, lowest: tender.levels.lowest, usual: plant.ratedSteam * 0.45 };
    const one = waterOut(plant, [look(600, 0.6)], [], asked)!;
    const three = waterOut(plant, [look(0, 0.7), look(300, 0.65), look(600, 0.6)], [], asked)!;
    for (const b of [one, three]) {
      expect(b.early).toBeLessThan(b.middle);
      expect(b.middle).toBeLessThan(b.late);
    }
    // One look alone says next to nothing of the use: its edges lie far apart for what is left.
    const wide = ({ early, middle, late }: typeof one) => (late - early) / (middle - 600);
    expect(wide(one)).toBeGreaterThan(1.25 * wide(three));
    expect(one.late - 600).toBeGreaterThan(2 * (one.early - 600));
    // A twentieth of a glass less in sight is earlier at every edge.
    const less = waterOut(plant, [look(600, 0.55)], [], asked)!;
    for (const edge of ['early', 'middle', 'late'] as const) expect(less[edge]).toBeLessThan(one[edge]);
    // With hardly anything over the lowest the early edge has passed already.
    expect(waterOut(plant, [look(600, tender.levels.lowest + 0.01)], [], asked)!.early).toBeLessThan(600);
  });
  it('tells when the glass will be down, on its early edge in time, with feeds known', () => {
    const [full, use] = [waterIn(plant, { glass: 0.7, gauge: psi(80) }), plant.ratedSteam * 0.5];
    const floor = waterIn(plant, { glass: tender.levels.lowest, gauge: psi(80) });
    const truth = (full - floor) / use;
    let held = 0;
    for (let seed = 0; seed < 40; seed++) {
      const looks = [0, 0.15, 0.3, 0.45].map((share, i) => {
        const kg = full - use * share * truth;
        let glass = 0.5;
        for (let k = 0; k < 40; k++) glass += (kg - waterIn(plant, { glass, gauge: psi(80) })) / 4;
        return { at: share * truth, glass: glass + 0.03 * Math.sin(7 * seed + 11 * i), gauge: psi(80) };
      });
      const band = waterOut(plant, looks, [], { now: looks.at(-1)!.at + 5, lowest: tender.levels.lowest, usual: 0.7 * use })!;
      if (band.early <= truth && truth <= band.late) held++;
      expect(band.early).toBeLessThan(truth * 1.25);
    }
    expect(held).toBeGreaterThan(26);
    const look = [{ at: 0, glass: 0.5, gauge: psi(80) }];
    const dry = waterOut(plant, look, [], { now: 60, lowest: 0.25, usual: use })!;
    const fed = waterOut(plant, look, [{ from: 0, to: 60, rate: 0.005 }], { now: 60, lowest: 0.25, usual: use })!;
    expect((fed.middle - dry.middle) / (0.3 / dry.rate)).toBeCloseTo(1, 0.9);
    expect(waterOut(plant, [], [], { now: 0, lowest: 0.25, usual: use })).toBeUndefined();
  });

  describe('by hand', () => {
    const use = plant.ratedSteam * 0.45;
    const lowest = tender.levels.lowest;
    const look = (at: number, glass: number) => ({ at, glass, gauge: psi(80) });
    const kg = (glass: number) => waterIn(plant, { glass, gauge: psi(80) });
    const asked = { now: 600, lowest, usual: use };
    /** The glass that stands when so much has been used. */
    const glassOf = (weight: number) => {
      let [low, high] = [0, 1];
      for (let k = 0; k < 50; k++) {
        const middle = (low + high) / 2;
        if (kg(middle) < weight) low = middle;
        else high = middle;
      }
      return low;
    };

    it('from one look: what stands over the lowest, at the usual rate', () => {
      const one = waterOut(plant, [look(600, 0.6)], [], asked)!;
      expect(one.rate).toBeCloseTo(use, 9);
      // The middle of many ways in which the use may go on: a little sooner, as it is the quick ones that end it.
      expect((one.middle - 600) / ((kg(0.6) - kg(lowest)) / use)).toBeGreaterThan(0.93);
      expect((one.middle - 600) / ((kg(0.6) - kg(lowest)) / use)).toBeLessThan(1.01);
      expect(one.sure).toBe(1);
    });

    it('looks at a steady use tell that use, the better the more there are, and a forgotten one tells nothing', () => {
      const full = kg(0.8);
      const at = (rate: number, times: readonly number[]) => times.map((t) => look(t, glassOf(full - rate * t)));
      const late = { ...asked, now: 1500 };
      for (const rate of [0.5 * use, 1.6 * use]) {
        const few = waterOut(plant, at(rate, [0, 300]), [], { ...asked, now: 300 })!;
        const many = waterOut(plant, at(rate, [0, 300, 600, 900, 1200, 1500]), [], late)!;
        expect(Math.abs(Math.log(many.rate / rate))).toBeLessThan(Math.abs(Math.log(few.rate / rate)) + 1e-9);
        expect(Math.abs(Math.log(many.rate / rate))).toBeLessThan(0.15);
        const wide = (b: typeof few, now: number) => (b.late - b.early) / (b.middle - now);
        expect(wide(many, 1500)).toBeLessThan(wide(few, 300));
      }
      // Three quarters of an hour old, or not yet made, it is as if it were not there.
      const lone = waterOut(plant, [look(3000, 0.6)], [], { ...asked, now: 3000 })!;
      expect(waterOut(plant, [look(300, 0.1), look(3000, 0.6)], [], { ...asked, now: 3000 })).toEqual(lone);
      expect(waterOut(plant, [look(3000, 0.6), look(3100, 0.1)], [], { ...asked, now: 3000 })).toEqual(lone);
      expect(waterOut(plant, [look(301, 0.9), look(3000, 0.6)], [], { ...asked, now: 3000 })).not.toEqual(lone);
    });

    it('what is fed between two looks was used too; what is fed since the last one is there to be used', () => {
      const steady = [look(0, 0.6), look(600, 0.6)];
      const dry = waterOut(plant, steady, [], asked)!;
      const fed = waterOut(plant, steady, [{ from: 100, to: 400, rate: use / 0.5 }], asked)!;
      expect(dry.rate).toBeLessThan(0.9 * use);
      expect(fed.rate).toBeGreaterThan(0.9 * use);
      // A feed that is still on counts up to now, whenever it was begun.
      const since = (from: number, to?: number) =>
        waterOut(plant, [look(600, 0.6)], [{ from, ...(to === undefined ? {} : { to }), rate: 0.01 }], { ...asked, now: 660 })!;
      const gained = since(600).middle - waterOut(plant, [look(600, 0.6)], [], { ...asked, now: 660 })!.middle;
      expect(gained / (0.6 / use)).toBeGreaterThan(0.85);
      expect(gained / (0.6 / use)).toBeLessThan(1.05);
      expect(since(600, 660).middle).toBeCloseTo(since(600).middle, 9);
      expect(since(0).middle).toBeCloseTo(since(600).middle, 9);
      expect(since(700).middle).toBeLessThan(since(600).middle);
    });

    it('one look that nothing explains hardly moves it; looks that come by the second tell little more than one', () => {
      const steady = [0, 120, 240, 360, 480, 600].map((t) => look(t, 0.6));
      const said = (looks: typeof steady) => waterOut(plant, looks, [], { ...asked, now: 600 })!;
      const usual = said(steady);
      const over = (b: typeof usual) => b.middle - 600;
      const wild = said([...steady.slice(0, 5), look(600, 0.98)]);
      const near = said([...steady.slice(0, 5), look(600, 0.64)]);
      // So much more water would last half as long again: it is not believed; a twentieth of a glass is.
      expect(over(wild) / over(usual)).toBeLessThan(1.45);
      expect(over(near) / over(usual)).toBeGreaterThan(1.01);
      expect(over(near) / over(usual)).toBeLessThan(over(wild) / over(usual) + 0.12);
      const wide = (b: typeof usual) => (b.late - b.early) / over(b);
      const dense = said([look(570, 0.6), ...Array.from({ length: 30 }, (_, i) => look(571 + i, 0.6))]);
      const two = said([look(570, 0.6), look(600, 0.6)]);
      const spaced = said(Array.from({ length: 31 }, (_, i) => look(i * 20, 0.6)));
      expect(wide(dense)).toBeGreaterThan(0.8 * wide(two));
      expect(wide(spaced)).toBeLessThan(0.75 * wide(two));
    });

    it('a look is known to its error: a deep glass is told no better than a shallow one, in parts of it', () => {
      // From one look alone the water's own spread is that of the look: seen where the use is known to a hair's breadth of what it was.
      const [high, low] = [0.9, 0.35].map((glass) => waterOut(plant, [look(600, glass)], [], asked)!);
      const early = (b: typeof high) => (b!.middle - b!.early) / (b!.middle - 600);
      // With little over the lowest the error of the look is most of it.
      expect(early(low)).toBeGreaterThan(1.15 * early(high)!);
      expect(early(high)).toBeLessThan(0.85);
    });

    it('a feed counts only between its ends, and between the looks', () => {
      const looks = [look(0, 0.6), look(300, 0.6), look(600, 0.6)];
      const rate = (from: number, to: number) => waterOut(plant, looks, [{ from, to, rate: 0.004 }], asked)!.rate;
      const dry = waterOut(plant, looks, [], asked)!.rate;
      expect(rate(-500, -100)).toBeCloseTo(dry, 9);
      expect(rate(-500, 60)).toBeGreaterThan(dry);
      expect(rate(-500, 60)).toBeLessThan(rate(-500, 300));
      expect(rate(0, 300)).toBeLessThan(rate(0, 600));
      expect(rate(700, 900)).toBeCloseTo(dry, 9);
    });

    it('the less sure it is what a feed gave, the wider is what is said of the next look, and of nothing before it', () => {
      const looks = [look(0, 0.6), look(300, 0.5)];
      const width = (unsure?: number, from = 310) => {
        const band = waterAt(plant, looks, [{ from, to: from + 120, rate: 0.003, ...(unsure === undefined ? {} : { unsure }) }], {
          at: 600,
          usual: use
        })!;
        return band.high - band.low;
      };
      expect(width(0.25)).toBeGreaterThan(1.01 * width());
      expect(width(0.8)).toBeGreaterThan(1.05 * width(0.25));
      expect(width(0.8, 700)).toBeCloseTo(width(undefined, 700), 9);
    });

    it('where the next look would find it: as the last one, less what is used, each edge by its own spread', () => {
      const told = (at: number, looks = [look(600, 0.6)]) => waterAt(plant, looks, [], { at, usual: use })!;
      const per = 10 * (kg(0.65) - kg(0.55));
      const now = told(600);
      expect(now.middle).toBeCloseTo(kg(0.6), 9);
      // Two looks of four parts in a hundred each, what both have wrong alike left out.
      expect(now.high - now.middle).toBeCloseTo(1.2816 * Math.SQRT2 * 0.04 * per, 6);
      expect(now.middle - now.low).toBeCloseTo(now.high - now.middle, 9);
      const later = told(720);
      expect(later.middle).toBeCloseTo(kg(0.6) - 120 * use, 6);
      expect(later.high - later.low).toBeGreaterThan(1.1 * (now.high - now.low));
      expect(waterAt(plant, [], [], { at: 600, usual: use })).toBeUndefined();
      expect(waterAt(plant, [look(700, 0.6)], [], { at: 600, usual: use })).toBeUndefined();
    });

    it('says nothing without a glass, a look or a use', () => {
      expect(waterOut(plant, [look(600, 0.6)], [], { ...asked, usual: 0 })).toBeUndefined();
      expect(waterOut(plantOf(patternOf('gas-tank')), [look(600, 0.6)], [], asked)).toBeUndefined();
    });

    it('a tank lasts by the same use; its band is as wide as that of the glass, within reason', () => {
      const water = { rate: 0.01, early: 1600, middle: 2000, late: 3000 };
      expect(tankOut(1000, 0.02, water)).toEqual({ early: 1000 + 2000 * 0.6, middle: 3000, late: 1000 + 2000 * 2, sure: 1 });
      expect(tankOut(1000, 0.02, { ...water, early: 1001, late: 9000 })).toMatchObject({ early: 1000 + 2000 * 0.3, late: 1000 + 2000 * 3 });
      // Never later than the middle on its early edge, nor earlier on its late one.
      expect(tankOut(1000, 0.02, { ...water, early: 2500, late: 1500 })).toMatchObject({ early: 3000, late: 3000 });
    });
  });

  it('foretells the glass at another pressure', () => {
    // A third, cold, is about 0.47 at 90 psi by expansion alone.
    const hot = glassWhen(plant, { glass: 1 / 3, gauge: 0 }, tender.workingPressure);
    const cold = coldFor(tender, hot).glass;
    expect(hot).toBeGreaterThan(0.4);
    expect(cold).toBeLessThan(1 / 3);
  });
});
