import { figures } from '$core/engine';
import { check, need, needId, notHere } from '$server/answer';
import { addPaper, engine, paperSchema, papersOf, removePaper, retire } from '$server/engines';
import { faults, faultSchema, raiseFault } from '$server/faults';
import { usualPlan } from '$core/plan';
import { checkPlan } from '$core/plan/check';
import { makePlan, plannedFor, toldOf } from '$server/plans';
import { carriedFrom, lastSteamings, obstacles, startSteaming } from '$server/steamings';
import { isDay, isoDayIn, momentAt } from '$core/units';
import { readTime } from '$core/units/read-time';
import { fail, redirect } from '@sveltejs/kit';

export const load = async ({ params, locals }) => {
  const { club, zone } = need(locals);
  const id = needId(params.id);
  const found = await engine(club, id);
  if (!found) return notHere('engine');
  const [papers, open, steamings, { stops, passengers }, past, plans, carried] = await Promise.all([
    papersOf(club, id),
    faults(club, { engineId: id }),
    lastSteamings(club, id),
    obstacles(club, id, isoDayIn(Date.now(), zone)),
    toldOf(club, id),
    plannedFor(club, id),
    carriedFrom(club, id)
  ]);
  const last = steamings.find((s) => s.endedAt);
  return {
    engine: found,
    figures: figures(found.fitOut),
    papers,
    faults: open,
    steamings,
    running: steamings.find((s) => !s.endedAt),
    last,
    carried,
    stops,
    passengers,
    past,
    plans,
    now: Date.now()
  };
};

export const actions = {
  start: async ({ request, params, locals }) => {
    const member = need(locals);
    const form = await request.formData();
    const reason = String(form.get('reason') ?? '').trim();
    const started = await startSteaming(member, needId(params.id), {
      purpose: String(form.get('purpose') ?? '')
        .trim()
        .slice(0, 120),
      ...(reason ? { reason: reason.slice(0, 1000) } : {}),
      ...(form.has('plan') ? { plan: String(form.get('plan')) || null } : {})
    });
    if ('problem' in started) return fail(started.status, { at: 'start', problem: started.problem });
    redirect(303, `/footplate/${started.id}`);
  },
  plan: async ({ request, params, locals }) => {
    const member = need(locals, 'start steaming');
    const form = await request.formData();
    const purpose = String(form.get('purpose') ?? '')
      .trim()
      .slice(0, 120);
    const [day, clock] = [String(form.get('day') ?? ''), String(form.get('clock') ?? '')];
    const minutes = readTime(clock);
    if (!isDay(day) || 'problem' in minutes)
      return fail(400, { at: 'plan', problem: 'Say on which day and at what time it is wanted in steam, as 16:30 or 4.30pm.' });
    const at = new Date(momentAt(day, minutes.minutes, member.zone));
    if (at.getTime() < Date.now()) return fail(400, { at: 'plan', problem: 'That time has passed: say when it is wanted in steam.' });
    const checked = checkPlan(usualPlan(member.name, at.toISOString(), purpose.slice(0, 60)));
    if ('field' in checked) return fail(400, { at: 'plan', problem: checked.sentence });
    const made = await makePlan(member, needId(params.id), { purpose, plan: checked.plan });
    if ('problem' in made) return fail(made.status, { at: 'plan', problem: made.problem });
    redirect(303, `/day/${made.id}`);
  },
  retire: async ({ request, params, locals }) => {
    const member = need(locals, 'edit engines');
    const retired = (await request.formData()).get('retired') === 'yes';
    if (!(await retire(member.club, needId(params.id), retired)))
      return fail(409, { at: 'retire', problem: 'It is in steam: sign that steaming off first.' });
    return { at: 'retire', done: true };
  },
  paper: async ({ request, params, locals }) => {
    const member = need(locals, 'keep papers');
    const values = Object.fromEntries(await request.formData()) as Record<string, string>;
    const checked = check<{ kind: string; number: string; issued: string; expires: string }>(paperSchema, values);
    if ('field' in checked) return fail(400, { at: 'paper', field: checked.field, problem: checked.sentence, values });
    await addPaper(member.club, needId(params.id), checked.value);
    return { at: 'paper', done: true };
  },
  dropPaper: async ({ request, params, locals }) => {
    const member = need(locals, 'keep papers');
    await removePaper(member.club, needId(params.id), needId(String((await request.formData()).get('paper') ?? '')));
    return { at: 'paper', done: true };
  },
  fault: async ({ request, params, locals }) => {
    const member = need(locals, 'log');
    const values = Object.fromEntries(await request.formData()) as Record<string, string>;
    const checked = check<{ text: string; forbids: 'steaming' | 'passengers' | 'nothing' }>(faultSchema, values);
    if ('field' in checked) return fail(400, { at: 'fault', field: checked.field, problem: checked.sentence, values });
    if (!(await raiseFault(member, needId(params.id), checked.value.text, checked.value.forbids))) return notHere('engine');
    return { at: 'fault', done: true };
  }
};
