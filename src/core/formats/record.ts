import Joi from 'joi';
import { type FitOut, fitOutOf } from '../engine';
import { checkFitOut } from '../engine/check';
import { type Problem, type Rung, upcast } from '../form';
import { type Begun, type Entry, inOrder, kindNames } from '../log';
import { bodySchemas, entrySchema } from '../log/check';
import { type Procedure, procedureOf } from '../procedure';
import { Refusal } from '../units';
import { begunSchema, instant, procedureSchema, words } from './begun';

/** What is written today; records of earlier versions are brought up to it. */
export const recordFormat = 'joram.record/2';

/** An entry as it is kept: with when the server took it in. */
export type KeptEntry = Entry & { readonly receivedAt: string };

/** A steaming as one document: what it was run with, and its whole log. Nothing in it depends on the club it is read in. */
export interface RecordDocument {
  readonly format: typeof recordFormat;
  /** The club in which it was steamed. */
  readonly club: string;
  readonly steaming: {
    readonly id: string;
    readonly engine: string;
    readonly keeper: string;
    readonly purpose: string;
    readonly wantedAt: string | null;
    readonly startedAt: string;
    readonly endedAt: string | null;
    readonly override: { readonly reason: string; readonly of: readonly string[]; readonly by: string } | null;
    /** What it was begun with; a record of an earlier version has none. */
    readonly begun?: Begun | null;
  };
  readonly fitOut: FitOut;
  readonly procedure: Procedure;
  readonly entries: readonly KeptEntry[];
}

const kept = entrySchema.keys({
  by: words(120),
  receivedAt: instant(),
  clock: Joi.object({ said: instant(), ahead: Joi.number().integer() }),
  ahead: Joi.forbidden(),
  source: Joi.valid('person', 'device', 'practice').required()
});

/** The schema of the document; the fit-out in it is checked by its own. */
export const recordSchema = Joi.object({
  format: Joi.valid(recordFormat).required(),
  club: words(120),
  steaming: Joi.object({
    id: Joi.string().uuid().required(),
    engine: words(80),
    keeper: words(120),
    purpose: Joi.string().allow('').max(120).required(),
    wantedAt: Joi.string().isoDate().allow(null).required(),
    startedAt: instant(),
    endedAt: Joi.string().isoDate().allow(null).required(),
    override: Joi.object({ reason: words(1000), of: Joi.array().items(Joi.string().max(2200)).max(80).required(), by: words(120) })
      .allow(null)
      .required(),
    begun: begunSchema.allow(null)
  }).required(),
  fitOut: Joi.object().unknown().required(),
  procedure: procedureSchema.required(),
  entries: Joi.array().items(kept).required()
});

/**
 * The same with every kind of entry spelt out beside its body: what the published JSON Schema is made from, which has no
 * word for “depends on”. Checking goes by `recordSchema`, whose refusals name the field.
 */
export const recordSchemaByKind = recordSchema.keys({
  entries: Joi.array()
    .items(...kindNames.map((kind) => kept.keys({ kind: Joi.valid(kind).required(), at: instant(), body: bodySchemas[kind].required() })))
    .required()
});

const sentenceOf = ({ type, message, path, context }: Joi.ValidationErrorItem): string => {
  const where = path.join('.') || 'document';
  if (type === 'any.required') return `${where} is missing.`;
  if (type === 'object.unknown') return `${where} is not known in a Joram record: check its spelling.`;
  if (type === 'any.only')
    return `${where} must be ${context?.valids?.length === 1 ? `“${context.valids[0]}”` : `one of ${(context?.valids ?? []).slice(0, 20).join(', ')}`}.`;
  return `${where} ${message.replace(/^"[^"]*" /, '')}.`;
};

const ladder: readonly Rung[] = [
  {
    // Steps did not say what they set.
    from: 'joram.record/1',
    to: recordFormat,
    up: (record) => {
      const fitOut = fitOutOf(record.fitOut);
      return { ...record, fitOut, procedure: procedureOf(record.procedure, fitOut) };
    }
  }
];
const today = (document: unknown) => upcast<RecordDocument>(document, { at: 'format', today: recordFormat, ladder, given: undefined });

/**
 * Checks a record that came from outside.
 * @returns the record, or every problem with its path (the first twenty)
 */
export function checkRecord(given: unknown): { record: RecordDocument } | { problems: Problem[] } {
  let document = given;
  try {
    document = today(given);
  } catch (problem) {
    if (problem instanceof Refusal && problem.field === 'format') return { problems: [{ path: 'format', sentence: problem.message }] };
    // Anything else that cannot be brought up to date is told by the checks below, field by field.
    if (!(problem instanceof Refusal || problem instanceof TypeError)) throw problem;
  }
  const { error } = recordSchema.validate(document, { abortEarly: false, convert: false });
  // Times arrive as text; Joi's date accepts them only when it may convert, so entries are checked with it on.
  const problems = (error?.details ?? [])
    .filter((d) => !/^entries\.\d+\.at$/.test(d.path.join('.')))
    .map((d) => ({ path: d.path.join('.'), sentence: sentenceOf(d) }));
  const record = document as RecordDocument;
  if (problems.length === 0) {
    record.entries.forEach((entry, i) => {
      if (typeof entry.at !== 'string' || Number.isNaN(Date.parse(entry.at)) || !/^\d{4}-\d\d-\d\dT/.test(entry.at))
        problems.push({ path: `entries.${i}.at`, sentence: `entries.${i}.at is not a time: write it as 2026-06-13T10:31:00.000Z.` });
    });
    const fitOut = checkFitOut(record.fitOut);
    if ('problems' in fitOut) problems.push(...fitOut.problems.map((p) => ({ path: `fitOut.${p.path}`, sentence: p.sentence })));
    const seen = new Set<string>();
    record.entries.forEach(({ id }, i) =>
      seen.has(id) ? problems.push({ path: `entries.${i}.id`, sentence: `Entry ${i} has the id of an earlier one.` }) : seen.add(id)
    );
  }
  return problems.length ? { problems: problems.slice(0, 20) } : { record };
}

/** Makes the document. Entries stand in the order of the log. */
export const recordDocument = (parts: Omit<RecordDocument, 'format'>): RecordDocument => ({
  format: recordFormat,
  ...parts,
  entries: [...parts.entries].sort(inOrder)
});
