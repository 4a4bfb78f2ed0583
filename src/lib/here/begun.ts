import type { BegunAway } from '$core/faults';
import { device } from '../outbox/device';
import type { OpenedSteaming } from './opened';

/** STEAMINGS THAT WERE BEGUN ON THIS DEVICE, without a connection: kept until they are over, whether or not they have been delivered. */
export interface BegunHere {
  readonly id: string;
  readonly opened: OpenedSteaming;
  /** How it is delivered. */
  readonly document: BegunAway;
  /** When it was begun, ms by this device's clock. */
  readonly since: number;
}

/** @throws what the browser says when it keeps nothing */
export const keepBegun = async (begun: BegunHere): Promise<unknown> => (await device()).put('begun', begun);

export async function begunHere(id: string): Promise<BegunHere | undefined> {
  try {
    return await (await device()).get('begun', id);
  } catch {
    return undefined;
  }
}

export async function allBegunHere(): Promise<BegunHere[]> {
  try {
    return await (await device()).getAll('begun');
  } catch {
    return [];
  }
}
