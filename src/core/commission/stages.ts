import { type FitOut, mayAccumulate } from '../engine';
import { type Cells, cellsLeft, leftWords } from './matrix';
import { type Condition, fittingsOf } from './fittings';
import type { OccasionKey } from './occasions';
import { registerOf, type Place } from './register';
import { judgedWords, judgeSweep, notSwept, type Swept } from './sweep';
import { rigWords, type Rigs } from './rigs';

/** THE STAGES OF A BUILD: an engine may exist before it has a boiler. Each stage is passed by evidence, and by nothing else. */

/** What there is of it when its build begins. */
export const builtAs = {
  chassis: 'a chassis, no boiler yet',
  boiler: 'a boiler alone',
  parts: 'a plant in parts',
  whole: 'all of it, put together'
} as const;
export type BuiltAs = keyof typeof builtAs;

/** All that a build is judged by. */
export interface BuildFacts {
  readonly fitOut: FitOut;
  readonly has: BuiltAs;
  /** Of what was worked on since it began and is signed, the oldest first. */
  readonly sessions: readonly {
    readonly id: string;
    readonly occasion: OccasionKey;
    readonly endedAt: string;
    readonly accumulation?: 'stayed under' | 'over' | 'too close';
  }[];
  readonly cells: Cells;
  readonly swept: readonly Swept[];
  readonly own: readonly Place[];
  readonly rigs: Rigs;
  /** Worksheets of it since it began, the newest first. */
  readonly sheets: readonly { readonly id: string; readonly sheet: string; readonly verdict: string; readonly signedBy: string | null }[];
  /** Open faults. */
  readonly faults: readonly { readonly text: string; readonly forbids: string }[];
  /** Kinds of paper that are in date. */
  readonly papers: readonly string[];
  /** Stages that are left out, and why. */
  readonly skipped: Readonly<Partial<Record<StageKey, { readonly reason: string; readonly by: string; readonly at: string }>>>;
}

export const stageKeys = ['air', 'borrowed', 'hydraulic', 'first', 'engine', 'run in', 'ticketed'] as const;
export type StageKey = (typeof stageKeys)[number];

interface Stage {
  readonly name: string;
  readonly proves: string;
  readonly cannot: string;
  /** May be left out, with a reason. */
  readonly optional?: true;
  readonly lacks: (facts: BuildFacts) => string[];
}

const did = ({ sessions }: BuildFacts, ...of: readonly OccasionKey[]) => sessions.some((s) => of.includes(s.occasion));

/** What of the matrix is left in a condition, in words. */
function untouched({ fitOut, cells }: BuildFacts, of: 'boiler' | 'chassis' | 'both', condition: Condition): string[] {
  const left = cellsLeft(
    fittingsOf(fitOut).filter((f) => of === 'both' || f.of === of),
    cells,
    [condition]
  );
  const bad = left.filter((l) => l.how === 'not good');
  const not = left.filter((l) => l.how === 'untested');
  return [...(bad.length ? [`Not good ${leftWords(bad)}.`] : []), ...(not.length ? [`Not touched ${leftWords(not)}.`] : [])];
}

const accumulations = {
  over: 'The last accumulation test went over its limit.',
  'too close': 'The last accumulation test was too close to call: it is not passed.',
  none: 'No accumulation test has been run.'
} as const;

const stopping = ({ fitOut, swept, own }: BuildFacts): string[] =>
  judgeSweep(registerOf(fitOut, own), swept)
    .filter((j) => j.stops)
    .map((j) => `${j.place}: ${judgedWords(j, fitOut.workingPressure)}. It means stop.`);

