import { conditionKeys, conditions, withCell } from '../../commission';
import { group, type Infer, oneWord, optional, text } from '../../form';
import type { KindOf } from './kind';

const fields = group('Control or fitting', {
  item: text('Which control or fitting', 1, 60),
  in: oneWord('In which condition', conditionKeys),
  result: oneWord('What it was', ['good', 'not good']),
  text: optional(text('What was seen', 1, 300)),
  since: optional(text('What was done since it was found otherwise', 1, 300))
});
/** One cell of the commissioning matrix: it was touched, and this is what it was. */
export type CellBody = Infer<typeof fields>;

export const cell: KindOf<CellBody> = {
  fields,
  does: (state, body, { at, by }) => ({ ...state, cells: withCell(state.cells, { ...body, at, by }) }),
  says: ({ item, in: condition, result, text, since }) =>
    `${item}, ${conditions[condition]}: ${result}${text ? `. ${text}` : ''}${since ? `. Since: ${since}` : ''}`
};
