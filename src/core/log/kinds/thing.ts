import { flag, group, type Infer, oneWord } from '../../form';
import { thingKeys, things } from '../../procedure';
import { thingSet } from '../events';
import type { KindOf } from './kind';

const fields = group('Open thing', { thing: oneWord('What', thingKeys), open: flag('Open') });
export type ThingBody = Infer<typeof fields>;

export const thing: KindOf<ThingBody> = {
  fields,
  tells: ({ thing, open }) => thingSet(thing, open),
  says: ({ thing, open }) => (open ? things[thing].open : `No longer: ${things[thing].open}`)
};
