import { verify } from '@node-rs/argon2';
import { tell } from '../audit';
import { inClub, sql } from '../database';
import type { Role } from '../members';
import { newId } from '../uuid';
import { countTry } from './limits';
import { newToken, secretOf } from './secrets';
import { openSession, type Opened } from './sessions';

/** Coming in with a password, as a member of the demo, or as the first of all. */

export type SignIn = Opened | { readonly problem: string; readonly status: 400 | 429 };

/** A hash to check against when there is no such member, so that a wrong name takes as long as a wrong password. */
let decoy: Promise<string> | undefined;

export async function signIn(name: string, password: string, { address, agent }: { address: string; agent: string }): Promise<SignIn> {
  const takeBack = await countTry(name, address);
  if (!takeBack) return { problem: 'Too many tries. Wait a quarter of an hour and try again.', status: 429 };
  const [row] = await sql`select * from sign_in_member(${name})`;
  const good = await verify(row?.secret ?? (await (decoy ??= secretOf(newToken()))), password).catch(() => false);
  if (row && !good) await inClub(row.clubId, (tx) => tell(tx, row.clubId, { name }, 'sign-in refused', { address }));
  if (!row || !good)
    return { problem: 'That name and password do not belong together. Check both; capitals count in the password.', status: 400 };
  await takeBack();
  return openSession(row.clubId, row.memberId, agent, 'signed in');
}

/** Signs in as a member of the demo, in one touch. Only clubs that are marked as demo have such members. */
export async function demoSignIn(name: string, agent: string): Promise<SignIn> {
  const [row] = await sql`select * from demo_member(${name})`;
  return row ? openSession(row.clubId, row.memberId, agent, 'signed in') : { problem: 'There is no such demo member here.', status: 400 };
}

export const demoMembers = () => sql<{ signIn: string; name: string; roles: Role[]; club: string }[]>`select * from demo_members()`;
export const hasClubs = async (): Promise<boolean> => (await sql`select has_clubs() as yes`)[0]!.yes;

/** Printed where the server was started, so that whoever founds the first club is whoever runs it; none is asked for when none is set. */
const setUpCode = process.env.JORAM_SETUP_CODE ?? '';
export const asksForCode = setUpCode !== '';

export async function foundFirstClub(input: {
  club: string;
  zone: string;
  code: string;
  name: string;
  signIn: string;
  password: string;
}): Promise<SignIn | { problem: string; status: 400; field: 'code' }> {
  // Asked before a password is worked on: that is dear, and anybody may ask.
  if (await hasClubs()) return { problem: 'There is a club here already: ask its owner for an invitation.', status: 400 };
  if (input.code.trim() !== setUpCode)
    return { problem: 'That is not the set-up code: it stands where the server was started.', status: 400, field: 'code' };
  const [club, member] = [newId(), newId()];
  const [row] =
    await sql`select found_first_club(${club}, ${input.club}, ${input.zone}, ${member}, ${input.signIn}, ${input.name}, ${await secretOf(input.password)}) as made`;
  if (!row!.made) return { problem: 'There is a club here already: ask its owner for an invitation.', status: 400 };
  await inClub(club, (tx) => tell(tx, club, { id: member, name: input.name }, 'club founded'));
  return openSession(club, member);
}
