import type { Condition, Fitting } from './fittings';
import { conditions } from './fittings';

/** THE MATRIX: what was touched, in which condition, with what result, by whom and when. */

/** What is said of one fitting in one condition. */
export interface CellSaid {
  readonly item: string;
  readonly in: Condition;
  readonly result: 'good' | 'not good';
  readonly text?: string;
  /** What was done between a result and a different one. */
  readonly since?: string;
}
export interface Cell extends CellSaid {
  readonly at: string;
  readonly by: string;
}
/** By fitting and condition: what was said last. */
export type Cells = Readonly<Record<string, Cell>>;

const keyOf = ({ item, in: condition }: Pick<CellSaid, 'item' | 'in'>) => `${item} · ${condition}`;
export const cellOf = (cells: Cells, item: string, condition: Condition): Cell | undefined => cells[keyOf({ item, in: condition })];
export const withCell = (cells: Cells, cell: Cell): Cells => ({ ...cells, [keyOf(cell)]: cell });
export const cellsFrom = (said: readonly Cell[]): Cells => [...said].sort((a, b) => (a.at < b.at ? -1 : 1)).reduce<Cells>(withCell, {});

/**
 * Why a result may not stand; undefined when it may.
 * @param can what there is now that shows it: cold always, air and steam where there are any
 */
export function cellRefused(
  said: CellSaid,
  cells: Cells,
  fittings: readonly Fitting[],
  can: (c: Condition) => string | undefined
): string | undefined {
  const row = fittings.find((f) => f.name === said.item);
  if (!row) return `This engine has no “${said.item}”.`;
  if (!row.in.includes(said.in))
    return `${row.name} is not judged ${conditions[said.in]}: it is ${row.in.map((c) => conditions[c]).join(', ')}.`;
  const no = can(said.in);
  if (no) return no;
  const before = cellOf(cells, said.item, said.in);
  if (before && before.result !== said.result && !said.since?.trim())
    return `${row.name} was found ${before.result} ${conditions[said.in]} by ${before.by}: say what was done since, or strike that entry first.`;
  return said.result === 'not good' && !said.text?.trim() ? `Say what is not good about ${row.name.toLowerCase()}.` : undefined;
}

/** One cell that is still to be touched, or was found not good. */
export interface Left {
  readonly item: string;
  readonly in: Condition;
  readonly how: 'untested' | 'not good';
  readonly text?: string;
}

/** What is left of a matrix, what was not good first. @param on only these conditions */
export const cellsLeft = (fittings: readonly Fitting[], cells: Cells, on: readonly Condition[]): Left[] =>
  fittings
    .flatMap((f) =>
      f.in.flatMap((c): Left[] => {
        if (!on.includes(c)) return [];
        const cell = cellOf(cells, f.name, c);
        if (cell?.result === 'good') return [];
        return [{ item: f.name, in: c, how: cell ? 'not good' : 'untested', ...(cell?.text ? { text: cell.text } : {}) }];
      })
    )
    .sort((a, b) => Number(a.how === 'untested') - Number(b.how === 'untested'));

/** As one line: “in steam: whistle, blower; on air: …”. */
export const leftWords = (left: readonly Left[]): string =>
  [...new Set(left.map((l) => l.in))]
    .map(
      (c) =>
        `${conditions[c]}: ${left
          .filter((l) => l.in === c)
          .map((l) => l.item.toLowerCase())
          .join(', ')}`
    )
    .join('; ');
