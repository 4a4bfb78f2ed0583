import type { RequestEvent } from './$types';
import { type BuildSaid, builtAs, type BuiltAs, stageKeys, type StageKey } from '$core/commission';
import { acts, check, need, needId, notHere } from '$server/answer';
import { buildPage, tellBuild } from '$server/build';
import type { Right } from '$server/members';
import Joi from 'joi';

export const load = async ({ params, locals }) => {
  const { club } = need(locals);
  const id = needId(params.id);
  const page = await buildPage(club, id);
  return page ? { ...page, id, now: Date.now() } : notHere('engine');
};

const reason = Joi.string().trim().max(1000).allow('').default('').messages({ '*': 'Say why, in at most 1000 characters.' });
const schemas = {
  begun: Joi.object({
    has: Joi.valid(...Object.keys(builtAs))
      .required()
      .messages({ '*': 'Say what there is of it.' })
  }),
  skipped: Joi.object({
    stage: Joi.valid(...stageKeys)
      .required()
      .messages({ '*': 'Say which stage is left out.' }),
    reason
  }),
  stopped: Joi.object({ reason }),
  released: Joi.object({
    note: Joi.string().trim().max(2000).allow('').default('').messages({ '*': 'Say it in at most 2000 characters.' })
  })
};
const says = <K extends keyof typeof schemas>(kind: K, right: Right, said: (body: Record<string, string>) => BuildSaid) =>
  acts(kind, async ({ request, params, locals }: RequestEvent) => {
    const member = need(locals, right);
    const body = check<Record<string, string>>(schemas[kind], Object.fromEntries(await request.formData()));
    await tellBuild(member, needId(params.id), said(body));
    return { at: kind, done: true };
  });

export const actions = {
  begun: says('begun', 'edit engines', ({ has }) => ({ kind: 'begun', body: { has: has as BuiltAs } })),
  skipped: says('skipped', 'edit engines', ({ stage, reason }) => ({
    kind: 'skipped',
    body: { stage: stage as StageKey, reason: reason! }
  })),
  stopped: says('stopped', 'override', ({ reason }) => ({ kind: 'stopped', body: { reason: reason! } })),
  released: says('released', 'sign as examiner', ({ note }) => ({ kind: 'released', body: { note: note!, left: [] } }))
};
