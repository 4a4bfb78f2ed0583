// joram backup, joram restore: what was typed after the verb, and what is asked before anything is put aside.
import { packages } from './app.mjs';
import { backup, databaseName, restore, saveWords } from './backup.mjs';
import { startCluster } from './cluster.mjs';
import { Stop, during, say } from './say.mjs';

/** What somebody types at the terminal; nothing when there is none. @param {string} question @returns {Promise<string | undefined>} */
export async function asked(question) {
  const { createInterface } = await import('node:readline/promises');
  const lines = createInterface({ input: process.stdin, output: process.stdout });
  try {
    return await Promise.race([lines.question(question), new Promise((done) => lines.once('close', () => done(undefined)))]);
  } finally {
    lines.close();
  }
}

/** What follows the verb and is no flag. */
const words = () => process.argv.slice(3).filter((a, i, all) => !a.startsWith('-') && all[i - 1] !== '--database');
const option = (/** @type {string} */ name) => process.argv[process.argv.indexOf(name) + 1];
const databaseAsked = () =>
  databaseName(
    process.argv.includes('--database') ? (option('--database') ?? '') : process.argv.includes('--demo') ? 'joram_demo' : 'joram'
  );

/** @param {(name: string) => Promise<{ admin: string }>} database */
export async function saveTo(database) {
  const [file] = words();
  if (!file) throw new Stop("After 'backup' comes the file to save to.");
  await packages();
  const db = await database(databaseAsked());
  const manifest = await during(`saving to ${file}`, () => backup(db.admin, file));
  say(`saved ${saveWords(manifest)}; keep ${file} and ${file}.json together`);
}

/** @param {(stop: () => unknown) => unknown} whenOurs told how to stop a cluster that this starts */
export async function restoreFrom(whenOurs) {
  const [file] = words();
  if (!file) throw new Stop("After 'restore' comes the file to restore from.");
  await packages();
  const name = databaseAsked();
  const given = process.env.JORAM_DATABASE_URL;
  const cluster = given ? undefined : await startCluster(undefined, whenOurs);
  const url = (/** @type {string} */ of) =>
    cluster?.url(of) ?? Object.assign(new URL(/** @type {string} */ (given)), { pathname: `/${of}` }).href;
  const { manifest, aside } = await restore(url, name, file, {
    ...(cluster ? { appPassword: cluster.secrets.app } : {}),
    ...(process.argv.includes('--replace')
      ? { replace: () => asked(`The database '${name}' has a club in it, which is set aside under another name. Type ${name} to go on: `) }
      : {})
  });
  say(`restored ${saveWords(manifest)}, saved ${manifest.at}, every row as it was saved`);
  if (aside) say(`what was there before is in the database '${aside}'`);
}
