import { need, needId } from '$server/answer';
import { underWay } from '$server/opened';

export const load = ({ params, locals }) => underWay(need(locals), needId(params.id));
