import { flag, group, type Infer, oneWord, optional, text } from '../../form';
import { thingKeys, things } from '../../procedure';
import { thingSet } from '../events';
import type { KindOf } from './kind';

const fields = group('Open thing', {
  thing: oneWord('What', thingKeys),
  open: flag('Open'),
  which: optional(text('Which', 1, 60, 'Of several: the joint that was disturbed.'))
});
export type ThingBody = Infer<typeof fields>;

export const thing: KindOf<ThingBody> = {
  fields,
  tells: ({ thing, open, which }) => thingSet(thing, open, which),
  says: ({ thing, open, which }) => `${open ? '' : 'No longer: '}${things[thing].open}${which ? `, ${which.toLowerCase()}` : ''}`
};
