// Tests, checks, pictures and speed: each on a database of its own, which goes with it.
import { spawn, spawnSync } from 'node:child_process';
import { chownSync, existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { build, packages, root } from './app.mjs';
import { freePort } from './cluster.mjs';
import { database, seed } from './database.mjs';
import { undo } from './leaving.mjs';
import { chromium, chromiumShell, clusterOwner, isRoot } from './machine.mjs';
import { during, say } from './say.mjs';
import { serve } from './serve.mjs';

/** Runs a program of node_modules with our own standard output. @param {string[]} args @param {Record<string, string>} env */
const child = (args, env = {}) =>
  new Promise((done) => {
    const made = spawn(process.execPath, args, { cwd: root, stdio: ['ignore', 'inherit', 'inherit'], env: { ...process.env, ...env } });
    undo.push(() => made.exitCode ?? made.kill('SIGTERM'));
    made.on('exit', (code) => done(code ?? 1));
  });

async function testbed(find = chromium) {
  await packages();
  const browser = await find();
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

export async function test() {
  const { browser, data } = await testbed(chromiumShell);
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
  if (b?.stats.flaky) say(`${b.stats.flaky} of the browser tests passed only the second time: look for “flaky” above, and for why`);
  // The last line of the test command, printed when everything has been stopped.
  return { code: total === 0 ? 0 : 1, lastWords: `${passed} passed, ${total} failed` };
}

export async function check() {
  await packages();
  /** @type {[string, string[]][]} */
  const steps = [
    ['types', ['node_modules/svelte-check/bin/svelte-check', '--tsconfig', './tsconfig.json', '--threshold', 'error', '--output', 'human']],
    ['lint and import boundaries', ['node_modules/eslint/bin/eslint.js', '.']],
    ['format', ['node_modules/prettier/bin/prettier.cjs', '--check', '--log-level', 'warn', '.']]
  ];
  const sync = await child(['node_modules/@sveltejs/kit/svelte-kit.js', 'sync']);
  let bad = sync === 0 ? 0 : 1;
  await Promise.all(
    steps.map(async ([name, args]) => {
      const code = await child(args);
      say(`${name}: ${code === 0 ? 'good' : 'see above'}`);
      if (code !== 0) bad = 1;
    })
  );
  return bad;
}

export async function shots() {
  const { browser, data } = await testbed();
  const { url } = await seeded(data);
  return await child(['--import', 'tsx', 'tools/shots.ts', ...process.argv.slice(3)], { JORAM_URL: url, JORAM_CHROMIUM: browser });
}

export async function bench() {
  const { browser, data } = await testbed();
  const { db, url } = await seeded(data);
  const env = { JORAM_URL: url, JORAM_TEST_ADMIN_URL: db.admin, JORAM_TEST_APP_URL: db.app, JORAM_CHROMIUM: browser };
  const only = process.argv[3];
  for (const file of only ? [only] : ['server', 'all']) await child(['--import', 'tsx', `bench/${file}.ts`], env);
  return 0;
}
