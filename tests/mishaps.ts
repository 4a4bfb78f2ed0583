import { gaugeOf, waterAtGlass } from '../src/core/boiler';
import { patterns } from '../src/core/engine';
import type { Log } from '../src/core/log';
import { psi } from '../src/core/units';
import { type Told, toldBy, watching } from '../src/core/watch';
import { type Day, dayOf, type Otherwise } from './watched';

/** MISHAPS: what goes wrong, on which engines, which rule should be the first to say so, and by when. */
export interface Mishap {
  readonly key: string;
  readonly what: string;
  readonly engines: readonly string[];
  readonly other: (name: string) => Otherwise;
  readonly right: readonly string[];
  /** How late it may be said, min after it began. */
  readonly within: number;
  /** It may not come about: it is counted from where it shows. */
  readonly shows?: true;
  /** Looked at once, after the rules were settled: nothing was tuned on it. */
  readonly apart?: true;
}

const fed = ['Little Bittern', 'Snipe', 'Marsh Hen', 'Peat Presser'] as const;
const lubricated = ['Little Bittern', 'Marsh Hen', 'Snipe'] as const;

export const mishaps: readonly Mishap[] = [
  {
    key: 'spiral',
    what: 'Blower full on a fire that has gone thin: water and pressure go up the chimney together',
    engines: ['Little Bittern', 'Snipe'],
    right: ['spiral'],
    within: 15,
    other: () => ({
      after: [15, 30],
      keeps: 0.65,
      ready: ({ level, feeding }) => level() > 0.55 && !feeding,
      omits: new Set(['feed', 'blower']),
      stands: true,
      lasts: 25,
      says: (d) => d.write('valve', { valve: 'blower', open: 1 }),
      forces: ({ set, w }) => {
        Object.assign(set, { blower: 1, damper: 0.12 });
        if ('fresh' in w.fire) Object.assign(w.fire, { fresh: 0, lit: Math.min(w.fire.lit, 0.02 * w.contents.water) });
      }
    })
  },
  {
    key: 'valve',
    what: 'A safety valve of far too little area, the fire left fierce',
    engines: fed,
    right: ['over pressure', 'no lift', 'early lift'],
    within: 15,
    shows: true,
    other: () => ({
      after: [10, 20],
      omits: new Set(['lift', 'feed']),
      keeps: 0.6,
      ready: ({ level, w, plant }) => level() > 0.5 && gaugeOf(w) > 0.85 * plant.held,
      lasts: 40,
      stands: true,
      says: ({ plant }) => plant.valves.forEach((v) => Object.assign(v, { area: 0.01 * v.area })),
      forces: (d) => {
        Object.assign(d.set, { damper: 1, blower: 0.9 });
        if (gaugeOf(d.w) > 1.03 * d.plant.valves[0]!.set) d.shown ??= d.now;
      }
    })
  },
  {
    key: 'injector',
    what: 'A feed that has knocked off, and is believed to feed',
    engines: fed,
    right: ['feed fails'],
    within: 8,
    other: () => ({
      after: [10, 20],
      lasts: 20,
      ready: (d) => !d.feeding && d.level() > d.fitOut.levels.lowest + 0.12,
      omits: new Set(['feed']),
      says: (d) => {
        const index = d.plant.feeds.findIndex((f) => !f.turning && f.from < gaugeOf(d.w) - psi(5));
        const name = d.plant.feeds[index]!.name;
        d.feeding = { name, index, since: d.now, until: Infinity };
        d.look();
        d.write('feed', { feed: name, on: true, to: 'boiler' });
        d.nextLook = d.now + 100_000;
      },
      forces: ({ set }) => Object.assign(set, { feeds: set.feeds.map(() => 0) })
    })
  },
  {
    key: 'cock',
    what: 'A cock of the glass shut after it was blown through: it shows what it showed',
    engines: fed,
    right: ['glass still'],
    within: 60,
    other: () => {
      let stood: number | undefined;
      return {
        after: [10, 20],
        ready: ({ level }) => level() > 0.5,
        lasts: 60,
        keeps: 0.62,
        omits: new Set(['feed']),
        glass: (_, level) => (stood ??= Math.min(0.7, level))
      };
    }
  },
  {
    key: 'clack',
    what: 'A clack passing back while it stands',
    engines: fed,
    right: ['falling'],
    within: 20,
    other: () => ({
      after: [10, 20],
      omits: new Set(['feed', 'blower']),
      stands: true,
      lasts: 25,
      keeps: 0.65,
      ready: ({ level, feeding }) => level() > 0.55 && !feeding,
      says: (d) => {
        d.write('valve', { valve: 'blower', open: 0 });
        d.write('observation', { seen: 'standing by' });
      },
      forces: ({ set, plant, w, level }) => {
        Object.assign(set, { blower: 0, damper: 0.3 });
        // About two hundredths of the glass in a minute.
        if (level() > 0.05) {
          const glass = waterAtGlass(plant.vessel, 1, w.contents.T) - waterAtGlass(plant.vessel, 0, w.contents.T);
          const goes = (0.02 / 60) * 2 * glass * 900;
          w.contents.water -= goes;
          w.contents.energy -= goes * 6.5e5;
        }
      }
    })
  },
  {
    key: 'plug',
    what: 'The plug left in the second bore as it moves off',
    engines: ['Little Bittern'],
    right: ['plug'],
    within: 20,
    other: () => ({ after: [0, 0.01], lasts: 20, omits: new Set(['plug']) })
  },
  {
    key: 'packed',
    what: 'A fire that is packed and hardly draws while it is raised',
    engines: ['Little Bittern', 'Snipe', 'Marsh Hen'],
    right: ['stalled'],
    within: 60,
    other: () => ({ ofRaising: true, after: [5, 6], lasts: 90, forces: ({ set }) => Object.assign(set, { damper: 0 }) })
  },
  {
    key: 'flame',
    what: 'A gas flame lost at work',
    engines: ['Old Scoop'],
    right: ['flame lost'],
    within: 0.1,
    other: () => ({
      after: [10, 30],
      lasts: 5,
      says: (d) => d.write('flame', { burner: 'Right burner', is: 'lost' }),
      forces: ({ w }) => {
        if (!('fresh' in w.fire)) Object.assign(w.fire, { on: false });
      }
    })
  },
  {
    key: 'tank',
    what: 'A tank that nobody fills',
    engines: ['Little Bittern', 'Snipe'],
    right: ['tank'],
    within: 360,
    other: () => ({ after: [0, 0.01], lasts: 360, omits: new Set(['tank']) })
  },
  {
    key: 'lubricator',
    what: 'A lubricator that nobody fills',
    engines: lubricated,
    right: ['lubricator'],
    within: 240,
    other: () => ({ after: [0, 0.01], lasts: 200, omits: new Set(['oil']) })
  },
  {
    key: 'large feed',
    what: 'A feed far too large, left on over the ceiling',
    engines: fed,
    right: ['high'],
    within: 15,
    other: () => ({
      after: [10, 20],
      lasts: 20,
      ready: (d) => !d.feeding,
      says: (d) => {
        d.plant.feeds.forEach((f) => Object.assign(f, { rate: 3 * f.rate }));
        const index = d.plant.feeds.findIndex((f) => !f.turning && f.from < gaugeOf(d.w) - psi(5));
        const name = d.plant.feeds[index]!.name;
        d.feeding = { name, index, since: d.now, until: d.now + 12 * 60_000 };
        d.look();
        d.write('feed', { feed: name, on: true, to: 'boiler' });
        d.nextLook = d.now + 100_000;
      }
    })
  },
  {
    key: 'gone',
    what: 'The keeper gone, and nothing entered',
    engines: [...fed, 'Eelcatcher', 'Old Scoop'],
    right: ['keeper gone', 'glance', 'may be low'],
    within: 60,
    other: () => ({ after: [10, 30], lasts: 60, omits: new Set(['all']) })
  },
  {
    key: 'siphon',
    what: 'The siphon of the gauge choked: the needle stands, and a thermometer goes on',
    engines: ['Marsh Hen', 'Peat Presser'],
    right: ['thermometer'],
    within: 15,
    apart: true,
    other: () => ({
      after: [10, 20],
      lasts: 15,
      says: (d) => {
        d.write('reading', { temperature: Math.round(d.w.contents.T) });
        d.write('reading', { pressure: Math.round((0.55 * gaugeOf(d.w)) / psi(1)) * psi(1) });
      }
    })
  },
  {
    key: 'drains',
    what: 'Drains left open as it runs',
    engines: fed,
    right: ['drains'],
    within: 45,
    apart: true,
    other: () => ({ after: [5, 10], lasts: 45, says: (d) => d.write('valve', { valve: 'drains', open: 1 }) })
  },
  {
    key: 'low feed',
    what: 'An injector put on under its pressure',
    engines: ['Little Bittern', 'Peat Presser'],
    right: ['feed cannot'],
    within: 6,
    apart: true,
    other: () => ({
      after: [10, 20],
      lasts: 10,
      omits: new Set(['feed']),
      says: (d) => {
        const feed = d.fitOut.feeds.find((f) => f.kind === 'injector')!;
        d.write('reading', { pressure: Math.round((feed.from - psi(8)) / psi(1)) * psi(1) });
        d.write('feed', { feed: feed.name, on: true, to: 'boiler' });
      }
    })
  },
  {
    key: 'heavy',
    what: 'Far harder work than usual, and the glass looked at late',
    engines: ['Little Bittern', 'Snipe'],
    right: ['may be low', 'low', 'glance'],
    within: 30,
    apart: true,
    other: () => ({ after: [5, 10], lasts: 30, omits: new Set(['feed', 'all']) })
  }
];

