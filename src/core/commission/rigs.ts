import { mark } from '../units';

/** TEMPORARY RIGS: what is put on for a trial and must come off again, each with the moment by which it must. */
export const rigParts = {
  'borrowed steam': {
    name: 'Steam of another boiler',
    lasts: 'Its water lasts, with what is taken from it',
    most: 4 * 3600,
    stays: false,
    says: 'hose to another boiler'
  },
  'outside air': { name: 'Outside air', lasts: 'Off again after', most: 8 * 3600, stays: false, says: 'outside air' },
  lever: { name: 'Temporary lever or rod', lasts: 'Off again after', most: 30 * 86_400, stays: true, says: 'temporary lever' },
  blank: { name: 'Blank or temporary plug', lasts: 'Off again after', most: 30 * 86_400, stays: true, says: 'blank' },
  gauge: { name: 'Borrowed gauge', lasts: 'Off again after', most: 30 * 86_400, stays: true, says: 'borrowed gauge' },
  other: { name: 'Something else', lasts: 'Off again after', most: 30 * 86_400, stays: true, says: 'temporary part' }
} as const satisfies Record<
  string,
  {
    readonly name: string;
    /** What its time is. */ readonly lasts: string;
    /** s, at most */ readonly most: number;
    /** Whether it may still be on when the engine is left. */ readonly stays: boolean;
    readonly says: string;
  }
>;
export type RigPart = keyof typeof rigParts;
export const rigKeys = Object.keys(rigParts) as RigPart[];

export interface RigSaid {
  readonly part: RigPart;
  /** Where, or what of it: “on the whistle”. */
  readonly which?: string;
  readonly on: boolean;
  /** s from now until it must be off. */
  readonly for?: number;
  /** Whose boiler. */
  readonly of?: string;
}
export interface Rig {
  readonly part: RigPart;
  readonly which?: string;
  readonly of?: string;
  readonly since: string;
  readonly until: string;
  readonly by: string;
}
/** By what it is and where. */
export type Rigs = Readonly<Record<string, Rig>>;

const keyOf = ({ part, which }: Pick<RigSaid, 'part' | 'which'>) => (which ? `${part}: ${which}` : part);
/** As it is named: “temporary lever on the whistle”, “hose to another boiler, Old Scoop”. */
export const rigWords = ({ part, which, of }: Pick<Rig, 'part' | 'which' | 'of'>): string =>
  `${rigParts[part].says}${which ? ` ${which}` : ''}${of ? `, ${of}` : ''}`;

/** What a rig that is put on or taken off makes of those that are on. */
export function withRig(rigs: Rigs, { on, for: lasts, ...said }: RigSaid, { at, by }: { readonly at: string; readonly by: string }): Rigs {
  const key = keyOf(said);
  if (on) return { ...rigs, [key]: { ...said, since: at, by, until: new Date(Date.parse(at) + (lasts ?? 0) * 1000).toISOString() } };
  const { [key]: _, ...left } = rigs;
  return left;
}
export const isOn = (rigs: Rigs, part: RigPart): boolean => Object.values(rigs).some((r) => r.part === part);

/** Why a rig may not be put on or taken off as it is said; undefined when it may. */
export function rigRefused(said: RigSaid, rigs: Rigs): { readonly field: string; readonly sentence: string } | undefined {
  const { name, most } = rigParts[said.part];
  const there = rigs[keyOf(said)];
  if (!said.on) return there ? undefined : { field: 'body.part', sentence: `${name}: none is on${said.which ? ` ${said.which}` : ''}.` };
  if (there) return { field: 'body.part', sentence: `${name} is on already, since ${there.by} put it on: take it off first.` };
  if (said.part === 'borrowed steam' && !said.of?.trim()) return { field: 'body.of', sentence: 'Say whose boiler the steam comes from.' };
  if (!said.for) return { field: 'body.for', sentence: 'Say by when it must be off again: a rig that has no end stays.' };
  return said.for > most ? { field: 'body.for', sentence: `${name}: at most ${mark(most, 'time')}.` } : undefined;
}

/** Rigs past their time. @param now ms since 1970 */
export const overdue = (rigs: Rigs, now: number): Rig[] => Object.values(rigs).filter((r) => Date.parse(r.until) < now);

/** Why an engine may not be left with these on; none when it may. @param now ms since 1970 */
export const rigsStay = (rigs: Rigs, now: number): string[] =>
  Object.values(rigs).flatMap((r) =>
    !rigParts[r.part].stays
      ? [`The ${rigWords(r)} is still on: off before it is left.`]
      : Date.parse(r.until) < now
        ? [`The ${rigWords(r)} was to be off by now: take it off.`]
        : []
  );
