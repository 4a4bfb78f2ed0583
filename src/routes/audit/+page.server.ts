import { need } from '$server/answer';
import { auditOf, auditSize } from '$server/audit';

export const load = async ({ locals, url }) => {
  const member = need(locals, 'read what was done');
  const asked = Number(url.searchParams.get('page') ?? 1);
  const page = Number.isInteger(asked) && asked >= 1 && asked <= 10_000 ? asked : 1;
  return { ...(await auditOf(member, page)), page, size: auditSize };
};
