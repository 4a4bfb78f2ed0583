import {
  type Build,
  buildOf,
  buildRefused,
  type BuildSaid,
  buildStands,
  buries,
  cellsLeft,
  conditionKeys,
  fittingsOf,
  judgedWords,
  judgeSweep,
  leftWords,
  registerOf,
  type StageStands
} from '$core/commission';
import { type FitOut, fitOutOf } from '$core/engine';
import { Refusal } from '$core/units';
import { inClub } from './database';
import { allowed, type Member } from './members';
import { type CommissionedIn, commissionedIn } from './sql/commission';
import { json, type Tx } from './sql/json';
import { inBookOf } from './start';
import { newId } from './uuid';
import { unstruck } from './sql/entry';

/** An engine on its way: its log, its stages by evidence, what is left of its matrix, what its sweeps found, what is on that must come off. */
export async function buildPage(club: string, engineId: string) {
  return inClub(club, async (tx) => {
    const found = await openIn(tx, club, engineId);
    if (!found) return undefined;
    const { fitOut, of, build, stands } = found;
    const { facts, before } = of;
    const register = registerOf(fitOut, before.own);
    return {
      fitOut,
      build,
      log: of.log,
      stands,
      left: facts ? cellsLeft(fittingsOf(fitOut), facts.cells, conditionKeys) : [],
      cells: before.cells,
      swept: judgeSweep(register, before.swept).map((j) => ({ ...j, words: judgedWords(j, fitOut.workingPressure) })),
      looked: before.swept,
      own: before.own,
      pictured: before.pictured ?? [],
      buries: facts ? buries(facts) : [],
      rigs: Object.values(before.rigs),
      sessions: facts?.sessions ?? [],
      sheets: facts?.sheets ?? [],
      faults: facts?.faults ?? [],
      starts: await startsAt(tx, club, engineId)
    };
  });
}

async function openIn(
  tx: Tx,
  club: string,
  engineId: string
): Promise<{ fitOut: FitOut; of: CommissionedIn; build: Build | undefined; stands: readonly StageStands[] } | undefined> {
  const [row] = await tx<{ fitOut: FitOut }[]>`select fit_out from engine where club_id = ${club} and engine_id = ${engineId}`;
  if (!row) return undefined;
  const fitOut = fitOutOf(row.fitOut);
  const of = (await commissionedIn(tx, club, [{ id: engineId, fitOut }], await inBookOf(tx, club, [engineId]), { ended: true })).get(
    engineId
  )!;
  return { fitOut, of, build: buildOf(of.log), stands: of.facts ? buildStands(of.facts) : [] };
}

/** The lowest pressure at which it started by itself, of each session that measured it: one year is held against the next. */
const startsAt = (tx: Tx, club: string, engineId: string) =>
  tx<{ at: Date; pressure: number }[]>`
    select e.at, (e.body->>'pressure')::float as pressure from entry e join steaming s using (club_id, steaming_id)
    where e.club_id = ${club} and s.engine_id = ${engineId} and e.kind = 'measured' and e.body->>'what' = 'starts at' and s.thrown_away is null
      and ${unstruck(tx)}
    order by e.at desc limit 12`.then((r) => [...r]);

/** Says something of a build. @throws Refusal at the field that cannot be */
export const tellBuild = (member: Member, engineId: string, said: BuildSaid): Promise<void> =>
  inClub(member.club, async (tx) => {
    const { club } = member;
    await tx`select pg_advisory_xact_lock(hashtextextended(${`build ${engineId}`}, 0))`;
    const found = await openIn(tx, club, engineId);
    if (!found) throw new Refusal('engine', 'There is no such engine.', { code: 'missing' });
    const { build, stands, of, fitOut } = found;
    const no = buildRefused(said, build, stands, (right) => allowed(member, right));
    if (no) throw new Refusal(no.field, no.sentence, { code: no.field === 'kind' ? 'conflict' : 'invalid' });
    const left = of.facts ? leftWords(cellsLeft(fittingsOf(fitOut), of.facts.cells, conditionKeys)) : '';
    const body = said.kind === 'released' ? { ...said.body, left: left ? left.split('; ') : [] } : said.body;
    await tx`insert into build_entry (club_id, entry_id, engine_id, kind, by_id, by_name, body)
      values (${club}, ${newId()}, ${engineId}, ${said.kind}, ${member.id}, ${member.name}, ${json(tx, body)})`;
  });
