import { execFileSync } from 'node:child_process';
import postgres from 'postgres';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { derivedVersion } from '../../src/core/learn';

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
});
