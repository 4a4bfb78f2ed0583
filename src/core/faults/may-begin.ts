import { Refusal } from '../units';
import { barsOf, type For, type Standing } from './bars';

/** Who asks to begin a steaming, and when. */
export interface MayBegin extends For {
  readonly may: (right: 'start steaming' | 'override') => boolean;
  /** Why it is steamed all the same, where something stops it. */
  readonly reason?: string | undefined;
  /** By the club's calendar, written 2026-06-13. */
  readonly today: string;
}

/**
 * MAY IT BE BEGUN? Asked by the server, and by a device without a connection of what it has heard. What stops an engine is overridden by
 * somebody who may, with a reason.
 * @returns what stands against it and is overridden
 * @throws Refusal with what stops it as \`stops\`
 */
export function mayBegin(standing: Standing, { may, reason, today, ...asked }: MayBegin): string[] {
  if (!may('start steaming'))
    throw new Refusal('engine', 'A trainee logs in a steaming that a keeper has started, and does not start one.', { code: 'forbidden' });
  const stops = barsOf(standing, today, asked);
  if (stops.length && !reason) throw new Refusal('reason', 'This engine may not be steamed as it stands.', { code: 'conflict', stops });
  if (stops.length && !may('override'))
    throw new Refusal('reason', 'Only a steward or an owner may override what stops an engine.', { code: 'forbidden', stops });
  return stops;
}
