import { rigParts, rigWords } from '../commission';
import { type Act, type Gate, observations, type Procedure, type Step, things } from '../procedure';
import { isLevel, mark } from '../units';
import type { Forbids } from './kinds/fault';
import type { Tick } from './kinds/tick';
import { lacksProof, mayBeExcused } from './proof';
import { openFaults, type State } from './state';

/** MAY IT BE DONE? Asked by the button, the key, the quick line, the server and the fold alike. */

/** Where one step stands, and if it cannot be called done, why. */
export type Standing =
  | { readonly is: 'done' | 'skipped'; readonly at: string; readonly by: string; readonly reason?: string; readonly shown?: true }
  | { readonly is: 'open' }
  /** To be done now, but not to be called done before its evidence is in the log. */
  | { readonly is: 'lacking'; readonly lacks: string }
  /** Waits for a reading, something seen, or time. Opens by itself. */
  | { readonly is: 'waiting'; readonly waits: readonly string[] }
  /** Refused until something else has been done or closed. */
  | { readonly is: 'blocked'; readonly because: readonly string[] };

/** A pressure is shown rounded, to a pound or a tenth of a bar: a gate opens at what it is shown as. Half a tenth of a bar, Pa. */
const roundedTo = 5000;

/** A needle that was read before the match says nothing of what was raised since: where it was lit, it is down when it was seen to be. */
const isDown = ({ pressure, fire: { litAt } }: State, atMost: number): boolean =>
  pressure === undefined ? litAt === undefined : pressure.value <= atMost && (litAt === undefined || pressure.at >= litAt);

/**
 * What a gate still waits for, in words; undefined when it is open.
 * @param now ms since 1970
 */
export function waitsFor(gate: Gate, state: State, procedure: Procedure, now: number): string | undefined {
  switch (gate.kind) {
    case 'pressure':
      return state.pressure && state.pressure.value >= gate.atLeast - roundedTo ? undefined : `opens at ${mark(gate.atLeast, 'pressure')}`;
    case 'pressure falls':
      return isDown(state, gate.atMost + roundedTo) ? undefined : `opens when it has fallen to ${mark(gate.atMost, 'pressure')}`;
    case 'seen':
      return state.seen[gate.what] ? undefined : `opens when seen: ${observations[gate.what]}`;
    case 'comes': {
      const lit = state.fire.litAt;
      const seen = state.seen[gate.what];
      if (gate.after === undefined || (lit && seen && seen >= lit)) return undefined;
      if (!lit) return `opens with the fire in: ${observations[gate.what]}`;
      const left = Date.parse(lit) + gate.after * 1000 - now;
      return left > 0
        ? `cannot be there yet: opens in ${mark(Math.ceil(left / 60_000) * 60, 'time')}, or when it is pointed at`
        : undefined;
    }
    case 'minutes': {
      const done = state.steps[gate.after];
      if (done?.outcome !== 'done')
        return `opens ${gate.minutes} min after “${procedure.steps.find((s) => s.key === gate.after)?.what ?? gate.after}”`;
      const left = Date.parse(done.at) + gate.minutes * 60_000 - now;
      return left > 0 ? `opens in ${Math.ceil(left / 60_000)} min` : undefined;
    }
    case 'ending': {
      if (state.seen['running ends']) return undefined;
      const left = gate.from === undefined ? Infinity : Date.parse(gate.from) - now;
      if (left <= 0) return undefined;
      return left === Infinity
        ? 'opens when you say that the running ends'
        : `opens in ${mark(Math.ceil(left / 60_000) * 60, 'time')}, or when you say that the running ends`;
    }
    case 'fire out':
      return state.fire.litAt && !state.fire.outAt ? 'opens when the fire is seen to be out' : undefined;
  }
}

/** What a fault that was found since the start forbids: what it says, and what is worse. */
const barredBy: Partial<Record<Act, { readonly by: readonly Forbids[]; readonly why: (text: string) => string }>> = {
  carry: { by: ['passengers', 'steaming'], why: (text) => `Not with passengers: “${text}” is open.` },
  light: {
    by: ['steaming'],
    why: (text) => `Not to be steamed: “${text}” is open. An owner, a steward or an examiner clears it.`
  }
};

