// One thread of the pool: does a job of the table, and says what it refuses as data, for an error's class does not cross threads.
import { Refusal } from '$core/units';
import { jobs, type Jobs } from './table';

export interface Asked<J extends keyof Jobs = keyof Jobs> {
  readonly job: J;
  readonly input: Parameters<Jobs[J]>[0];
}
export type Answered =
  { readonly output: unknown } | { readonly refused: { field: string; sentence: string; more: Record<string, unknown> } };

export default async function answer({ job, input }: Asked): Promise<Answered> {
  try {
    return { output: await (jobs[job] as (input: unknown) => unknown)(input) };
  } catch (problem) {
    if (!(problem instanceof Refusal)) throw problem;
    const { field, sentence, code, more } = problem;
    return { refused: { field, sentence, more: { ...more, code } } };
  }
}
