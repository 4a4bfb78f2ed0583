import type { FitOut } from '../../src/core/engine';
import type { BegunAway } from '../../src/core/faults';
import { compose } from '../../src/core/procedure';

/** A steaming that was begun on a device without a connection an hour ago, as it is delivered. */
export const begunAway = (engine: string, fitOut: FitOut, of: Partial<BegunAway> = {}): BegunAway => ({
  engine,
  version: 1,
  at: new Date(Date.now() - 3600_000).toISOString(),
  book: new Date(Date.now() - 2 * 3600_000).toISOString(),
  entry: crypto.randomUUID(),
  purpose: 'Members’ day',
  plan: null,
  begun: { public: false, feedsAsked: 2, faults: [], papers: [{ kind: 'Insurance', expires: '2099-01-01' }] },
  procedure: compose(fitOut),
  override: null,
  ...of
});
