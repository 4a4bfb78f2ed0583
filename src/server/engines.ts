import { type FitOut, fitOutOf } from '$core/engine';
import { checkEngine } from '$core/sums/check';
import type { Problem } from '$core/form';
import { Refusal } from '$core/units';
import Joi from 'joi';
import { isoDay } from './answer';
import type { Member } from './members';
import { differences } from '$core/form';
import { tell } from './audit';
import { inClub } from './database';
import { json, type Tx } from './sql/json';
import { newId } from './uuid';
import { sameVersion } from './version';
import { workOf } from './work';

export interface EngineRow {
  id: string;
  name: string;
  fitOut: FitOut;
  version: number;
  retiredAt: Date | null;
}

export interface Paper {
  id: string;
  kind: string;
  number: string;
  issued: string;
  expires: string;
}

export const engine = (club: string, id: string): Promise<EngineRow | undefined> =>
  inClub(
    club,
    async (tx) =>
      (
        await tx<
          EngineRow[]
        >`select engine_id as id, name, fit_out, version, retired_at from engine where club_id = ${club} and engine_id = ${id}`
      ).map((row) => ({ ...row, fitOut: fitOutOf(row.fitOut) }))[0]
  );

/** @throws Refusal at the first of the problems, with all of them */
const refuseAll = (problems: readonly Problem[]): never => {
  throw new Refusal(problems[0]!.path || 'document', problems[0]!.sentence, { problems });
};

/** Every engine that is not retired, with its fit-out. */
export const enginesIn = async (tx: Tx, club: string): Promise<Pick<EngineRow, 'id' | 'name' | 'fitOut' | 'version'>[]> =>
  (
    await tx<
      EngineRow[]
    >`select engine_id as id, name, fit_out, version from engine where club_id = ${club} and retired_at is null order by name limit 500`
  ).map((row) => ({ ...row, fitOut: fitOutOf(row.fitOut) }));
export const enginesOf = (club: string) => inClub(club, (tx) => enginesIn(tx, club));

/**
 * Makes an engine, or changes its fit-out. A bad document changes nothing.
 * @param changed which engine, and from which version
 * @throws Refusal with every problem of the document, or with both versions when somebody else changed it meanwhile
 */
export async function saveEngine(
  member: Member,
  document: unknown,
  changed?: { id: string; from: number }
): Promise<{ id: string; version: number } | undefined> {
  const checked = checkEngine(document);
  if ('problems' in checked) return refuseAll(checked.problems);
  const { fitOut } = checked;
  const { club } = member;
  return inClub(club, async (tx) => {
    const [was] = changed
      ? await tx<{ fitOut: FitOut; version: number; by: string | null }[]>`select e.fit_out, e.version, v.by_name as by
          from engine e left join fit_out_version v using (club_id, engine_id, version)
          where e.club_id = ${club} and e.engine_id = ${changed.id} for update of e`
      : [];
    if (changed && was) sameVersion(changed.from, { version: was.version, by: was.by || null, document: fitOutOf(was.fitOut) }, fitOut);
    const [row] = changed
      ? await tx<
          { id: string; version: number }[]
        >`update engine set fit_out = ${json(tx, fitOut)}, name = ${fitOut.name}, version = version + 1
          where club_id = ${club} and engine_id = ${changed.id} returning engine_id as id, version`
      : await tx<{ id: string; version: number }[]>`insert into engine (club_id, engine_id, name, fit_out)
          values (${club}, ${newId()}, ${fitOut.name}, ${json(tx, fitOut)}) returning engine_id as id, version`;
    if (!row) return undefined;
    await tx`insert into fit_out_version (club_id, engine_id, version, fit_out, by_name)
      values (${club}, ${row.id}, ${row.version}, ${json(tx, fitOut)}, ${member.name})`;
    const changes = was ? differences(fitOutOf(was.fitOut), fitOut) : ['added'];
    if (changes.length) await tell(tx, club, member, 'fit-out changed', { engine: fitOut.name, what: changes.join('; ') });
    if (was) await workOf(tx, member, row.id, fitOutOf(was.fitOut), fitOut);
    return row;
  }).catch((error: { code?: string }) => {
    if (error.code === '23505')
      return refuseAll([{ path: 'name', sentence: `The club already has an engine called ${fitOut.name}: give this one another name.` }]);
    throw error;
  });
}

export const papersOf = (club: string, id: string) =>
  inClub(
    club,
    (tx) =>
      tx<
        Paper[]
      >`select paper_id as id, kind, number, issued, expires from paper where club_id = ${club} and engine_id = ${id} and withdrawn_at is null order by expires limit 100`
  );

/** Takes an engine out of use, or brings it back. One that is in steam is not retired. */
export const retire = (club: string, id: string, retired: boolean): Promise<boolean> =>
  inClub(
    club,
    async (tx) =>
      (
        await tx`update engine e set retired_at = ${retired ? tx`now()` : null} where club_id = ${club} and engine_id = ${id}
          and not exists (select from steaming s where s.club_id = e.club_id and s.engine_id = e.engine_id and s.started_at is not null and s.ended_at is null)`
      ).count > 0
  );

