import type { Duty } from '../sums';
import { type Plant, plantOf, usualFill } from '../boiler';
import { type FitOut, inSteamAt } from '../engine';
import { ahead, type Band, classHeating, type Heating, startRaise } from '../forecast';
import type { Log } from '../log';
import { type Chapter, chaptersOf } from './chapters';
import { type Figure, figuresOf } from './figures';
import { type Past, pastOf } from './past';
import { type Fit, fitRaising, type Learnt, unreadable } from './raising';
import type { Judged, Learning, Told } from './told';

export interface Learned {
  readonly figures: readonly Figure[];
  readonly heating: Heating;
  readonly raisings: readonly Judged[];
  readonly chapters: readonly Chapter[];
  /** Steamings that the figures come from. */
  readonly from: readonly string[];
  /** How many of the forecasts made at the match held, of how many. */
  readonly score: { readonly held: number; readonly of: number };
}

/** Raisings that an owner's oldest news is worth half of the newest after. */
const halfLife = 8;

/**
 * Where a forecast starts for an engine with a past: the class, moved by what its raisings showed, the newest most; as wide
 * as its days differ. @param fits of the chapter that counts, oldest first
 */
export function heatingFrom(usual: Heating, fits: readonly Fit[], because = ''): Heating {
  if (!fits.length) return usual;
  const weights = fits.map((_, i) => 0.5 ** ((fits.length - 1 - i) / halfLife));
  const counts = weights.reduce((a, w) => a + w, 0);
  const pool = (of: (f: Fit) => Learnt | undefined, prior: number, priorSpread: number, day: number) => {
    const seen = fits.flatMap((f, i) => {
      const l = of(f);
      return l ? [{ ...l, w: weights[i]! / (l.spread ** 2 + day ** 2) }] : [];
    });
    const precision = seen.reduce((a, s) => a + s.w, 0);
    const prior_ = 1 / priorSpread ** 2;
    const value = (prior * prior_ + seen.reduce((a, s) => a + s.w * s.value, 0)) / (prior_ + precision);
    const spread2 = 1 / (prior_ + precision);
    // How days differ: what is usual, until there are enough days to say so.
    const scatter = seen.reduce((a, s) => a + s.w * (s.value - value) ** 2, 0) / Math.max(1e-9, precision);
    const day2 = (4 * day ** 2 + counts * scatter) / (4 + counts);
    return { value, spread: Math.sqrt(spread2 + day2) };
  };
  const heat = pool((f) => f.lnHeat, usual.lnHeat, usual.heatSpread, 0.4 * usual.heatSpread);
  const lag = pool((f) => f.lnLag, Math.log(usual.lag), usual.lagSpread, 0.5 * usual.lagSpread);
  const boost = usual.boostSpread > 0 ? pool((f) => f.lnBoost, usual.lnBoost, usual.boostSpread, 0.75 * usual.boostSpread) : undefined;
  return {
    ...usual,
    lnHeat: heat.value,
    heatSpread: heat.spread,
    lag: Math.exp(lag.value),
    lagSpread: lag.spread,
    ...(boost ? { lnBoost: boost.value, boostSpread: boost.spread } : {}),
    from: `${fits.length === 1 ? 'its last raising' : `its last ${fits.length} raisings`}${because}`,
    raisings: fits.length
  };
}

/** The fits that count for an engine as it is now: those of its last chapter that the owner has not left out. */
export function fitsNow(told: readonly Told[], learning: Learning): Fit[] {
  const from = chaptersOf(told, learning).at(-1)!.from;
  return told
    .filter((t) => t.past.litAt >= from && !learning.leftOut.includes(t.id))
    .flatMap((t) => (t.fit && !unreadable(t.fit) ? [t.fit] : []));
}

/**
 * What is kept of a steaming for learning: its raising, read by itself, and how far the forecast at the match was off. Undefined
 * when there is too little of one. @param earlier fits that the forecast at the match stood on
 */
