import type { FitOut } from '../../engine';
import { psi } from '../../units';
import type { StepRule } from '../step';
import {
  both,
  carries,
  damper,
  drains,
  electric,
  fed,
  feeds,
  gas,
  glass,
  held,
  listed,
  names,
  not,
  p,
  sentences,
  solid,
  spirit,
  standingPump,
  turning,
  wheels,
  wp
} from './fits';

/** Where valves should lift, by what its owner holds, with what the others say. */
const liftSchool = {
  under:
    'Here they lift just under working pressure, so that it is never passed; others set them at it, or just above so that no steam is lost.',
  at: 'Here they lift at working pressure; others set them just under, so that it is never passed, or just above, so that no steam is lost.',
  above:
    'Here they lift just above working pressure, so that no steam is lost; others set them at it, or just under so that it is never passed.'
} as const;

/** One rule for each of a kind that an engine can have: two injectors are two proofs. */
const upTo = (most: number): readonly number[] => Array.from({ length: most }, (_, i) => i);
const numbered = (key: string, i: number) => (i === 0 ? key : `${key}-${i + 1}`);

const injectorProven = (i: number): StepRule => {
  const it = (f: FitOut) => feeds(f, 'injector')[i]!;
  return {
    key: numbered('prove-injectors', i),
    round: 'feeds',
    shown: 'proven',
    proves: (f) => [it(f).name],
    when: (f) => feeds(f, 'injector').length > i && f.habits.injector === 'standing',
    what: (f) => `Prove the ${it(f).name.toLowerCase()}`,
    how: 'Water fully on first, then steam slowly until it picks up. Waste dry.',
    why: 'The cones must be cold: that is why water goes on first. Tested standing; the other school tests once moving.',
    gates: (f) => wp(f, Math.min(0.9, Math.max(0.6, (it(f).from / f.workingPressure) * 1.2))),
    minutes: 2
  };
};

const pumpProven = (i: number): StepRule => {
  const it = (f: FitOut) => feeds(f, 'hand pump', 'steam pump')[i]!;
  return {
    key: numbered('feeds-proven', i),
    round: 'feeds',
    shown: 'proven',
    proves: (f) => [it(f).name],
    when: (f) => feeds(f, 'hand pump', 'steam pump').length > i,
    what: (f) => `Prove the ${it(f).name.toLowerCase()}`,
    how: (f) => `Water to the boiler. Feel each stroke bite${glass(f) ? ', see the glass answer' : ''}.`,
    why: (f) => sentences('Fitted is not proven.', carries(f) && 'The club’s rule is usually two proven feeds before the public rides.'),
    gates: (f) => wp(f, 0.5),
    minutes: 2
  };
};

