import type { Forbids } from '$core/log';
import Joi from 'joi';
import type { Member } from './members';
import { inClub } from './database';
import type { Tx } from './sql/json';
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
  /** Whom or what its fix still waits for. */
  awaits: 'examiner' | 'retest' | null;
}

export const pageSize = 25;

export const faultSchema = Joi.object({
  text: Joi.string().trim().min(1).max(2000).required().messages({ '*': 'Say what is wrong, in at most 2000 characters.' }),
  forbids: Joi.valid('steaming', 'passengers', 'nothing')
    .required()
    .messages({ '*': 'Say what it forbids: may not be steamed, not with passengers, or note.' })
}).unknown();

export const faults = (club: string, { engineId, open, page = 1 }: { engineId?: string; open?: boolean; page?: number } = {}) =>
  inClub(
    club,
    (tx) => tx<(Fault & { total: number })[]>`
    select f.fault_id as id, f.engine_id, e.name as engine, f.steaming_id, f.text, f.forbids,
      f.raised_at, f.raised_by, f.fixed_at, f.fixed_by, f.fix, f.awaits, (count(*) over ())::int as total
    from fault f join engine e using (club_id, engine_id)
    where f.club_id = ${club} and f.withdrawn_at is null
      ${engineId ? tx`and f.engine_id = ${engineId}` : tx``}
      ${open === undefined ? tx`` : open ? tx`and f.fixed_at is null` : tx`and f.fixed_at is not null`}
    order by (f.fixed_at is null) desc, f.raised_at desc, f.fault_id limit ${pageSize} offset ${(page - 1) * pageSize}`
  );

/** @returns which it is; nothing where there is no such engine */
export const raiseFault = (member: Member, engineId: string, text: string, forbids: Forbids): Promise<string | undefined> =>
  inClub(member.club, (tx) => raiseIn(tx, member, engineId, text, forbids));

export async function raiseIn(tx: Tx, member: Member, engineId: string, text: string, forbids: Forbids): Promise<string | undefined> {
  const [raised] = await tx<{ id: string }[]>`
    insert into fault (club_id, fault_id, engine_id, text, forbids, raised_at, raised_by, raised_by_id)
    select ${member.club}, ${newId()}, engine_id, ${text}, ${forbids}, now(), ${member.name}, ${member.id} from engine where club_id = ${member.club} and engine_id = ${engineId}
    returning fault_id as id`;
  return raised?.id;
}
