// How fast it is, on the machine it runs on: printed as a table. Run by hand with `npm run bench`; nothing here is a test.
import { Agent, request } from 'node:http';
import { gzipSync } from 'node:zlib';
import postgres from 'postgres';
import { tell } from '../demo/story';
import { plantOf, raise, usualFill } from '../src/core/boiler';
import { classHeating } from '../src/core/forecast';
import { learn } from '../src/core/learn';
import { type DayPlan, planRaise, together } from '../src/core/plan';
import { patterns } from '../src/core/engine';
import { add, type Entry, fold, quickLine } from '../src/core/log';
import { timeOrderedId } from '../src/core/log/id';
import { compose } from '../src/core/procedure';
import { saturationAt } from '../src/core/steam';
import { psi, usualUnits } from '../src/core/units';
import { due } from '../src/core/watch';
import { as, url } from '../tests/unit/client';
import { launch, signInAs } from '../tools/browser';
import { forecastTable } from './forecast';
import { numbers, pastOfOne, recoveryTable } from './learning';
import { pagePath, quantile } from './page';

const rows: { what: string; measured: string; aim: string }[] = [];
const row = (what: string, measured: string, aim = '') => rows.push({ what, measured, aim });
const ms = (x: number) => (x < 1 ? `${(x * 1000).toFixed(0)} µs` : `${x.toFixed(1)} ms`);

/** The middle and the 95th percentile of many runs, ms. */
async function spread(times: number, work: (i: number) => unknown): Promise<{ middle: number; p95: number }> {
  const taken: number[] = [];
  for (let i = 0; i < times; i++) {
    const from = performance.now();
    await work(i);
    taken.push(performance.now() - from);
  }
  taken.sort((a, b) => a - b);
  return { middle: taken[Math.floor(times / 2)]!, p95: taken[Math.floor(times * 0.95)]! };
}
const both = ({ middle, p95 }: { middle: number; p95: number }) => `${ms(middle)}, p95 ${ms(p95)}`;

let count = 0;
const id = () =>
  timeOrderedId(
    Date.now(),
    Uint8Array.from({ length: 10 }, (_, i) => (++count >> ((i % 4) * 8)) % 256)
  );

// The core.
const { fitOut } = patterns[0]!;
const context = { fitOut, procedure: compose(fitOut), keeper: 'Wenna Thrale' };
const entry = (i: number): Entry => ({
  id: id(),
  kind: 'reading',
  at: new Date(1.7e12 + i * 20_000).toISOString(),
  by: 'Wenna Thrale',
  source: 'person',
  body: { pressure: psi(60 + (i % 40)), glass: 0.5, glassAt: psi(60) }
});
const entries = Array.from({ length: 2000 }, (_, i) => entry(i));
row('fold of 2,000 entries', both(await spread(40, () => fold(context, entries))));
const log = fold(context, entries);
for (const [state, list] of Object.entries(pagePath(2200)))
  row(
    `forecast as the Footplate asks for it, ${state}, 2,200 readings`,
    both({ middle: quantile(list, 0.5), p95: quantile(list, 0.95) }),
    'p95 < 5 ms'
  );
row('one entry added at the end of 2,000', both(await spread(400, (i) => add(log, entry(3000 + i)))));
row(
  'one entry that arrives late, in the middle',
  both(await spread(100, (i) => add(log, { ...entry(1000), id: id(), at: new Date(1.7e12 + 1000 * 20_000 + i).toISOString() })))
);
row('what is due, 85 steps', both(await spread(400, () => due(context.procedure, log.state, 1.7e12))));
row(
  'quick line read',
  both(await spread(400, () => quickLine('65 1/2 coal, injector on', { fitOut, state: log.state, units: usualUnits, now: 1.7e12 })))
);
const calls = 100_000;
const steam = await spread(3, () => {
  for (let i = 0; i < calls; i++) saturationAt(300 + (i % 300));
});
row('IF97: saturation with both phases, a second', `${Math.round((calls / steam.middle) * 1000).toLocaleString('en')}`);
row(
  'a whole steaming told and folded (demo)',
  both(await spread(5, (i) => tell(fitOut, { seed: i + 1, keeper: 'Wenna Thrale', begins: 1.7e12, running: 90 })))
);

