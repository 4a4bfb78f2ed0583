// The application's own parts: its packages, its build, its data. Each is made only when it is missing or stale.
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { run } from './machine.mjs';
import { Stop, during, needSpace, whyFailed } from './say.mjs';

export const root = resolve(import.meta.dirname, '..');
const at = (/** @type {string[]} */ ...parts) => join(root, ...parts);

/** One number for the state of some files: their paths and bytes. @param {string[]} paths */
function stamp(paths) {
  const hash = createHash('sha256');
  const walk = (/** @type {string} */ path) => {
    if (!existsSync(at(path))) return;
    if (statSync(at(path)).isDirectory()) for (const name of readdirSync(at(path)).sort()) walk(join(path, name));
    else hash.update(path).update(readFileSync(at(path)));
  };
  paths.forEach(walk);
  return hash.digest('hex');
}

/** @param {string} file @param {string[]} sources @param {() => Promise<void>} make */
async function whenStale(file, sources, make) {
  const now = stamp(sources);
  if (existsSync(at(file)) && readFileSync(at(file), 'utf8') === now) return false;
  await make();
  writeFileSync(at(file), now);
  return true;
}

/** Node's packages, from the lock file, install scripts off. */
export const packages = () =>
  whenStale('node_modules/.joram-installed', ['package.json', 'package-lock.json'], () =>
    during('installing packages', async () => {
      needSpace(root, 600);
      const { code, output } = await run('npm', ['ci', '--ignore-scripts', '--no-audit', '--no-fund', '--loglevel=error'], { cwd: root });
      if (code !== 0) throw whyFailed(root, output, 'The packages could not be installed.');
    })
  );

const sources = ['src', 'static', 'svelte.config.js', 'vite.config.ts', 'vite.jobs.config.ts', 'package-lock.json'];

export const build = () =>
  whenStale('build/.joram-built', sources, () =>
    during('building the application', async () => {
      for (const config of ['vite.config.ts', 'vite.jobs.config.ts']) {
        const args = ['node_modules/vite/bin/vite.js', 'build', '--config', config, '--logLevel', 'warn'];
        const { code, output } = await run(process.execPath, args, { cwd: root });
        if (code !== 0) throw whyFailed(root, output, 'The application could not be built.');
      }
    })
  );

/**
 * Runs one of our TypeScript programs.
 * @param {string} file
 * @param {string[]} args
 * @param {Record<string, string>} env
 */
export async function program(file, args, env) {
  const { code, output } = await run(process.execPath, ['--import', 'tsx', file, ...args], { cwd: root, env: { ...process.env, ...env } });
  // A program that ends so has said in a sentence why.
  if (code === 3) throw new Stop(output.trim());
  if (code !== 0) throw new Stop(`${file} failed:\n${output.trim()}`);
  return output;
}
