import Joi from 'joi';
import { print, type Quantity, usualUnits } from '../units';

/**
 * A description of one part of a document. The same description gives the TypeScript type (`Infer`), the validation
 * (`joiOf`) and, in the interface, the form that edits it.
 */
export type Field =
  | { type: 'quantity'; label: string; quantity: Quantity; min: number; max: number; optional: boolean; help?: string }
  | { type: 'number'; label: string; min: number; max: number; whole: boolean; help?: string }
  | { type: 'choice'; label: string; options: Readonly<Record<string, string>>; help?: string }
  | { type: 'flag'; label: string; help?: string }
  | { type: 'text'; label: string; min: number; max: number; help?: string }
  | Group
  | { type: 'list'; label: string; each: string; of: Group; min: number; max: number; help?: string }
  | {
      type: 'union';
      label: string;
      by: string;
      cases: Readonly<Record<string, Group>>;
      names: Readonly<Record<string, string>>;
      help?: string;
    };

export interface Group {
  type: 'group';
  label: string;
  fields: Readonly<Record<string, Field>>;
  help?: string;
}

/** The TypeScript type of the document that a field describes. */
export type Infer<F> = F extends { type: 'quantity'; optional: infer O }
  ? O extends true
    ? number | null
    : number
  : F extends { type: 'number' }
    ? number
    : F extends { type: 'choice'; options: infer O }
      ? keyof O & string
      : F extends { type: 'flag' }
        ? boolean
        : F extends { type: 'text' }
          ? string
          : F extends { type: 'group'; fields: infer G }
            ? { -readonly [K in keyof G]: Infer<G[K]> }
            : F extends { type: 'list'; of: infer G }
              ? Infer<G>[]
              : F extends { type: 'union'; by: infer B extends string; cases: infer C }
                ? { [K in keyof C]: { [P in B]: K } & Infer<C[K]> }[keyof C]
                : never;

export const quantity = <Q extends Quantity>(label: string, q: Q, min: number, max: number, help?: string) =>
  ({ type: 'quantity', label, quantity: q, min, max, optional: false, help }) as const;
export const maybe = <F extends { optional: boolean }>(field: F) =>
  ({ ...field, optional: true }) as Omit<F, 'optional'> & { optional: true };
export const number = (label: string, min: number, max: number, help?: string) =>
  ({ type: 'number', label, min, max, whole: false, help }) as const;
export const count = (label: string, min: number, max: number, help?: string) =>
  ({ type: 'number', label, min, max, whole: true, help }) as const;
export const choice = <O extends Record<string, string>>(label: string, options: O, help?: string) =>
  ({ type: 'choice', label, options, help }) as const;
export const flag = (label: string, help?: string) => ({ type: 'flag', label, help }) as const;
export const text = (label: string, min: number, max: number, help?: string) => ({ type: 'text', label, min, max, help }) as const;
export const group = <G extends Record<string, Field>>(label: string, fields: G, help?: string) =>
  ({ type: 'group', label, fields, help }) as const;
export const list = <G extends Group>(label: string, each: string, of: G, min: number, max: number, help?: string) =>
  ({ type: 'list', label, each, of, min, max, help }) as const;
export const union = <B extends string, C extends Record<string, Group>>(label: string, by: B, cases: C, help?: string) =>
  ({ type: 'union', label, by, cases, names: Object.fromEntries(Object.entries(cases).map(([k, g]) => [k, g.label])), help }) as const;

