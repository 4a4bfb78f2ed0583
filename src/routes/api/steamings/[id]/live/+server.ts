import { need, needId, notHere } from '$server/answer';
import { onEntries, whenStopping } from '$server/live';
import { entriesAfter, steaming } from '$server/steamings';

/**
 * Two transactions may take their places in the log in one order and become visible in the other. So each message goes
 * back this far; whoever reads the feed adds an entry it has already to no effect.
 */
const overlap = 50;
const beatMs = 20_000;

/** New entries of a steaming as they come, from any process: Server-Sent Events, resumable by Last-Event-ID. */
export const GET = async ({ params, locals, request, url }) => {
  const { club } = need(locals);
  const id = needId(params.id);
  if (!(await steaming(club, id))) return notHere('steaming');
  let last = Number(request.headers.get('last-event-id') ?? url.searchParams.get('after') ?? 0) || 0;
  let stop = () => {};

  const body = new ReadableStream({
    async start(controller) {
      const text = new TextEncoder();
      const write = (line: string) => {
        try {
          controller.enqueue(text.encode(line));
        } catch {
          stop();
        }
      };
      let busy: Promise<unknown> = Promise.resolve();
      const send = (from: number) => {
        busy = busy
          .then(async () => {
            const { entries, last: now } = await entriesAfter(club, id, Math.max(0, from));
            if (entries.length) {
              last = Math.max(last, now);
              write(`id: ${last}\ndata: ${JSON.stringify(entries)}\n\n`);
            }
          })
          .catch(() => stop());
      };
      const beat = setInterval(() => write(': still here\n\n'), beatMs);
      const off = await onEntries(club, id, ({ from }) => send(Math.min(last - overlap, Number(from) - 1)));
      const offStop = whenStopping(() => stop());
      stop = () => {
        stop = () => {};
        clearInterval(beat);
        off();
        offStop();
        try {
          controller.close();
        } catch {
          // The browser has closed it already.
        }
      };
      write('retry: 1000\n\n');
      send(last - overlap);
    },
    cancel: () => stop()
  });
  return new Response(body, { headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store', 'x-accel-buffering': 'no' } });
};
