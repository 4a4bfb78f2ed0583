import type { RequestEvent } from './$types';
import { Refusal } from '$core/units';
import { answers, need, needId } from '$server/answer';
import { follow, type Viewer } from '$server/live/feed';
import { placeOf } from '$server/live/place';
import { whenStopping } from '$server/live/told';
import { setTimeout as sleep } from 'node:timers/promises';

/** The most steamings that one viewer names; without a name it is told of all. */
const most = 20;
/** A viewer that has not taken this much is let go: it comes back and goes on from its place, bytes. */
const behind = 4 * 1024 * 1024;
/** What it missed is read on when it has taken all but this, bytes. */
const enough = 64 * 1024;

/**
 * New entries of the club as they come, whoever stored them: Server-Sent Events. `steaming` names those that are wanted; `after`,
 * or Last-Event-ID, is the place to go on from. A beat says every few seconds that a new entry would have been heard.
 */
export const GET = answers<RequestEvent>(async ({ locals, request, url }) => {
  const member = need(locals);
  const named = url.searchParams.getAll('steaming').map(needId);
  if (named.length > most) throw new Refusal('steaming', `Name at most ${most} steamings, or none to be told of all.`);
  const from = await placeOf(request.headers.get('last-event-id') ?? url.searchParams.get('after'));
  let off = () => {};
  let offStop = () => {};
  let ended = false;
  const end = () => {
    ended = true;
    off();
    offStop();
  };
  const body = new ReadableStream<Uint8Array>(
    {
      async start(controller) {
        const text = new TextEncoder();
        const close = () => {
          if (ended) return;
          end();
          controller.close();
        };
        const write = (message: string) => {
          if (ended) return;
          controller.enqueue(text.encode(message));
          if ((controller.desiredSize ?? 0) < -behind) close();
        };
        const taken = async () => {
          while (!ended && (controller.desiredSize ?? 0) < -enough) await sleep(20);
          return !ended;
        };
        const viewer: Viewer = {
          taken,
          club: member.club,
          session: locals.session!.hash,
          until: locals.session!.until,
          ...(named.length ? { wants: new Set(named) } : {}),
          tell: ({ place, entries }) => write(`id: ${place}\nevent: entries\ndata: ${JSON.stringify(entries)}\n\n`),
          beat: () => write(`event: beat\ndata: ${Date.now()}\n\n`),
          over: () => {
            write('event: over\ndata: \n\n');
            close();
          }
        };
        offStop = whenStopping(close);
        const stopFollowing = await follow(viewer, from);
        if (ended) stopFollowing();
        else off = stopFollowing;
      },
      cancel: end
    },
    { highWaterMark: 0, size: (chunk) => chunk?.byteLength ?? 0 }
  );
  return new Response(body, { headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store', 'x-accel-buffering': 'no' } });
});
