/// <reference types="@sveltejs/kit" />
/// <reference lib="webworker" />
// Keeps the application on the device, so that it works where there is no connection. The server is always asked first; what is kept is
// shown only when there is no answer. An empty page (the shell) and what was last told of a page make that page anew on the device.
// Entries wait in the outbox.
import { build, files, version } from '$service-worker';
import { documentOf, isAnswer, keyOf, type KeptBook, mostKept, wanted, whoIsIn } from './lib/here/kept';

// Here `self` is a service worker; the library of types only knows of workers in general.
declare const self: ServiceWorkerGlobalScope;
const shellName = 'joram-shell-';
const shell = shellName + version;
const pages = 'joram-pages';
const shellFiles = new Set([...build, ...files]);
/** With it any page is made here. */
const emptyPage = '/shell';

self.addEventListener('install', (event) => {
  // It does not take over by itself: a page that runs is served what it was built with. It is offered, and taken when the fire is out.
  event.waitUntil(caches.open(shell).then((cache) => cache.addAll([...shellFiles])));
});

self.addEventListener('activate', (event) => {
  event.waitUntil(
    caches
      .keys()
      // The version before stays, for a page that another window still has open.
      .then((keys) => {
        const older = keys.filter((key) => key.startsWith(shellName) && key !== shell).sort();
        return Promise.all(older.slice(0, -1).map((key) => caches.delete(key)));
      })
      .then(() => self.clients.claim())
  );
});

async function keep(key: string, answer: Response): Promise<void> {
  // A redirect is to the sign-in page or the record: not what was asked for.
  if (!answer.ok || answer.redirected) return;
  const cache = await caches.open(pages);
  await cache.put(key, answer);
  const keys = await cache.keys();
  await Promise.all(keys.slice(0, Math.max(0, keys.length - mostKept)).map((old) => cache.delete(old)));
}

/** How long what is kept of a page is good while there is a connection, ms. */
const good = 10 * 60_000;

/** The server said when it answered; the worker itself is forgotten between two of them. */
async function isFresh(key: string): Promise<boolean> {
  const kept = await caches.match(key, { cacheName: pages });
  return kept !== undefined && Date.now() - Date.parse(kept.headers.get('date') ?? '') < good;
}

/** Keeps the whole of what a page is told, unless that was done lately. */
async function freshen(key: string): Promise<void> {
  if (over.signal.aborted || (await isFresh(key))) return;
  const answer = await fetch(key, { signal: over.signal }).catch(() => undefined);
  if (answer) await keep(key, answer);
}

/** Keeps what the page at an address is made from. What is kept of a log is from when it was opened: what came since is kept by the page. */
async function keepPage(url: URL): Promise<void> {
  const key = keyOf(url);
  if (!key) return;
  await freshen(emptyPage);
  await freshen(key);
  const document = documentOf(url.pathname);
  if (document) await freshen(document);
}

/** What a server that is away answers through a proxy is no answer. */
async function asked(request: Request): Promise<Response> {
  const answer = await fetch(request);
  if ([502, 503, 504].includes(answer.status)) throw new TypeError(`The server is away (${answer.status}).`);
  return answer;
}

/** What a page asks for: the server's answer, and without one what was kept of it. */
async function answered(event: FetchEvent, key: string): Promise<Response> {
  try {
    const answer = await asked(event.request);
    // A document is whole; of a page's data only what it lacked may have been asked for.
    event.waitUntil(isAnswer(key) ? keep(key, answer.clone()) : keepPage(new URL(event.request.url)));
    return answer;
  } catch (problem) {
    const found = await caches.match(key, { cacheName: pages });
    if (found) return found;
    throw problem;
  }
}

/** A page that is asked for by its address: from the server, or made here from what is kept of it. */
async function navigated(event: FetchEvent, url: URL): Promise<Response> {
  const key = keyOf(url);
  try {
    const answer = await asked(event.request);
    if (answer.ok && !answer.redirected) event.waitUntil(keepPage(url));
    return answer;
  } catch (problem) {
    const cache = await caches.open(pages);
    const empty = await cache.match(emptyPage);
    if (!empty) throw problem;
    if (key && (await cache.match(key))) return empty;
    return Response.redirect(`/not-here?page=${encodeURIComponent(url.pathname + url.search)}`, 303);
  }
}

self.addEventListener('fetch', (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (request.method !== 'GET' || url.origin !== location.origin) return;
  // Of whatever version asks: the one before is kept too.
  if (shellFiles.has(url.pathname) || url.pathname.startsWith('/_app/immutable/')) {
    event.respondWith(caches.match(request, { ignoreSearch: true }).then((found) => found ?? fetch(request)));
    return;
  }
  const key = keyOf(url);
  if (request.mode === 'navigate') event.respondWith(navigated(event, url));
  else if (key && (isAnswer(key) || url.pathname.endsWith('/__data.json'))) event.respondWith(answered(event, key));
});

/** What is asked for last: where it is fresh, so is the rest. */
const last = '/bench/__data.json';
let sweeping: Promise<void> | undefined;
/** A newer worker is waited for until this one has nothing under way: it stops asking. */
const over = new AbortController();

/** Asks for all that a day without a connection needs, one after the other, so that nobody else waits for it. */
async function sweep(): Promise<void> {
  if (await isFresh(last)) return;
  const ask = async (path: string): Promise<Response | undefined> => {
    const answer = await fetch(path, { signal: over.signal }).catch(() => undefined);
    // Whoever was signed in is not any more: put out, or by another's hand.
    if (answer?.status === 401) await caches.delete(pages);
    if (!answer?.ok || answer.redirected) return undefined;
    await keep(path, answer.clone());
    return answer;
  };
  const book = await ask('/api/book');
  // Nobody is signed in, or there is no connection.
  if (!book || !(await ask(emptyPage)) || !(await ask(whoIsIn))) return;
  for (const path of wanted((await book.json()) as KeptBook)) await (isAnswer(path) ? ask(path) : freshen(path));
}

self.addEventListener('message', (event) => {
  // Signing out leaves no club's pages on the device.
  if (event.data === 'forget pages') event.waitUntil(caches.delete(pages));
  if (event.data === 'take over') event.waitUntil(self.skipWaiting());
  if (event.data === 'give way') over.abort();
  // A page that came before the worker did.
  if (event.data === 'keep this' && event.source instanceof WindowClient) event.waitUntil(keepPage(new URL(event.source.url)));
  if (event.data === 'keep') event.waitUntil((sweeping ??= sweep().finally(() => (sweeping = undefined))));
});

// A warning on a locked screen leads to its Footplate.
self.addEventListener('notificationclick', (event) => {
  event.notification.close();
  const to = String(event.notification.data ?? '/');
  event.waitUntil(
    self.clients.matchAll({ type: 'window' }).then((open) => {
      const page = open.find((c) => new URL(c.url).pathname === to);
      return page ? page.focus() : self.clients.openWindow(to);
    })
  );
});
