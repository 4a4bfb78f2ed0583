import { group, type Infer, oneWord, optional, text } from '../../form';
import type { KindOf } from './kind';

const fields = group('Test', {
  test: text('Which test', 1, 60),
  result: oneWord('Result', ['pass', 'fail', 'noted']),
  text: optional(text('What was seen', 1, 300))
});
export type Test = Infer<typeof fields>;

export const test: KindOf<Test> = {
  fields,
  does: (state, { test, ...said }, { at, by }) => ({ ...state, tests: { ...state.tests, [test]: { ...said, at, by } } }),
  says: ({ test, result, text }) => `${test}: ${result}${text ? `. ${text}` : ''}`
};
