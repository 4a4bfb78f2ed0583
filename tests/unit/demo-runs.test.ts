import { describe, expect, it } from 'vitest';
import { tell } from '../../demo/story';
import { patterns } from '../../src/core/engine';
import { runsTold } from '../../src/core/log';
import { isTimed } from '../../src/core/sums';
import { warnings } from '../../src/core/watch';

/** The demo’s own past of engines that nothing feeds: it ends as an interface would have let it end, each run in its time. */
describe('the demo obeys what is timed', () => {
  it.each(patterns.filter((p) => isTimed(p.fitOut)).map((p) => [p.fitOut.name, p.fitOut] as const))('%s', (_, fitOut) => {
    for (const seed of [3, 8]) {
      const log = tell(fitOut, { seed, keeper: 'Jory Quillfeather', begins: Date.parse('2026-06-13T09:00:00.000Z'), running: 20, runs: 2 });
      const runs = runsTold(log);
      expect(log.state.endedAt).toBeDefined();
      expect(runs.length).toBe(2);
      expect(runs.flatMap((r) => (r.late || r.refused ? [r] : []))).toEqual([]);
      if (!fitOut.glasses.length) expect(runs[0]!.run.left! * 1000).toBeGreaterThan(runs[0]!.stop!.floor.value);
      expect(warnings(log, Date.parse(log.state.endedAt!))).toEqual([]);
    }
  });
});
