import { cellRefused, type Condition, fittingsOf, isOn, rigRefused, rigsStay, walkRefused, walksOf } from '../commission';
import { needsPair } from '../sums';
import { mark, psi } from '../units';
import { accumulationRefused, underWay } from './accumulation';
import { registerIn, walkedAt } from './commissioned';
import type { Entry } from './entry';
import type { Log } from './fold';
import { jointNames, jointsLack } from './joints';
import type { Bodies } from './kinds';
import { forbidden, lightRefused, tickRefused } from './standing';

/** MAY IT GO IN? What a member may enter into a log as it stands: asked by the Footplate before it is made, and by the server always. */

/** What a member may do that the log asks for. */
export type LogRight = 'sign as keeper' | 'sign as examiner' | 'add late notes' | 'strike a signature' | 'clear a bar';

/** Who makes an entry. */
export interface Maker {
  readonly name: string;
  readonly may: (right: LogRight) => boolean;
}

/** Why something may not go in: the field that is wrong, and the sentence. */
export interface NotEntered {
  readonly field: string;
  readonly sentence: string;
}

/** What arrives this long after it was made was judged by the device that made it, with what it knew: it is taken, and the fold marks it; ms. */
const madeNow = 2 * 60_000;

/** The signature that ended a steaming, and stands. */
export const closing = ({ entries, struck }: Pick<Log, 'entries' | 'struck'>): Entry | undefined =>
  entries.find((e) => e.kind === 'sign' && e.body.as === 'keeper' && !struck.has(e.id));

/** What is signed is closed: what is made afterwards is a late note, by those who may. What was made before is late, and belongs in. */
function afterTheEnd(entry: Entry, end: Entry, { may }: Maker): NotEntered | undefined {
  // A signature has rules of its own: an examiner signs after the keeper.
  if (entry.at <= end.at || entry.kind === 'sign') return undefined;
  const by = `This steaming was signed by ${end.by}`;
  if (entry.kind !== 'note')
    return {
      field: 'kind',
      sentence: `${by} and is closed: what comes after is told in a late note, by an owner, a steward or an examiner.`
    };
  return may('add late notes')
    ? undefined
    : { field: 'kind', sentence: `${by} and is closed: only an owner, a steward or an examiner adds a late note.` };
}

function signing({ as, name }: Bodies['sign'], log: Log, entry: Entry, maker: Maker): NotEntered | undefined {
  if (!maker.may(`sign as ${as}`)) return { field: 'body.as', sentence: `Your role does not allow you to sign as ${as}.` };
  if (name !== maker.name)
    return { field: 'body.name', sentence: `A signature is your own: you are signed in as ${maker.name}, not as ${name}.` };
  // Whoever handed it over has handed over the signature too.
  const { state } = log;
  if (as === 'keeper' && state.keeper !== maker.name && state.keepers.some((k) => k.name === maker.name))
    return { field: 'body.name', sentence: `It was handed over to ${state.keeper}, who signs for it.` };
  const end = closing(log);
  return as === 'keeper' && end && end.id !== entry.id ? { field: 'kind', sentence: `It was signed by ${end.by} already.` } : undefined;
}

/** A needle is at nothing when it is under this, Pa at the gauge: its pin, and the reading of it. */
const atNothing = psi(3);

/** What was last read hot is not cold because nobody looked again. */
const stillHot = ({ pressure }: Log['state']): string[] =>
  pressure && pressure.value > atNothing
    ? [`${mark(pressure.value, 'pressure')}: it is not cold. Wait until the needle is at nothing and log it, or hand it over.`]
    : [];

/** Why an engine may not be left by a signature now. */
const mayNotLeave = (state: Log['state'], now: number): string[] => [
  ...forbidden('leave', state),
  ...rigsStay(state.rigs, now),
  ...stillHot(state)
];

/** What there is now that shows a condition: air by its hose, steam by its own fire and a needle read since, or another boiler’s, load by the running. */
function shows({ state, context }: Pick<Log, 'state' | 'context'>, condition: Condition): string | undefined {
  const { pressure, open, rigs, phase, fire } = state;
  // A needle that air has moved is no steam.
  const risen = !context.fitOut.gauge || (pressure !== undefined && pressure.value > atNothing && pressure.at >= (fire.litAt ?? ''));
  const steam = isOn(rigs, 'borrowed steam') || (fire.litAt !== undefined && risen);
  if (condition === 'air' && !open['air hose'] && !isOn(rigs, 'outside air'))
    return 'There is no air on it: the hose first, then what it shows.';
  if (condition === 'steam' && !steam) return 'There is no steam in it: log the fire and the needle, or rig the steam of another boiler.';
  if (condition === 'load' && !(steam && (phase === 'Run' || phase === 'Shut down')))
    return 'Under load is while it runs: it is not running yet.';
  return undefined;
}

