import { begunHere } from '../here/begun';
import { pictureGone, pictureHere } from '../photo/keep';
import { measureClock } from './club-time';
import type { Answer, Waiting } from './waiting';

type Answered = { refused?: { id?: string; sentence: string }[]; sentence?: string; message?: string };

/** Sends a picture, before what tells of it. What is not here any more is there already. */
export async function sendPicture(sum: string): Promise<Answer> {
  const bytes = await pictureHere(sum);
  return bytes ? said('PUT', `/api/photos/${sum}`, bytes, bytes.type, []) : { is: 'taken', refused: [] };
}

/** Sends a document, and puts what is answered into one of the outbox's words. @param ids of the entries that it is about */
const send = (method: 'POST' | 'PUT', path: string, document: unknown, ids: readonly string[]): Promise<Answer> =>
  said(method, path, JSON.stringify(document), 'application/json', ids);

async function said(method: 'POST' | 'PUT', path: string, body: BodyInit, type: string, ids: readonly string[]): Promise<Answer> {
  let response: Response;
  try {
    response = await fetch(path, { method, headers: { 'content-type': type }, body });
  } catch {
    return { is: 'no connection' };
  }
  const { status, headers } = response;
  if (status === 401) return { is: 'signed out' };
  if (status === 429) return { is: 'too often', seconds: Number(headers.get('retry-after')) || 10 };
  const answer = (await response.json().catch(() => undefined)) as Answered | undefined;
  // A proxy that answers for a server that is away, and a page for a sign-in that some network asks for, are no answer of ours.
  if (status >= 500 || answer === undefined) return { is: 'server', status };
  if (response.ok) return { is: 'taken', refused: answer.refused ?? [] };
  const sentence = answer.sentence ?? answer.message ?? `The server does not take it (${status}).`;
  // Nothing was stored: each has its own reason, or the first one's.
  if (answer.refused) {
    const why = new Map(answer.refused.map((r) => [r.id, r.sentence]));
    return { is: 'taken', refused: ids.map((id) => ({ id, sentence: why.get(id) ?? sentence })) };
  }
  return { is: status === 413 ? 'too large' : 'refused', sentence };
}

/** Sends a batch of one steaming's entries. One that was begun here comes in first, with all that it was begun with. */
export async function post(steaming: string, waiting: readonly Waiting[]): Promise<Answer> {
  // What was made before the clock could be measured is put right by what it shows now.
  const ahead = await measureClock();
  const placedBy = (then: number | undefined) => ((then ?? ahead) === undefined ? {} : { ahead: then ?? ahead });
  const begins = waiting.find((w) => w.entry.kind === 'away');
  if (begins) {
    const begun = await begunHere(steaming);
    if (!begun) return { is: 'refused', sentence: 'This device has lost what it was begun with: start it where there is a connection.' };
    const document = { ...begun.document, ...placedBy(begins.ahead) };
    const answer = await send('PUT', `/api/steamings/${steaming}`, document, [begins.id]);
    if (answer.is !== 'taken') return answer;
    // Heard once more, it opens here without a connection too.
    void fetch(`/api/steamings/${steaming}`).catch(() => {});
  }
  const entries = waiting
    .filter((w) => w !== begins)
    .map(({ entry: { id, kind, body, strikes }, said, ahead: then }) => ({
      id,
      kind,
      at: said,
      ...placedBy(then),
      body,
      ...(strikes ? { strikes } : {})
    }));
  if (!entries.length) return { is: 'taken', refused: [] };
  const pictures = waiting.flatMap(({ entry }) => (entry.kind === 'photo' ? [entry.body.sum] : []));
  for (const sum of pictures) {
    const answer = await sendPicture(sum);
    // One that is refused takes its entry with it: found by halving, as any that spoils its batch.
    if (answer.is !== 'taken') return answer;
  }
  const ids = entries.map((e) => e.id);
  const answer = await send('POST', `/api/steamings/${steaming}/entries`, { entries }, ids);
  if (answer.is === 'taken') await Promise.all(pictures.map(pictureGone));
  // What bars an engine must stand in the book that it is begun by where there is no connection.
  if (entries.some((e) => e.kind === 'fault')) void fetch('/api/book').catch(() => {});
  return answer;
}
