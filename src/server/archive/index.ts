import { tell } from '../audit';
import { inClub } from '../database';
import { work } from '../jobs';
import type { Member } from '../members';
import { rowsOf } from './write';

/** A club as it stands in one moment, while entries go on arriving. */
export async function clubArchive({ club, id, name }: Member): Promise<Uint8Array<ArrayBuffer>> {
  const rows = await inClub(club, (tx) => rowsOf(tx, club), 'isolation level repeatable read read only');
  const made = await work('club as an archive', rows);
  await inClub(club, (tx) => tell(tx, club, { id, name }, 'club taken out'));
  return made;
}
