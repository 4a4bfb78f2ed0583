import { need, needId, notHere } from '$server/answer';
import { download } from '$server/download';
import { engine } from '$server/engines';

export const GET = async ({ params, locals }) => {
  const found = await engine(need(locals).club, needId(params.id));
  if (!found) return notHere('engine');
  return download(`${JSON.stringify(found.fitOut, null, 1)}\n`, 'application/json', `${found.name}-fit-out.json`);
};
