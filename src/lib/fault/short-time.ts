import { clock, day } from '$lib/sheet/when';

/** A day and its time, as the record has it: the evidence of a fault is read weeks later. */
export const shortTime = (at: string): string => `${day(at)} ${clock(at)}`;
