import { energyOf, type Habits, type Plant, raise, type Raising, type Start } from '../boiler';
import type { FitOut } from '../engine';
import type { Tablets } from '../firing';

/**
 * What a fire gives while raising, before anything has been read: heat to the water as a logarithm with its spread, how long
 * it takes to come to that, and what changes when the blower takes over. From the class at first; from the engine's own
 * past once there is one.
 */
export interface Heating {
  /** ln of the heat to the water once the fire has come up, W, and its spread from day to day. */
  readonly lnHeat: number;
  readonly heatSpread: number;
  /** Lag of the fire, s, and its spread as a logarithm; of a charge, how long it takes to come up. */
  readonly lag: number;
  readonly lagSpread: number;
  /** Fuel that burns down by itself: the shares of its time in which it comes up, and dies down. */
  readonly charge?: { readonly up: number; readonly down: number };
  /** ln of heat on the blower over heat on the fan, and its spread. */
  readonly lnBoost: number;
  readonly boostSpread: number;
  /** Wandering of ln heat in a minute. */
  readonly walk: number;
  /** What the band is multiplied by so that eight in ten of past forecasts lay in it: the score, given back. */
  readonly width: number;
  /** Where it comes from, for people to read. */
  readonly from: string;
  /** Past raisings it rests on. */
  readonly raisings: number;
}

/**
 * How far a fire has come up, of its full heat: in equal shrinkings of what is lacking, or, of a charge, evenly up, level, down and out.
 * @param since s after the match, or after the last charge @param lag s
 */
export function comingUp({ charge }: Pick<Heating, 'charge'>, since: number, lag: number): number {
  if (!charge) return 1 - Math.exp(-since / lag);
  const x = (since * charge.up) / lag;
  return Math.max(0, Math.min(1, x / charge.up, (1 - x) / charge.down));
}

/** The mean of that from the match on. @param time s @param lag s */
export function meanComingUp({ charge }: Pick<Heating, 'charge'>, time: number, lag: number): number {
  if (!charge) return 1 - (lag / time) * (1 - Math.exp(-time / lag));
  const { up, down } = charge;
  const whole = lag / up;
  const x = Math.min(1, time / whole);
  const falling = Math.max(0, x - (1 - down));
  return (Math.min(x, up) ** 2 / (2 * up) + Math.max(0, x - falling - up) + falling - falling ** 2 / (2 * down)) * (whole / time);
}

/** Tablets rise over the first fifth of their time and fade over the last; spirit and gel burn level sooner, and to the end. */
const burnsDown = { tablets: { up: 0.2, down: 0.2 }, level: { up: 0.05, down: 0.02 } } as const;

/** A large fire wanders less in a minute than a small one, but for one that is kept to a pace: it is turned up and down all the time. */
const calm: Record<FitOut['size'], number> = { tabletop: 1, small: 1, medium: 0.7, full: 0.5 };

/**
 * Before an engine has shown anything: how far its heat may lie from what its drawing says, how long its fire takes to come to it, what the
 * blower changes, and how the fire wanders in a minute; spreads as logarithms. Wide, as what was drawn from one model of a fire is not
 * known of another's: set on days that another model made (`bench/foreign`, those for fitting).
 */
const doubt: Record<FitOut['fire']['with'], { heat: number; lag: number; lagSpread: number; boost: number; walk: number }> = {
  solid: { heat: 0.27, lag: 100, lagSpread: 0.45, boost: 0.33, walk: 0.06 },
  gas: { heat: 0.24, lag: 65, lagSpread: 0.5, boost: 0, walk: 0.045 },
  // How long a charge burns is known better than how soon a fire takes.
  spirit: { heat: 0.3, lag: 0, lagSpread: 0.2, boost: 0, walk: 0.06 },
  electric: { heat: 0.08, lag: 70, lagSpread: 0.5, boost: 0, walk: 0.015 }
};

/** ln of what the blower makes of the fan's heat: on a healthy engine keepers see the fire brighten and the needle quicken. */
const usualBoost = 0.2;

/** The heat that a raising shows: mean net heat with losses given back, in two parts and its lag. */
export function heatingOf(plant: Plant, raising: Pick<Raising, 'moments'>): { lnHeat: number; lag: number; lnBoost: number } | undefined {
  const { moments } = raising;
  const net = energyGains(plant, raising);
  const fan = net.filter((g) => !g.blower && g.at > 0);
  const blower = net.filter((g) => g.blower);
  const sum = (of: typeof net) => of.reduce((a, g) => a + g.gain, 0);
  const time = (of: typeof net) => of.reduce((a, g) => a + g.dt, 0);
  if (net.length < 3 || moments.length < 4) return undefined;
  // The lag is what the first half of the fan's time fell short by, as a time at full heat.
  const early = fan.length > 4 ? fan : net;
  const late = early.slice(Math.floor(early.length / 2));
  const heat = sum(late) / time(late);
  if (!(heat > 0)) return undefined;
  const lag = Math.min(0.7 * time(early), Math.max(5, time(early) - sum(early) / heat));
  const boost = blower.length > 2 ? Math.log(Math.max(0.1, sum(blower) / time(blower) / heat)) : 0;
  return { lnHeat: Math.log(heat), lag, lnBoost: Math.min(1, Math.max(-1.5, boost)) };
}

/** A charge says its own heat: what it holds over its time, more while it burns level. */
function heatingOfCharge({ charge, burns, efficiency, fades }: Tablets): Pick<Heating, 'lnHeat' | 'lag' | 'charge'> {
  const { up, down } = fades ? burnsDown.tablets : burnsDown.level;
  return { lnHeat: Math.log((charge * efficiency) / burns / (1 - (up + down) / 2)), lag: up * burns, charge: { up, down } };
}

/** What the contents gained between moments, with the losses given back, J. */
function energyGains(plant: Plant, { moments }: Pick<Raising, 'moments'>): { at: number; dt: number; gain: number; blower: boolean }[] {
  const c = { water: moments[0]!.water, air: 0, energy: 0, T: 300, p: 0, liquid: 0, steam: 0, liquidVolume: 0, space: 0 };
  const ambient = moments[0]!.T;
  const energies = moments.map((m) => ((c.T = m.T), energyOf(plant.vessel, c)));
  return moments.slice(1).map((m, i) => {
    const before = moments[i]!;
    const dt = m.time - before.time;
    return {
      at: before.time,
      dt,
      gain: energies[i + 1]! - energies[i]! + plant.vessel.loss * ((m.T + before.T) / 2 - ambient) * dt,
      blower: m.set.blower > 0
    };
  });
}

/**
 * The heating of an engine of which nothing is known but its fit-out: its model brought up by ordinary practice.
 * @param start water and temperatures of the day
 */
export function classHeating(fitOut: FitOut, plant: Plant, start: Start, habits: Habits = {}): Heating {
  const d = doubt[fitOut.fire.with];
  const found =
    plant.fire.with === 'spirit' ? heatingOfCharge(plant.fire) : heatingOf(plant, raise(plant, start, habits, { every: 30, dt: 2 }));
  return {
    ...(found && 'charge' in found ? { charge: found.charge } : {}),
    lnHeat: found?.lnHeat ?? Math.log(plant.ratedSteam * 2.1e6),
    heatSpread: d.heat,
    lag: Math.max(d.lag, found?.lag ?? 0),
    lagSpread: d.lagSpread,
    lnBoost: d.boost && usualBoost,
    boostSpread: d.boost,
    walk: d.walk * (fitOut.pace ? 1 : calm[fitOut.size]),
    width: 1,
    from: 'the class of the engine and its dimensions',
    raisings: 0
  };
}
