import { type BuiltAs, builtAs, type StageKey, stageKeys, stages, type StageStands } from './stages';

/** A BUILD'S OWN LOG: that it began, which stages are left out and why, that it was stopped, or released by an examiner. */
export type BuildSaid =
  | { readonly kind: 'begun'; readonly body: { readonly has: BuiltAs } }
  | { readonly kind: 'skipped'; readonly body: { readonly stage: StageKey; readonly reason: string } }
  | { readonly kind: 'stopped'; readonly body: { readonly reason: string } }
  /** With what stays untested, as it was said when it was signed. */
  | { readonly kind: 'released'; readonly body: { readonly note: string; readonly left: readonly string[] } };
export type BuildEntry = BuildSaid & { readonly at: string; readonly by: string };

export interface Build {
  readonly has: BuiltAs;
  readonly since: string;
  readonly by: string;
  readonly skipped: Readonly<Partial<Record<StageKey, { readonly reason: string; readonly by: string; readonly at: string }>>>;
  readonly ended?: BuildEntry;
}

/** The last build of an engine; undefined where it never had one. @param entries in their order */
export const buildOf = (entries: readonly BuildEntry[]): Build | undefined =>
  entries.reduce<Build | undefined>((build, e) => {
    if (e.kind === 'begun') return { has: e.body.has, since: e.at, by: e.by, skipped: {} };
    if (!build) return build;
    if (e.kind === 'skipped')
      return { ...build, skipped: { ...build.skipped, [e.body.stage]: { reason: e.body.reason, by: e.by, at: e.at } } };
    return { ...build, ended: e };
  }, undefined);
export const isBuilding = (build: Build | undefined): build is Build => build !== undefined && !build.ended;

/** Why something may not be said of a build; undefined when it may. */
export function buildRefused(
  said: BuildSaid,
  build: Build | undefined,
  stands: readonly StageStands[],
  may: (right: 'edit engines' | 'sign as examiner' | 'override') => boolean
): { readonly field: string; readonly sentence: string } | undefined {
  const no = (field: string, sentence: string) => ({ field, sentence });
  if (said.kind === 'begun') {
    if (!may('edit engines')) return no('kind', 'An owner, a steward or an operator begins a build.');
    if (!(said.body.has in builtAs)) return no('has', `Say what there is of it: ${Object.values(builtAs).join('; ')}.`);
    return isBuilding(build) ? no('kind', `It is being built already: ${build.by} began it.`) : undefined;
  }
  if (!isBuilding(build)) return no('kind', 'It is not being built.');
  if (said.kind === 'released') {
    if (!may('sign as examiner'))
      return no('kind', 'Only a member who is the boiler examiner releases an engine from its build, under their own name.');
    const open = stands.filter((s) => s.is === 'open');
    if (open.length) return no('kind', `Not yet: ${open.map((s) => `${s.name.toLowerCase()}: ${s.lacks[0]}`).join(' ')}`);
    return said.body.note.trim() ? undefined : no('note', 'Say what was witnessed, and what is left to do.');
  }
  if (!may('edit engines')) return no('kind', 'An owner, a steward or an operator says this.');
  if (!said.body.reason.trim()) return no('reason', 'Say why: it stays in the build’s log.');
  if (said.kind === 'stopped')
    return may('override') ? undefined : no('kind', 'Only a steward or an owner ends a build that was not released.');
  const { stage } = said.body;
  if (!stageKeys.includes(stage) || !stands.some((s) => s.key === stage)) return no('stage', 'This build has no such stage.');
  if (!stages[stage].optional)
    return no('stage', `${stages[stage].name} is never left out: it is what stands between a fire and those beside it.`);
  return build.skipped[stage] ? no('stage', `${stages[stage].name} is left out already.`) : undefined;
}

/** As a line of its log. */
export const buildWords = (e: BuildSaid): string =>
  e.kind === 'begun'
    ? `Begun: ${builtAs[e.body.has]}`
    : e.kind === 'skipped'
      ? `${stages[e.body.stage].name} left out: ${e.body.reason}`
      : e.kind === 'stopped'
        ? `Ended without a release: ${e.body.reason}`
        : `Released: ${e.body.note}${e.body.left.length ? `. Untested: ${e.body.left.join('; ')}` : ''}`;
