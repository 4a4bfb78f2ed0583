import { filled, gaugeOf, glassAt, keeper, plantOf, step as stepBoiler, usualFill, waterAtGlass, type Working } from '../src/core/boiler';
import type { Chance } from '../src/core/chance';
import type { FitOut } from '../src/core/engine';
import { drop } from '../src/core/firing';
import { needleSpread } from '../src/core/forecast';
import type { Log } from '../src/core/log';
import { waterVolume } from '../src/core/steam';
import { startingSum } from '../src/core/sums';
import { psi } from '../src/core/units';
import { oddly } from './raised';

/**
 * The boiler as it truly is that day, from the match on: stepped by the model, followed by what is written.
 * @param told the log as far as it is told, and its clock, ms since 1970
 */
export function trueBoiler(fitOut: FitOut, own: Readonly<Record<string, number>>, luck: Chance, told: () => { log: Log; now: number }) {
  const air = 283 + luck.between(0, 12);
  const begun = air + luck.between(-1, 2);
  const plant = plantOf(fitOut, oddly(fitOut, own));
  const hands = { look: luck.between(15, 30), changeover: Infinity };
  let k = keeper(plant, hands);
  const cold = fitOut.glasses.length
    ? Math.min(0.9, Math.max(0.05, startingSum({ fitOut, plant }).fill.value + luck.between(-0.03, 0.04)))
    : 0;
  let boiler: Working | undefined;
  let simulated = 0;
  /** What a run begins with: its first fill cold, a further one hot on hot. */
  let start = { T: fitOut.habits.fill === 'warm' ? 318 : begun, water: undefined as number | undefined, since: 0 };
  /** The boiler as it is now: stepped on from where it was last looked at. */
  function boilerNow(): Working | undefined {
    const { log, now } = told();
    const { fire, phase } = log.state;
    const { set } = k;
    if (!boiler) {
      // Filled again, it stands open until the next match.
      if (!fire.litAt || Date.parse(fire.litAt) < start.since) return undefined;
      const water =
        start.water ??
        (fitOut.glasses.length ? waterAtGlass(plant.vessel, cold, begun) / waterVolume(begun) : usualFill(fitOut, plant, begun));
      boiler = filled(plant, { water, T: start.T, ambient: air, air: luck.next() });
      simulated = Date.parse(fire.litAt);
    }
    set.turning = phase === 'Run';
    set.engine = phase === 'Run' ? 0.3 * plant.ratedSteam : 0;
    // A fire that is dying is fed no more; one that is out is off the grate.
    const out = fire.outAt !== undefined;
    for (; simulated + 2000 <= now; simulated += 2000) {
      if (out) {
        set.engine = set.fan = set.blower = 0;
        if (boiler.fire.with === 'solid') drop(boiler.fire);
        else Object.assign(boiler.fire, { setting: 0, on: false });
      } else {
        k.tend(boiler);
        // In steam the blower is a whisper, and at work the exhaust draws: more would only lift the valves.
        if (phase === 'Prove' || phase === 'Run') set.blower = Math.min(set.blower, gaugeOf(boiler) < 0.85 * plant.held ? 0.6 : 0.08);
      }
      stepBoiler(plant, boiler, set, 2);
    }
    return boiler;
  }
  const round = psi(fitOut.workingPressure < psi(50) ? 0.5 : 1);
  const needle = () => {
    const w = boilerNow();
    return w ? Math.max(0, Math.round((gaugeOf(w) + luck.normal() * 0.35 * needleSpread(gaugeOf(w))) / round) * round) : 0;
  };
  const glass = () => {
    const w = boilerNow();
    const level = w ? glassAt(plant.vessel, w.contents.liquidVolume, w.contents.T) : cold;
    return Math.round(Math.min(0.97, Math.max(0.02, level + luck.between(-0.015, 0.015))) * 50) / 50;
  };
  return {
    plant,
    begun,
    cold,
    needle,
    glass,
    now: boilerNow,
    get keeper() {
      return k;
    },
    get startT() {
      return start.T;
    },
    /** What is left is let down and measured, and as much goes in hot as makes the fill up. @param volume m³ in it then */
    refill(volume: number) {
      start = { T: 355, water: volume * 965, since: told().now };
      boiler = undefined;
      k = keeper(plant, hands);
    }
  };
}
