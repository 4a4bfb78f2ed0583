import { group, type Infer, oneWord, optional, text } from '../../form';
import { thingSet } from '../events';
import { jointNames, jointsLack } from '../joints';
import type { KindOf } from './kind';

const fields = group('Test', {
  test: text('Which test', 1, 60),
  result: oneWord('Result', ['pass', 'fail', 'noted']),
  text: optional(text('What was seen', 1, 300))
});
export type Test = Infer<typeof fields>;

const words = { pass: 'passed', fail: 'failed', noted: 'noted' } as const;

export const test: KindOf<Test> = {
  fields,
  does: (state, { test, ...said }, { at, by }) => ({ ...state, tests: { ...state.tests, [test]: { ...said, at, by } } }),
  // The last joint that holds is the end of the leak test.
  tells: ({ test, ...said }, state, { at, by }, { fitOut }) =>
    state.open['gas joint'] &&
    jointNames(fitOut).includes(test) &&
    jointsLack(jointNames(fitOut), { disturbed: state.disturbed, tests: { ...state.tests, [test]: { ...said, at, by } } }, 'disturbed') ===
      undefined
      ? thingSet('gas joint', false)
      : [],
  says: ({ test, result, text }) => `${test}: ${words[result]}${text ? `. ${text}` : ''}`
};
