import { describe, expect, it } from 'vitest';
import { asPast, oddities, raised } from '../../../demo/raised';
import { plantOf, usualFill, energyAt, energyTable, temperatureAt } from '../boiler';
import { chance } from '../chance';
import { patterns } from '../engine';
import { ahead, bandOf, classHeating, type Heating, heatingOf, observe, opened, startRaise } from '../forecast';
import { psi } from '../units';
import { chaptersOf, heatingFrom, learn, type Told } from '.';

const of = (key: string) => patterns.find((p) => p.key === key)!.fitOut;
const tender = of('tender');
const plant = plantOf(tender);
const usual = classHeating(tender, plant, { water: usualFill(tender, plant), T: 288.15 });
const minutes = (x: number) => x / 60;

/** Follows a raising until a share of the way and says what is forecast there. */
function said(r: ReturnType<typeof raised>, heating: Heating, share: number, spoil: (value: number, i: number) => number = (v) => v) {
  const f = startRaise({ plant, heating, water: usualFill(tender, plant), T: r.T, ambient: r.ambient, litAt: 0 });
  let blown = false;
  r.readings.every(({ at, value }, i) => {
    if (at > r.raising.reached! * share) return false;
    if (!blown && r.blowerAt !== undefined && at >= r.blowerAt) {
      blown = true;
      opened(f, r.blowerAt, 'blower', plant.blower);
    }
    observe(f, at, { kind: 'pressure', value: spoil(value, i) });
    return true;
  });
  return ahead(f, [tender.workingPressure])[0]!;
}

describe('the forecast of a raising (docs/physics.md, Forecasting)', () => {
  it('turns energy into temperature and back, evenly', () => {
    const table = energyTable(plant.vessel, 3.4);
    for (let T = 280; T < 450; T += 7.3) expect(temperatureAt(table, energyAt(table, T))).toBeCloseTo(T, 6);
  });

  it('closes in on the truth over unknown engines, and its band holds about eight in ten', () => {
    const at = [0.35, 0.6, 0.85].map((share) => {
      const off: number[] = [];
      let held = 0;
      for (let i = 0; i < 40; i++) {
        const luck = chance(900 + i);
        const r = raised(tender, luck, { own: oddities(luck, tender) });
        const band = said(r, usual, share);
        off.push(Math.abs(minutes(band.middle - r.raising.reached!)));
        if (band.early <= r.raising.reached! && r.raising.reached! <= band.late) held++;
      }
      return { off: off.sort((a, b) => a - b)[20]!, held: held / 40 };
    });
    // These days lose their air sooner than most: a needle that rests at nothing is taken for a cold boiler until it moves.
    expect(at[0]!.off).toBeLessThan(3.5);
    expect(at[1]!.off).toBeLessThan(2.6);
    expect(at[2]!.off).toBeLessThan(0.8);
    for (const { held } of at) {
      expect(held).toBeGreaterThan(0.75);
      expect(held).toBeLessThanOrEqual(1);
    }
  });

  it('is not moved far by one needle misread, and is opened again by a day at six tenths of the usual heat', () => {
    const luck = chance(4);
    const r = raised(tender, luck);
    const straight = said(r, usual, 0.75);
    const misread = said(r, usual, 0.75, (value, i) => (i === 5 ? value + psi(30) : value));
    expect(Math.abs(minutes(misread.middle - straight.middle))).toBeLessThan(1.5);

    const past = Array.from({ length: 4 }, () => raised(tender, luck, { day: 1 }));
    const learned = learn(
      tender,
      past.map((p, i) => ({ id: `${i}`, past: asPast(tender, p, i * 1e9) })),
      { leftOut: [], chapters: [] }
    );
    let [held, stubborn] = [0, 0];
    for (let i = 0; i < 10; i++) {
      const odd = raised(tender, chance(50 + i), { day: 0.6 });
      const band = said(odd, learned.heating, 0.6);
      if (band.early <= odd.raising.reached! && odd.raising.reached! <= band.late) held++;
      if (minutes(odd.raising.reached! - band.late) > 3) stubborn++;
    }
    expect(held).toBeGreaterThanOrEqual(6);
    expect(stubborn).toBe(0);
  });

  it('says that it never gets there, and makes no number up for it', () => {
    const never = bandOf(Float64Array.from([10, 20, Infinity, Infinity, Infinity]));
    expect(never).toEqual({ early: 10, middle: Infinity, late: Infinity, sure: 0.4 });
    const cold = { ...usual, lnHeat: Math.log(60), heatSpread: 0.01 };
    const [band] = ahead(startRaise({ plant, heating: cold, water: 3.4, T: 288, litAt: 0 }), [tender.workingPressure]);
    expect(band).toMatchObject({ middle: Infinity, sure: 0 });
  });
});

