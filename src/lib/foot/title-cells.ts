import { occasionOf } from '$core/commission';
import type { Band } from '$core/forecast';
import type { Log } from '$core/log';
import { printText, type UnitChoice } from '$core/units';
import { bandWords, clock, span } from '../sheet/when';

/** The cells of a Footplate's title block: what it is, how far it has come, and when it will be up. */
export const titleCells = (
  { state, context: { fitOut, begun } }: Pick<Log, 'state' | 'context'>,
  steam: Band | undefined,
  /** ms since 1970: by when one that is timed has to be over. */ over: number | undefined,
  now: number,
  began: number,
  units: UnitChoice
) => [
  { label: 'Engine', value: fitOut.name, wide: true },
  { label: 'Class', value: `${fitOut.description} · ${fitOut.scale}`, desk: true },
  { label: 'WP', value: printText(fitOut.workingPressure, 'pressure', units), desk: true },
  {
    label: begun?.occasion ? occasionOf(begun.occasion).name : 'Phase',
    value: state.phase,
    more: state.fire.litAt
      ? state.fire.outAt
        ? `fire out ${clock(state.fire.outAt)}`
        : `${span((now - Date.parse(state.fire.litAt)) / 1000)} since lit`
      : `begun ${clock(state.began ?? began)}`
  },
  ...(over === undefined ? [] : [{ label: 'Over by', value: clock(over) }]),
  // Without a needle nobody sees it come to a pressure.
  ...(steam && fitOut.gauge ? [{ label: 'At pressure', value: bandWords(steam, false) }] : []),
  { label: 'Keeper', value: state.keeper, desk: true }
];
