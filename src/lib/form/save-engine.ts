import type { FitOut } from '$core/engine';
import type { Problem } from '$core/form';

/** Sends a fit-out to the server: the engine's id, or what is wrong and where. */
export async function saveEngine(fitOut: FitOut, id?: string): Promise<{ id: string } | { problems: Problem[] }> {
  const response = await fetch(id ? `/api/engines/${id}` : '/api/engines', {
    method: id ? 'PUT' : 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(fitOut)
  }).catch(() => undefined);
  if (!response)
    return { problems: [{ path: 'name', sentence: 'There is no connection: nothing was saved. What you typed is still here.' }] };
  const answer = await response.json();
  if (response.ok) return { id: answer.id };
  return { problems: answer.problems ?? [{ path: 'name', sentence: answer.sentence ?? answer.message ?? 'It could not be saved.' }] };
}
