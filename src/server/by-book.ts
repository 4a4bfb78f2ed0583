import type { Entry, EntryOf, Log } from '$core/log';
import { isoDayIn } from '$core/units';
import type { Appended } from './append';
import { allowed, type Member } from './members';
import type { Tx } from './sql/json';
import { obstaclesIn } from './start';

/** WHAT STANDS OUTSIDE THE LOG and an entry must agree with: who may keep an engine, whose boiler steam is taken of, a picture that is told of. */

type Refused = Appended['refused'][number];

/** Entries that the club’s book does not bear out, each with its sentence. @param entries that are not in the log yet */
export async function refusedByBook(tx: Tx, member: Member, log: Log, entries: readonly Entry[]): Promise<Refused[]> {
  const { club } = member;
  return [
    ...(await keepersRefused(tx, club, log, entries)),
    ...(await lendersRefused(tx, member, entries)),
    ...(await picturesRefused(tx, club, entries))
  ];
}

/** An engine goes to a member who may keep one; by a sign-in name that is theirs, where it is not their own device that says so. */
async function keepersRefused(tx: Tx, club: string, log: Log, entries: readonly Entry[]): Promise<Refused[]> {
  const handed = entries.filter((e) => e.kind === 'handover' || e.kind === 'taken');
  if (!handed.length) return [];
  const members = await tx<{ name: string; signIn: string; roles: Member['roles'] }[]>`
    select name, sign_in, roles from member where club_id = ${club} and left_at is null`;
  const isTheirs = (name: string, signIn: string) => members.some((m) => m.name === name && m.signIn === signIn.trim().toLowerCase());
  return handed.flatMap(({ id, ...entry }) => {
    // Who keeps it by then: what comes in one batch has not been folded.
    const before = handed.filter((e) => e.kind === 'taken' && e.at <= entry.at && e.id !== id).at(-1);
    const keeper = before?.kind === 'taken' ? before.body.name : log.state.keeper;
    if (entry.kind === 'handover' && entry.body.signIn !== undefined && !isTheirs(keeper, entry.body.signIn))
      return [{ id, field: 'body.signIn', sentence: `${keeper} does not sign in as “${entry.body.signIn}”.` }];
    const refusal =
      entry.kind === 'handover'
        ? !members.some((m) => m.name === entry.body.to && allowed(m, 'sign as keeper')) && {
            field: 'body.to',
            sentence: `${entry.body.to} is no member of this club who may keep an engine.`
          }
        : entry.kind === 'taken' &&
          entry.body.signIn !== undefined &&
          !isTheirs(entry.body.name, entry.body.signIn) && {
            field: 'body.signIn',
            sentence: `${entry.body.name} does not sign in as “${entry.body.signIn}”.`
          };
    return refusal ? [{ id, ...refusal }] : [];
  });
}

/** Steam is taken of a boiler that stands in the book, with its papers in date and nothing against it. What was taken in spite of that is in no log. */
async function lendersRefused(tx: Tx, { club, zone }: Member, entries: readonly Entry[]): Promise<Refused[]> {
  const lent = entries.filter((e): e is EntryOf<'rig'> => e.kind === 'rig' && e.body.on && e.body.part === 'borrowed steam');
  const refused = lent.map(async ({ id, at, body }): Promise<Refused[]> => {
    const [lender] = await tx<
      { id: string }[]
    >`select engine_id as id from engine where club_id = ${club} and lower(name) = lower(${body.of ?? ''})`;
    if (!lender)
      return [
        {
          id,
          field: 'body.of',
          sentence: `“${body.of}” is no engine of this club: the papers of its boiler cannot be looked at. Enter it first.`
        }
      ];
    const { stops } = await obstaclesIn(tx, club, lender.id, isoDayIn(at, zone), { before: at });
    return stops.length ? [{ id, field: 'body.of', sentence: `No steam is taken of ${body.of}: ${stops.join('; ')}.` }] : [];
  });
  return (await Promise.all(refused)).flat();
}

/** A picture is told of when its bytes are here. */
async function picturesRefused(tx: Tx, club: string, entries: readonly Entry[]): Promise<Refused[]> {
  const told = entries.filter((e): e is EntryOf<'photo'> => e.kind === 'photo');
  if (!told.length) return [];
  const here = await tx<{ sum: string }[]>`select sum from photo where club_id = ${club} and sum in ${tx(told.map((e) => e.body.sum))}`;
  return told
    .filter((e) => here.every((h) => h.sum !== e.body.sum))
    .map(({ id }) => ({
      id,
      field: 'body.sum',
      sentence: 'The picture itself is not here, and the device has it no longer: take it again.'
    }));
}
