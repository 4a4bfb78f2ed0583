import type { FitOut } from '../../engine';
import type { StepRule } from '../step';
import { air, bores, both, capital, damper, electric, fan, fed, fuelOf, gas, listed, not, sentences, solid, spirit } from './fits';

const places = { 'burner face': 'at the burner face', smokebox: 'at the smokebox', 'flue end': 'at the end of the flue' } as const;
/** A burner in its turn, and where it is lit from. */
const burnerAt = (f: FitOut, i: number): string => {
  const burner = f.fire.with === 'gas' ? f.fire.burners[i] : undefined;
  if (!burner) return '';
  return `${f.fire.with === 'gas' && f.fire.burners.length > 1 ? `the ${burner.name.toLowerCase()}` : 'it'} ${places[burner.litAt]}`;
};

/** From the last check to a fire that stays in. Water and valves are proven before fire, always. */
export const lightUp: readonly StepRule[] = [
  {
    key: 'water-and-valves',
    what: (f) => (f.glasses.length ? 'Water in the glass, valves fitted' : 'Water measured in, valve fitted'),
    how: (f) => (f.glasses.length ? 'Look again now. Log the glass.' : 'Say the amount out loud. Look at the valve.'),
    why: 'Last chance before fire. Everything else can be put right later.',
    needs: ['fill', 'valves-fitted', 'close-top'],
    evidence: 'glass reading',
    again: true,
    must: true,
    minutes: 1
  },
  {
    key: 'fire-kit',
    when: not(electric),
    what: 'Extinguisher to hand, bottles capped and away',
    how: (f) =>
      `Spills wiped. ${capital(listed([solid(f) && 'lighting fluid', spirit(f) && 'what is left of the fuel', f.lamps && 'lamp oil', gas(f) && 'spare gas']))} ten paces off.`,
    why: 'The next thing you do is strike a match.',
    caution: (f) =>
      solid(f)
        ? 'Never petrol. Never relight soaked fuel in a hot firebox without a pause to air it.'
        : spirit(f)
          ? 'Never petrol.'
          : undefined,
    must: true,
    minutes: 2,
    materials: ['extinguisher']
  },
  {
    key: 'plug-in',
    round: 'laid',
    when: bores,
    what: 'Plug in the second chimney bore',
    how: 'Push it in far enough that the fan cannot lift it.',
    why: 'Otherwise the fan draws down the open bore.',
    opens: ['plug'],
    minutes: 1
  },
  {
    key: 'damper-open',
    round: 'laid',
    when: damper,
    what: 'Damper open',
    how: 'Fully.',
    why: 'Air under the grate is the fire.',
    sets: [{ valve: 'damper', open: 1 }],
    minutes: 1
  },
  {
    key: 'bed',
    round: 'laid',
    when: solid,
    what: (f) =>
      f.fire.with === 'solid'
        ? `Lay the start fuel: ${f.fire.start === 'charcoal' ? 'soaked charcoal' : f.fire.start === 'paraffin sticks' ? 'paraffin-soaked sticks' : f.fire.start === 'kindling' ? 'dry kindling' : f.fire.start}`
        : '',
    how: (f) =>
      f.habits.firstBed === 'thin'
        ? 'Thin and even over the whole grate, corners first.'
        : 'Up to the door, loose enough to see light through.',
    why: (f) =>
      f.habits.firstBed === 'thin'
        ? 'A thin even bed takes sooner. The other school fills to the door, because it holds longer.'
        : 'A deep bed holds longer. The other school lays it thin, because it takes sooner.',
    minutes: 4,
    materials: ['start fuel', 'lighting fluid']
  },
  {
    key: 'fan-on',
    round: 'laid',
    when: both(fan, (f) => f.habits.draught === 'before'),
    what: 'Fan on the chimney, running',
    how: 'Hold a smoking taper at the fire door: it must be drawn in.',
    why: 'Draught before the match, so that the flame goes the right way. The other school lights first, so that the start fuel is not blown out.',
    opens: ['fan'],
    minutes: 1,
    materials: ['fan', 'battery']
  },
  {
    key: 'air-on',
    round: 'laid',
    when: air,
    what: 'Compressed air to the blower',
    how: 'A gentle hiss in the smokebox.',
    why: 'It draws the fire until steam can.',
    minutes: 1,
    opens: ['air hose']
  },
  {
    key: 'match',
    shown: 'lit',
    when: solid,
    what: 'Light it',
    how: (f) =>
      sentences(
        'At the door end, then let the draught carry it forward. Door to a crack.',
        fan(f) && f.habits.draught === 'before' && 'Lighting from a burning shovel, the fan comes off while it goes in.'
      ),
    why: (f) => `The time is logged from here: the boiler can only lose water from now${fed(f) ? ' until the first feed works' : ' on'}.`,
    caution: 'Stand to one side of the door.',
    needs: ['water-and-valves', 'fire-kit', 'plug-in'],
    act: 'light',
    opens: ['fire'],
    must: true,
    minutes: 1,
    materials: ['matches or gas lighter']
  },
  {
    key: 'fan-on-after',
    when: both(fan, (f) => f.habits.draught === 'after'),
    what: 'Fan on the chimney',
    how: 'As soon as the flame has hold of the start fuel.',
    why: 'Draught after the match, so that the start fuel is not blown out. The other school starts the fan first.',
    opens: ['fan'],
    needs: ['match'],
    minutes: 1
  },
  {
    key: 'alight',
    round: 'taken',
    shown: 'seen',
    when: solid,
    what: (f) =>
      f.fire.with === 'solid' && f.fire.start === 'charcoal' ? 'Charcoal well alight, all over' : 'Start fuel well alight, all over',
    how: 'Door shut. Look after three or four minutes, not before.',
    why: 'What is put on a fire that is not ready puts it out.',
    needs: ['match'],
    gates: [{ kind: 'minutes', after: 'match', minutes: 3 }],
    sees: 'start fuel alight',
    evidence: 'tick',
    minutes: 4
  },
  {
    key: 'first-coal',
    round: 'taken',
    shown: 'fuel',
    when: both(solid, (f) => f.fire.with === 'solid' && f.fire.start !== 'wood'),
    what: (f) => (fuelOf(f) === 'coal' ? 'First coal, a little' : `More ${fuelOf(f)}, a little`),
    how: (f) =>
      `Pieces of ${f.size === 'full' ? 'a fist' : f.size === 'medium' ? 'a walnut' : 'a hazelnut'} or so, where it is brightest. Then ${f.habits.firing === 'little' ? 'little and often' : 'built up and left alone'}, each charge alight before the next, door shut. Smoke that lifts straight from the chimney is draught; smoke at the door is none.`,
    why: (f) =>
      `A whole bed of cold fuel at once puts out a small fire. ${
        f.habits.firing === 'little'
          ? 'Little and often keeps the bed hot; the other school builds it up and leaves it, so that the door stays shut.'
          : 'Built up and left, the door stays shut; the other school fires little and often, so that the bed stays hot.'
      }`,
    needs: ['alight'],
    gates: [{ kind: 'seen', what: 'start fuel alight' }],
    sets: (f) => [{ fuel: fuelOf(f) }],
    minutes: 3,
    materials: (f) => [fuelOf(f), 'shovel']
  },
  {
    key: 'charge',
    when: (f) => spirit(f),
    asks: () => ['charge'],
    what: (f) => (f.fire.with === 'spirit' ? `Measure the charge out: ${f.fire.charge}` : ''),
    how: (f) =>
      f.fire.with === 'spirit' && f.fire.fuel === 'tablets'
        ? `${f.fire.layout === 'together' ? 'Side by side on the tray' : 'One behind the other on the tray'}, as the maker says. Log what they weigh.`
        : 'By the measure, away from the engine, into a cold burner. Log what it weighs.',
    why: 'The charge is what ends the run: no more of it than ends before the water does.',
    caution: 'Never topped up while it is lit or hot.',
    needs: ['fill'],
    must: true,
    minutes: 1,
    materials: ['measured fuel']
  },
  {
    key: 'gas-light',
    shown: 'lit',
    when: gas,
    what: (f) => (f.fire.with === 'gas' ? `Light ${burnerAt(f, 0)}` : ''),
    how: (f) =>
      sentences(
        'Purge with the gas off. Flame there first, then gas, slowly.',
        f.fire.with === 'gas' && f.fire.burners[0]!.lightUp !== null && `Its valve ${f.fire.burners[0]!.lightUp} of a turn open.`,
        f.fire.with === 'gas' && f.fire.burners[0]!.litAt !== 'burner face'
          ? 'Listen for the flame to run back to the burner with a soft pop, then a hush. If it stays up there, gas off, air it, and try with less gas.'
          : `${capital(f.fire.with === 'gas' && f.fire.burners[0]!.tells === 'seen' ? 'see' : 'hear')} it take within five seconds.`
      ),
    why: 'Gas that is not lit at once collects in the flue.',
    caution: (f) =>
      sentences(
        'Not heard or seen in five seconds: gas off, air it for a counted minute, try again.',
        f.kind === 'launch plant' && 'Gas is heavy: it pools low in a hull. Tip the hull and air it first.'
      ),
    needs: ['water-and-valves', 'fire-kit', 'gas-leak'],
    act: 'light',
    purge: (f) => (f.fire.with === 'gas' ? f.fire.purge : 0),
    opens: ['fire', 'canister'],
    must: true,
    minutes: 2,
    materials: ['gas lighter']
  },
  ...[1, 2, 3, 4, 5].map((i): StepRule => ({
    key: `burner-${i + 1}`,
    when: (f) => f.fire.with === 'gas' && f.fire.burners.length > i,
    what: (f) => `Then ${burnerAt(f, i)}`,
    how: 'When the one before it draws well. Flame there first, then its gas.',
    why: 'Lit into a flue that stands still, it starves the one that burns, or fills the flue with what does not.',
    caution: 'One of them lost: all of them off, and the whole of it from the first burner on.',
    needs: [i > 1 ? `burner-${i}` : 'gas-light'],
    gates: (f) => [{ kind: 'minutes', after: i > 1 ? `burner-${i}` : 'gas-light', minutes: f.fire.with === 'gas' ? f.fire.wait / 60 : 0 }],
    sets: (f) => (f.fire.with === 'gas' && f.fire.burners[i] ? [{ flame: f.fire.burners[i].name }] : []),
    must: true,
    minutes: 1
  })),
  {
    key: 'gas-set',
    when: gas,
    what: (f) =>
      f.fire.with === 'gas' && f.fire.burners.length > 1
        ? `All ${f.fire.burners.length} burners burn; set to running`
        : 'Flame heard; set to running',
    how: (f) =>
      sentences(
        'A steady hush, blue at the burner, no roar and no yellow.',
        f.fire.with === 'gas' &&
          f.fire.burners[0]!.running !== null &&
          `Its valve ${f.fire.burners[0]!.running} turn${f.fire.burners[0]!.running === 1 ? '' : 's'} open.`
      ),
    why: 'A roar is a flame off its burner; yellow is one short of air.',
    needs: ['gas-light', 'burner-2', 'burner-3', 'burner-4', 'burner-5', 'burner-6'],
    sees: 'flame heard',
    minutes: 1
  },
  {
    key: 'spirit-light',
    shown: 'lit',
    when: spirit,
    what: (f) => (f.fire.with === 'spirit' ? `Light ${f.fire.charge}, burner under` : ''),
    how: 'Measured away from the engine, bottle capped. Note the time.',
    why: 'The charge must burn out before the water does.',
    caution: 'The flame may be invisible in daylight. Never top up a burner that is lit or hot.',
    needs: ['water-and-valves', 'fire-kit', 'charge'],
    act: 'light',
    opens: ['fire'],
    must: true,
    minutes: 1,
    materials: ['tray']
  },
  {
    key: 'mains-on',
    when: electric,
    what: 'Mains on',
    how: (f) => `${capital(listed([f.vent && 'vent shut', f.control !== 'none' && 'regulator shut']) || 'top shut')}, then switch on.`,
    why: (f) =>
      f.fire.with === 'electric' && f.fire.thermostat === 'none'
        ? 'From here you are what switches it off.'
        : 'From here the thermostat decides, and you watch it.',
    needs: ['water-and-valves', 'electrics', 'element-covered'],
    act: 'light',
    opens: ['mains', 'fire'],
    must: true,
    minutes: 1
  },
  {
    key: 'start-temperature',
    shown: 'reading',
    when: (f) => f.size !== 'tabletop',
    what: 'Log how warm the water was',
    how: 'From the boiler’s thermometer, or the water it was filled with: type 12c.',
    why: 'A raise that begins ten degrees warmer is a tenth shorter. Without it this engine’s times cannot be compared.',
    evidence: 'temperature reading',
    chore: true,
    minutes: 1
  }
];
