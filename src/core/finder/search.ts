import type { FitOut } from '../engine';
import { fits, knowledge, type Symptom } from './knowledge';

/** Words that say nothing of what is wrong. */
const idle = new Set([
  'the',
  'a',
  'an',
  'it',
  'is',
  'of',
  'to',
  'in',
  'on',
  'at',
  'and',
  'will',
  'my',
  'our',
  'its',
  'with',
  'has',
  'does',
  'do',
  'from',
  'when'
]);
/** A word to its stem, roughly: enough that leaks, leaking and leak are one. */
const stem = (word: string): string => word.replace(/(?:ing|ed|es|s|ly)$/, '').replace(/(.)\1$/, '$1');
const wordsOf = (text: string): string[] =>
  text
    .toLowerCase()
    .split(/[^a-z]+/)
    .filter((w) => w.length > 1 && !idle.has(w))
    .map(stem);

/** How well some words fit a saying: what share of the asked words it has, then what share of its own were asked. */
function fit(asked: readonly string[], saying: string): number {
  const own = wordsOf(saying);
  const hits = asked.filter((w) => own.some((o) => o === w || (w.length > 2 && o.startsWith(w)))).length;
  return hits ? hits / asked.length + hits / (10 * own.length) : 0;
}

/** WHAT IS MEANT BY SOME WORDS on an engine: its symptoms, what fits best first; all that it can have, in the order of the book, for no words. */
export function symptomsFor(fitOut: FitOut, words: string): Symptom[] {
  const able = [...knowledge.symptoms.values()].filter((s) => fits(fitOut, s.for));
  const asked = wordsOf(words);
  if (!asked.length) return able;
  return able
    .map((symptom) => ({ symptom, score: Math.max(...symptom.says.map((s) => fit(asked, s))) }))
    .filter(({ score }) => score >= 0.5)
    .sort((a, b) => b.score - a.score)
    .map(({ symptom }) => symptom);
}
