import { Refusal } from '$core/units';
import { tell } from '../audit';
import { inClub, sql } from '../database';
import type { Member, Role } from '../members';
import { newId } from '../uuid';
import { digest, newToken, secretOf } from './secrets';
import { endSessionsIn, openSession } from './sessions';
import type { SignIn } from '.';

/** Links that let somebody in: an invitation for one who is new, a reset for one who forgot the password. */

export async function invite(member: Member, roles: Role[]): Promise<string> {
  const token = newToken();
  const { club } = member;
  await inClub(club, async (tx) => {
    await tx`insert into invitation (club_id, token_hash, roles, made_by, expires_at)
      values (${club}, ${digest(token)}, ${roles}, ${member.id}, now() + interval '14 days')`;
    await tell(tx, club, member, 'invited', { roles: roles.join(', ') });
  });
  return token;
}

export const invitationsOf = (club: string) =>
  inClub(
    club,
    (tx) => tx<{ hash: string; roles: Role[]; by: string; createdAt: Date; expiresAt: Date }[]>`
      select i.token_hash as hash, i.roles, m.name as by, i.created_at, i.expires_at from invitation i join member m on m.club_id = i.club_id and m.member_id = i.made_by
      where i.club_id = ${club} and i.used_by is null and i.recalled_at is null and i.expires_at > now() order by i.created_at desc limit 200`
  );

export const recall = (member: Member, hash: string) =>
  inClub(member.club, async (tx) => {
    const [gone] = await tx<{ roles: Role[] }[]>`update invitation set recalled_at = now()
      where club_id = ${member.club} and token_hash = ${hash} and used_by is null and recalled_at is null returning roles`;
    if (!gone) throw new Refusal('invitation', 'This invitation has been used, has run out or was recalled already.', { code: 'missing' });
    await tell(tx, member.club, member, 'invitation recalled', { roles: gone.roles.join(', ') });
  });

export const invitation = async (token: string) =>
  (await sql<{ clubId: string; clubName: string; roles: Role[] }[]>`select * from open_invitation(${digest(token)})`)[0];

export async function join(
  token: string,
  input: { name: string; signIn: string; password: string },
  agent: string
): Promise<SignIn | { problem: string; status: 400; field: string }> {
  const open = await invitation(token);
  if (!open) return { problem: 'This invitation has been used, recalled or has run out: ask for a new one.', status: 400 };
  const [secret, id] = [await secretOf(input.password), newId()];
  const club = open.clubId;
  const made = await inClub(club, async (tx) => {
    const [used] = await tx`
      update invitation set used_by = ${id} where club_id = ${club} and token_hash = ${digest(token)} and used_by is null and recalled_at is null returning 1`;
    if (!used) return 'used' as const;
    await tx`insert into member (club_id, member_id, sign_in, name, roles, secret) values (${club}, ${id}, ${input.signIn}, ${input.name}, ${open.roles}, ${secret})`;
    await tell(tx, club, { id, name: input.name }, 'came in', { roles: open.roles.join(', ') });
    return 'made' as const;
  }).catch((error: { code?: string; constraint_name?: string }) => {
    if (error.code === '23505') return error.constraint_name === 'member_name' ? ('doubled' as const) : ('taken' as const);
    throw error;
  });
  if (made === 'taken') return { problem: 'Somebody already signs in with that name: choose another.', status: 400, field: 'signIn' };
  if (made === 'doubled')
    return {
      problem: 'The club has a member of that name: add what tells you apart, as it will stand under what you sign.',
      status: 400,
      field: 'name'
    };
  if (made === 'used') return { problem: 'This invitation has been used: ask for a new one.', status: 400 };
  return openSession(club, id, agent);
}

/** A link by which a member gives a new password, for a day. @param by who made it */
export async function resetLink(club: string, memberId: string, by: { id?: string; name: string }): Promise<string> {
  const token = newToken();
  await inClub(club, async (tx) => {
    const [m] = await tx<
      { name: string }[]
    >`select name from member where club_id = ${club} and member_id = ${memberId} and left_at is null`;
    if (!m) throw new Refusal('member', 'There is no such member.', { code: 'missing' });
    await tx`insert into reset (club_id, token_hash, member_id, made_by, expires_at)
      values (${club}, ${digest(token)}, ${memberId}, ${by.name}, now() + interval '1 day')`;
    await tell(tx, club, by, 'reset made', { who: m.name });
  });
  return token;
}

export const openReset = async (token: string) =>
  (
    await sql<{ clubId: string; memberId: string; clubName: string; name: string; signIn: string }[]>`
      select * from open_reset(${digest(token)})`
  )[0];

/** Takes the new password; every session of the member ends, for whoever knew the old one. */
export async function useReset(token: string, password: string, agent: string): Promise<SignIn> {
  const open = await openReset(token);
  const gone = { problem: 'This link has been used or has run out: ask an owner for a new one.', status: 400 } as const;
  if (!open) return gone;
  const { clubId: club, memberId: id, name } = open;
  const secret = await secretOf(password);
  const used = await inClub(club, async (tx) => {
    const [mine] =
      await tx`update reset set used_at = now() where club_id = ${club} and token_hash = ${digest(token)} and used_at is null returning 1`;
    if (!mine) return false;
    await tx`update member set secret = ${secret} where club_id = ${club} and member_id = ${id}`;
    await endSessionsIn(tx, club, id);
    await tell(tx, club, { id, name }, 'reset used');
    return true;
  });
  return used ? openSession(club, id, agent) : gone;
}
