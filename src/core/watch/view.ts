import { type Plant, plantFor } from '../boiler';
import { type Fed, type Look, plantShown, waterIn } from '../forecast';
import type { FitOut } from '../engine';
import type { Context, Event, Log, State, Stood } from '../log';
import { demandOf } from '../sums';
import { isLevel, mark, printGlass, psi } from '../units';
import type { View } from './rule';

/** What was looked at longer ago says nothing of now, ms. */
const window = 45 * 60_000;

export const ms = (at: string): number => Date.parse(at);
export const iso = (at: number): string => new Date(at).toISOString();
export const minute = 60_000;

/** Feeds as spans, s since 1970. What is on and its engine stands gives nothing. */
function fedIn(plant: Plant, recent: readonly Event[], state: State): Fed[] {
  const spans: Fed[] = [];
  const running = new Map<string, { from: number; part: number }>();
  const rateOf = (name: string) => plant.feeds.find((f) => f.name === name)?.rate ?? 0;
  const ends = (name: string, at: number) => {
    const on = running.get(name);
    if (on) spans.push({ from: on.from, to: at, rate: rateOf(name) * on.part });
    running.delete(name);
  };
  for (const e of recent) {
    if (e.is !== 'feed') continue;
    const at = ms(e.at) / 1000;
    ends(e.feed, at);
    if (e.strokes !== undefined) {
      const kg = e.volume === undefined ? rateOf(e.feed) * e.strokes : e.volume * 1000;
      spans.push({ from: at - e.strokes, to: at, rate: kg / Math.max(1, e.strokes) });
    } else if (e.on && e.to !== 'tank') running.set(e.feed, { from: at, part: e.to === 'both' ? (e.part ?? 0.5) : 1 });
  }
  const stands = state.valves.regulator?.open === 0;
  for (const [name, f] of Object.entries(state.feeds)) {
    if (!f.on || f.to === 'tank') continue;
    const feed = plant.feeds.find((x) => x.name === name);
    if (!feed || (feed.turning && stands)) continue;
    spans.push({ from: running.get(name)?.from ?? ms(f.since) / 1000, rate: feed.rate * (f.to === 'both' ? 0.5 : 1) });
  }
  return spans;
}

const plants = new WeakMap<Context, Plant>();
/** Its feeds give what they were seen to give on its days. */
function plantOf(context: Context): Plant {
  let plant = plants.get(context);
  if (!plant) plants.set(context, (plant = plantShown(plantFor(context.fitOut), context.begun?.expects?.feeds)));
  return plant;
}

/** A steaming as it stood, with what the rules look at gathered once. */
export function viewOf(log: Log, { state, events: count, entry }: Stood): View {
  const at = ms(entry.at);
  const { fitOut } = log.context;
  const plant = plantOf(log.context);
  const oldest = iso(at - window);
  let first = count;
  while (first > 0 && log.events[first - 1]!.at > oldest) first--;
  const recent = log.events.slice(first, count);
  const looks: Look[] = [];
  const needle: { at: number; value: number }[] = [];
  for (const e of recent) {
    if (e.is !== 'reading') continue;
    const s = ms(e.at) / 1000;
    if (e.pressure !== undefined) needle.push({ at: s, value: e.pressure });
    if (e.glass !== undefined && (e.glassNumber ?? 1) === 1 && isLevel(e.glass))
      looks.push({ at: s, glass: e.glass, gauge: e.pressure ?? e.glassAt ?? state.pressure?.value ?? 0 });
  }
  return {
    log,
    fitOut,
    plant,
    state,
    at,
    recent,
    // Of a log that is watched from its beginning only the few rules that count over a day want all of it.
    get events() {
      return count === log.events.length ? log.events : log.events.slice(0, count);
    },
    looks,
    needle,
    fed: fedIn(plant, recent, state)
  };
}

/** Of looks or readings, those of the last so many minutes. */
export const lately = <T extends { readonly at: number }>(list: readonly T[], to: number, minutes: number): T[] =>
  list.filter((x) => x.at * 1000 > to - minutes * minute);

/** When a feed last gave the boiler water, s since 1970: Infinity while one does. */
export const fedTill = ({ fed }: View): number => Math.max(0, ...fed.map((f) => f.to ?? Infinity));

/** The engine is known to stand: its regulator is shut, or it has not run yet. */
export const stopped = ({ valves, phase }: State): boolean => (valves.regulator ? valves.regulator.open === 0 : phase !== 'Run');

/** A tenth of its glass up or down about where it stands, as water, kg to a whole glass. */
export const perGlass = (plant: Plant, look: Look): number =>
  10 * (waterIn(plant, { ...look, glass: look.glass + 0.05 }) - waterIn(plant, { ...look, glass: look.glass - 0.05 }));

const used = new WeakMap<FitOut, number>();
/** Water it uses while its regulator is open, kg/s: at the least, so that easy work is not taken for none. */
export const usesOpen = (view: View): number => easy * hourOf(view);
const easy = 0.8;

/** Water it uses as it is worked, kg/s: over the hour while it runs, about a tenth of what it makes while it stands. */
export const usesNow = (view: View): number =>
  view.state.phase !== 'Run' || view.state.valves.regulator?.open === 0 ? 0.1 * view.plant.ratedSteam : hourOf(view);

function hourOf({ fitOut, plant, log }: View): number {
  const shown = log.context.begun?.expects?.uses;
  if (shown) return shown;
  let uses = used.get(fitOut);
  if (uses === undefined) used.set(fitOut, (uses = demandOf({ fitOut, plant }).hour.value));
  return uses;
}

/** What feeds oil by itself while steam is on. */
export const lubricators: ReadonlySet<string> = new Set(['displacement', 'mechanical', 'sight feed']);

/** How long a valve stood open between two moments, s; of the last three quarters of an hour. */
export function openBetween({ recent, state }: View, valve: 'regulator' | 'blower', from: number, to: number): number {
  const moves = recent.filter((e) => e.is === 'valve' && e.valve === valve) as Extract<Event, { is: 'valve' }>[];
  // Before the first that is remembered it stood as that one did not, or as it stands.
  let open = moves[0] ? moves[0].open === 0 : (state.valves[valve]?.open ?? 0) > 0;
  let [at, sum] = [from, 0];
  for (const m of moves) {
    const moved = Math.min(Math.max(ms(m.at) / 1000, from), to);
    if (open) sum += moved - at;
    [at, open] = [moved, m.open > 0];
  }
  return sum + (open ? to - at : 0);
}

/** Looks and readings as evidence: "62 → 55 → 47 psi in 6 min". */
export const needleLine = (needle: View['needle']): string =>
  `${needle.map((n) => mark(n.value, 'pressure')).join(' → ')}${spanOf(needle)}`;
export const glassLine = (looks: readonly Look[]): string => `glass ${looks.map((l) => printGlass(l.glass)).join(' → ')}${spanOf(looks)}`;
const spanOf = (list: readonly { readonly at: number }[]): string =>
  list.length > 1 ? ` in ${mark(list.at(-1)!.at - list[0]!.at, 'time')}` : '';

/** A needle under this is at nothing, Pa at the gauge. */
export const atNothing = psi(3);
export const inSteam = (state: State): boolean => state.fire.litAt !== undefined && state.fire.outAt === undefined;
/** It has its keeper until the pressure is gone, and not until the fire is out. */
export const attended = (state: State): boolean =>
  inSteam(state) || (state.fire.litAt !== undefined && state.pressure !== undefined && state.pressure.value > atNothing);
