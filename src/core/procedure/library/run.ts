import { mark } from '../../units';
import type { StepRule } from '../step';
import { again } from './again';
import {
  both,
  capital,
  carries,
  drains,
  fed,
  feeds,
  glass,
  hasFeed,
  kept,
  listed,
  movingPump,
  not,
  rails,
  road,
  sentences,
  solid,
  wheels
} from './fits';

/** Moving or working. */
export const run: readonly StepRule[] = [
  {
    key: 'first-move',
    when: wheels,
    what: (f) => `${rails(f) ? 'Line' : 'Way'} clear, ${f.whistle ? 'whistle' : 'call out'}, move off gently`,
    how: (f) =>
      sentences(
        f.drive === 'gears' ? 'In gear with the engine still.' : f.drive === 'clutch' && 'Clutch in with the engine still.',
        `${capital(
          listed([
            (f.brakes.length > 0 || f.mass > 5) && 'chocks away',
            f.brakes.length > 0 && 'brake off',
            f.control === 'none' ? 'a push to start it' : 'regulator a crack'
          ])
        )}.`
      ),
    why: (f) => (f.whistle ? 'People look up at a whistle. They do not look up at a drip.' : 'What makes no sound is not seen coming.'),
    closes: ['chocks', 'gear'],
    needs: ['fit-to-run'],
    act: 'move',
    sets: (f) => (f.control === 'none' ? [] : [{ valve: 'regulator', open: 0.25 }]),
    minutes: 2
  },
  {
    key: 'first-turn',
    when: not(wheels),
    what: 'Set it to work, gently',
    how: (f) =>
      f.control === 'none' ? 'Over centre by hand, then its load.' : 'Regulator a crack, over centre by hand if it must, then its load.',
    why: 'Cold metal first, load after.',
    needs: ['fit-to-run'],
    act: 'move',
    sets: (f) => (f.control === 'none' ? [] : [{ valve: 'regulator', open: 0.25 }]),
    minutes: (f) => (f.size === 'tabletop' ? 1 : 2)
  },
  {
    key: 'drains-shut',
    shown: 'closed',
    when: (f) => drains(f) && f.cylinders.drains !== 'steam',
    what: 'Drains shut, once dry',
    how: 'After the first few turns, when what comes out is vapour.',
    why: 'They were left open on purpose: this is the purpose ended.',
    needs: ['first-move', 'first-turn'],
    closes: ['drains'],
    minutes: 1
  },
  {
    key: 'injector-moving',
    proves: (f) => feeds(f, 'injector').map((x) => x.name),
    when: both(hasFeed('injector'), (f) => f.habits.injector === 'moving'),
    what: 'Prove the injector, once moving',
    how: 'Water first, then steam. Waste dry.',
    why: 'Tested moving, with the fire bright; the other school tests standing.',
    minutes: 2
  },
  {
    key: 'axle-pump',
    shown: 'proven',
    proves: (f) => movingPump(f).map((x) => x.name),
    when: (f) => movingPump(f).length > 0,
    what: (f) => `Prove the ${movingPump(f)[0]!.name.toLowerCase()}: water to the boiler`,
    how: (f) => {
      const { bypassShutSendsTo } = movingPump(f)[0]!;
      return sentences(
        bypassShutSendsTo !== 'none' && `Bypass ${bypassShutSendsTo === 'boiler' ? 'shut' : 'open'} on this engine.`,
        glass(f) ? 'The glass must rise or hold.' : 'Feel it bite at each turn.',
        bypassShutSendsTo !== 'none' && 'Then set it for a level that holds.'
      );
    },
    why: 'It works only while the engine turns: this is the first time it can be proven.',
    needs: ['first-move', 'first-turn'],
    minutes: 3
  },
  {
    key: 'passengers',
    when: carries,
    what: (f) => `Passengers: seating, guard${f.brakes.length ? ', brake test' : ''}, speed`,
    how: (f) => `Chimney wiped. Feet in, bags in, guard’s signal${f.brakes.length ? ', brake tried in the first ten yards' : ''}.`,
    why: 'They trust you. They have not read this.',
    act: 'carry',
    minutes: 4
  },
  {
    key: 'road-run',
    when: road,
    what: 'Gear changes standing; steersman briefed',
    how: (f) => `Stop, ${f.cylinders.reverser === 'none' ? '' : 'mid gear, '}pin, try. Walk-around at every stop.`,
    why: 'A heavy engine between gears is a runaway on any slope.',
    minutes: 4
  },
  ...again,
  {
    key: 'run-limit',
    cycle: 'each',
    shown: 'seen',
    when: both(not(fed), not(solid)),
    // By when is the day's sum, and is written in when the day is known: see plan/fill.
    what: (f) => (f.runLimit === null ? 'Over in its time' : `Over within ${mark(f.runLimit, 'time')} of the match`),
    how: (f) =>
      f.fire.with === 'spirit'
        ? 'Let the charge burn out: do not blow at it. Its time up before that: burner out from under. Then see it out.'
        : `By the countdown: ${f.fire.with === 'gas' ? 'gas off at the canister' : 'off at the switch'}, and see it out.${f.roams === 'no' ? '' : ' Call it in well before.'}`,
    why: (f) =>
      glass(f)
        ? 'Nothing can be put in while it is hot.'
        : 'Nothing shows the level, and nothing can be put in while it is hot: the clock tells.',
    caution: 'A run is never stretched. Down to nothing before it is opened.',
    gates: [{ kind: 'fire out' }],
    needs: ['again-light'],
    sees: 'fire out',
    must: true,
    minutes: 1
  },
  {
    key: 'last-fire',
    cycle: 'each',
    when: solid,
    what: 'Last fire: let it die with the running',
    how: (f) => sentences('Stop firing so that the grate is nearly bare at the end.', kept(f) && 'Keep enough to fill the glass.'),
    why: 'Fire thrown away is fuel wasted; fire left over is an evening lost.',
    gates: [{ kind: 'ending' }],
    ends: true,
    minutes: 10
  },
  {
    key: 'run-end',
    cycle: 'each',
    what: 'Running ended',
    how: (f) =>
      `${capital(
        listed([
          wheels(f) ? 'stopped where it can stay' : 'stopped, load off',
          f.brakes.length > 0 && 'brake on',
          wheels(f) && 'chocked',
          f.cylinders.reverser !== 'none' && 'mid gear',
          drains(f) && f.cylinders.drains !== 'steam' && 'drains open'
        ])
      )}.`,
    why: 'Shutting down starts while there is still pressure to do it with.',
    gates: [{ kind: 'ending' }],
    opens: (f) => [
      ...(wheels(f) ? (['chocks'] as const) : []),
      ...(f.cylinders.drains === 'none' || f.cylinders.drains === 'steam' ? [] : (['drains'] as const))
    ],
    sets: (f) => (f.control === 'none' ? [] : [{ valve: 'regulator', open: 0 }]),
    ends: true,
    minutes: 2
  }
];
