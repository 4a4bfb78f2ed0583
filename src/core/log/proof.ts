import { cellOf, conditions, isOn, notSwept, rigParts, walkWords } from '../commission';
import type { Proof } from '../procedure';
import { coldWater } from '../steam';
import { doubts, hotOnHot } from '../sums';
import { isLevel, mark, printGlass } from '../units';
import { jointsLack } from './joints';
import { isProven } from './release';
import type { State } from './state';

/** DOES IT BEAR IT OUT? What was logged is held against this engine's own figures, and what is lacking is said in one line. */

/** Cold water up to a level of the glass, m³: straight between eighths. */
function waterAt(eighths: readonly number[], level: number): number {
  const x = Math.min(1, Math.max(0, level)) * (eighths.length - 1);
  const i = Math.min(eighths.length - 2, Math.floor(x));
  return eighths[i]! + (x - i) * (eighths[i + 1]! - eighths[i]!);
}

/** Straight between the points of a curve. */
function between(xs: readonly number[], ys: readonly number[], x: number): number {
  if (x < xs[0]!) return 0;
  const i = Math.min(
    xs.length - 2,
    Math.max(
      0,
      xs.findLastIndex((v) => v <= x)
    )
  );
  const share = Math.min(1, (x - xs[i]!) / (xs[i + 1]! - xs[i]!));
  return ys[i]! + share * (ys[i + 1]! - ys[i]!);
}

/** A few by name, and how many more. */
const listed = (names: readonly string[]): string =>
  `${names.slice(0, 4).join(', ').toLowerCase()}${names.length > 4 ? `, and ${names.length - 4} more` : ''}`;

