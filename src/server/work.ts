import { type FitOut, fitOutOf } from '$core/engine';
import { differences } from '$core/form';
import { againFor, type WorkKey, workName, works, worksBetween, worksOn } from '$core/proof';
import { Refusal } from '$core/units';
import Joi from 'joi';
import { tell } from './audit';
import { inClub } from './database';
import type { Member } from './members';
import type { Tx } from './sql/json';
import { newId } from './uuid';

export const workSchema = Joi.object({
  work: Joi.valid(...Object.keys(works))
    .required()
    .messages({ '*': 'Say what was done: choose one of the list.' }),
  text: Joi.string().trim().min(1).max(500).required().messages({ '*': 'Say what was done, with the part, in at most 500 characters.' })
}).unknown();

const insertWork = (tx: Tx, member: Member, engineId: string, work: WorkKey, text: string, fitOut: FitOut) =>
  tx`insert into work (club_id, work_id, engine_id, work, text, again, by_id, by_name)
    values (${member.club}, ${newId()}, ${engineId}, ${work}, ${text}, ${againFor(work, fitOut)}, ${member.id}, ${member.name})`;

/** Something was done to an engine. @throws Refusal where it cannot be done to this one */
export const logWork = (member: Member, engineId: string, { work, text }: { work: WorkKey; text: string }): Promise<void> =>
  inClub(member.club, async (tx) => {
    const { club } = member;
    const [row] = await tx<
      { name: string; fitOut: FitOut }[]
    >`select name, fit_out from engine where club_id = ${club} and engine_id = ${engineId} for share`;
    if (!row) throw new Refusal('engine', 'There is no such engine.', { code: 'missing' });
    const fitOut = fitOutOf(row.fitOut);
    if (!worksOn(fitOut).includes(work))
      throw new Refusal('work', 'That cannot be done to this engine, by its fit-out: choose what was done, or change the fit-out first.');
    await insertWork(tx, member, engineId, work, text, fitOut);
    await tell(tx, club, member, 'work done', { engine: row.name, what: `${works[work].name}: ${text}` });
  });

/** What a changed fit-out tells of, in the transaction in which it is saved. */
export async function workOf(tx: Tx, member: Member, engineId: string, before: FitOut, after: FitOut): Promise<void> {
  for (const work of worksBetween(before, after))
    await insertWork(tx, member, engineId, work, `By its fit-out: ${differences(before, after, 6).join('; ')}`.slice(0, 500), after);
}

export const takenBackSchema = Joi.object({
  work: Joi.string().uuid().required(),
  why: Joi.string().trim().min(1).max(300).required().messages({ '*': 'Say why it does not count, in at most 300 characters.' })
}).unknown();

/** It was not done after all: what was written stays, with who took it back and why. */
export const takeBack = (member: Member, engineId: string, { work, why }: { work: string; why: string }): Promise<void> =>
  inClub(member.club, async (tx) => {
    const [gone] = await tx<{ engine: string; work: string }[]>`
      insert into work (club_id, work_id, engine_id, work, text, again, of_id, by_id, by_name)
      select w.club_id, ${newId()}, w.engine_id, w.work, ${why}, '{}', w.work_id, ${member.id}, ${member.name} from work w
      where w.club_id = ${member.club} and w.engine_id = ${engineId} and w.work_id = ${work} and w.of_id is null
        and not exists (select from work b where b.club_id = w.club_id and b.of_id = w.work_id)
      on conflict (club_id, of_id) where of_id is not null do nothing
      returning (select name from engine e where e.club_id = work.club_id and e.engine_id = work.engine_id) as engine, work`;
    if (!gone) throw new Refusal('work', 'There is no such work, or it was taken back already.', { code: 'missing' });
    await tell(tx, member.club, member, 'work taken back', {
      engine: gone.engine,
      what: workName(gone.work),
      why
    });
  });
