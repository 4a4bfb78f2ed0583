import { flag, group, type Infer, oneWord, optional, quantity, text } from '../../form';
import { printText } from '../../units';
import { lightRefused } from '../standing';
import type { KindOf } from './kind';

const fields = group('Fire', {
  act: oneWord('What was done', ['light', 'fuel on', 'rake', 'thin', 'drop', 'out']),
  fuel: optional(text('Fuel', 1, 40)),
  amount: optional(quantity('Amount', 'mass', 0, 2000)),
  already: optional(flag('It was in already', 'Of a fire that was lit before anybody said so.'))
});
export type Fire = Infer<typeof fields>;

const words = { light: 'fire lit', rake: 'fire raked', thin: 'fire thinned', drop: 'fire dropped', out: 'fire out' } as const;

export const fire: KindOf<Fire> = {
  fields,
  tells: (body) => [
    { is: 'fire', ...body },
    ...(body.act === 'drop' || body.act === 'out' ? [{ is: 'seen', seen: 'fire out' } as const] : [])
  ],
  does: (state, { act }, { at }, { procedure }) => {
    if (act !== 'light') return state;
    const against = lightRefused(state, procedure, Date.parse(at));
    const { against: _, ...fire } = state.fire;
    return { ...state, fire: { ...fire, ...(against ? { against } : {}) } };
  },
  says: ({ act, fuel, amount, already }, { units }) =>
    act === 'fuel on'
      ? `${fuel ?? 'fuel'}${amount === undefined ? '' : ` ${printText(amount, 'mass', units)}`}`
      : already
        ? 'fire was lit already'
        : words[act],
  echoes: ({ act, fuel, amount, already }, { units }) =>
    act === 'fuel on'
      ? `a round of ${fuel}${amount ? `, ${printText(amount, 'mass', units)}` : ''}`
      : already
        ? 'fire was lit already'
        : words[act]
};
