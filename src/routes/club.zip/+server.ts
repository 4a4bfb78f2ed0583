import { clubArchive } from '$server/archive';
import { need } from '$server/answer';
import { download } from '$server/download';

/** The club whole, as one open archive: to keep, or to bring in on another server. */
export const GET = async ({ locals }) => {
  const member = need(locals, 'take the club out');
  return download(await clubArchive(member), 'application/zip', `${member.clubName}.zip`);
};
