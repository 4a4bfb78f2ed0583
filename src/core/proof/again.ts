import { burnerKey, type FitOut, mayAccumulate } from '../engine';
import type { RunFact } from '../log';
import { isTimed } from '../sums';
import { dayWords } from '../units';
import { canonical } from './chain';
import { sheetOf, sheets } from './sheets';

/** AFTER A CHANGE: what was done to an engine, and what must be proven again before it runs with others. */

/** What is proven otherwise than by a worksheet. */
const besides = {
  accumulation: { name: 'Accumulation test', when: mayAccumulate },
  pair: { name: 'Pair of fuel and water, one run measured', when: (f: FitOut) => isTimed(f) && f.fire.with !== 'electric' }
} as const;

/** All that can be proven of this engine: its worksheets, and what is proven otherwise. */
export const proofsOf = (f: FitOut): string[] => [...sheets.map((s) => s.key), ...Object.keys(besides)].filter((k) => applies(k, f));
export const proofName = (key: string): string => besides[key as keyof typeof besides]?.name ?? sheetOf(key)?.name ?? key;
const applies = (key: string, f: FitOut): boolean => (besides[key as keyof typeof besides] ?? sheetOf(key))?.when?.(f) ?? true;

interface Work {
  readonly name: string;
  readonly again: readonly string[];
  /** Whether it can be done to such an engine, where what must be proven again does not tell. */
  readonly when?: (f: FitOut) => boolean;
  /** What of a fit-out tells that it was done: another one, and it was. */
  readonly tells?: (f: FitOut) => unknown;
}

const tubesOf = ({ boiler: b }: FitOut) =>
  'tubes' in b ? [b.tubes, 'flues' in b && b.flues] : 'tubeCount' in b && [b.tubeCount, b.tubeDiameter];

export const works = {
  burner: {
    name: 'Another burner, jet or charge',
    again: ['gas', 'accumulation', 'pair'],
    when: (f) => f.fire.with !== 'solid',
    tells: burnerKey
  },
  fuel: {
    name: 'Another fuel',
    again: ['steam', 'accumulation', 'feeds'],
    when: (f) => f.fire.with === 'solid',
    tells: (f) => (f.fire.with === 'solid' ? f.fire.fuel : f.fire.with)
  },
  grate: {
    name: 'Another grate, nozzle or chimney',
    again: ['accumulation'],
    when: (f) => f.fire.with === 'solid',
    tells: ({ fire: f }) => f.with === 'solid' && [f.grateLength, f.grateWidth, f.nozzle, f.chimney]
  },
  valve: {
    name: 'A safety valve renewed, taken apart or set anew',
    again: ['valves', 'accumulation'],
    tells: (f) => f.safetyValves.map((v) => [v.set, v.type])
  },
  tubes: { name: 'Tubes renewed or expanded', again: ['hydraulic', 'steam', 'accumulation'], tells: tubesOf },
  boiler: { name: 'Plates, stays or joints of the boiler worked on', again: ['hydraulic', 'steam', 'accumulation'] },
  pressure: {
    name: 'Another working pressure',
    again: ['hydraulic', 'steam', 'gauge', 'valves', 'accumulation'],
    tells: (f) => f.workingPressure
  },
  feed: {
    name: 'An injector, pump or clack renewed or taken apart',
    again: ['feeds'],
    tells: (f) => f.feeds.map((x) => [x.name, x.kind, x.into, x.plumbed])
  },
  gas: { name: 'The gas train opened', again: ['gas'] },
  gauge: { name: 'The pressure gauge renewed', again: ['gauge'] },
  glass: {
    name: 'A gauge glass or its cocks renewed',
    again: ['glasses'],
    tells: (f) => f.glasses.length
  },
  plug: { name: 'The fusible plug renewed', again: ['plug'] },
  brakes: { name: 'Brakes worked on', again: ['brakes'], tells: (f) => f.brakes },
  motion: { name: 'Pistons, valves or motion worked on', again: ['drains', 'slow', 'self-start'] },
  element: { name: 'The electric set opened', again: ['electric'] }
} as const satisfies Readonly<Record<string, Work>>;
export type WorkKey = keyof typeof works;
const all: Readonly<Record<WorkKey, Work>> = works;
export const workKeys = Object.keys(works) as WorkKey[];

/** By its key, as it is kept. */
export const workName = (key: string): string => all[key as WorkKey]?.name ?? key;

/** What can be done to this engine. */
export const worksOn = (f: FitOut): WorkKey[] => workKeys.filter((k) => (all[k].when?.(f) ?? true) && againFor(k, f).length > 0);

/** What must be proven again of this engine after it. */
export const againFor = (work: WorkKey, f: FitOut): string[] => all[work].again.filter((k) => applies(k, f));

/** What was done between two fit-outs, as far as they tell. */
export const worksBetween = (before: FitOut, after: FitOut): WorkKey[] =>
  workKeys.filter((k) => {
    const { tells } = all[k];
    return tells && canonical(tells(before)) !== canonical(tells(after)) && againFor(k, after).length > 0;
  });

/** Whether a day’s runs have measured the pair by this burner: water that went, beside what was expected. One that was only lit and put out has not. */
export const measuresPair = (runs: readonly Pick<RunFact, 'burner' | 'factor'>[], burner: string): boolean =>
  runs.some((r) => r.burner === burner && r.factor !== undefined);

/** What was done, as it is kept. */
export interface Done {
  readonly id: string;
  readonly work: string;
  readonly text: string;
  /** What had to be proven again, as the engine was then. */
  readonly again: readonly string[];
  /** ISO. */
  readonly at: string;
  /** By the club’s clock, ISO. */
  readonly day: string;
  readonly by: string;
}
/** Something that was proven: when, and whether by its own arithmetic it is as it should be. */
export interface Made {
  readonly proof: string;
  readonly at: string;
  readonly good: boolean;
}

/** What is still to be proven of each thing that was done: by the newest proof since, for one that was not good is not made good by an older. */
export const stillAgain = (done: readonly Done[], made: readonly Made[]): readonly (Done & { readonly left: readonly string[] })[] =>
  done.flatMap((d) => {
    const left = d.again.filter((key) => {
      const since = made.filter((m) => m.proof === key && m.at > d.at);
      return !since.find((m) => since.every((x) => x.at <= m.at))?.good;
    });
    return left.length ? [{ ...d, left }] : [];
  });

/** In a sentence, for whoever would run it with others. */
export const againWords = ({
  work,
  left,
  day
}: {
  readonly work: string;
  readonly left: readonly string[];
  readonly day: string;
}): string =>
  `To be proven again: ${left.map((k) => proofName(k).toLowerCase()).join(', ')} (${workName(work).toLowerCase()}, ${dayWords(day)})`;
