import { error, json } from '@sveltejs/kit';
import Joi from 'joi';
import { allowed, type Member, type Right } from './members';

/** Largest body that an endpoint reads, bytes: a batch of 500 entries is about 150 kB, a record with 2,000 about 700. */
export const bodyLimit = 2 * 1024 * 1024;

/** A refusal with the field that is wrong and a sentence that says what is expected. */
export const refuse = (status: number, field: string, sentence: string, more: Record<string, unknown> = {}) =>
  json({ field, sentence, ...more }, { status });

/** The signed-in member, or 401. */
export function need(locals: App.Locals, right?: Right): Member {
  if (!locals.member) error(401, { message: 'Sign in first.' });
  if (right && !allowed(locals.member, right))
    error(403, { message: `Your role does not allow this (${right}).`, then: 'Ask the club’s owner or a steward.' });
  return locals.member;
}

/** Largest record that is brought in, bytes. */
export const recordLimit = 8 * 1024 * 1024;

/** Reads a JSON body of bounded size. */
export async function readJson(request: Request, limit = bodyLimit): Promise<{ value: unknown } | { response: Response }> {
  // The rest of such a body is not read, so the connection cannot be used again.
  const tooLong = () => {
    const response = refuse(413, 'body', `The body is over ${limit / 1024 / 1024} MB: send less at once.`);
    response.headers.set('connection', 'close');
    return { response };
  };
  if (Number(request.headers.get('content-length') ?? 0) > limit) return tooLong();
  let text: string;
  try {
    text = await request.text();
  } catch (problem) {
    if ((problem as { status?: number }).status === 413) return tooLong();
    throw problem;
  }
  if (text.length > limit) return tooLong();
  const parsed = parseJson(text);
  return 'problem' in parsed ? { response: refuse(400, 'body', parsed.problem) } : parsed;
}

/** Reads JSON; what is wrong is told with its line. */
export function parseJson(text: string): { value: unknown } | { problem: string } {
  try {
    return { value: JSON.parse(text) };
  } catch (problem) {
    return { problem: `This is not JSON: ${whereInJson(text, (problem as Error).message)}.` };
  }
}

/** Says which line of a text JSON stopped at. */
function whereInJson(text: string, message: string): string {
  // An engine that gives no position stopped at the end.
  const position = Number(/position (\d+)/.exec(message)?.[1] ?? text.length);
  return `line ${text.slice(0, position).split('\n').length}: ${message.replace(/ in JSON at position.*/, '')}`;
}

/** A day as 2026-06-13. (Joi's own isoDate turns it into a moment.) */
export const isoDay = (sentence: string) =>
  Joi.string()
    .pattern(/^\d{4}-\d\d-\d\d$/)
    .custom((day: string, helpers) => (Number.isNaN(Date.parse(day)) ? helpers.error('any.invalid') : day))
    .messages({ '*': sentence });

/** Checks input against a schema; the first thing wrong is answered with its field and sentence. */
export function check<T>(schema: Joi.Schema, value: unknown): { value: T } | { field: string; sentence: string } {
  const result = schema.validate(value, { abortEarly: true, convert: true });
  if (!result.error) return { value: result.value as T };
  const detail = result.error.details[0]!;
  return {
    field: detail.path.join('.') || 'body',
    sentence: detail.message.endsWith('.') ? detail.message : `${detail.message.replace(/"/g, '“').replace(/^“(.*?)“/, '“$1”')}.`
  };
}

const uuid = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/i;
/** An id from the path: one that cannot be an id is one that is not there. */
export function needId(id: string): string {
  if (!uuid.test(id)) error(404, { message: 'There is nothing here by that name.' });
  return id;
}
export const notHere = (what: string): never =>
  error(404, { message: `There is no such ${what} in this club.`, then: 'Go back to the Yard.' });
