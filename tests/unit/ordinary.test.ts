import { describe, expect, it } from 'vitest';
import { tell } from '../../demo/story';
import { patterns } from '../../src/core/engine';
import { add, fold } from '../../src/core/log';
import { warnings } from '../../src/core/watch';

const t0 = Date.parse('2026-06-13T10:00:00.000Z');

describe('ordinary steamings', () => {
  it('an alarm comes less than once a quarter of an hour, and never "act now"', () => {
    for (const { fitOut: f } of patterns) {
      let [hours, begun] = [0, 0];
      for (let seed = 1; seed <= 3; seed++) {
        const told = tell(f, { seed, keeper: 'Wenna', begins: t0, running: 45 });
        let log = fold(told.context, []);
        let standing = new Set<string>();
        for (const e of told.entries) {
          log = add(log, e);
          // That half of a run’s time is gone, and all but two minutes, is told once in each run, whatever is the matter.
          const now = warnings(f, log.state, Date.parse(e.at)).filter((w) => w.key !== 'half' && w.key !== 'two minutes');
          expect(now.filter((w) => w.rank === 'act now')).toEqual([]);
          begun += now.filter((w) => !standing.has(w.key)).length;
          standing = new Set(now.map((w) => w.key));
        }
        const { litAt, outAt } = log.state.fire;
        hours += (Date.parse(outAt!) - Date.parse(litAt!)) / 3.6e6;
      }
      expect(begun / hours, f.name).toBeLessThan(4);
    }
  });
});
