import { Refusal } from '$core/units';
import { availableParallelism } from 'node:os';
import type { Piscina } from 'piscina';
import type { Jobs } from './table';
import type { Answered, Asked } from './worker';

/** HEAVY WORK OFF THE REQUEST THREAD: a small pool of threads, in which one entry never waits for another's PDF. */

/** The built worker; without it (a development server, a program of ours) the work is done where it is asked for. */
const file = process.env.JORAM_JOBS;
/** What waits beyond this is turned away with a word, and not kept waiting for minutes. */
const mostWaiting = 100;
/** How Piscina says so: it gives no code. */
const atLimit = 'Task queue is at limit';

let pool: Promise<Piscina> | undefined;
function thePool(filename: string): Promise<Piscina> {
  pool ??= import('piscina').then(
    ({ Piscina }) =>
      new Piscina({
        filename,
        minThreads: 0,
        // One core is left to what answers.
        maxThreads: Math.max(1, Math.min(4, availableParallelism() - 1)),
        idleTimeout: 60_000,
        maxQueue: mostWaiting,
        // Where the machine knows of it, a thread of the pool gives way to the one that answers.
        niceIncrement: 10
      })
  );
  return pool;
}
process.once('sveltekit:shutdown' as never, () => void pool?.then((p) => p.destroy()));

/** Asks for a job of the table. @throws Refusal what the job refuses, or when too much is waiting already */
export async function work<J extends keyof Jobs>(job: J, input: Parameters<Jobs[J]>[0]): Promise<Awaited<ReturnType<Jobs[J]>>> {
  if (!file) {
    const { jobs } = await import('./table');
    return (await (jobs[job] as (input: unknown) => unknown)(input)) as Awaited<ReturnType<Jobs[J]>>;
  }
  const threads = await thePool(file);
  const answer: Answered = await threads.run({ job, input } satisfies Asked).catch((problem: Error) => {
    if (problem.message !== atLimit) throw problem;
    throw new Refusal('body', 'Too many sheets are being made just now: try again in a moment.', { code: 'too often', seconds: 5 });
  });
  if ('output' in answer) return answer.output as Awaited<ReturnType<Jobs[J]>>;
  const { field, sentence, more } = answer.refused;
  throw new Refusal(field, sentence, more);
}
