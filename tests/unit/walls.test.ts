import postgres from 'postgres';
import { afterAll, describe, expect, it } from 'vitest';

const [adminUrl, appUrl] = [process.env.JORAM_TEST_ADMIN_URL, process.env.JORAM_TEST_APP_URL];
const options = { max: 1, onnotice: () => {} };

describe.skipIf(!adminUrl || !appUrl)('row-level security, under the role that serves', () => {
  const admin = postgres(adminUrl ?? '', options);
  const app = postgres(appUrl ?? '', options);
  afterAll(() => Promise.all([admin.end(), app.end()]));

  const clubs = admin<{ club_id: string; name: string }[]>`select club_id, name from club order by created_at`;
  const tables = admin<{ name: string }[]>`
    select c.table_name as name from information_schema.columns c join information_schema.tables t using (table_schema, table_name)
    where c.table_schema = 'public' and c.column_name = 'club_id' and t.table_type = 'BASE TABLE' order by 1`;

  const asClub = <T>(club: string | undefined, work: (tx: postgres.TransactionSql) => Promise<T>) =>
    app.begin(async (tx) => {
      if (club) await tx`select set_config('joram.club', ${club}, true)`;
      return work(tx);
    });

  it('the role cannot bypass it, and no table is left out', async () => {
    const [role] = await app`select rolsuper, rolbypassrls from pg_roles where rolname = current_user`;
    expect(role).toEqual({ rolsuper: false, rolbypassrls: false });
    const bare =
      await admin`select relname from pg_class where relkind = 'r' and relnamespace = 'public'::regnamespace and not relrowsecurity`;
    // None of them holds anything of a club.
    expect(bare.map((r) => r.relname).sort()).toEqual(['house', 'migration', 'try_limit']);
    await expect(app`select * from migration`).rejects.toThrow(/permission denied/);
  });

  it('every table, as another club or as none: nothing is read', async () => {
    const [ours, theirs] = await clubs;
    const names = (await tables).map((t) => t.name);
    expect(names).toEqual([
      'audit',
      'build_entry',
      'club',
      'engine',
      'entry',
      'fault',
      'fault_entry',
      'fit_out_version',
      'invitation',
      'kept_figure',
      'member',
      'paper',
      'photo',
      'proof',
      'reset',
      'rules',
      'session',
      'steaming',
      'work'
    ]);
    for (const name of names) {
      const count = async (club: string | undefined) =>
        (await asClub(club, (tx) => tx`select count(*)::int as n from ${tx(name)} where club_id = ${ours!.club_id}`))[0]!.n as number;
      // The table has something of ours to find (invitations and the like are made later), which only we find.
      if (
        ![
          'audit',
          'build_entry',
          'fit_out_version',
          'invitation',
          'kept_figure',
          'photo',
          'proof',
          'reset',
          'rules',
          'session',
          'work'
        ].includes(name)
      )
        expect(await count(ours!.club_id), name).toBeGreaterThan(0);
      expect(await count(theirs!.club_id), name).toBe(0);
      expect(await count(undefined), name).toBe(0);
    }
  });

  it('every table, as another club: nothing is written, moved or removed', async () => {
    const [ours, theirs] = await clubs;
    for (const { name } of await tables) {
      const [before] = await admin`select count(*)::int as n from ${admin(name)} where club_id = ${ours!.club_id}`;
      // A row of ours, offered back by another club under our id.
      const [row] = await admin`select * from ${admin(name)} where club_id = ${ours!.club_id} limit 1`;
      if (row) {
        const columns = Object.keys(row).filter((k) => !['seq', 'audit_id'].includes(k));
        await expect(
          asClub(theirs!.club_id, (tx) => tx`insert into ${tx(name)} ${tx(row as Record<string, never>, ...columns)}`),
          name
        ).rejects.toThrow(/row-level security|permission denied/);
      }
      for (const change of ['update', 'delete'] as const)
        await asClub(theirs!.club_id, async (tx) => {
          const { count } =
            change === 'update'
              ? await tx`update ${tx(name)} set club_id = ${theirs!.club_id} where club_id = ${ours!.club_id}`
              : await tx`delete from ${tx(name)} where club_id = ${ours!.club_id}`;
          expect(count, `${change} ${name}`).toBe(0);
        }).catch((error: Error) => expect(error.message, `${change} ${name}`).toMatch(/permission denied/));
      expect((await admin`select count(*)::int as n from ${admin(name)} where club_id = ${ours!.club_id}`)[0], name).toEqual(before);
    }
  });

  it('our own log cannot be changed or removed either', async () => {
    const [ours] = await clubs;
    await expect(asClub(ours!.club_id, (tx) => tx`update entry set body = '{}'`)).rejects.toThrow(/permission denied/);
    await expect(asClub(ours!.club_id, (tx) => tx`delete from entry`)).rejects.toThrow(/permission denied/);
    await expect(asClub(ours!.club_id, (tx) => tx`update fault_entry set body = '{}'`)).rejects.toThrow(/permission denied/);
    await expect(asClub(ours!.club_id, (tx) => tx`delete from fault_entry`)).rejects.toThrow(/permission denied/);
  });
});
