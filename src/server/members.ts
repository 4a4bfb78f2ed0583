import type { UnitChoice } from '$core/units';
import type { Detail } from '$core/watch';
import Joi from 'joi';
import { tell } from './audit';
import { inClub } from './database';
import { json } from './sql/json';

export const roles = ['owner', 'steward', 'operator', 'examiner', 'trainee'] as const;
export type Role = (typeof roles)[number];

/** Who is signed in, as every page sees them. */
export interface Member {
  club: string;
  clubName: string;
  demo: boolean;
  /** The club's time zone. */
  zone: string;
  id: string;
  name: string;
  signIn: string;
  roles: Role[];
  units: UnitChoice;
  /** How much a Footplate asks at once. */
  cards: Detail;
}

/** What each role may do. A trainee logs, and does nothing that someone else must answer for. */
const may = {
  log: ['owner', 'steward', 'operator', 'examiner', 'trainee'],
  'start steaming': ['owner', 'steward', 'operator', 'examiner'],
  'sign as keeper': ['owner', 'steward', 'operator', 'examiner'],
  'sign as examiner': ['examiner'],
  'add late notes': ['owner', 'steward', 'examiner'],
  'strike a signature': ['owner', 'steward'],
  override: ['owner', 'steward'],
  'edit engines': ['owner', 'steward', 'operator'],
  'keep papers': ['owner', 'steward', 'examiner'],
  'fix faults': ['owner', 'steward', 'operator', 'examiner'],
  'clear a bar': ['owner', 'steward', 'examiner'],
  invite: ['owner'],
  'keep members': ['owner'],
  'read what was done': ['owner'],
  'take the club out': ['owner'],
  'set the clock': ['owner', 'steward'],
  import: ['owner', 'steward']
} as const satisfies Record<string, readonly Role[]>;
export type Right = keyof typeof may;
export const allowed = (member: Pick<Member, 'roles'>, right: Right): boolean =>
  member.roles.some((role) => (may[right] as readonly Role[]).includes(role));

export const unitsSchema = Joi.object({
  pressure: Joi.valid('psi', 'bar', 'kPa').required(),
  temperature: Joi.valid('°C', '°F').required(),
  volume: Joi.valid('l', 'gal', 'qt').required(),
  mass: Joi.valid('kg', 'lb').required(),
  length: Joi.valid('mm', 'in').required()
});

export const saveUnits = (member: Member, units: UnitChoice) =>
  inClub(
    member.club,
    (tx) =>
      tx`update member set settings = jsonb_set(settings, '{units}', ${json(tx, units)}) where club_id = ${member.club} and member_id = ${member.id}`
  );

/** Whoever learns it is asked point by point. */
export const cardsOf = (roles: readonly Role[], chosen: Detail | undefined): Detail =>
  roles.every((r) => r === 'trainee') ? 'full' : (chosen ?? 'usual');

export const saveCards = (member: Member, cards: Detail) =>
  inClub(
    member.club,
    (tx) =>
      tx`update member set settings = jsonb_set(settings, '{cards}', ${json(tx, cards)}) where club_id = ${member.club} and member_id = ${member.id}`
  );

export const saveZone = ({ club, id, name }: Member, zone: string) =>
  inClub(club, async (tx) => {
    await tx`update club set zone = ${zone} where club_id = ${club}`;
    await tell(tx, club, { id, name }, 'clock set', { zone });
  });

/** How many proven feeds the club asks for public running. */
export const feedsAskedOf = (club: string) =>
  inClub(club, async (tx) => (await tx<{ asked: number }[]>`select feeds_asked as asked from club where club_id = ${club}`)[0]!.asked);

export const saveFeedsAsked = ({ club, id, name }: Member, asked: number) =>
  inClub(club, async (tx) => {
    await tx`update club set feeds_asked = ${asked} where club_id = ${club}`;
    await tell(tx, club, { id, name }, 'feeds asked', { asked: `${asked}` });
  });

export const membersOf = (club: string) =>
  inClub(
    club,
    (tx) => tx<{ id: string; name: string; signIn: string; roles: Role[] }[]>`
    select member_id as id, name, sign_in, roles from member where club_id = ${club} and left_at is null order by name limit 500`
  );

/** Those who are in and those who have left. */
export const allMembers = (club: string) =>
  inClub(
    club,
    (tx) => tx<{ id: string; name: string; signIn: string; roles: Role[]; leftAt: Date | null; seenAt: Date | null }[]>`
    select m.member_id as id, m.name, m.sign_in, m.roles, m.left_at, (select max(s.seen_at) from session s where s.club_id = m.club_id and s.member_id = m.member_id) as seen_at
    from member m where m.club_id = ${club} order by m.left_at is not null, m.name limit 1000`
  );

/** Everything a member may do, for pages that offer only what will be accepted. */
export const rightsOf = (member: Pick<Member, 'roles'>): Right[] => (Object.keys(may) as Right[]).filter((right) => allowed(member, right));