// The boiler, its forecast and what is learned of it.
{
  const plant = plantOf(fitOut);
  const water = usualFill(fitOut, plant);
  for (const dt of [1, 2]) {
    const one = await spread(7, () => raise(plant, { water, T: 288.15 }, {}, { dt }));
    const seconds = raise(plant, { water, T: 288.15 }, {}, { dt }).end.time;
    row(
      `simulated seconds a second, a raising of Marsh Hen, ${dt} s steps`,
      Math.round((seconds / one.middle) * 1000).toLocaleString('en'),
      'over 200,000'
    );
  }
  for (const r of forecastTable(Number(process.env.JORAM_RAISINGS ?? 200))) {
    row(`forecast, error at ¼ ½ ¾ and band: ${r.name}`, r.cells.join('; '), 'solid 1.3, 0.9, 0.4 min');
    row(`  band holds, and one update`, `${Math.round(r.covered * 100)} %, ${ms(r.took)}`, '75 to 88 %, under 5 ms');
  }
  const one = pastOfOne(fitOut, 5, 12);
  const nothing = { leftOut: [], chapters: [] };
  learn(fitOut, one.told, nothing);
  row('learning from 12 raisings, read anew', ms((await spread(5, () => learn(fitOut, one.told, nothing))).middle), 'under 2 s');
  for (const r of recoveryTable(Number(process.env.JORAM_ENGINES ?? 20)))
    row(
      `known ${r.figure} got back from ${numbers.join(', ')} raisings: ${r.name}`,
      numbers
        .map((_, i) => `off ${r.off[i]!.toFixed(1)} % (says ±${r.spread[i]!.toFixed(1)} %, holds ${Math.round(r.held[i]! * 100)} %)`)
        .join('; ')
    );
  const hands = [
    'Wenna Thrale',
    'Jory Quillfeather',
    'Corrin Sallow',
    'Tamsel Bewick-Drane',
    'Hesper Vane-Oddie',
    'Pim Larkwater',
    'Bran Oxlode',
    'Elowen Stook'
  ];
  const several = patterns.slice(0, 6).map((p, i) => {
    const at = new Date(Date.UTC(2026, 5, 13, 11 + Math.floor(i / 3), 20 * (i % 3))).toISOString();
    const plan: DayPlan = {
      wants: [{ what: 'train', at }],
      end: null,
      people: hands.map((name, h) => ({ name, as: h === i ? 'keeper' : 'helper', from: null })),
      water: 284,
      air: 287,
      running: 120,
      tests: [],
      minutes: {},
      without: [],
      packed: []
    };
    const plant = plantOf(p.fitOut);
    const heating = classHeating(p.fitOut, plant, { water: usualFill(p.fitOut, plant), T: 288.15 });
    return { id: p.key, name: p.fitOut.name, fitOut: p.fitOut, procedure: compose(p.fitOut), plan, plant, heating };
  });
  row(
    'day sheet for 6 engines and 8 people, with their raises',
    both(
      await spread(15, () =>
        together(
          several.map((e) => ({ ...e, plain: true, raise: planRaise(e.fitOut, e.procedure, e.plant, e.heating, e.plan) })),
          4
        )
      )
    ),
    'under 300 ms'
  );
}

