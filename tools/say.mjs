// What the one command says: progress on standard output, and one clear sentence when it must stop.
import { statfsSync } from 'node:fs';

/** A reason to stop that is told to the person as it stands, without a stack. */
export class Stop extends Error {}

/** @param {string} line */
export const say = (line) => console.log(`joram: ${line}`);

/**
 * Runs one long piece of work and says when it began and how long it took.
 * @template T
 * @param {string} what
 * @param {() => T | Promise<T>} work
 */
export async function during(what, work) {
  const from = process.hrtime.bigint();
  process.stdout.write(`joram: ${what} …`);
  try {
    const result = await work();
    console.log(` ${(Number(process.hrtime.bigint() - from) / 1e9).toFixed(1)} s`);
    return result;
  } catch (error) {
    console.log(' failed');
    throw error;
  }
}

/**
 * Turns an output that speaks of a full disk into the sentence that says so.
 * @param {string} folder
 * @param {string} output
 * @param {string} otherwise
 */
export const whyFailed = (folder, output, otherwise) =>
  /ENOSPC|No space left/i.test(output)
    ? new Stop(`The disk that holds ${folder} is full: free some space and run this again.`)
    : new Stop(`${otherwise}\n${output.trim()}`);

/**
 * @param {string} folder an existing folder
 * @param {number} megabytes
 */
export function needSpace(folder, megabytes) {
  const { bavail, bsize } = statfsSync(folder);
  const free = Math.floor((bavail * bsize) / 1e6);
  if (free < megabytes)
    throw new Stop(
      `The disk that holds ${folder} has ${free} MB left and Joram needs ${megabytes} MB: free some space and run this again.`
    );
}
