import { count, group, type Infer, optional } from '../../form';
import { printText } from '../../units';
import type { KindOf } from './kind';
import { gauge } from './reading';

const fields = group(
  'Safety valve',
  { valve: count('Which valve', 1, 4), lifted: optional(gauge('Lifted at')), reseated: optional(gauge('Reseated at')) },
  { oneOf: ['lifted', 'reseated'] }
);
export type Lift = Infer<typeof fields>;

export const lift: KindOf<Lift> = {
  fields,
  tells: (body) => [{ is: 'lift', ...body }],
  says: ({ valve, lifted, reseated }, { units }) =>
    `Safety valve ${valve} ${[
      lifted !== undefined && `lifted at ${printText(lifted, 'pressure', units)}`,
      reseated !== undefined && `reseated at ${printText(reseated, 'pressure', units)}`
    ]
      .filter(Boolean)
      .join(', ')}`,
  echoes: ({ lifted, reseated }, { units }) =>
    lifted !== undefined
      ? `valve lifted at ${printText(lifted, 'pressure', units)}`
      : `valve reseated at ${printText(reseated!, 'pressure', units)}`
};
