import {
  baselinesOf,
  cellsLeft,
  conditionKeys,
  fittingsOf,
  isOn,
  placesOn,
  type Left,
  namedIn,
  occasionOf,
  type Pictured,
  type Place,
  registerOf,
  type WalkedAt
} from '../commission';
import type { Log } from './fold';

/** Whether it is being built, or worked on for something else than steaming: its matrix is kept then. */
export function isCommissioned({ context: { begun }, state }: Pick<Log, 'context' | 'state'>): boolean {
  return begun?.occasion !== undefined || begun?.before?.built === true || Object.keys(state.cells).length > 0;
}

/** What of its matrix is left, what was not good first; nothing of an engine that is not being commissioned. */
export function leftToTouch(log: Pick<Log, 'context' | 'state'>): readonly Left[] {
  if (!isCommissioned(log)) return [];
  const { begun, fitOut } = log.context;
  const { by } = occasionOf(begun?.occasion);
  const alone = by === 'air' || by === 'borrowed steam';
  return cellsLeft(
    fittingsOf(fitOut).filter((f) => !alone || f.of === 'chassis'),
    log.state.cells,
    conditionKeys
  );
}

/** Every place of it that can leak, with those that were named, before or today. */
export const registerIn = ({ context: { fitOut, begun }, state }: Pick<Log, 'context' | 'state'>): Place[] =>
  registerOf(fitOut, [...(begun?.before?.own ?? []), ...namedIn(state.swept)]);

/** The picture that each of its places is held against, before or today, by the place’s name. */
export const picturedIn = ({ context: { begun }, state }: Pick<Log, 'context' | 'state'>): Map<string, Pictured> =>
  baselinesOf(
    [...(begun?.before?.pictured ?? []), ...state.photos.flatMap((p) => (p.place === undefined ? [] : [{ ...p, place: p.place }]))],
    state.swept
  );

/** How it stands on a walk: by its needle, and whether it is lit or has another boiler’s steam. */
export const walkedAt = ({ context: { fitOut }, state: { pressure, fire, rigs } }: Pick<Log, 'context' | 'state'>): WalkedAt => ({
  needle: pressure,
  gauge: fitOut.gauge,
  lit: (fire.litAt !== undefined && !fire.outAt) || isOn(rigs, 'borrowed steam')
});

/** Where on an engine something can be said to be, by name: what can leak, and what can be touched. */
export const placesOf = (log: Pick<Log, 'context' | 'state'>): string[] => placesOn(log.context.fitOut, registerIn(log));
