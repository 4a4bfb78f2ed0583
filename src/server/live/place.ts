import { sql } from '../database';
import { fromTheStart, type Place } from '../sql/entry';
import { onAgain } from './told';

/** The name of this database's feed: a place in another's means nothing here. */
let name: Promise<string> | undefined;
const feedName = () =>
  (name ??= sql<{ feed: string }[]>`select feed from house`.then(
    ([house]) => house!.feed,
    (error) => {
      name = undefined;
      throw error;
    }
  ));
// Behind a lost connection there may be another database: one that was restored.
onAgain(() => (name = undefined));

/** A place as it is given to a browser. */
export const placeSaid = async (place: Place): Promise<string> => `${await feedName()}.${place}`;

/** A place that a browser gives back. From another database, or nonsense: from the start. */
export async function placeOf(said: string | null): Promise<Place> {
  const [feed, place] = said?.split('.') ?? [];
  return place !== undefined && /^\d{1,19}$/.test(place) && feed === (await feedName()) ? place : fromTheStart;
}