/** Before it moves: what is fitted is not yet what works. */
export const prove: readonly StepRule[] = [
  {
    key: 'blow-through',
    when: (f) => f.glasses.some((g) => g.blowThrough),
    what: (f) => (f.glasses.length > 1 ? 'Blow through both glasses' : 'Blow through the glass'),
    how: 'Its cock open: steam and water both rush. Shut it: the water returns briskly.',
    why: 'A choked passage shows a level that is not there. A slow return is a blocked one.',
    caution: 'Face away from the glass, hand behind its guard.',
    gates: (f) => wp(f, 0.4),
    sees: 'water returns',
    minutes: 2
  },
  {
    key: 'glasses-agree',
    when: (f) => f.glasses.length > 1,
    what: 'Both glasses agree',
    how: 'Log what each shows.',
    why: 'Two glasses are worth two only while they say the same.',
    needs: ['blow-through'],
    sees: 'glasses agree',
    evidence: 'glass reading',
    minutes: 1
  },
  ...upTo(4).map(injectorProven),
  ...upTo(4).map(pumpProven),
  {
    key: 'valve-lifts',
    shown: 'reading',
    when: (f) => f.gauge,
    what: (f) => (f.safetyValves.length > 1 ? 'See each safety valve lift and reseat' : 'See the safety valve lift and reseat'),
    how: (f) => `Set at ${f.safetyValves.map((v) => p(v.set)).join(' and ')}. Log where each opens and where it shuts. Stand clear.`,
    why: (f) =>
      `A tap shows that a valve moves, not where it lifts. ${liftSchool[f.habits.lifts]} It is no question of physics: the examiner’s word goes.`,
    caution: (f) =>
      `If the pressure passes ${p(f.workingPressure * 1.1)} and nothing lifts: ${listed([
        { solid: 'fire down', gas: 'gas off', spirit: 'burner out', electric: 'off at the switch' }[f.fire.with],
        damper(f) && 'damper shut',
        fed(f) && glass(f) && 'feed if the glass shows water',
        'people back'
      ])}.`,
    gates: (f) => wp(f, 0.94),
    evidence: 'lift',
    proof: (f) => ({ kind: 'lifts', valves: f.safetyValves.length }),
    must: true,
    minutes: 4
  },
  {
    key: 'relief',
    shown: 'seen',
    when: not((f) => f.gauge),
    what: 'Relief valve feathers',
    how: 'Log the feather. Then the pressure is about the valve’s setting.',
    why: 'Nothing else on it tells how far the pressure has come.',
    sees: 'feather',
    // Seen as it comes, and pointed at.
    minutes: 0
  },
  {
    key: 'gauge-agrees',
    shown: 'agrees',
    when: (f) => f.gauge && f.safetyValves.length > 0 && not(spirit)(f),
    what: 'Gauge read against the valves',
    how: 'The needle at the lift, against the valve’s stamped figure.',
    why: 'Two instruments that disagree are a fault in one of them.',
    proof: (f) => ({ kind: 'agrees', sets: f.safetyValves.map((v) => v.set), within: 0.05 * f.workingPressure }),
    needs: ['valve-lifts'],
    minutes: 1
  },
  {
    key: 'whistle',
    round: 'answers',
    when: (f) => f.whistle && not(spirit)(f),
    what: 'Whistle: drain it, then sound it',
    how: 'Away from people’s ears.',
    why: 'What gargles or is stuck is no warning to anybody.',
    gates: (f) => wp(f, 0.5),
    sets: [{ valve: 'whistle', open: 1, then: 0 }],
    minutes: 1
  },
  {
    key: 'blower-proof',
    round: 'answers',
    when: solid,
    what: (f) => (damper(f) ? 'Blower and damper answer' : 'Blower answers'),
    how: 'Blower up: the fire lifts. Blower down: it settles.',
    why: 'The blower keeps the flame inside when the regulator shuts.',
    gates: (f) => wp(f, 0.5),
    minutes: 1
  },
  {
    key: 'brake-proof',
    when: both(wheels, (f) => f.brakes.some((b) => b.kind !== 'hand')),
    what: (f) => `${f.brakes.some((b) => b.kind === 'steam') ? 'Steam' : 'Vacuum'} brake holds; leak-down timed`,
    how: 'Apply, shut off, time a minute.',
    opens: (f) => (f.brakes.some((b) => b.isolator) ? ['isolator'] : []),
    why: 'A brake that leaks off in a minute is not a brake.',
    gates: (f) => wp(f, 0.6),
    minutes: 2
  },
  {
    key: 'isolators-open',
    shown: 'closed',
    when: both(wheels, (f) => f.brakes.some((b) => b.kind !== 'hand' && b.isolator)),
    what: 'Isolators back open',
    how: 'Each one, by hand, after its test.',
    why: 'A brake isolated for its test is a brake that is not there on the bank.',
    needs: ['brake-proof'],
    closes: ['isolator'],
    must: true,
    minutes: 1
  },
  {
    key: 'warm-through',
    round: 'warm',
    when: (f) => f.cylinders.drains !== 'none' && not(spirit)(f),
    what: 'Warm the cylinders through',
    how: (f) =>
      sentences(
        `${held(f)}, drains open.`,
        `Crack the regulator${f.cylinders.reverser === 'none' ? '' : ', in both gears'}; see every drain really pass water, then shut it and wait for vapour.`,
        turning(f) ? 'Turn it by hand, only with the regulator shut.' : 'Then a wheel’s turn each way, once the way is clear.',
        (f.cylinders.drains === 'steam' || f.cylinders.drains === 'steam isolated') &&
          'Drains worked by steam may not open before there is load.',
        f.cylinders.drains === 'chest' && 'This engine drains only its steam chest: be slower.'
      ),
    why: 'Water does not compress. What it meets breaks.',
    caution: 'Hands out of the motion while the regulator is open.',
    gates: (f) => wp(f, 0.6),
    needs: ['valve-lifts'],
    act: 'admit steam',
    sees: 'vapour',
    sets: [{ valve: 'regulator', open: 0.1, then: 0 }],
    minutes: 6
  },
  {
    key: 'line-through',
    when: (f) => electric(f) && !drains(f),
    what: 'Steam line blown through into a can',
    how: (f) =>
      `Where the line uncouples: its union off at the engine, the end in a can held in a cloth, ${f.control === 'none' ? 'until' : 'steam on a crack until'} no more water comes, then steam off and coupled again. Where it does not: through the engine, and slower.`,
    why: 'The first steam is all water in a cold line, and this engine has no drains to be rid of it.',
    caution: 'The can gets hot at once: cloth, and nobody opposite its mouth.',
    needs: ['whistle'],
    gates: (f) => (f.gauge ? wp(f, 0.6) : []),
    minutes: 2
  },
  {
    key: 'warm-gently',
    when: not(drains),
    needs: ['line-through'],
    gates: (f) => wp(f, 0.6),
    what: 'Warm through with no drains',
    how: (f) =>
      `A breath of steam, ${turning(f) ? 'turn it by hand' : 'push it a turn of its wheels'}, stop, wait. Again, until what comes out is dry.`,
    why: 'Without drains the water has only one way out: past the valve, a little at a time.',
    caution: 'If it locks, stop. Do not force it.',
    act: 'admit steam',
    sees: 'vapour',
    sets: [{ valve: 'regulator', open: 0.1, then: 0 }],
    minutes: (f) => (f.size === 'tabletop' ? 0.5 : 2)
  },
  {
    key: 'pump-standing',
    shown: 'proven',
    when: (f) => standingPump(f).length > 0,
    proves: (f) => standingPump(f).map((x) => x.name),
    what: (f) => `Prove the ${names(standingPump(f))}, standing`,
    how: (f) =>
      sentences(
        `${f.drive === 'gears' ? 'Out of gear' : 'Clutch out'}, let the engine turn over gently, water to the boiler.`,
        glass(f) && 'The glass must rise.'
      ),
    why: 'It can turn without moving off: what feeds is known before it goes anywhere.',
    needs: ['warm-through', 'warm-gently'],
    act: 'admit steam',
    minutes: 3
  },
  {
    key: 'lubricator-on',
    round: 'warm',
    when: (f) => f.lubrication.some((x) => x.kind === 'displacement' || x.kind === 'sight feed'),
    what: 'Lubricator open',
    how: 'A quarter turn, or so many drops a minute as this engine likes.',
    why: 'Steam alone washes the bores dry.',
    needs: ['warm-through', 'warm-gently'],
    minutes: 1
  },
  {
    key: 'gas-proof',
    when: gas,
    what: 'Burner steady with steam drawn',
    how: 'Open the regulator a moment: the flame must not lift or light back.',
    why: 'A change of draught is what puts a flame out.',
    gates: (f) => wp(f, 0.6),
    minutes: 1
  },
  {
    key: 'electric-proof',
    when: electric,
    what: 'Pressure holds with the element on',
    how: (f) =>
      f.gauge
        ? 'Let it turn over, and log the needle twice, a minute or more apart: it must not fall.'
        : 'Let it turn over for two minutes: it must not slow.',
    why: 'An element makes no more steam than its watts. What is asked beyond that comes out of what is stored, and the needle sinks.',
    evidence: 'pressure reading',
    proof: (f) => (f.gauge ? { kind: 'holds', within: psi(2) } : undefined),
    needs: ['warm-through', 'warm-gently'],
    minutes: 2
  },
  {
    key: 'fit-to-run',
    what: 'Fit to run: keeper’s word',
    how: (f) => sentences(glass(f) && 'Water seen.', 'Valves seen.', fed(f) && 'Feeds proven.', 'Nothing left open that should be shut.'),
    why: 'You say it, not the book. Joram lists what was seen and what was not.',
    needs: [
      'blow-through',
      'glasses-agree',
      ...upTo(4).map((i) => numbered('prove-injectors', i)),
      ...upTo(4).map((i) => numbered('feeds-proven', i)),
      'pump-standing',
      'valve-lifts',
      'relief',
      'whistle',
      'blower-proof',
      'brake-proof',
      'isolators-open',
      'warm-through',
      'warm-gently'
    ],
    evidence: 'initials',
    minutes: (f) => (f.size === 'tabletop' ? 0.5 : 1)
  }
];
