import type { RequestEvent } from './$types';
import { checkEntry } from '$core/log/check';
import { Refusal } from '$core/units';
import { sentBy } from '$server/accounts/limits';
import { answers, bodyLimit, need, needId, notHere, readJson } from '$server/answer';
import { appendEntries, type Sent } from '$server/append';
import { placeOf } from '$server/live/place';
import { entriesAfter, steaming } from '$server/steamings';
import { unkeepable, unkeepableSentence } from '$server/text';
import { json } from '@sveltejs/kit';

/** The most that one batch holds. */
const most = 500;

/**
 * Stores one entry, or a batch as `{ entries: [...] }`. Good ones are stored, each once; bad ones are named. 400 only
 * when nothing in the request could be stored.
 */
export const POST = answers<RequestEvent>(async ({ request, params, locals }) => {
  const member = need(locals, 'log');
  const id = needId(params.id);
  const value = await readJson(request, bodyLimit, { whole: false });
  const many = typeof value === 'object' && value !== null && 'entries' in value;
  const documents = many ? (value as { entries: unknown }).entries : [value];
  if (!Array.isArray(documents) || documents.length === 0)
    throw new Refusal('entries', 'Send an entry, or at least one in a list called entries.');
  if (documents.length > most)
    throw new Refusal('entries', `Send at most ${most} entries at once; this batch has ${documents.length}.`, { code: 'too large' });

  const wait = await sentBy(member.id, documents.length);
  if (wait) throw new Refusal('entries', `Too many entries at once: send these again in ${wait} s.`, { code: 'too often', seconds: wait });

  const good: Sent[] = [];
  const refused: { index: number; id?: string; field: string; sentence: string }[] = [];
  const refuse = (index: number, { field, sentence }: { field: string; sentence: string }) => {
    const named = (documents[index] as { id?: unknown } | null)?.id;
    refused.push({
      index,
      ...(typeof named === 'string' ? { id: named } : {}),
      field: many ? `entries.${index}.${field}` : field,
      sentence
    });
  };
  documents.forEach((document, index) => {
    const spoilt = unkeepable(document);
    const checked = checkEntry(document);
    if (spoilt !== undefined) refuse(index, { field: spoilt, sentence: unkeepableSentence });
    else if ('field' in checked) refuse(index, checked);
    else if (checked.entry.source === 'device')
      refuse(index, { field: 'source', sentence: 'Only a device with its own token logs as a device.' });
    else good.push(checked.entry as Sent);
  });
  const taken = good.length ? await appendEntries(member, id, good) : { stored: 0, refused: [] };
  if (!taken) return notHere('steaming');
  for (const no of taken.refused)
    refuse(
      documents.findIndex((d) => (d as { id?: unknown } | null)?.id === no.id),
      no
    );
  refused.sort((a, b) => a.index - b.index);
  // Nothing could be stored: say so with the first reason, once it is certain that the steaming is there at all.
  if (refused.length === documents.length) {
    if (!(await steaming(member.club, id))) return notHere('steaming');
    throw new Refusal(refused[0]!.field, refused[0]!.sentence, { stored: 0, refused });
  }
  return json({ stored: taken.stored, refused });
});

/** Entries from a place in the order of arrival on. */
export const GET = answers<RequestEvent>(async ({ params, locals, url }) => {
  const member = need(locals);
  const id = needId(params.id);
  if (!(await steaming(member.club, id))) return notHere('steaming');
  return json(await entriesAfter(member.club, id, await placeOf(url.searchParams.get('after'))));
});
