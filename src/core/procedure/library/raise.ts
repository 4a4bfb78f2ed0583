import { heldAt, thermostatOf } from '../../engine';
import { printGlass, psi } from '../../units';
import type { StepRule } from '../step';
import {
  air,
  at,
  bores,
  both,
  capital,
  carries,
  changeover,
  damper,
  drains,
  fan,
  fed,
  fuelOf,
  gas,
  glass,
  listed,
  not,
  outlet,
  p,
  road,
  sentences,
  solid,
  spirit,
  turning,
  wheels,
  wp
} from './fits';

/** From fire to working pressure. Temperature rises evenly; the needle sits still and then runs away. */
export const raise: readonly StepRule[] = [
  {
    key: 'pace',
    when: (f) => f.pace !== null,
    what: (f) => `Not faster than ${Math.round(f.pace!)} °C an hour`,
    how: (f) =>
      sentences('Fire small and even.', turning(f) && 'Turn it by hand a little now and then, regulator shut, so that it warms evenly.'),
    why: (f) =>
      f.shell.joints === 'riveted'
        ? 'A riveted boiler is moved by heat at every seam. Give it time.'
        : 'Thick plates and thin ones must warm together.',
    chore: true,
    minutes: 5
  },
  {
    key: 'chores',
    round: 'wait',
    when: wheels,
    what: (f) => `Wait: finish the oil round${f.lamps ? ', lamps' : ''}, paperwork`,
    how: (f) =>
      `Nothing that burns beside a lit fire${f.lamps || solid(f) ? `: ${listed([f.lamps && 'no lamp oil', solid(f) && 'no lighting fluid'])}` : ''}.`,
    why: 'Waits are for chores.',
    chore: true,
    minutes: 10,
    who: 'either'
  },
  {
    key: 'lamps',
    when: (f) => f.lamps,
    what: 'Lamps trimmed and set',
    how: 'Filled away from the engine.',
    why: 'Before there is a fire, or well away from it: lamp oil and a lit fire do not meet.',
    chore: true,
    flammable: true,
    minutes: 4,
    who: 'helper'
  },
  {
    key: 'tyres',
    round: 'wait',
    when: carries,
    what: 'Chimney and cab wiped, seats and footboards ready',
    how: 'A quick wipe: passengers lean where it is dirty.',
    why: 'A chore for the wait.',
    chore: true,
    minutes: 4,
    who: 'helper',
    materials: ['rags']
  },
  {
    key: 'tyres-wiped',
    round: 'wait',
    when: carries,
    what: 'Tyres and rail head wiped of oil',
    how: 'After the oil round.',
    why: 'An engine that slips tears its fire.',
    chore: true,
    minutes: 2,
    who: 'either',
    materials: ['rags']
  },
  {
    key: 'road-sign',
    round: 'wait',
    when: both(road, (f) => f.size === 'full'),
    what: 'Ground clear ahead, ropes and boards out',
    how: 'Walk the first hundred paces.',
    why: 'A chore for the wait, and not for whoever minds the fire.',
    chore: true,
    away: true,
    minutes: 8,
    who: 'helper'
  },
  {
    key: 'boiling',
    shown: 'seen',
    when: glass,
    what: 'It boils: the glass starts to bob',
    how: 'Log it when the level first moves.',
    why: 'The gauge says nothing yet. The glass says it first.',
    sees: 'glass moving',
    chore: true,
    minutes: 1
  },
  {
    key: 'warm-oil',
    round: 'wait',
    when: both(wheels, drains),
    what: 'Drains still open, regulator still shut',
    how: 'Look and feel. Water may already drip from the drains.',
    why: 'Pressure is what turns a leaking regulator into a moving engine.',
    chore: true,
    minutes: 1
  },
  {
    key: 'needle',
    shown: 'reading',
    when: (f) => f.gauge,
    what: 'Needle off its stop',
    how: 'Log the first pressure you can read.',
    why: 'The needle sits at nothing for most of the wait and then runs away: it is energy, not pressure, that rises evenly. From the second reading on there is something to reckon with.',
    evidence: 'pressure reading',
    gates: at(psi(2)),
    minutes: 1
  },
  {
    key: 'to-coal',
    when: (f) => f.fire.with === 'solid' && f.fire.start === 'wood' && f.fire.fuel !== 'wood',
    what: (f) => `Change from wood to ${fuelOf(f)}`,
    how: (f) => `${capital(fuelOf(f))} under the door first, wood until it is alight.`,
    why: (f) => `Wood brings it to life, ${fuelOf(f)} holds it.`,
    gates: at(psi(15)),
    needs: ['alight'],
    minutes: 6
  },
  {
    key: 'air-out',
    when: (f) => f.gauge && not(spirit)(f),
    what: (f) => `Let the air out at ${p(Math.min(psi(18), f.workingPressure * 0.3))}`,
    how: (f) =>
      `${outlet(f) === 'regulator' ? 'Held still, crack the regulator' : capital(outlet(f))} for a moment until it is steam and not spluttering air.`,
    why: `Air shut in makes the gauge read ${p(psi(15))} to ${p(psi(20))} before there is steam. If the needle sags when you open it, that was air leaving.`,
    gates: (f) => at(Math.min(psi(18), f.workingPressure * 0.3)),
    chore: true,
    kept: true,
    sets: (f) => [{ valve: outlet(f), open: outlet(f) === 'regulator' ? 0.1 : 1, then: 0 }],
    minutes: 1
  },
  {
    key: 'changeover',
    shown: 'closed',
    round: 'changeover',
    when: both(solid, fan),
    what: 'Blower on, then fan off',
    how: 'Crack the blower first and see it pull, then lift the fan. Let the fan run a minute to cool.',
    why: (f) =>
      f.habits.changeover === 'late'
        ? 'The engine can draw its own fire now. You change over late, at half pressure; the other school does it at the first pressure that sustains the fire.'
        : 'The engine can draw its own fire now. Any later and the fan only cooks; the other school waits for half pressure.',
    caution: 'The fan’s motor is hot. Use the handle.',
    gates: (f) => at(changeover(f)),
    needs: ['match'],
    closes: ['fan'],
    sets: [{ valve: 'blower', open: 0.5 }],
    minutes: 2,
    materials: ['gloves']
  },
  {
    key: 'changeover-air',
    shown: 'closed',
    round: 'changeover',
    when: both(solid, air),
    what: 'Blower on, then air off',
    how: 'Shut the air valve before you take the hose off.',
    why: 'The engine can draw its own fire now.',
    gates: (f) => at(changeover(f)),
    closes: ['air hose'],
    sets: [{ valve: 'blower', open: 0.5 }],
    minutes: 2
  },
  {
    key: 'changeover-none',
    when: both(solid, not(fan), not(air)),
    what: 'Blower cracked open',
    how: 'Just enough to see the smoke lift.',
    why: 'Natural draught has brought it so far; the blower brings it the rest.',
    gates: (f) => at(changeover(f)),
    sets: [{ valve: 'blower', open: 0.25 }],
    minutes: 1
  },
  {
    key: 'plug-out',
    shown: 'closed',
    round: 'changeover',
    when: bores,
    what: 'Plug out of the second chimney bore',
    how: 'Tongs or gloves. It has been in the smoke.',
    why: 'The exhaust needs both bores.',
    gates: (f) => at(changeover(f)),
    needs: ['changeover'],
    closes: ['plug'],
    must: true,
    minutes: 1,
    materials: ['tongs']
  },
  {
    key: 'leaks-30',
    when: (f) => f.gauge && f.workingPressure > psi(40),
    what: `Look round for leaks at ${p(psi(30))}`,
    how: (f) =>
      `${solid(f) ? 'Every joint, the firebox, the backhead' : 'Every joint, the ends of the boiler, the fittings'}. Small ones often take up: write them down and look again at working pressure.`,
    why: 'A leak at 30 is known and small.',
    caution: (f) =>
      f.manholes + f.mudholes > 0 ? 'A hot door joint may be nipped gently at low pressure only, and never forced.' : undefined,
    gates: at(psi(30)),
    minutes: 3
  },
  {
    key: 'leaks-50',
    when: (f) => f.gauge && f.workingPressure > psi(75),
    what: `Look round again at ${p(psi(50))}`,
    how: 'The same joints. What took up, what did not, what is new.',
    why: 'A leak that grows from 30 to 50 will not take up at working pressure.',
    gates: at(psi(50)),
    chore: true,
    kept: true,
    minutes: 2
  },
  {
    key: 'thermostat',
    shown: 'seen',
    when: (f) => f.fire.with === 'electric' && f.fire.thermostat !== 'none',
    what: 'Thermostat seen to cycle',
    how: (f) => {
      const range = f.gauge ? thermostatOf(f, heldAt(f)) : undefined;
      return range
        ? `The light goes out near ${p(range.letsGo)}, and comes back near ${p(range.takesHold)}: that is its knob and its band, at this height over the sea.${range.letsGo > Math.min(...f.safetyValves.map((v) => v.set)) ? ' The valve lifts before that: turn the knob down.' : ''}`
        : 'The light goes out, the pressure holds, the light comes back.';
    },
    why: 'One that does not let go is stopped at the socket.',
    sees: 'thermostat cycling',
    gates: (f) => wp(f, 0.8),
    minutes: 2
  },
  {
    key: 'level-hot',
    shown: 'reading',
    when: glass,
    what: 'Read the glass near working pressure',
    how: (f) =>
      `It should stand near ${printGlass(f.levels.wanted)}. At ${printGlass(f.levels.lowest)} or less, ${fed(f) ? 'feed before anything else' : 'it is too little to run on: let the fire out'}.`,
    why: 'Water has swollen with the heat. What the glass shows now is the first level that counts.',
    evidence: 'glass reading',
    gates: (f) => (f.gauge ? wp(f, 0.8) : []),
    minutes: 1
  },
  {
    key: 'blower-down',
    shown: 'valves',
    round: 'near',
    when: solid,
    what: 'Blower down as pressure nears working pressure',
    how: (f) =>
      sentences(
        `Blower to a whisper${damper(f) ? ', damper half' : ''}.`,
        `Still too much steam: ${
          f.habits.tooMuch === 'feed' && fed(f)
            ? 'feed first, if there is room'
            : `${damper(f) ? 'damper, then blower' : 'blower'} off first`
        }; the door ajar last of all.`
      ),
    why: (f) =>
      sentences(
        'The fire goes on giving after you stop asking. Stop asking early.',
        fed(f) &&
          (f.habits.tooMuch === 'feed'
            ? 'Fed first, nothing is lost; the other school takes the air away first, and keeps the room in the glass for the bank.'
            : 'With less air first, the room in the glass is kept for the bank; the other school feeds first, because nothing is lost.'),
        'Cold air on hot tubes is why the door comes last.'
      ),
    gates: (f) => wp(f, 0.85),
    sets: (f) => [
      { valve: 'blower', open: 0.25, down: true },
      ...(damper(f) ? [{ valve: 'damper' as const, open: 0.5, down: true as const }] : [])
    ],
    minutes: 1
  },
  {
    key: 'set-burner',
    when: gas,
    what: 'Burner to running setting',
    how: 'Down until the safety valve is just quiet.',
    why: 'Gas blown off through the valve is gas not used.',
    gates: (f) => (f.gauge ? wp(f, 0.9) : []),
    minutes: 1
  },
  {
    key: 'spirit-steam',
    shown: 'seen',
    when: both(spirit, (f) => f.whistle),
    what: 'Steam: the whistle sounds',
    how: 'A touch of it tells how far the pressure has come.',
    why: 'Its note rises with the pressure.',
    sees: 'whistle note',
    minutes: 0
  },
  {
    key: 'leaks-wp',
    round: 'near',
    when: (f) => f.gauge && not(spirit)(f),
    what: 'Look round again near working pressure',
    how: 'The same joints as before. What took up, what did not.',
    why: 'What still leaks now is a fault: write it down with the pressure.',
    gates: (f) => wp(f, 0.85),
    minutes: 3
  }
];
