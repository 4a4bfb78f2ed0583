import { choice, group, type Infer, optional, text } from '../../form';
import { printText } from '../../units';
import type { KindOf } from './kind';
import { gauge } from './reading';

/** What a fault forbids until it is fixed. */
export const forbids = { steaming: 'may not be steamed', passengers: 'not with passengers', nothing: 'note' } as const;
export type Forbids = keyof typeof forbids;

const fields = group('Fault', {
  text: text('What is wrong', 1, 2000),
  forbids: choice('What it forbids', forbids),
  place: optional(text('Where on the engine', 1, 60)),
  pressure: optional(gauge('Pressure at which it showed'))
});
export type Fault = Infer<typeof fields>;

export const fault: KindOf<Fault> = {
  fields,
  tells: (body) => [{ is: 'fault', ...body }],
  says: ({ text, forbids: is, place, pressure }, { units }) =>
    `Fault: ${text} (${forbids[is]})${place ? `, ${place.toLowerCase()}` : ''}${pressure === undefined ? '' : ` at ${printText(pressure, 'pressure', units)}`}`,
  echoes: (body) => `fault: ${body.text}`
};
