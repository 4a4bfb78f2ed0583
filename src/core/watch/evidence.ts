import type { State } from '../log';
import { isLevel } from '../units';
import type { Step } from '../procedure';

/** How old a reading may be and still stand as a step's evidence, ms. */
const fresh = 5 * 60_000;
const young = (at: string | undefined, now: number) => at !== undefined && now - Date.parse(at) <= fresh;

/**
 * What a step still lacks before it can be called done: its evidence is a reading or an event in the log, not a word.
 * @param now ms since 1970
 * @returns an instruction, or undefined when nothing is lacking
 */
export function evidenceLacking(step: Step, state: State, now: number): string | undefined {
  switch (step.evidence) {
    case 'glass reading':
      if (!state.glass || !young(state.glass.at, now)) return 'Log the glass first: touch it where the water stands.';
      return isLevel(state.glass.value) || state.glass.value === 'top nut'
        ? undefined
        : 'No step goes on while water is not seen in the glass.';
    case 'pressure reading':
      return young(state.pressure?.at, now) ? undefined : 'Log the pressure first: touch the scale where the needle stands.';
    case 'temperature reading':
      return young(state.temperature?.at, now) ? undefined : 'Log the temperature first: type it with its unit in the quick line, as 12c.';
    case 'lift':
      return state.lifts.some((l) => l.lifted !== undefined) ? undefined : 'Log the lift first, with the pressure at which it opened.';
    default:
      return undefined;
  }
}
