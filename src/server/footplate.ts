import { type Plant, plantOf } from '$core/boiler';
import type { FitOut } from '$core/engine';
import type { DayPlan } from '$core/plan';
import { demandOf, startingSum } from '$core/sums';
import { redirect } from '@sveltejs/kit';
import { notHere } from './answer';
import { allowed, type Member, membersOf } from './members';
import { known } from './plans';
import { contextOf } from './sql/steaming';
import { folded } from './steamings';

/** What to fill to, as a glass; nothing for an engine without one. By the day's own water and air where there is a day sheet. */
function coldMark(engine: { fitOut: FitOut; plant: Plant }, plan: DayPlan | null): number | null {
  const { fill } = startingSum(engine, plan ?? undefined);
  return fill.kind === 'glass' ? fill.value : null;
}

/** What a Footplate is opened with, and whatever else looks at a steaming under way. One that has ended is a record. */
export async function footplateOf(member: Member, id: string) {
  const found = await folded(member.club, id);
  if (!found || !found.steaming.startedAt) return notHere('steaming');
  const { steaming, log, place } = found;
  if (steaming.endedAt) redirect(303, `/records/${steaming.id}`);
  // The fit-out of the steaming, and what the engine's past has shown of it.
  const [past, people] = await Promise.all([known(member.club, steaming.engineId), membersOf(member.club)]);
  const engine = { fitOut: steaming.fitOut, plant: plantOf(steaming.fitOut) };
  return {
    id: steaming.id,
    known: { fitOut: steaming.fitOut, fits: past?.fits ?? [], offs: past?.offs ?? [], used: past?.used ?? [], runs: past?.runs ?? [] },
    // The cold mark stands in the glass until the match.
    cold: log.state.fire.litAt ? null : coldMark(engine, steaming.plan),
    water: demandOf({ ...engine, used: past?.used ?? [] }, steaming.plan?.duty).hour.value,
    plan: steaming.plan,
    engineId: steaming.engineId,
    purpose: steaming.purpose,
    context: contextOf(steaming),
    entries: log.entries,
    place,
    // Whoever may keep an engine.
    people: people.filter((m) => allowed(m, 'sign as keeper')).map((m) => m.name),
    mayThrowAway: steaming.keeperId === member.id || allowed(member, 'override'),
    now: Date.now()
  };
}
