import { choice, group, type Infer, text } from '../../form';
import type { KindOf } from './kind';

/** What a fault forbids until it is fixed. */
export const forbids = { steaming: 'may not be steamed', passengers: 'not with passengers', nothing: 'note' } as const;
export type Forbids = keyof typeof forbids;

const fields = group('Fault', { text: text('What is wrong', 1, 2000), forbids: choice('What it forbids', forbids) });
export type Fault = Infer<typeof fields>;

export const fault: KindOf<Fault> = {
  fields,
  tells: (body) => [{ is: 'fault', ...body }],
  says: (body) => `Fault: ${body.text} (${forbids[body.forbids]})`,
  echoes: (body) => `fault: ${body.text}`
};
