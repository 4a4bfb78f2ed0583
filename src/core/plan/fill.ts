import { type Plant, waterAtGlass } from '../boiler';
import type { Procedure, Proof } from '../procedure';
import { fillOf, type Level } from '../sums';
import { coldWater } from '../steam';
import { mark, printGlass } from '../units';

/** How far a reading of the glass may be off, of the glass. */
const readTo = 1 / 16;

/** What a cold glass is held against: the level asked for, to as near as a glass is read, and what would stand over the ceiling when hot. */
function provenBy({ fill, most, refused }: Level, { vessel }: Plant): Proof | undefined {
  if (fill.kind !== 'glass' || refused) return undefined;
  const eighths = Array.from({ length: 9 }, (_, i) => waterAtGlass(vessel, i / 8, coldWater));
  return { kind: 'level', fill: fill.value, least: fill.value - readTo, most: Math.min(2, Math.max(fill.value, most) + readTo), eighths };
}

/** Where water is proven before there is fire. */
const filled = ['fill', 'water-and-valves'];

/** How water goes in, by how much there is of it: from m³ on, so many m³ a minute: syringe, funnel and bottle, bucket, hose. */
const pours = [
  [0, 0.0001],
  [0.001, 0.0015],
  [0.02, 0.006],
  [0.1, 0.012]
] as const;
/** Beside the pouring: looking, and what is opened and shut for it, min. */
const toPour = 2;

/** A procedure whose filling step asks for this level: a sheet and its steps must not name two. */
export const withFill = (procedure: Procedure, level: Level, plant: Plant): Procedure => ({
  ...procedure,
  steps: procedure.steps.map((step) => {
    const proof = filled.includes(step.key) ? provenBy(level, plant) : undefined;
    const s = proof ? { ...step, proof } : step;
    if (s.key !== 'fill') return s;
    const cold = fillOf(level, plant);
    const volume = mark(cold, 'volume');
    const minutes = toPour + Math.ceil(cold / pours.findLast(([from]) => cold >= from)![1]);
    return level.fill.kind === 'glass'
      ? { ...s, minutes, what: `Fill to ${printGlass(level.fill.value)} of the glass`, how: `About ${volume} if it is empty. ${s.how}` }
      : { ...s, minutes, what: `Fill with ${volume}, measured` };
  })
});
