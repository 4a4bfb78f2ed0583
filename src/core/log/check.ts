import Joi from 'joi';
import type { Problem } from '../form';
import { joiOf, problemsOf } from '../form/joi';
import type { Entry } from './entry';
import { type Kind, kindNames, kinds } from './kinds';

/** The schema of each kind's body: the same on the phone, at the server and in the published JSON Schema. */
export const bodySchemas = Object.fromEntries(kindNames.map((kind) => [kind, joiOf(kinds[kind].fields)])) as Record<Kind, Joi.ObjectSchema>;

const instant = Joi.date().iso().min('2000-01-01').max('2100-01-01');

/** An entry as a client sends it. */
export const entrySchema = Joi.object({
  id: Joi.string().uuid().required(),
  kind: Joi.valid(...kindNames).required(),
  at: instant.required(),
  source: Joi.valid('person', 'device', 'practice').default('person'),
  ahead: Joi.number()
    .integer()
    .min(-4e12)
    .max(4e12)
    .messages({ '*': 'must be how far the device’s clock is ahead of the server’s, in whole milliseconds' }),
  strikes: Joi.string().uuid().when('kind', { is: 'strike', then: Joi.required() }),
  body: Joi.any()
    .required()
    .when('kind', { switch: kindNames.map((kind) => ({ is: kind, then: bodySchemas[kind] })) }),
  by: Joi.string().trim().max(120)
});
const oneEntry = entrySchema.required();

const readable: Record<string, string> = {
  'any.required': 'is missing',
  'any.only': 'is not one of the values that are allowed',
  'object.unknown': 'is not known here',
  'date.base': 'is not a time: write it as 2026-06-13T10:31:00.000Z',
  'date.format': 'is not a time: write it as 2026-06-13T10:31:00.000Z',
  'date.min': 'is before the year 2000',
  'date.max': 'is after the year 2100',
  'string.guid': 'is not a UUID'
};

/**
 * Checks one entry as it comes from outside.
 * @returns the entry with its time as ISO 8601 in UTC, or the field and a sentence
 */
export function checkEntry(
  document: unknown
): { entry: Omit<Entry, 'by'> & { by?: string; ahead?: number } } | { field: string; sentence: string } {
  const { error, value } = oneEntry.validate(document);
  if (!error) return { entry: { ...value, at: (value.at as Date).toISOString() } };
  const detail = error.details[0]!;
  const field = detail.path.join('.') || 'entry';
  const { kind, body } = (document ?? {}) as { kind: Kind; body: unknown };
  // What is wrong inside a body is told in the words of its own field.
  if (detail.path[0] === 'body' && Object.hasOwn(kinds, kind) && body && typeof body === 'object') {
    const inside = bodySchemas[kind].validate(body).error;
    if (inside) {
      const [{ path, sentence }] = problemsOf(kinds[kind].fields, inside, body) as [Problem];
      return { field: path ? `body.${path}` : 'body', sentence: `The entry’s ${kind} cannot be taken as it is. ${sentence}` };
    }
  }
  return { field, sentence: `The entry’s ${field} ${readable[detail.type] ?? detail.message.replace(/^".*?" /, '')}.` };
}
