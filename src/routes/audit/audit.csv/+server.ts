import { table } from '$core/formats';
import { need } from '$server/answer';
import { auditWhole, told } from '$server/audit';

/** What was done, as a table: oldest first, times in UTC. */
export const GET = async ({ locals }) => {
  const member = need(locals, 'read what was done');
  const rows: string[][] = [];
  for await (const { at, by, what, about } of auditWhole(member))
    rows.push([at.toISOString(), by, what, told[what]?.(about) ?? '', JSON.stringify(about)]);
  return new Response(table([['at', 'by', 'what', 'said', 'about'], ...rows]), {
    headers: { 'content-type': 'text/csv; charset=utf-8', 'content-disposition': 'attachment; filename="joram-audit.csv"' }
  });
};
