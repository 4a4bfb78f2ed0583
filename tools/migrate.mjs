// Brings a database to the newest numbered file of db/migrations, each in a transaction of its own.
import { readFileSync, readdirSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { Stop } from './say.mjs';

const folder = resolve(import.meta.dirname, '../db/migrations');

/**
 * @param {string} adminUrl a role that may create tables and roles
 * @param {string} [appPassword] when given, the serving role joram_app gets this password
 */
export async function migrate(adminUrl, appPassword) {
  const { default: postgres } = await import('postgres');
  const sql = postgres(adminUrl, { max: 1, onnotice: () => {} });
  try {
    const files = readdirSync(folder)
      .filter((f) => /^\d{4}_.*\.sql$/.test(f))
      .sort();
    await sql`select pg_advisory_lock(487001)`;
    await sql`create table if not exists migration (number int primary key, name text not null, at timestamptz not null default now())`;
    const done = (await sql`select coalesce(max(number), 0) as n from migration`)[0]?.n ?? 0;
    if (done > files.length)
      throw new Stop(
        `This database is at migration ${done} and this Joram knows only ${files.length}: run the newer Joram that made it, or restore a backup.`
      );
    for (const file of files.slice(done))
      await sql.begin(async (tx) => {
        await tx.unsafe(readFileSync(join(folder, file), 'utf8'));
        await tx`insert into migration (number, name) values (${Number(file.slice(0, 4))}, ${file})`;
      });
    if (appPassword) await sql.unsafe(`alter role joram_app with login password '${appPassword.replace(/'/g, "''")}'`);
  } catch (error) {
    if (error instanceof Stop) throw error;
    const { code, message } = /** @type {{ code?: string, message: string }} */ (error);
    if (code === '53100') throw new Stop('The disk that holds the database is full: free some space and run this again.');
    throw new Stop(`The database could not be brought up to date: ${message}`);
  } finally {
    await sql.end({ timeout: 2 });
  }
}

/**
 * @param {string} adminUrl
 * @param {string} name of letters, digits and underscores
 */
export async function ensureDatabase(adminUrl, name) {
  const { default: postgres } = await import('postgres');
  const sql = postgres(adminUrl, { max: 1, onnotice: () => {} });
  try {
    const [found] = await sql`select 1 from pg_database where datname = ${name}`;
    if (!found) await sql.unsafe(`create database ${name}`);
  } finally {
    await sql.end({ timeout: 2 });
  }
}
