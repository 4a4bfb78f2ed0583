import type { Ends } from '$core/sums';

/** What ends a run, as it is said after its time. */
export const ends: Readonly<Record<Ends, string>> = {
  water: 'the water might then be at its floor',
  'run limit': 'the longest run that its owner allows',
  fuel: 'the fuel is out'
};
