import type { FitOut } from '../../engine';
import { isTimed } from '../../sums';
import { countdownOf, halfSaid, lastMinutes } from '../countdown';
import type { Rule, View } from '../rule';
import { iso, ms } from '../view';

/** What an engine that nothing feeds is warned of: its time, and a fuel that outlasts its water. */

/** What puts the fire out, on this engine. */
const outBy: Record<FitOut['fire']['with'], string> = {
  solid: 'Fire out',
  gas: 'Gas off at the canister',
  spirit: 'Burner out from under',
  electric: 'Off at the switch'
};
const out = ({ fitOut }: View) => outBy[fitOut.fire.with];

/** Its countdown, where there is one. */
function counted(view: View) {
  const count = countdownOf(view.fitOut, view.state);
  return count && !('refused' in count) ? count : undefined;
}

export const runLimit: Rule = {
  key: 'run limit',
  rank: 'act now',
  clears: 'Fire out.',
  on: isTimed,
  finds: (view) => {
    const count = counted(view);
    return (
      count && {
        from: count.stop,
        since: iso(count.stop),
        what: 'Its time is up',
        first: `${out(view)}, now. A run is never stretched.`
      }
    );
  }
};

export const noStop: Rule = {
  key: 'no stop',
  rank: 'act now',
  clears: 'Fire out.',
  on: isTimed,
  finds: (view) => {
    const count = countdownOf(view.fitOut, view.state);
    return count && 'refused' in count
      ? { from: ms(count.since), since: count.since, what: count.refused, first: `${out(view)}, now.` }
      : undefined;
  }
};

export const fuelOutlasts: Rule = {
  key: 'fuel outlasts',
  rank: 'look',
  clears: 'The fuel out, or water in.',
  on: isTimed,
  finds: (view) => {
    const count = counted(view);
    const outlasts = count?.sum.notes.find((n) => n.startsWith('The fuel outlasts'));
    return count && outlasts
      ? {
          from: count.lit,
          since: iso(count.lit),
          what: outlasts,
          first: `${out(view)} when the countdown says so, not when it burns out.`
        }
      : undefined;
  }
};

export const half: Rule = {
  key: 'half',
  rank: 'look',
  clears: 'A minute later.',
  on: isTimed,
  finds: (view) => {
    const count = counted(view);
    if (!count) return undefined;
    const from = (count.lit + count.stop) / 2;
    return {
      from,
      till: Math.min(from + halfSaid, count.stop - lastMinutes),
      since: iso(from),
      what: 'Half of its time is gone',
      first: view.fitOut.roams === 'no' ? 'Nothing can be put in: plan how it ends.' : 'Think of calling it in.'
    };
  }
};

export const twoMinutes: Rule = {
  key: 'two minutes',
  rank: 'look',
  clears: 'Fire out.',
  on: isTimed,
  finds: (view) => {
    const count = counted(view);
    if (!count) return undefined;
    const from = count.stop - lastMinutes;
    return {
      from,
      till: count.stop,
      since: iso(from),
      what: 'Two minutes, and its time is up',
      first:
        view.fitOut.roams === 'no' ? `Bring it to rest. ${out(view)} in time.` : 'It should be in by now: catch it, and put the fire out.'
    };
  }
};

/** What was mixed in hot boilers is over this when hot water was used, K; and it has cooled by itself after so long, ms. */
const coldIn = 340;
const cooled = 3 * 3600_000;

export const coldWaterIn: Rule = {
  key: 'cold in',
  rank: 'look',
  clears: 'The next fire, or another fill.',
  on: isTimed,
  finds: ({ fitOut: f, state: { boiler, runs } }) => {
    const last = runs.at(-1);
    return boiler?.sure &&
      boiler.volume > 0 &&
      last?.outAt &&
      boiler.at > last.outAt &&
      boiler.T < coldIn &&
      ms(boiler.at) - ms(last.outAt) <= cooled
      ? {
          from: ms(boiler.at),
          since: boiler.at,
          what: 'Cold water into a hot boiler',
          first: `Look at every joint${f.shell.joints === 'soft-soldered' ? ', soft solder first,' : ''} before the next fire.`
        }
      : undefined;
  }
};
