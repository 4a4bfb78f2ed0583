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

export function steaming(name: string, made: Made[]) {
  const f = fitOut(name);
  const context: Context = { fitOut: f, procedure: compose(f), keeper: 'Wenna' };
  return fold(context, made.map(entry));
}
export const lit: Made = [0, 'fire', { act: 'light' }];
export const glass = (minute: number, level: Bodies['reading']['glass']): Made => [minute, 'reading', { glass: level, glassAt: psi(60) }];
export const pressure = (minute: number, value: number): Made => [minute, 'reading', { pressure: psi(value) }];