// End to end, on the demo's database and the built application.
if (url) {
  const owner = await as('wenna');
  const steaming = /\/footplate\/([0-9a-f-]{36})/.exec((await owner.get('/')).body as string)![1]!;
  // First load of the Footplate, in a browser that has nothing yet.
  const browser = await launch();
  const page = await (await browser.newContext({ viewport: { width: 390, height: 844 }, serviceWorkers: 'block' })).newPage();
  await signInAs(page, url, 'wenna');
  const fresh = await (
    await browser.newContext({
      viewport: { width: 390, height: 844 },
      serviceWorkers: 'block',
      storageState: await page.context().storageState()
    })
  ).newPage();
  const sizes = { script: 0, style: 0, chart: 0 };
  let live = 0;
  const from = performance.now();
  fresh.on('request', (r) => {
    if (r.url().includes('/live')) live ||= performance.now() - from;
  });
  const bodies: Promise<void>[] = [];
  fresh.on('response', (response) => {
    const type = response.request().resourceType();
    if (type !== 'script' && type !== 'stylesheet') return;
    bodies.push(
      response.body().then((body) => {
        const size = gzipSync(body).length / 1000;
        if (type === 'stylesheet') sizes.style += size;
        else if (/zrender|echarts/.test(body.toString())) sizes.chart += size;
        else sizes.script += size;
      })
    );
  });
  await fresh.goto(`${url}/footplate/${steaming}`);
  await fresh.locator('.trend svg').waitFor();
  await Promise.all(bodies);
  row('Footplate, first load: script before the chart (gzip)', `${sizes.script.toFixed(0)} kB`, 'under 220 kB');
  row('Footplate, first load: the chart (gzip), after', `${sizes.chart.toFixed(0)} kB`);
  row('Footplate, first load: styles (gzip)', `${sizes.style.toFixed(0)} kB`);
  row('Footplate, first load: until it takes a reading', ms(live));
  await browser.close();

  const sent = () => ({ id: id(), kind: 'reading', at: new Date().toISOString(), body: { pressure: psi(60) } });
  const path = `/api/steamings/${steaming}/entries`;
  // One connection kept open and a client that does nothing else: what is timed is the server.
  const agent = new Agent({ keepAlive: true, maxSockets: 1 });
  const post = (body: unknown) =>
    new Promise<void>((done, fail) => {
      const text = JSON.stringify(body);
      const headers = { cookie: owner.cookie, 'content-type': 'application/json', 'content-length': Buffer.byteLength(text) };
      request(`${url}${path}`, { method: 'POST', agent, headers }, (answer) => answer.resume().on('end', done))
        .on('error', fail)
        .end(text);
    });
  await spread(100, () => post(sent()));
  row('POST of one entry', both(await spread(500, () => post(sent()))), 'p95 under 10 ms');
  row('POST of a batch of 500', both(await spread(15, () => owner.post(path, { entries: Array.from({ length: 500 }, sent) }))));

  // A big club: fifty engines and two thousand past steamings.
  const sql = postgres(process.env.JORAM_TEST_ADMIN_URL!, { max: 1, onnotice: () => {} });
  const [club] = await sql`select club_id from member where sign_in = 'idony'`;
  const [member] = await sql`select member_id from member where sign_in = 'idony'`;
  for (let e = 0; e < 50; e++) {
    const engine = id();
    const like = patterns[e % patterns.length]!.fitOut;
    await sql`insert into engine (club_id, engine_id, name, fit_out) values (${club!.club_id}, ${engine}, ${`${like.name} ${e}`}, ${sql.json(like as never)})`;
    await sql`insert into paper (club_id, paper_id, engine_id, kind, issued, expires) select ${club!.club_id}, gen_random_uuid(), ${engine}, k, '2026-01-01', '2027-01-01' from unnest(array['Boiler certificate', 'Insurance']) k`;
    await sql`insert into fault (club_id, fault_id, engine_id, text, forbids, raised_at, raised_by) select ${club!.club_id}, gen_random_uuid(), ${engine}, 'A weep', 'nothing', now(), 'x' from generate_series(1, 3)`;
    await sql`insert into steaming (club_id, steaming_id, engine_id, keeper_id, started_at, ended_at, fit_out, procedure, summary)
      select ${club!.club_id}, gen_random_uuid(), ${engine}, ${member!.member_id}, now() - n * interval '9 days', now() - n * interval '9 days' + interval '4 hours', ${sql.json(like as never)}, ${sql.json(context.procedure as never)}, '{}' from generate_series(1, 40) n`;
  }
  await sql`analyze`;
  await sql.end();
  const big = await as('idony');
  await spread(10, () => big.get('/'));
  row('Yard, 50 engines and 2,000 past steamings, whole page', both(await spread(60, () => big.get('/'))), 'under 60 ms');
  row('Logbook of 2,000, first page', both(await spread(40, () => big.get('/logbook'))));
}

const wide = Math.max(...rows.map((r) => r.what.length));
const mid = Math.max(...rows.map((r) => r.measured.length));
for (const r of rows) console.log(`${r.what.padEnd(wide)}  ${r.measured.padStart(mid)}  ${r.aim}`);
