import { execFileSync } from 'node:child_process';
import postgres from 'postgres';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { patterns } from '../../src/core/engine';
import { derivedVersion } from '../../src/core/learn';
import { timeOrderedId } from '../../src/core/log/id';
import { as, url as base } from './client';

const url = process.env.JORAM_TEST_ADMIN_URL;

/** What is derived from logs, as it stands in the data base. */
describe.skipIf(!url)('joram derive', () => {
  let sql: postgres.Sql;
  beforeAll(() => {
    sql = postgres(url!, { max: 1 });
  });
  afterAll(() => sql.end());
  const run = (...args: string[]) =>
    execFileSync(process.execPath, ['--import', 'tsx', 'tools/derive.ts', ...args], {
      env: { ...process.env, JORAM_DERIVE_URL: url },
      encoding: 'utf8'
    });
  // Records of the demo's past: no other test changes those.
  const kept = (ids?: readonly string[]) => sql<{ steaming_id: string; summary: unknown; raised: unknown }[]>`
    select steaming_id, summary, raised from steaming join engine using (club_id, engine_id)
    where ended_at < now() - interval '12 hours' and imported_from is null ${ids ? sql`and steaming_id in ${sql(ids as string[])}` : sql``} order by started_at, steaming_id limit 12`;

  it('remakes what older code made, to the last digit what today’s code makes, and changes nothing twice', async () => {
    const before = await kept();
    expect(before.length).toBe(12);
    const ids = before.map((r) => r.steaming_id);
    await sql`update steaming set summary = '{"raise": 1}', raised = null, derived = ${derivedVersion - 1} where steaming_id in ${sql(ids)}`;
    expect(run()).toMatch(/^(1[2-9]|[2-9]\d) records and \d+ plans remade/);
    expect(await kept(ids)).toEqual(before);
    expect(run()).toMatch(/^0 records and 0 plans remade/);
    const [{ n } = { n: -1 }] =
      await sql`select count(*)::int as n from steaming where steaming_id in ${sql(ids)} and derived <> ${derivedVersion}`;
    expect(n).toBe(0);
  });

  it.skipIf(!base)(
    'works an engine’s plans to come out anew when a steaming of it is signed, and when its past is told to count otherwise',
    async () => {
      const one = await as('idony');
      const { fitOut } = patterns.find((p) => p.fitOut.name === 'Marsh Hen')!;
      const engine = (await one.post('/api/engines', { ...fitOut, name: `Derived Hen ${Date.now() % 1e6}` })).body.id as string;
      const wants = [{ what: 'train', at: new Date(Date.now() + 9 * 864e5).toISOString() }];
      const people = [{ name: 'Hob Withy', as: 'keeper' }];
      const plan = (await one.post(`/api/engines/${engine}/plans`, { purpose: '', plan: { wants, people } })).body.id as string;
      const said = async () => (await sql`select planned from steaming where steaming_id = ${plan}`)[0]!.planned as { light: number };
      const right = await said();
      const spoil = () => sql`update steaming set planned = planned || '{"light": 1}' where steaming_id = ${plan}`;

      await spoil();
      const started = (await one.post(`/api/engines/${engine}/steamings`, { plan: null, reason: 'papers with the secretary' })).body
        .id as string;
      const sign = {
        id: timeOrderedId(Date.now(), crypto.getRandomValues(new Uint8Array(10))),
        kind: 'sign',
        at: new Date().toISOString(),
        body: { as: 'keeper', name: 'Idony Marlpit' }
      };
      await one.post(`/api/steamings/${started}/entries`, { entries: [sign] });
      expect(await said()).toEqual(right);

      await spoil();
      await one.put(`/api/engines/${engine}/learning`, { leftOut: [], chapters: [] }, 1);
      expect(await said()).toEqual(right);
    }
  );
});
