// While there is no club yet, whoever founds it must be whoever started the server.
import { randomBytes } from 'node:crypto';

/** While there is no club, a code that only whoever started the server can read. @param {{ admin: string }} db */
export async function setUpCode(db) {
  const { default: postgres } = await import('postgres');
  const sql = postgres(db.admin, { max: 1 });
  const [row] = await sql`select exists (select from club) as any`.finally(() => sql.end());
  if (row?.any) return undefined;
  return (process.env.JORAM_SETUP_CODE ??= /** @type {string[]} */ (randomBytes(6).toString('hex').match(/.{4}/g)).join('-'));
}
