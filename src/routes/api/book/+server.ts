import type { RequestEvent } from './$types';
import { answers, need } from '$server/answer';
import { deviceBook } from '$server/away';
import { json } from '@sveltejs/kit';

/** The club's book for a device: what a steaming can be begun by where there is no connection. */
export const GET = answers<RequestEvent>(async ({ locals }) => json(await deviceBook(need(locals))));
