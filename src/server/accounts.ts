import { hash, verify } from '@node-rs/argon2';
import { createHash, randomBytes } from 'node:crypto';
import Joi from 'joi';
import { RateLimiterMemory } from 'rate-limiter-flexible';
import { isZone, usualUnits } from '$core/units';
import type { Member, Role } from './members';
import { inClub, sql } from './database';
import { newId } from './uuid';

// argon2id at the library's defaults (19 MiB, two passes): about 30 ms on a small machine.

const digest = (token: string) => createHash('sha256').update(token).digest('hex');
const newToken = () => randomBytes(32).toString('base64url');
export const sessionDays = 60;

/** Ten tries a quarter of an hour for one name from one address, forty for one address. */
const perName = new RateLimiterMemory({ points: 10, duration: 900 });
const perAddress = new RateLimiterMemory({ points: 40, duration: 900 });

/** A hash to check against when there is no such member, so that a wrong name takes as long as a wrong password. */
let decoy: Promise<string> | undefined;

export type SignIn = { token: string; expires: Date } | { problem: string; status: 400 | 429 };

export async function signIn(name: string, password: string, address: string): Promise<SignIn> {
  try {
    await Promise.all([perName.consume(`${name.toLowerCase()} ${address}`), perAddress.consume(address)]);
  } catch {
    return { problem: 'Too many tries. Wait a quarter of an hour and try again.', status: 429 };
  }
  const [row] = await sql`select * from sign_in_member(${name})`;
  const good = await verify(row?.secret ?? (await (decoy ??= hash(newToken()))), password).catch(() => false);
  if (!row || !good)
    return { problem: 'That name and password do not belong together. Check both; capitals count in the password.', status: 400 };
  await perName.delete(`${name.toLowerCase()} ${address}`);
  return openSession(row.clubId, row.memberId);
}

/** Signs in as a member of the demo, in one touch. Only clubs that are marked as demo have such members. */
export async function demoSignIn(name: string): Promise<SignIn> {
  const [row] = await sql`select * from demo_member(${name})`;
  return row ? openSession(row.clubId, row.memberId) : { problem: 'There is no such demo member here.', status: 400 };
}

async function openSession(club: string, member: string) {
  const token = newToken();
  const expires = new Date(Date.now() + sessionDays * 86_400_000);
  await inClub(club, async (tx) => {
    await tx`delete from session where club_id = ${club} and expires_at < now()`;
    await tx`insert into session (club_id, token_hash, member_id, expires_at) values (${club}, ${digest(token)}, ${member}, ${expires})`;
  });
  return { token, expires };
}

/** Who a session cookie belongs to: asked on every request, so it is one question. */
export async function sessionMember(token: string): Promise<{ member: Member; session: { hash: string; until: Date } } | undefined> {
  const hashed = digest(token);
  const [row] = await sql`select * from session_member(${hashed})`;
  if (!row) return undefined;
  const { clubId: club, clubName, memberId: id, signIn, demo, name, roles, settings, zone, expiresAt } = row;
  return {
    session: { hash: hashed, until: expiresAt },
    member: { club, clubName, demo, zone, id, name, signIn, roles, units: { ...usualUnits, ...settings.units } }
  };
}

export const endSession = (member: Member, hashed: string) =>
  inClub(member.club, (tx) => tx`delete from session where club_id = ${member.club} and token_hash = ${hashed}`);

export const demoMembers = () => sql<{ signIn: string; name: string; roles: Role[]; club: string }[]>`select * from demo_members()`;
export const hasClubs = async (): Promise<boolean> => (await sql`select has_clubs() as yes`)[0]!.yes;

const person = {
  name: Joi.string().trim().min(1).max(120).required().messages({ '*': 'Give your name as the club knows it.' }),
  signIn: Joi.string()
    .trim()
    .lowercase()
    .min(2)
    .max(120)
    .pattern(/^\S+$/)
    .required()
    .messages({ '*': 'Choose a name to sign in with: at least two characters, no spaces. An e-mail address will do.' }),
  password: Joi.string()
    .min(10)
    .max(200)
    .required()
    .messages({ '*': 'Choose a password of at least ten characters. Three or four words are easy to remember.' })
};
export const firstClubSchema = Joi.object({
  club: Joi.string().trim().min(1).max(120).required().messages({ '*': 'Give the club its name.' }),
  // The zone of the browser that founds it; the club's owner changes it in Settings.
  zone: Joi.string()
    .custom((zone: string) => (isZone(zone) ? zone : 'UTC'))
    .default('UTC'),
  ...person
});
export const joinSchema = Joi.object(person);

export async function foundFirstClub(input: {
  club: string;
  zone: string;
  name: string;
  signIn: string;
  password: string;
}): Promise<SignIn> {
  const [club, member] = [newId(), newId()];
  const [row] =
    await sql`select found_first_club(${club}, ${input.club}, ${input.zone}, ${member}, ${input.signIn}, ${input.name}, ${await hash(input.password)}) as made`;
  return row!.made ? openSession(club, member) : { problem: 'There is a club here already: ask its owner for an invitation.', status: 400 };
}

/** A link that lets one person in, for a fortnight. */
export async function invite(member: Member, roles: Role[]): Promise<string> {
  const token = newToken();
  await inClub(
    member.club,
    (tx) => tx`
    insert into invitation (club_id, token_hash, roles, made_by, expires_at)
    values (${member.club}, ${digest(token)}, ${roles}, ${member.id}, now() + interval '14 days')`
  );
  return token;
}

export const invitation = async (token: string) =>
  (await sql<{ clubId: string; clubName: string; roles: Role[] }[]>`select * from open_invitation(${digest(token)})`)[0];

export async function join(token: string, input: { name: string; signIn: string; password: string }): Promise<SignIn> {
  const open = await invitation(token);
  if (!open) return { problem: 'This invitation has been used or has run out: ask for a new one.', status: 400 };
  const [secret, id] = [await hash(input.password), newId()];
  const made = await inClub(open.clubId, async (tx) => {
    const [used] = await tx`
      update invitation set used_by = ${id} where club_id = ${open.clubId} and token_hash = ${digest(token)} and used_by is null returning 1`;
    if (!used) return 'used' as const;
    await tx`insert into member (club_id, member_id, sign_in, name, roles, secret) values (${open.clubId}, ${id}, ${input.signIn}, ${input.name}, ${open.roles}, ${secret})`;
    return 'made' as const;
  }).catch((error: { code?: string }) => {
    if (error.code === '23505') return 'taken' as const;
    throw error;
  });
  if (made === 'taken') return { problem: 'Somebody already signs in with that name: choose another.', status: 400 };
  if (made === 'used') return { problem: 'This invitation has been used: ask for a new one.', status: 400 };
  return openSession(open.clubId, id);
}
