import { differences } from '$core/form';
import { Refusal } from '$core/units';

/** WHICH VERSION a change was made from: whoever changed something else meanwhile is not written over. */

/** The version that a request was made from, from its header `If-Match: "7"`. @throws Refusal when it does not say */
export function changedFrom(request: Request): number {
  const said = /^"?([1-9]\d{0,8})"?$/.exec(request.headers.get('if-match') ?? '')?.[1];
  if (said === undefined)
    throw new Refusal(
      'version',
      'Say which version this was changed from, as it was read: If-Match: "7". Nobody’s change is written over unseen.'
    );
  return Number(said);
}

/** What stands now, with who made it. */
export interface Standing {
  readonly version: number;
  readonly by: string | null;
  readonly document: unknown;
}

/** @throws Refusal with both versions and where they differ, when what stands is not what was changed */
export function sameVersion(from: number, now: Standing, mine: unknown): void {
  if (from === now.version) return;
  throw new Refusal('version', `${now.by ?? 'Somebody'} changed this meanwhile, to version ${now.version}: look at both, and save again.`, {
    code: 'conflict',
    version: now.version,
    by: now.by,
    theirs: now.document,
    mine,
    differences: differences(now.document, mine)
  });
}
