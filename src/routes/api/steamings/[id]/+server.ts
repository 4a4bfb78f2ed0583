import type { RequestEvent } from './$types';
import type { BegunAway } from '$core/faults';
import type { OpenedSteaming } from '$lib/here/opened';
import { answers, check, need, needId, readJson } from '$server/answer';
import { awaySchema, takeAway } from '$server/away';
import { openedOf } from '$server/opened';
import { json } from '@sveltejs/kit';

/** A steaming that has begun, with its whole log: what its Footplate and its record are made from. */
export const GET = answers<RequestEvent>(async ({ params, locals }) =>
  json((await openedOf(need(locals), needId(params.id))) satisfies OpenedSteaming)
);

/** A steaming that was begun on a device without a connection comes in, under the id that the device gave it. Sent again, it is the same. */
export const PUT = answers<RequestEvent>(async ({ request, params, locals }) =>
  json(await takeAway(need(locals, 'start steaming'), needId(params.id), check<BegunAway>(awaySchema, await readJson(request))), {
    status: 201
  })
);
