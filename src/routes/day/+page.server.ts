import { dayEngine, together } from '$core/plan';
import { dayAfter, isDay, isoDayIn, momentAt } from '$core/units';
import { allowed } from '$server/members';
import { need } from '$server/answer';
import { plansOn, setBays } from '$server/plans';
import { fail } from '@sveltejs/kit';

/** A day of the club's calendar; today when none is asked for. */
function dayOf(asked: string | null, zone: string): { from: Date; to: Date; on: string } {
  const on = asked && isDay(asked) ? asked : isoDayIn(Date.now(), zone);
  return { on, from: new Date(momentAt(on, 0, zone)), to: new Date(momentAt(dayAfter(on, 1), 0, zone)) };
}

export const load = async ({ locals, url }) => {
  const member = need(locals);
  const { from, to, on } = dayOf(url.searchParams.get('on'), member.zone);
  const ahead = new Date(from);
  ahead.setDate(ahead.getDate() + 30);
  const { plans, coming, bays } = await plansOn(member.club, from, to, ahead);
  const open = plans.filter((p) => !p.row.startedAt);
  const placed = together(
    open.map(({ row, plan, known }) => dayEngine({ id: row.id, name: row.engine, known, plan })),
    bays
  );
  return {
    on,
    bays,
    placed,
    plans: plans.map(({ row, plan }) => ({
      id: row.id,
      engine: row.engine,
      purpose: row.purpose,
      keeper: row.keeper,
      startedAt: row.startedAt,
      plan
    })),
    coming: coming.map((row) => ({
      id: row.id,
      engine: row.engine,
      purpose: row.purpose,
      wantedAt: row.wantedAt,
      planned: row.planned,
      startedAt: row.startedAt
    })),
    maySetBays: allowed(member, 'override'),
    now: Date.now()
  };
};

export const actions = {
  bays: async ({ request, locals }) => {
    const member = need(locals, 'override');
    const bays = Number((await request.formData()).get('bays'));
    if (!Number.isInteger(bays) || bays < 1 || bays > 60)
      return fail(400, { problem: 'A club has 1 to 60 steaming bays: give a whole number.' });
    await setBays(member.club, bays);
    return { done: true };
  }
};
