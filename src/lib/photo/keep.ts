import { device } from '../outbox/device';
import type { Picture } from './make';

/** PICTURES ON THEIR WAY: kept on this device until the server has them; on this page alone where the device keeps nothing. */
const here = new Map<string, Blob>();

export async function keepPicture({ sum, bytes }: Picture): Promise<void> {
  here.set(sum, bytes);
  try {
    await (await device()).put('photos', { sum, bytes, since: Date.now() });
  } catch {
    // The outbox says that this device keeps nothing.
  }
}

export async function pictureHere(sum: string): Promise<Blob | undefined> {
  const own = here.get(sum);
  if (own) return own;
  try {
    return (await (await device()).get('photos', sum))?.bytes;
  } catch {
    return undefined;
  }
}

/** The server has it: what is asked of it again comes from there. */
export async function pictureGone(sum: string): Promise<void> {
  here.delete(sum);
  try {
    await (await device()).delete('photos', sum);
  } catch {
    // It stays until the browser is cleared, and is sent to nobody.
  }
}
