import { Refusal } from '../units';

/** One step of a ladder: how a document of one version becomes one of the next. */
export interface Rung<Given = void> {
  readonly from: string;
  readonly to: string;
  readonly up: (document: Record<string, unknown>, given: Given) => Record<string, unknown>;
}

/**
 * Brings a document of any earlier version up to today's. A document of today comes back as it is; one of a version that
 * nobody knows is refused with the field that says so.
 * @param at the field that holds the version @param today the version that today's code writes
 */
export function upcast<T, Given = void>(
  document: unknown,
  { at, today, ladder, given }: { at: string; today: string; ladder: readonly Rung<Given>[]; given: Given }
): T {
  let current = document as Record<string, unknown>;
  for (let i = 0; i <= ladder.length && current[at] !== today; i++) {
    const rung = ladder.find((r) => r.from === current[at]);
    if (!rung) throw new Refusal(at, `${at}: this is “${String(current[at])}”, and what is read here is “${today}” or older.`);
    current = { ...rung.up(current, given), [at]: rung.to };
  }
  return current as T;
}