/** A cell of the matrix is of a fitting that it has, in a condition that there is; said otherwise than before only with what was done since. */
function touching(body: Bodies['cell'], log: Log): NotEntered | undefined {
  const sentence = cellRefused(body, log.state.cells, fittingsOf(log.context.fitOut), (c) => shows(log, c));
  return sentence === undefined ? undefined : { field: 'body.result', sentence };
}

/** A walk is made at a pressure that the needle shows, past places that are there. */
function sweeping({ place, at, is, kind }: Bodies['sweep'], { state, context }: Log, now: number): NotEntered | undefined {
  const { fitOut } = context;
  if (!kind && !registerIn({ state, context }).some((p) => p.name === place))
    return { field: 'body.place', sentence: `“${place}” is on no list of this engine: say what it is (a union, a gland), and it is.` };
  if (is === 'disturbed') return undefined;
  const walks = walksOf(fitOut);
  if (!walks.some((p) => Math.abs(p - at) < 1000))
    return {
      field: 'body.at',
      sentence: `A walk is made ${walks.map((p) => (p === 0 ? 'cold' : `at ${mark(p, 'pressure')}`)).join(', ')}.`
    };
  const sentence = walkRefused(at, walks, walkedAt({ state, context }), now);
  return sentence === undefined ? undefined : { field: 'body.at', sentence };
}

/** Where nothing feeds, a fire that burns was matched with its water: no fuel goes to it alone. That it did is logged, and warned of. */
function secondCharge({ mass, already }: Bodies['charge'], { state, context }: Pick<Log, 'state' | 'context'>): NotEntered | undefined {
  const run = state.runs.at(-1);
  if (already || !needsPair(context.fitOut) || !run || run.outAt || run.charge === undefined) return undefined;
  return {
    field: 'body.mass',
    sentence: `A second charge without water: ${mark(run.charge, 'mass')} burns, matched with what was in, and ${mark(mass, 'mass')} more has no water to it. Fire out, down to nothing, measured, filled hot: then it is charged. If it is on already, say so: “already”.`
  };
}

/** A canister is weighed whole: what it weighs over its empty weight is gas. */
function lighterThanEmpty({ what, mass }: Bodies['measured'], { fire }: Log['context']['fitOut']): NotEntered | undefined {
  const empty = fire.with === 'gas' ? fire.empty : null;
  return (what === 'canister' || what === 'canister after') && empty !== null && mass !== undefined && mass < 0.98 * empty
    ? {
        field: 'body.mass',
        sentence: `${mark(mass, 'mass')} is less than the canister weighs empty, ${mark(empty, 'mass')}: weigh it whole.`
      }
    : undefined;
}

/** A test begins when everything is set, and ends when it has begun. */
function accumulating({ act }: Bodies['accumulation'], log: Log, at: number): NotEntered | undefined {
  if (act === 'ends')
    return underWay(log, at) ? undefined : { field: 'body.act', sentence: 'No accumulation test is under way: begin one first.' };
  const sentence = accumulationRefused(log.context.fitOut, log.state, at);
  return sentence === undefined ? undefined : { field: 'body.act', sentence };
}

