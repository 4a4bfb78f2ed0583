// Remakes what older code derived from logs and plans: joram derive. What today's code made is left alone; --all remakes everything.
import postgres from 'postgres';
import { derivedVersion } from '../src/core/learn';
import { settle } from '../src/server/sql/derived';
import { derivePlan, knownIn, planIn, type PlanRow, planRows } from '../src/server/sql/plan';

const url = process.env.JORAM_DERIVE_URL;
if (!url) throw new Error('JORAM_DERIVE_URL is not set: run ./joram derive.');
const sql = postgres(url, { max: 1, onnotice: () => {}, transform: { column: { from: postgres.toCamel, to: postgres.fromCamel } } });
const before = process.argv.includes('--all') ? derivedVersion + 1 : derivedVersion;

// Oldest first: what an engine had shown before a day is remade before what that day was expected to be.
const ended = await sql<{ clubId: string; id: string }[]>`
  select club_id, steaming_id as id from steaming where ended_at is not null and thrown_away is null and derived < ${before}
  order by club_id, engine_id, started_at, steaming_id`;
for (const { clubId, id } of ended) await sql.begin((tx) => settle(tx, clubId, id));

const planned = await sql<{ clubId: string; id: string }[]>`
  select club_id, steaming_id as id from steaming where plan is not null and started_at is null and cancelled_at is null and derived < ${before}
  order by club_id, wanted_at, steaming_id`;
for (const { clubId, id } of planned)
  await sql.begin(async (tx) => {
    const [row] = await tx<PlanRow[]>`${planRows(tx)} where s.club_id = ${clubId} and s.steaming_id = ${id}`;
    const of = row && (await knownIn(tx, clubId, row.engineId));
    if (of) await derivePlan(tx, clubId, id, of, planIn(row).plan);
  });

console.log(`${ended.length} records and ${planned.length} plans remade.`);
await sql.end();
