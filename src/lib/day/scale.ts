import { aheadOfUtc } from '$core/units';
import { clubZone } from '../sheet/club';

/** A time axis: where a moment stands, and which moments are marked. */
export interface Scale {
  readonly from: number;
  readonly to: number;
  x(at: number): number;
  at(x: number): number;
  readonly marks: readonly number[];
}

const minute = 60_000;
/** Steps between marks that people read clocks by. */
const steps = [5, 10, 15, 30, 60, 120].map((m) => m * minute);

/** @param from ms since 1970 @param left and @param right edges in pixels @param apart least pixels between marks */
export function timeScale(from: number, to: number, left: number, right: number, apart = 56): Scale {
  const span = Math.max(10 * minute, to - from);
  const per = (right - left) / span;
  const step = steps.find((s) => s * per >= apart) ?? steps.at(-1)!;
  // Marks stand on the hours of the club's clock, also where it is half an hour off.
  const zone = -aheadOfUtc(from, clubZone());
  const marks: number[] = [];
  for (let at = Math.ceil((from - zone) / step) * step + zone; at <= from + span; at += step) marks.push(at);
  return { from, to: from + span, x: (at) => left + (at - from) * per, at: (x) => from + (x - left) / per, marks };
}
