import { group, type Infer, oneWord, optional, quantity, text } from '../../form';
import { printText } from '../../units';
import type { KindOf } from './kind';

const fields = group('Fire', {
  act: oneWord('What was done', ['light', 'fuel on', 'rake', 'thin', 'drop', 'out']),
  fuel: optional(text('Fuel', 1, 40)),
  amount: optional(quantity('Amount', 'mass', 0, 2000))
});
export type Fire = Infer<typeof fields>;

const words = { light: 'fire lit', rake: 'fire raked', thin: 'fire thinned', drop: 'fire dropped', out: 'fire out' } as const;

export const fire: KindOf<Fire> = {
  fields,
  tells: (body) => [
    { is: 'fire', ...body },
    ...(body.act === 'drop' || body.act === 'out' ? [{ is: 'seen', seen: 'fire out' } as const] : [])
  ],
  says: ({ act, fuel, amount }, { units }) =>
    act === 'fuel on' ? `${fuel ?? 'fuel'}${amount === undefined ? '' : ` ${printText(amount, 'mass', units)}`}` : words[act],
  echoes: ({ act, fuel, amount }, { units }) =>
    act === 'fuel on' ? `a round of ${fuel}${amount ? `, ${printText(amount, 'mass', units)}` : ''}` : words[act]
};
