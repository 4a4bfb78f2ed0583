import type { Field, Group } from '$core/form';

/** What was said of a sum as the query of an address: SI, and only what differs from what would usually be said. */
export function toQuery(inputs: Group, said: Record<string, unknown>, usual: Record<string, unknown>, engine: string | undefined): string {
  const query = new URLSearchParams();
  if (engine) query.set('engine', engine);
  for (const key of Object.keys(inputs.fields))
    if (typeof said[key] === 'number' && said[key] !== usual[key]) query.set(key, String(Number((said[key] as number).toPrecision(9))));
  return query.size ? `?${query}` : '';
}

const takes = (field: Field, x: number) =>
  (field.type === 'quantity' || field.type === 'number') && Number.isFinite(x) && x >= field.min && x <= field.max;

/** What an address says, over what would usually be said; what no field takes is as if it had not been said. */
export function fromQuery(inputs: Group, usual: Record<string, unknown>, query: URLSearchParams): Record<string, unknown> {
  const said = { ...usual };
  for (const [key, field] of Object.entries(inputs.fields)) {
    const text = query.get(key);
    if (text !== null && text.trim() !== '' && takes(field, Number(text))) said[key] = Number(text);
  }
  return said;
}

/** What is wrong with what was said, by field. */
export function wrongIn(inputs: Group, said: Record<string, unknown>, expected: (field: Field) => string): Map<string, string> {
  const problems = new Map<string, string>();
  for (const [key, field] of Object.entries(inputs.fields)) {
    const x = said[key];
    if (field.type === 'text') {
      const length = typeof x === 'string' ? x.trim().length : 0;
      if (length < field.min || length > field.max) problems.set(key, expected(field));
    }
    if (field.type !== 'quantity' && field.type !== 'number') continue;
    if (x === null && field.type === 'quantity' && field.optional) continue;
    const whole = field.type !== 'number' || !field.whole || Number.isInteger(x);
    if (typeof x !== 'number' || !takes(field, x) || !whole) problems.set(key, expected(field));
  }
  return problems;
}
