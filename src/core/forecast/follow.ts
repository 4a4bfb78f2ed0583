import { feedEnthalpy, type Plant } from '../boiler';
import { inSteamAt } from '../engine';
import { type Event, litAt, type Log } from '../log';
import { showsAt } from '../procedure';
import { demandOf, type Duty, type Used } from '../sums';
import type { Heating } from './heating';
import { type RaiseStart, startRaise } from './begin';
import { charged, copyRaise, fedIn, isHole, opened, puffed, type RaiseFilter } from './cloud';
import { observe } from './weigh';
import { type Start, startOf, stillCold } from './start';
import { plantShown } from './plant-shown';
import type { Fed, Look } from './water';

/** Share of the pressure in steam at which a raise is over: a needle is read no finer. */
const up = 0.99;
/** Events between marks that a late or struck entry is taken up again from. */
const stride = 64;
/** Temperature of the water in a tank, where nothing says otherwise, K. */
export const tankWater = 288.15;

/** A feed that is on: since when, s since 1970, and how much of its rate goes to the boiler. */
interface Feeding {
  readonly from: number;
  readonly part: number;
}

/** What has been taken of a timeline so far. */
interface Taken {
  events: number;
  /** The last event taken: the same object while nothing before it changed. */
  last: Event | undefined;
  reads: number;
  looks: number;
  readonly fed: Fed[];
  readonly feeding: Map<string, Feeding>;
  /** The regulator is known to be shut: a pump on the engine gives nothing. */
  stands: boolean;
  filter: RaiseFilter | undefined;
  /** Readings of the needle since the match. */
  count: number;
  /** What stands open, as holes, CdA in m². */
  open: NonNullable<RaiseStart['open']>;
  /** It has been at working pressure. */
  raised: boolean;
}

/** A steaming followed event by event: what was taken once is not taken again. */
export interface Following {
  readonly plant: Plant;
  readonly heating: Heating;
  readonly day: { readonly water: number; readonly air: number; readonly duty?: Duty } | undefined;
  /** Water that its work takes over an hour, kg/s, until looks say otherwise. */
  readonly uses: number;
  start: Start;
  /** s since 1970, Pa at the gauge. */
  readonly reads: { readonly at: number; readonly value: number }[];
  readonly looks: Look[];
  taken: Taken;
  /** As it stood after so many events, oldest first. */
  marks: Taken[];
}

const none = (): Taken => ({
  events: 0,
  last: undefined,
  reads: 0,
  looks: 0,
  fed: [],
  feeding: new Map(),
  stands: false,
  filter: undefined,
  count: 0,
  open: {},
  raised: false
});
const copyOf = (t: Taken): Taken => ({
  ...t,
  fed: [...t.fed],
  feeding: new Map(t.feeding),
  filter: t.filter && copyRaise(t.filter)
});

/** @param used days whose water was counted: what its work takes is held against them */
export const following = (log: Log, plant: Plant, heating: Heating, day?: Following['day'], used: readonly Used[] = []): Following => ({
  plant: plantShown(plant, log.context.begun?.expects?.feeds),
  heating,
  day,
  uses: demandOf({ fitOut: log.context.fitOut, plant, used }, day?.duty).hour.value,
  start: startOf(log, plant, day),
  reads: [],
  looks: [],
  taken: none(),
  marks: []
});

const seconds = (at: string) => Date.parse(at) / 1000;

/** Takes what is new in a log. An entry that came late or was struck is taken up again from the last mark before it. */
export function follow(f: Following, log: Log): void {
  // What was known at the match does not change by what comes long after it.
  const settled = f.taken.events > 0 && log.events[f.taken.events - 1] === f.taken.last && f.taken.filter !== undefined;
  const late = (e: Event) => seconds(e.at) > f.taken.filter!.litAt + stillCold / 1000;
  const start = settled && log.events.slice(f.taken.events).every(late) ? f.start : startOf(log, f.plant, f.day);
  const sameStart = start.water === f.start.water && start.T === f.start.T && start.ambient === f.start.ambient;
  const stands = (t: Taken) => t.events <= log.events.length && (t.events === 0 || log.events[t.events - 1] === t.last);
  if (!sameStart) {
    // The match was lit with something else than was thought: everything after it is another story.
    f.start = start;
    f.taken = none();
    f.marks = [];
  } else if (!stands(f.taken)) {
    f.marks = f.marks.filter(stands);
    f.taken = f.marks.length ? copyOf(f.marks.at(-1)!) : none();
  }
  f.reads.length = f.taken.reads;
  f.looks.length = f.taken.looks;
  const lit = litAt(log);
  for (let i = f.taken.events; i < log.events.length; i++) {
    take(f, log, log.events[i]!, lit);
    f.taken.events = i + 1;
    f.taken.last = log.events[i];
    f.taken.reads = f.reads.length;
    f.taken.looks = f.looks.length;
    if ((i + 1) % stride === 0 && (f.marks.at(-1)?.events ?? 0) < i + 1) f.marks.push(copyOf(f.taken));
  }
}

