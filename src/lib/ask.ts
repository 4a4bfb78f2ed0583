import type { Input, Job, Output } from '../workers/jobs';

interface Answer {
  number: number;
  output?: unknown;
  share?: number;
  problem?: string;
}

let worker: Worker | undefined;
let count = 0;
const waiting = new Map<
  number,
  { done: (output: unknown) => void; fail: (problem: Error) => void; progress?: ((share: number) => void) | undefined }
>();

function theWorker(): Worker {
  if (worker) return worker;
  worker = new Worker(new URL('../workers/sums.ts', import.meta.url), { type: 'module' });
  worker.onmessage = ({ data }: MessageEvent<Answer>) => {
    const asked = waiting.get(data.number);
    if (!asked) return;
    if (data.share !== undefined) return asked.progress?.(data.share);
    waiting.delete(data.number);
    if (data.problem !== undefined) asked.fail(new Error(data.problem));
    else asked.done(data.output);
  };
  // A worker that cannot be loaded answers nobody: whoever waits is told, and the next who asks tries again.
  worker.onerror = () => {
    for (const { fail } of waiting.values()) fail(new Error('The sums could not be started: load the page again.'));
    waiting.clear();
    worker = undefined;
  };
  return worker;
}

/** Asks the worker for a sum. The page goes on; what is asked must be plain data. */
export function ask<J extends Job>(job: J, input: Input<J>, progress?: (share: number) => void): Promise<Output<J>> {
  const number = ++count;
  return new Promise((done, fail) => {
    waiting.set(number, { done: done as (output: unknown) => void, fail, progress });
    theWorker().postMessage({ number, job, input });
  });
}

/**
 * Asks for the newest of many: while one sum is being worked out, only the last that was asked for meanwhile is kept.
 * @param told called with each answer that comes
 */
export function newest<J extends Job>(job: J, told: (output: Output<J>) => void, failed: (problem: Error) => void = () => {}) {
  let busy = false;
  let next: Input<J> | undefined;
  const go = (input: Input<J>) => {
    busy = true;
    ask(job, input)
      .then(told, failed)
      .finally(() => {
        busy = false;
        const left = next;
        next = undefined;
        if (left !== undefined) go(left);
      });
  };
  return (input: Input<J>) => (busy ? void (next = input) : go(input));
}
