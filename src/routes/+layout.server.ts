import { type Offsets, offsetsAround } from '$core/units';
import { rightsOf } from '$server/members';

/** Of the zones that clubs are in, made once a process: a table reaches years ahead. */
const tables = new Map<string, Offsets>();
function tableOf(zone: string): Offsets {
  const table = tables.get(zone) ?? offsetsAround(zone, Date.now());
  tables.set(zone, table);
  return table;
}

export const load = ({ locals }) => {
  const { member } = locals;
  const zone = member?.zone ?? 'UTC';
  return {
    theme: locals.theme,
    now: Date.now(),
    zone,
    offsets: tableOf(zone),
    member: member && {
      id: member.id,
      name: member.name,
      club: member.clubName,
      demo: member.demo,
      roles: member.roles,
      units: member.units,
      cards: member.cards
    },
    rights: member ? rightsOf(member) : []
  };
};
