import type { Forbids } from '$core/log';
import Joi from 'joi';
import type { Member } from './members';
import { inClub } from './database';
import { json } from './sql/json';
import { newId } from './uuid';

export interface Fault {
  id: string;
  engineId: string;
  engine: string;
  steamingId: string | null;
  text: string;
  forbids: Forbids;
  raisedAt: Date;
  raisedBy: string;
  fixedAt: Date | null;
  fixedBy: string | null;
  fix: string | null;
}

export const pageSize = 25;

export const faultSchema = Joi.object({
  text: Joi.string().trim().min(1).max(2000).required().messages({ '*': 'Say what is wrong, in at most 2000 characters.' }),
  forbids: Joi.valid('steaming', 'passengers', 'nothing')
    .required()
    .messages({ '*': 'Say what it forbids: may not be steamed, not with passengers, or note.' })
}).unknown();
export const fixSchema = Joi.object({
  fix: Joi.string().trim().min(1).max(2000).required().messages({ '*': 'Say what fixed it, in at most 2000 characters.' })
}).unknown();

export const faults = (club: string, { engineId, open, page = 1 }: { engineId?: string; open?: boolean; page?: number } = {}) =>
  inClub(
    club,
    (tx) => tx<(Fault & { total: number })[]>`
    select f.fault_id as id, f.engine_id, e.name as engine, f.steaming_id, f.text, f.forbids,
      f.raised_at, f.raised_by, f.fixed_at, f.fixed_by, f.fix, (count(*) over ())::int as total
    from fault f join engine e using (club_id, engine_id)
    where f.club_id = ${club} and f.withdrawn_at is null
      ${engineId ? tx`and f.engine_id = ${engineId}` : tx``}
      ${open === undefined ? tx`` : open ? tx`and f.fixed_at is null` : tx`and f.fixed_at is not null`}
    order by (f.fixed_at is null) desc, f.raised_at desc, f.fault_id limit ${pageSize} offset ${(page - 1) * pageSize}`
  );

export const raiseFault = (member: Member, engineId: string, text: string, forbids: Forbids) =>
  inClub(
    member.club,
    async (tx) =>
      (
        await tx`
    insert into fault (club_id, fault_id, engine_id, text, forbids, raised_at, raised_by, raised_by_id)
    select ${member.club}, ${newId()}, engine_id, ${text}, ${forbids}, now(), ${member.name}, ${member.id} from engine where club_id = ${member.club} and engine_id = ${engineId}
    returning fault_id`
      ).length > 0
  );

export const oneFault = (club: string, id: string) =>
  inClub(
    club,
    async (tx) =>
      (
        await tx<
          { forbids: Forbids; fixedAt: Date | null }[]
        >`select forbids, fixed_at from fault where club_id = ${club} and fault_id = ${id}`
      )[0]
  );

/** A fault that is fixed while its engine is in steam is told in that steaming's log, so that it bars nothing there any more. */
export const fixFault = (member: Member, id: string, fix: string) =>
  inClub(member.club, async (tx) => {
    const { club } = member;
    const [fixed] = await tx<{ engineId: string; text: string }[]>`
      update fault set fixed_at = now(), fixed_by = ${member.name}, fix = ${fix}
      where club_id = ${club} and fault_id = ${id} and fixed_at is null returning engine_id, text`;
    if (!fixed) return false;
    await tx`insert into entry (club_id, entry_id, steaming_id, kind, at, by_id, by_name, source, body)
      select ${club}, gen_random_uuid(), steaming_id, 'cleared', now(), ${member.id}, ${member.name}, 'person', ${json(tx, { fault: fixed.text, fix })}
      from steaming where club_id = ${club} and engine_id = ${fixed.engineId} and started_at is not null and ended_at is null`;
    return true;
  });