/** What open things and faults forbid an act now, in words. */
export const forbidden = (act: Act, state: State): string[] => [
  ...Object.keys(state.open).flatMap((key) => {
    const forbids: Partial<Record<Act, string>> = things[key as keyof typeof things]?.forbids ?? {};
    const why = forbids[act] ?? (act === 'light' ? forbids.heat : undefined);
    return why ? [why] : [];
  }),
  // What is on for a trial carries nobody; a hose to another boiler does not move.
  ...(act === 'carry'
    ? Object.values(state.rigs)
    : act === 'move'
      ? Object.values(state.rigs).filter((r) => !rigParts[r.part].stays)
      : []
  ).map((r) => `${act === 'carry' ? 'Not with passengers: the' : 'The'} ${rigWords(r)} is still on.`),
  // What was open before it began was judged when it began; that it carries nobody still holds.
  ...(act === 'carry' ? openFaults(state) : state.faults.filter((f) => !f.clearedAt)).flatMap(({ text, forbids }) =>
    barredBy[act]?.by.includes(forbids) ? [barredBy[act].why(text)] : []
  )
];

const comesFirst = 'first: ';

/** A step that was skipped with a reason satisfies what follows it, unless it is one that may not be skipped. */
const satisfiedBySkip = (key: string, state: State, procedure: Procedure) =>
  state.steps[key]?.outcome === 'skipped' && !procedure.steps.find((s) => s.key === key)?.must;

/** What a step needs of a further run is needed where there is one. */
const belongs = (key: string, state: State, { steps }: Procedure) => isAsked(steps.find((s) => s.key === key) ?? {}, state);

/** How old a reading may be and still stand as a step's evidence, ms. */
const fresh = 5 * 60_000;
const young = (at: string | undefined, now: number) => at !== undefined && now - Date.parse(at) <= fresh;

/** What each kind of evidence still lacks, as an instruction; undefined when nothing is. */
const evidence: Partial<Record<Step['evidence'], (state: State, now: number) => string | undefined>> = {
  'glass reading': ({ glass }, now) =>
    !glass || !young(glass.at, now)
      ? 'Log the glass first: touch it where the water stands.'
      : isLevel(glass.value) || glass.value === 'top nut'
        ? undefined
        : 'No step goes on while water is not seen in the glass.',
  'pressure reading': ({ pressure }, now) =>
    young(pressure?.at, now) ? undefined : 'Log the pressure first: touch the scale where the needle stands.',
  'temperature reading': ({ temperature }, now) =>
    young(temperature?.at, now) ? undefined : 'Log the temperature first: type it with its unit in the quick line, as 12c.',
  lift: ({ lifts }) => (lifts.some((l) => l.lifted !== undefined) ? undefined : 'Log the lift first, with the pressure at which it opened.')
};

/** A second look is a second reading: one that an earlier step stood on does not serve for the next. */
function seenBefore({ key, evidence, again }: Step, state: State, procedure: Procedure): string | undefined {
  const read = again && { 'glass reading': state.glass, 'pressure reading': state.pressure }[evidence as string];
  if (!read) return undefined;
  const used = procedure.steps.find((s) => {
    const done = s.key !== key && s.evidence === evidence ? state.steps[s.key] : undefined;
    return done?.outcome === 'done' && done.at >= read.at;
  });
  return used && `Look again and log it: what was read last was for “${used.what}”.`;
}

/**
 * Where a step stands.
 * @param now ms since 1970
 */
export function standing(step: Step, state: State, procedure: Procedure, now: number): Standing {
  const done = state.steps[step.key];
  if (done)
    return {
      is: done.outcome,
      at: done.at,
      by: done.by,
      ...(done.reason ? { reason: done.reason } : {}),
      ...(done.shown ? { shown: true } : {})
    };
  const because = [
    ...(isAsked(step, state) ? [] : ['It belongs to a further run: say first that there is to be one.']),
    ...step.needs
      .filter((key) => state.steps[key]?.outcome !== 'done' && !satisfiedBySkip(key, state, procedure) && belongs(key, state, procedure))
      .map((key) => `${comesFirst}${procedure.steps.find((s) => s.key === key)?.what ?? key}`),
    // A step that closes a thing is not stopped by that thing being open.
    ...(step.act
      ? forbidden(step.act, state).filter((why) => !step.closes.some((c) => (Object.values(things[c].forbids) as string[]).includes(why)))
      : [])
  ];
  if (because.length) return { is: 'blocked', because };
  const waits = step.gates.map((gate) => waitsFor(gate, state, procedure, now)).filter((w) => w !== undefined);
  if (waits.length) return { is: 'waiting', waits };
  const lacks =
    (step.known?.against && `The book does not bear it out: ${step.known.against}. It is skipped with its reason, or put right.`) ??
    notPurged(step, state, now) ??
    evidence[step.evidence]?.(state, now) ??
    seenBefore(step, state, procedure) ??
    lacksProof(step.proof, state);
  return lacks ? { is: 'lacking', lacks } : { is: 'open' };
}

