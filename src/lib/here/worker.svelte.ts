/** THE WORKER that keeps the application on this device, as a page sees it: what it is asked to keep, and a new version that waits. */

/** When a page itself is kept, and when it is at rest and the rest is, ms; asked again so often. The worker asks the server no oftener than it has to. */
const [soon, atRest, again] = [1500, 6000, 10 * 60_000];

let next = $state.raw<ServiceWorker>();
/** There is a new version on this device, and this page runs the one before. */
export const isNewer = (): boolean => next !== undefined;

/** The new version takes over; this page is made anew with it. Other windows run on with the one they were opened with. */
export function takeNewer(): void {
  navigator.serviceWorker.addEventListener('controllerchange', () => location.reload(), { once: true });
  // The one that serves this page may be asking for all that a day needs, which takes minutes on a slow network: not first.
  navigator.serviceWorker.controller?.postMessage('give way');
  next?.postMessage('take over');
}

function watchFor(registration: ServiceWorkerRegistration): void {
  const look = () => {
    if (registration.waiting && navigator.serviceWorker.controller) next = registration.waiting;
  };
  look();
  registration.addEventListener('updatefound', () => registration.installing?.addEventListener('statechange', look));
}

/** Keeps what a day without a connection needs, while somebody is signed in. Gives back what ends it. */
export function keepHere(): () => void {
  // Plain http gives no worker: then nothing opens without a connection, and Settings say so.
  const worker = navigator.serviceWorker as ServiceWorkerContainer | undefined;
  if (!worker) return () => {};
  let ended = false;
  const say = (what: 'keep' | 'keep this') => void worker.ready.then((r) => r.active?.postMessage(what));
  const keep = () => say('keep');
  const timers = [setTimeout(() => say('keep this'), soon), setTimeout(keep, atRest)];
  const timer = setInterval(() => {
    keep();
    void worker.ready.then((r) => r.update()).catch(() => {});
  }, again);
  void worker.ready.then((registration) => ended || watchFor(registration));
  return () => {
    ended = true;
    timers.forEach(clearTimeout);
    clearInterval(timer);
  };
}
