import { plantOf } from '$core/boiler';
import type { Forbids } from '$core/log';
import { carries } from '$core/procedure';
import { acts, check, need, needId, notHere } from '$server/answer';
import { addPaper, engine, paperSchema, papersOf, retire, withdrawPaper, withdrawSchema } from '$server/engines';
import { faults, faultSchema, raiseFault } from '$server/faults';
import { jointsOf } from '$server/joints';
import { keptOf, letGo } from '$server/kept';
import { usualPlan } from '$core/plan';
import { engineFigures } from '$core/sums';
import { goodPlan, makePlan, plannedFor, measuredShown, runsShown, toldOf } from '$server/plans';
import { carriedFrom, lastSteamings } from '$server/book';
import { obstacles, occasionSchema, startSteaming } from '$server/start';
import { isoDayIn, momentAt, Refusal } from '$core/units';
import { readDay, readTime } from '$core/units/read-time';
import { redirect } from '@sveltejs/kit';
import type { RequestEvent } from './$types';

export const load = async ({ params, locals }) => {
  const { club, zone } = need(locals);
  const id = needId(params.id);
  const found = await engine(club, id);
  if (!found) return notHere('engine');
  const [papers, open, steamings, { stops, passengers, standing, rigs }, past, plans, carried, kept, joints, runs, measured] =
    await Promise.all([
      papersOf(club, id),
      faults(club, { engineId: id }),
      lastSteamings(club, id),
      obstacles(club, id, isoDayIn(Date.now(), zone)),
      toldOf(club, id),
      plannedFor(club, id),
      carriedFrom(club, id),
      keptOf(club, id),
      jointsOf(club, id, found.fitOut),
      runsShown(club, id, found.fitOut),
      measuredShown(club, id)
    ]);
  const last = steamings.find((s) => s.endedAt);
  return {
    engine: found,
    figures: engineFigures({ fitOut: found.fitOut, plant: plantOf(found.fitOut) }),
    papers,
    faults: open,
    steamings,
    running: steamings.find((s) => !s.endedAt),
    last,
    carried,
    stops,
    standing,
    rigs,
    passengers,
    carries: carries(found.fitOut),
    past,
    plans,
    kept,
    joints,
    runs,
    measured,
    now: Date.now()
  };
};

type Values = Record<string, string>;
const valuesOf = async (request: Request) => Object.fromEntries(await request.formData()) as Values;

export const actions = {
  start: acts('start', async ({ request, params, locals }: RequestEvent) => {
    const { id, purpose = '', reason = '', plan, public: open, occasion } = await valuesOf(request);
    const started = await startSteaming(need(locals, 'start steaming'), needId(params.id), {
      purpose: purpose.trim().slice(0, 120),
      ...(reason.trim() ? { reason: reason.trim().slice(0, 1000) } : {}),
      ...(plan === undefined ? {} : { plan: plan || null }),
      ...(id ? { id: needId(id) } : {}),
      public: open === 'yes',
      occasion: check(occasionSchema, occasion)
    });
    redirect(303, `/footplate/${started.id}`);
  }),
  plan: acts('plan', async ({ request, params, locals }: RequestEvent) => {
    const member = need(locals, 'start steaming');
    const { day = '', clock = '', ...values } = await valuesOf(request);
    const purpose = (values.purpose ?? '').trim().slice(0, 120);
    const [on, read] = [readDay(day, Date.now(), member.zone), readTime(clock)];
    if ('problem' in on || 'problem' in read)
      throw new Refusal('at', 'Say on which day and at what time it is wanted in steam, as 16:30 or 4.30pm.');
    const at = momentAt(on.day, read.minutes, member.zone);
    if (Date.parse(at) < Date.now()) throw new Refusal('at', 'That time has passed: say when it is wanted in steam.');
    const plan = goodPlan(usualPlan(member.name, at, purpose.slice(0, 60)));
    redirect(303, `/day/${(await makePlan(member, needId(params.id), { purpose, plan })).id}`);
  }),
  retire: acts('retire', async ({ request, params, locals }: RequestEvent) => {
    const member = need(locals, 'edit engines');
    const { retired } = await valuesOf(request);
    const id = needId(params.id);
    if (!(await retire(member.club, id, retired === 'yes')))
      throw (await engine(member.club, id))
        ? new Refusal('retired', 'It is in steam: sign that steaming off first.', { code: 'conflict' })
        : new Refusal('engine', 'There is no such engine.', { code: 'missing' });
    return { at: 'retire', done: true };
  }),
  paper: acts('paper', async ({ request, params, locals }: RequestEvent) => {
    const member = need(locals, 'keep papers');
    await addPaper(member, needId(params.id), check(paperSchema, await valuesOf(request)));
    return { at: 'paper', done: true };
  }),
  withdrawPaper: acts('withdrawn', async ({ request, params, locals }: RequestEvent) => {
    const member = need(locals, 'keep papers');
    await withdrawPaper(member, needId(params.id), check(withdrawSchema, await valuesOf(request)));
    return { at: 'withdrawn', done: true };
  }),
  letGo: acts('kept', async ({ request, params, locals }: RequestEvent) => {
    await letGo(need(locals, 'edit engines'), needId(params.id), await valuesOf(request));
    return { at: 'kept', done: true };
  }),
  fault: acts('fault', async ({ request, params, locals }: RequestEvent) => {
    const member = need(locals, 'log');
    const { text, forbids } = check<{ text: string; forbids: Forbids }>(faultSchema, await valuesOf(request));
    if (!(await raiseFault(member, needId(params.id), text, forbids))) return notHere('engine');
    return { at: 'fault', done: true };
  })
};
