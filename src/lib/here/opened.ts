import { browser } from '$app/environment';
import { plantFor } from '$core/boiler';
import type { Try } from '$core/finder';
import { type Carried, carriedOver, type Context, type Entry, fold, folding, type Summary, summarise } from '$core/log';
import type { DayPlan, Known } from '$core/plan';
import { type Watch, watching, watchingOn } from '$core/watch';
import { error, redirect } from '@sveltejs/kit';
import { heardOf } from '../outbox/heard';
import { deviceStore } from '../outbox/store';
import { begunHere } from './begun';
import { inTurn, turn } from './turn';

/** A steaming that has begun, as its pages are opened with it: from the server, or from this device where there is no connection. */
export interface OpenedSteaming {
  readonly id: string;
  readonly engineId: string;
  readonly club: string;
  readonly imported: { readonly club: string; readonly at: string } | null;
  readonly keeper: string;
  readonly purpose: string;
  readonly startedAt: string;
  readonly endedAt: string | null;
  readonly context: Context;
  readonly entries: readonly Entry[];
  /** From where the feed goes on. */
  readonly place: string;
  readonly plan: DayPlan | null;
  readonly known: Pick<Known, 'fitOut' | 'fits' | 'offs' | 'used' | 'runs'>;
  /** What to fill to, as a glass. */
  readonly cold: number | null;
  /** Water used while it works, kg/s. */
  readonly water: number;
  readonly people: readonly string[];
  /** Of its feeds, on earlier days; a device that kept an older answer has none. */
  readonly tries?: readonly Try[];
  readonly mayThrowAway: boolean;
  /** Of one that has ended. */
  readonly summary?: Summary;
  readonly carried?: readonly Carried[];
  readonly now: number;
}

type Fetch = typeof globalThis.fetch;

/**
 * What the server says of it; or, where that does not answer, what the worker has kept of its last answer (it answers in the server's
 * place), or what was begun here.
 */
export async function openedSteaming(fetch: Fetch, id: string, at = `/footplate/${id}`): Promise<OpenedSteaming> {
  const here = browser ? await begunHere(id) : undefined;
  const answer = await fetch(`/api/steamings/${id}`).catch(() => undefined);
  if (answer?.ok) return answer.json();
  // The server does not know it before it has been delivered.
  if (here && (!answer || answer.status === 404)) return { ...here.opened, now: Date.now() };
  // A session that is over, on a page that was opened in time.
  if (answer?.status === 401) redirect(303, `/sign-in?then=${encodeURIComponent(at)}`);
  if (!answer)
    error(503, {
      message: 'There is no connection, and this device has not heard this steaming.',
      then: 'Open it once where there is a connection; from then on it opens without one.'
    });
  const said = (await answer.json().catch(() => ({}))) as { message?: string; sentence?: string; then?: string };
  const message = said.message ?? said.sentence ?? 'It cannot be opened.';
  error(answer.status, said.then === undefined ? { message } : { message, then: said.then });
}

/** The log of one under way, folded and watched before its page is made: on a device a piece at a time. */
export async function watchedInTurn({ context, entries }: OpenedSteaming): Promise<Watch> {
  if (!browser) return watching(fold(context, entries));
  const log = await inTurn(folding(context, entries));
  // Worked out once for each engine: in a turn of its own.
  plantFor(context.fitOut);
  await turn();
  return inTurn(watchingOn(log));
}

/** One that has ended, with what is listed of it; nothing while it is under way. One that was signed here and not delivered has ended here. */
export async function openedRecord(fetch: Fetch, id: string) {
  const opened = await openedSteaming(fetch, id, `/records/${id}`);
  const listed = (of: OpenedSteaming, summary: Summary, carried: readonly Carried[]) => ({ ...of, summary, carried });
  if (opened.endedAt) return listed(opened, opened.summary!, opened.carried!);
  if (!browser) return undefined;
  const waiting = (await deviceStore.all().catch(() => [])).filter((w) => w.steaming === opened.id && !w.refused).map((w) => w.entry);
  const heard = await heardOf(opened.id, opened.entries);
  const entries = [...new Map([...opened.entries, ...heard, ...waiting].map((e) => [e.id, e])).values()];
  const log = fold(opened.context, entries);
  return log.state.endedAt ? listed({ ...opened, entries: log.entries }, summarise(log), carriedOver(log)) : undefined;
}
