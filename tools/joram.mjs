// joram VERB: the table of verbs, and what each needs before it can start.
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { build, packages, program } from './app.mjs';
import { dataFolder, keepCluster, resetCluster, startCluster, stopCluster } from './cluster.mjs';
import { database, demoPeople, seedWhenNeeded } from './database.mjs';
import { isLeaving, leave, undo } from './leaving.mjs';
import { asked, restoreFrom, saveTo } from './saving.mjs';
import { Stop, say } from './say.mjs';
import { addresses, portIsFree, serve } from './serve.mjs';
import { setUpCode } from './setup-code.mjs';
import { bench, check, shots, test } from './testing.mjs';

/** @typedef {{ host: string, port: number, fresh: boolean, proxy: boolean, tls: import('./serve.mjs').Certificate | undefined }} Flags */

async function start(/** @type {Flags} */ flags, /** @type {boolean} */ demo) {
  await portIsFree(flags.host, flags.port);
  await packages();
  await build();
  const db = await database(demo ? 'joram_demo' : 'joram');
  const signIns = demo ? await seedWhenNeeded(db, flags.fresh) : '';
  const code = await setUpCode(db);
  undo.push(await serve({ ...flags, databaseUrl: db.app }));
  // It may die under us: it is started again, on its port.
  if (!process.env.JORAM_DATABASE_URL) undo.push(keepCluster());
  if (code) say(`no club yet: whoever founds it gives this code, ${code}`);
  for (const address of addresses(flags.host, flags.port, flags.tls ? 'https' : 'http')) say(`open ${address}`);
  if (demo) {
    say(
      `this is a demo with made-up people and engines. Sign in with one touch, or with the password “${demoPeople().password}” and any of:`
    );
    console.log(signIns);
  }
  say('Ctrl-C stops it');
}

async function derive() {
  await packages();
  const db = await database(process.argv.includes('--demo') ? 'joram_demo' : 'joram');
  say((await program('tools/derive.ts', process.argv.slice(3), { JORAM_DERIVE_URL: db.admin })).trim());
}

/** Where a verb that works on the data finds it. */
const ownDatabase = () => database(process.argv.includes('--demo') ? 'joram_demo' : 'joram');
const [, , , ...words] = process.argv;
const plainWords = words.filter((w) => !w.startsWith('--'));

async function archive() {
  const [way, file] = plainWords;
  if ((way !== 'in' && way !== 'out') || !file) throw new Stop("After 'archive' comes in FILE, or out FILE and the name of a club.");
  await packages();
  const { admin } = await ownDatabase();
  say((await program('tools/archive.ts', [way, resolve(file), plainWords.slice(2).join(' ')], { JORAM_ARCHIVE_URL: admin })).trim());
}

async function verify() {
  await packages();
  const { admin } = await ownDatabase();
  say((await program('tools/verify.ts', plainWords[0] ? [resolve(plainWords[0])] : [], { JORAM_VERIFY_URL: admin })).trim());
}

async function resetPassword() {
  if (!plainWords[0]) throw new Stop("After 'reset-password' comes the name that somebody signs in by.");
  await packages();
  const { admin } = await ownDatabase();
  say((await program('tools/reset-password.ts', [plainWords[0]], { JORAM_RESET_URL: admin })).trim());
}

/** @type {Record<string, () => Promise<unknown>>} */
const dbVerbs = {
  start: async () => {
    const cluster = await startCluster();
    say(`the database in ${dataFolder()} answers on 127.0.0.1:${cluster.port}; './joram db stop' ends it`);
  },
  stop: async () => say((await stopCluster()) ? 'stopped' : 'the database was not running'),
  reset: async () => {
    // Everything is in it: asked for by name, or said with --yes by what cannot be asked.
    if (existsSync(join(dataFolder(), 'pg')) && !process.argv.includes('--yes')) {
      const typed = await asked(`This removes the database in ${dataFolder()} with everything in it. Type reset to go on: `);
      if (typed !== 'reset') throw new Stop('Nothing was removed.');
    }
    await resetCluster();
    say(`the cluster in ${dataFolder()} is gone`);
  },
  psql: async () => {
    const cluster = await startCluster(undefined, (stop) => undo.push(stop));
    spawnSync('psql', [cluster.url(process.argv[4] ?? 'joram_demo')], { stdio: 'inherit' });
  }
};

