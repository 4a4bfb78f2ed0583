import { need, needId, notHere } from '$server/answer';
import { download } from '$server/download';
import { exportRecord } from '$server/records';

export const GET = async ({ params, locals }) => {
  const record = await exportRecord(need(locals), needId(params.id));
  if (!record) return notHere('record');
  return download(
    `${JSON.stringify(record, null, 1)}\n`,
    'application/json',
    `${record.steaming.engine}-${record.steaming.startedAt.slice(0, 10)}.json`
  );
};
