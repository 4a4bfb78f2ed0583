import { oddities, oddly } from '../demo/raised';
import {
  type Controls,
  filled,
  gaugeOf,
  glassAt,
  keeper,
  type Plant,
  plantOf,
  step as stepBoiler,
  usualFill,
  waterAtGlass,
  type Working
} from '../src/core/boiler';
import { type Chance, chance } from '../src/core/chance';
import type { FitOut } from '../src/core/engine';
import { classHeating, needleSpread } from '../src/core/forecast';
import { add, type Bodies, type Context, type Entry, fold, glassReading, type Kind, type Log } from '../src/core/log';
import { timeOrderedId } from '../src/core/log/id';
import { compose, type Phase } from '../src/core/procedure';
import { isTimed } from '../src/core/sums';
import { psi } from '../src/core/units';
import { countdownOf, glance } from '../src/core/watch';

/**
 * A day in steam as an ordinary keeper logs it, beside what the boiler truly does: from the match through raising, proving and running to the
 * fire out. The keeper looks within the interval, reads a needle to a pound or two and a glass to a sixteenth, feeds when it is
 * called for, fires little and often, shuts the regulator at stops, oils and fills in time. A mishap changes one thing of that.
 */

const minute = 60_000;
export const begins = Date.parse('2026-06-13T10:00:00.000Z');
const dt = 2;

type Left = 'feed' | 'oil' | 'tank' | 'plug' | 'all' | 'lift' | 'blower';

/** What may go otherwise on a day. Each hook is asked as the day goes on. */
export interface Otherwise {
  /** The engine as it is, as factors on the model's figures. */
  readonly own?: Readonly<Record<string, number>>;
  /** Of draught while it is raised. */
  readonly damper?: number;
  /** Each step, after the keeper has set what a keeper sets: what is truly otherwise from `at` on. */
  readonly forces?: (d: Daily) => void;
  /** What is read of the glass. */
  readonly glass?: (d: Daily, level: number) => number;
  /** What this keeper leaves undone. */
  readonly omits?: ReadonlySet<Left>;
  /** It stands from then on, its regulator shut. */
  readonly stands?: true;
  /** When it begins, min after the running has begun, or after the match where it is of the raising. */
  readonly after?: readonly [number, number];
  readonly ofRaising?: true;
  /** Nothing of what it uses is known. */
  readonly ofItsOwn?: true;
  /** What has to be so for it to begin. */
  readonly ready?: (d: Daily) => boolean;
  /** Said at that moment. */
  readonly says?: (d: Daily) => void;
  /** Where this keeper keeps the glass; as wanted where left out. */
  readonly keeps?: number;
  /** It goes on for so long after, min. */
  readonly lasts?: number;
}

export interface Daily {
  readonly fitOut: FitOut;
  readonly plant: Plant;
  readonly luck: Chance;
  readonly w: Working;
  readonly set: Controls;
  log: Log;
  /** ms since 1970 */
  now: number;
  /** When the mishap began. */
  began?: number;
  readonly write: <K extends Kind>(kind: K, body: Bodies[K]) => void;
  /** The keeper feeds: which, since when. */
  feeding: { name: string; index: number; since: number; until: number } | undefined;
  readonly level: () => number;
  readonly look: () => void;
  shown?: number;
  /** When its tank was dry, ms since 1970. */
  dry?: number;
  /** When the keeper means to look next, ms since 1970. */
  nextLook: number;
}

export interface Day {
  readonly log: Log;
  readonly began?: number;
  /** ms in steam */
  readonly lit: number;
  readonly end: number;
  /** True water in the glass at its lowest, and when it was first under the bottom nut. */
  readonly lowest: number;
  readonly bare?: number;
  /** When what went wrong could be seen at all, where that is later. */
  readonly shown?: number;
  readonly dry?: number;
  /** Water that it truly used while it ran, kg/s. */
  readonly uses: number;
}

const once = <T>(make: (f: FitOut) => T) => {
  const made = new Map<FitOut, T>();
  return (f: FitOut): T => made.get(f) ?? made.set(f, make(f)).get(f)!;
};
const procedureOf = once((f) => compose(f));
const usualHeat = once((f) => classHeating(f, plantOf(f), { water: usualFill(f, plantOf(f)), T: 288.15 }).lnHeat);
/** As its days have shown by glass and feeds: what an ordinary one took. */
const usualUse = once((f) => dayOf(f, 777, 90, { ofItsOwn: true }).uses);
const aSixteenth = (x: number) => Math.round(x * 16) / 16;

