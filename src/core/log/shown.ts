import { type Phase, phases, type Procedure, type Shown, type Step } from '../procedure';
import type { Event } from './events';
import { lacksProof } from './proof';
import { isAsked, standing } from './standing';
import type { Context, State } from './state';

/** WHAT IS SHOWN IS NOT ASKED: a step that the log bears out by itself is done when it does. */

const readBy: Partial<Record<Step['evidence'], (event: Event) => boolean>> = {
  'glass reading': (e) => e.is === 'reading' && e.glass !== undefined,
  'pressure reading': (e) => e.is === 'reading' && e.pressure !== undefined,
  'temperature reading': (e) => e.is === 'reading' && e.temperature !== undefined,
  lift: (e) => e.is === 'lift'
};

/** Since what a step follows was done. */
const since = ({ needs }: Step, { steps }: State): string =>
  needs.reduce((latest, key) => ((steps[key]?.at ?? '') > latest ? steps[key]!.at : latest), '');

type Shows = (step: Step, state: State, told: readonly Event[], procedure: Procedure) => boolean;

/** By what each is shown. That the step is due, with what it waits for and needs, is asked beside it. */
const shows: Readonly<Record<Shown, Shows>> = {
  // A look of now, at what now stands: not one that an earlier entry left behind.
  reading: ({ evidence }, _, told) => told.some((e) => readBy[evidence]?.(e) ?? false),
  // What each run asks anew is not shown by the last one.
  seen: ({ sees, cycle }, { seen }, told) =>
    sees !== undefined && (cycle === 'each' ? told.some((e) => e.is === 'seen' && e.seen === sees) : seen[sees] !== undefined),
  // What a match opens beside the fire is said with the step.
  lit: ({ opens }, { fire }, told) =>
    fire.against === undefined && opens.every((thing) => thing === 'fire') && told.some((e) => e.is === 'fire' && e.act === 'light'),
  closed: ({ closes, sets }, state, _, { steps }) =>
    closes.every((thing) => !state.open[thing] && steps.some((s) => s.opens.includes(thing) && state.steps[s.key]?.outcome === 'done')) &&
    stands(sets, state),
  fuel: (step, state) => state.fire.fuelAt !== undefined && state.fire.fuelAt > (since(step, state) || (state.fire.litAt ?? '')),
  valves: ({ sets }, state) => stands(sets, state),
  proven: ({ proves = [] }, { feeds }) => proves.length > 0 && proves.every((name) => feeds[name]?.proven),
  oil: (step, state, told) => told.some((e) => e.is === 'oil' && e.what === 'oil round'),
  agrees: (_, { lifts }) => lifts.some((l) => l.lifted !== undefined),
  'borne out': ({ proof }, state) => proof !== undefined && lacksProof(proof, state) === undefined,
  tested: ({ proof }, { tests }) => proof?.kind === 'retest' && tests[proof.test]?.result === 'pass'
};

/** Every valve as the step would leave it. */
const stands = (sets: Step['sets'], { valves }: State): boolean =>
  sets.every((set) => {
    if (!('valve' in set)) return false;
    const open = valves[set.valve]?.open;
    return open !== undefined && (set.down ? open <= set.open : open > 0 === set.open > 0);
  });

/** The phase moves on when nothing is left to do in it; it never moves back by itself. */
export function advance(state: State, { procedure }: Pick<Context, 'procedure'>, at: string): State {
  let rank = phases.indexOf(state.phase);
  while (rank < phases.length - 1 && procedure.steps.every((s) => s.phase !== phases[rank] || !isAsked(s, state) || state.steps[s.key]))
    rank++;
  const phase = phases[rank] as Phase;
  return phase === state.phase ? state : { ...state, phase, phaseSince: at };
}

/** What the book bore out at the start. */
export const knownSteps = ({ steps }: Procedure): State['steps'] =>
  Object.fromEntries(
    steps.flatMap(({ key, known }) => (known?.done ? [[key, { outcome: 'done', at: known.at, by: 'the book', shown: true }]] : []))
  );

/**
 * The steps that an entry has shown to be done, done by whoever made it.
 * @param told what that entry told of the engine
 */
export function showing(state: State, told: readonly Event[], { procedure }: Context, at: string, by: string): State {
  let after = state;
  for (const step of procedure.steps) {
    if (!step.shown || !isAsked(step, after) || after.steps[step.key] || !shows[step.shown](step, after, told, procedure)) continue;
    if (standing(step, after, procedure, Date.parse(at)).is !== 'open') continue;
    after = { ...after, steps: { ...after.steps, [step.key]: { outcome: 'done', at, by, shown: true } } };
  }
  return after === state ? state : advance(after, { procedure }, at);
}
