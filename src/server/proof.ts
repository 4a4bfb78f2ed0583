import { type FitOut, fitOutOf } from '$core/engine';
import { type Before, canonical, exampleRules, linkSum, type Finding, type Rules, sheetOf, unsaid, type Verdict } from '$core/proof';
import { judge, type Judged, readRules } from '$core/proof/check';
import { isoDayIn, Refusal } from '$core/units';
import { createHash } from 'node:crypto';
import { inClub } from './database';
import { allowed, type Member } from './members';
import { json, type Tx } from './sql/json';
import { newId } from './uuid';

export const sha256 = (text: string): string => createHash('sha256').update(text, 'utf8').digest('hex');

/** A worksheet as it is kept. */
export interface Worksheet {
  format: 'joram.proof/1';
  kind: 'worksheet';
  id: string;
  club: string;
  engine: { id: string; name: string };
  sheet: string;
  at: string;
  by: string;
  /** What was written, SI. */
  body: Record<string, unknown>;
  /** The fit-out that it was judged for, and the rules it was judged by, as they were then. */
  fitOut: FitOut;
  rules: Rules & { version: number };
  findings: readonly Finding[];
  verdict: Verdict;
}
export interface Signature {
  format: 'joram.proof/1';
  kind: 'signature';
  id: string;
  /** Which worksheet, and its sum. */
  of: string;
  hash: string;
  at: string;
  by: string;
  note: string;
}
interface Row {
  id: string;
  kind: 'worksheet' | 'signature';
  engineId: string;
  document: string;
  previous: string;
  hash: string;
}

/** A document as it was written; nothing where it cannot be read any more. */
export const readDocument = <T>(text: string): T | undefined => {
  try {
    return JSON.parse(text) as T;
  } catch {
    // Somebody changed a byte of it: what is left is said to be broken, and not shown as if it were whole.
    return undefined;
  }
};

/** The rules that the club proves by now; the example while it has none. */
export const rulesOf = (club: string): Promise<Rules & { version: number; at?: Date; by?: string }> =>
  inClub(club, (tx) => rulesIn(tx, club));
async function rulesIn(tx: Tx, club: string): Promise<Rules & { version: number; at?: Date; by?: string }> {
  const [last] = await tx<{ version: number; document: Rules; at: Date; by: string }[]>`
    select version, document, at, by_name as by from rules where club_id = ${club} order by version desc limit 1`;
  return last ? { ...unsaid, ...last.document, version: last.version, at: last.at, by: last.by } : { ...exampleRules, version: 0 };
}
/** Every version, newest first. */
export const rulesBefore = (club: string) =>
  inClub(
    club,
    (tx) => tx<{ version: number; name: string; source: string; at: Date; by: string }[]>`
      select version, document->>'name' as name, document->>'source' as source, at, by_name as by from rules where club_id = ${club} order by version desc limit 50`
  );

/** A new version of the rules. @param seen the version that was edited @throws Refusal where somebody saved another meanwhile */
export const saveRules = (member: Member, written: unknown, seen: number): Promise<number> => {
  const rules = readRules(written);
  return inClub(member.club, async (tx) => {
    await tx`select pg_advisory_xact_lock(hashtextextended(${`rules ${member.club}`}, 0))`;
    const { version } = await rulesIn(tx, member.club);
    if (version !== seen)
      throw new Refusal('rules', 'Somebody saved the rules meanwhile: load them again and look at what is new.', { code: 'conflict' });
    await tx`insert into rules (club_id, version, document, by_name) values (${member.club}, ${version + 1}, ${json(tx, rules)}, ${member.name})`;
    return version + 1;
  });
};

async function engineIn(tx: Tx, club: string, id: string): Promise<{ id: string; name: string; fitOut: FitOut }> {
  const [found] = await tx<
    { id: string; name: string; fitOut: FitOut }[]
  >`select engine_id as id, name, fit_out from engine where club_id = ${club} and engine_id = ${id}`;
  if (!found) throw new Refusal('engine', 'There is no such engine.', { code: 'missing' });
  return { ...found, fitOut: fitOutOf(found.fitOut) };
}

/** What a worksheet would come to, and nothing kept. */
export const worked = (club: string, engineId: string, key: string, written: unknown): Promise<Judged> =>
  inClub(club, async (tx) => (await judgedIn(tx, club, engineId, key, written)).judged);

async function judgedIn(tx: Tx, club: string, engineId: string, key: string, written: unknown) {
  const engine = await engineIn(tx, club, engineId);
  const of = sheetOf(key);
  if (!of || !(of.when?.(engine.fitOut) ?? true))
    throw new Refusal('sheet', 'There is no such worksheet for this engine.', { code: 'missing' });
  const rules = await rulesIn(tx, club);
  return { engine, rules, judged: judge(of, written, engine.fitOut, rules, await beforeIn(tx, club, engineId, key)) };
}

/** The same worksheet as it was made the last time, where it can be read. */
async function beforeIn(tx: Tx, club: string, engineId: string, key: string): Promise<Before | undefined> {
  const [last] = await tx<{ document: string; at: Date; zone: string }[]>`
    select document, at, zone from proof join club using (club_id)
    where club_id = ${club} and engine_id = ${engineId} and kind = 'worksheet' and sheet = ${key} order by seq desc limit 1`;
  const read = last && readDocument<Worksheet>(last.document);
  return read && { day: isoDayIn(last.at, last.zone), body: read.body };
}

