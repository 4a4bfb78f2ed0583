import Joi from 'joi';
import { expectation, type Field, fieldAt, type Group, type Problem } from './fields';

/** The Joi schema of a field. Unknown keys are refused, so that a misspelt one is not lost in silence. */
export function joiOf(field: Field): Joi.Schema {
  const schema = present(field);
  return field.absent ? schema.optional() : schema;
}

function present(field: Field): Joi.Schema {
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
    case 'number': {
      const schema = (field.whole ? Joi.number().integer() : Joi.number()).min(field.min).max(field.max).required();
      return field.optional ? schema.allow(null) : schema;
    }
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
    case 'texts':
      return Joi.array().items(Joi.string().trim().min(1).max(field.longest)).min(field.min).max(field.max).required();
    case 'glass':
      return Joi.alternatives(Joi.number().min(0).max(1), Joi.valid('bottom nut', 'top nut', 'not seen')).required();
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

function groupJoi(g: Group, more: Record<string, Joi.Schema> = {}) {
  let schema = Joi.object({ ...more, ...Object.fromEntries(Object.entries(g.fields).map(([key, f]) => [key, joiOf(f)])) }).required();
  if (g.oneOf) schema = schema.or(...g.oneOf);
  for (const [key, other] of Object.entries(g.together ?? {})) schema = schema.with(key, other);
  return schema;
}

const goesWith = (field: Field, main: string, peer: string): string => {
  const label = (key: string) => (field.type === 'group' && field.fields[key]?.label) || key;
  return `${label(main)}: give with it “${label(peer)}”${field.type === 'group' && (field.fields[peer] as { optional?: boolean }).optional ? ', or null when it is not known' : ''}.`;
};

/** What Joi found, each told in the sentence of the field it belongs to: what that field takes. */
export const problemsOf = (root: Field, error: Joi.ValidationError, document: unknown): Problem[] =>
  error.details.map(({ path, type, context }) => ({
    path: path.join('.'),
    sentence:
      type === 'object.unknown'
        ? `There is no “${path.at(-1)}” in ${fieldAt(root, path.slice(0, -1), document).label.toLowerCase()}: check its spelling or leave it out.`
        : type === 'object.with'
          ? goesWith(fieldAt(root, path, document), String(context?.main), String(context?.peer))
          : expectation(fieldAt(root, path, document))
  }));