const lacks: { [K in Proof['kind']]: (proof: Extract<Proof, { kind: K }>, state: State) => string | undefined } = {
  level: ({ fill, least, most, eighths }, { glass }) => {
    const level = glass && (isLevel(glass.value) ? glass.value : glass.value === 'top nut' ? 1 : undefined);
    if (level === undefined || (level >= least && level <= most)) return undefined;
    const off = mark(Math.abs(waterAt(eighths, fill) - waterAt(eighths, level)), 'volume');
    const stands = glass!.value === 'top nut' ? 'In the top nut' : level < 0.03 ? 'At the bottom nut' : printGlass(level);
    return level < least
      ? `${stands}: fill to ${printGlass(fill)}, ${off} more.`
      : `${stands}: let it down to ${printGlass(fill)}, ${off} less. Hot, it would stand over its ceiling.`;
  },
  lifts: ({ valves }, { lifts }) => {
    const name = (n: number) => (valves > 1 ? `Valve ${n}` : 'The valve');
    for (let n = 1; n <= valves; n++) {
      const of = lifts.filter((l) => l.valve === n);
      if (!of.some((l) => l.lifted !== undefined)) return `${name(n)} has not been seen to lift. Log the pressure at which it opens.`;
      if (!of.some((l) => l.reseated !== undefined)) return `${name(n)} lifted: log the pressure at which it shuts again.`;
    }
    return undefined;
  },
  agrees: ({ sets, within }, { lifts }) => {
    const off = lifts.find(({ valve, lifted }) => lifted !== undefined && Math.abs(lifted - (sets[valve - 1] ?? lifted)) > within);
    if (!off) return undefined;
    const [needle, stamped] = [off.lifted!, sets[off.valve - 1]!].map((x) => mark(x, 'pressure'));
    return `Valve ${off.valve} lifted at ${needle} by the gauge and is set at ${stamped}: one of the two is wrong. Compare the gauge, or write a fault.`;
  },
  feeds: ({ asked, of }, state) => {
    const proven = of.filter((name) => isProven(state, name));
    if (proven.length >= asked) return undefined;
    const not = of.filter((name) => !proven.includes(name)).map((name) => name.toLowerCase());
    const has = proven.length ? `${proven.length} of ${asked} proven` : 'none is proven';
    return `Public running asks for ${asked} proven feeds: ${has}. ${not.length ? `Not proven: ${not.join(', ')}.` : `It has no more than ${of.length}.`} Prove them, or carry nobody.`;
  },
  water: ({ fill, least, most, metal }, { boiler }) => {
    if (!boiler?.sure) return `Log the water that goes in: ${mark(fill, 'volume')}, measured.`;
    const off = mark(Math.abs(fill - boiler.volume), 'volume');
    const is = mark(boiler.volume, 'volume');
    if (boiler.volume < metal)
      return `${is} is in, and the hottest metal needs ${mark(metal, 'volume')} over it: fill to ${mark(fill, 'volume')}, ${off} more.`;
    if (boiler.volume < least * 0.995) return `${is} is in: fill to ${mark(fill, 'volume')}, ${off} more.`;
    return boiler.volume > most * 1.005 ? `${is} is in: let out ${off}. Hot, it would swell past its room.` : undefined;
  },
  charged: ({}, { charged }) => (charged ? undefined : 'Log what it weighs: on this engine the fuel must end before the water.'),
  left: ({}, { runs }) => (runs.at(-1)?.left === undefined ? 'Log what is left in the boiler, measured.' : undefined),
  pair: (proof, { boiler, glass, charged, shown }) => {
    const level = glass && isLevel(glass.value) ? glass.value : undefined;
    const water = boiler?.sure ? boiler.volume : proof.eighths && level !== undefined ? waterAt(proof.eighths, level) : undefined;
    if (water === undefined) return 'Log the water that is in: without it there is no saying how long the fire may burn.';
    // What is filled in warm boils sooner, and less fuel ends before it does.
    const warm = boiler?.sure ? Math.min(1, Math.max(0, (boiler.T - coldWater) / (hotOnHot - coldWater))) : 0;
    // Its own runs say how hot its fire is, in place of the class.
    const own = shown?.runs ? ((shown.burns ?? 1) * (1 + doubts.heat)) / (shown.factor * (1 + shown.spread)) : 1;
    const most = own * ((1 - warm) * between(proof.waters, proof.cold, water) + warm * between(proof.waters, proof.hot, water));
    const may = proof.piece ? Math.floor(most / proof.piece + 1e-6) * proof.piece : most;
    const words = proof.piece
      ? `${Math.round(may / proof.piece)} tablet${Math.round(may / proof.piece) === 1 ? '' : 's'}, ${mark(may, 'mass')}`
      : mark(may, 'mass');
    if (!(may > 0)) return `${mark(water, 'volume')} is in, and no charge burns out before that is at its floor: fill more.`;
    if (!charged || !(charged.mass > 0)) return `Log the fuel that is charged: ${proof.own || words}, and no more than ${words}.`;
    return charged.mass > most * 1.02
      ? `The fuel outlasts the water: ${mark(charged.mass, 'mass')} is charged, and with ${mark(water, 'volume')} in no more than ${words} burns out before the water is at its floor. Take some away, or fill more.`
      : undefined;
  },
  holds: ({ within }, { needle }) => {
    const [before, pressure] = needle.slice(-2);
    if (!pressure || !before || Date.parse(pressure.at) - Date.parse(before.at) < 60_000)
      return 'Log the needle twice, a minute or more apart: what it does between is what is asked.';
    return before.value - pressure.value > within
      ? `${mark(before.value, 'pressure')}, then ${mark(pressure.value, 'pressure')}: it falls. Ease it, let it come back, and look again.`
      : undefined;
  },
  joints: ({ names }, state) => jointsLack(names, state, 'each'),
  retest: ({ test }, { tests }) =>
    tests[test]?.result === 'pass'
      ? undefined
      : tests[test]?.result === 'fail'
        ? 'It is back again: its fault is open. Nothing is proven by this step.'
        : 'Try it, and say what it did: holds, or back again.',
  cells: ({ in: condition, items }, { cells }) => {
    const bad = items.filter((i) => cellOf(cells, i, condition)?.result === 'not good');
    const not = items.filter((i) => !cellOf(cells, i, condition));
    if (!bad.length && !not.length) return undefined;
    const said = [...(bad.length ? [`not good: ${listed(bad)}`] : []), ...(not.length ? [`not touched: ${listed(not)}`] : [])];
    return `${conditions[condition]}, ${said.join('; ')}. Matrix: touch each, or leave the step with why.`;
  },
  swept: ({ at, names }, { swept }) => {
    const left = notSwept(names, swept, at);
    return left.length
      ? `${left.length} of ${names.length} places are left on the walk ${walkWords(at)}: ${listed(left)}. Leak sweep.`
      : undefined;
  },
  accumulated: ({}, { accumulation }) =>
    accumulation === 'ends'
      ? undefined
      : accumulation
        ? 'It is under way: end it when its time is over.'
        : 'Begin it under Accumulation test.',
  apart: ({}, { swept, began = '' }) =>
    swept.some((s) => s.is === 'disturbed' && s.when >= began)
      ? undefined
      : 'Say which joints are new: Leak sweep, point at each, More, Taken apart since.',
  rig: ({ part, on }, { rigs }) =>
    isOn(rigs, part) === on
      ? undefined
      : on
        ? `Say under Rig whose it is, and by when it is off again: ${rigParts[part].name.toLowerCase()}.`
        : `It is still on: ${rigParts[part].name.toLowerCase()}. Off, and say so under Rig.`,
  'at rest': ({ atMost }, { pressure }) =>
    pressure && pressure.value > atMost
      ? `It stands at ${mark(pressure.value, 'pressure')} cold: a gauge that does not begin at nothing reads wrong all the way. Write a fault.`
      : undefined
};

/** What a step's evidence still lacks against the engine's own figures, as an instruction; undefined when it bears it out. */
export const lacksProof = (proof: Proof | undefined, state: State): string | undefined =>
  proof && (lacks[proof.kind] as (proof: Proof, state: State) => string | undefined)(proof, state);

/** Whether a reason in writing stands for what was not seen: of a valve that did not lift, a gauge that reads otherwise; never of water. */
export const mayBeExcused = (proof: Proof | undefined, { lifts }: State): boolean =>
  proof?.kind === 'agrees' || (proof?.kind === 'lifts' && lifts.some((l) => l.lifted !== undefined));
