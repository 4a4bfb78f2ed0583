import { createHash } from 'node:crypto';
import { unzipSync } from 'fflate';
import type { Tx } from '../sql/json';
import { archiveFormat, type Manifest, parts } from './tables';

/** Why an archive is not taken, in a sentence. */
export class NoArchive extends Error {}
const sum = (bytes: Uint8Array) => createHash('sha256').update(bytes).digest('hex');
type Row = Record<string, unknown>;

/** The rows of an archive, by table, each file held against its sum. @throws NoArchive */
export function openArchive(bytes: Uint8Array): { manifest: Manifest; rows: ReadonlyMap<string, Row[]> } {
  const text = new TextDecoder();
  let files: Record<string, Uint8Array>;
  let manifest: Manifest;
  try {
    files = unzipSync(bytes);
    manifest = JSON.parse(text.decode(files['manifest.json'])) as Manifest;
  } catch (problem) {
    throw new NoArchive(`This is not an archive of a club: ${(problem as Error).message}.`);
  }
  if (manifest.format !== archiveFormat)
    throw new NoArchive(
      `This archive is “${String(manifest.format)}”, and this Joram reads “${archiveFormat}”: use the Joram that made it, or a newer one.`
    );
  const rows = new Map<string, Row[]>();
  for (const { table, later } of parts) {
    if (later && !manifest.files[`${table}.jsonl`]) {
      rows.set(table, []);
      continue;
    }
    const file = files[`${table}.jsonl`];
    if (!file || sum(file) !== manifest.files[`${table}.jsonl`]?.sha256)
      throw new NoArchive(`${table}.jsonl is not as it was written: its sum differs. The file was cut short or changed.`);
    const lines = text.decode(file).split('\n').filter(Boolean);
    rows.set(
      table,
      lines.map((line) => JSON.parse(line) as Row)
    );
  }
  return { manifest, rows };
}

/**
 * Brings a club in: all of it or nothing.
 * @param tx of the role that owns the tables
 * @param secret for every member, by which nobody can sign in: passwords are given anew
 * @throws NoArchive
 */
export async function readArchive(tx: Tx, bytes: Uint8Array, secret: string): Promise<Manifest> {
  const { manifest, rows } = openArchive(bytes);
  const club = String(rows.get('club')![0]?.club_id);
  await tx`set local timezone to 'UTC'`;
  const [there] = await tx`select from club where club_id = ${club}`;
  if (there) throw new NoArchive(`${manifest.club} is on this server already.`);
  for (const { table } of parts) {
    const list = table === 'member' ? rows.get(table)!.map((row) => ({ ...row, secret })) : rows.get(table)!;
    // Only what this archive has: a column that a newer Joram added begins as it does for everybody.
    const columns = Object.keys(list[0] ?? {});
    for (let i = 0; i < list.length; i += 2000)
      await tx`insert into ${tx(table)} (${tx(columns)})
        select ${tx(columns)} from jsonb_populate_recordset(null::${tx(table)}, ${tx.json(list.slice(i, i + 2000) as never)})`.catch(
        (problem: { code?: string; detail?: string; message: string }) => {
          throw new NoArchive(
            problem.code === '23505' && table === 'member'
              ? `Somebody signs in here by a name that a member of ${manifest.club} has: ${problem.detail}`
              : `${table}.jsonl cannot be taken in: ${problem.message}.`
          );
        }
      );
    const [{ n } = { n: 0 }] = await tx<{ n: number }[]>`select count(*)::int as n from ${tx(table)} where club_id = ${club}`;
    if (n !== list.length) throw new NoArchive(`${table} has ${n} rows after it was taken in, and ${list.length} before.`);
  }
  await tx`update club set brought_in_at = now(), brought_in_sum = ${sum(bytes)} where club_id = ${club}`;
  return manifest;
}
