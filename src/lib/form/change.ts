/** What stands at the server, when somebody else changed a document meanwhile. */
export interface Outdated<T> {
  readonly version: number;
  readonly by: string | null;
  readonly theirs: T;
}
export type Sent<T> =
  | { readonly saved: { id?: string; version: number } }
  | { readonly outdated: Outdated<T> }
  | { readonly refused: { field: string; sentence: string; problems?: { path: string; sentence: string }[] } }
  | 'no connection';

/** Sends a document, changed from a version; without one it is a new document. What was refused, and why, is the answer. */
export async function sendChange<T>(path: string, version: number | undefined, body: unknown): Promise<Sent<T>> {
  const response = await fetch(path, {
    method: version === undefined ? 'POST' : 'PUT',
    headers: { 'content-type': 'application/json', ...(version === undefined ? {} : { 'if-match': `"${version}"` }) },
    body: JSON.stringify(body)
  }).catch(() => undefined);
  if (!response) return 'no connection';
  const answer = await response.json().catch(() => ({}));
  if (response.ok) return { saved: answer };
  if (response.status === 409 && 'theirs' in answer) return { outdated: answer };
  return {
    refused: {
      field: answer.field ?? '',
      sentence: answer.sentence ?? answer.message ?? 'It could not be saved. Try again.',
      ...(answer.problems ? { problems: answer.problems } : {})
    }
  };
}
