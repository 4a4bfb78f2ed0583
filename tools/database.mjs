// The database that a verb works on: brought up to date, and for a demo filled.
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { program, root } from './app.mjs';
import { startCluster } from './cluster.mjs';
import { undo } from './leaving.mjs';
import { ensureDatabase, migrate } from './migrate.mjs';
import { during, say } from './say.mjs';

/**
 * A database brought up to date, and the URL the application serves it with.
 * @param {string} name
 * @param {string} [data]
 */
export async function database(name, data) {
  const given = process.env.JORAM_DATABASE_URL;
  if (given) {
    // An existing server: its owner migrates. JORAM_APP_DATABASE_URL, when set, is the role that serves; otherwise joram_app gets a password of its own.
    const serving = process.env.JORAM_APP_DATABASE_URL;
    const password = serving ? undefined : (await import('node:crypto')).createHmac('sha256', given).update('joram_app').digest('hex');
    await migrate(given, password);
    if (serving) return { admin: given, app: serving };
    const app = new URL(given);
    app.username = 'joram_app';
    app.password = /** @type {string} */ (password);
    return { admin: given, app: app.href };
  }
  const cluster = await startCluster(data, (stop) => undo.push(stop));
  await ensureDatabase(cluster.url('postgres'), name);
  await migrate(cluster.url(name), cluster.secrets.app);
  return { admin: cluster.url(name), app: cluster.url(name, 'app') };
}

export async function seed(/** @type {{ admin: string }} */ db, /** @type {boolean} */ fresh) {
  const out = (await program('demo/seed.ts', fresh ? ['--fresh'] : [], { JORAM_SEED_URL: db.admin })).trim();
  return out;
}

export async function seedWhenNeeded(/** @type {{ admin: string }} */ db, /** @type {boolean} */ fresh) {
  const { default: postgres } = await import('postgres');
  const sql = postgres(db.admin, { max: 1 });
  const [row] = await sql`
    select count(*)::int as n, coalesce((select max(received_at) from entry) < now() - interval '6 hours', false) as old from club`.finally(
    () => sql.end()
  );
  if (row?.n && !fresh) {
    if (row.old) say('the scenario is from another day: --fresh makes it anew, with an engine in steam now');
    return demoPeople().people.map(signInLine).join('\n');
  }
  await during('making the Osier Fen scenario', () => seed(db, fresh));
  return seedWhenNeeded(db, false);
}
/** @returns {{ password: string, people: { signIn: string, name: string, roles: string[] }[] }} */
export const demoPeople = () => JSON.parse(readFileSync(join(root, 'demo/people.json'), 'utf8'));
const signInLine = (/** @type {{ signIn: string, name: string, roles: string[] }} */ p) =>
  `         ${p.signIn.padEnd(22)} ${p.name.padEnd(18)} ${p.roles.join(', ')}`;
