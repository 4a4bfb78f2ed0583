import { mark } from '../../units';
import type { StepRule } from '../step';
import {
  both,
  capital,
  carries,
  drains,
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
  spirit,
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
        `${capital(listed([(f.brakes.length > 0 || f.mass > 5) && 'chocks away', f.brakes.length > 0 && 'brake off', 'regulator a crack']))}.`
      ),
    why: (f) => (f.whistle ? 'People look up at a whistle. They do not look up at a drip.' : 'What makes no sound is not seen coming.'),
    closes: ['chocks', 'gear'],
    needs: ['fit-to-run'],
    act: 'move',
    sets: [{ valve: 'regulator', open: 0.25 }],
    minutes: 2
  },
  {
    key: 'first-turn',
    when: not(wheels),
    what: 'Set it to work, gently',
    how: 'Regulator a crack, over centre by hand if it must, then its load.',
    why: 'Cold metal first, load after.',
    needs: ['fit-to-run'],
    act: 'move',
    sets: [{ valve: 'regulator', open: 0.25 }],
    minutes: 2
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
  {
    key: 'run-limit',
    when: (f) => f.runLimit !== null,
    what: (f) => `Stop within ${mark(f.runLimit!, 'time')} of lighting`,
    how: 'The fuel is to be out before the water. Time it from the match.',
    why: (f) =>
      glass(f)
        ? 'Nothing can be put in while it is hot.'
        : 'Nothing shows the level, and nothing can be put in while it is hot: the clock tells.',
    caution: 'A run is never stretched. Cool to nothing before opening.',
    minutes: 5
  },
  {
    key: 'last-fire',
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
    sets: [{ valve: 'regulator', open: 0 }],
    ends: true,
    minutes: 2
  },
  {
    key: 'spirit-out',
    when: spirit,
    what: 'Flame out by itself',
    how: 'Let the charge burn out. Do not blow at it.',
    why: (f) =>
      f.fire.with === 'spirit' && f.fire.fuel === 'tablets' ? 'A tablet blown at breaks up alight.' : 'Blown at, it spills alight.',
    minutes: 3
  }
];
