import { describe, expect, it } from 'vitest';
import { tell } from '../../demo/story';
import { patterns } from '../../src/core/engine';
import { toldBy, watching } from '../../src/core/watch';

const t0 = Date.parse('2026-06-13T10:00:00.000Z');
/** Told once in each run of an engine that nothing feeds, whatever is the matter. */
const ofTheClock: ReadonlySet<string> = new Set(['half', 'two minutes']);
/** The demo’s keepers do a step to its end before they look again: they are nagged for it, as they would be. */
const ofTheirHabit: ReadonlySet<string> = new Set(['glance']);

describe('ordinary steamings', () => {
  it('an alarm comes less than once a quarter of an hour, and never "act now"', () => {
    for (const { fitOut: f } of patterns) {
      let [hours, looks] = [0, 0];
      for (let seed = 1; seed <= 3; seed++) {
        const log = tell(f, { seed, keeper: 'Wenna', begins: t0, running: 45 });
        const raised = toldBy(watching(log), Date.parse(log.state.endedAt!)).filter((t) => t.is === 'raised' || t.is === 'worse');
        expect(raised.filter((t) => t.rank === 'act now')).toEqual([]);
        looks += raised.filter((t) => t.rank === 'look' && !ofTheClock.has(t.key) && !ofTheirHabit.has(t.key)).length;
        const { litAt, outAt } = log.state.fire;
        hours += (Date.parse(outAt!) - Date.parse(litAt!)) / 3.6e6;
      }
      expect(looks / hours, f.name).toBeLessThan(4);
    }
  });
});
