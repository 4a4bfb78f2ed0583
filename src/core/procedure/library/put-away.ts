import type { FitOut } from '../../engine';
import type { StepRule } from '../step';
import {
  both,
  capital,
  carries,
  cooled,
  drains,
  electric,
  emptied,
  fed,
  feeds,
  fuelOf,
  gas,
  glass,
  kept,
  listed,
  lubricated,
  not,
  pumps,
  road,
  sentences,
  solid,
  spirit,
  turning,
  wheels
} from './fits';

/** Clean, dry, covered, written down. */
/** Emptied after the day, where what is left tells how hot its fire is: nothing feeds it, and no glass shows it. */
const measuredOut = (f: FitOut) => !fed(f) && !glass(f) && f.storage === 'dry';

export const putAway: readonly StepRule[] = [
  {
    key: 'ash',
    round: 'cleaned',
    when: solid,
    what: 'Ash out: grate, ashpan, smokebox',
    how: 'While warm, not hot. Ash cold before it goes in any bin.',
    why: 'Ash holds damp, and damp ash eats plates. The hated job, made small by doing it now.',
    minutes: 8,
    materials: ['ash bucket', 'brush']
  },
  {
    key: 'tubes-swept',
    round: 'cleaned',
    when: solid,
    what: (f) => (f.habits.clean === 'after' ? 'Tubes swept, blast nozzle looked at' : 'Tubes: to be swept before the next steaming'),
    how: (f) =>
      f.habits.clean === 'after'
        ? 'Warm tubes sweep clean.'
        : 'Tick it if you do it today after all; otherwise skip it, and it heads the next list.',
    why: 'Skipped twice it costs you a quarter of an hour at the next raise.',
    minutes: 6,
    materials: ['flue brush']
  },
  {
    key: 'burner-clean',
    asks: (f) => (gas(f) ? ['canister after'] : []),
    round: 'cleaned',
    when: not(solid),
    what: (f) => `${electric(f) ? 'Element' : 'Burner'} dry and clean`,
    how: (f) => (gas(f) ? 'Canister off, weighed, capped.' : 'Dry, no scale, covered.'),
    why: 'So that next time starts from something known.',
    minutes: 3
  },
  {
    key: 'wicks-out',
    shown: 'closed',
    when: lubricated('wick'),
    what: 'Wicks out',
    how: 'Hang them in their box.',
    why: 'Left in, they empty the oil boxes onto the floor by morning.',
    closes: ['wicks'],
    must: true,
    minutes: 2
  },
  {
    key: 'drain-all',
    round: 'left',
    what: (f) => `${capital(listed([f.tanks.length > 0 && 'tanks', 'pipes', pumps(f) && 'pumps']))} drained`,
    how: (f) =>
      `${capital(
        listed([
          ...f.tanks.map((t) => t.name.toLowerCase()),
          pumps(f) && 'pumps',
          feeds(f, 'injector').length > 0 && 'injectors',
          f.exhaust === 'separator' && 'oil separator',
          f.exhaust === 'condensate' && 'condensate tank',
          'all cocks left open'
        ])
      )}.`,
    why: 'Anything left wet in frost is split by it. If you leave it wet, write where.',
    gates: cooled,
    needs: ['vacuum'],
    minutes: 5
  },
  {
    key: 'rust',
    round: 'left',
    when: both(drains),
    what: 'Oil against rust',
    how: (f) => sentences('Bores and bright work wiped while warm.', turning(f) && 'A few turns by hand.'),
    why: 'Bright steel is brown in a night.',
    gates: cooled,
    minutes: 5,
    who: 'either',
    materials: ['rags', 'oil']
  },
  {
    key: 'wash-out',
    round: 'left',
    when: (f) => f.mudholes > 0,
    what: 'Wash-out: is it due?',
    how: 'Count this steaming. When the club’s count is reached: doors off cold, washed through, looked into, new joints, dated.',
    why: 'Sludge on the plates keeps the water off them, and in a new boiler it froths.',
    minutes: 2
  },
  {
    key: 'refill',
    when: (f) => f.storage === 'full' && !kept(f),
    what: 'Fill it again for the time it stands',
    how: (f) => `Cold, with treated water${glass(f) ? ', to the top of the glass' : ', until it stands in the opening'}.`,
    why: (f) =>
      emptied(f) ? 'It was run out for the sludge, and is left full.' : 'It is left full, and nothing could fill it while it was hot.',
    gates: cooled,
    needs: ['vacuum', 'cool-drain'],
    evidence: 'glass reading',
    minutes: 5
  },
  {
    key: 'boiler-state',
    round: 'left',
    what: (f) => (f.storage === 'full' ? 'Boiler left full and treated' : 'Boiler left dry and open'),
    how: (f) =>
      f.storage === 'full'
        ? `${glass(f) ? 'To the top of the glass' : 'To the top'} with treated water, cocks shut.`
        : `Drained, all openings open, air through it.${measuredOut(f) ? ' Into the measure, and log it: it says how much a minute of fire takes.' : ''}`,
    asks: (f) => (measuredOut(f) ? ['water out'] : []),
    why: (f) =>
      f.shell.material === 'steel' ? 'Steel rusts at the water line: all of it wet, or all of it dry.' : 'Half wet is the worst of both.',
    gates: cooled,
    needs: ['vacuum', 'refill'],
    closes: ['vent', 'drains', 'isolator', 'cladding'],
    minutes: 3
  },
  {
    key: 'road-cover',
    round: 'left',
    when: both(road, wheels),
    what: (f) => `Chimney covered, ${f.brakes.length ? 'brake on, ' : ''}chocked`,
    how: 'Rain goes down chimneys.',
    why: 'Soot and rain make acid.',
    closes: ['chocks', 'gear'],
    minutes: 2
  },
  {
    key: 'covers',
    round: 'left',
    when: (f) => !road(f),
    what: 'Everything back on and covered',
    how: (f) => (f.comesOff ? `${f.comesOff} refitted.` : 'Plugs, caps, cover.'),
    why: 'The next person finds it as you would want to.',
    closes: ['chocks', 'gear', 'filler', 'funnel', 'valve'],
    minutes: 3
  },
  {
    key: 'used',
    asks: (f) => [
      ...(solid(f) ? (['fuel used'] as const) : []),
      'water used',
      'steam oil',
      ...(f.size === 'tabletop' ? [] : (['motion oil'] as const))
    ],
    round: 'written',
    what: 'Fuel, water and oil used',
    how: (f) =>
      `${capital(
        listed([
          solid(f) && `${fuelOf(f)} by the bucket`,
          f.tanks.length > 0 ? 'water by the tank' : 'water by the measure',
          gas(f) && 'canister by its weight',
          spirit(f) && 'fuel by the charge'
        ])
      )}. Log what you measured.`,
    why: 'The next day’s quantities come from this one’s.',
    minutes: 2
  },
  {
    key: 'faults-written',
    round: 'written',
    what: 'Faults written down while remembered',
    how: (f) => `Each with what it forbids: steaming, ${carries(f) ? 'passengers, ' : ''}or nothing.`,
    why: 'A fault not written is found again by the next person, under pressure.',
    minutes: 3
  }
];
