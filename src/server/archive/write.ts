import { table } from '$core/formats';
import { createHash } from 'node:crypto';
import { zipSync } from 'fflate';
import type { Tx } from '../sql/json';
import { archiveFormat, type Manifest, parts } from './tables';

/** The rows of each table of a club, each as the JSON that PostgreSQL writes of it: no number goes through another's hands. */
export type ClubRows = Readonly<Record<string, readonly string[]>>;

/** Everything that a club has, in one moment when the transaction is of one. */
export async function rowsOf(tx: Tx, club: string): Promise<ClubRows> {
  await tx`set local timezone to 'UTC'`;
  const rows: Record<string, string[]> = {};
  for (const { table: name, order, without } of parts) {
    const found = await tx<{ row: string }[]>`select (to_jsonb(t) - ${without as string[]}::text[])::text as row from ${tx(name)} t
      where club_id = ${club} order by ${tx.unsafe(order)}`;
    rows[name] = found.map((f) => f.row);
  }
  return rows;
}

/** What a program reads as a table that a person reads. What is made of parts stands there as JSON. */
function sheet(lines: readonly string[]): string {
  const rows = lines.map((line) => JSON.parse(line) as Record<string, unknown>);
  const columns = Object.keys(rows[0] ?? {}).sort();
  const cell = (value: unknown) =>
    value === null || value === undefined ? '' : typeof value === 'object' ? JSON.stringify(value) : String(value);
  return table([columns, ...rows.map((row) => columns.map((c) => cell(row[c])))]);
}

/**
 * A club whole, as one open archive: a zip of JSON lines and of the same as CSV, with the sum of each in `manifest.json`. It depends on
 * what the club has and on nothing else: brought in elsewhere and written again it is the same, byte for byte.
 */
export function archiveOf(rows: ClubRows): Uint8Array<ArrayBuffer> {
  const text = new TextEncoder();
  const files: Record<string, Uint8Array> = {};
  const said: Record<string, Manifest['files'][string]> = {};
  for (const { table: name } of parts)
    for (const [path, made] of [
      [`${name}.jsonl`, rows[name]!.map((line) => `${line}\n`).join('')],
      [`csv/${name}.csv`, sheet(rows[name]!)]
    ] as const) {
      files[path] = text.encode(made);
      said[path] = { rows: rows[name]!.length, sha256: createHash('sha256').update(made).digest('hex') };
    }
  const { name: club } = JSON.parse(rows.club![0]!) as { name: string };
  const manifest: Manifest = { format: archiveFormat, club, files: said };
  // Without the hour at which it was made, which would make two of one club differ.
  const mtime = new Date(Date.UTC(2000, 0, 1, 12));
  return new Uint8Array(zipSync({ 'manifest.json': text.encode(`${JSON.stringify(manifest, null, 1)}\n`), ...files }, { mtime, level: 6 }));
}
