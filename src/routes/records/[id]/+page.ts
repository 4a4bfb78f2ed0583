import { openedRecord } from '$lib/here/opened';
import { redirect } from '@sveltejs/kit';

export const load = async ({ fetch, params }) => (await openedRecord(fetch, params.id)) ?? redirect(303, `/footplate/${params.id}`);
