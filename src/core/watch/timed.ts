import type { FitOut } from '../engine';
import { countdownOf, halfSaid, lastMinutes } from './countdown';
import type { Rule } from './rule';

/** What puts the fire out, on this engine. */
const outBy: Record<FitOut['fire']['with'], string> = {
  solid: 'Fire out',
  gas: 'Gas off at the canister',
  spirit: 'Burner out from under',
  electric: 'Off at the switch'
};

/** What an engine that nothing feeds is warned of: its time, and a fuel that outlasts its water. */
export const timed: readonly Rule[] = [
  (f, state, now) => {
    const count = countdownOf(f, state);
    if (!count || 'refused' in count || now < count.stop) return undefined;
    return {
      key: 'run limit',
      rank: 'act now',
      what: 'Its time is up',
      first: `${outBy[f.fire.with]}, now. A run is never stretched.`,
      since: new Date(count.stop).toISOString()
    };
  },
  (f, state) => {
    const count = countdownOf(f, state);
    return count && 'refused' in count
      ? { key: 'no stop', rank: 'act now', what: count.refused, first: `${outBy[f.fire.with]}, now.`, since: count.since }
      : undefined;
  },
  (f, state) => {
    const count = countdownOf(f, state);
    if (!count || 'refused' in count) return undefined;
    const outlasts = count.sum.notes.find((n) => n.startsWith('The fuel outlasts'));
    return outlasts
      ? {
          key: 'fuel outlasts',
          rank: 'look',
          what: outlasts,
          first: `${outBy[f.fire.with]} when the countdown says so, not when it burns out.`,
          since: new Date(count.lit).toISOString()
        }
      : undefined;
  },
  (f, state, now) => {
    const count = countdownOf(f, state);
    if (!count || 'refused' in count || now >= count.stop) return undefined;
    const two = now >= count.stop - lastMinutes;
    const half = (count.lit + count.stop) / 2;
    if (!two && !(now >= half && now < half + halfSaid)) return undefined;
    return {
      key: two ? 'two minutes' : 'half',
      rank: 'look',
      what: two ? 'Two minutes, and its time is up' : 'Half of its time is gone',
      first: two
        ? f.roams === 'no'
          ? `Bring it to rest. ${outBy[f.fire.with]} in time.`
          : 'It should be in by now: catch it, and put the fire out.'
        : f.roams === 'no'
          ? 'Nothing can be put in: plan how it ends.'
          : 'Think of calling it in.',
      since: new Date(two ? count.stop - lastMinutes : half).toISOString()
    };
  }
];

/** Flames: one that was lost, and one that was not heard to take. */
export const flames: readonly Rule[] = [
  (f, { lost }, now) => {
    if (f.fire.with !== 'gas' || !lost) return undefined;
    const left = lost.offAt ? Math.ceil(f.fire.purge - (now - Date.parse(lost.offAt)) / 1000) : undefined;
    if (left !== undefined && left <= 0) return undefined;
    const many = f.fire.burners.length > 1;
    return {
      key: 'flame lost',
      rank: 'act now',
      what: `${lost.burner}: flame lost`,
      first:
        left === undefined
          ? `Gas off at the canister${many ? ': all of them' : ''}. Doors open. Log it out, and the count begins.`
          : `Doors open: ${left} s more, counted. Then ${many ? `${f.fire.burners[0]!.name.toLowerCase()} first` : 'light it as before'}, when you know why.`,
      since: lost.at
    };
  },
  (f, { fire, flames, seen }, now) => {
    if (f.fire.with !== 'gas' || !fire.litAt || fire.outAt) return undefined;
    const first = f.fire.burners[0]!;
    const took = flames[first.name] ?? (seen['flame heard'] !== undefined && seen['flame heard'] >= fire.litAt);
    const since = now - Date.parse(fire.litAt);
    return took || since < heardIn || since > 10 * heardIn
      ? undefined
      : {
          key: 'not heard',
          rank: 'look',
          what: `Gas on, and the flame not ${first.tells === 'seen' ? 'seen' : 'heard'} yet`,
          first: 'Heard or seen: log it. If not: gas off, air it for the count, try again.',
          since: fire.litAt
        };
  },
  (f, { boiler, runs }) => {
    const last = runs.at(-1);
    return boiler?.sure &&
      boiler.volume > 0 &&
      last?.outAt &&
      boiler.at > last.outAt &&
      boiler.T < coldIn &&
      !nearlyCold(last.outAt, boiler.at)
      ? {
          key: 'cold in',
          rank: 'look',
          what: 'Cold water into a hot boiler',
          first: `Look at every joint${f.shell.joints === 'soft-soldered' ? ', soft solder first,' : ''} before the next fire.`,
          since: boiler.at
        }
      : undefined;
  }
];
/** A flame takes within this long of the gas, or it is shut, ms. */
const heardIn = 5000;
/** What was mixed in hot boilers is over this when hot water was used, K. */
const coldIn = 340;
const nearlyCold = (out: string, at: string) => Date.parse(at) - Date.parse(out) > 3 * 3600_000;