export const stages: Readonly<Record<StageKey, Stage>> = {
  air: {
    name: 'On air',
    proves: 'that it turns over both ways by itself, that the events are about right, what binds, what blows past.',
    cannot: 'Air is cold and dry: it says nothing of glands and rings when hot, of lubrication by steam, of water in the cylinders.',
    optional: true,
    lacks: (facts) => [...(did(facts, 'air') ? [] : ['No signed session on air.']), ...untouched(facts, 'chassis', 'air')]
  },
  borrowed: {
    name: 'On borrowed steam',
    proves: 'glands, rings, drains and lubrication hot, and what grows tight when it is warm.',
    cannot: 'Its own boiler, feeds and fire have shown nothing yet, and a hose throttles: no power is judged on it.',
    optional: true,
    lacks: (facts) => [...(did(facts, 'borrowed') ? [] : ['No signed session on borrowed steam.'])]
  },
  hydraulic: {
    name: 'Boiler hydraulic',
    proves: 'that the boiler held cold water at the pressure that its rules ask for, for as long as they ask, as witnessed.',
    cannot: 'Cold water says nothing of heat: stays, plates and joints move when it is hot.',
    lacks: ({ sheets }) => {
      // The newest counts: one that was not within is not made good by an older one that was.
      const last = sheets.find((s) => s.sheet === 'hydraulic');
      if (!last) return ['No hydraulic worksheet since the build began.'];
      if (last.verdict !== 'within') return ['The last hydraulic worksheet is not within the rules by its own arithmetic.'];
      return last.signedBy ? [] : ['The last hydraulic worksheet waits for the examiner’s signature.'];
    }
  },
  first: {
    name: 'Boiler first steaming',
    proves: 'what leaks hot and at which pressure, that valves lift and pass all that the fire makes, that the feeds feed.',
    cannot: 'Nothing under load, and a new boiler froths: water carried over in the first steamings is no fault of the level.',
    lacks: (facts) => {
      const { fitOut, sessions, swept, own } = facts;
      // As with a worksheet, the newest counts.
      const tested = sessions.findLast((s) => s.accumulation)?.accumulation;
      if (!did(facts, 'first')) return ['No signed first steaming.'];
      const left = notSwept(
        registerOf(fitOut, own)
          .filter((p) => p.of === 'boiler')
          .map((p) => p.name),
        swept,
        fitOut.workingPressure
      );
      return [
        ...(left.length ? [`Not swept at working pressure: ${left.join(', ').toLowerCase()}.`] : []),
        ...stopping(facts),
        ...(mayAccumulate(fitOut) && tested !== 'stayed under' ? [accumulations[tested ?? 'none']] : [])
      ];
    }
  },
  engine: {
    name: 'Engine in steam',
    proves: 'every control and fitting of the whole engine, touched in its own steam.',
    cannot: 'Standing in steam is not running with a load behind it.',
    lacks: (facts) => [...untouched(facts, 'both', 'cold'), ...untouched(facts, 'both', 'steam'), ...stopping(facts)]
  },
  'run in': {
    name: 'Run in',
    proves: 'feeds, brakes, drains and cylinders under load, and joints that keep after two heats.',
    cannot: 'It is not yet fit for passengers by that: the certificate is the examiner’s.',
    lacks: (facts) => {
      const ran = facts.sessions.filter((s) => s.occasion === 'running').length;
      return [
        ...(ran < 2
          ? [ran === 1 ? 'Run and signed once: it is run in after two.' : 'Not run and signed yet: it is run in after two.']
          : []),
        ...untouched(facts, 'both', 'load')
      ];
    }
  },
  ticketed: {
    name: 'Ticketed',
    proves: 'that its certificate is in the book and in date.',
    cannot: 'A paper says what was seen on its day.',
    lacks: ({ papers, faults, rigs }) => [
      ...(papers.some((p) => /boiler|hydraulic|steam test/i.test(p)) ? [] : ['No boiler certificate in date is in its papers.']),
      ...faults.filter((f) => f.forbids === 'steaming').map((f) => `Open fault: ${f.text}.`),
      ...Object.values(rigs).map((r) => `The ${rigWords(r)} is still on.`)
    ]
  }
};

/** Stages of one: a boiler alone is not turned on air, a plant in parts may be. */
const before: Record<BuiltAs, readonly StageKey[]> = {
  chassis: stageKeys,
  parts: stageKeys,
  whole: stageKeys,
  boiler: stageKeys.filter((s) => s !== 'air' && s !== 'borrowed')
};

export interface StageStands {
  readonly key: StageKey;
  readonly name: string;
  readonly proves: string;
  readonly cannot: string;
  readonly optional: boolean;
  readonly is: 'passed' | 'left out' | 'open';
  readonly lacks: readonly string[];
  readonly why?: string;
}

/** How each stage of a build stands, by evidence. */
export const buildStands = (facts: BuildFacts): StageStands[] =>
  before[facts.has].map((key) => {
    const { name, proves, cannot, optional = false, lacks } = stages[key];
    const lacking = lacks(facts);
    const skip = optional ? facts.skipped[key] : undefined;
    return {
      key,
      name,
      proves,
      cannot,
      optional,
      is: !lacking.length ? 'passed' : skip ? 'left out' : 'open',
      lacks: lacking,
      ...(lacking.length && skip ? { why: `${skip.reason} (${skip.by})` } : {})
    };
  });

/** What each occasion waits for. */
const asks: Partial<Record<OccasionKey, readonly StageKey[]>> = {
  borrowed: ['air'],
  first: ['hydraulic'],
  'steam test': ['hydraulic'],
  running: ['hydraulic', 'first']
};

/** What of a build bars an occasion, in words; none when nothing does. @param open public running */
export const buildBars = (stands: readonly StageStands[], occasion: OccasionKey, open: boolean): string[] => {
  const wanted = open ? stageKeys : (asks[occasion] ?? []);
  return stands
    .filter((s) => wanted.includes(s.key) && s.is === 'open')
    .map((s) => `Build, ${s.name.toLowerCase()}: ${s.lacks.slice(0, 2).join(' ')}`);
};

/** What is not to be fitted yet, because it would hide what leaks: the part, and the place. */
export const buries = ({
  fitOut,
  own,
  swept
}: Pick<BuildFacts, 'fitOut' | 'own' | 'swept'>): { readonly part: string; readonly place: string; readonly how: string }[] => {
  const register = registerOf(fitOut, own);
  return judgeSweep(register, swept).flatMap((j) => {
    const part = register.find((p) => p.name === j.place)!.buriedBy;
    return part && j.by.at(-1)!.is !== 'dry' ? [{ part, place: j.place, how: judgedWords(j, fitOut.workingPressure) }] : [];
  });
};
