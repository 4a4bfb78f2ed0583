import { rightsOf } from '$server/members';

export const load = ({ locals }) => {
  const { member } = locals;
  return {
    theme: locals.theme,
    now: Date.now(),
    zone: member?.zone ?? 'UTC',
    member: member && {
      id: member.id,
      name: member.name,
      club: member.clubName,
      demo: member.demo,
      roles: member.roles,
      units: member.units
    },
    rights: member ? rightsOf(member) : []
  };
};