describe('learning an engine', () => {
  const luck = chance(21);
  const own = { power: 1.2, loss: 1.25 };
  const days = Array.from({ length: 6 }, () => raised(tender, luck, { own }));
  const told: Told[] = days.map((d, i) => ({ id: `s${i}`, past: asPast(tender, d, (i + 1) * 6048e5) }));
  const nothing = { leftOut: [], chapters: [] };

  it('gets back the heat and the loss that the raisings were made with, within what it says of its spread', () => {
    const shares: number[] = [];
    const learned = learn(tender, told, nothing, (share) => shares.push(share));
    const truth = days.reduce((a, d) => a + heatingOf(d.truth, d.raising)!.lnHeat / days.length, 0);
    const cools = days.reduce((a, d) => a + d.cools / days.length, 0);
    const [heat, loss] = ['heat', 'loss'].map((key) => learned.figures.find((f) => f.key === key)!);
    expect(Math.abs(heat!.value / Math.exp(truth) - 1)).toBeLessThan(0.1);
    expect(Math.abs(loss!.value / cools - 1)).toBeLessThan(0.12);
    for (const f of [heat!, loss!]) {
      expect(f.low).toBeLessThan(f.value);
      expect(f.learnt).toBeGreaterThan(0.5);
    }
    expect(learned.figures.find((f) => f.key === 'metal')).toBeUndefined();
    expect(learned.heating.heatSpread).toBeLessThan(usual.heatSpread);
    expect(learned.from).toEqual(told.map((t) => t.id));
    expect(shares.at(-1)).toBe(1);
    expect([...shares].sort((a, b) => a - b)).toEqual(shares);
  });

  it('begins another chapter with another fire, with a sweep after neglect, and where the owner says; leaves out what it is told to', () => {
    const with_ = (i: number, more: Partial<Told['past']>): Told => ({ ...told[i]!, past: { ...told[i]!.past, ...more } });
    expect(chaptersOf(told, nothing)).toHaveLength(1);
    expect(chaptersOf([told[0]!, with_(1, { fire: 'anthracite' })], nothing).at(-1)!.why).toContain('another fire');
    const neglected = [0, 1, 2, 3].map((i) => with_(i, { swept: false }));
    expect(chaptersOf([...neglected, with_(4, { swept: true }), told[5]!], nothing).map((c) => c.from)).toEqual([
      -Infinity,
      told[5]!.past.litAt
    ]);
    const owner = { leftOut: ['s5'], chapters: [{ at: told[3]!.past.litAt, why: 'new blast nozzle' }] };
    const learned = learn(tender, told, owner);
    expect(learned.from).toEqual(['s3', 's4']);
    expect(learned.raisings.find((r) => r.id === 's5')!.leftOut).toBe(true);
  });

  it('judges each raising by what was to be expected before it: on the band’s edge it held; one that never arrived is not judged', () => {
    const { reached: _, ...past } = told[0]!.past;
    const judged = (reached?: number) =>
      learn(tender, [{ ...told[0]!, past: { ...past, ...(reached === undefined ? {} : { reached }) } }], nothing);
    const unjudged = judged();
    const { early, late } = unjudged.raisings[0]!.expected;
    expect(unjudged.raisings[0]).not.toHaveProperty('held');
    expect(unjudged.score).toEqual({ held: 0, of: 0 });
    expect([early, late, early - 1, late + 1].map((at) => judged(at).raisings[0])).toMatchObject([
      { held: true, reached: early },
      { held: true, reached: late },
      { held: false, reached: early - 1 },
      { held: false, reached: late + 1 }
    ]);
    expect([judged(early).score, judged(late + 1).score]).toEqual([
      { held: 1, of: 1 },
      { held: 0, of: 1 }
    ]);
  });

  it('stays with its class when there is nothing to learn from', () => {
    expect(heatingFrom(usual, [])).toBe(usual);
    expect(learn(tender, [], nothing).figures).toEqual([]);
  });
});
