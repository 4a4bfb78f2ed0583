import { gaugeOf, plantOf, waterAtGlass } from '../src/core/boiler';
import { chance } from '../src/core/chance';
import type { FitOut } from '../src/core/engine';
import {
  add,
  type Bodies,
  type Context,
  type Entry,
  fold,
  glassReading,
  isAsked,
  type Kind,
  type Log,
  mayBeExcused,
  standing
} from '../src/core/log';
import { timeOrderedId } from '../src/core/log/id';
import { compose, sensesOf, type Step } from '../src/core/procedure';
import { begunWith, withFill } from '../src/core/plan';
import { isTimed, startingSum } from '../src/core/sums';
import { psi } from '../src/core/units';
import { attended, countdownOf, due, glance, inSteam } from '../src/core/watch';
import type { Day } from './day';
import { measured, outOfTime } from './measured';
import { trueBoiler } from './true-boiler';

const minute = 60_000;
const initialsOf = (name: string) => name.replace(/(\S)\S*\s*/g, '$1');

/**
 * A whole steaming as entries, written by walking the procedure composed for the engine: each step is done when it is
 * open, what it needs as evidence is logged first, and what is read is read off the model of the boiler, whose fire, feeds
 * and blower follow what is written.
 */
export function tell(fitOut: FitOut, day: Day): Log {
  const luck = chance(day.seed);
  const plain = plantOf(fitOut);
  const context: Context = {
    fitOut,
    procedure: withFill(
      day.begun
        ? begunWith(fitOut, day.begun, { at: new Date(day.begins).toISOString(), stops: [], left: day.left ?? [] })
        : compose(fitOut),
      startingSum({ fitOut, plant: plain }),
      { fitOut, plant: plain }
    ),
    keeper: day.keeper,
    ...(day.begun ? { begun: day.begun } : {})
  };
  let log = fold(context, []);
  let now = day.begins;
  const over = () => day.until !== undefined && now > day.until;

  const write = <K extends Kind>(kind: K, body: Bodies[K]) => {
    if (over()) return;
    now += Math.round(luck.between(400, 4000));
    const id = timeOrderedId(now, luck.bytes(10));
    log = add(log, { id, kind, at: new Date(now).toISOString(), by: day.keeper, source: 'person', body } as Entry);
  };

  const truth = trueBoiler(fitOut, day.own ?? {}, luck, () => ({ log, now }));
  const { plant, begun, cold, needle, glass } = truth;
  const boilerNow = truth.now;
  const timed = isTimed(fitOut);
  const canFeed = fitOut.feeds.filter((f) => f.plumbed && f.kind !== 'bottle');

  function feed() {
    const pressure = log.state.pressure?.value ?? 0;
    const able = canFeed.filter((f) => f.from <= pressure && (!f.turning || log.state.phase === 'Run'));
    const which = able.length ? luck.pick(able) : undefined;
    if (!which) return;
    write('feed', { feed: which.name, on: true, to: 'boiler' });
    boilerNow();
    const i = plant.feeds.findIndex((f) => f.name === which.name);
    truth.keeper.set.feeds[i] = 1;
    // Enough for about a fifth of the glass.
    const slug = (waterAtGlass(plant.vessel, 0.6, 430) - waterAtGlass(plant.vessel, 0.4, 430)) * 900;
    now += Math.min(6 * minute, Math.max(0.7 * minute, (slug / Math.max(1e-6, plant.feeds[i]!.rate)) * 1000)) * luck.between(0.85, 1.15);
    boilerNow();
    truth.keeper.set.feeds[i] = 0;
    write('reading', glassReading(glass(), log.state, fitOut.gauge ? needle() : undefined));
    write('feed', { feed: which.name, on: false, proven: true });
  }
  function look() {
    if (fitOut.glasses.length) {
      write('reading', glassReading(glass(), log.state, fitOut.gauge && log.state.fire.litAt ? needle() : undefined));
      if (fitOut.glasses.length > 1 && luck.odds(0.5)) write('reading', { ...glassReading(glass(), log.state), glassNumber: 2 });
      const read = log.state.glass?.value;
      if (inSteam(log.state) && typeof read === 'number' && read < fitOut.levels.lowest + 0.12) feed();
    } else if (fitOut.gauge && log.state.fire.litAt) write('reading', { pressure: needle() });
  }

  /** What was sensed since the match. */
  let sensed = new Set<string>();
  /** Without a needle it is told by what is felt, heard and seen, as it comes. */
  function sense() {
    const w = boilerNow();
    if (!w || fitOut.gauge) return;
    const way = w.contents.T < 373 ? (w.contents.T - truth.startT) / (373 - truth.startT) : 1 + Math.min(1, gaugeOf(w) / plant.inSteam);
    for (const rung of sensesOf(fitOut))
      if (way >= rung.way - 0.02 && !sensed.has(rung.seen)) {
        sensed.add(rung.seen);
        write('observation', { seen: rung.seen });
      }
  }
  /** Over in its time: its keeper has the countdown before them. */
  function endInTime() {
    const count = countdownOf(fitOut, log.state);
    if (!count || 'refused' in count || now < count.stop - 45_000) return;
    write('fire', { act: 'out' });
    boilerNow();
  }
  let nextLook = 0;
  let nextFuel = 0;
  let nextOil = 0;
  /** Lets time go by, with the glances and rounds of fuel that belong to it. */
  function pass(minutes: number) {
    const to = now + minutes * minute;
    while (now < to && !over()) {
      if (inSteam(log.state)) {
        sense();
        endInTime();
      }
      const { fire, phase } = log.state;
      if (!fire.litAt || fire.outAt) {
        // Cooling: it has its keeper until the pressure is gone, who then looks every ten minutes or so, until there is nothing to see.
        if (fire.outAt && now >= nextLook && (phase === 'Shut down' || timed)) {
          look();
          nextLook = now + (attended(log.state) ? 0.8 * glance[fitOut.size] : luck.between(9, 16) * minute * (timed ? 0.4 : 1));
        }
        now = Math.min(to, now + minute);
        continue;
      }
      if (now >= nextLook) {
        look();
        nextLook =
          now + Math.min(0.8 * glance[fitOut.size], (phase === 'Raise' || phase === 'Light up' ? 3.5 : 99) * minute) * luck.between(0.6, 1);
      }
      if (fitOut.fire.with === 'solid' && now >= nextFuel && phase !== 'Light up' && phase !== 'Shut down') {
        write('fire', {
          act: 'fuel on',
          fuel: fitOut.fire.fuel === 'charcoal' ? 'charcoal' : 'coal',
          ...(luck.odds(0.3)
            ? { amount: Math.round(luck.between(0.5, 1) * { tabletop: 0.05, small: 0.12, medium: 0.5, full: 4 }[fitOut.size] * 100) / 100 }
            : {})
        });
        nextFuel = now + luck.between(5, 9) * minute * (fitOut.size === 'full' ? 2 : 1);
      }
      if (phase === 'Run' && now >= nextOil) {
        if (nextOil) write('oil', { what: 'oil round' });
        nextOil = now + luck.between(40, 55) * minute;
      }
      now = Math.min(to, now + luck.between(0.5, 1.2) * minute * (timed ? 0.3 : 1));
    }
  }

  function refill(volume: number) {
    truth.refill(volume);
    sensed = new Set();
  }

  function evidence(step: Step) {
    for (const { kind, body } of measured(step, log, fitOut, plain, () => boilerNow()?.contents.liquid)) {
      write(kind, body);
      if (kind === 'water' && (body as Bodies['water']).act === 'in' && step.cycle === 'further') refill(log.state.boiler!.volume);
    }
    if (step.key === 'again-fill' && fitOut.glasses.length) refill(waterAtGlass(plant.vessel, cold, begun));
    const lacks = () => standing(step, log.state, context.procedure, now).is === 'lacking';
    if (lacks() && step.evidence === 'glass reading') look();
    if (lacks() && step.evidence === 'pressure reading') write('reading', { pressure: needle() });
    if (lacks() && step.evidence === 'temperature reading') write('reading', { temperature: Math.round(begun) });
    // Seen where there is the pressure for it, and not said otherwise.
    if (step.evidence === 'lift' && inSteam(log.state))
      fitOut.safetyValves.forEach((v, i) => {
        const at = Math.round((v.set * (day.lifts?.[i] ?? 1) * luck.between(0.992, 1.008)) / psi(1)) * psi(1);
        write('lift', { valve: i + 1, lifted: at });
        now += luck.between(0.3, 0.8) * minute;
        write('lift', { valve: i + 1, reseated: Math.round((at * 0.95) / psi(1)) * psi(1) });
      });
    // A feed is proven by feeding.
    if (step.proves?.length) feed();
  }

  /** What a step that is done does to the boiler as it truly is: the log tells it by the tick alone. */
  function obey(step: Step) {
    for (const set_ of step.sets) {
      if (!('valve' in set_)) continue;
      if (set_.valve === 'blower' && set_.open > 0 && !set_.down && set_.then === undefined) truth.keeper.changeover = 0;
      if (set_.valve === 'whistle' && set_.then !== undefined && log.state.phase === 'Raise') {
        truth.keeper.set.whistle = 0.5;
        now += 0.75 * minute;
        boilerNow();
        truth.keeper.set.whistle = 0;
      }
    }
  }

  let faulted = false;
  let ran = false;
  for (let guard = 0; guard < 2000 && !over() && !log.state.endedAt; guard++) {
    if (day.fault && !faulted && log.state.phase === day.fault.phase) {
      faulted = true;
      write('fault', { text: day.fault.text, forbids: day.fault.forbids });
    }
    const late = outOfTime(log);
    if (late) {
      write('tick', { step: late, outcome: 'skipped', reason: 'Its time was up before it' });
      continue;
    }
    const { now: placed } = due(context.procedure, log.state, now);
    if (!placed) {
      const left = context.procedure.steps.some((s) => isAsked(s, log.state) && !log.state.steps[s.key]);
      if (!left) {
        now += luck.between(1, 4) * minute;
        write('sign', { as: 'keeper', name: day.keeper, ...(day.remarks ? { remarks: day.remarks } : {}) });
        break;
      }
      // All that is left of the running is its end.
      if (!ran && log.state.phase === 'Run') {
        if (timed && log.state.runs.length) {
          // Until it is over in its time; then again, or that was all.
          if (inSteam(log.state)) {
            pass(1);
            continue;
          }
          const { runs, again } = log.state;
          if (again !== undefined && again > (runs.at(-1)!.outAt ?? '')) {
            pass(luck.between(1, 2));
            continue;
          }
          if (runs.length < (day.runs ?? 1)) {
            now += luck.between(0.5, 2) * minute;
            write('observation', { seen: 'another run' });
            continue;
          }
        }
        ran = true;
        if (!timed) pass(day.running);
        write('observation', { seen: 'running ends' });
        continue;
      }
      // Everything waits: for pressure, for time, for the fire to be out.
      pass(luck.between(1.2, 2.4) * (timed && inSteam(log.state) ? 0.3 : 1));
      continue;
    }
    const { step } = placed;
    // What is told by the senses is told when it is there.
    if (!fitOut.gauge && step.sees && inSteam(log.state) && sensesOf(fitOut).some((s) => s.seen === step.sees) && !sensed.has(step.sees)) {
      pass(0.3);
      continue;
    }
    if (!ran && !timed && log.state.phase === 'Run' && step.ends) {
      ran = true;
      pass(day.running);
      continue;
    }
    const skip = day.skips?.[step.key];
    if (skip) {
      write('tick', { step: step.key, outcome: 'skipped', reason: skip });
      continue;
    }
    // Work already done while waiting takes no time again; the rest takes about what the library says.
    pass(step.minutes * luck.between(0.25, 0.75) * (step.chore ? 0.5 : 1) * (timed && inSteam(log.state) ? 0.2 : 1));
    evidence(step);
    boilerNow();
    obey(step);
    // What the log shows by now is not said as well.
    if (log.state.steps[step.key]) continue;
    // Nobody is carried before what the club asks for has been seen.
    if (step.act === 'carry' && standing(step, log.state, context.procedure, now).is !== 'open') {
      write('tick', { step: step.key, outcome: 'skipped', reason: 'Nobody carried: a feed was not proven' });
      continue;
    }
    const odd = mayBeExcused(step.proof, log.state) && standing(step, log.state, context.procedure, now).is === 'lacking';
    write('tick', {
      step: step.key,
      outcome: 'done',
      ...(odd ? { reason: 'As it was last time; to be compared' } : {}),
      ...(step.evidence === 'initials' ? { initials: initialsOf(day.keeper) } : {})
    });
  }
  return log;
}
