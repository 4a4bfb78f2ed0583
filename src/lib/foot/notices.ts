/** A WORD ON A LOCKED SCREEN: while it is in steam and the page is out of sight, one notification says what was last read and what is the matter. */

/** Whether this device shows any: by the browser, and by whoever holds it. */
export type Allowed = 'yes' | 'ask' | 'no' | 'cannot';

export const noticesAllowed = (): Allowed => {
  if (!('Notification' in globalThis) || !navigator.serviceWorker) return 'cannot';
  return Notification.permission === 'granted' ? 'yes' : Notification.permission === 'denied' ? 'no' : 'ask';
};
/** @returns what whoever holds it has said */
export async function allowNotices(): Promise<Allowed> {
  await Notification.requestPermission();
  return noticesAllowed();
}

export interface Notice {
  readonly title: string;
  readonly body: string;
  /** Of what is to be acted on, it sounds by the device's own sound. */
  readonly loud: boolean;
}

/** Of one Footplate. */
export class Notices {
  readonly #path: string;
  #shown = '';

  /** @param path of the page that a touch leads to */
  constructor(path: string) {
    this.#path = path;
  }

  get #tag() {
    return `joram${this.#path}`;
  }

  /** Takes what stands now; nothing when it is not in steam. What is the same already is not said again. */
  tell = async (notice: Notice | undefined): Promise<void> => {
    const wanted = notice && document.visibilityState === 'hidden' && noticesAllowed() === 'yes' ? notice : undefined;
    const words = wanted ? `${wanted.title}\n${wanted.body}` : '';
    if (words === this.#shown) return;
    this.#shown = words;
    if (!wanted) return this.end();
    const registration = await navigator.serviceWorker.ready;
    const { title, body, loud } = wanted;
    const options = { body, tag: this.#tag, data: this.#path, icon: '/joram.svg', silent: !loud, renotify: loud, requireInteraction: loud };
    await registration.showNotification(title, options).catch(() => {});
  };

  end = async (): Promise<void> => {
    this.#shown = '';
    if (noticesAllowed() !== 'yes') return;
    const registration = await navigator.serviceWorker.getRegistration();
    for (const open of (await registration?.getNotifications({ tag: this.#tag }).catch(() => [])) ?? []) open.close();
  };
}
