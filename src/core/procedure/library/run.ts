import { mark } from '../../units';
import type { StepRule } from '../step';
import { both, carries, drains, feeds, gas, glass, hasFeed, not, road, solid, spirit, wheels } from './fits';

/** Moving or working. */
export const run: readonly StepRule[] = [
  {
    key: 'first-move',
    when: wheels,
    what: 'Line clear, whistle, move off gently',
    how: (f) =>
      f.drive === 'gears'
        ? 'In gear with the engine still. Chocks away, brake off, regulator a crack.'
        : 'Chocks away, brake off, regulator a crack.',
    why: 'People look up at a whistle. They do not look up at a drip.',
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
    proves: (f) => feeds(f, 'axle pump', 'crosshead pump', 'crankshaft pump').map((x) => x.name),
    when: hasFeed('axle pump', 'crosshead pump', 'crankshaft pump'),
    what: (f) => `Prove the ${feeds(f, 'axle pump', 'crosshead pump', 'crankshaft pump')[0]!.name.toLowerCase()}: water to the boiler`,
    how: (f) => {
      const shut = feeds(f, 'axle pump', 'crosshead pump', 'crankshaft pump')[0]!.bypassShutSendsTo === 'boiler';
      return `Bypass ${shut ? 'shut' : 'open'} on this engine. The glass must rise or hold; then set it for a level that holds.`;
    },
    why: 'It works only while the engine turns: this is the first time it can be proven.',
    needs: ['first-move', 'first-turn'],
    minutes: 3
  },
  {
    key: 'glass-habit',
    when: glass,
    what: 'Glass before every coal and every hill',
    how: (f) =>
      `Log it at least every ${f.size === 'full' ? 'ten' : f.size === 'medium' ? 'five' : 'three'} minutes. Feed a little and often, while the fire is bright, never at the foot of a bank. On a slope the glass reads false: read it on the level.`,
    why: 'A cold slug costs pressure you will want on the bank.',
    evidence: 'glass reading',
    minutes: 5
  },
  {
    key: 'fire-habit',
    when: solid,
    what: 'Fire thin, bright and even',
    how: 'Little and often on the bright places. Blower on whenever the regulator shuts. Too much steam: feed if there is room, damper, blower off, and the door last.',
    why: 'With the regulator shut and no blower the flame looks for the way you are standing.',
    minutes: 10
  },
  {
    key: 'lube-habit',
    when: (f) => f.lubrication.some((x) => x.every < 7200),
    what: 'Lubricator and oil by running time',
    how: (f) =>
      `The shortest interval is ${mark(Math.min(...f.lubrication.map((x) => x.every)), 'time')}: ${f.lubrication.reduce((a, b) => (b.every < a.every ? b : a)).point.toLowerCase()}.`,
    why: 'A dry bore is heard when it is too late.',
    minutes: 3,
    who: 'either'
  },
  {
    key: 'passengers',
    when: carries,
    what: 'Passengers: seating, guard, brake test, speed',
    how: 'Feet in, bags in, guard’s signal, brake tried in the first ten yards.',
    why: 'They trust you. They have not read this.',
    act: 'carry',
    minutes: 4
  },
  {
    key: 'road-run',
    when: road,
    what: 'Gear changes standing; steersman briefed',
    how: 'Stop, mid gear, pin, try. Walk-around at every stop.',
    why: 'A heavy engine between gears is a runaway on any slope.',
    minutes: 4
  },
  {
    key: 'run-limit',
    when: (f) => f.runLimit !== null,
    what: (f) => `Stop within ${mark(f.runLimit!, 'time')} of lighting`,
    how: 'Fuel out first, then water. Time it from the match.',
    why: 'There is no glass and no feed: the clock is the glass.',
    caution: 'A run is never stretched. Cool to nothing before opening.',
    minutes: 5
  },
  {
    key: 'refuel',
    when: gas,
    what: 'Canister: gas left for the rest?',
    how: 'Lift it, or count the minutes. A refill means shut, out, cooled, leak tested.',
    why: 'Gas runs out at the far end of the track.',
    minutes: 1
  },
  {
    key: 'last-fire',
    when: solid,
    what: 'Last fire: let it die with the running',
    how: 'Stop coaling so that the grate is nearly bare at the end. Keep enough to fill the glass.',
    why: 'Fire thrown away is fuel wasted; fire left over is an evening lost.',
    gates: [{ kind: 'ending' }],
    ends: true,
    minutes: 10
  },
  {
    key: 'run-end',
    what: 'Running ended',
    how: (f) => (wheels(f) ? 'Stopped where it can stay, brake on, chocked, mid gear, drains open.' : 'Stopped, load off, drains open.'),
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
    why: 'Blown spirit is spilt spirit.',
    minutes: 3
  }
];
