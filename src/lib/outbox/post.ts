import { measureClock } from './club-time';
import type { Answer, Waiting } from './waiting';

/** Sends a batch of one steaming's entries, and puts what is answered into one of the outbox's words. */
export async function post(steaming: string, waiting: readonly Waiting[]): Promise<Answer> {
  // What was made before the clock could be measured is put right by what it shows now.
  const ahead = await measureClock();
  const entries = waiting.map(({ entry: { id, kind, body, strikes }, said, ahead: then = ahead }) => ({
    id,
    kind,
    at: said,
    ...(then === undefined ? {} : { ahead: then }),
    body,
    ...(strikes ? { strikes } : {})
  }));
  let response: Response;
  try {
    response = await fetch(`/api/steamings/${steaming}/entries`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ entries })
    });
  } catch {
    return { is: 'no connection' };
  }
  const { status, headers } = response;
  if (status === 401) return { is: 'signed out' };
  if (status === 429) return { is: 'too often', seconds: Number(headers.get('retry-after')) || 10 };
  const answer = (await response.json().catch(() => undefined)) as
    { refused?: { id?: string; sentence: string }[]; sentence?: string; message?: string } | undefined;
  // A proxy that answers for a server that is away, and a page for a sign-in that some network asks for, are no answer of ours.
  if (status >= 500 || answer === undefined) return { is: 'server', status };
  if (response.ok) return { is: 'taken', refused: answer.refused ?? [] };
  const sentence = answer.sentence ?? answer.message ?? `The server does not take it (${status}).`;
  // Nothing was stored: each has its own reason, or the first one's.
  if (answer.refused) {
    const why = new Map(answer.refused.map((r) => [r.id, r.sentence]));
    return { is: 'taken', refused: waiting.map(({ id }) => ({ id, sentence: why.get(id) ?? sentence })) };
  }
  return { is: status === 413 ? 'too large' : 'refused', sentence };
}
