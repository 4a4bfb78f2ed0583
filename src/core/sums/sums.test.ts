import { describe, expect, it } from 'vitest';
import { plantOf, waterAtGlass } from '../boiler';
import { type FitOut, hotFor, patterns } from '../engine';
import { saturationAtGauge } from '../steam';
import { type Gauge, psi } from '../units';
import { usualDay } from './day';
import { usualTurns } from './demand';
import { filledUp } from './heat-up';
import { dayNeeds, demandOf, dip, fillOf, type Given, hotOnHot, startingSum, stopOf, type Used, usualFilling } from '.';

const fitOf = (key: string) => patterns.find((p) => p.key === key)!.fitOut;
const engineOf = (fitOut: FitOut, own = {}): Given => ({ fitOut, plant: plantOf(fitOut, own) });
const [hen, tin, rail, scoop, tender] = ['large-tank', 'tabletop', 'gas-tank', 'vertical-plant', 'tender'].map((key) =>
  engineOf(fitOf(key))
) as [Given, Given, Given, Given, Given];
const changed = ({ fitOut }: Given, more: Partial<FitOut>) => engineOf({ ...fitOut, ...more });

describe('what to fill to', () => {
  it.each(patterns.map((p) => [p.fitOut.name, p.fitOut] as const))('%s: floor, gap, tests and ceiling agree', (_, fitOut) => {
    const engine = engineOf(fitOut);
    const level = startingSum(engine);
    expect(level.refused).toBeUndefined();
    expect(level.least).toBeLessThan(level.fill.value);
    expect(level.fill.value).toBeLessThanOrEqual(level.most + 1e-9);
    if (level.fill.kind !== 'glass') return;
    // Hot, with the gap and the tests gone, it stands between the lowest running level and the ceiling.
    const hot = hotFor(fitOut, level.fill.value, { used: level.gap.kg + level.tests });
    expect(hot).toBeGreaterThan(fitOut.levels.lowest);
    expect(hot).toBeLessThan(fitOut.levels.ceiling + 0.01);
    expect(fillOf(level, engine.plant)).toBeCloseTo(waterAtGlass(engine.plant.vessel, level.fill.value, 288.15), 9);
  });

  it('asks for more when the first feed needs the engine turning, and says so when no level does', () => {
    const pump = changed(tender, { feeds: tender.fitOut.feeds.filter((f) => f.turning) });
    const [later, sooner] = [startingSum(pump), startingSum(tender)];
    // The tests come before the first feed then, and count into the gap.
    expect(later.gap.kg - sooner.gap.kg).toBeGreaterThanOrEqual(later.tests - 1e-9);
    const leaks = engineOf({ ...pump.fitOut, levels: { lowest: 0.9, wanted: 0.92, ceiling: 0.95 } }, { leak: 1.5e-6 });
    expect(startingSum(leaks).refused).toContain('over the top nut');
    const narrow = changed(pump, { levels: { lowest: 0.5, wanted: 0.51, ceiling: 0.52 } });
    expect(startingSum(narrow).refused).toBeUndefined();
    // A ceiling that no cold water in the glass keeps to is refused, and what is said to fill to still stands in the glass.
    const low = changed(tender, { levels: { lowest: 0.01, wanted: 0.02, ceiling: 0.03 } });
    expect(startingSum(low).most).toBeLessThan(0);
    expect(startingSum(low).refused).toContain('under the bottom nut');
    expect(startingSum(low).fill.value).toBe(0);
    const closed = engineOf({ ...pump.fitOut, levels: { lowest: 0.5, wanted: 0.505, ceiling: 0.51 } }, { leak: 0.5e-6 });
    expect(startingSum(closed).least).toBeGreaterThan(startingSum(narrow).least);
  });

  it('a measured fill is kept, cut only where it would swell past nine tenths of the boiler, and said', () => {
    expect(startingSum(rail).fill.value).toBe(rail.fitOut.fill);
    const { total } = { total: rail.plant.vessel.room };
    const full = startingSum(changed(rail, { fill: 0.95 * total }));
    expect(full.refused).toContain('swell past nine tenths');
    expect(full.fill.value).toBe(full.most);
    expect(full.most).toBeLessThan(0.9 * total);
    expect(startingSum(changed(rail, { fill: null })).fill.value).toBeCloseTo(0.6 * total, 9);
  });
});

