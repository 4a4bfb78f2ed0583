import { usualUnits } from '$core/units';
import { tell } from '../audit';
import { inClub, sql } from '../database';
import { cardsOf, type Member } from '../members';
import type { Tx } from '../sql/json';
import { together } from '../together';
import { digest, newToken } from './secrets';

export const sessionDays = 60;
/** How often it is noted that a session is used, ms. */
const noted = 3.6e6;

export interface Opened {
  readonly token: string;
  readonly expires: Date;
}

/** @param what is told of it; nothing when coming in was told of already */
export async function openSession(club: string, memberId: string, agent = '', what?: 'signed in'): Promise<Opened> {
  const token = newToken();
  const expires = new Date(Date.now() + sessionDays * 86_400_000);
  await inClub(club, async (tx) => {
    await tx`delete from session where club_id = ${club} and expires_at < now()`;
    await tx`insert into session (club_id, token_hash, member_id, expires_at, agent)
      values (${club}, ${digest(token)}, ${memberId}, ${expires}, ${agent.slice(0, 300)})`;
    if (!what) return;
    const [m] = await tx<{ name: string }[]>`select name from member where club_id = ${club} and member_id = ${memberId}`;
    await tell(tx, club, { id: memberId, name: m!.name }, what);
  });
  return { token, expires };
}

/** Sessions by their hashes. */
const found = together(
  async (hashes: readonly string[]) => {
    const rows = await sql`select * from session_members(${hashes as string[]}::text[])`;
    const byHash = new Map(rows.map((r) => [r.tokenHash as string, r]));
    return hashes.map((hash) => byHash.get(hash));
  },
  { atOnce: 2 }
);

/** Who a session cookie belongs to: asked on every request, so it is one question, and one for all that come meanwhile. */
export async function sessionMember(token: string): Promise<{ member: Member; session: { hash: string; until: Date } } | undefined> {
  const hash = digest(token);
  const row = await found(hash);
  if (!row) return undefined;
  const { clubId: club, clubName, memberId: id, signIn, demo, name, roles, settings, zone, expiresAt, seenAt } = row;
  if (Date.now() - seenAt > noted)
    void inClub(club, (tx) => tx`update session set seen_at = now() where club_id = ${club} and token_hash = ${hash}`).catch(() => {});
  return {
    session: { hash, until: expiresAt },
    member: {
      club,
      clubName,
      demo,
      zone,
      id,
      name,
      signIn,
      roles,
      units: { ...usualUnits, ...settings.units },
      cards: cardsOf(roles, settings.cards)
    }
  };
}

/** Ends one of a member's own sessions. @returns whether there was one */
export const endSession = (member: Member, hash: string, elsewhere = false): Promise<boolean> =>
  inClub(member.club, async (tx) => {
    const ended = await tx`delete from session where club_id = ${member.club} and member_id = ${member.id} and token_hash = ${hash}`;
    if (elsewhere && ended.count) await tell(tx, member.club, member, 'signed out elsewhere');
    return ended.count > 0;
  });

/** Ends every session of a member, but one that is kept. */
export const endSessionsIn = (tx: Tx, club: string, memberId: string, but = '') =>
  tx`delete from session where club_id = ${club} and member_id = ${memberId} and token_hash <> ${but}`;

export const sessionsOf = (member: Member) =>
  inClub(
    member.club,
    (tx) => tx<{ hash: string; agent: string; createdAt: Date; seenAt: Date; expiresAt: Date }[]>`
      select token_hash as hash, agent, created_at, seen_at, expires_at from session
      where club_id = ${member.club} and member_id = ${member.id} and expires_at > now() order by seen_at desc limit 100`
  );
