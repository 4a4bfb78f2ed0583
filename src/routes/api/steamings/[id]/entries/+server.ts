import type { RequestEvent } from './$types';
import type { Entry } from '$core/log';
import { checkEntry } from '$core/log/check';
import { Refusal } from '$core/units';
import { answers, need, needId, notHere, readJson } from '$server/answer';
import { allowed, type Member } from '$server/members';
import { appendEntries } from '$server/append';
import { entriesAfter, steaming } from '$server/steamings';
import { json } from '@sveltejs/kit';

type Checked = Exclude<ReturnType<typeof checkEntry>, { field: string }>['entry'];
/** The most that one batch holds. */
const most = 500;

/** What this member may not put into a log, whatever its form. */
function forbidden(member: Member, entry: Checked): { field: string; sentence: string } | undefined {
  if (entry.kind === 'override')
    return { field: 'kind', sentence: 'An override is made when a steaming is started, and not entered later.' };
  if (entry.source === 'device') return { field: 'source', sentence: 'Only a device with its own token logs as a device.' };
  if (entry.kind === 'sign') {
    const as = (entry.body as { as: 'keeper' | 'examiner' }).as;
    if (!allowed(member, as === 'examiner' ? 'sign as examiner' : 'sign as keeper'))
      return { field: 'body.as', sentence: `Your role does not allow you to sign as ${as}.` };
  }
  return undefined;
}

/**
 * Stores one entry, or a batch as `{ entries: [...] }`. Good ones are stored, each once; bad ones are named. 400 only
 * when nothing in the request could be stored.
 */
export const POST = answers<RequestEvent>(async ({ request, params, locals }) => {
  const member = need(locals, 'log');
  const value = await readJson(request);
  const many = typeof value === 'object' && value !== null && 'entries' in value;
  const documents = many ? (value as { entries: unknown }).entries : [value];
  if (!Array.isArray(documents) || documents.length === 0)
    throw new Refusal('entries', 'Send an entry, or at least one in a list called entries.');
  if (documents.length > most)
    throw new Refusal('entries', `Send at most ${most} entries at once; this batch has ${documents.length}.`, { code: 'too large' });

  const good: Checked[] = [];
  const refused: { index: number; id?: string; field: string; sentence: string }[] = [];
  documents.forEach((document, index) => {
    const checked = checkEntry(document);
    const problem = 'field' in checked ? checked : forbidden(member, checked.entry);
    const id = (document as { id?: unknown } | null)?.id;
    if (problem)
      refused.push({
        index,
        ...(typeof id === 'string' ? { id } : {}),
        field: many ? `entries.${index}.${problem.field}` : problem.field,
        sentence: problem.sentence
      });
    else good.push((checked as { entry: Checked }).entry);
  });
  const taken = good.length
    ? await appendEntries(member, needId(params.id), good as Omit<Entry, 'by'>[])
    : { stored: 0, last: 0, refused: [] };
  if (!taken) return notHere('steaming');
  const { refused: unproven, ...stored } = taken;
  for (const { id, sentence } of unproven) {
    const index = documents.findIndex((d) => (d as { id?: unknown } | null)?.id === id);
    refused.push({ index, id, field: many ? `entries.${index}.body.step` : 'body.step', sentence });
  }
  // Nothing could be stored: say so with the first reason, once it is certain that the steaming is there at all.
  if (refused.length === documents.length) {
    if (!(await steaming(member.club, needId(params.id)))) return notHere('steaming');
    throw new Refusal(refused[0]!.field, refused[0]!.sentence, { stored: 0, refused });
  }
  return json({ ...stored, refused });
});

/** Entries after a place in the order of arrival. */
export const GET = answers<RequestEvent>(async ({ params, locals, url }) => {
  const member = need(locals);
  const id = needId(params.id);
  if (!(await steaming(member.club, id))) return notHere('steaming');
  const after = Number(url.searchParams.get('after') ?? 0);
  if (!Number.isInteger(after) || after < 0) throw new Refusal('after', 'after: give a whole number, 0 or more.');
  return json(await entriesAfter(member.club, id, after));
});
