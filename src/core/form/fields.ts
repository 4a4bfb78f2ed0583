import { type Glass, print, quantities, type Quantity, usualUnits } from '../units';

/**
 * A description of one part of a document. The same description gives the TypeScript type (`Infer`), the validation
 * (`joiOf`) and, in the interface, the form that edits it.
 */
export type Field = (
  | { type: 'quantity'; label: string; quantity: Quantity; min: number; max: number; optional: boolean; help?: string }
  | { type: 'number'; label: string; min: number; max: number; whole: boolean; optional: boolean; help?: string }
  | { type: 'choice'; label: string; options: Readonly<Record<string, string>>; help?: string }
  | { type: 'flag'; label: string; help?: string }
  | { type: 'text'; label: string; min: number; max: number; help?: string }
  | { type: 'texts'; label: string; min: number; max: number; longest: number; help?: string }
  | { type: 'glass'; label: string; help?: string }
  | Group
  | { type: 'list'; label: string; each: string; of: Group; min: number; max: number; help?: string }
  | {
      type: 'union';
      label: string;
      by: string;
      cases: Readonly<Record<string, Group>>;
      names: Readonly<Record<string, string>>;
      help?: string;
    }
) & { absent?: true };

export interface Group {
  type: 'group';
  label: string;
  fields: Readonly<Record<string, Field>>;
  help?: string;
  /** At least one of these is there. */
  oneOf?: readonly string[];
  /** A field that is there only together with another. */
  together?: Readonly<Record<string, string>>;
  absent?: true;
}

/** The TypeScript type of the document that a field describes. */
export type Infer<F> = F extends { type: 'quantity' | 'number'; optional: infer O }
  ? O extends true
    ? number | null
    : number
  : F extends { type: 'choice'; options: infer O }
    ? keyof O & string
    : F extends { type: 'flag' }
      ? boolean
      : F extends { type: 'text' }
        ? string
        : F extends { type: 'texts' }
          ? string[]
          : F extends { type: 'glass' }
            ? Glass
            : F extends { type: 'group'; fields: infer G }
              ? Members<G>
              : F extends { type: 'list'; of: infer G }
                ? Infer<G>[]
                : F extends { type: 'union'; by: infer B extends string; cases: infer C }
                  ? { [K in keyof C]: { [P in B]: K } & Infer<C[K]> }[keyof C]
                  : never;

/** Fields that may be left out are keys that may be missing; a document without any is one plain object type. */
type Members<G> = { -readonly [K in keyof G as G[K] extends { absent: true } ? never : K]: Infer<G[K]> } & {
  -readonly [K in keyof G as G[K] extends { absent: true } ? K : never]?: Infer<G[K]>;
};

/** The same field, that may be left out altogether. */
export const optional = <F extends object>(field: F) => ({ ...field, absent: true }) as F & { absent: true };
export const quantity = <Q extends Quantity>(label: string, q: Q, min: number, max: number, help?: string) =>
  ({ type: 'quantity', label, quantity: q, min, max, optional: false, help }) as const;
export const maybe = <F extends { optional: boolean }>(field: F) =>
  ({ ...field, optional: true }) as Omit<F, 'optional'> & { optional: true };
export const number = (label: string, min: number, max: number, help?: string) =>
  ({ type: 'number', label, min, max, whole: false, optional: false, help }) as const;
export const count = (label: string, min: number, max: number, help?: string) =>
  ({ type: 'number', label, min, max, whole: true, optional: false, help }) as const;
export const choice = <O extends Record<string, string>>(label: string, options: O, help?: string) =>
  ({ type: 'choice', label, options, help }) as const;
export const flag = (label: string, help?: string) => ({ type: 'flag', label, help }) as const;
export const text = (label: string, min: number, max: number, help?: string) => ({ type: 'text', label, min, max, help }) as const;
export const texts = (label: string, min: number, max: number, longest: number) => ({ type: 'texts', label, min, max, longest }) as const;
/** A level as a fraction of the glass, or by name when it is at or out of its ends. */
export const glass = (label: string) => ({ type: 'glass', label }) as const;
/** One of a list of words that say what they mean. */
export const oneWord = <const W extends string>(label: string, words: readonly W[]) =>
  choice(label, Object.assign({}, ...words.map((w) => ({ [w]: w }))) as Record<W, string>);
export const group = <G extends Record<string, Field>>(label: string, fields: G, more: Pick<Group, 'help' | 'oneOf' | 'together'> = {}) =>
  ({ type: 'group', label, fields, ...more }) as const;
export const list = <G extends Group>(label: string, each: string, of: G, min: number, max: number, help?: string) =>
  ({ type: 'list', label, each, of, min, max, help }) as const;
export const union = <B extends string, C extends Record<string, Group>>(label: string, by: B, cases: C, help?: string) =>
  ({ type: 'union', label, by, cases, names: Object.fromEntries(Object.entries(cases).map(([k, g]) => [k, g.label])), help }) as const;

/** What a field takes, in a sentence: shown at the field and answered by the API. */
export function expectation(field: Field): string {
  switch (field.type) {
    case 'quantity': {
      const [a, b] = [print(field.min, field.quantity, usualUnits), print(field.max, field.quantity, usualUnits)];
      const { name } = quantities[field.quantity];
      return `${field.label}: give a${/^[aeiou]/.test(name) ? 'n' : ''} ${name} between ${a.figure} ${a.unit} and ${b.figure} ${b.unit}.`;
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
    case 'texts':
      return `${field.label}: ${field.min} to ${field.max} sentences of at most ${field.longest} characters.`;
    case 'glass':
      return `${field.label}: give a fraction of the glass from 0 to 1, “bottom nut”, “top nut” or “not seen”.`;
    case 'group':
      return field.oneOf ? `${field.label}: give at least one of ${field.oneOf.join(', ')}.` : `${field.label} is missing.`;
  }
}

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

/** What is wrong with a document, and where. */
export interface Problem {
  /** Path into the document, such as `boiler.barrelDiameter` or `feeds.1.rate`. */
  readonly path: string;
  readonly sentence: string;
}