export function remember(
  log: Log,
  earlier: readonly Fit[] = [],
  duty?: Duty
): { readonly past: Past; readonly fit: Fit; readonly off?: number } | undefined {
  const past = pastOf(log, duty);
  if (!past) return undefined;
  const { fitOut } = log.context;
  const plant = plantOf(fitOut);
  const usual = classHeating(fitOut, plant, { water: past.water, T: past.T, ambient: past.ambient });
  const off =
    past.reached === undefined ? undefined : offBy(expect(plant, heatingFrom(usual, earlier), past, inSteamAt(fitOut)), past.reached);
  return { past, fit: fitRaising(plant, usual, past), ...(off === undefined ? {} : { off }) };
}

/** How far an arrival lies from the middle of its band, as a share of the band's own half on that side; 1 is its edge. */
export const offBy = ({ early, middle, late }: Band, reached: number): number | undefined =>
  late < Infinity
    ? reached < middle
      ? (middle - reached) / Math.max(1, middle - early)
      : (reached - middle) / Math.max(1, late - middle)
    : undefined;

/**
 * What the band is to be multiplied by so that eight in ten of this engine's forecasts would have held: its own score, held
 * back towards 1 until there are enough of them.
 */
export function widthFrom(offs: readonly number[]): number {
  if (!offs.length) return 1;
  const edge = [...offs].sort((a, b) => a - b)[Math.min(offs.length - 1, Math.floor(0.8 * offs.length))]!;
  return Math.min(1.8, Math.max(0.6, (10 + offs.length * edge) / (10 + offs.length)));
}

/** What would have been said at the match. */
function expect(plant: Plant, heating: Heating, past: Past, inSteam: number): Band {
  const { water, T, ambient } = past;
  return ahead(startRaise({ plant, heating, water, T, ambient, litAt: 0 }), [inSteam], {
    far: 9 * 3600
  })[0]!;
}

/**
 * Learns an engine from its past: each raising read by itself, then put together chapter by chapter; each is also judged
 * against what those before it would have led one to expect.
 * @param told oldest first @param progress called with the share that is done
 */
export function learn(fitOut: FitOut, told: readonly Told[], learning: Learning, progress: (share: number) => void = () => {}): Learned {
  const plant = plantOf(fitOut);
  const usual = classHeating(fitOut, plant, { water: usualFill(fitOut, plant, 288), T: 288.15 });
  const chapters = chaptersOf(told, learning);
  const chapterOf = (at: number) => chapters.findLastIndex((c) => c.from <= at);
  const leftOut = new Set(learning.leftOut);
  const judged: Judged[] = [];
  told.forEach(({ id, past, fit }, i) => {
    const chapter = chapterOf(past.litAt);
    const earlier = judged.filter((j) => j.chapter === chapter && !j.leftOut && !j.unreadable).map((j) => j.fit);
    const expected = expect(plant, heatingFrom(usual, earlier), past, inSteamAt(fitOut));
    const { reached } = past;
    const read = fit ?? fitRaising(plant, usual, past);
    const no = unreadable(read);
    judged.push({
      id,
      litAt: past.litAt,
      chapter,
      leftOut: leftOut.has(id),
      fit: read,
      ...(no ? { unreadable: no } : {}),
      expected,
      ...(reached === undefined ? {} : { reached, held: expected.early <= reached && reached <= expected.late })
    });
    progress(((i + 1) / told.length) * 0.8);
  });
  const now = chapters.length - 1;
  const counted = judged.filter((j) => j.chapter === now && !j.leftOut && !j.unreadable);
  const pasts = told.filter((t) => counted.some((j) => j.id === t.id)).map((t) => t.past);
  const chapter = chapters[now]!;
  const heating = heatingFrom(
    usual,
    counted.map((j) => j.fit),
    chapter.from > -Infinity ? ` (${chapter.why})` : ''
  );
  const figures = figuresOf(fitOut, plant, usual, heating, counted, pasts);
  progress(1);
  const scored = judged.filter((j) => j.held !== undefined);
  return {
    figures,
    heating,
    raisings: judged,
    chapters,
    from: counted.map((j) => j.id),
    score: { held: scored.filter((j) => j.held).length, of: scored.length }
  };
}
