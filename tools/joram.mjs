// joram VERB: the table of verbs, and what each needs before it can start.
import { spawn, spawnSync } from 'node:child_process';
import { chownSync, existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { build, packages, program, root } from './app.mjs';
import { dataFolder, freePort, resetCluster, startCluster, stopCluster } from './cluster.mjs';
import { chromium, clusterOwner, isRoot } from './machine.mjs';
import { ensureDatabase, migrate } from './migrate.mjs';
import { asked, restoreFrom, saveTo } from './saving.mjs';
import { Stop, during, say } from './say.mjs';
import { addresses, portIsFree, serve } from './serve.mjs';
import { setUpCode } from './setup-code.mjs';

/** @type {(() => unknown)[]} what to undo on the way out, last first */
const undo = [];
let leaving = false;
async function leave(/** @type {number} */ code) {
  if (leaving) return;
  leaving = true;
  for (const step of undo.reverse()) await Promise.resolve(step()).catch(() => {});
  process.exit(code);
}
for (const signal of /** @type {const} */ (['SIGINT', 'SIGTERM', 'SIGHUP']))
  process.on(signal, () => leave(signal === 'SIGINT' ? 130 : 143));

/**
 * A database brought up to date, and the URL the application serves it with.
 * @param {string} name
 * @param {string} [data]
 */
async function database(name, data) {
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

/** @typedef {{ host: string, port: number, fresh: boolean }} Flags */

async function seed(/** @type {{ admin: string }} */ db, /** @type {boolean} */ fresh) {
  const out = (await program('demo/seed.ts', fresh ? ['--fresh'] : [], { JORAM_SEED_URL: db.admin })).trim();
  return out;
}

async function start(/** @type {Flags} */ flags, /** @type {boolean} */ demo) {
  await portIsFree(flags.host, flags.port);
  await packages();
  await build();
  const db = await database(demo ? 'joram_demo' : 'joram');
  const signIns = demo ? await seedWhenNeeded(db, flags.fresh) : '';
  const code = await setUpCode(db);
  undo.push(await serve({ ...flags, databaseUrl: db.app }));
  if (code) say(`no club yet: whoever founds it gives this code, ${code}`);
  for (const address of addresses(flags.host, flags.port)) say(`open ${address}`);
  if (demo) {
    say(
      `this is a demo with made-up people and engines. Sign in with one touch, or with the password “${demoPeople().password}” and any of:`
    );
    console.log(signIns);
  }
  say('Ctrl-C stops it');
}

async function seedWhenNeeded(/** @type {{ admin: string }} */ db, /** @type {boolean} */ fresh) {
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
const demoPeople = () => JSON.parse(readFileSync(join(root, 'demo/people.json'), 'utf8'));
const signInLine = (/** @type {{ signIn: string, name: string, roles: string[] }} */ p) =>
  `         ${p.signIn.padEnd(22)} ${p.name.padEnd(18)} ${p.roles.join(', ')}`;

/** Runs a program of node_modules with our own standard output. @param {string[]} args @param {Record<string, string>} env */
const child = (args, env = {}) =>
  new Promise((done) => {
    const made = spawn(process.execPath, args, { cwd: root, stdio: ['ignore', 'inherit', 'inherit'], env: { ...process.env, ...env } });
    undo.push(() => made.exitCode ?? made.kill('SIGTERM'));
    made.on('exit', (code) => done(code ?? 1));
  });

async function testbed() {
  await packages();
  const browser = await chromium();
  await build();
  const data = mkdtempSync(join(isRoot ? '/tmp' : tmpdir(), 'joram-test-'));
  const { uid, gid } = clusterOwnerAfterInstall();
  if (uid !== undefined) chownSync(data, uid, /** @type {number} */ (gid));
  undo.push(() => rmSync(data, { recursive: true, force: true }));
  return { browser, data };
}
const clusterOwnerAfterInstall = () => (isRoot && spawnSync('id', ['-u', 'postgres']).status === 0 ? clusterOwner() : {});

async function seeded(/** @type {string} */ data) {
  const db = await database('joram_test', data);
  await during('making the Osier Fen scenario', () => seed(db, true));
  const port = await freePort();
  undo.push(await serve({ host: '127.0.0.1', port, databaseUrl: db.app }));
  return { db, url: `http://127.0.0.1:${port}` };
}

async function test() {
  const { browser, data } = await testbed();
  const { db, url } = await seeded(data);
  const env = { JORAM_TEST_ADMIN_URL: db.admin, JORAM_TEST_APP_URL: db.app, JORAM_URL: url, JORAM_CHROMIUM: browser };
  const unit = join(data, 'unit.json');
  const e2e = join(data, 'e2e.json');
  say('unit tests');
  const unitCode = await child(
    ['node_modules/vitest/vitest.mjs', 'run', '--reporter=default', '--reporter=json', `--outputFile.json=${unit}`],
    env
  );
  say('browser tests');
  const e2eCode = await child(['node_modules/@playwright/test/cli.js', 'test', '--reporter=list,json'], {
    ...env,
    PLAYWRIGHT_JSON_OUTPUT_NAME: e2e
  });
  const read = (/** @type {string} */ f) => (existsSync(f) ? JSON.parse(readFileSync(f, 'utf8')) : undefined);
  const [u, b] = [read(unit), read(e2e)];
  const passed = (u?.numPassedTests ?? 0) + (b?.stats.expected ?? 0) + (b?.stats.flaky ?? 0);
  const failed = (u?.numFailedTests ?? 0) + (b?.stats.unexpected ?? 0) + (u ? 0 : 1) + (b ? 0 : 1);
  // A run that ended badly without a failed test (a file that did not load, say) is a failure too.
  const total = failed === 0 && (unitCode !== 0 || e2eCode !== 0) ? 1 : failed;
  await Promise.resolve();
  closing = `${passed} passed, ${total} failed`;
  return total === 0 ? 0 : 1;
}
/** The last line of the test command, printed when everything has been stopped. */
let closing = '';

async function check() {
  await packages();
  /** @type {[string, string[]][]} */
  const steps = [
    ['types', ['node_modules/svelte-check/bin/svelte-check', '--tsconfig', './tsconfig.json', '--threshold', 'error', '--output', 'human']],
    ['lint and import boundaries', ['node_modules/eslint/bin/eslint.js', '.']],
    ['format', ['node_modules/prettier/bin/prettier.cjs', '--check', '--log-level', 'warn', '.']]
  ];
  const sync = await child(['node_modules/@sveltejs/kit/svelte-kit.js', 'sync']);
  let bad = sync === 0 ? 0 : 1;
  for (const [name, args] of steps) {
    const code = await child(args);
    say(`${name}: ${code === 0 ? 'good' : 'see above'}`);
    if (code !== 0) bad = 1;
  }
  return bad;
}

async function shots() {
  const { browser, data } = await testbed();
  const { url } = await seeded(data);
  return await child(['--import', 'tsx', 'tools/shots.ts', ...process.argv.slice(3)], { JORAM_URL: url, JORAM_CHROMIUM: browser });
}

async function derive() {
  await packages();
  const db = await database(process.argv.includes('--demo') ? 'joram_demo' : 'joram');
  say((await program('tools/derive.ts', process.argv.slice(3), { JORAM_DERIVE_URL: db.admin })).trim());
}

async function bench() {
  const { browser, data } = await testbed();
  const { db, url } = await seeded(data);
  return await child(['--import', 'tsx', 'bench/all.ts'], { JORAM_URL: url, JORAM_TEST_ADMIN_URL: db.admin, JORAM_CHROMIUM: browser });
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
    'Use: ./joram VERB [--port 4870] [--host 127.0.0.1]',
    ...Object.entries(verbs).map(([verb, { what }]) => `  ${verb.padEnd(7)} ${what}`),
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
        database: { type: 'string' }
      }
    }));
  } catch (error) {
    throw new Stop(`${/** @type {Error} */ (error).message.split('.')[0]}.\n${usage()}`);
  }
  const port = Number(values.port);
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    throw new Stop(`--port takes a whole number from 1 to 65535, not '${values.port}'.`);
  const result = await verb.run({ host: values.host, port, fresh: values.fresh });
  if (!verb.stays) await leaveWith(typeof result === 'number' ? result : 0);
}

async function leaveWith(/** @type {number} */ code) {
  if (leaving) return;
  leaving = true;
  for (const step of undo.reverse()) await Promise.resolve(step()).catch(() => {});
  if (closing) console.log(closing);
  process.exit(code);
}

main().catch((error) => {
  // Interrupted work fails for no reason of its own.
  if (leaving) return;
  console.error(error instanceof Stop ? `joram: ${error.message}` : error);
  return leave(1);
});
