import { openedSteaming, watchedInTurn } from '$lib/here/opened';
import { redirect } from '@sveltejs/kit';

export const load = async ({ fetch, params }) => {
  const opened = await openedSteaming(fetch, params.id);
  if (opened.endedAt) redirect(303, `/records/${opened.id}`);
  // The same fire, logged on two devices, is under way as one of them.
  if (opened.id !== params.id) redirect(303, `/footplate/${opened.id}`);
  return { ...opened, watch: await watchedInTurn(opened) };
};
