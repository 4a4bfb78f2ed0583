import type { FitOut } from '../../engine';
import { mark, printGlass } from '../../units';
import type { StepRule } from '../step';
import {
  both,
  byHose,
  capital,
  drains,
  electric,
  filledThroughTop,
  glass,
  hasFeed,
  listed,
  lubricated,
  not,
  sentences,
  turned,
  valveOut,
  wheels
} from './fits';

const tankage = (f: FitOut) => f.tanks.reduce((sum, t) => sum + t.capacity, 0);
/** m³ a minute: by bucket or a garden’s hose. */
const byBucket = 0.012;

/** Water and oil in, engine held still. */
export const fillAndOil: readonly StepRule[] = [
  {
    key: 'open-top',
    when: filledThroughTop,
    what: (f) => (valveOut(f) ? 'Take the safety valve out to fill' : 'Open the filler'),
    how: 'Only with the boiler cold and no pressure. Funnel or syringe in.',
    why: 'It stays on the list of open things until it is back.',
    opens: (f) => (valveOut(f) ? ['valve', 'funnel'] : ['filler', 'funnel']),
    minutes: 1
  },
  {
    key: 'vent-open',
    round: 'before water',
    when: (f) => f.vent && !filledThroughTop(f),
    what: 'Vent open',
    how: 'Before the water goes in.',
    why: 'Water cannot go in where air cannot get out.',
    opens: ['vent'],
    minutes: 1
  },
  {
    key: 'hose-on',
    when: byHose,
    what: 'Filling hose on, then its valve open',
    how: (f) => `${f.vent ? 'Vent' : 'Top opening'} first, then the hose, then the valve. Someone stays with it.`,
    why: 'In any other order it empties itself over you.',
    opens: ['hose'],
    minutes: 2
  },
  {
    key: 'fill',
    asks: (f) => (f.size === 'tabletop' ? ['water in'] : glass(f) ? ['water temperature'] : ['water in', 'water temperature']),
    // To what level is the day's sum, and is written in when the day is known: see plan/level.
    what: (f) => (f.glasses.length ? 'Fill to the starting level' : `Fill with ${mark(f.fill ?? 0, 'volume')}, measured`),
    how: (f) =>
      !f.glasses.length
        ? 'Measure it in. There is no glass to tell you later.'
        : f.habits.fill === 'warm'
          ? 'Warm water into a cold boiler saves time and fuel. Log the glass.'
          : 'Cold water shows a leak before there is heat behind it. Log the glass.',
    why: (f) =>
      f.glasses.length
        ? `Water swells: filled to here it will stand at ${printGlass(f.levels.wanted)} when hot. More water does not make drier steam.`
        : 'The fill decides how long the fire may burn.',
    caution: 'Never cold water into a hot boiler. A hot boiler takes hot water only.',
    evidence: 'glass reading',
    must: true,
    minutes: 8
  },
  {
    key: 'hose-off',
    shown: 'closed',
    when: byHose,
    what: 'Hose valve shut, then hose off',
    how: 'At the level: valve, then hose.',
    why: 'The hose off first is a boiler that drains itself.',
    needs: ['fill'],
    closes: ['hose'],
    must: true,
    minutes: 1
  },
  {
    key: 'close-top',
    shown: 'closed',
    when: filledThroughTop,
    what: (f) => (valveOut(f) ? 'Safety valve back, finger-tight' : 'Filler shut'),
    how: 'Washer in place, funnel out. Finger-tight seals a good washer; a spanner spoils it.',
    why: 'No heat before it is back.',
    closes: (f) => (valveOut(f) ? ['valve', 'funnel'] : ['filler', 'funnel']),
    needs: ['fill'],
    must: true,
    minutes: 1
  },
  {
    key: 'vent-shut',
    round: 'in',
    when: (f) => f.vent && !filledThroughTop(f),
    what: 'Vent shut, or cracked until steam shows',
    how: 'Say which: Joram keeps an open vent on the list.',
    why: (f) =>
      f.gauge
        ? 'Air left in the boiler makes the gauge read before there is steam.'
        : 'Air left in the boiler passes for steam until it is let out.',
    closes: ['vent'],
    minutes: 1
  },
  {
    key: 'glass-follows',
    round: 'in',
    when: glass,
    what: 'See the glass follow',
    how: (f) =>
      hasFeed('hand pump')(f)
        ? 'A few strokes of the hand pump: the level must move and stay.'
        : f.mass < 60
          ? 'Rock the engine: the level must move and come back.'
          : f.glasses.some((g) => g.blowThrough)
            ? 'Open its drain for a moment: the level must fall and come back.'
            : 'Pour a little more in: the level must move.',
    why: 'A glass that does not move is a picture of a glass.',
    needs: ['fill'],
    minutes: 1
  },
  {
    key: 'hand-pump',
    round: 'in',
    when: hasFeed('hand pump'),
    what: 'Hand pump proven',
    how: (f) => `Water goes to the boiler: feel it push back${glass(f) ? ', and see the glass move' : ''}.`,
    why: (f) => `It is the feed that works with no steam${wheels(f) ? ' and no wheels turning' : ''}.`,
    needs: ['fill'],
    minutes: 2
  },
  {
    key: 'tanks',
    round: 'in',
    when: (f) => f.tanks.length > 0,
    what: (f) => `${f.tanks.map((t) => t.name).join(' and ')} filled`,
    how: (f) =>
      sentences(
        `Holds ${mark(tankage(f), 'volume')}. Log how full it stands.`,
        hasFeed('injector')(f) && 'Cool water: an injector will not take it warm.',
        f.exhaust === 'condensate' &&
          'What the engine sent back carries oil, and nothing here takes it out: it does not go to the boiler again. Empty it first, fill it fresh.'
      ),
    why: 'The tank is how far you can go.',
    sets: [{ tank: 1 }],
    minutes: (f) => Math.max(3, Math.round(tankage(f) / byBucket)),
    who: 'either'
  },
  {
    key: 'displacement',
    round: 'in',
    when: lubricated('displacement'),
    what: 'Displacement lubricator: drain, then fill',
    how: 'Isolate it, drain the water out, fill with steam oil, cap on.',
    why: 'It fills with condensate as it gives its oil. Topped up without draining, it feeds water.',
    minutes: 3,
    materials: ['steam oil']
  },
  {
    key: 'mechanical',
    round: 'in',
    when: lubricated('mechanical'),
    what: 'Mechanical lubricator filled and primed',
    how: 'Fill with steam oil, wind by hand until the check valve gives, see the ratchet take each tooth.',
    why: 'An air lock feeds nothing, and it is silent.',
    minutes: 4,
    materials: ['steam oil']
  },
  {
    key: 'sight-feed',
    round: 'in',
    when: lubricated('sight feed'),
    what: 'Sight feed filled',
    how: 'Drained of water, filled with steam oil, shut until there is steam.',
    why: 'You count its drops later.',
    minutes: 2,
    materials: ['steam oil']
  },
  {
    key: 'wicks',
    round: 'in',
    when: lubricated('wick'),
    what: 'Wicks in, boxes filled',
    how: 'Tail of each wick below the oil, plug in the pipe.',
    why: 'A wick left in feeds all night; one left out feeds nothing.',
    opens: ['wicks'],
    minutes: 4,
    materials: ['motion oil']
  },
  {
    key: 'oil-round',
    shown: 'oil',
    what: 'Oil round, point by point',
    how: (f) =>
      `${f.lubrication
        .filter((x) => x.kind === 'hand' || x.kind === 'cup')
        .map((x) => x.point)
        .join('; ')}.${wheels(f) ? ' Move the wheels to reach what hides.' : ''}`,
    why: (f) =>
      sentences(
        f.habits.oiling === 'before'
          ? 'Before lighting, with clean hands.'
          : 'Now, or in the wait when the oil runs warm: it is the same round, and it is done once.',
        f.habits.oil === 'steam'
          ? 'Thick steam oil on all of it, because it stays where it is put; the other school oils the motion with engine oil, because it creeps where it should.'
          : 'Engine oil on the motion, because it creeps where it should; the other school puts thick steam oil everywhere, because it stays where it is put.'
      ),
    chore: true,
    kept: true,
    minutes: (f) => Math.max(3, Math.round(0.8 * f.lubrication.length + 2)),
    who: 'either',
    materials: (f) => [f.habits.oil === 'steam' ? 'steam oil' : 'motion oil', 'oil can']
  },
  {
    key: 'hold-regulator',
    round: 'still',
    what: (f) => (f.control === 'none' ? 'Crank off dead centre, held' : 'Regulator shut'),
    how: (f) =>
      f.control === 'none'
        ? 'Set by hand where the port is shut, and kept there: nothing else holds the steam.'
        : f.size === 'tabletop' || f.kind === 'launch plant'
          ? 'Feel it against its stop, and the crank off dead centre.'
          : 'Feel it against its stop.',
    why: (f) =>
      f.control === 'none'
        ? 'It goes as soon as there is steam: not while hands are at the burner.'
        : 'With a leaking regulator it moves off by itself as pressure comes.',
    sets: (f) => (f.control === 'none' ? [] : [{ valve: 'regulator', open: 0 }]),
    minutes: 1,
    must: true
  },
  {
    key: 'hold-gear',
    round: 'still',
    when: (f) => f.cylinders.reverser !== 'none' || f.drive === 'gears' || f.drive === 'clutch',
    what: (f) =>
      capital(
        listed(
          [
            f.drive === 'gears' ? 'out of gear' : f.drive === 'clutch' && 'clutch out',
            f.cylinders.reverser !== 'none' && 'reverser in mid gear'
          ],
          'and'
        )
      ),
    how: (f) =>
      f.cylinders.reverser === 'lever' ? 'Try it: catch home, engine does not take up.' : 'Try it: the engine does not take up.',
    why: 'Held still means held in three ways.',
    opens: (f) => (f.drive === 'gears' || f.drive === 'clutch' ? ['gear'] : []),
    minutes: 1
  },
  {
    key: 'hold-brake',
    round: 'still',
    when: both(wheels, (f) => f.brakes.length > 0 || f.mass > 5),
    what: (f) => (f.brakes.length ? 'Brake on, wheels chocked' : 'Wheels chocked'),
    how: 'Push it both ways.',
    why: (f) => (f.control === 'none' ? 'Nothing else keeps it here when steam comes.' : 'Steam gets past a shut regulator.'),
    opens: ['chocks'],
    minutes: 1
  },
  {
    key: 'hold-drains',
    round: 'still',
    when: both(
      drains,
      not((f) => f.cylinders.drains === 'steam')
    ),
    what: 'Drains open',
    how: (f) => (f.cylinders.drains === 'steam isolated' ? 'And their isolator open.' : 'All of them.'),
    why: (f) => `What ${f.control === 'none' ? 'comes over' : 'leaks past the regulator'} must get out as it comes.`,
    opens: ['drains'],
    minutes: 1
  },
  {
    key: 'bypass',
    round: 'still',
    when: (f) => turned(f).some((x) => x.bypassShutSendsTo !== 'none'),
    what: 'Pump bypass: water goes to the tank',
    how: (f) => {
      const pump = turned(f).find((x) => x.bypassShutSendsTo !== 'none')!;
      return pump.bypassShutSendsTo === 'boiler'
        ? 'On this engine the bypass handle open sends it to the tank, shut sends it to the boiler.'
        : 'On this engine the bypass handle shut sends it to the tank, open sends it to the boiler.';
    },
    why: 'You choose when cold water goes in, not the motion.',
    sets: (f) => turned(f).flatMap((x) => (x.bypassShutSendsTo === 'none' ? [] : [{ feed: x.name, to: 'tank' as const }])),
    minutes: 1
  },
  {
    key: 'element-covered',
    when: electric,
    what: 'Element covered',
    how: 'The glass is above its bottom nut, and that is above the element.',
    why: 'A bare element lasts seconds.',
    evidence: 'glass reading',
    must: true,
    minutes: 1
  }
];
