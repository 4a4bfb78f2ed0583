import { Refusal } from '$core/units';
import { createHash } from 'node:crypto';
import { inClub } from './database';
import type { Member } from './members';
import { picturedIn } from './sql/commission';
import { unstruck } from './sql/entry';

/** PICTURES: each once, under the sum of its bytes, and with nothing in it of where it was taken. */

/** The largest that is kept, bytes. */
export const largestPhoto = 1_500_000;
const tooLarge = () =>
  new Refusal('photo', 'The picture has over 1.5 MB: make it smaller, as the form does, and send it again.', { code: 'too large' });

/** What a picture is by its first bytes, and not by what it is called. */
function kindOf(bytes: Buffer): 'image/jpeg' | 'image/png' | 'image/webp' | undefined {
  if (bytes.length > 3 && bytes[0] === 0xff && bytes[1] === 0xd8 && bytes[2] === 0xff) return 'image/jpeg';
  if (bytes.subarray(0, 8).equals(Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]))) return 'image/png';
  return bytes.toString('latin1', 0, 4) === 'RIFF' && bytes.toString('latin1', 8, 12) === 'WEBP' ? 'image/webp' : undefined;
}
/** Where cameras write the place: none of these stands in a picture that was drawn anew. */
const tells = {
  'image/jpeg': ['Exif\0\0', 'http://ns.adobe.com/xap/'],
  'image/png': ['eXIf', 'XML:com.adobe.xmp'],
  'image/webp': ['EXIF', 'XMP ']
} as const;

/** A body of bounded size. @throws Refusal when it is too long */
export async function readPhoto(request: Request): Promise<Buffer> {
  if (Number(request.headers.get('content-length') ?? 0) > largestPhoto) throw tooLarge();
  const bytes = Buffer.from(await request.arrayBuffer());
  if (bytes.length > largestPhoto) throw tooLarge();
  return bytes;
}

/** Keeps a picture; the same one again is the same. @throws Refusal where it is none, tells where it was taken, or is not what its sum says */
export async function keepPhoto({ club, id, name }: Member, sum: string, bytes: Buffer): Promise<void> {
  const kind = kindOf(bytes);
  if (!kind) throw new Refusal('photo', 'This is no picture: send a JPEG, a PNG or a WebP.');
  if (tells[kind].some((mark) => bytes.includes(mark, 0, 'latin1')))
    throw new Refusal('photo', 'The picture still says where and by what it was taken: send it without that, as the form does.');
  if (createHash('sha256').update(bytes).digest('hex') !== sum)
    throw new Refusal('photo', 'The picture is not the one that its sum names: it came damaged. Send it again.', { code: 'conflict' });
  await inClub(
    club,
    (tx) =>
      tx`insert into photo (club_id, sum, kind, bytes, by_id, by_name) values (${club}, ${sum}, ${kind}, ${bytes}, ${id}, ${name}) on conflict do nothing`
  );
}

export const photo = (club: string, sum: string) =>
  inClub(
    club,
    async (tx) => (await tx<{ kind: string; bytes: Buffer }[]>`select kind, bytes from photo where club_id = ${club} and sum = ${sum}`)[0]
  );

/** The picture that a place of an engine is held against. */
export const pictured = (club: string, engineId: string, place: string) => inClub(club, (tx) => picturedIn(tx, club, engineId, place));

/** Pictures of a fault: those that its steaming’s log tells of, and its own. */
export const photosOfFault = (club: string, faultId: string) =>
  inClub(
    club,
    (tx) => tx<{ sum: string; what: string; at: Date; by: string }[]>`
      select e.body->>'sum' as sum, e.body->>'what' as what, e.at, e.by_name as by from fault f join entry e on e.club_id = f.club_id and e.steaming_id = f.steaming_id
      where f.club_id = ${club} and f.fault_id = ${faultId} and e.kind = 'photo' and e.body->>'fault' = ${faultId}
        and ${unstruck(tx)}
      union all select body->>'sum', body->>'what', at, by_name from fault_entry where club_id = ${club} and fault_id = ${faultId} and kind = 'photo'
      order by at limit 24`
  );
