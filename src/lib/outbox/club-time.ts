/** The club's time on a device whose own clock may be wrong: how far it is ahead of the server's, measured. */

/** One look at the server's clock: what it said, between two looks at the device's own; ms. */
export interface Probe {
  readonly before: number;
  readonly server: number;
  readonly after: number;
}

/** How far the device is ahead, by the look that took the shortest: its halves can differ by no more than it took; ms. */
export function aheadBy(probes: readonly Probe[]): number | undefined {
  const best = [...probes].sort((a, b) => a.after - a.before - (b.after - b.before))[0];
  return best && Math.round((best.before + best.after) / 2 - best.server);
}

const looks = 4;
/** A clock that was set, or a device that slept, shows as a step between the wall clock and the one that only runs, ms. */
const stepped = 2000;
/** How old a measurement may be, ms: a phone's clock drifts by seconds a day. */
const fresh = 15 * 60_000;

const step = () => Date.now() - performance.now();
let measured: { ahead: number; step: number; at: number } | undefined;
let measuring: Promise<number | undefined> | undefined;

/** How far ahead this device's clock is now, ms; undefined when it has not been measured since it may have been set. */
export const aheadNow = (): number | undefined => (measured && Math.abs(step() - measured.step) < stepped ? measured.ahead : undefined);

/** The time by the club's clock, as well as this device knows it; ms since 1970. */
export const clubNow = (): number => Date.now() - (aheadNow() ?? measured?.ahead ?? 0);

/** A moment as an entry carries it. @param ms since 1970 */
export const isoOf = (ms: number): string => new Date(ms).toISOString();

async function look(): Promise<Probe> {
  const [before, from] = [Date.now(), performance.now()];
  const response = await fetch('/api/clock', { cache: 'no-store' });
  const { now: server } = (await response.json()) as { now: number };
  // The device's clock may be set meanwhile; the one that only runs is not.
  return { before, server, after: before + performance.now() - from };
}

/** Measures the device's clock, unless that was done a moment ago. @returns ms ahead; undefined when there is no answer */
export function measureClock(): Promise<number | undefined> {
  const known = aheadNow();
  if (known !== undefined && performance.now() - measured!.at < fresh) return Promise.resolve(known);
  return (measuring ??= (async () => {
    try {
      const probes: Probe[] = [];
      for (let i = 0; i < looks; i++) probes.push(await look());
      const ahead = aheadBy(probes);
      if (ahead !== undefined && Number.isFinite(ahead)) measured = { ahead, step: step(), at: performance.now() };
    } catch {
      // No answer: what is made meanwhile says that its clock was not measured.
    } finally {
      measuring = undefined;
    }
    return aheadNow();
  })());
}
