import type { State } from '../log';
import { type Act, type Gate, observations, type Phase, phases, type Procedure, type Step, things } from '../procedure';
import { mark } from '../units';

/** Where one step stands, and if it is not open, why. */
export type Standing =
  | { readonly is: 'done' | 'skipped'; readonly at: string; readonly by: string; readonly reason?: string }
  | { readonly is: 'open' }
  /** Waits for a reading, something seen, or time. Opens by itself. */
  | { readonly is: 'waiting'; readonly waits: readonly string[] }
  /** Refused until something else has been done or closed. */
  | { readonly is: 'blocked'; readonly because: readonly string[] };

export interface Placed {
  readonly step: Step;
  readonly standing: Standing;
}

/**
 * What a gate still waits for, in words; undefined when it is open.
 * @param now ms since 1970
 */
export function waitsFor(gate: Gate, state: State, procedure: Procedure, now: number): string | undefined {
  switch (gate.kind) {
    case 'pressure':
      return state.pressure && state.pressure.value >= gate.atLeast ? undefined : `opens at ${mark(gate.atLeast, 'pressure')}`;
    case 'pressure falls':
      return state.pressure && state.pressure.value > gate.atMost
        ? `opens when it has fallen to ${mark(gate.atMost, 'pressure')}`
        : undefined;
    case 'seen':
      return state.seen[gate.what] ? undefined : `opens when seen: ${observations[gate.what]}`;
    case 'minutes': {
      const done = state.steps[gate.after];
      if (done?.outcome !== 'done')
        return `opens ${gate.minutes} min after “${procedure.steps.find((s) => s.key === gate.after)?.what ?? gate.after}”`;
      const left = Date.parse(done.at) + gate.minutes * 60_000 - now;
      return left > 0 ? `opens in ${Math.ceil(left / 60_000)} min` : undefined;
    }
    case 'fire out':
      return state.fire.litAt && !state.fire.outAt ? 'opens when the fire is seen to be out' : undefined;
  }
}

/** What open things forbid an act now, in words. */
export const forbidden = (act: Act, state: State): string[] =>
  Object.keys(state.open).flatMap((key) => {
    const forbids: Partial<Record<Act, string>> = things[key as keyof typeof things]?.forbids ?? {};
    const why = forbids[act] ?? (act === 'light' ? forbids.heat : undefined);
    return why ? [why] : [];
  });

/** Where a step stands. */
export function standing(step: Step, state: State, procedure: Procedure, now: number): Standing {
  const done = state.steps[step.key];
  if (done) return { is: done.outcome, at: done.at, by: done.by, ...(done.reason ? { reason: done.reason } : {}) };
  const because = [
    ...step.needs
      .filter((key) => state.steps[key]?.outcome !== 'done' && !satisfiedBySkip(key, state, procedure))
      .map((key) => `first: ${procedure.steps.find((s) => s.key === key)?.what ?? key}`),
    // A step that closes a thing is not stopped by that thing being open.
    ...(step.act
      ? forbidden(step.act, state).filter((why) => !step.closes.some((c) => (Object.values(things[c].forbids) as string[]).includes(why)))
      : [])
  ];
  if (because.length) return { is: 'blocked', because };
  const waits = step.gates.map((gate) => waitsFor(gate, state, procedure, now)).filter((w) => w !== undefined);
  return waits.length ? { is: 'waiting', waits } : { is: 'open' };
}

/** A step that was skipped with a reason satisfies what follows it, unless it is one that may not be skipped. */
const satisfiedBySkip = (key: string, state: State, procedure: Procedure) =>
  state.steps[key]?.outcome === 'skipped' && !procedure.steps.find((s) => s.key === key)?.must;

export interface Due {
  readonly phase: Phase;
  /** The step to do now: the first that is open in the phase; when all wait, the first open chore. */
  readonly now?: Placed;
  /** What comes after it: open, waiting or blocked, in order. */
  readonly next: readonly Placed[];
  /** Steps of earlier phases that were neither done nor skipped. */
  readonly missed: readonly Placed[];
}

/**
 * What is due.
 * @param now ms since 1970
 */
export function due(procedure: Procedure, state: State, now: number): Due {
  const rank = phases.indexOf(state.phase);
  const left = procedure.steps
    .filter((s) => !state.steps[s.key])
    .map((step) => ({ step, standing: standing(step, state, procedure, now) }));
  const here = left.filter(({ step }) => step.phase === state.phase);
  const later = left.filter(({ step }) => phases.indexOf(step.phase) > rank);
  const missed = left.filter(({ step }) => phases.indexOf(step.phase) < rank);
  const isOpen = ({ standing }: Placed) => standing.is === 'open';
  const first = here.find((p) => isOpen(p) && !p.step.chore) ?? here.find(isOpen) ?? missed.find((p) => isOpen(p) && p.step.must);
  return {
    phase: state.phase,
    ...(first ? { now: first } : {}),
    next: [...here, ...later].filter((p) => p !== first),
    missed
  };
}