/** @type {Record<string, { what: string, stays?: boolean, run: (flags: Flags) => Promise<unknown> }>} */
const verbs = {
  demo: { what: 'serve the Osier Fen scenario (--fresh makes it anew)', stays: true, run: (f) => start(f, true) },
  serve: { what: 'serve your own club; an empty database asks for the first club', stays: true, run: (f) => start(f, false) },
  test: { what: 'unit and browser tests on a database of their own', run: test },
  check: { what: 'types, lint, import boundaries, format', run: check },
  shots: { what: 'remake docs/screenshots from the demo data', run: shots },
  derive: { what: 'remake what older versions derived from logs and plans (--all: everything; --demo: the demo’s)', run: derive },
  bench: { what: 'speed, on a database of its own, printed as a table', run: bench },
  backup: {
    what: 'FILE: save the database while it runs, with its counts and checksums (--database NAME, --demo)',
    run: () => saveTo(database)
  },
  restore: {
    what: 'FILE: restore it into an empty or another database (--database NAME; --replace asks for its name)',
    run: () => restoreFrom((stop) => undo.push(stop))
  },
  archive: { what: 'out FILE CLUB: a club whole, as one open archive; in FILE: bring it in (--demo)', run: archive },
  verify: { what: '[FILE]: whether worksheets and signatures stand as they were written, here or in an archive (--demo)', run: verify },
  'reset-password': { what: 'NAME: a link by which whoever signs in by it gives a new password (--demo)', run: resetPassword },
  db: {
    what: 'start | stop | reset | psql [DATABASE]: the private database',
    run: async () => {
      const verb = dbVerbs[process.argv[3] ?? ''];
      if (!verb) throw new Stop("After 'db' comes start, stop, reset or psql.");
      await verb();
    }
  }
};

const usage = () =>
  [
    'Use: ./joram VERB [--port 4870] [--host 127.0.0.1] [--tls-cert FILE --tls-key FILE] [--proxy]',
    ...Object.entries(verbs).map(([verb, { what }]) => `  ${verb.padEnd(14)} ${what}`),
    'JORAM_DATA: where Joram keeps its data. JORAM_DATABASE_URL: an existing PostgreSQL to use instead.'
  ].join('\n');

async function main() {
  const name = process.argv[2] ?? '';
  const verb = verbs[name];
  if (!verb) {
    console.error(name ? `joram: there is no verb '${name}'.\n${usage()}` : usage());
    return leave(name ? 2 : 0);
  }
  let values;
  try {
    ({ values } = parseArgs({
      args: process.argv.slice(3),
      allowPositionals: true,
      options: {
        port: { type: 'string', default: '4870' },
        host: { type: 'string', default: '0.0.0.0' },
        fresh: { type: 'boolean', default: false },
        all: { type: 'boolean', default: false },
        demo: { type: 'boolean', default: false },
        yes: { type: 'boolean', default: false },
        replace: { type: 'boolean', default: false },
        proxy: { type: 'boolean', default: false },
        'tls-cert': { type: 'string' },
        'tls-key': { type: 'string' },
        database: { type: 'string' }
      }
    }));
  } catch (error) {
    throw new Stop(`${/** @type {Error} */ (error).message.split('.')[0]}.\n${usage()}`);
  }
  const port = Number(values.port);
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    throw new Stop(`--port takes a whole number from 1 to 65535, not '${values.port}'.`);
  const [cert, key] = [values['tls-cert'], values['tls-key']];
  if (!cert !== !key) throw new Stop('--tls-cert and --tls-key go together: the files of a certificate and of its key.');
  const tls = cert && key ? { cert, key } : undefined;
  const result = await verb.run({ host: values.host, port, fresh: values.fresh, proxy: values.proxy, tls });
  if (verb.stays) return;
  const { code, lastWords } = /** @type {{ code?: number, lastWords?: string }} */ (
    typeof result === 'object' ? (result ?? {}) : { code: Number(result ?? 0) }
  );
  await leave(code ?? 0, lastWords);
}

main().catch((error) => {
  // Interrupted work fails for no reason of its own.
  if (isLeaving()) return;
  console.error(error instanceof Stop ? `joram: ${error.message}` : error);
  return leave(1);
});
