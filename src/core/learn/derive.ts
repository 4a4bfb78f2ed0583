import { plantFor } from '../boiler';
import { type Log, type Summary, summarise } from '../log';
import { demandOf, type Duty } from '../sums';
import { remember } from './engine';
import { measuredOf } from './measured';
import type { Past } from './past';
import type { Fit } from './raising';

/**
 * The version of what is derived from logs and plans and kept beside them. Raise it whenever the code that derives changes what
 * it says: `joram derive` then remakes what older code has made, and nothing else.
 */
export const derivedVersion = 6;

/** What is kept of a steaming that has ended, so that nobody has to read its log again. Made here and nowhere else. */
export interface Derived {
  readonly summary: Summary;
  readonly raised: { readonly past: Past; readonly fit: Fit; readonly off?: number } | null;
  readonly version: number;
}

/** @param earlier what raisings before it had shown of the engine: what a forecast at its match stood on @param duty the work of that day */
export function derivedOf(log: Log, earlier: readonly Fit[], duty?: Duty): Derived {
  const { fitOut, begun } = log.context;
  const plant = plantFor(fitOut);
  const measured = measuredOf(log, plant, begun?.expects?.uses ?? demandOf({ fitOut, plant }, duty).hour.value);
  return {
    summary: { ...summarise(log), ...(measured ? { measured } : {}) },
    raised: remember(log, earlier, duty) ?? null,
    version: derivedVersion
  };
}
