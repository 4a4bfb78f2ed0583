// Says whether worksheets and signatures stand as they were written, in the database or in a club's archive: joram verify [FILE].
import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { unzipSync } from 'fflate';
import postgres from 'postgres';
import { broken, type Link, sheetOf } from '../src/core/proof';

const [file = ''] = process.argv.slice(2);
const sum = (text: string) => createHash('sha256').update(text, 'utf8').digest('hex');
type Row = Link & { readonly club: string };

/** What a link is, for whoever has to look at it: as far as its text can still be read. */
function named({ id, document }: Link): string {
  try {
    const d = JSON.parse(document) as { kind: string; sheet?: string; engine?: { name: string }; at: string; by: string };
    const what =
      d.kind === 'signature' ? 'The signature' : `${sheetOf(d.sheet ?? '')?.name ?? 'The worksheet'} of ${d.engine?.name ?? 'an engine'}`;
    return `${what}, ${d.at.slice(0, 10)}, by ${d.by} (${id})`;
  } catch {
    return `The one with the number ${id}, which cannot be read any more`;
  }
}

async function fromDatabase(): Promise<Row[]> {
  const sql = postgres(process.env.JORAM_VERIFY_URL!, { max: 1, onnotice: () => {} });
  try {
    return await sql<
      Row[]
    >`select c.name as club, p.proof_id as id, p.document, p.previous, p.hash from proof p join club c using (club_id) order by c.name, p.club_id, p.seq`;
  } finally {
    await sql.end();
  }
}

function fromFile(): Row[] {
  const files = unzipSync(readFileSync(file));
  const text = (name: string) => new TextDecoder().decode(files[name] ?? new Uint8Array());
  const { club } = JSON.parse(text('manifest.json')) as { club: string };
  return text('proof.jsonl')
    .split('\n')
    .filter(Boolean)
    .map((line, i) => {
      try {
        const row = JSON.parse(line) as { proof_id: string; document: string; previous: string; hash: string };
        return { club, id: row.proof_id, document: row.document, previous: row.previous, hash: row.hash };
      } catch {
        return { club, id: `line ${i + 1} of proof.jsonl`, document: '', previous: '', hash: '' };
      }
    });
}

try {
  const rows = file ? fromFile() : await fromDatabase();
  let wrong = 0;
  for (const club of new Set(rows.map((r) => r.club))) {
    const links = rows.filter((r) => r.club === club);
    const found = broken(links, sum);
    wrong += found.length;
    for (const { id, why } of found) console.log(`${club}: ${named(links.find((l) => l.id === id)!)}: ${why}.`);
    if (!found.length) console.log(`${club}: ${links.length} worksheets and signatures, each as it was written.`);
  }
  if (!rows.length) console.log('There are no worksheets.');
  if (wrong) process.exitCode = 3;
} catch (problem) {
  console.error(`${file || 'The database'} cannot be read: ${(problem as Error).message}.`);
  process.exitCode = 3;
}
