import { placesOn } from '$core/commission';
import { causeName, type FaultKind, faultKinds, faultPage } from '$core/faults';
import { feedsLike } from '$core/finder';
import type { Field } from '$core/form';
import { Refusal } from '$core/units';
import { acts, need, needId, notHere } from '$server/answer';
import { faultFile, faultSaid, fixedBefore, recurrences, tellFault, twinsFor } from '$server/fault-log';
import { lastSteamings } from '$server/book';
import { photosOfFault, pictured } from '$server/photos';
import type { Actions, RequestEvent } from './$types';

export const load = async ({ params, locals, url }) => {
  const { club } = need(locals);
  const file = await faultFile(club, needId(params.id));
  if (!file) return notHere('fault');
  const [fixed, before, twins, steamings, photos, asItWas] = await Promise.all([
    fixedBefore(club, file.fitOut.kind, file.id),
    recurrences(club, file),
    twinsFor(club, file),
    lastSteamings(club, file.engineId),
    photosOfFault(club, file.id),
    file.place ? pictured(club, file.engineId, file.place) : undefined
  ]);
  const asked = url.searchParams.get('now');
  const running = steamings.find((s) => !s.endedAt)?.id ?? null;
  const now = asked === 'cold' || asked === 'in steam' ? asked : running ? 'in steam' : 'cold';
  const { id, text, forbids, place, pressure, raisedAt, raisedBy, fixedAt, fixedBy, fix, engineId, engine } = file;
  return {
    photos,
    asItWas: asItWas ?? null,
    wp: file.fitOut.workingPressure,
    fault: { id, text, forbids, place, pressure, raisedAt, raisedBy, engineId, engine },
    // Of one that was mended before faults had a log of their own.
    old: fixedAt && !file.state.fixes.length ? { fix, by: fixedBy, at: fixedAt } : null,
    feeds: file.state.symptom ? feedsLike({ symptom: file.state.symptom, fitOut: file.fitOut }).map(({ name }) => ({ name })) : [],
    page: faultPage(file, fixed, now),
    before: before.map((b) => ({ ...b, cause: b.cause ? causeName(b.cause) : null })),
    twins,
    running,
    places: placesOn(file.fitOut),
    now
  };
};

/** What each kind asks of whoever says it, beside what its own rules ask. */
const rights = {
  asked: 'log',
  shown: 'log',
  struck: 'log',
  changed: 'log',
  undone: 'log',
  tried: 'log',
  fix: 'fix faults',
  retest: 'log',
  cleared: 'sign as examiner',
  placed: 'log',
  photo: 'log'
} as const;

/** A form gives texts; an empty one was not filled in, and a box that is ticked says yes. */
function sentBy(kind: FaultKind, form: FormData): Record<string, unknown> {
  return Object.fromEntries(
    Object.entries(faultKinds[kind].fields as Record<string, Field>).flatMap(([key, field]): [string, unknown][] => {
      if (field.type === 'flag') return [[key, form.get(key) === 'yes']];
      const value = form.get(key);
      if (value instanceof File) throw new Refusal(key, `${field.label}: write it as text.`);
      return value === null || value.trim() === '' ? [] : [[key, value.trim()]];
    })
  );
}

const tells = (kind: FaultKind) =>
  acts(kind, async ({ request, params, locals }: RequestEvent) => {
    const member = need(locals, rights[kind]);
    const id = needId(params.id);
    await tellFault(member, id, faultSaid(kind, sentBy(kind, await request.formData())));
    return { at: kind, done: true };
  });

export const actions = {
  asked: tells('asked'),
  shown: tells('shown'),
  struck: tells('struck'),
  changed: tells('changed'),
  undone: tells('undone'),
  tried: tells('tried'),
  fix: tells('fix'),
  retest: tells('retest'),
  cleared: tells('cleared'),
  placed: tells('placed'),
  photo: tells('photo')
} satisfies Actions;
