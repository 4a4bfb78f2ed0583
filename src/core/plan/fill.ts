import type { Plant } from '../boiler';
import type { Procedure } from '../procedure';
import { fillOf, type Level } from '../sums';
import { mark, printGlass } from '../units';

/** A procedure whose filling step asks for this level: a sheet and its steps must not name two. */
export const withFill = (procedure: Procedure, level: Level, plant: Plant): Procedure => ({
  ...procedure,
  steps: procedure.steps.map((s) => {
    if (s.key !== 'fill') return s;
    const volume = mark(fillOf(level, plant), 'volume');
    return level.fill.kind === 'glass'
      ? { ...s, what: `Fill to ${printGlass(level.fill.value)} of the glass`, how: `About ${volume} if it is empty. ${s.how}` }
      : { ...s, what: `Fill with ${volume}, measured` };
  })
});
