import type { FitOut } from '../src/core/engine';
import { hotFor, startingLevel } from '../src/core/engine';
import { add, type Bodies, type Context, type Entry, fold, glassReading, type Kind, type Log } from '../src/core/log';
import { timeOrderedId } from '../src/core/log/id';
import { compose, type Step } from '../src/core/procedure';
import { saturationAtGauge, saturationPressure } from '../src/core/steam';
import { type Gauge, psi, standardAtmosphere } from '../src/core/units';
import { due, evidenceLacking, glance, inSteam } from '../src/core/watch';
import { chance } from '../src/core/chance';

/** What a day's steaming was like. */
export interface Day {
  seed: number;
  keeper: string;
  /** ms since 1970 when the keeper began to look the engine over */
  begins: number;
  /** Minutes of running or working. */
  running: number;
  /** Nothing is written after this moment: the engine is still in steam. */
  until?: number;
  /** Steps that were skipped that day, with the reason. */
  skips?: Record<string, string>;
  /** A fault found that day. */
  fault?: { phase: string } & Bodies['fault'];
  remarks?: string;
}

const minute = 60_000;
/** Minutes from the match to working pressure, and minutes in which the excess temperature halves with the fire out. */
const pace: Record<FitOut['size'], { raise: [number, number]; halves: number }> = {
  tabletop: { raise: [4, 6], halves: 6 },
  small: { raise: [14, 34], halves: 35 },
  medium: { raise: [44, 75], halves: 120 },
  full: { raise: [120, 165], halves: 420 }
};

/**
 * A whole steaming as entries, written by walking the procedure composed for the engine: each step is done when it is
 * open, what it needs as evidence is logged first, and readings follow a temperature that rises evenly and falls away.
 */
