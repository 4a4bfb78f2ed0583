import { need, needId } from '$server/answer';
import { footplateOf } from '$server/footplate';

export const load = ({ params, locals }) => footplateOf(need(locals), needId(params.id));
