import { printText } from '$core/units';
import { unitChoice } from '../sheet/unit-choice';
import { clock } from '../sheet/when';

const labels: Record<string, string> = {
  wants: 'Wanted',
  what: 'what for',
  at: 'at',
  end: 'Everything over by',
  people: 'People',
  name: 'name',
  as: 'as',
  from: 'from',
  until: 'until',
  water: 'Water',
  air: 'Air',
  running: 'Running',
  duty: 'Work',
  tests: 'Tests',
  minutes: 'Minutes of a step',
  without: 'Steps left out',
  packed: 'Packed'
};

/** Where in a day sheet a path leads: “Wanted, 2, at”. */
export const planPlace = (path: string): string =>
  path
    .split('.')
    .map((key) => labels[key] ?? (/^\d+$/.test(key) ? String(Number(key) + 1) : key))
    .join(', ');

/** A value of a day sheet as it is said there. */
export function planSaid(path: string, value: unknown): string {
  if (value === undefined || value === null || value === '') return 'nothing';
  if (Array.isArray(value)) return value.length ? value.map((v) => planSaid('', v)).join('; ') : 'none';
  if (typeof value === 'object')
    return Object.entries(value)
      .filter(([, v]) => v !== null)
      .map(([k, v]) => planSaid(k, v))
      .join(' ');
  if (path === 'water' || path === 'air') return printText(Number(value), 'temperature', unitChoice());
  if (path === 'running' || path.startsWith('minutes')) return `${Number(value)} min`;
  return /^\d{4}-\d\d-\d\dT/.test(String(value)) ? clock(String(value)) : String(value);
}
