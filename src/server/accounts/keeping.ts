import { verify } from '@node-rs/argon2';
import { Refusal } from '$core/units';
import { tell } from '../audit';
import { inClub } from '../database';
import type { Member, Role } from '../members';
import type { Tx } from '../sql/json';
import { secretOf } from './secrets';
import { endSessionsIn } from './sessions';

/** What an owner does about members, and a member about their own password. */

interface Row {
  name: string;
  roles: Role[];
  leftAt: Date | null;
}
async function memberIn(tx: Tx, club: string, id: string): Promise<Row> {
  // One at a time: two owners who put each other out would leave the club with none.
  await tx`select pg_advisory_xact_lock(hashtextextended(${club}, 1))`;
  const [row] = await tx<Row[]>`select name, roles, left_at from member where club_id = ${club} and member_id = ${id} for update`;
  if (!row) throw new Refusal('member', 'There is no such member.', { code: 'missing' });
  return row;
}

async function keepAnOwner(tx: Tx, club: string, but: string) {
  const [other] =
    await tx`select 1 from member where club_id = ${club} and member_id <> ${but} and left_at is null and 'owner' = any(roles) limit 1`;
  if (!other) throw new Refusal('member', 'A club keeps at least one owner: make another member an owner first.', { code: 'conflict' });
}

export const changeRoles = (by: Member, id: string, roles: Role[]) =>
  inClub(by.club, async (tx) => {
    if (!roles.length) throw new Refusal('role', 'A member has at least one role: put them out if they have left.');
    const was = await memberIn(tx, by.club, id);
    if (was.roles.includes('owner') && !roles.includes('owner')) await keepAnOwner(tx, by.club, id);
    await tx`update member set roles = ${roles} where club_id = ${by.club} and member_id = ${id}`;
    await tell(tx, by.club, by, 'roles changed', { who: was.name, from: was.roles.join(', '), to: roles.join(', ') });
  });

/** Puts a member out: their sessions end at once; what they logged and signed stays theirs. */
export const putOut = (by: Member, id: string) =>
  inClub(by.club, async (tx) => {
    const { name, roles, leftAt } = await memberIn(tx, by.club, id);
    if (leftAt) throw new Refusal('member', `${name} has been put out already.`, { code: 'conflict' });
    if (roles.includes('owner')) await keepAnOwner(tx, by.club, id);
    await tx`update member set left_at = now() where club_id = ${by.club} and member_id = ${id}`;
    await endSessionsIn(tx, by.club, id);
    await tell(tx, by.club, by, 'put out', { who: name });
  });

export const letInAgain = (by: Member, id: string) =>
  inClub(by.club, async (tx) => {
    const { name } = await memberIn(tx, by.club, id);
    await tx`update member set left_at = null where club_id = ${by.club} and member_id = ${id}`;
    await tell(tx, by.club, by, 'let in again', { who: name });
  });

/** A member's own password; their other sessions end. */
export const changePassword = (member: Member, session: string, old: string, password: string) =>
  inClub(member.club, async (tx) => {
    const [row] = await tx<{ secret: string }[]>`select secret from member where club_id = ${member.club} and member_id = ${member.id}`;
    if (!(await verify(row!.secret, old).catch(() => false))) throw new Refusal('old', 'That is not your password as it is now.');
    await tx`update member set secret = ${await secretOf(password)} where club_id = ${member.club} and member_id = ${member.id}`;
    await endSessionsIn(tx, member.club, member.id, session);
    await tell(tx, member.club, member, 'password changed');
  });