/** What a field takes, in a sentence: shown at the field and answered by the API. */
export function expectation(field: Field): string {
  switch (field.type) {
    case 'quantity': {
      const [a, b] = [print(field.min, field.quantity, usualUnits), print(field.max, field.quantity, usualUnits)];
      return `${field.label}: give a ${field.quantity === 'mass' ? 'weight' : field.quantity} between ${a.figure} ${a.unit} and ${b.figure} ${b.unit}.`;
    }
    case 'number':
      return `${field.label}: give a ${field.whole ? 'whole ' : ''}number between ${field.min} and ${field.max}.`;
    case 'choice':
      return `${field.label}: choose one of ${Object.values(field.options).join(', ')}.`;
    case 'flag':
      return `${field.label}: say yes or no.`;
    case 'text':
      return field.min > 0
        ? `${field.label}: write ${field.min} to ${field.max} characters.`
        : `${field.label}: at most ${field.max} characters.`;
    case 'list':
      return `${field.label}: ${field.min === field.max ? field.min : `${field.min} to ${field.max}`} of these.`;
    case 'union':
      return `${field.label}: choose one of ${Object.values(field.names).join(', ')}.`;
    case 'group':
      return `${field.label} is missing.`;
  }
}

/** The Joi schema of a field. Unknown keys are refused, so that a misspelt one is not lost in silence. */
export function joiOf(field: Field): Joi.Schema {
  switch (field.type) {
    case 'quantity': {
      // A hair of slack: 100 psi typed, stored in pascal and read back must not fall outside "up to 100 psi".
      const slack = 1e-9 * Math.max(Math.abs(field.min), Math.abs(field.max));
      const schema = Joi.number()
        .min(field.min - slack)
        .max(field.max + slack)
        .unsafe()
        .required();
      return field.optional ? schema.allow(null) : schema;
    }
    case 'number':
      return (field.whole ? Joi.number().integer() : Joi.number()).min(field.min).max(field.max).required();
    case 'choice':
      return Joi.string()
        .valid(...Object.keys(field.options))
        .required();
    case 'flag':
      return Joi.boolean().strict().required();
    case 'text':
      return field.min > 0
        ? Joi.string().trim().min(field.min).max(field.max).required()
        : Joi.string().trim().allow('').max(field.max).required();
    case 'group':
      return groupJoi(field);
    case 'list':
      // Optional items: a required item schema would ask for at least one.
      return Joi.array().items(joiOf(field.of).optional()).min(field.min).max(field.max).required();
    case 'union':
      return Object.entries(field.cases).reduce<Joi.AlternativesSchema>(
        (schema, [name, g]) =>
          schema.conditional(Joi.object({ [field.by]: Joi.valid(name).required() }).unknown(), {
            then: groupJoi(g, { [field.by]: Joi.string().required() })
          }),
        Joi.alternatives().required()
      );
  }
}

const groupJoi = (g: Group, more: Record<string, Joi.Schema> = {}) =>
  Joi.object({ ...more, ...Object.fromEntries(Object.entries(g.fields).map(([key, f]) => [key, joiOf(f)])) }).required();

/** The description that stands at a path of a document, or of the nearest one above it. */
export function fieldAt(field: Field, path: readonly (string | number)[], document: unknown): Field {
  const [key, ...rest] = path;
  if (key === undefined) return field;
  const inside = (document as Record<string | number, unknown> | null | undefined)?.[key];
  switch (field.type) {
    case 'group':
      return field.fields[key] ? fieldAt(field.fields[key], rest, inside) : field;
    case 'list':
      return typeof key === 'number' ? fieldAt(field.of, rest, inside) : field;
    case 'union': {
      const chosen = field.cases[String((document as Record<string, unknown> | undefined)?.[field.by])];
      return chosen && key !== field.by ? fieldAt(chosen, path, document) : field;
    }
    default:
      return field;
  }
}

/** What Joi found, each told in the sentence of the field it belongs to: what that field takes. */
export const problemsOf = (root: Field, error: Joi.ValidationError, document: unknown): Problem[] =>
  error.details.map(({ path, type }) => ({
    path: path.join('.'),
    sentence:
      type === 'object.unknown'
        ? `There is no “${path.at(-1)}” in ${fieldAt(root, path.slice(0, -1), document).label.toLowerCase()}: check its spelling or leave it out.`
        : expectation(fieldAt(root, path, document))
  }));

/** What is wrong with a document, and where. */
export interface Problem {
  /** Path into the document, such as `boiler.barrelDiameter` or `feeds.1.rate`. */
  readonly path: string;
  readonly sentence: string;
}
