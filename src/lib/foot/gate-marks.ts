import type { State } from '$core/log';
import type { Placed } from '$core/watch';

/** The gates that are worth a mark on the pressure scale, and the word that fits beside it. */
const words: Readonly<Record<string, string>> = {
  changeover: 'blower',
  'changeover-air': 'blower',
  'changeover-none': 'blower',
  'air-out': 'air out',
  'leaks-30': 'leaks',
  'blow-through': 'blow through',
  'prove-injectors': 'injectors'
};

/** The pressures at which the steps that are still to come open, Pa: one mark for each pressure. */
export function gateMarks(placed: readonly Placed[], { steps }: State): { value: number; word: string }[] {
  const ahead = placed.filter(({ step }) => !steps[step.key] && words[step.key]);
  const byPressure = new Map(
    ahead.flatMap(({ step }) => step.gates.flatMap((g) => (g.kind === 'pressure' ? [[g.atLeast, words[step.key]!] as const] : [])))
  );
  return [...byPressure].map(([value, word]) => ({ value, word }));
}
