// What Joram needs from Debian: PostgreSQL's server programs and, for tests and pictures, Chromium.
// As root a missing package is installed; as anyone else it is named in one line.
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, writeFileSync } from 'node:fs';
import { Stop, during, say } from './say.mjs';

export const isRoot = process.getuid?.() === 0;

/**
 * Runs a program to its end and gives back what it printed.
 * @param {string} program
 * @param {string[]} args
 * @param {import('node:child_process').SpawnOptions} [options]
 * @returns {Promise<{ code: number, output: string }>}
 */
export function run(program, args, options = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(program, args, { stdio: ['ignore', 'pipe', 'pipe'], ...options });
    let output = '';
    child.stdout?.on('data', (d) => (output += d));
    child.stderr?.on('data', (d) => (output += d));
    child.on('error', reject);
    // 'exit', not 'close': a server that was started here keeps its pipes open.
    child.on('exit', (code) => resolve({ code: code ?? 1, output }));
  });
}

/**
 * @param {string} what for the sentence
 * @param {string} packages Debian's names, separated by spaces
 */
async function install(what, packages) {
  if (!isRoot || !existsSync('/usr/bin/apt-get'))
    throw new Stop(`${what} is not on this machine: install it with 'apt-get install ${packages}' and run this again.`);
  if (packages.includes('postgresql') && !existsSync('/etc/postgresql-common/createcluster.conf')) {
    // Debian would make and start a cluster of its own; Joram wants the programs only.
    mkdirSync('/etc/postgresql-common', { recursive: true });
    writeFileSync(
      '/etc/postgresql-common/createcluster.conf',
      '# written by joram before it installed the programs\ncreate_main_cluster = false\n'
    );
  }
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  await during(`installing ${what} (${packages})`, async () => {
    await run('apt-get', ['update', '-qq'], { env });
    const keep = ['-o', 'Dpkg::Options::=--force-confold'];
    const { code, output } = await run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', ...keep, ...packages.split(' ')], {
      env
    });
    if (code !== 0) throw new Stop(`${what} could not be installed:\n${output.slice(-1500)}`);
  });
}

const serverFolders = () =>
  existsSync('/usr/lib/postgresql')
    ? readdirSync('/usr/lib/postgresql')
        .sort((a, b) => Number(b) - Number(a))
        .map((v) => `/usr/lib/postgresql/${v}/bin`)
        .filter((bin) => existsSync(`${bin}/initdb`) && existsSync(`${bin}/postgres`))
    : [];

const onPath = (/** @type {string} */ name) => spawnSync('sh', ['-c', `command -v ${name}`], { encoding: 'utf8' }).stdout.trim();

/** The folder of PostgreSQL's server programs, installing them when that is ours to do. */
export async function postgresPrograms() {
  const find = () => serverFolders()[0] ?? (onPath('initdb') ? onPath('initdb').replace(/\/initdb$/, '') : undefined);
  if (!find()) await install("PostgreSQL's server programs", 'postgresql');
  const bin = find();
  if (!bin)
    throw new Stop("PostgreSQL's server programs (initdb, postgres, pg_ctl) were not found under /usr/lib/postgresql or on the path.");
  return bin;
}

/** The browser that the pictures and the measurements use. */
export const chromium = () => browser("Debian's Chromium", 'chromium', ['/usr/bin/chromium', '/usr/bin/chromium-browser']);
/** The same without a window round each page, which nobody looks at in a test and which costs a fifth of its time; where there is none, the whole. */
export const chromiumShell = () =>
  browser("Debian's Chromium without a window", 'chromium-headless-shell', ['/usr/bin/chromium-headless-shell']).catch(chromium);

async function browser(/** @type {string} */ what, /** @type {string} */ name, /** @type {string[]} */ paths) {
  const find = () => paths.find((p) => existsSync(p));
  if (!find()) await install(what, name);
  const path = find();
  if (!path) throw new Stop(`Chromium was not found at ${paths[0]}: install Debian's package '${name}'.`);
  return path;
}

/**
 * The account that may own a cluster: PostgreSQL refuses root, so root lends it to the system user of Debian's package.
 * @returns {{ uid?: number, gid?: number }}
 */
export function clusterOwner() {
  if (!isRoot) return {};
  const id = (/** @type {string} */ flag) => Number(spawnSync('id', [flag, 'postgres'], { encoding: 'utf8' }).stdout.trim() || NaN);
  let [uid, gid] = [id('-u'), id('-g')];
  if (!Number.isInteger(uid)) {
    say("making the system user 'postgres', because the database server refuses to run as root");
    spawnSync('useradd', ['--system', '--user-group', '--no-create-home', '--shell', '/usr/sbin/nologin', 'postgres']);
    [uid, gid] = [id('-u'), id('-g')];
  }
  if (!Number.isInteger(uid))
    throw new Stop(
      "The database server refuses to run as root and the system user 'postgres' could not be made: run Joram as an ordinary user."
    );
  return { uid, gid };
}
