/** What was typed into one of Carbon's fields: their events carry it, and have no element of their own. */
export const typed = ({ detail }: CustomEvent<string | number | null | undefined>): string => String(detail ?? '').trim();
/** The same as a number; NaN when it is none. */
export const typedNumber = (event: CustomEvent<string | number | null | undefined>): number => Number(typed(event));
/** A list without one of its rows. */
export const without = <T>(list: readonly T[], i: number): T[] => list.filter((_, j) => j !== i);
