// npm run mutate -- [folder …] [--every n]: seeds faults into folders of the core and says which their own tests let through. Each folder
// is judged by the tests that stand in it: a fault that only a distant test finds is found by luck. `--every 5` tries each fifth stretch of
// eight lines of every file: a score within a few per cent in a fifth of the time.
import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './app.mjs';

const args = process.argv.slice(2);
const every = args.includes('--every') ? Number(args[args.indexOf('--every') + 1]) : 1;
const folders = args.filter((a, i) => !a.startsWith('-') && args[i - 1] !== '--every');
const report = join(root, 'reports/mutation/mutation.json');
const caught = new Set(['Killed', 'Timeout']);
const counts = new Set([...caught, 'Survived', 'NoCoverage']);

const stretch = 8;
/** @param {string} folder */
function wantedIn(folder) {
  if (every === 1) return [`src/core/${folder}/**/*.ts`, '!src/core/**/*.test.ts', '!src/core/finder/knowledge/**'];
  const files = readdirSync(join(root, 'src/core', folder), { recursive: true, encoding: 'utf8' })
    .filter((f) => f.endsWith('.ts') && !f.endsWith('.test.ts') && !f.startsWith('knowledge/'))
    .map((f) => `src/core/${folder}/${f}`);
  let n = 0;
  return files.sort().flatMap((file) => {
    const lines = readFileSync(join(root, file), 'utf8').split('\n').length;
    const starts = Array.from({ length: Math.ceil(lines / stretch) }, (_, i) => 1 + i * stretch);
    return starts.filter(() => n++ % every === 0).map((from) => `${file}:${from}-${Math.min(lines, from + stretch - 1)}`);
  });
}

/** @param {string} folder */
function judge(folder) {
  rmSync(report, { force: true });
  const { status } = spawnSync(
    process.execPath,
    [
      'node_modules/@stryker-mutator/core/bin/stryker.js',
      'run',
      '--reporters',
      'clear-text,progress,json',
      '--mutate',
      wantedIn(folder).join(',')
    ],
    { cwd: root, stdio: 'inherit', env: { ...process.env, JORAM_MUTATE: folder } }
  );
  if (status !== 0 || !existsSync(report)) return { folder, of: 0, found: 0 };
  /** @type {{ files: Record<string, { mutants: { status: string }[] }> }} */
  const { files } = JSON.parse(readFileSync(report, 'utf8'));
  const mutants = Object.values(files).flatMap((f) => f.mutants.filter((m) => counts.has(m.status)));
  return { folder, of: mutants.length, found: mutants.filter((m) => caught.has(m.status)).length };
}

const wanted = folders.length
  ? folders
  : ['log', 'procedure', 'watch', 'plan', 'learn', 'forecast', 'finder', 'faults', 'proof', 'form', 'sums', 'units'];
const scores = wanted.map(judge);
const share = (/** @type {number} */ found, /** @type {number} */ of) => `${((100 * found) / Math.max(1, of)).toFixed(1)} %`;
for (const { folder, of, found } of scores)
  console.log(`${folder.padEnd(10)} ${String(found).padStart(5)} of ${String(of).padEnd(5)} ${share(found, of)}`);
const [found, of] = [scores.reduce((a, s) => a + s.found, 0), scores.reduce((a, s) => a + s.of, 0)];
console.log(`in all     ${String(found).padStart(5)} of ${String(of).padEnd(5)} ${share(found, of)}`);
