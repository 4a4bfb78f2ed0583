import { need, needId, notHere } from '$server/answer';
import { engine } from '$server/engines';

export const load = async ({ params, locals }) => {
  const found = await engine(need(locals, 'edit engines').club, needId(params.id));
  return found ? { engine: found } : notHere('engine');
};
