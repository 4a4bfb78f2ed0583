import { logCsv } from '$core/formats';
import { fold, inOrder } from '$core/log';
import { isoDayIn } from '$core/units';
import { need, needId, notHere } from '$server/answer';
import { download } from '$server/download';
import { kept } from '$server/records';
import { contextOf } from '$server/sql/steaming';

export const GET = async ({ params, locals }) => {
  const member = need(locals);
  const found = await kept(member.club, needId(params.id));
  if (!found) return notHere('record');
  const log = fold(contextOf(found.steaming), found.entries);
  return download(
    logCsv([...found.entries].sort(inOrder), log, member.zone),
    'text/csv',
    `${found.steaming.engine}-${isoDayIn(found.steaming.startedAt!, member.zone)}.csv`
  );
};
