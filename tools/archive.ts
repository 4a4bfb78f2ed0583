// Brings a club in from its archive, and writes one out: joram archive in|out.
import { readFileSync, writeFileSync } from 'node:fs';
import postgres from 'postgres';
import { NoArchive, readArchive } from '../src/server/archive/read';
import { archiveOf, rowsOf } from '../src/server/archive/write';
import { newToken, secretOf } from '../src/server/accounts/secrets';

const [way = '', file = '', name = ''] = process.argv.slice(2);
const sql = postgres(process.env.JORAM_ARCHIVE_URL!, { max: 1, onnotice: () => {} });

async function bringIn(): Promise<string> {
  const bytes = readFileSync(file);
  const secret = await secretOf(newToken());
  const manifest = await sql.begin((tx) => readArchive(tx, bytes, secret));
  const { rows } = manifest.files['entry.jsonl']!;
  return `${manifest.club} is in, with ${rows} entries. Nobody has a password here: ./joram reset-password NAME makes a link.`;
}
async function takeOut(): Promise<string> {
  const clubs = await sql<{ id: string; name: string }[]>`select club_id as id, name from club where lower(name) = lower(${name})`;
  const [club] = clubs;
  if (!club || clubs.length > 1) throw new NoArchive(`There is ${club ? 'more than one' : 'no'} club called “${name}” here.`);
  const rows = await sql.begin('isolation level repeatable read read only', (tx) => rowsOf(tx, club.id));
  writeFileSync(file, archiveOf(rows), { flag: 'wx' });
  return `${club.name} is in ${file}.`;
}
/** What the machine says of a file, in a sentence. */
const ofFiles: Record<string, string> = {
  EEXIST: `${file} is there already: give another name, or remove it first.`,
  ENOENT: `${file} is not there.`,
  EACCES: `${file} may not be read or written by this user.`
};
try {
  console.log(await (way === 'in' ? bringIn() : takeOut()));
} catch (problem) {
  const said = problem instanceof NoArchive ? problem.message : ofFiles[(problem as { code?: string }).code ?? ''];
  if (said === undefined) throw problem;
  console.error(said);
  process.exitCode = 3;
} finally {
  await sql.end();
}
