import { Refusal } from '$core/units';
import { type Job, jobs } from './jobs';

interface Asked {
  readonly number: number;
  readonly job: Job;
  readonly input: unknown;
}

self.onmessage = ({ data: { number, job, input } }: MessageEvent<Asked>) => {
  try {
    const output = (jobs[job] as (input: unknown, progress: (share: number) => void) => unknown)(input, (share) =>
      self.postMessage({ number, share })
    );
    self.postMessage({ number, output });
  } catch (problem) {
    // A refusal is a sentence for people; anything else is a fault of ours, and is said to be.
    self.postMessage({
      number,
      problem: problem instanceof Refusal ? problem.message : `This could not be worked out: ${String(problem)}`
    });
  }
};
