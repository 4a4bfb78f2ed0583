import type { RequestEvent } from './$types';
import { answers, check, need, needId, readJson } from '$server/answer';
import type { OccasionKey } from '$core/commission';
import { occasionSchema, startSteaming } from '$server/start';
import { json } from '@sveltejs/kit';
import Joi from 'joi';

const schema = Joi.object({
  purpose: Joi.string().trim().allow('').max(120).default('').messages({ '*': 'Say in at most 120 characters what this steaming is for.' }),
  plan: Joi.string().uuid().allow(null).messages({ '*': 'plan: give the id of the plan it is started from, or null for none.' }),
  public: Joi.boolean().default(false).messages({ '*': 'public: true for public running, false for any other.' }),
  occasion: occasionSchema,
  reason: Joi.string().trim().max(1000).messages({ '*': 'Write the reason in at most 1000 characters.' })
}).messages({
  'object.unknown':
    'A steaming is started with a purpose, whether it is public, a plan when it has one, its occasion and, where something stops the engine, a reason; nothing else.'
});

/** Starts a steaming. What stops the engine is answered as 409 with its reasons. */
export const POST = answers<RequestEvent>(async ({ request, params, locals }) => {
  const member = need(locals, 'start steaming');
  const asked = check<{ occasion?: OccasionKey; purpose: string; plan?: string | null; reason?: string; public: boolean }>(
    schema,
    await readJson(request)
  );
  return json(await startSteaming(member, needId(params.id), asked), { status: 201 });
});