/** @param minutes of running */
export function dayOf(fitOut: FitOut, seed: number, minutes: number, other: Otherwise = {}): Day {
  const luck = chance(seed);
  const odd = oddities(luck, fitOut);
  const factors = Object.fromEntries(
    [...new Set([...Object.keys(odd), ...Object.keys(other.own ?? {})])].map((k) => [k, (odd[k] ?? 1) * (other.own?.[k] ?? 1)])
  );
  const plant = plantOf(fitOut, oddly(fitOut, factors));
  const air = 283 + luck.between(0, 12);
  const w = filled(plant, { water: usualFill(fitOut, plant, air) * luck.between(0.98, 1.06), T: air, ambient: air, air: luck.next() });
  const filledWith = w.contents.liquid;
  const habits = { look: luck.between(15, 30), ...(other.damper ? { damper: other.damper } : {}) };
  const k = keeper(plant, habits);
  // It has been raised and worked before: what it usually gives and takes is in the book.
  const heat = Math.exp(usualHeat(fitOut));
  const begun = {
    public: false,
    feedsAsked: 2,
    faults: [],
    papers: [],
    expects: { heat, ...(other.ofItsOwn ? {} : { uses: usualUse(fitOut) }) }
  };
  const context: Context = { fitOut, procedure: procedureOf(fitOut), keeper: 'Wenna', begun };
  const kept = other.keeps ?? fitOut.levels.wanted;
  const timed = isTimed(fitOut);
  /** Left undone from the mishap on; a plug from the first. */
  const omits = { has: (what: Left) => (d.began !== undefined || what === 'plug') && (other.omits?.has(what) ?? false) };
  const d: Daily = {
    fitOut,
    plant,
    luck,
    w,
    set: k.set,
    log: fold(context, []),
    now: begins,
    feeding: undefined,
    look: () => look(),
    nextLook: begins + 60_000,
    level: () => glassAt(plant.vessel, w.contents.liquidVolume, w.contents.T),
    write: (kind, body) => {
      if (omits.has('all')) return;
      d.now += Math.round(luck.between(400, 2500));
      const id = timeOrderedId(d.now, luck.bytes(10));
      d.log = add(d.log, { id, kind, at: new Date(d.now).toISOString(), by: 'Wenna', source: 'person', body } as Entry);
    }
  };
  const { write } = d;
  const round = psi(fitOut.workingPressure < psi(50) ? 0.5 : 1);
  const needle = () => Math.max(0, Math.round((gaugeOf(w) + luck.normal() * 0.35 * needleSpread(gaugeOf(w))) / round) * round);
  const glassSeen = (): Bodies['reading']['glass'] => {
    const level = other.glass && d.began !== undefined ? other.glass(d, d.level()) : d.level();
    return level < -0.01
      ? 'bottom nut'
      : level > 1.01
        ? 'top nut'
        : Math.min(0.97, Math.max(0.02, aSixteenth(level + 0.02 * luck.normal())));
  };
  let tank = 1;
  const holds = fitOut.tanks.reduce((sum, t) => sum + t.capacity, 0) * 1000;
  let lowest = Infinity;
  let bare: number | undefined;

  const look = () => {
    if (!fitOut.gauge && !fitOut.glasses.length) return;
    const glass = fitOut.glasses.length ? glassSeen() : undefined;
    const pressure = fitOut.gauge ? needle() : undefined;
    write('reading', glass === undefined ? { pressure: pressure! } : glassReading(glass, d.log.state, pressure));
    if (pressure !== undefined && !omits.has('lift') && d.w.open.some(Boolean) && !d.log.state.lifts.length)
      write('lift', { valve: 1, lifted: Math.round(fitOut.safetyValves[0]!.set / round) * round });
  };
  const phase = (is: Phase) => write('phase', { phase: is });

  look();
  write('fire', { act: 'light' });
  const lit = d.now;
  phase('Raise');
  if (fitOut.fire.with === 'solid') {
    if (plant.fire.with === 'solid' && plant.fire.passage.fan > 0) write('valve', { valve: 'fan', open: 1 });
    if (fitOut.fire.chimneyBores > 1) write('thing', { thing: 'plug', open: true });
  } else if (fitOut.fire.with === 'gas') for (const b of fitOut.fire.burners) write('flame', { burner: b.name, is: 'heard' });
  const said = { fan: d.set.fan > 0 ? 1 : 0, blower: 0, fuelAt: 0, fresh: 0 };
  let is: 'raise' | 'prove' | 'run' | 'over' = 'raise';
  let runsFrom = Infinity;
  let drawnAt = 0;
  let provenTill = 0;
  let moving = false;
  let turnAt = 0;
  let draw = 0;
  let oilDue = Infinity;
  let mishapAt = other.ofRaising && other.after ? lit + luck.between(...other.after) * minute : Infinity;
  const everyOil = Math.min(
    ...fitOut.lubrication.filter((p) => ['displacement', 'mechanical', 'sight feed'].includes(p.kind)).map((p) => p.every),
    14_400
  );
  let ran = 0;
  const feeds = plant.feeds;

  /** As the keeper turns it, said when it is turned enough to be worth it. */
  const turned = () => {
    if (fitOut.fire.with !== 'solid') return;
    const { fan, blower } = d.set;
    if (fan > 0 !== said.fan > 0) {
      write('valve', { valve: 'blower', open: 0.5 });
      write('valve', { valve: 'fan', open: fan > 0 ? 1 : 0 });
      if (fitOut.fire.chimneyBores > 1 && !omits.has('plug')) write('thing', { thing: 'plug', open: false });
      said.fan = fan;
      said.blower = 0.5;
    }
    const quarter = Math.round(blower * 4) / 4;
    const small = blower > 0 && quarter === 0 ? 0.1 : quarter;
    if (said.fan === 0 && !omits.has('blower') && Math.abs(small - said.blower) >= 0.25) {
      write('valve', { valve: 'blower', open: small });
      said.blower = small;
    }
    const { fire } = w;
    const fresh = 'fresh' in fire ? fire.fresh : 0;
    if (fresh > said.fresh + 1e-6 && d.now - said.fuelAt > 60_000) {
      write('fire', { act: 'fuel on', fuel: fitOut.fire.fuel === 'charcoal' ? 'charcoal' : 'coal' });
      said.fuelAt = d.now;
    }
    said.fresh = fresh;
  };

  const beginFeed = (reading: number) => {
    if (d.feeding || omits.has('feed')) return;
    const able = feeds.map((f, index) => ({ f, index })).filter(({ f }) => f.from < gaugeOf(w) - psi(2) && (!f.turning || moving));
    if (!able.length) return;
    const { f, index } = able[0]!;
    // Until it stands where it is wanted, by what this feed gives.
    const slug = (waterAtGlass(plant.vessel, kept, w.contents.T) - waterAtGlass(plant.vessel, reading, w.contents.T)) * 900;
    const lasts = Math.min(5 * minute, Math.max(0.5 * minute, (Math.max(0, slug) / f.rate) * 1000));
    d.feeding = { name: f.name, index, since: d.now, until: d.now + lasts };
    write('feed', { feed: f.name, on: true, to: 'boiler' });
    d.nextLook = Math.min(d.nextLook, d.now + luck.between(70_000, 110_000));
  };
  const endFeed = () => {
    const on = d.feeding!;
    d.feeding = undefined;
    look();
    write('feed', { feed: on.name, on: false, proven: true });
  };

  const until = lit + 48 * 3600_000;
  while (is !== 'over' && d.now < until) {
    k.tend(w);
    const { set } = d;
    set.feeds = feeds.map((_, i) => (d.feeding?.index === i ? 1 : 0));
    set.turning = moving;
    set.engine = moving ? draw : 0;
    if (is === 'run' || is === 'prove') {
      if (fitOut.fire.with === 'solid') set.blower = moving ? 0 : gaugeOf(w) < 0.85 * plant.held ? 0.6 : 0.1;
    }
    if (d.now >= mishapAt && d.began === undefined && (other.ready?.(d) ?? true)) {
      d.began = d.now;
      if (other.stands) {
        moving = false;
        turnAt = Infinity;
        write('valve', { valve: 'regulator', open: 0 });
      }
      other.says?.(d);
    }
    if (d.began !== undefined) other.forces?.(d);
    // No further than any boiler of ours goes: what is over is taken out of the model, not let out as steam.
    if (gaugeOf(w) > 1.25 * plant.workingPressure) {
      Object.assign(set, { damper: 0, blower: 0 });
      w.contents.energy -= Math.max(0, w.heat) * dt;
    }
    stepBoiler(plant, w, set, dt);
    d.now += dt * 1000;
    tank -= holds ? (feeds.reduce((sum, f, i) => sum + f.rate * set.feeds[i]!, 0) * dt) / holds : 0;
    if (fitOut.glasses.length && is === 'run') {
      const level = d.level();
      lowest = Math.min(lowest, level);
      if (level < 0 && bare === undefined) bare = d.now;
    }
    if ((bare !== undefined && d.now > bare + 3 * minute) || w.contents.liquid < 0.4 * filledWith) is = 'over';
    if (holds && tank <= 0) d.dry ??= d.now;
    if (omits.has('all')) {
      // Nobody is there: it stands as it was left.
      d.feeding = undefined;
      moving = false;
      if (d.now > d.began! + (other.lasts ?? 25) * minute) is = 'over';
      continue;
    }
    turned();
    if (d.feeding && d.now >= d.feeding.until) endFeed();
    if (d.now >= d.nextLook) {
      look();
      const every = Math.min(glance[fitOut.size], d.feeding ? 2 * minute : Infinity, is === 'raise' ? 4 * minute : Infinity);
      d.nextLook = d.now + every * luck.between(0.6, 0.9);
      const level = d.log.state.glass?.value;
      if (typeof level === 'number' && gaugeOf(w) > psi(20) && level < kept - 0.12) beginFeed(level);
    }
    if (is === 'raise' && gaugeOf(w) >= plant.inSteam * 0.99) {
      is = 'prove';
      phase('Prove');
      provenTill = d.now + luck.between(5, 9) * minute;
    } else if (is === 'prove' && d.now >= provenTill && !d.feeding) {
      is = 'run';
      runsFrom = d.now;
      drawnAt = w.books.drawn;
      phase('Run');
      if (holds) write('reading', { tank: (tank = 1) });
      if (Number.isFinite(everyOil)) write('oil', { what: 'oil round' });
      oilDue = 0.8 * everyOil * 1000;
      if (other.after && !other.ofRaising) mishapAt = runsFrom + luck.between(...other.after) * minute;
    } else if (is === 'run') {
      if (moving) ran += dt * 1000;
      // Short of breath it waits until it has made up.
      if (d.now >= turnAt && !moving && gaugeOf(w) < 0.75 * plant.held && fitOut.fire.with === 'solid') turnAt = d.now + minute;
      if (d.now >= turnAt) {
        moving = !moving;
        turnAt = d.now + (moving ? luck.between(6, 14) : luck.between(1.5, 5)) * minute;
        draw = plant.ratedSteam * luck.between(0.35, 0.75) * (fitOut.fire.with === 'electric' ? 0.7 : 1);
        if (!moving && fitOut.fire.with === 'solid') write('valve', { valve: 'blower', open: (said.blower = 0.1) });
        if (fitOut.control !== 'none') write('valve', { valve: 'regulator', open: moving ? aSixteenth(luck.between(0.2, 0.45)) : 0 });
        if (moving && fitOut.fire.with === 'solid' && said.blower > 0) write('valve', { valve: 'blower', open: (said.blower = 0) });
      }
      if (ran >= oilDue && !omits.has('oil') && !moving) {
        write('oil', { what: 'oil round' });
        oilDue = ran + 0.8 * everyOil * 1000;
      }
      if (holds && tank < 0.35 && !moving && !omits.has('tank')) {
        tank = 1;
        write('reading', { tank: 1 });
      }
      const enough = d.began !== undefined ? d.now > d.began + (other.lasts ?? 25) * minute : d.now > runsFrom + minutes * minute;
      if (enough) is = 'over';
    }
    // Over in its time: its keeper has the countdown before them.
    const count = timed ? countdownOf(fitOut, d.log.state) : undefined;
    if (count && 'stop' in count && d.now > count.stop - 45_000) is = 'over';
    if (d.began !== undefined && other.ofRaising && d.now > d.began + (other.lasts ?? 60) * minute) is = 'over';
  }
  if (d.log.state.fire.outAt === undefined && !omits.has('all')) write('fire', { act: 'out' });
  return {
    log: d.log,
    ...(d.began === undefined ? {} : { began: d.began }),
    lit,
    end: d.now,
    lowest,
    ...(bare === undefined ? {} : { bare }),
    ...(d.dry === undefined ? {} : { dry: d.dry }),
    ...(d.shown === undefined ? {} : { shown: d.shown }),
    uses: (w.books.drawn - drawnAt) / Math.max(1, (d.now - runsFrom) / 1000)
  };
}