/** One at a time for each club: what is asked before a link is made still holds when it is. */
const alone = (tx: Tx, club: string) => tx`select pg_advisory_xact_lock(hashtextextended(${`proof ${club}`}, 0))`;

/** Adds to the chain of a club: one at a time, the sum of the last in the next. */
async function link(tx: Tx, member: Member, engineId: string, document: Worksheet | Signature): Promise<void> {
  const { club } = member;
  await alone(tx, club);
  const [last] = await tx<{ hash: string }[]>`select hash from proof where club_id = ${club} order by seq desc limit 1`;
  const [text, previous] = [canonical(document), last?.hash ?? ''];
  await tx`insert into proof (club_id, proof_id, engine_id, kind, at, by_name, sheet, verdict, of_id, document, previous, hash)
    values (${club}, ${document.id}, ${engineId}, ${document.kind}, ${document.at}, ${member.name}, ${document.kind === 'worksheet' ? document.sheet : null}, ${document.kind === 'worksheet' ? document.verdict : null}, ${document.kind === 'signature' ? document.of : null}, ${text}, ${previous}, ${linkSum(previous, text, sha256)})`;
}

/** Keeps a worksheet with what it came to. @returns which it is @throws Refusal at the field that cannot be */
export const keepWorksheet = (member: Member, engineId: string, key: string, written: unknown): Promise<string> =>
  inClub(member.club, async (tx) => {
    const { engine, rules, judged } = await judgedIn(tx, member.club, engineId, key, written);
    const { at: _, by: __, ...kept } = rules;
    const id = newId();
    await link(tx, member, engineId, {
      format: 'joram.proof/1',
      kind: 'worksheet',
      id,
      club: member.club,
      engine: { id: engine.id, name: engine.name },
      sheet: key,
      at: new Date().toISOString(),
      by: member.name,
      body: judged.body,
      fitOut: engine.fitOut,
      rules: kept,
      findings: judged.findings,
      verdict: judged.verdict
    });
    return id;
  });

/** The examiner’s signature under a worksheet as it stands: their own name, and the sum of its text. */
export const signWorksheet = (member: Member, id: string, note: string): Promise<void> =>
  inClub(member.club, async (tx) => {
    if (!allowed(member, 'sign as examiner'))
      throw new Refusal('sign', 'Only a member who is the boiler examiner signs a worksheet, under their own name.', { code: 'forbidden' });
    if (!note.trim()) throw new Refusal('note', 'Say what was witnessed, and what is left to do.');
    await alone(tx, member.club);
    const [row] = await tx<
      Row[]
    >`select proof_id as id, kind, engine_id, document, previous, hash from proof where club_id = ${member.club} and proof_id = ${id} and kind = 'worksheet'`;
    if (!row) throw new Refusal('worksheet', 'There is no such worksheet.', { code: 'missing' });
    if (readDocument<Worksheet>(row.document)?.rules.version === 0)
      throw new Refusal('sign', 'It was judged by the example, which is nobody’s rule: write down the club’s rules, and make it anew.', {
        code: 'conflict'
      });
    const [by] = await tx<{ by: string }[]>`select by_name as by from proof where club_id = ${member.club} and of_id = ${id}`;
    if (by) throw new Refusal('sign', `It has been signed already, by ${by.by}.`, { code: 'conflict' });
    await link(tx, member, row.engineId, {
      format: 'joram.proof/1',
      kind: 'signature',
      id: newId(),
      of: id,
      hash: row.hash,
      at: new Date().toISOString(),
      by: member.name,
      note: note.trim()
    });
  });

const intact = (row: Row) => linkSum(row.previous, row.document, sha256) === row.hash;

export interface Shown {
  /** Undefined where its text cannot be read any more. */
  sheet: Worksheet | undefined;
  hash: string;
  signature: Signature | undefined;
  /** Its text, or that of its signature, is not what was written. */
  broken: boolean;
}

/** A worksheet and its signature, and whether the two stand as they were written. */
export const worksheet = (club: string, id: string): Promise<Shown | undefined> =>
  inClub(club, async (tx) => {
    const rows = await tx<Row[]>`select proof_id as id, kind, engine_id, document, previous, hash from proof
      where club_id = ${club} and (proof_id = ${id} and kind = 'worksheet' or of_id = ${id})`;
    const row = rows.find((r) => r.kind === 'worksheet');
    if (!row) return undefined;
    const signed = rows.find((r) => r.kind === 'signature');
    const signature = signed && readDocument<Signature>(signed.document);
    return {
      sheet: readDocument<Worksheet>(row.document),
      hash: row.hash,
      signature,
      broken: !rows.every(intact) || (signed !== undefined && signature?.hash !== row.hash)
    };
  });

/** The worksheets of an engine, newest first. */
export const worksheetsOf = (club: string, engineId: string | undefined) =>
  inClub(
    club,
    (tx) => tx<{ id: string; engine: string; sheet: string; at: Date; by: string; verdict: Verdict; signedBy: string | null }[]>`
      select p.proof_id as id, e.name as engine, p.sheet, p.at, p.by_name as by,
        p.verdict,
        (select s.by_name from proof s where s.club_id = p.club_id and s.of_id = p.proof_id) as signed_by
      from proof p join engine e using (club_id, engine_id) where p.club_id = ${club} and p.kind = 'worksheet' ${engineId ? tx`and p.engine_id = ${engineId}` : tx``} order by p.seq desc limit 100`
  );
