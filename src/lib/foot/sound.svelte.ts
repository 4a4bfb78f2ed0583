import type { Warning } from '$core/watch';
import { clubNow } from '../outbox/club-time';
import { actNow, once } from './alarm';
import { aloud, speaks } from './speech';

/** What is heard of the watch on this device: "act now" until it is acted on or noted, "look" once each time it is said. */

/** No two sounds of what is to be looked at come closer than this, ms. */
const apart = 20_000;
/** Muted at most, ms; and where the device keeps until when. */
export const longestMute = 15 * 60_000;
const kept = 'joram.muted-until';

const read = (key: string): string | null => {
  try {
    return localStorage.getItem(key);
  } catch {
    return null;
  }
};

export class Sound {
  /** Of what is to be looked at alone: what is to be acted on is always heard. ms since 1970, by the club’s time. */
  #mutedUntil = $state(Number(read(kept) ?? 0));
  /** When each was said that was heard, by rule. */
  #heard: Readonly<Record<string, number>> = {};
  #last = -Infinity;
  #waiting: ReturnType<typeof setTimeout> | undefined;
  #first = true;
  #ringing: (() => void) | undefined;
  #rings: string | undefined;

  /** ms that are left of it. More than it can be was left by a clock that was wrong, and is none. @param now by the club’s time */
  mutedFor = (now: number): number => {
    const left = this.#mutedUntil - now;
    return left > longestMute ? 0 : Math.max(0, left);
  };

  mute = (until: number): void => {
    this.#mutedUntil = until;
    try {
      localStorage.setItem(kept, String(until));
    } catch {
      // Where nothing is kept it holds as long as the page does.
    }
  };

  /** Takes what stands now. @param quiet it is being acted on */
  hear = (alarms: readonly Warning[], quiet: boolean, words: (a: Warning) => string): void => {
    const loud = quiet ? undefined : alarms.find((a) => a.rank === 'act now' && !a.ack);
    if (loud?.key !== this.#rings) {
      this.#ringing?.();
      this.#rings = loud?.key;
      this.#ringing = loud ? actNow() : undefined;
      if (loud && speaks()) aloud(words(loud));
    }
    const looks = alarms.filter((a) => a.rank === 'look');
    const fresh = looks.filter((a) => !a.ack && (this.#heard[a.key] ?? -Infinity) < a.said);
    this.#heard = Object.fromEntries(looks.map((a) => [a.key, a.said]));
    // What stood when the page was opened is seen; it was heard where it was said.
    if (fresh.length && !this.#first) this.#look(fresh[0]!, words);
    this.#first = false;
  };

  #look(a: Warning, words: (a: Warning) => string): void {
    if (this.mutedFor(clubNow()) > 0) return;
    const wait = Math.max(0, this.#last + apart - Date.now());
    if (this.#waiting) return;
    this.#waiting = setTimeout(() => {
      this.#waiting = undefined;
      if (this.mutedFor(clubNow()) > 0 || this.#rings) return;
      this.#last = Date.now();
      once();
      if (speaks()) aloud(words(a));
    }, wait);
  }

  end = (): void => {
    this.#ringing?.();
    clearTimeout(this.#waiting);
    this.#rings = undefined;
  };
}
