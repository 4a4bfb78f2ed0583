import { need } from '$server/answer';

export const load = ({ locals }) => {
  need(locals);
  return {};
};