/** To be done now, whether or not its evidence is in the log already. */
export const isDue = ({ is }: Standing): boolean => is === 'open' || is === 'lacking';

/** Why a step cannot be called done, in one line; undefined when it can. */
export function whyNot(s: Standing): string | undefined {
  switch (s.is) {
    case 'open':
      return undefined;
    case 'lacking':
      return s.lacks;
    case 'waiting':
      return `Not yet: ${s.waits.join('; ')}.`;
    case 'blocked': {
      const first = s.because.flatMap((b) => (b.startsWith(comesFirst) ? [b.slice(comesFirst.length)] : []));
      const others = s.because.filter((b) => !b.startsWith(comesFirst));
      return ['Not yet.', ...(first.length ? [`First: ${first.join('; ')}.`] : []), ...others].join(' ');
    }
    default:
      return `It is ${s.is} already, by ${s.by}.`;
  }
}

/** As if a step had not been skipped: it may be done after all. */
export function unskipped(state: State, key: string): State {
  const { [key]: _, ...steps } = state.steps;
  return { ...state, steps };
}

/**
 * Why a tick may not be made; undefined when it may.
 * @param state the log as it stood when it was made @param now when it was made, ms since 1970
 */
export function tickRefused({ step: key, outcome, reason }: Tick, state: State, procedure: Procedure, now: number): string | undefined {
  const step = procedure.steps.find((s) => s.key === key);
  if (!step) return `This engine’s procedure has no step “${key}”.`;
  const before = state.steps[key]?.outcome;
  // Said beside what the log shows is said twice, and no harm.
  if (before === 'done')
    return state.steps[key]!.shown
      ? outcome === 'done'
        ? undefined
        : 'It is done: the log shows it.'
      : 'It is done already: strike that entry first.';
  if (outcome === 'done') {
    const stands = standing(step, before ? unskipped(state, key) : state, procedure, now);
    return stands.is === 'lacking' && reason && mayBeExcused(step.proof, state) ? undefined : whyNot(stands);
  }
  return step.must ? `“${step.what}” is not one to skip.` : undefined;
}

/** Whether a step belongs to the day as it is: those of a further run only when there is to be one. */
export const isAsked = ({ cycle }: Pick<Step, 'cycle'>, { again }: Pick<State, 'again'>): boolean =>
  cycle !== 'further' || again !== undefined;

/** What has not burnt lies low and waits for the match: it is aired, and counted. */
function notPurged({ purge }: Step, { lost }: State, now: number): string | undefined {
  if (!lost || purge === undefined) return undefined;
  if (!lost.offAt) return `${lost.burner} was lost: everything off first, and said so. Then it is aired for ${mark(purge, 'time')}.`;
  const left = purge - (now - Date.parse(lost.offAt)) / 1000;
  return left > 0 ? `${lost.burner} was lost: doors open, ${Math.ceil(left)} s more of the count.` : undefined;
}

/**
 * Why a fire may not be lit now; undefined when it may: what the step that lights it waits for and asks. What it was lit by before
 * was asked then; a second match asks only what stands open, and that water is seen.
 * @param now ms since 1970
 */
export function lightRefused(state: State, procedure: Procedure, now: number): string | undefined {
  const lights = procedure.steps.filter((s) => s.act === 'light' && isAsked(s, state));
  const step = lights.find((s) => state.steps[s.key]?.outcome !== 'done') ?? lights.at(-1);
  const stale = step && notPurged(step, state, now);
  if (stale) return stale;
  if (step && state.steps[step.key]?.outcome !== 'done') return whyNot(standing(step, unskipped(state, step.key), procedure, now));
  // What is put under a boiler again burns against the water that is in it now.
  const outlasts = step?.proof?.kind === 'pair' ? lacksProof(step.proof, state) : undefined;
  if (outlasts) return outlasts;
  const open = forbidden('light', state);
  if (open.length) return `Not yet. ${open.join(' ')}`;
  return state.glass && !isLevel(state.glass.value) && state.glass.value !== 'top nut'
    ? 'No fire while water is not seen in the glass.'
    : undefined;
}