describe('the use of steam', () => {
  const kgh = (kilogramsASecond: number) => kilogramsASecond * 3600;
  const two = {
    ...tender.fitOut,
    workingPressure: psi(90),
    cylinders: { ...tender.fitOut.cylinders, count: 2, bore: 0.038, stroke: 0.057, doubleActing: true }
  };
  it('two cylinders 38 × 57 with passengers, 250 a minute: about 6 kg/h moving, 4 over the hour', () => {
    const { moving, hour } = demandOf(engineOf(two), 'passengers');
    expect(kgh(moving.value)).toBeCloseTo(6.2, 0);
    expect(kgh(hour.value)).toBeCloseTo(4.1, 0);
    expect(hour.value / moving.value).toBeCloseTo(0.65, 9);
  });
  it('is less on a light day and more on a hard one; as the cylinders, their number and their sides', () => {
    const [light, passengers, hard] = (['light', 'passengers', 'hard'] as const).map((d) => demandOf(engineOf(two), d).hour.value);
    expect(light!).toBeLessThan(0.45 * passengers!);
    expect(hard!).toBeGreaterThan(1.7 * passengers!);
    const of = (more: object) =>
      demandOf(engineOf({ ...two, cylinders: { ...two.cylinders, ...more } })).moving.value / demandOf(engineOf(two)).moving.value;
    expect(of({ count: 1 })).toBeCloseTo(0.5, 9);
    expect(of({ doubleActing: false })).toBeCloseTo(0.5, 9);
    expect(of({ bore: 0.019 })).toBeCloseTo(0.25, 9);
    expect(of({ stroke: 0.0285 })).toBeCloseTo(0.5, 9);
    // A grate drawn hard gives the water half a megawatt for each square metre, and no engine uses more than that makes.
    const s = saturationAtGauge(psi(90) as Gauge);
    expect(of({ bore: 0.076 }) * demandOf(engineOf(two)).moving.value).toBeCloseTo((5e5 * 0.138 * 0.094) / (s.hg - s.hf), 9);
  });
  it('is held against the days that were counted, at the work that they had: twice on a light day is twice on a hard one', () => {
    const sum = (duty: 'light' | 'hard' | 'passengers') => demandOf(engineOf(two), duty).hour.value;
    const counted = (...days: NonNullable<Used['water']>[]) => ({
      ...engineOf(two),
      used: days.map((water) => ({ fuel: 0, inSteam: 0, water }))
    });
    const light = { kg: 2 * 1.2 * 3600 * sum('light'), time: 3600, duty: 'light' as const };
    for (const duty of ['light', 'passengers', 'hard'] as const)
      expect(demandOf(counted(light), duty).hour.value).toBeCloseTo(2 * sum(duty), 9);
    // Two days by their length: an hour at twice and three at once are five quarters.
    const hard = { kg: 1.2 * 3 * 3600 * sum('hard'), time: 3 * 3600, duty: 'hard' as const };
    const both = (light.kg + hard.kg) / (1.2 * 3600 * (sum('light') + 3 * sum('hard')));
    expect(demandOf(counted(light, hard), 'passengers').hour.value / sum('passengers')).toBeCloseTo(both, 9);
    expect(demandOf(counted(), 'hard').hour.value).toBe(sum('hard'));
  });
  it('a fire that is set gives what it gives: no engine uses more than its burner makes', () => {
    const big = { ...rail.fitOut, cylinders: { ...rail.fitOut.cylinders, bore: 0.05, stroke: 0.05 } };
    expect(demandOf(engineOf(big)).moving.value).toBe(plantOf(big).ratedSteam);
    expect(demandOf(rail).moving.value).toBeLessThanOrEqual(rail.plant.ratedSteam);
  });
  it('turns by what it is', () => {
    expect(
      [
        usualTurns({ kind: 'tank locomotive', size: 'medium' }),
        usualTurns({ kind: 'tender locomotive', size: 'full' }),
        usualTurns({ kind: 'road engine', size: 'medium' }),
        usualTurns({ kind: 'portable', size: 'full' }),
        usualTurns({ kind: 'stationary plant', size: 'full' }),
        usualTurns({ kind: 'stationary plant', size: 'medium' }),
        usualTurns({ kind: 'launch plant', size: 'small' })
      ].map((x) => Math.round(x * 60))
    ).toEqual([250, 120, 150, 120, 100, 150, 250]);
  });
  it('a day’s water, coal and the forecast of its water read this one figure', () => {
    const day = { running: 3600, fill: 0.003, runs: 1, duty: 'hard', water: 283, air: 288 } as const;
    const { hour } = demandOf(engineOf(two), 'hard');
    const steps = (key: string) => dayNeeds(day, engineOf(two)).find((f) => f.key === key)!.worked.steps;
    const of = (key: string, name: string) => steps(key).find((s) => s.result.name === name)!.result.value;
    expect(of('water', 'used over the hour')).toBe(hour.value);
    expect(of('fuel', 'used over the hour')).toBe(hour.value);
    expect(of('water', 'evaporated while running')).toBeCloseTo((3600 * hour.value * 1.2) / 1000, 12);
  });
});

