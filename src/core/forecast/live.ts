import { feedEnthalpy, type Plant, usualFill, waterAtGlass } from '../boiler';
import { litAt, type Log } from '../log';
import { waterVolume } from '../steam';
import { isLevel, psi } from '../units';
import type { Heating } from './heating';
import { ahead, airOut, type Band, blowerOn, fedIn, observe, type RaiseFilter, runTo, startRaise } from './raise';
import { dip } from './dip';
import { type Fed, glassWhen, type Look, tankOut, waterIn, waterOut } from './water';

/** What can be said of a steaming at a moment. Times in ms since 1970, pressures in Pa at the gauge. */
export interface Live {
  readonly at: number;
  /** While it is raised: to each pressure that was asked for, and to working pressure. */
  readonly gates: readonly { readonly pressure: number; readonly band: Band }[];
  readonly steam?: Band;
  /** Pressure readings that it stands on, and when the last was. */
  readonly readings: number;
  readonly lastReading?: number;
  /** On what it stands, for people to read. */
  readonly on: string;
  /** Why it should not be leaned on, when it should not. */
  readonly unsure?: string;
  /** The glass at its lowest running level, if nothing is fed. */
  readonly water?: Band;
  readonly tank?: Band;
  /** What feeding about a tenth of the water, cold, would cost now. */
  readonly dip?: { readonly kg: number; readonly after: number; readonly recovers: number };
  /** The pressure that goes with it: that at which the glass was last read. */
  readonly pressure?: number;
  /** What the glass will stand at when it has come to working pressure, nothing fed or drawn. */
  readonly hotGlass?: number;
}

/** The usual temperature of a cold boiler where nothing was read, K. */
const usualStart = 286;
/** Share of working pressure at which a raise is over. */
const up = 0.97;

const entriesOf = (log: Log) => log.entries.filter((e) => !log.struck.has(e.id));

/** kg of water and its temperature at the match, K; whether the temperature and the level were read or are the usual ones. */
interface Start {
  readonly water: number;
  readonly T: number;
  readonly ambient: number;
  readonly read: boolean;
  readonly level: boolean;
}

/** What is known at the match: water by the last glass before it or the usual fill, temperature as read or as usual. */
export function startOf(log: Log, plant: Plant, day?: { readonly water: number; readonly air: number }): Start {
  const lit = litAt(log);
  const kept = entriesOf(log);
  const from = lit ? Date.parse(lit) : Infinity;
  const warm = kept.find(
    (e) => e.kind === 'reading' && e.body.temperature !== undefined && e.body.temperature < 373 && Date.parse(e.at) < from + 9e5
  );
  const T = warm?.kind === 'reading' ? warm.body.temperature! : (day?.water ?? usualStart);
  const level = kept.findLast((e) => e.kind === 'reading' && typeof e.body.glass === 'number' && (!lit || e.at <= lit));
  const glass = level?.kind === 'reading' && typeof level.body.glass === 'number' ? level.body.glass : undefined;
  const water =
    glass !== undefined && plant.vessel.glass
      ? waterAtGlass(plant.vessel, glass, T) / waterVolume(T)
      : usualFill(log.context.fitOut, plant, T);
  return { water, T, ambient: day?.air ?? Math.min(T, 303), read: warm !== undefined, level: glass !== undefined };
}

/** Feeds as spans, s since 1970, from what was logged on and off. */
function fedOf(log: Log): Fed[] {
  const rate = new Map(log.context.fitOut.feeds.map((f) => [f.name, f.rate * 1000]));
  const on = new Map<string, number>();
  const out: Fed[] = [];
  for (const e of entriesOf(log)) {
    if (e.kind !== 'feed') continue;
    const at = Date.parse(e.at) / 1000;
    const from = on.get(e.body.feed);
    if (e.body.on && e.body.to !== 'tank') {
      if (from === undefined) on.set(e.body.feed, at);
    } else if (from !== undefined) {
      const kg = e.body.volume === undefined ? undefined : e.body.volume * 1000;
      out.push({ from, to: at, rate: kg === undefined ? (rate.get(e.body.feed) ?? 0) : kg / Math.max(1, at - from) });
      on.delete(e.body.feed);
    }
  }
  for (const [name, from] of on) out.push({ from, rate: rate.get(name) ?? 0 });
  return out;
}

