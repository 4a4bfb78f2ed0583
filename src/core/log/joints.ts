import type { FitOut } from '../engine';
import type { State } from './state';

/** GAS JOINTS are a register: each union, when it was disturbed last and when it was tested last. What was disturbed burns nothing before it is tested. */

/** All of them, where it was not said which. */
export const everyJoint = 'every joint';

export interface Joint {
  readonly name: string;
  readonly disturbedAt?: string;
  readonly testedAt?: string;
  readonly by?: string;
  readonly result?: 'pass' | 'fail';
}

/** The gas joints of an engine by name, from the canister on. */
export const jointNames = ({ fire }: FitOut): readonly string[] => (fire.with === 'gas' ? fire.joints.map((j) => j.name) : []);

/** What the log knows of one. */
export function jointIn({ disturbed, tests }: Pick<State, 'disturbed' | 'tests'>, name: string): Joint {
  const [own, all] = [disturbed[name], disturbed[everyJoint]];
  const at = own !== undefined && (all === undefined || own > all) ? own : all;
  const test = tests[name];
  return {
    name,
    ...(at === undefined ? {} : { disturbedAt: at }),
    ...(test && test.result !== 'noted' ? { testedAt: test.at, by: test.by, result: test.result } : {})
  };
}

/** Whether it was tested, and held, since it was disturbed. */
export const isTight = ({ disturbedAt, testedAt, result }: Joint): boolean =>
  result === 'pass' && (disturbedAt === undefined || testedAt! >= disturbedAt);

/** What of some joints is still to be tested, as an instruction; undefined when all are tight. @param asked only those that were disturbed, or each */
export function jointsLack(
  names: readonly string[],
  state: Pick<State, 'disturbed' | 'tests'>,
  asked: 'each' | 'disturbed'
): string | undefined {
  const open = names
    .map((name) => jointIn(state, name))
    .filter((j) => (asked === 'each' || j.disturbedAt !== undefined || j.result === 'fail') && !isTight(j));
  const leaks = open.filter((j) => j.result === 'fail' && (j.disturbedAt === undefined || j.testedAt! >= j.disturbedAt));
  if (leaks.length) return `It bubbles: ${leaks.map((j) => j.name.toLowerCase()).join(', ')}. Canister shut, joint remade, tested again.`;
  return open.length
    ? `Not tested: ${open.map((j) => j.name.toLowerCase()).join(', ')}. Fluid on each, a slow minute, and say what it does.`
    : undefined;
}
