import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { judgedAll, loadOf, loadRow, mishapRow, watched } from '../../tools/watch';
import { mishaps } from '../mishaps';

const doc = readFileSync(new URL('../../docs/watch.md', import.meta.url), 'utf8');
/** Of each mishap so many seeds, none of those that the document was made of. */
const few = 8;

describe('the alarm load', () => {
  it('healthy days: never act now, and under four an hour beside the marks of a countdown', () => {
    for (const name of watched) {
      const { acts, looks, marks, hours } = loadOf(name, 2001, 2);
      expect(acts, name).toBe(0);
      expect((looks - marks) / hours, name).toBeLessThan(4);
    }
  });
  it.each(mishaps.filter((m) => !['tank', 'lubricator'].includes(m.key)).map((m) => [m.what, m] as const))('%s', (_, m) => {
    const came = judgedAll(3001, [m], few)
      .get(m.key)!
      .filter((j) => j.came);
    expect(came.length).toBeGreaterThan(few / 2);
    expect(came.filter((j) => j.right).length).toBeGreaterThanOrEqual(came.length - 2);
    expect(came.filter((j) => j.inTime).length).toBeGreaterThanOrEqual(came.length - 2);
  });
  it('docs/watch.md is what the script prints', () => {
    expect(doc).toContain(loadRow(loadOf('Snipe', 1)));
    for (const key of ['flame', 'injector'])
      for (const m of mishaps.filter((x) => x.key === key)) expect(doc).toContain(mishapRow(m, judgedAll(1, [m]).get(key)!));
  });
});
