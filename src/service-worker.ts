/// <reference types="@sveltejs/kit" />
/// <reference lib="webworker" />
// Keeps the application on the device, so that a Footplate that was opened once opens again with no network. Pages are
// always asked of the server first; what is kept is shown only when there is no answer. Entries wait in the outbox.
import { build, files, version } from '$service-worker';

// Here `self` is a service worker; the library of types only knows of workers in general.
declare const self: ServiceWorkerGlobalScope;
const shell = `joram-shell-${version}`;
const pages = 'joram-pages';
const shellFiles = [...build, ...files];
/** Pages that are worth having without a network: the engine at hand and its day, not the office. */
const kept = /^\/(?:$|waiting$|footplate\/|(?:engines|day)\/[0-9a-f-]{36}$)/;
/** The most pages that are kept; the oldest goes first. */
const most = 12;

self.addEventListener('install', (event) => {
  event.waitUntil(
    caches
      .open(shell)
      .then((cache) => cache.addAll(shellFiles))
      .then(() => self.skipWaiting())
  );
});

self.addEventListener('activate', (event) => {
  event.waitUntil(
    caches
      .keys()
      .then((keys) => Promise.all(keys.filter((key) => key !== shell && key !== pages).map((key) => caches.delete(key))))
      .then(() => self.clients.claim())
  );
});

async function pageOrKept(request: Request): Promise<Response> {
  const cache = await caches.open(pages);
  try {
    const answer = await fetch(request);
    // A redirect is to the sign-in page or the record: not the page that was asked for.
    if (answer.ok && !answer.redirected) {
      await cache.put(request, answer.clone());
      const keys = await cache.keys();
      await Promise.all(keys.slice(0, Math.max(0, keys.length - most)).map((key) => cache.delete(key)));
    }
    return answer;
  } catch (problem) {
    const found = await cache.match(request);
    if (found) return found;
    throw problem;
  }
}

self.addEventListener('fetch', (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (request.method !== 'GET' || url.origin !== location.origin) return;
  if (shellFiles.includes(url.pathname)) {
    event.respondWith(caches.match(request, { cacheName: shell }).then((found) => found ?? fetch(request)));
    return;
  }
  const data = url.pathname.endsWith('/__data.json');
  const page = data ? url.pathname.slice(0, -'/__data.json'.length) || '/' : url.pathname;
  if (kept.test(page) && (request.mode === 'navigate' || data)) event.respondWith(pageOrKept(request));
});

// Signing out leaves no club's pages on the device.
self.addEventListener('message', (event) => {
  if (event.data === 'forget pages') event.waitUntil(caches.delete(pages));
});
