import type { FitOut } from '$core/engine';
import type { Problem } from '$core/form';
import { type Outdated, sendChange } from './change';

export type NotSaved = { problems: Problem[] } | { outdated: Outdated<FitOut> };

/** Sends a fit-out to the server: the engine's id, or what is wrong and where, or what somebody else saved meanwhile. */
export async function saveEngine(fitOut: FitOut, changed?: { id: string; version: number }): Promise<{ id: string } | NotSaved> {
  const sent = await sendChange<FitOut>(changed ? `/api/engines/${changed.id}` : '/api/engines', changed?.version, fitOut);
  if (sent === 'no connection')
    return { problems: [{ path: 'name', sentence: 'There is no connection: nothing was saved. What you typed is still here.' }] };
  if ('saved' in sent) return { id: sent.saved.id! };
  if ('outdated' in sent) return sent;
  return { problems: sent.refused.problems ?? [{ path: 'name', sentence: sent.refused.sentence }] };
}
