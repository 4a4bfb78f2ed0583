// A database into a file and out again: a dump in PostgreSQL's own format, and beside it what is in it, counted and summed, so that
// what was restored can be held against what was saved.
import { createHash } from 'node:crypto';
import { createReadStream, existsSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { postgresPrograms, run } from './machine.mjs';
import { ensureDatabase, migrate } from './migrate.mjs';
import { Stop, whyFailed } from './say.mjs';

const format = 'joram.backup/1';

/**
 * @typedef {{ rows: number, sum: string }} Counted rows of a table, and the sum of their digests in whatever order they lie
 * @typedef {{ format: string, at: string, migration: number, sha256: string, tables: Record<string, Counted> }} Manifest
 */

const manifestOf = (/** @type {string} */ file) => `${file}.json`;

/** @param {string} file @returns {Promise<string>} */
const sha256 = (file) =>
  new Promise((done, fail) => {
    const hash = createHash('sha256');
    createReadStream(file)
      .on('data', (part) => hash.update(part))
      .on('error', fail)
      .on('end', () => done(hash.digest('hex')));
  });

/** What is in a database, as one transaction sees it. @param {import('postgres').TransactionSql | import('postgres').Sql} tx @returns {Promise<Record<string, Counted>>} */
export async function counted(tx) {
  const names =
    await tx`select relname as name from pg_class where relkind = 'r' and relnamespace = 'public'::regnamespace order by relname`;
  /** @type {Record<string, Counted>} */
  const tables = {};
  for (const { name } of names) {
    const [row] =
      await tx`select count(*)::int as rows, coalesce(sum(('x' || left(md5(t::text), 15))::bit(60)::bigint), 0)::text as sum from ${tx(name)} t`;
    tables[name] = { rows: row?.rows, sum: row?.sum };
  }
  return tables;
}

const client = async (/** @type {string} */ url) =>
  (await import('postgres')).default(url, { max: 1, onnotice: () => {}, connection: { TimeZone: 'UTC' } });

/** A URL without its password, which would stand in the list of programs, and the environment that has it. @param {string} given */
function open(given) {
  const url = new URL(given);
  const password = decodeURIComponent(url.password);
  url.password = '';
  return { url: url.href, env: { ...process.env, PGPASSWORD: password } };
}

/**
 * Saves a database while it runs: dump and counts are of the same moment.
 * @param {string} adminUrl
 * @param {string} given where to
 * @returns {Promise<Manifest>}
 */
export async function backup(adminUrl, given) {
  const file = resolve(given);
  for (const path of [file, manifestOf(file)])
    if (existsSync(path)) throw new Stop(`There is a file ${path} already: give another name, or move it away.`);
  const bin = await postgresPrograms();
  const sql = await client(adminUrl);
  const making = `${file}.making`;
  try {
    return await sql.begin('isolation level repeatable read read only', async (tx) => {
      const [look] = await tx`select pg_export_snapshot() as snapshot, (select coalesce(max(number), 0) from migration) as migration`;
      const args = ['--format=custom', '--no-owner', `--snapshot=${look?.snapshot}`, `--file=${making}`, open(adminUrl).url];
      const { code, output } = await run(join(bin, 'pg_dump'), args, { cwd: '/', env: open(adminUrl).env });
      if (code !== 0) throw whyFailed(making, output, 'The database could not be saved.');
      /** @type {Manifest} */
      const manifest = {
        format,
        at: new Date().toISOString(),
        migration: look?.migration,
        sha256: await sha256(making),
        tables: await counted(tx)
      };
      writeFileSync(manifestOf(file), `${JSON.stringify(manifest, undefined, 2)}\n`, { mode: 0o600 });
      renameSync(making, file);
      return manifest;
    });
  } finally {
    rmSync(making, { force: true });
    await sql.end({ timeout: 2 });
  }
}

/** @param {string} file @returns {Promise<Manifest>} */
async function readManifest(file) {
  for (const path of [file, manifestOf(file)])
    if (!existsSync(path)) throw new Stop(`There is no ${path}: a backup is two files, FILE and FILE.json, and both are needed.`);
  /** @type {Manifest} */
  let manifest;
  try {
    manifest = JSON.parse(readFileSync(manifestOf(file), 'utf8'));
  } catch {
    throw new Stop(`${manifestOf(file)} is not what a backup writes: it cannot be read as JSON.`);
  }
  if (manifest.format !== format) throw new Stop(`${manifestOf(file)} is of the form '${manifest.format}'; this Joram reads '${format}'.`);
  if ((await sha256(file)) !== manifest.sha256)
    throw new Stop(`${file} is not as it was saved: its checksum differs. Nothing was restored.`);
  return manifest;
}

/** What differs between what was saved and what is there, in words. @param {Record<string, Counted>} saved @param {Record<string, Counted>} there */
const differs = (saved, there) =>
  Object.entries(saved).flatMap(([name, { rows, sum }]) =>
    there[name]?.rows !== rows
      ? [`${name}: ${rows} rows were saved, ${there[name]?.rows ?? 0} are there`]
      : there[name]?.sum !== sum
        ? [`${name}: the rows are not those that were saved`]
        : []
  );

/**
 * Restores a backup into a database that is not there yet, or is empty; a club that is there is set aside under another name, and only
 * when that is asked for and the database is named.
 * @param {(database: string) => string} url of a database of the server, as its owner
 * @param {string} name of the database
 * @param {string} given the file
 * @param {{ appPassword?: string, replace?: () => Promise<string | undefined> }} options `replace` gives the name that was typed; left out: nothing is replaced
 * @returns {Promise<{ manifest: Manifest, aside?: string }>}
 */
export async function restore(url, name, given, { appPassword, replace } = {}) {
  const file = resolve(given);
  const manifest = await readManifest(file);
  const bin = await postgresPrograms();
  const server = await client(url('postgres'));
  const making = `${name}_restoring`;
  try {
    const [found] = await server`select 1 from pg_database where datname = ${name}`;
    const clubs = found ? await clubsIn(url(name)) : 0;
    if (clubs && !replace)
      throw new Stop(
        `The database '${name}' has ${clubs === 1 ? 'a club' : `${clubs} clubs`} in it: add --replace, or --database with the name of another.`
      );
    if (clubs && (await replace?.()) !== name) throw new Stop(`That is not the name of the database: nothing was changed.`);
    await server.unsafe(`drop database if exists ${making} with (force)`);
    await ensureDatabase(url('postgres'), making);
    // Rights are given to the role that serves; it is not part of a dump.
    await server`do $$ begin if not exists (select from pg_roles where rolname = 'joram_app') then
      create role joram_app nologin nosuperuser nocreatedb nocreaterole nobypassrls; end if; end $$`;
    const args = ['--exit-on-error', '--no-owner', '--single-transaction', `--dbname=${open(url(making)).url}`, file];
    const { code, output } = await run(join(bin, 'pg_restore'), args, { cwd: '/', env: open(url(making)).env });
    if (code !== 0) throw whyFailed(file, output, 'The backup could not be restored; nothing was changed.');
    const sql = await client(url(making));
    try {
      const wrong = differs(manifest.tables, await counted(sql));
      if (wrong.length) throw new Stop(`What was restored is not what was saved, so nothing was changed:\n${wrong.join('\n')}`);
      // Transactions are numbered by the server: those of another mean nothing here, and neither do places in its feed.
      if (manifest.migration >= 4)
        await sql.begin(async (tx) => {
          await tx`update entry set xact = pg_current_xact_id()`;
          await tx`update house set feed = gen_random_uuid()`;
        });
      await sql.unsafe(`grant connect on database ${making} to joram_app`);
    } finally {
      await sql.end({ timeout: 2 });
    }
    await migrate(url(making), appPassword);
    const aside = clubs ? `${name}_before_${new Date().toISOString().replace(/\D/g, '').slice(0, 14)}` : undefined;
    // Nobody works in either while they change places.
    await server`select pg_terminate_backend(pid) from pg_stat_activity where datname in (${name}, ${making}) and pid <> pg_backend_pid()`;
    if (aside) await server.unsafe(`alter database ${name} rename to ${aside}`);
    else if (found) await server.unsafe(`drop database ${name} with (force)`);
    await server.unsafe(`alter database ${making} rename to ${name}`);
    return { manifest, ...(aside ? { aside } : {}) };
  } finally {
    await server.unsafe(`drop database if exists ${making} with (force)`).catch(() => {});
    await server.end({ timeout: 2 });
  }
}

/** @param {string} url */
async function clubsIn(url) {
  const sql = await client(url);
  try {
    const [there] = await sql`select to_regclass('public.club') is not null as yes`;
    if (!there?.yes) return 0;
    return /** @type {number} */ ((await sql`select count(*)::int as n from club`)[0]?.n);
  } finally {
    await sql.end({ timeout: 2 });
  }
}

/** A name that `restore` may use in a statement. @param {string} name */
export function databaseName(name) {
  if (!/^[a-z][a-z0-9_]{0,40}$/.test(name)) throw new Stop(`A database is named in small letters, digits and underscores, not '${name}'.`);
  return name;
}

export const saveWords = (/** @type {Manifest} */ { tables }) =>
  `${tables.club?.rows} clubs, ${tables.engine?.rows} engines, ${tables.steaming?.rows} steamings, ${tables.entry?.rows} entries`;
