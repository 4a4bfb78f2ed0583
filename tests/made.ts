import { type FitOut, patterns } from '../src/core/engine';
import { type Bodies, type Context, type Entry, fold, type Kind } from '../src/core/log';
import { compose } from '../src/core/procedure';
import { psi } from '../src/core/units';

/** Logs made by hand for tests: an engine of the scenario, and what was logged in which minute after ten o'clock. */

export const fitOut = (name: string): FitOut => patterns.find((p) => p.fitOut.name === name)!.fitOut;
export const t0 = Date.parse('2026-06-13T10:00:00.000Z');
export type Made = { [K in Kind]: [minute: number, kind: K, body: Bodies[K], strikes?: number] }[Kind];
const id = (i: number) => `00000000-0000-7000-8000-${String(i).padStart(12, '0')}`;
export const entry = ([minute, kind, body, strikes]: Made, i: number): Entry =>
  ({
    id: id(i),
    kind,
    body,
    at: new Date(t0 + minute * 60_000).toISOString(),
    by: 'Wenna',
    source: 'person',
    ...(strikes === undefined ? {} : { strikes: id(strikes) })
  }) as Entry;
export const at = (minute: number) => t0 + minute * 60_000;

export function steaming(name: string, made: Made[], change: Partial<FitOut> = {}) {
  const f = { ...fitOut(name), ...change };
  const context: Context = { fitOut: f, procedure: compose(f), keeper: 'Wenna' };
  return fold(context, made.map(entry));
}
export const lit: Made = [0, 'fire', { act: 'light' }];
export const glass = (minute: number, level: Bodies['reading']['glass']): Made => [minute, 'reading', { glass: level, glassAt: psi(60) }];
export const pressure = (minute: number, value: number): Made => [minute, 'reading', { pressure: psi(value) }];

/** Little Bittern's morning from nine o'clock, entry by entry, each with an id of its own. */
export function morning() {
  const bittern = fitOut('Little Bittern');
  const context: Context = { fitOut: bittern, procedure: compose(bittern), keeper: 'Wenna Thrale' };
  const begins = Date.parse('2026-06-13T09:00:00.000Z');
  let made = 0;
  const entry = <K extends Kind>(minute: number, kind: K, body: Bodies[K]): Entry =>
    ({
      id: id(++made),
      kind,
      body,
      at: new Date(begins + minute * 60_000).toISOString(),
      by: 'Wenna Thrale',
      source: 'person'
    }) as Entry;
  return {
    fitOut: bittern,
    context,
    t0: begins,
    entry,
    done: (minute: number, step: string) => entry(minute, 'tick', { step, outcome: 'done' }),
    valve: (minute: number, which: Bodies['valve']['valve'], open: number) => entry(minute, 'valve', { valve: which, open }),
    log: (...entries: Entry[]) => fold(context, entries)
  };
}