export function tell(fitOut: FitOut, day: Day): Log {
  const luck = chance(day.seed);
  const context: Context = { fitOut, procedure: compose(fitOut), keeper: day.keeper };
  let log = fold(context, []);
  let now = day.begins;
  const over = () => day.until !== undefined && now > day.until;

  const write = <K extends Kind>(kind: K, body: Bodies[K]) => {
    if (over()) return;
    now += Math.round(luck.between(400, 4000));
    const id = timeOrderedId(now, luck.bytes(10));
    log = add(log, { id, kind, at: new Date(now).toISOString(), by: day.keeper, source: 'person', body } as Entry);
  };

  // The boiler's temperature, in kelvin over the day's air.
  const air = 283 + luck.between(0, 12);
  const full = saturationAtGauge(fitOut.workingPressure as Gauge).T;
  const [fast, slow] =
    fitOut.fire.with === 'solid'
      ? pace[fitOut.size].raise
      : fitOut.size === 'medium'
        ? [18, 26]
        : fitOut.size === 'tabletop'
          ? pace.tabletop.raise
          : [9, 17];
  const raise = luck.between(fast, slow) * minute;
  const begun = air + luck.between(0, 4);
  let peak = begun;
  function temperature(at: number): number {
    const { litAt, outAt } = log.state.fire;
    if (!litAt) return begun;
    const since = at - Date.parse(litAt);
    if (outAt) return air + (peak - air) * 0.5 ** ((at - Date.parse(outAt)) / minute / pace[fitOut.size].halves);
    const share = Math.min(1, (since / raise) ** 1.12);
    // It comes up to working pressure, and only then do firing and feeding make it wander.
    const settled = share < 1 ? 0 : 1 - Math.exp((raise - since) / (12 * minute));
    const wander = settled * ((Math.sin(since / 7e5) + Math.sin(since / 2.6e5 + day.seed)) * 1.7 - 2.4);
    return (peak = Math.min(full + 0.4, begun + (full - begun) * share + wander));
  }
  const round = psi(fitOut.workingPressure < psi(50) ? 0.5 : 1);
  const needle = () =>
    Math.max(
      0,
      Math.round((saturationPressure(Math.max(280, temperature(now))) - standardAtmosphere + luck.between(-0.6, 0.6) * psi(1)) / round) *
        round
    );

  // The water, as a level in the glass.
  const cold = fitOut.glasses.length ? startingLevel(fitOut).value + luck.between(-0.03, 0.05) : 0;
  const hot = fitOut.glasses.length ? hotFor(fitOut, Math.min(0.9, Math.max(0.02, cold))) : 0;
  const canFeed = fitOut.feeds.filter((f) => f.plumbed && f.kind !== 'bottle');
  let drawn = 0;
  let drawnAt = now;
  const glass = () => {
    const { fire } = log.state;
    const heat = Math.min(1, Math.max(0, (temperature(now) - begun) / (full - begun)));
    const running = log.state.phase === 'Run' || log.state.phase === 'Prove';
    const hourly = running ? (canFeed.length ? 0.9 : 0.35) : inSteam(log.state) ? 0.12 : 0;
    drawn += fire.litAt ? (hourly * Math.max(0, now - drawnAt)) / 3.6e6 : 0;
    drawnAt = now;
    return Math.round(Math.min(0.95, Math.max(0.04, cold + (hot - cold) * heat - drawn + luck.between(-0.012, 0.012))) * 50) / 50;
  };

  function feed() {
    const pressure = log.state.pressure?.value ?? 0;
    const able = canFeed.filter((f) => f.from <= pressure && (!f.turning || log.state.phase === 'Run'));
    const which = able.length ? luck.pick(able) : undefined;
    if (!which) return;
    write('feed', { feed: which.name, on: true, to: 'boiler' });
    now += luck.between(1, 2.2) * minute;
    drawn -= 0.26;
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

  let nextLook = 0;
  let nextFuel = 0;
  let nextOil = 0;
  /** Lets time go by, with the glances and rounds of fuel that belong to it. */
  function pass(minutes: number) {
    const to = now + minutes * minute;
    while (now < to && !over()) {
      const { fire, phase } = log.state;
      if (!fire.litAt || fire.outAt) {
        // Cooling: a look every ten minutes or so, until there is nothing to see.
        if (fire.outAt && now >= nextLook && phase === 'Shut down') {
          if (fitOut.gauge) write('reading', { pressure: needle() });
          nextLook = now + luck.between(9, 16) * minute;
        }
        now = Math.min(to, now + 2 * minute);
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
      now = Math.min(to, now + luck.between(0.5, 1.2) * minute);
    }
  }

  function evidence(step: Step) {
    const lacks = () => evidenceLacking(step, log.state, now);
    if (lacks() && step.evidence === 'glass reading') look();
    if (lacks() && step.evidence === 'pressure reading') write('reading', { pressure: needle() });
    if (step.key === 'valve-lifts')
      fitOut.safetyValves.forEach((v, i) => {
        const at = Math.round((v.set * luck.between(0.985, 1.012)) / psi(1)) * psi(1);
        write('lift', { valve: i + 1, lifted: at });
        now += luck.between(0.3, 0.8) * minute;
        write('lift', { valve: i + 1, reseated: Math.round((at * 0.95) / psi(1)) * psi(1) });
      });
    if (step.key === 'changeover' || step.key === 'changeover-none') write('valve', { valve: 'blower', open: 0.5 });
    if (step.key === 'blower-down') write('valve', { valve: 'blower', open: 0.25 });
    if (step.key === 'prove-injectors' || step.key === 'feeds-proven' || step.key === 'axle-pump') feed();
    if (step.key === 'first-move') write('valve', { valve: 'regulator', open: 0.25 });
    if (step.key === 'run-end') write('valve', { valve: 'regulator', open: 0 });
    if (step.key === 'tanks') write('reading', { tank: 1 });
  }

  let faulted = false;
  let ran = false;
  for (let guard = 0; guard < 2000 && !over() && !log.state.endedAt; guard++) {
    if (day.fault && !faulted && log.state.phase === day.fault.phase) {
      faulted = true;
      write('fault', { text: day.fault.text, forbids: day.fault.forbids });
    }
    const { now: placed } = due(context.procedure, log.state, now);
    if (!placed) {
      const left = context.procedure.steps.some((s) => !log.state.steps[s.key]);
      if (!left) {
        now += luck.between(1, 4) * minute;
        write('sign', { as: 'keeper', name: day.keeper, ...(day.remarks ? { remarks: day.remarks } : {}) });
        break;
      }
      // Everything waits: for pressure, for time, for the fire to be out.
      if (!fitOut.gauge && log.state.phase === 'Prove') write('observation', { seen: 'feather' });
      pass(luck.between(1.2, 2.4));
      continue;
    }
    const { step } = placed;
    if (!ran && log.state.phase === 'Run' && (step.key === 'last-fire' || step.key === 'run-end')) {
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
    pass(step.minutes * luck.between(0.25, 0.75) * (step.chore ? 0.5 : 1));
    evidence(step);
    write('tick', {
      step: step.key,
      outcome: 'done',
      ...(step.evidence === 'initials'
        ? {
            initials: day.keeper
              .split(' ')
              .map((w) => w[0])
              .join('')
          }
        : {})
    });
  }
  return log;
}
