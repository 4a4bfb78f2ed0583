import { inClub } from './database';
import type { Member } from './members';
import { json, type Tx } from './sql/json';

/** WHAT WAS DONE: added to, in the transaction in which it is done, and never changed. */

/** Everything that is told of, and how it is said of what it is about. */
export const told = {
  'signed in': () => 'signed in',
  'sign-in refused': ({ address }) => `a sign-in was refused${address ? `, from ${address}` : ''}`,
  'signed out elsewhere': () => 'ended a session on another device',
  'club founded': () => 'founded the club',
  invited: ({ roles }) => `made an invitation as ${roles}`,
  'invitation recalled': ({ roles }) => `recalled an invitation as ${roles}`,
  'came in': ({ roles }) => `came in by an invitation as ${roles}`,
  'roles changed': ({ who, from, to }) => `changed the roles of ${who} from ${from} to ${to}`,
  'put out': ({ who }) => `put out ${who}`,
  'let in again': ({ who }) => `let ${who} in again`,
  'password changed': () => 'changed their password',
  'reset made': ({ who }) => `made a link by which ${who} gives a new password`,
  'reset used': () => 'gave a new password by a link',
  'fit-out changed': ({ engine, what }) => `changed the fit-out of ${engine}: ${what}`,
  'paper added': ({ engine, paper }) => `added to ${engine}: ${paper}`,
  'paper withdrawn': ({ engine, paper, why }) => `withdrew from ${engine}: ${paper}, because ${why}`,
  'work done': ({ engine, what }) => `did to ${engine}: ${what}`,
  'work taken back': ({ engine, what, why }) => `took back of ${engine}: ${what}, because ${why}`,
  'record exported': ({ engine }) => `took out a record of ${engine}`,
  'two steamings': ({ engine, as, why }) => `said of two steamings of ${engine} at once: ${as}${why ? `, because ${why}` : ''}`,
  'club taken out': () => 'took the whole club out, as an archive',
  'record brought in': ({ engine }) => `brought in a record of ${engine}`,
  'clock set': ({ zone }) => `set the club’s clock to ${zone}`,
  'feeds asked': ({ asked }) => `set the proven feeds asked for public running to ${asked}`
} as const satisfies Record<string, (about: Record<string, string>) => string>;
export type Told = keyof typeof told;

/** Tells what was done. @param by of the member who did it; a name alone when nobody is signed in */
export async function tell(tx: Tx, club: string, by: { id?: string; name: string }, what: Told, about: Record<string, string> = {}) {
  const short = Object.fromEntries(Object.entries(about).map(([k, v]) => [k, v.slice(0, 2000)]));
  await tx`insert into audit (club_id, by_id, by_name, what, about) values (${club}, ${by.id ?? null}, ${by.name}, ${what}, ${json(tx, short)})`;
}

export const auditSize = 50;
export const auditOf = async (member: Member, page: number) => {
  const rows = await inClub(
    member.club,
    (tx) => tx<{ id: string; at: Date; by: string; what: Told; about: Record<string, string>; total: number; broughtIn: Date | null }[]>`
      select audit_id as id, at, by_name as by, what, about, (count(*) over ())::int as total,
        (select brought_in_at from club where club_id = ${member.club}) as brought_in from audit
      where club_id = ${member.club} order by at desc, audit_id desc limit ${auditSize} offset ${(page - 1) * auditSize}`
  );
  return {
    total: rows[0]?.total ?? 0,
    broughtIn: rows[0]?.broughtIn ?? null,
    lines: rows.map(({ id, at, by, what, about }) => ({ id, at, by, said: told[what]?.(about) ?? what }))
  };
};

/** The whole of it, oldest first, in parts: for a file. */
export async function* auditWhole(member: Member) {
  let after = '0';
  for (;;) {
    const rows = await inClub(
      member.club,
      (tx) => tx<{ id: string; at: Date; by: string; what: Told; about: Record<string, string> }[]>`
        select audit_id as id, at, by_name as by, what, about from audit
        where club_id = ${member.club} and audit_id > ${after} order by audit_id limit 1000`
    );
    yield* rows;
    if (rows.length < 1000) return;
    after = rows.at(-1)!.id;
  }
}