/** What the log must bear out before it is said: that a step is done, that the engine can be left. */
function notBorneOut(entry: Entry, log: Log): NotEntered | undefined {
  const { state, context } = log;
  if (entry.kind === 'tick') {
    const sentence = tickRefused(entry.body, state, context.procedure, Date.parse(entry.at));
    return sentence === undefined ? undefined : { field: 'body.step', sentence };
  }
  // What happened is taken, and told as such; that a fire may be lit now is a claim like any other.
  if (entry.kind === 'fire' && entry.body.act === 'light' && !entry.body.already) {
    const sentence = lightRefused(state, context.procedure, Date.parse(entry.at));
    return sentence === undefined ? undefined : { field: 'body.act', sentence: `${sentence} If it is lit already, say so: “already lit”.` };
  }
  if (entry.kind === 'thing' && entry.body.thing === 'gas joint' && !entry.body.open) {
    const sentence = jointsLack(jointNames(context.fitOut), state, 'disturbed');
    if (sentence) return { field: 'body.open', sentence };
  }
  if (entry.kind === 'cell') return touching(entry.body, log);
  if (entry.kind === 'sweep') return sweeping(entry.body, log, Date.parse(entry.at));
  if (entry.kind === 'rig')
    return entry.body.on && entry.body.of?.trim().toLowerCase() === context.fitOut.name.toLowerCase()
      ? { field: 'body.of', sentence: 'That is this engine’s own boiler: say whose steam it is lent.' }
      : rigRefused(entry.body, state.rigs);
  if (entry.kind === 'accumulation') return accumulating(entry.body, log, Date.parse(entry.at));
  if (entry.kind === 'measured') return lighterThanEmpty(entry.body, context.fitOut);
  const charged = entry.kind === 'charge' ? secondCharge(entry.body, { state, context }) : undefined;
  if (charged) return charged;
  const left = entry.kind === 'sign' && entry.body.as === 'keeper' ? mayNotLeave(state, Date.parse(entry.at)) : [];
  return left.length ? { field: 'kind', sentence: left.join(' ') } : undefined;
}

/** It is handed over when the other has taken it: on their own device, or by their sign-in name on this one. */
function handingOver(entry: Entry, { state }: Log, { name, may }: Maker): NotEntered | undefined {
  const { keeper, offer } = state;
  if (entry.kind === 'handover') {
    const { to, offered, signIn } = entry.body;
    if (!offered) return { field: 'body.offered', sentence: 'It is offered first, and theirs when they have taken it: say “offered”.' };
    if (name !== keeper && signIn === undefined && !may('clear a bar'))
      return {
        field: 'kind',
        sentence: `${keeper} keeps it: only they hand it over, on their own device or by their sign-in name on this one, an owner, a steward or an examiner.`
      };
    return to === keeper ? { field: 'body.to', sentence: `${keeper} has it already.` } : undefined;
  }
  if (entry.kind !== 'taken') return undefined;
  if (!offer) return { field: 'kind', sentence: `It is not being handed over: ${keeper} has it.` };
  if (entry.body.name !== offer.to) return { field: 'body.name', sentence: `It is offered to ${offer.to}, and not to ${entry.body.name}.` };
  return name === offer.to || entry.body.signIn !== undefined
    ? undefined
    : { field: 'body.name', sentence: `${offer.to} takes it on their own device, or gives their sign-in name on this one.` };
}

function striking(entry: Entry, log: Log, { name, may }: Maker): NotEntered | undefined {
  const target = log.entries.find((e) => e.id === entry.strikes);
  const no = (sentence: string): NotEntered => ({ field: 'strikes', sentence });
  if (!target) return no('There is no such entry in this log to strike.');
  if (target.kind === 'override') return no('What was overridden at the start stays in the record.');
  if (target.kind === 'sign' && !may('strike a signature')) return no('Only an owner or a steward strikes a signature.');
  if (target.kind === 'fault' && target.by !== name && !may('clear a bar'))
    return no(`Only ${target.by}, an owner, a steward or an examiner strikes this fault.`);
  return undefined;
}

/**
 * Why an entry may not go into a log; undefined when it may.
 * @param log as it stands without the entry @param now when it is asked, ms since 1970
 */
export function mayNotEnter(entry: Entry, log: Log, maker: Maker, now: number): NotEntered | undefined {
  if (entry.kind === 'override')
    return { field: 'kind', sentence: 'An override is made when a steaming is started, and not entered later.' };
  if (entry.kind === 'away')
    return { field: 'kind', sentence: 'That it was begun without a connection is said as it begins, and not later.' };
  const strikes = entry.strikes ? striking(entry, log, maker) : undefined;
  if (strikes) return strikes;
  const end = closing(log);
  // A signature that is struck opens the log again, so that strike is not something entered after the end.
  const reopens = end !== undefined && entry.kind === 'strike' && entry.strikes === end.id;
  const after = end && !reopens ? afterTheEnd(entry, end, maker) : undefined;
  if (after) return after;
  if (entry.kind === 'cleared') return { field: 'kind', sentence: 'A fault is cleared where it is fixed: on the page of the faults.' };
  const unhanded = now - Date.parse(entry.at) < madeNow ? handingOver(entry, log, maker) : undefined;
  if (unhanded) return unhanded;
  const unsigned = entry.kind === 'sign' ? signing(entry.body, log, entry, maker) : undefined;
  return unsigned ?? (now - Date.parse(entry.at) < madeNow ? notBorneOut(entry, log) : undefined);
}
