// The forecast on the path that the page uses: what the Footplate asks its worker, entry by entry. Run alone: npx tsx bench/page.ts
import { engineOf } from '../src/core/plan';
import { patterns } from '../src/core/engine';
import type { Entry } from '../src/core/log';
import { timeOrderedId } from '../src/core/log/id';
import { compose } from '../src/core/procedure';
import { psi } from '../src/core/units';
import { begin, footing } from '../src/workers/footing';

export interface Paths {
  readonly raising: number[];
  readonly running: number[];
}

/** ms an update took, for each of the last 400 of so many readings: a slow raise read each second, and a day in steam. */
export function pagePath(readings: number): Paths {
  const out: Paths = { raising: [], running: [] };
  for (const state of ['raising', 'running'] as const) {
    const { fitOut } = patterns.find((p) => p.fitOut.name === 'Marsh Hen')!;
    const known = { fitOut, fits: [], offs: [], used: [] };
    const context = { fitOut, procedure: compose(fitOut), keeper: 'Wenna Thrale' };
    const t0 = 1.7e12;
    // Raised slowly enough that it is still being raised at the last reading; or up at the start and then read for hours.
    const step = state === 'raising' ? 1500 : 12_000;
    let n = 0;
    const entry = (at: number, kind: string, body: object) =>
      ({
        id: timeOrderedId(
          at,
          Uint8Array.from({ length: 10 }, (_, i) => (++n >> ((i % 4) * 8)) % 256)
        ),
        at: new Date(at).toISOString(),
        kind,
        body,
        by: 'Wenna Thrale',
        source: 'person'
      }) as Entry;
    const plan = {
      wants: [{ what: 'first train', at: new Date(t0 + 90 * 60_000).toISOString() }],
      end: null,
      people: [{ name: 'Wenna Thrale', as: 'keeper' as const, from: null }],
      water: 284,
      air: 286,
      running: 120,
      tests: [],
      minutes: {},
      without: [],
      packed: []
    };
    begin({ id: state, context, known, plan }, engineOf(known));
    const first = [entry(t0 - 1000, 'reading', { glass: 0.4, glassAt: 0, temperature: 286 }), entry(t0, 'fire', { act: 'light' })];
    footing({ id: state, added: first, now: t0 });
    for (let i = 1; i <= readings; i++) {
      const at = t0 + i * step;
      const pressure = state === 'raising' ? psi(Math.max(0, (85 * (i - readings / 2)) / readings)) : psi(Math.min(98, i));
      const e = entry(at, 'reading', { pressure, ...(i % 6 ? {} : { glass: 0.6 - (0.1 * (i % 60)) / 60, glassAt: pressure }) });
      const from = performance.now();
      footing({ id: state, added: [e], now: at });
      if (i > readings - 400) out[state].push(performance.now() - from);
    }
  }
  return out;
}

export const quantile = (list: readonly number[], q: number) => [...list].sort((a, b) => a - b)[Math.floor(q * list.length)]!;
if (process.argv[1]?.endsWith('bench/page.ts')) {
  const { raising, running } = pagePath(2200);
  for (const [what, list] of Object.entries({ raising, running }))
    console.log(`${what}, 2,200 readings: ${quantile(list, 0.5).toFixed(2)} ms, p95 ${quantile(list, 0.95).toFixed(2)} ms`);
}
