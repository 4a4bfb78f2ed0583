import { isDay, Refusal, type RefusalCode } from '$core/units';
import { error, fail, json } from '@sveltejs/kit';
import Joi from 'joi';
import { allowed, type Member, type Right } from './members';
import { parseJson } from './parse-json';
import { checkText } from './text';

/** Largest body that an endpoint reads, bytes: a batch of 500 entries is about 150 kB, a record with 2,000 about 700. */
export const bodyLimit = 2 * 1024 * 1024;

/** The one place where a refusal becomes a status. */
const statuses: Record<RefusalCode, number> = {
  invalid: 400,
  forbidden: 403,
  missing: 404,
  conflict: 409,
  'too large': 413,
  'too often': 429
};

/** A refusal, or what the database refuses as data that it cannot hold (class 22: out of range, no such moment); nothing for a fault of ours. */
function asRefusal(problem: unknown): Refusal | undefined {
  if (problem instanceof Refusal) return problem;
  const { code } = problem as { code?: string };
  return typeof code === 'string' && /^22...$/.test(code)
    ? new Refusal('body', 'A number or a time in this is beyond what can be kept: look at it again.')
    : undefined;
}

type Handler<E, R> = (event: E) => R | Promise<R>;

/** An endpoint whose refusals become answers: the field that is wrong, the sentence that says what is expected, and what goes with it. */
export const answers =
  <E>(handler: Handler<E, Response>) =>
  async (event: E): Promise<Response> => {
    try {
      return await handler(event);
    } catch (problem) {
      const refusal = asRefusal(problem);
      if (!refusal) throw problem;
      const { field, sentence, code, more } = refusal;
      const response = json({ code, field, sentence, ...more }, { status: statuses[code] });
      // The rest of a body that is too long is not read, so the connection cannot be used again.
      if (code === 'too large') response.headers.set('connection', 'close');
      if (code === 'too often') response.headers.set('retry-after', String(more.seconds ?? 10));
      return response;
    }
  };

/** The same for a form: what is refused comes back to the form `at` which it was sent, beside its field. */
export const acts =
  <E, R>(at: string, action: Handler<E, R>) =>
  async (event: E) => {
    try {
      return await action(event);
    } catch (problem) {
      const refusal = asRefusal(problem);
      if (!refusal) throw problem;
      return fail(statuses[refusal.code], { at, field: refusal.field, problem: refusal.sentence });
    }
  };

/** The signed-in member, or 401. */
export function need(locals: App.Locals, right?: Right): Member {
  if (!locals.member) error(401, { message: 'Sign in first.' });
  if (right && !allowed(locals.member, right))
    error(403, { message: `Your role does not allow this (${right}).`, then: 'Ask the club’s owner or a steward.' });
  return locals.member;
}

/** Largest record that is brought in, bytes. */
export const recordLimit = 32 * 1024 * 1024;

/** What some work gives, or why it was refused: for a page that shows both. */
export function orRefusal<T>(work: () => T): T | Refusal {
  try {
    return work();
  } catch (problem) {
    if (problem instanceof Refusal) return problem;
    throw problem;
  }
}

/** A body of bounded size. @throws Refusal when it is too long */
export async function readText(request: Request, limit = bodyLimit): Promise<string> {
  const tooLong = () => new Refusal('body', `The body is over ${limit / 1024 / 1024} MB: send less at once.`, { code: 'too large' });
  if (Number(request.headers.get('content-length') ?? 0) > limit) throw tooLong();
  let text: string;
  try {
    text = await request.text();
  } catch (problem) {
    if ((problem as { status?: number }).status === 413) throw tooLong();
    throw problem;
  }
  if (text.length > limit) throw tooLong();
  return text;
}

/** Reads a JSON body of bounded size. @param whole refuse all of it for one text that cannot be kept @throws Refusal when it is too long, or no JSON */
export async function readJson(request: Request, limit = bodyLimit, { whole = true } = {}): Promise<unknown> {
  const parsed = parseJson(await readText(request, limit));
  if ('problem' in parsed) throw new Refusal('body', parsed.problem);
  if (whole) checkText(parsed.value);
  return parsed.value;
}

/** A day as 2026-06-13. (Joi's own isoDate turns it into a moment.) */
export const isoDay = (sentence: string) =>
  Joi.string()
    .custom((day: string, helpers) => (isDay(day) ? day : helpers.error('any.invalid')))
    .messages({ '*': sentence });

/** Input as a schema takes it. @throws Refusal with the first field that is wrong and its sentence */
export function check<T>(schema: Joi.Schema, value: unknown): T {
  const result = schema.validate(value, { abortEarly: true, convert: true });
  if (!result.error) return result.value as T;
  const detail = result.error.details[0]!;
  throw new Refusal(
    detail.path.join('.') || 'body',
    detail.message.endsWith('.') ? detail.message : `${detail.message.replace(/"/g, '“').replace(/^“(.*?)“/, '“$1”')}.`
  );
}

const uuid = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/i;
/** An id from the path: one that cannot be an id is one that is not there. */
export function needId(id: string): string {
  if (!uuid.test(id)) error(404, { message: 'There is nothing here by that name.' });
  return id;
}
export const notHere = (what: string): never =>
  error(404, { message: `There is no such ${what} in this club.`, then: 'Go back to the Yard.' });
