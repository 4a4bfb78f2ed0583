import { type FitOut, fitOutField, patterns } from '$core/engine';
import type { Field } from '$core/form';

/** A document of a field's shape to start from: the smallest that it takes, to be filled in. */
export function blank(field: Field): unknown {
  switch (field.type) {
    case 'quantity':
      return field.optional ? null : field.min;
    case 'number':
      return field.optional ? null : field.min;
    case 'choice':
      return Object.keys(field.options)[0];
    case 'flag':
      return false;
    case 'text':
      return '';
    case 'group':
      return Object.fromEntries(Object.entries(field.fields).map(([key, f]) => [key, blank(f)]));
    case 'list':
      return Array.from({ length: field.min }, () => blank(field.of));
    case 'union': {
      const [name, group] = Object.entries(field.cases)[0]!;
      return { [field.by]: name, ...(blank(group) as object) };
    }
  }
}

/** Boilers that no pattern has, with dimensions that fit together. */
export const boilers: Readonly<Record<string, FitOut['boiler']>> = {
  'return flue': {
    form: 'return flue',
    diameter: 0.2,
    length: 0.5,
    flueDiameter: 0.09,
    flueCentre: 0.06,
    returnDiameter: 0.05,
    returnCentre: 0.1
  },
  marine: {
    form: 'marine',
    diameter: 0.2,
    length: 0.34,
    flueDiameter: 0.075,
    flueCentre: 0.05,
    chamber: 0.06,
    tubes: { count: 14, diameter: 0.0127, low: 0.1, high: 0.128 }
  }
};

/** Another case of a union, taken from a pattern that has it where there is one: dimensions that fit together. */
export function caseOf(field: Extract<Field, { type: 'union' }>, name: string): unknown {
  const at = Object.entries(fitOutField.fields).find(([, f]) => f === field)?.[0];
  const like = patterns
    .map(({ fitOut }) => Object.entries<unknown>({ ...fitOut }).find(([key]) => key === at)?.[1])
    .find((v) => typeof v === 'object' && v !== null && Object.entries(v).some(([key, value]) => key === field.by && value === name));
  if (!like && at === 'boiler' && boilers[name]) return structuredClone(boilers[name]);
  return like ? structuredClone(like) : { [field.by]: name, ...(blank(field.cases[name]!) as object) };
}
