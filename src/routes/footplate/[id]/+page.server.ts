import { plantOf } from '$core/boiler';
import type { FitOut } from '$core/engine';
import type { DayPlan } from '$core/plan';
import { startingSum } from '$core/sums';
import { need, needId, notHere } from '$server/answer';
import { contextOf } from '$server/sql/steaming';
import { folded } from '$server/steamings';
import { allowed, membersOf } from '$server/members';
import { known } from '$server/plans';
import { redirect } from '@sveltejs/kit';

/** What to fill to, as a glass; nothing for an engine without one. By the day's own water and air where there is a day sheet. */
function coldMark(fitOut: FitOut, plan: DayPlan | null): number | null {
  const { fill } = startingSum({ fitOut, plant: plantOf(fitOut) }, plan ?? undefined);
  return fill.kind === 'glass' ? fill.value : null;
}

export const load = async ({ params, locals }) => {
  const member = need(locals);
  const found = await folded(member.club, needId(params.id));
  if (!found || !found.steaming.startedAt) return notHere('steaming');
  const { steaming, log, place } = found;
  if (steaming.endedAt) redirect(303, `/records/${steaming.id}`);
  // The fit-out of the steaming, and what the engine's past has shown of it.
  const [past, people] = await Promise.all([known(member.club, steaming.engineId), membersOf(member.club)]);
  return {
    id: steaming.id,
    known: { fitOut: steaming.fitOut, fits: past?.fits ?? [], offs: past?.offs ?? [], used: past?.used ?? [] },
    // The cold mark stands in the glass until the match.
    cold: log.state.fire.litAt ? null : coldMark(steaming.fitOut, steaming.plan),
    plan: steaming.plan,
    engineId: steaming.engineId,
    purpose: steaming.purpose,
    context: contextOf(steaming),
    entries: log.entries,
    place,
    people: people.map((m) => m.name),
    mayThrowAway: steaming.keeperId === member.id || allowed(member, 'override'),
    now: Date.now()
  };
};
