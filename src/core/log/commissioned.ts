import { cellsLeft, conditionKeys, fittingsOf, type Left, occasionOf, registerOf } from '../commission';
import type { Log } from './fold';

/** Whether it is being built, or worked on for something else than steaming: its matrix is kept then. */
export function isCommissioned({ context: { begun }, state }: Pick<Log, 'context' | 'state'>): boolean {
  return begun?.occasion !== undefined || (begun?.before?.cells.length ?? 0) > 0 || Object.keys(state.cells).length > 0;
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

/** Where on an engine something can be said to be, by name: what can leak, and what can be touched. */
export function placesOf({ context: { fitOut, begun } }: Pick<Log, 'context'>): string[] {
  const leak = registerOf(fitOut, begun?.before?.own).map((p) => p.name);
  return [...new Set([...leak, ...fittingsOf(fitOut).map((x) => x.name)])];
}