/** Marks of the clock, that are told once in each run whatever is the matter. */
export const ofTheClock: ReadonlySet<string> = new Set(['half', 'two minutes']);
/** What is said aloud. */
export const aloud = (told: readonly Told[]): Told[] => told.filter((t) => (t.is === 'raised' || t.is === 'worse') && t.rank !== 'note');

export interface Judged {
  readonly engine: string;
  readonly day: Day;
  readonly log: Log;
  /** It came about at all. */
  readonly came: boolean;
  /** The first that was said after it began, and how late, min. */
  readonly first?: Told;
  readonly right: boolean;
  readonly inTime: boolean;
  readonly after?: number;
}

/** What is said after a moment, by a log. */
const saidAfter = (log: Log, from: number, to: number) => aloud(toldBy(watching(log), to)).filter((t) => t.at >= from - 5000);

/**
 * One mishap by one seed: what was said first, and when the rule that it is about spoke. What the same day says without the mishap (its twin by
 * the same seed: a tank due, a lubricator) is no answer to it.
 */
export function judged(m: Mishap, seed: number): Judged {
  const engine = m.engines[seed % m.engines.length]!;
  const { fitOut } = patterns.find((p) => p.fitOut.name === engine)!;
  const other = m.other(engine);
  const day = dayOf(fitOut, seed, 45, other);
  const from = m.shows ? day.shown : day.began;
  if (day.began === undefined || from === undefined) return { engine, day, log: day.log, came: false, right: false, inTime: false };
  const end = Math.min(day.end, from + m.within * 60_000);
  const { after, ofRaising, lasts, keeps } = other;
  const plain = dayOf(fitOut, seed, 45, {
    ...(after ? { after } : {}),
    ...(ofRaising ? { ofRaising } : {}),
    ...(lasts ? { lasts } : {}),
    ...(keeps ? { keeps } : {})
  });
  const anyway = new Set(saidAfter(plain.log, plain.began ?? plain.lit, (plain.began ?? plain.lit) + m.within * 60_000).map((t) => t.key));
  const told = saidAfter(day.log, from, end).filter((t) => m.right.includes(t.key) || !anyway.has(t.key));
  const [first] = told;
  const mine = told.find((t) => t.key === m.right[0]) ?? (m.key === 'valve' || m.key === 'heavy' ? first : undefined);
  return {
    engine,
    day,
    log: day.log,
    came: true,
    ...(first ? { first } : {}),
    right: first !== undefined && m.right.includes(first.key),
    // Before the water was out of sight, or its tank dry, whatever else.
    inTime: mine !== undefined && mine.at < Math.min(day.bare ?? Infinity, day.dry ?? Infinity),
    ...(mine ? { after: (mine.at - from) / 60_000 } : {})
  };
}
