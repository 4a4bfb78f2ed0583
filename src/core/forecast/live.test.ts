import { beforeAll, describe, expect, it } from 'vitest';
import { plantOf, usualFill } from '../boiler';
import { patterns } from '../engine';
import { type Bodies, type Entry, fold, type Kind } from '../log';
import { remember } from '../learn';
import { compose } from '../procedure';
import { psi } from '../units';
import { classHeating, type Heating, live } from '.';

const { fitOut } = patterns.find((p) => p.key === 'tender')!;
const procedure = compose(fitOut);
const plant = plantOf(fitOut);
let heating: Heating;
beforeAll(() => void (heating = classHeating(fitOut, plant, { water: usualFill(fitOut, plant), T: 288.15 })));
const t0 = Date.parse('2026-06-13T09:00:00Z');
let n = 0;
const entry = <K extends Kind>(minute: number, kind: K, body: Bodies[K]): Entry =>
  ({
    id: `00000000-0000-7000-8000-${String(++n).padStart(12, '0')}`,
    at: new Date(t0 + minute * 60_000).toISOString(),
    kind,
    body,
    by: 'W',
    source: 'person'
  }) as Entry;
const log = (...entries: Entry[]) => fold({ fitOut, procedure, keeper: 'W' }, entries);
const cold = entry(-5, 'reading', { glass: 0.4, glassAt: 0, temperature: 286 });
const lit = entry(0, 'fire', { act: 'light' });
const pressure = (minute: number, value: number) => entry(minute, 'reading', { pressure: psi(value) });
const at = (entries: Entry[], minute: number) => live(log(...entries), plant, heating, { now: t0 + minute * 60_000, gates: [psi(30)] });
const minutes = (ms: number) => (ms - t0) / 60_000;

describe('what is said of a steaming under way', () => {
  it('knows nothing before the match, goes by what is usual until two readings, and by them from then on', () => {
    expect(at([cold], 0)).toMatchObject({ gates: [], readings: 0 });
    const first = at([cold, lit], 12);
    expect(first.unsure).toContain('Fewer than two readings');
    expect(minutes(first.steam!.middle)).toBeGreaterThan(12);
    // An edge is a moment of the same day, on its own side of the middle.
    expect(minutes(first.steam!.early)).toBeGreaterThan(11);
    expect(first.steam!.early).toBeLessThan(first.steam!.middle);
    expect(first.steam!.late).toBeGreaterThan(first.steam!.middle);
    expect(minutes(first.steam!.late)).toBeLessThan(300);
    expect([[], [pressure(10, 5)], [pressure(10, 5), pressure(11, 8)]].map((r) => at([cold, lit, ...r], 12).on.split(',')[0])).toEqual([
      'No reading yet',
      'One reading',
      '2 readings'
    ]);
    const slow = at([cold, lit, pressure(10, 0), pressure(14, 1), pressure(18, 6)], 18);
    expect(slow.unsure).toBeUndefined();
    expect(slow.readings).toBe(3);
    expect(minutes(slow.steam!.middle)).toBeGreaterThan(minutes(first.steam!.middle) + 3);
    expect(slow.steam!.early).toBeLessThan(slow.steam!.middle);
    expect(slow.gates[0]!.pressure).toBe(psi(30));
    expect(slow.gates[0]!.band.middle).toBeLessThan(slow.steam!.middle);
    expect(slow.on).toContain('3 readings');
  });

  it('ages, and says when two readings contradict each other; a struck one no longer counts', () => {
    const reads = [cold, lit, pressure(9, 3), pressure(12, 20)];
    expect(at(reads, 30).unsure).toMatch(/18 min old/);
    const wrong = pressure(12.5, 70);
    expect(at([...reads, wrong], 13).unsure).toMatch(/disagree .*read the needle again/);
    const struck = { ...entry(12.6, 'strike', { reason: 'misread' }), strikes: wrong.id };
    expect(at([...reads, wrong, struck], 13)).toEqual({ ...at([...reads], 13) });
  });

  it('at pressure it says how long the water lasts, and what the glass will be on the way there', () => {
    const rising = at([cold, lit, entry(12, 'reading', { pressure: psi(30), glass: 0.45, glassAt: psi(30) })], 12.5);
    expect(rising.hotGlass).toBeGreaterThan(0.45);
    const up = [
      cold,
      lit,
      pressure(17, 90),
      entry(18, 'phase', { phase: 'Run' }),
      entry(20, 'reading', { glass: 0.7, pressure: psi(88), glassAt: psi(88) })
    ];
    const running = at([...up, entry(26, 'reading', { glass: 0.45, pressure: psi(85), glassAt: psi(85) })], 27);
    expect(running.steam).toBeUndefined();
    // A quarter of the glass in six minutes: the fifth that is left above the lowest lasts about five.
    expect(minutes(running.water!.middle)).toBeGreaterThan(28);
    expect(minutes(running.water!.middle)).toBeLessThan(36);
    expect(running.water!.early).toBeLessThan(running.water!.middle);
    expect(at([...up, entry(22, 'fire', { act: 'out' })], 23).on).toBe('The fire is out.');
  });

  it.each(patterns.filter((p) => p.fitOut.glasses.length).map((p) => [p.fitOut.name, p.fitOut] as const))(
    '%s: any glass can be read without the forecast being lost; a slug is offered only where there is room',
    (_, f) => {
      const own = plantOf(f);
      const class_ = classHeating(f, own, { water: usualFill(f, own), T: 288.15 });
      for (const glass of [0, 0.3, f.levels.ceiling - 0.01, 0.9, 1]) {
        const p = 0.8 * f.workingPressure;
        const seen = live(
          fold({ fitOut: f, procedure: compose(f), keeper: 'W' }, [lit, entry(15, 'reading', { glass, pressure: p, glassAt: p })]),
          own,
          class_,
          {
            now: t0 + 16 * 60_000,
            gates: []
          }
        );
        expect(seen.steam!.middle).toBeGreaterThan(t0);
      }
    }
  );

  it('keeps of a steaming what its engine can be learned from, and nothing of one without readings', () => {
    const told = log(cold, lit, pressure(8, 2), pressure(11, 17), pressure(13, 38), pressure(15, 68), pressure(17, 91));
    const { past, fit } = remember(told)!;
    expect(past).toMatchObject({ T: 286, TFrom: 'read', waterFrom: 'glass', fire: expect.stringContaining('coal') });
    expect(past.reached! / 60).toBeGreaterThan(16);
    expect(past.reached! / 60).toBeLessThan(17.1);
    expect(Math.exp(fit.lnHeat.value)).toBeGreaterThan(2500);
    expect(Math.exp(fit.lnHeat.value)).toBeLessThan(5500);
    expect(remember(log(cold, lit, pressure(10, 0)))).toBeUndefined();
  });
});
