import { patterns } from '../src/core/engine';
import {
  after,
  type Belief,
  causesOf,
  type Check,
  checksFor,
  knowledge,
  likelihoods,
  minutesOf,
  nextChecks,
  prior,
  ranked
} from '../src/core/finder';
import type { FinderCase } from './finder-cases';

/** How a case was played: where its cause stood after each check, from 1, and what the checks took until it stood first, min. */
export interface Played {
  readonly checks: readonly string[];
  readonly place: readonly number[];
  /** After how many checks it was first with more than half of all, or undefined where it never was. */
  readonly found: number | undefined;
  readonly minutes: number;
}
type Way = (c: FinderCase, belief: Belief, done: ReadonlySet<string>, now: Now) => Check | undefined;

const fitOutOf = (c: FinderCase) => patterns.find(({ key }) => key === c.pattern)!.fitOut;

const symptomOf = (c: FinderCase) => knowledge.symptoms.get(c.symptom)!;

/** As the finder asks. */
export const asked: Way = (c, belief, done, now) => nextChecks(symptomOf(c), fitOutOf(c), belief, done, now)[0]?.check;
/** As the book stands: every check of the symptom in the order of its pages. */
export const byTheBook: Way = (c, belief, done) => checksFor(symptomOf(c), fitOutOf(c), belief).find(({ key }) => !done.has(key));
/** The check that says most of the cause that is likeliest now. */
export const likeliestFirst: Way = (c, belief, done) => {
  const open = checksFor(symptomOf(c), fitOutOf(c), belief).filter(({ key }) => !done.has(key));
  for (const [cause] of ranked(belief)) {
    const of = open.filter((check) => cause in check.shows);
    if (of.length)
      return of.toSorted((a, b) => Math.max(...likelihoods(b, cause)) - Math.max(...likelihoods(a, cause)) || a.minutes - b.minutes)[0];
  }
  return open[0];
};

type Now = 'cold' | 'in steam';
/** How the engine is after a check. */
const afterwards = (now: Now, { when }: Check): Now => (when === 'any' ? now : when === 'cold' ? 'cold' : 'in steam');

/** Plays a case to its end, or to so many checks: each answered as the case says, or as where nothing is the matter. */
export function play(c: FinderCase, way: Way, most = 40): Played {
  const fitOut = fitOutOf(c);
  const symptom = symptomOf(c);
  if (!causesOf(symptom, fitOut).some(({ key }) => key === c.cause)) throw new RangeError(`${c.pattern} cannot have ${c.cause}.`);
  let belief = prior(symptom, fitOut);
  let now: Now = c.now ?? 'cold';
  const done = new Set<string>();
  const place: number[] = [];
  let minutes = 0;
  let found: number | undefined;
  let took = 0;
  while (place.length < most) {
    const check = way(c, belief, done, now);
    if (!check) break;
    took += minutesOf(check, now);
    now = afterwards(now, check);
    done.add(check.key);
    belief = after(belief, { check: check.key, result: c.shows[check.key] ?? check.results.length - 1 });
    place.push(ranked(belief).findIndex(([key]) => key === c.cause) + 1);
    if (found === undefined && place.at(-1) === 1 && belief.get(c.cause)! > 0.5) {
      found = place.length;
      minutes = took;
    }
  }
  return { checks: [...done], place, found, minutes: found === undefined ? took : minutes };
}

const median = (of: readonly number[]): number => {
  const sorted = [...of].sort((a, b) => a - b);
  const at = (sorted.length - 1) / 2;
  return (sorted[Math.floor(at)]! + sorted[Math.ceil(at)]!) / 2;
};

/** What comes of a way of asking over many cases. A cause that never came first counts as one after all others. */
export function measureOf(of: readonly FinderCase[], way: Way) {
  const played = of.map((c) => play(c, way));
  return {
    untilFirst: median(played.map(({ place }) => (place.includes(1) ? place.indexOf(1) + 1 : Infinity))),
    nearAfterSix: played.filter(({ place }) => place[Math.min(5, place.length - 1)]! <= 3).length,
    found: played.filter(({ found }) => found !== undefined).length,
    minutes: median(played.map(({ minutes }) => minutes)),
    minutesAll: played.reduce((sum, { minutes }) => sum + minutes, 0)
  };
}