function take(f: Following, { context: { fitOut } }: Log, e: Event, lit: string | undefined): void {
  const t = f.taken;
  const at = seconds(e.at);
  if (lit && !t.filter && e.at >= lit)
    t.filter = startRaise({
      plant: f.plant,
      heating: f.heating,
      water: f.start.water,
      T: f.start.T,
      TSpread: f.start.read ? 1.5 : 4,
      ambient: f.start.ambient,
      litAt: seconds(lit),
      open: t.open
    });
  const filter = t.filter && at > t.filter.litAt && !t.raised ? t.filter : undefined;
  if (e.is === 'reading') {
    const { pressure, glass, temperature } = e;
    if (pressure !== undefined) {
      f.reads.push({ at, value: pressure });
      if (filter) {
        observe(filter, at, { kind: 'pressure', value: pressure });
        t.count++;
        if (pressure >= up * inSteamAt(fitOut)) t.raised = true;
      }
    } else if (filter && temperature !== undefined && at > filter.litAt + 900 && temperature < 480)
      observe(filter, at, { kind: 'temperature', value: temperature });
    if (typeof glass === 'number' && (e.glassNumber ?? 1) === 1) f.looks.push({ at, glass, gauge: pressure ?? e.glassAt ?? 0 });
  } else if (e.is === 'seen' && filter) {
    if (e.seen === 'glass moving') observe(filter, at, { kind: 'boils' });
    // The others say less than a needle would, or what a needle has said.
    const share = ['feather', 'simmer', 'whistle note'].includes(e.seen) ? showsAt[e.seen] : undefined;
    if (share !== undefined) observe(filter, at, { kind: 'about', value: fitOut.workingPressure * share });
  } else if (e.is === 'fire') {
    if (filter && e.act === 'fuel on') charged(filter, at);
  } else if (e.is === 'valve' && e.valve === 'regulator') {
    moves(f, at, e.open > 0);
  } else if (e.is === 'valve') {
    if (!isHole(e.valve)) return;
    const area = e.open * f.plant[e.valve];
    const stood = t.open[e.valve] ?? 0;
    if (filter && area === 0 && stood > 0 && t.last?.at === e.at) puffed(filter, at, stood);
    t.open = { ...t.open, [e.valve]: area };
    if (filter) opened(filter, at, e.valve, area);
  } else if (e.is === 'feed') {
    const told = { ...(e.volume === undefined ? {} : { kg: e.volume * 1000 }) };
    if (e.strokes !== undefined) {
      // Told when they were done, and at a stroke a second.
      const rate = feedOf(f, e.feed)?.rate ?? 0;
      fed(
        f,
        { from: at - e.strokes * stroke, to: at, feed: e.feed, rate, ...(e.volume === undefined ? { unsure: unsure.strokes } : {}) },
        told
      );
    } else if (e.on && e.to !== 'tank') {
      const part = e.to === 'both' ? (e.part ?? half) : 1;
      const before = t.feeding.get(e.feed);
      if (before?.part === part) return;
      ended(f, e.feed, at, {});
      t.feeding.set(e.feed, { from: at, part });
    } else if (t.feeding.has(e.feed)) ended(f, e.feed, at, told);
    // Measured in, and nobody said for how long.
    else if (told.kg) fed(f, { from: at - 1, to: at, rate: 0 }, told);
  }
}

/** Of a pump whose bypass is part open and nobody said how far, to the boiler. */
const half = 0.5;
/** A stroke of a hand pump takes about this long, s: the rate of its fit-out is at that. */
const stroke = 1;
/** How far what a feed gave may lie from what it should have given, as a share of it: strokes are of many lengths, a bypass of any opening. */
const unsure = { strokes: 0.25, both: 0.4 } as const;

const feedOf = ({ plant }: Pick<Following, 'plant'>, name: string) => plant.feeds.find((x) => x.name === name);

/** A feed as it runs: nothing of one that must turn while the engine stands. */
function spanOf(f: Following, name: string, { from, part }: Feeding): Fed {
  const feed = feedOf(f, name);
  const rate = feed && !(feed.turning && f.taken.stands) ? feed.rate * part : 0;
  return { from, feed: name, rate, ...(part < 1 ? { unsure: unsure.both } : {}) };
}

function fed(f: Following, span: Fed & { readonly to: number }, { kg = span.rate * (span.to - span.from) }: { kg?: number } = {}): void {
  const { filter } = f.taken;
  f.taken.fed.push({ ...span, rate: kg / Math.max(1, span.to - span.from) });
  if (filter && span.to > filter.litAt && !f.taken.raised) fedIn(filter, span.to, kg, feedEnthalpy(tankWater));
}

/** A feed is off, or gives otherwise from now on: what it gave until then is told. */
function ended(f: Following, name: string, at: number, told: { kg?: number }): void {
  const feeding = f.taken.feeding.get(name);
  if (!feeding) return;
  fed(f, { ...spanOf(f, name, feeding), to: at }, told);
  f.taken.feeding.delete(name);
}

/** The engine was set going, or stopped: the pumps on it with it. */
function moves(f: Following, at: number, going: boolean): void {
  const { taken } = f;
  if (taken.stands === !going) return;
  for (const [name, feeding] of [...taken.feeding])
    if (feedOf(f, name)?.turning) {
      ended(f, name, at, {});
      taken.feeding.set(name, { ...feeding, from: at });
    }
  taken.stands = !going;
}

/** Feeds as spans, s since 1970, those that are on among them. */
export const fedOf = (f: Following): Fed[] => [...f.taken.fed, ...[...f.taken.feeding].map(([name, feeding]) => spanOf(f, name, feeding))];
