import { hasClubs } from '$server/accounts';
import { json } from '@sveltejs/kit';

/** Whether this process can reach its database. */
export const GET = async () => json({ ok: true, clubs: await hasClubs() });
