import { type Field, fieldAt } from '$core/form';
import { printText, type UnitChoice } from '$core/units';

const keysOf = (path: string) => path.split('.').map((k) => (/^\d+$/.test(k) ? Number(k) : k));

/** Where in a document a path leads, by the labels of its form: “Feeds, 2: Rate”. */
export function placeSaid(root: Field, path: string, document: unknown): string {
  const keys = keysOf(path);
  const words = keys.flatMap((key, i) => {
    if (typeof key === 'number') return [String(key + 1)];
    const { label } = fieldAt(root, keys.slice(0, i + 1), document);
    return label && label !== root.label ? [label] : [key];
  });
  return words.filter((w, i) => w !== words[i - 1]).join(', ');
}

/** A value as its form shows it. */
export function valueSaid(root: Field, path: string, document: unknown, value: unknown, units: UnitChoice): string {
  if (value === undefined || value === null || value === '') return 'nothing';
  const field = fieldAt(root, keysOf(path), document);
  if (field.type === 'quantity' && typeof value === 'number') return printText(value, field.quantity, units);
  if (field.type === 'choice') return field.options[String(value)] ?? String(value);
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (field.type === 'union' && typeof value === 'object')
    return field.names[String((value as Record<string, unknown>)[field.by])] ?? 'another';
  if (Array.isArray(value)) return value.every((v) => typeof v === 'string') ? value.join('; ') : `${value.length} of these`;
  return typeof value === 'object'
    ? Object.entries(value)
        .map(([k, v]) => `${k} ${String(v)}`)
        .join(', ')
    : String(value);
}
