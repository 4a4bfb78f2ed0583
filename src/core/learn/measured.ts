import type { Plant } from '../boiler';
import { fedOf, follow, following, noHeating, waterIn } from '../forecast';
import { type Begun, lapsOf, type Log, type Measured, openFor, upAt } from '../log';
import { psi } from '../units';
import { leastSquares } from './squares';

/** WHAT HANDS HAVE MEASURED on a day, kept for the days after: what each feed gives, how long things take, what a lap takes. */

/** Error of a look, of the glass, with what bubbles and slope add; and what the use of a moment lies off that of the day, as a share. */
const [look, work] = [0.045, 0.35];
/** What a feed gives over what its fit-out says, and the day's use of water over the usual, before anything was seen; as logarithms. */
const [feedDoubt, useDoubt] = [0.3, 0.6];
/** Looks further apart than this say nothing of a feed, s. */
const apart = 20 * 60;

/**
 * What each feed gave, as a share of what its fit-out says, with its spread (of its logarithm): from the glass between looks, where the
 * engine's own use is told apart by what fell while nothing fed. Of feeds that were on for little no more is said than was known.
 */
function gaveIn(log: Log, plant: Plant, usual: number): NonNullable<Measured['feeds']> {
  const up = upAt(log);
  if (!up || !plant.vessel.glass) return {};
  const f = following(log, plant, noHeating);
  follow(f, log);
  const { outAt } = log.state.fire;
  const [from, to] = [Date.parse(up) / 1000, outAt ? Date.parse(outAt) / 1000 : Infinity];
  const looks = f.looks.filter((l) => l.at >= from && l.at <= to && l.gauge > psi(5));
  const spans = fedOf(f);
  const names = [...new Set(spans.flatMap((s) => (s.feed && s.rate > 0 ? [s.feed] : [])))];
  if (!names.length || looks.length < 4) return {};
  // Standing, its blower and its leaks take about a tenth of what it makes.
  const stands = 0.1 * plant.ratedSteam;
  const whole = waterIn(plant, { ...looks[0]!, glass: 1 }) - waterIn(plant, { ...looks[0]!, glass: 0 });
  const rows = looks.slice(1).flatMap((b, i) => {
    const a = looks[i]!;
    const time = b.at - a.at;
    if (time < 20 || time > apart) return [];
    const fed = names.map((name) =>
      spans.reduce((sum, s) => sum + (s.feed === name ? s.rate * Math.max(0, Math.min(b.at, s.to ?? b.at) - Math.max(a.at, s.from)) : 0), 0)
    );
    const open = openFor(log.events, a.at * 1000, b.at * 1000) / 1000;
    const error = Math.hypot(look * whole * Math.SQRT2, work * (usual * open + stands * (time - open)));
    return [{ open, shut: time - open, fed, rose: waterIn(plant, b) - waterIn(plant, a), error }];
  });
  const { x, spread } = leastSquares(
    ([use, idle, ...feeds]) => [
      use! / useDoubt,
      idle! / useDoubt,
      ...feeds.map((g) => g / feedDoubt),
      ...rows.map(
        (r) =>
          (r.rose +
            usual * Math.exp(use!) * r.open +
            stands * Math.exp(idle!) * r.shut -
            r.fed.reduce((sum, kg, i) => sum + kg * Math.exp(feeds[i]!), 0)) /
          r.error
      )
    ],
    [0, 0, ...names.map(() => 0)],
    [0.02, 0.02, ...names.map(() => 0.02)],
    { sure: 2 + names.length }
  );
  return Object.fromEntries(
    names.flatMap((name, i) => {
      const sure = Math.sqrt(spread[i + 2]![i + 2]!);
      // A day that told nothing is no day.
      // The day began with what days before had shown; what is kept is over what the fit-out says.
      const known = log.context.begun?.expects?.feeds?.[name] ?? 1;
      if (!(sure < 0.8 * feedDoubt)) return [];
      // What this day alone has told: what was known before is counted once, over all days.
      const told = 1 / sure ** 2 - 1 / feedDoubt ** 2;
      return [[name, { gave: known * Math.exp(x[i + 2]! / sure ** 2 / told), spread: 1 / Math.sqrt(told) }]];
    })
  );
}

/** @param usual its use of water at work, kg/s */
export function measuredOf(log: Log, plant: Plant, usual: number): Measured | undefined {
  const times: Record<string, number[]> = {};
  for (const e of log.entries) if (e.kind === 'timed' && !log.struck.has(e.id)) (times[e.body.what] ??= []).push(e.body.time);
  const feeds = gaveIn(log, plant, usual);
  const laps = lapsOf(log);
  const lap = laps && laps.times.length >= 3 ? { length: laps.length, time: middle(laps.times) } : undefined;
  const found: Measured = {
    ...(Object.keys(times).length ? { times } : {}),
    ...(Object.keys(feeds).length ? { feeds } : {}),
    ...(lap ? { lap } : {})
  };
  return Object.keys(found).length ? found : undefined;
}

const middle = (of: readonly number[]): number => [...of].sort((a, b) => a - b)[of.length >> 1]!;

type Expects = NonNullable<Begun['expects']>;
/** What is expected of an engine by what hands have measured on its days. */
export type ExpectsMeasured = Pick<Expects, 'feeds' | 'times' | 'lap'>;

/** From day to day a feed gives a little otherwise. */
const daily = 0.08;

/** @param days the newest first */
export function expectsMeasured(days: readonly Measured[]): ExpectsMeasured {
  const feeds: Record<string, number> = {};
  for (const name of new Set(days.flatMap((d) => Object.keys(d.feeds ?? {})))) {
    // Held against what its fit-out says, which is one day's word among them.
    let [weight, sum] = [1 / feedDoubt ** 2, 0];
    for (const d of days) {
      const of = d.feeds?.[name];
      if (!of) continue;
      const w = 1 / (of.spread ** 2 + daily ** 2);
      weight += w;
      sum += w * Math.log(of.gave);
    }
    feeds[name] = Math.exp(sum / weight);
  }
  const times: Record<string, { usual: number; spread: number; of: number }> = {};
  for (const what of new Set(days.flatMap((d) => Object.keys(d.times ?? {})))) {
    const all = days.flatMap((d) => d.times?.[what] ?? []).slice(0, 24);
    const ln = all.map(Math.log);
    const mean = ln.reduce((a, b) => a + b, 0) / ln.length;
    const off = Math.sqrt((0.3 ** 2 + ln.reduce((s, l) => s + (l - mean) ** 2, 0)) / ln.length);
    times[what] = { usual: Math.exp(mean), spread: Math.max(0.1, off), of: all.length };
  }
  const lap = days.find((d) => d.lap)?.lap;
  return {
    ...(Object.keys(feeds).length ? { feeds } : {}),
    ...(Object.keys(times).length ? { times } : {}),
    ...(lap ? { lap } : {})
  };
}

/** Two that were timed are hardly what is usual. */
const enough = 3;

/** What a time means for this engine; nothing before it was timed often enough. @param s */
export function timeMeans(what: string, s: number, expects: ExpectsMeasured | undefined): 'usual' | 'slow' | 'quick' | undefined {
  const of = expects?.times?.[what];
  if (!of || of.of < enough) return undefined;
  const off = Math.log(s / of.usual) / of.spread;
  return off > 2 ? 'slow' : off < -2 ? 'quick' : 'usual';
}
