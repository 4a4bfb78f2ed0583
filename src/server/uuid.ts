import { randomBytes } from 'node:crypto';
import { timeOrderedId } from '$core/log/id';

/** A new time-ordered UUID. */
export const newId = (): string => timeOrderedId(Date.now(), randomBytes(10));