describe('what a day needs', () => {
  const day = (engine: Given, running = 7200) =>
    dayNeeds({ running, fill: fillOf(startingSum(engine), engine.plant), runs: 1, duty: 'passengers', water: 283.15, air: 288.15 }, engine);
  const need = (engine: Given, key: string, running?: number) => day(engine, running).find((f) => f.key === key)!.worked;
  const lineOf = (engine: Given, key: string, name: string, running?: number) =>
    need(engine, key, running).steps.find((s) => s.result.name === name)!.result.value;

  it('a charge weighs what its own fuel must: gel more than tablets of the same heat, and what was said stands as said', () => {
    const charged = (fuel: 'gel' | 'tablets' | 'spirit') =>
      need(changed(tin, { fire: { ...tin.fitOut.fire, fuel, pieces: null, heat: 360e3, burns: 600 } as FitOut['fire'] }), 'fuel');
    expect((['tablets', 'spirit', 'gel'] as const).map((fuel) => +(charged(fuel).value * 1000).toFixed(2))).toEqual([12, 13.33, 18]);
  });

  it('coal for a day holds the raise besides the steam, until days were weighed', () => {
    const up = filledUp(hen.plant, { ...usualDay(hen), water: 283.15 });
    expect(lineOf(hen, 'fuel', 'burnt while it is raised')).toBeCloseTo(up.energy.result.value / (0.48 * 32e6), 6);
    const weighed = { ...hen, used: [{ fuel: 9, inSteam: 7200 }] };
    expect(need(weighed, 'fuel').steps.map((x) => x.result.name)).not.toContain('burnt while it is raised');
  });

  it('gas that can be fed under brings it up and then runs: with no running at all there is still the raise', () => {
    const { fire } = scoop.plant;
    const raise = lineOf(scoop, 'fuel', 'time of one raise');
    const power = (fire as { power: number }).power;
    expect(need(scoop, 'fuel', 0).value).toBeCloseTo((1.2 * power * raise) / 46e6, 9);
    expect(need(scoop, 'fuel', 600).value - need(scoop, 'fuel', 0).value).toBeCloseTo((1.2 * 0.8 * power * 600) / 46e6, 9);
  });

  it('a raise takes its energy over what the burner gives, less half the losses at the end of it', () => {
    const { plant } = scoop;
    const fire = plant.fire as { power: number; efficiency: number };
    const energy = lineOf(scoop, 'fuel', 'energy to working pressure');
    const losses = lineOf(scoop, 'fuel', 'losses at working pressure');
    expect(losses).toBeGreaterThan(0.8 * plant.vessel.loss * 120);
    expect(lineOf(scoop, 'fuel', 'time of one raise')).toBeCloseTo(energy / (fire.power * fire.efficiency - losses / 2), 6);
    // 4.2 kJ a kilogram and kelvin of water, and the metal.
    const water = lineOf(scoop, 'fuel', 'water filled in');
    expect(energy / (water * 4200 + plant.vessel.metal)).toBeGreaterThan(120);
    expect(energy / (water * 4200 + plant.vessel.metal)).toBeLessThan(150);
  });

  it('what cannot be fed is filled and charged for each run, by the one sum', () => {
    const runs = (runs: number) =>
      dayNeeds({ running: 600, runs, duty: 'passengers', ...usualFilling(rail), fill: rail.fitOut.fill! }, rail);
    const of = (key: string, n: number) => runs(n).find((f) => f.key === key)!.worked;
    const stop = stopOf(usualFilling(rail), rail);
    if ('refused' in stop) throw new Error(stop.refused);
    expect(of('water', 3).value).toBeCloseTo(3 * rail.fitOut.fill!, 9);
    expect(of('water', 3).caution).toContain('A fill for each run');
    expect(of('water', 1).caution).toContain('each further run needs another fill');
    const hot = stopOf({ ...usualFilling(rail), water: hotOnHot }, rail);
    if ('refused' in hot) throw new Error(hot.refused);
    expect(hot.charge!).toBeLessThan(stop.charge!);
    expect(of('fuel', 1).value).toBeCloseTo(stop.charge!, 9);
    expect(of('fuel', 3).value).toBeCloseTo(stop.charge! + 2 * hot.charge!, 9);
  });

  it('water that is fed is what is filled, boiled away at the rate of running, blown down, and fed at the end', () => {
    const fill = fillOf(startingSum(hen), hen.plant);
    const boiled = (7200 * demandOf(hen).hour.value * 1.2) / 1000;
    const down = hen.fitOut.blowDown ? 0.1 * hen.plant.vessel.room : 0;
    expect(need(hen, 'water').value).toBeCloseTo(fill + boiled + down + 0.3 * fill, 9);
  });

  it('coal by the days that were weighed, each as much as any other; by its steam until then', () => {
    const past = (...used: Used[]) => need({ ...hen, used }, 'fuel').value;
    const bed = lineOf(hen, 'fuel', 'one bed');
    expect(past({ fuel: 12, inSteam: 7200 })).toBeCloseTo(bed + (12 / 7200) * 9000 * 1.2, 9);
    expect(past({ fuel: 12, inSteam: 7200 }, { fuel: 8, inSteam: 7200 })).toBeCloseTo(bed + (10 / 7200) * 9000 * 1.2, 9);
    expect(past({ fuel: 0, inSteam: 7200 })).toBe(past());
    expect(past()).toBeGreaterThan(bed);
    expect(
      need({ ...hen, used: [{ fuel: 12, inSteam: 7200 }] }, 'fuel')
        .steps.flatMap((s) => s.inputs)
        .some((i) => i.from === 'learned')
    ).toBe(true);
  });

  it('oil: a round before moving and one each time an interval is over', () => {
    const oiled = changed(hen, {
      lubrication: [
        { point: 'axleboxes', kind: 'hand', oil: 'motion', every: 3600 },
        { point: 'crossheads', kind: 'hand', oil: 'motion', every: 3600 },
        { point: 'lubricator', kind: 'hand', oil: 'steam', every: 1800 }
      ]
    });
    expect(lineOf(oiled, 'motion-oil', 'rounds, one each 60 min', 3599)).toBe(2);
    expect(lineOf(oiled, 'motion-oil', 'rounds, one each 60 min', 7200)).toBe(6);
    expect(need(oiled, 'motion-oil', 7200).value).toBeCloseTo(6 * 12e-6 * 1.5, 12);
    expect(need(oiled, 'steam-oil', 3600).value).toBeCloseTo(3 * 32e-6 * 1.5, 12);
    expect(day(changed(hen, { lubrication: [] })).some((f) => f.key.endsWith('oil'))).toBe(false);
  });

  it('says how many canisters when one is not enough', () => {
    expect(need(scoop, 'fuel', 0).caution).toBeUndefined();
    expect(need(scoop, 'fuel', 24 * 3600).caution).toMatch(/bring \d+\. Changed with the fire out/);
  });

  it('is something of each for every engine of the scenario', () => {
    for (const { fitOut } of patterns)
      for (const q of day(engineOf(fitOut))) expect(q.worked.value, `${fitOut.name}: ${q.name}`).toBeGreaterThan(0);
  });
});

describe('a slug of cold water', () => {
  it('costs pressure by its heat, comes back by the fire, and is refused when there is none or no room', () => {
    const said = { water: 3.8, gauge: psi(80), fed: 0.3, feedAt: 288.15, heat: 4000, air: 288.15 };
    const d = dip(said, tender);
    expect(d.after / psi(1)).toBeGreaterThan(60);
    expect(d.after / psi(1)).toBeLessThan(64);
    // 0.3 kg to be warmed by 622 kJ a kilogram with 4 kW less losses.
    expect(d.recovers).toBeGreaterThan((0.3 * 621.9e3) / 4000);
    expect(d.recovers).toBeLessThan((0.3 * 621.9e3) / 3500);
    expect(dip({ ...said, heat: 100 }, tender).recovers).toBe(Infinity);
    expect(() => dip({ ...said, fed: 0 }, tender)).toThrow('how much is fed');
    expect(() => dip({ ...said, fed: 9 }, tender)).toThrow('no room');
  });
});
