import type { Plant } from '../boiler';
import { type FitOut, inSteamAt } from '../engine';
import type { Log, State } from '../log';
import { isLevel, psi } from '../units';
import { fedOf, follow, type Following, following } from './follow';
import type { Heating } from './heating';
import { aheadOf, type Band } from './ahead';
import { copyRaise, runTo } from './cloud';
import { glassWhen, tankOut, waterOut } from './water';

/** What can be said of a steaming at a moment. Times in ms since 1970, pressures in Pa at the gauge. */
export interface Live {
  readonly at: number;
  /** While it is raised: to each pressure that was asked for, and to working pressure. */
  readonly gates: readonly { readonly pressure: number; readonly band: Band }[];
  readonly steam?: Band;
  /** The water boils, while it is not likely to boil already. */
  readonly boils?: Band;
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
  /** What the glass will stand at when it has come to working pressure, nothing fed or drawn. */
  readonly hotGlass?: number;
}

/** A pressure that a needle cannot have: two looks within two minutes that nothing explains. */
function contradiction(reads: readonly { at: number; value: number }[], workingPressure: number): string | undefined {
  const [a, b] = reads.slice(-2);
  if (!a || !b || b.at - a.at > 120) return undefined;
  return Math.abs(b.value - a.value) > 0.3 * workingPressure
    ? `Two readings ${Math.max(1, Math.round((b.at - a.at) / 60))} min apart disagree ({pressure:${Math.round(a.value)}} and {pressure:${Math.round(b.value)}}): read the needle again, and strike the wrong one.`
    : undefined;
}

export interface Asked {
  /** ms since 1970 */ readonly now: number;
  /** Pressures that steps wait for, rising, Pa at the gauge. */
  readonly gates: readonly number[];
}

const ms = (b: Band): Band => ({ early: b.early * 1000, middle: b.middle * 1000, late: b.late * 1000, sure: b.sure });

/** A log folded from its beginning into what can be forecast from it. */
export function live(log: Log, plant: Plant, heating: Heating, asked: Asked & { readonly day?: Following['day'] }): Live {
  const f = following(log, plant, heating, asked.day);
  follow(f, log);
  return liveOf(f, log, asked);
}

/** What can be forecast of a steaming that is being followed. */
export function liveOf(f: Following, { context: { fitOut }, state }: Log, { now, gates }: Asked): Live {
  const { plant, heating, reads, start } = f;
  const { count, raised } = f.taken;
  const last = reads.at(-1);
  const base = { at: now, gates: [] as Live['gates'], readings: 0, on: '' };
  if (!state.fire.litAt) return { ...base, on: 'Not lit yet: nothing but what is usual is known.' };
  if (state.fire.outAt) return { ...base, on: 'The fire is out.' };
  const watched = { ...watchedOf(f, fitOut, state, now), ...(last ? { lastReading: last.at * 1000 } : {}) };
  // Lit by an entry from the future: there is nothing to run ahead from yet.
  if (raised || !f.taken.filter) return { ...base, ...watched, on: 'It has been in steam.' };

  const filter = copyRaise(f.taken.filter);
  const wanted = [...new Set([...gates, inSteamAt(fitOut)])].sort((a, b) => a - b);
  // Looked ahead from now, not from the last reading: what has not been seen for a while has gone on.
  runTo(filter, Math.max(filter.now, now / 1000));
  const { gates: bands, boils } = aheadOf(filter, wanted, 9 * 3600);
  const found = wanted.map((pressure, i) => ({ pressure, band: ms(bands[i]!) }));
  const steam = found.find((g) => g.pressure === inSteamAt(fitOut))!.band;
  const age = last && last.at > filter.litAt ? now / 1000 - last.at : Infinity;
  const since = now / 1000 - filter.litAt;
  const unsure =
    contradiction(reads, fitOut.workingPressure) ??
    (steam.sure < 0.5
      ? doesNotCome[plant.fire.with]
      : count >= 2 && age > 900
        ? `The last reading is ${Math.round(age / 60)} min old: look at the gauge.`
        : count < 2 && since > 600
          ? 'Fewer than two readings since the match: this is what is usual, and an odd day cannot be known yet.'
          : undefined);
  const glass = glassOf(state);
  return {
    at: now,
    gates: found,
    steam,
    ...(boils.middle > filter.now ? { boils: ms(boils) } : {}),
    readings: count,
    ...watched,
    ...(glass ? { hotGlass: glassWhen(plant, glass, inSteamAt(fitOut)) } : {}),
    on: `${count === 0 ? 'No reading yet' : count === 1 ? 'One reading' : `${count} readings`}, water ${start.read ? 'at the temperature read' : 'taken at the day’s temperature'}, and ${heating.from}.`,
    ...(unsure ? { unsure } : {})
  };
}

/** The last look at the glass with the pressure it was taken at. */
const glassOf = ({ glass }: State) =>
  glass && isLevel(glass.value) && glass.pressure !== null ? { glass: glass.value, gauge: glass.pressure } : undefined;

/** Where to look first, of what its kind of fire has. */
const doesNotCome: Record<Plant['fire']['with'], string> = {
  solid: 'By what was read it does not get there: look at draught, door, fuel and water.',
  gas: 'By what was read it does not get there: look at the flame, the canister and the water.',
  spirit: 'By what is known of it the charge burns out before it gets there: look at the flame and how much water is in.',
  electric: 'By what was read it does not get there: look at the switch, the thermostat and what stands open.'
};

/** Water is watched from the moment there is steam; the glass before that is only settling. */
function watchedOf(f: Following, fitOut: FitOut, state: State, now: number): Pick<Live, 'water' | 'tank'> {
  const { plant, looks } = f;
  const turning = state.phase === 'Run';
  // Standing, its blower and its leaks take about a tenth of what it makes.
  const usual = turning ? f.uses : 0.1 * plant.ratedSteam;
  const hot = looks.filter((l) => l.gauge > psi(5));
  const water = hot.length ? waterOut(plant, hot, fedOf(f), { now: now / 1000, lowest: fitOut.levels.lowest, usual }) : undefined;
  const capacity = fitOut.tanks.reduce((sum, t) => sum + t.capacity, 0);
  const tank =
    water && turning && capacity && state.tank && isFinite(state.tank.value)
      ? tankOut(now / 1000, Math.max(0, capacity * state.tank.value - (water.rate * (now - Date.parse(state.tank.at))) / 1e6), water)
      : undefined;
  return {
    ...(water ? { water: ms(water) } : {}),
    ...(tank ? { tank: ms(tank) } : {})
  };
}