/** A pressure that a needle cannot have: two looks within two minutes that nothing explains. */
function contradiction(reads: readonly { at: number; value: number }[], workingPressure: number): string | undefined {
  const [a, b] = reads.slice(-2);
  if (!a || !b || b.at - a.at > 120) return undefined;
  return Math.abs(b.value - a.value) > 0.3 * workingPressure
    ? `Two readings ${Math.max(1, Math.round((b.at - a.at) / 60))} min apart disagree ({pressure:${Math.round(a.value)}} and {pressure:${Math.round(b.value)}}): read the needle again, and strike the wrong one.`
    : undefined;
}

/**
 * Folds a log into what can be forecast from it.
 * @param gates pressures that steps wait for, rising, Pa @param now ms since 1970
 */
export function live(
  log: Log,
  plant: Plant,
  heating: Heating,
  { now, gates, day }: { now: number; gates: readonly number[]; day?: { readonly water: number; readonly air: number } }
): Live {
  const { fitOut } = log.context;
  const { state } = log;
  const lit = litAt(log);
  const kept = entriesOf(log);
  const seconds = (at: string) => Date.parse(at) / 1000;
  const reads = kept.flatMap((e) =>
    e.kind === 'reading' && e.body.pressure !== undefined ? [{ at: seconds(e.at), value: e.body.pressure }] : []
  );
  const looks = kept.flatMap((e): Look[] =>
    e.kind === 'reading' && typeof e.body.glass === 'number' && (e.body.glassNumber ?? 1) === 1
      ? [{ at: seconds(e.at), glass: e.body.glass, gauge: e.body.pressure ?? e.body.glassAt ?? 0 }]
      : []
  );
  const last = reads.at(-1);
  const base = { at: now, gates: [] as Live['gates'], readings: 0, on: '' };
  if (!lit) return { ...base, on: 'Not lit yet: nothing but what is usual is known.' };
  if (state.fire.outAt) return { ...base, on: 'The fire is out.' };

  // Water is watched from the moment there is steam; the glass before that is only settling.
  const turning = state.phase === 'Run';
  const usual = plant.ratedSteam * (turning ? 0.45 : 0.12);
  const hot = looks.filter((l) => l.gauge > psi(5));
  const water = hot.length ? waterOut(plant, hot, fedOf(log), { now: now / 1000, lowest: fitOut.levels.lowest, usual }) : undefined;
  const capacity = fitOut.tanks.reduce((sum, t) => sum + t.capacity, 0);
  const tank =
    water && turning && capacity && state.tank && isFinite(state.tank.value)
      ? tankOut(now / 1000, Math.max(0, capacity * state.tank.value - (water.rate * (now - Date.parse(state.tank.at))) / 1e6), water)
      : undefined;
  const ms = (b: Band): Band => ({ early: b.early * 1000, middle: b.middle * 1000, late: b.late * 1000, sure: b.sure });
  const glass =
    state.glass && isLevel(state.glass.value) && state.glass.pressure !== null
      ? { glass: state.glass.value, gauge: state.glass.pressure }
      : undefined;
  // A tenth of what is in, from a cold tank, against the fire as it heats on its blower.
  // Nobody feeds a glass that stands over its ceiling.
  const slug =
    glass && glass.gauge > psi(10) && glass.glass < fitOut.levels.ceiling && plant.feeds.length ? waterIn(plant, glass) : undefined;
  const cost =
    slug === undefined
      ? undefined
      : dip(plant, {
          water: slug,
          gauge: glass!.gauge,
          kg: 0.1 * slug,
          feedAt: 288.15,
          heat: Math.exp(heating.lnHeat + (plant.sustains ? heating.lnBoost : 0))
        });
  const watched = {
    ...(cost ? { dip: { kg: 0.1 * slug!, after: cost.after, recovers: cost.recovers }, pressure: glass!.gauge } : {}),
    ...(water ? { water: ms(water) } : {}),
    ...(tank ? { tank: ms(tank) } : {}),
    ...(last ? { lastReading: last.at * 1000 } : {})
  };
  const raisedAt = reads.find((r) => r.at > seconds(lit) && r.value >= up * fitOut.workingPressure);
  if (raisedAt) return { ...base, ...watched, on: 'It has been at working pressure.' };

  const start = startOf(log, plant, day);
  const filter: RaiseFilter = startRaise({
    plant,
    heating,
    water: start.water,
    T: start.T,
    TSpread: start.read ? 1.5 : 4,
    ambient: start.ambient,
    litAt: seconds(lit)
  });
  let count = 0;
  let blowing = false;
  const openedAt = new Map<string, number>();
  for (const e of kept) {
    const at = seconds(e.at);
    if (at <= filter.litAt || at > now / 1000 + 1) continue;
    if (e.kind === 'reading') {
      if (e.body.pressure !== undefined) {
        observe(filter, at, { kind: 'pressure', value: e.body.pressure });
        count++;
      } else if (e.body.temperature !== undefined && at > filter.litAt + 900 && e.body.temperature < 480)
        observe(filter, at, { kind: 'temperature', value: e.body.temperature });
    } else if (e.kind === 'observation') {
      if (e.body.seen === 'glass moving') observe(filter, at, { kind: 'boils' });
      if (['feather', 'simmer', 'whistle note'].includes(e.body.seen))
        observe(filter, at, { kind: 'about', value: fitOut.workingPressure * (e.body.seen === 'whistle note' ? 0.6 : 0.97) });
    } else if (e.kind === 'valve') {
      const on = e.body.open > 0.05;
      if (e.body.valve === 'blower' && on !== blowing) {
        blowing = on;
        blowerOn(filter, at, on);
      }
      if (['whistle', 'vent'].includes(e.body.valve) && on) airOut(filter, at);
    } else if (e.kind === 'feed') {
      const feed = plant.feeds.find((f) => f.name === e.body.feed);
      const from = openedAt.get(e.body.feed);
      if (e.body.on && e.body.to !== 'tank') openedAt.set(e.body.feed, at);
      else if (from !== undefined) {
        fedIn(filter, at, e.body.volume ? e.body.volume * 1000 : (feed?.rate ?? 0) * (at - from), feedEnthalpy(288.15));
        openedAt.delete(e.body.feed);
      }
    }
  }
  const wanted = [...new Set([...gates, fitOut.workingPressure])].sort((a, b) => a - b);
  // Looked ahead from now, not from the last reading: what has not been seen for a while has gone on.
  runTo(filter, Math.max(filter.now, now / 1000));
  const bands = ahead(filter, wanted, { far: 9 * 3600 });
  const found = wanted.map((pressure, i) => ({ pressure, band: ms(bands[i]!) }));
  const steam = found.at(-1)!.band;
  const age = last && last.at > filter.litAt ? now / 1000 - last.at : Infinity;
  const since = now / 1000 - filter.litAt;
  const unsure =
    contradiction(reads, fitOut.workingPressure) ??
    (steam.sure < 0.5
      ? 'By what was read it does not get there: look at draught, door, fuel and water.'
      : count >= 2 && age > 900
        ? `The last reading is ${Math.round(age / 60)} min old: look at the gauge.`
        : count < 2 && since > 600
          ? 'Fewer than two readings since the match: this is what is usual, and an odd day cannot be known yet.'
          : undefined);
  return {
    at: now,
    gates: found,
    steam,
    readings: count,
    ...watched,
    ...(glass ? { hotGlass: glassWhen(plant, glass, fitOut.workingPressure) } : {}),
    on: `${count === 0 ? 'No reading yet' : count === 1 ? 'One reading' : `${count} readings`}, water ${start.read ? 'at the temperature read' : 'taken at the day’s temperature'}, and ${heating.from}.`,
    ...(unsure ? { unsure } : {})
  };
}
