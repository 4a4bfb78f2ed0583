import type { Kind, Source, Worked, WorkedInput, WorkedStep } from './worked';

/**
 * A sum as data: numbers with names, and what is done with them. The words of a working are printed from it and its value
 * is worked out from it, so that the two cannot part.
 */
export type Expression = WorkedInput | { readonly op: Op; readonly of: readonly Expression[] };

interface Row {
  readonly of: (values: readonly number[]) => number;
  readonly said: (parts: readonly string[]) => string;
  /** How tightly it binds; what binds less loosely is bracketed inside it. */
  readonly binds: number;
}
const between = (sign: string) => (parts: readonly string[]) => parts.join(` ${sign} `);
const ops = {
  '+': { of: (v) => v.reduce((a, b) => a + b), said: between('+'), binds: 1 },
  '−': { of: (v) => v.reduce((a, b) => a - b), said: between('−'), binds: 1 },
  '×': { of: (v) => v.reduce((a, b) => a * b), said: between('×'), binds: 2 },
  '÷': { of: (v) => v.reduce((a, b) => a / b), said: between('÷'), binds: 2 },
  'whole, rounded up': { of: ([x]) => Math.ceil(x!), said: ([x]) => `${x} rounded up`, binds: 3 },
  'whole, rounded down': { of: ([x]) => Math.floor(x!), said: ([x]) => `${x} rounded down`, binds: 3 },
  'to the power of': { of: ([x, y]) => x! ** y!, said: between('to the power of'), binds: 2.5 },
  'the lesser': { of: (v) => Math.min(...v), said: (parts) => `the lesser of ${parts.join(' and ')}`, binds: 0 },
  'the greater': { of: (v) => Math.max(...v), said: (parts) => `the greater of ${parts.join(' and ')}`, binds: 0 }
} satisfies Record<string, Row>;
export type Op = keyof typeof ops;

const isInput = (e: Expression): e is WorkedInput => 'name' in e;

/** Its value, in the SI units of its inputs. */
export const evaluate = (e: Expression): number => (isInput(e) ? e.value : ops[e.op].of(e.of.map(evaluate)));

/** It in words: `first fill + running × steam made`. What binds less, or as loosely after a minus or ÷, stands in brackets. */
export function inWords(e: Expression): string {
  if (isInput(e)) return e.name;
  const { said, binds } = ops[e.op];
  return said(
    e.of.map((part, i) => {
      const text = inWords(part);
      if (isInput(part)) return text;
      const inner = ops[part.op].binds;
      if (binds === 0) return inner === 0 ? `(${text})` : text;
      const apart = e.op === 'to the power of' || ((e.op === '−' || e.op === '÷') && i > 0);
      return inner < binds || (apart && inner === binds) || (binds === 2 && part.op === '÷' && i > 0) ? `(${text})` : text;
    })
  );
}

/** Every number in it, once. */
export function inputsOf(e: Expression): WorkedInput[] {
  const all = isInput(e) ? [e] : e.of.flatMap(inputsOf);
  return all.filter((x, i) => all.findIndex((y) => y.name === x.name) === i);
}

/** A number with a name, of some kind, from somewhere. */
export const given = (name: string, value: number, kind: Kind, from: Source): WorkedInput => ({ name, value, kind, from });

/** What an earlier line came to, as a number of a later one. */
export const above = ({ result }: WorkedStep): WorkedInput => ({ ...result, from: 'above' });

/** A line of a working: the sum in words, its numbers, and what it comes to. */
export const line = (name: string, kind: Kind, sum: Expression): WorkedStep => ({
  formula: `${name} = ${inWords(sum)}`,
  sum,
  inputs: inputsOf(sum),
  result: { name, value: evaluate(sum), kind }
});

/** A line that a model answers: what it is asked, what it is told, and what it says. */
export const asked = (name: string, kind: Kind, model: string, value: number, inputs: readonly WorkedInput[]): WorkedStep => ({
  formula: `${name} = ${model}`,
  model,
  inputs,
  result: { name, value, kind }
});

/** A figure from the lines of its working: what it comes to is what the last of them says. */
export const workedFrom = (steps: readonly WorkedStep[], sure: Worked['sure'], caution?: string): Worked => {
  const { value, kind } = steps.at(-1)!.result;
  return { value, kind, sure, steps, ...(caution ? { caution } : {}) };
};

const op =
  (name: Op) =>
  (...of: Expression[]): Expression => ({ op: name, of });
export const plus = op('+');
export const minus = op('−');
export const times = op('×');
export const over = op('÷');
export const roundedUp = op('whole, rounded up');
export const roundedDown = op('whole, rounded down');
export const greater = op('the greater');
export const lesser = op('the lesser');
export const toThePower = op('to the power of');
