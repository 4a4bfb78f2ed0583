import { need } from '$server/answer';

export const load = ({ locals }) => void need(locals);
