import type { Rule } from '../rule';
import { ms } from '../view';

/** A flame takes within a few seconds of the gas, or it is shut; saying so takes a few more, ms. */
const heardIn = 12_000;

/** A flame that was lost: gas off, and a pause that is counted. */
export const flameLost: Rule = {
  key: 'flame lost',
  rank: 'act now',
  clears: 'Gas off, and the pause counted.',
  on: ({ fire }) => fire.with === 'gas',
  finds: ({ fitOut: { fire }, state: { lost } }) => {
    if (fire.with !== 'gas' || !lost) return undefined;
    const many = fire.burners.length > 1;
    const { offAt } = lost;
    const over = offAt && ms(offAt) + fire.purge * 1000;
    return {
      from: ms(lost.at),
      ...(over ? { till: over } : {}),
      since: lost.at,
      what: `${lost.burner}: flame lost`,
      first: over
        ? (now) =>
            `Doors open: ${Math.max(0, Math.ceil((over - now) / 1000))} s more, counted. Then ${many ? `${fire.burners[0]!.name.toLowerCase()} first` : 'light it as before'}, when you know why.`
        : `Gas off at the canister${many ? ': all of them' : ''}. Doors open. Log it out, and the count begins.`
    };
  }
};

/** Gas on, and the flame not heard or seen to take. */
export const notHeard: Rule = {
  key: 'not heard',
  rank: 'look',
  clears: 'The flame heard or seen, or gas off.',
  delay: heardIn,
  on: ({ fire }) => fire.with === 'gas',
  finds: ({ fitOut: { fire: with_ }, state: { fire, flames, seen } }) => {
    if (with_.with !== 'gas' || !fire.litAt || fire.outAt) return undefined;
    const first = with_.burners[0]!;
    if (flames[first.name] ?? (seen['flame heard'] !== undefined && seen['flame heard'] >= fire.litAt)) return undefined;
    return {
      from: ms(fire.litAt),
      till: ms(fire.litAt) + 10 * heardIn,
      since: fire.litAt,
      what: `Gas on, and the flame not ${first.tells === 'seen' ? 'seen' : 'heard'} yet`,
      first: 'Heard or seen: log it. If not: gas off, air it for the count, try again.'
    };
  }
};