export const paperSchema = Joi.object({
  kind: Joi.string().trim().min(1).max(60).required().messages({ '*': 'Say what kind of paper it is, in at most 60 characters.' }),
  number: Joi.string().trim().allow('').max(60).default('').messages({ '*': 'A number has at most 60 characters.' }),
  issued: isoDay('Issued: give the day as 2026-06-13.').required(),
  expires: isoDay('Runs out: give the day as 2026-06-13.').required()
}).custom((paper, helpers) =>
  paper.expires < paper.issued ? helpers.message({ custom: 'It cannot run out before it was issued.' }) : paper
);

const named = ({ kind, number, expires }: Omit<Paper, 'id' | 'issued'>) => `${kind}${number ? ` ${number}` : ''}, good until ${expires}`;

export const addPaper = (member: Member, engineId: string, paper: Omit<Paper, 'id'>) =>
  inClub(member.club, async (tx) => {
    const { club } = member;
    const [engine] = await tx<{ name: string }[]>`select name from engine where club_id = ${club} and engine_id = ${engineId}`;
    if (!engine) return;
    await tx`insert into paper (club_id, paper_id, engine_id, kind, number, issued, expires)
      values (${club}, ${newId()}, ${engineId}, ${paper.kind}, ${paper.number}, ${paper.issued}, ${paper.expires})`;
    await tell(tx, club, member, 'paper added', { engine: engine.name, paper: named(paper) });
  });

export const withdrawSchema = Joi.object({
  paper: Joi.string().uuid().required(),
  why: Joi.string().trim().min(1).max(300).required().messages({ '*': 'Say why it is withdrawn, in at most 300 characters.' })
}).unknown();

/** A paper that no longer counts: it stays in the book, with who withdrew it and why. */
export const withdrawPaper = (member: Member, engineId: string, { paper, why }: { paper: string; why: string }) =>
  inClub(member.club, async (tx) => {
    const { club, name } = member;
    const [gone] = await tx<(Omit<Paper, 'id'> & { engine: string })[]>`
      update paper p set withdrawn_at = now(), withdrawn_by = ${name}, withdrawn_why = ${why} from engine e
      where p.club_id = ${club} and p.engine_id = ${engineId} and p.paper_id = ${paper} and p.withdrawn_at is null
        and e.club_id = p.club_id and e.engine_id = p.engine_id
      returning p.kind, p.number, p.issued, p.expires, e.name as engine`;
    if (!gone) throw new Refusal('paper', 'There is no such paper, or it was withdrawn already.', { code: 'missing' });
    await tell(tx, club, member, 'paper withdrawn', { engine: gone.engine, paper: named(gone), why });
  });

/** One line of the Yard. */
export interface YardLine {
  id: string;
  name: string;
  description: string;
  scale: string;
  workingPressure: number;
  openFaults: { text: string; forbids: string }[];
  papers: Pick<Paper, 'kind' | 'expires'>[];
  running: { id: string; startedAt: string } | null;
  planned: {
    id: string;
    wantedAt: string;
    purpose: string;
    /** What its sheet said, ms since 1970; null when it was planned with a time only. */
    light: number | null;
    early: number | null;
    late: number | null;
  } | null;
  last: { id: string; endedAt: string } | null;
  retired: boolean;
  /** Its build is not ended. */
  building: boolean;
}

/** Every engine with what the Yard says of it: one query. */
export const yard = (club: string) =>
  inClub(
    club,
    (tx) => tx<YardLine[]>`
    select e.engine_id as id, e.name, e.retired_at is not null as retired, e.fit_out->>'description' as description, e.fit_out->>'scale' as scale,
      (e.fit_out->>'workingPressure')::float8 as "workingPressure",
      coalesce((select jsonb_agg(jsonb_build_object('text', f.text, 'forbids', f.forbids) order by array_position(array['steaming','passengers','nothing'], f.forbids), f.raised_at desc)
        from fault f where f.club_id = e.club_id and f.engine_id = e.engine_id and f.fixed_at is null and f.withdrawn_at is null), '[]') as "openFaults",
      coalesce((select jsonb_agg(jsonb_build_object('kind', kind, 'expires', expires) order by expires)
        from (select kind, max(expires) as expires from paper p where p.club_id = e.club_id and p.engine_id = e.engine_id and p.withdrawn_at is null group by kind) p), '[]') as papers,
      (select jsonb_build_object('id', s.steaming_id, 'startedAt', s.started_at) from steaming s
        where s.club_id = e.club_id and s.engine_id = e.engine_id and s.started_at is not null and s.ended_at is null order by s.started_at limit 1) as running,
      (select jsonb_build_object('id', s.steaming_id, 'wantedAt', s.wanted_at, 'purpose', s.purpose, 'light', (s.planned->>'light')::float8, 'early', (s.planned->>'early')::float8, 'late', (s.planned->>'late')::float8) from steaming s
        where s.club_id = e.club_id and s.engine_id = e.engine_id and s.started_at is null and s.cancelled_at is null and s.wanted_at >= now() - interval '12 hours' order by s.wanted_at limit 1) as planned,
      (select jsonb_build_object('id', s.steaming_id, 'endedAt', s.ended_at) from steaming s
        where s.club_id = e.club_id and s.engine_id = e.engine_id and s.started_at is not null and s.ended_at is not null and s.thrown_away is null order by s.started_at desc limit 1) as last,
      coalesce((select b.kind = 'begun' from build_entry b where b.club_id = e.club_id and b.engine_id = e.engine_id and b.kind <> 'skipped' order by b.seq desc limit 1), false) as building
    from engine e where e.club_id = ${club} order by e.name limit 500`
  );
