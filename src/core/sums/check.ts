import { plantOf } from '../boiler';
import type { FitOut } from '../engine';
import { checkFitOut } from '../engine/check';
import type { Problem } from '../form';
import { printText, usualUnits } from '../units';
import { usualFilling } from './pair';
import { stopOf } from './stop';
import { isTimed } from './stop-terms';

/** WHAT A FIT-OUT SAYS, held against its own sums. What was stored once always opens; what is saved anew has to agree with itself. */

/** A longest run that is longer than its water surely lasts: nobody may be told to stretch it so far. */
function runTooLong(fitOut: FitOut): Problem[] {
  if (fitOut.runLimit === null || !isTimed(fitOut)) return [];
  const given = { fitOut: { ...fitOut, runLimit: null }, plant: plantOf(fitOut) };
  const stop = stopOf(usualFilling(given), given);
  if ('refused' in stop || fitOut.runLimit <= stop.lasts) return [];
  const [limit, lasts, fill] = [
    printText(fitOut.runLimit, 'time', usualUnits),
    printText(Math.floor(stop.lasts / 60) * 60, 'time', usualUnits),
    printText(stop.fill, 'volume', usualUnits)
  ];
  return [
    {
      path: 'runLimit',
      sentence: `A longest run of ${limit} is longer than its water surely lasts: on ${fill} that is ${lasts} from the match. Give no more, or fill more.`
    }
  ];
}

/**
 * A fit-out as it is to be saved: in form, possible, and at one with its sums.
 * @param document anything @returns the fit-out, or every problem with the field it is at
 */
export function checkEngine(document: unknown): { fitOut: FitOut } | { problems: Problem[] } {
  const checked = checkFitOut(document);
  if ('problems' in checked) return checked;
  const problems = runTooLong(checked.fitOut);
  return problems.length ? { problems } : checked;
}
