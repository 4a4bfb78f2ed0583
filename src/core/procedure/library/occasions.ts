import { type Condition, type Fitting, fittingsOf, type OccasionKey, registerOf, type Place, walksOf } from '../../commission';
import { type FitOut, mayAccumulate } from '../../engine';
import { mark, psi } from '../../units';
import type { Gate, Phase, Proof, StepRule } from '../step';
import { drains, gas, glass, sentences, solid, spirit, wheels } from './fits';

/** PROCEDURES OF OTHER OCCASIONS: on air, on borrowed steam, the first fire, a test in steam, and cold work. Steps of their own, and those of the day that they share. */

const p = (pascal: number) => mark(pascal, 'pressure');

/** The most that a chassis is turned on by air, Pa at the gauge: it turns on little, and air stores what it is pumped to. */
const mostAir = psi(30);
const airAt = ({ workingPressure }: FitOut) => Math.min(mostAir, workingPressure / 2);

const cells =
  (condition: Condition, of: readonly Fitting['of'][]) =>
  (f: FitOut): Proof | undefined => {
    const items = fittingsOf(f)
      .filter((x) => of.includes(x.of) && x.in.includes(condition))
      .map((x) => x.name);
    return items.length ? { kind: 'cells', in: condition, items } : undefined;
  };
const swept =
  (at: (f: FitOut) => number, of: readonly Place['of'][]) =>
  (f: FitOut): Proof => ({
    kind: 'swept',
    at: at(f),
    names: registerOf(f)
      .filter((x) => of.includes(x.of))
      .map((x) => x.name)
  });
const has = (condition: Condition, of: readonly Fitting['of'][]) => (f: FitOut) => cells(condition, of)(f) !== undefined;

const matrix = (
  key: string,
  condition: Condition,
  of: readonly Fitting['of'][],
  what: string,
  how: string,
  more: Partial<StepRule> = {}
): StepRule => ({
  key,
  when: has(condition, of),
  what,
  how,
  why: 'What was not touched is not known. What is left stands on the release and in the record, and heads the next session.',
  proof: cells(condition, of),
  shown: 'borne out',
  minutes: 6,
  ...more
});
const walk = (key: string, at: (f: FitOut) => number, of: readonly Place['of'][], more: Partial<StepRule> = {}): StepRule => ({
  key,
  what: (f) => `Leak sweep ${at(f) === 0 ? 'cold, full of water' : `at ${p(at(f))}`}`,
  how: (f) =>
    `The same walk each time, every place on the list: dry, weeps, drips or blows. Point at it on the drawing.${
      at(f) === 0 ? ' Photograph what you doubt, and what will be hidden: later walks are held against it.' : ''
    }`,
  why: (f) =>
    at(f) === 0
      ? 'What leaks cold is found before there is heat behind it.'
      : 'Small ones often take up as it warms. One that grows with the pressure does not.',
  caution: (f) =>
    at(f) === 0 ? undefined : 'Look, and keep hands and face out of the way of a jet: what blows is not felt for with a finger.',
  proof: swept(at, of),
  shown: 'borne out',
  gates: (f) => (at(f) === 0 || !f.gauge ? [] : [{ kind: 'pressure', atLeast: 0.95 * at(f) }]),
  minutes: 5,
  ...more
});

/** On the way up, one walk for each pressure but the cold one. */
const walksUp = (of: readonly Place['of'][]): StepRule[] =>
  [1, 2, 3].map((i) =>
    walk(`sweep-${i}`, (f) => walksOf(f)[i]!, of, {
      when: (f) => walksOf(f)[i] !== undefined,
      // Half a working pressure is swept while it is raised: it is not held there.
      must: false
    })
  );

const rig = (
  key: string,
  what: string,
  how: string,
  why: string,
  of: Extract<Proof, { kind: 'rig' }>,
  more: Partial<StepRule> = {}
): StepRule => ({
  key,
  what,
  how,
  why,
  proof: () => of,
  shown: 'borne out',
  must: true,
  minutes: 3,
  ...more
});

/** Steps of its own before and after those that it shares with a usual day. */
type Part = { readonly first?: readonly StepRule[]; readonly from?: readonly string[]; readonly own?: readonly StepRule[] };
type Composed = Readonly<Partial<Record<Phase, Part>>>;

/** What an engine on a stand is held by is not taken away again: nothing of it is opened here. */
const held: StepRule = {
  key: 'held',
  what: 'Held where it is, and free to turn',
  how: (f) =>
    sentences(
      wheels(f) && 'On a stand, or its driven wheels off what they stand on; what has to stand is chocked, and stays so.',
      !wheels(f) && 'Bolted or weighted down.',
      f.drive === 'gears' && 'Out of gear.',
      f.drive === 'clutch' && 'Clutch out.'
    ),
  why: 'It is going to turn, and it is not to go anywhere.',
  must: true,
  minutes: 3
};
const ownDrains = (f: FitOut) => f.cylinders.drains === 'hand' || f.cylinders.drains === 'chest';

const turned: readonly string[] = ['fastenings', 'brakes', 'drains-free', 'road-gear', 'place'];
const oiled: readonly string[] = ['mechanical', 'oil-round', 'hold-regulator'];
const left: readonly string[] = ['covers', 'faults-written'];

const air: Composed = {
  'Look over': {
    from: turned,
    own: [
      {
        key: 'air-boiler',
        what: 'No air goes into the boiler',
        how: 'The pipe to the cylinders is parted from it, blanked, or there is no boiler.',
        why: 'Air is stored work: a boiler is tested with water, never with air.',
        must: true,
        minutes: 2
      },
      {
        key: 'air-supply',
        what: (f) => `Air set at no more than ${p(airAt(f))}`,
        how: 'By the reducing valve of its supply, with a tap at hand that lets all of it go. Begin with a third of it.',
        why: 'A chassis that is free turns on a few pounds. What does not, binds.',
        must: true,
        minutes: 2
      }
    ]
  },
  'Fill and oil': {
    from: oiled,
    own: [
      held,
      matrix('cold-cells', 'cold', ['chassis'], 'Every control moved, cold', 'Its whole way and back, and what it moves seen to move.')
    ]
  },
  Raise: {
    own: [
      {
        key: 'air-on',
        what: (f) => `Air hose on, clear of the ${wheels(f) ? 'wheels and the ' : ''}motion`,
        how: 'Tied at both ends. Nobody’s hands in the motion from now on.',
        why: 'It starts by itself when the pressure is enough.',
        opens: ['air hose'],
        needs: ['air-boiler', 'air-supply'],
        minutes: 2
      }
    ]
  },
  Prove: {
    own: [
      {
        key: 'air-turns',
        what: 'Turned over on air, both ways',
        how: (f) =>
          sentences(
            wheels(f) && 'Chocked, or off the rails on a stand.',
            'Crack it, and let it find its way. Listen to it: even beats, as many as it has.'
          ),
        why: 'What binds shows as a beat that comes late, and as air that has to be raised for it.',
        caution: 'Hands out of the motion: it starts without a word.',
        needs: ['air-on'],
        minutes: 5
      },
      {
        key: 'air-starts',
        what: 'The lowest pressure at which it starts by itself',
        how: (f) =>
          `From four places of a turn${f.cylinders.reverser === 'none' ? '' : ', in both gears'}, and the worst of them written down.`,
        why: 'It is the one number that says how free it is, and can be held against next year’s.',
        asks: () => ['starts at'],
        needs: ['air-turns'],
        minutes: 5
      },
      {
        key: 'air-slow',
        what: 'The slowest that it runs evenly',
        how: 'Count its turns for a minute. Measure, Beats does it for you.',
        why: 'Valves that are set well let it run slowly; a blow past a piston or a valve does not.',
        needs: ['air-turns'],
        minutes: 3
      },
      matrix(
        'air-cells',
        'air',
        ['chassis'],
        'Everything of the chassis touched on air',
        'Each control while it turns, each cylinder listened to.',
        {
          needs: ['air-turns']
        }
      )
    ]
  },
  'Shut down': {
    own: [
      {
        key: 'air-off',
        what: 'Air off, let go, hose off',
        how: 'Shut at the supply, the rest let out through the cylinders, then the hose.',
        why: 'A hose under air whips.',
        closes: ['air hose'],
        needs: ['air-on'],
        minutes: 2
      }
    ]
  },
  'Put away': { from: left }
};

const borrowed: Composed = {
  'Look over': {
    from: turned,
    own: [
      {
        key: 'lender',
        what: 'The other boiler: its papers, its keeper, its water',
        how: 'In date and looked after by its own keeper, who stands at it and says when its water must be fed. You do not keep two.',
        why: 'Its water falls by what you take, and its keeper is who sees it.',
        must: true,
        minutes: 3
      }
    ]
  },
  'Fill and oil': {
    from: oiled,
    own: [
      held,
      matrix('cold-cells', 'cold', ['chassis'], 'Every control moved, cold', 'Its whole way and back, and what it moves seen to move.')
    ]
  },
  Raise: {
    own: [
      rig(
        'borrowed-on',
        'Rig the steam: whose, and by when it must be off',
        'A hose for steam at that boiler’s pressure, tied at both ends, a valve at each, drained at its lowest point. Rig, Steam of another boiler.',
        'What is on for a trial is forgotten, unless it has an end.',
        { kind: 'rig', part: 'borrowed steam', on: true },
        {
          needs: ['lender'],
          caution: 'Never above the pressure of what is behind it: this engine’s own pipe and chest are the weakest part.'
        }
      )
    ]
  },
  Prove: {
    own: [
      {
        key: 'borrowed-warm',
        what: (f) => (drains(f) ? 'Warmed through, drains open' : 'Warmed through, gently'),
        how: 'Crack it and shut it, again and again, until what comes is vapour and no more water.',
        why: 'Water does not give way: it breaks covers and bends rods.',
        needs: ['borrowed-on'],
        opens: (f) => (ownDrains(f) ? ['drains'] : []),
        minutes: 6
      },
      {
        key: 'borrowed-turns',
        what: 'Turned over on steam, both ways',
        how: (f) => sentences(wheels(f) && 'On a stand or chocked.', 'Slowly, then a little faster, then slowly again.'),
        why: 'Hot, it is tighter than on air. What binds now bound then, a little.',
        caution: 'Hands out of the motion.',
        needs: ['borrowed-warm'],
        minutes: 8
      },
      matrix(
        'borrowed-cells',
        'steam',
        ['chassis'],
        'Everything of the chassis touched in steam',
        'Each control hot, each gland and each drain looked at.',
        {
          needs: ['borrowed-turns']
        }
      ),
      // What the hose leaves of that boiler's pressure is what is walked at: its needle is read and logged.
      walk('borrowed-sweep', (f) => walksOf(f)[1]!, ['chassis'], {
        what: (f) => `Leak sweep of the chassis at ${p(walksOf(f)[1]!)}`,
        needs: ['borrowed-turns'],
        gates: []
      })
    ]
  },
  'Shut down': {
    own: [
      rig(
        'borrowed-off',
        'Steam off at the other boiler, hose off, said so to its keeper',
        'Valve shut there first, then here, the hose drained, then taken off. What was opened is shut once it is dry.',
        'The other engine has its own day.',
        { kind: 'rig', part: 'borrowed steam', on: false },
        { needs: ['borrowed-on'], closes: (f) => (ownDrains(f) ? ['drains'] : []) }
      )
    ]
  },
  'Put away': { from: ['drain-all', 'rust', ...left] }
};

/** Walks instead of the usual looks round for leaks. */
const looks = new Set(['leaks-30', 'leaks-50', 'leaks-wp']);
const coldWalk = walk('sweep-0', () => 0, ['boiler']);

const first: readonly StepRule[] = [
  matrix(
    'cold-cells',
    'cold',
    ['boiler', 'chassis'],
    'Every control and fitting touched, cold',
    'Its whole way and back, and what it moves seen to move.'
  ),
  coldWalk
];
const frothing: StepRule = {
  key: 'froth',
  when: glass,
  what: 'A new boiler froths: believe the glass only when it is still',
  how: 'Regulator shut, a minute, then read. Water with the steam in the first hours is no sign that it is too full.',
  why: 'Flux, oil and cutting grease make foam, and a foaming glass reads high.',
  minutes: 1
};
const washed: StepRule = {
  key: 'washed-new',
  what: 'Wash it out after the first few steamings',
  how: (f) =>
    f.blowDown
      ? 'Blown down hot, filled and emptied cold until it runs clear.'
      : 'Emptied while warm, filled and emptied until it runs clear.',
  why: 'What was left in it by its making froths, and settles where the heat is.',
  minutes: 2
};
const steamCells = matrix(
  'steam-cells',
  'steam',
  ['boiler', 'chassis'],
  'Every control and fitting touched in steam',
  'One after the other, and what was not, said why.'
);
const accumulated: StepRule = {
  key: 'accumulated',
  when: mayAccumulate,
  what: 'Accumulation test run, with the examiner beside it',
  how: 'Accumulation test, below: it says what must be set first, keeps the time, and does the sum.',
  why: 'Valves that pass less than the fire makes are no safety valves.',
  proof: () => ({ kind: 'accumulated' }),
  shown: 'borne out',
  minutes: 15
};

const filledAgain: StepRule = {
  key: 'filled-again',
  when: (f) => f.storage === 'full',
  what: 'Filled again for the time it stands',
  how: (f) => `Cold, with treated water${glass(f) ? ', to the top of the glass' : ', until it stands in the opening'}.`,
  why: 'It is left full: half wet is the worst of both.',
  minutes: 5
};

const looked: readonly string[] = ['smokebox', 'tubes', 'grate', 'firebox', 'doors', 'fastenings'];
const coldWork: Readonly<Record<'wash-out' | 'lay-up' | 'return' | 'tube sweep', Composed>> = {
  'wash-out': {
    'Look over': {
      own: [
        {
          key: 'quite-cold',
          what: 'Cold, and no pressure: something opened that would blow',
          how: (f) => (f.vent ? 'Vent open, hand on the metal.' : 'An opening at the top loosened slowly, hand on the metal.'),
          why: 'One that shows nothing is not an empty boiler.',
          must: true,
          minutes: 2
        }
      ]
    },
    'Fill and oil': {
      own: [
        {
          key: 'wash-open',
          what: 'Emptied, and opened at top and bottom',
          how: 'Everything that opens, taken off and laid out in order.',
          why: 'Sludge lies where no jet reaches from one side.',
          needs: ['quite-cold'],
          minutes: 15
        },
        {
          key: 'wash-washed',
          what: 'Washed through until it runs clear',
          how: 'From the top down, every opening in turn, the lowest last.',
          why: 'What stays bakes on the plates, and keeps the water off them.',
          needs: ['wash-open'],
          minutes: 30
        },
        {
          key: 'wash-looked',
          what: 'Looked into, and what came out written down',
          how: 'Scale, mud, how much, from where. A light and a mirror.',
          why: 'What comes out says whether the water is right for it.',
          needs: ['wash-washed'],
          minutes: 10
        },
        {
          key: 'wash-closed',
          what: 'Closed with new joints, and each marked as taken apart',
          how: 'Leak sweep, Taken apart: it is swept anew at the next fire.',
          why: 'What was tight before says nothing of a new joint.',
          proof: () => ({ kind: 'apart' }),
          needs: ['wash-looked'],
          minutes: 20
        }
      ]
    },
    'Put away': { first: [filledAgain], from: ['boiler-state', ...left] }
  },
  'lay-up': {
    'Put away': {
      first: [filledAgain],
      from: ['ash', 'tubes-swept', 'lubricator-drain', 'drain-all', 'rust', 'boiler-state', 'wicks-out', ...left],
      own: [
        {
          key: 'lay-dated',
          what: 'Label on it: wet or dry, drained where, and the day',
          how: 'Where whoever comes next puts a hand first.',
          why: 'In spring nobody remembers.',
          minutes: 2
        },
        {
          key: 'lay-turn',
          what: 'Left where it does not stand on one spot',
          how: 'Turned a quarter each month.',
          why: 'Rings and glands rust where they stand.',
          minutes: 2
        }
      ]
    }
  },
  return: {
    'Look over': {
      from: [
        'papers',
        'carried',
        ...looked,
        'valves-fitted',
        'gauge-zero',
        'glass-clean',
        'brakes',
        'drains-free',
        'canister',
        'gas-leak',
        'electrics'
      ],
      own: [
        {
          key: 'return-nests',
          what: 'Nothing lives in it',
          how: (f) =>
            solid(f)
              ? 'Chimney, grate, every pipe that was open.'
              : gas(f) || spirit(f)
                ? 'Chimney, burner, every pipe that was open.'
                : 'Every pipe that was open.',
          why: 'A nest in a flue is found by smoke in the face.',
          minutes: 3
        }
      ]
    },
    'Fill and oil': {
      from: ['mechanical', 'oil-round'],
      own: [
        coldWalk,
        {
          key: 'return-turned',
          what: 'Every control moved, cold',
          how: 'Its whole way and back, before there is anything behind it.',
          why: 'What has stuck breaks when it is forced hot.',
          minutes: 5
        }
      ]
    },
    'Put away': { from: left }
  },
  'tube sweep': {
    'Look over': { from: ['smokebox', 'grate'] },
    'Put away': {
      from: ['ash', 'faults-written'],
      own: [
        {
          key: 'swept-all',
          when: (f) => registerOf(f).some((p) => p.kind === 'tube'),
          what: 'Every tube swept, end to end',
          how: 'From the end that opens, a brush of their bore, counted as you go.',
          why: 'One choked tube is a share of the fire that makes no steam.',
          minutes: 15,
          materials: ['flue brush']
        },
        {
          key: 'swept-nozzle',
          when: solid,
          what: 'Blast nozzle and blower jets clear, and in line with the chimney',
          how: 'By eye down the chimney; a fine pricker for the jets.',
          why: 'Half a draught is found on the first bank.',
          minutes: 4
        },
        {
          key: 'swept-closed',
          when: solid,
          what: 'Smokebox shut, and tight',
          how: 'A lit taper round its door while somebody blows.',
          why: 'Air that comes in there does not come through the fire.',
          minutes: 3
        }
      ]
    }
  }
};

const composed: Partial<Record<OccasionKey, Composed>> = { air, borrowed, ...coldWork };

/** Steps of a fire’s own occasions that stand beside those of a usual day: after which phase’s steps. */
const added: Partial<Record<OccasionKey, Readonly<Partial<Record<Phase, readonly StepRule[]>>>>> = {
  first: {
    'Fill and oil': first,
    Raise: [frothing, ...walksUp(['boiler', 'chassis'])],
    Prove: [accumulated, steamCells],
    'Put away': [washed]
  },
  'steam test': { 'Fill and oil': [coldWalk], Raise: walksUp(['boiler', 'chassis']), Prove: [accumulated] }
};

/** Where nothing is lit no step waits for a fire to be out, nor for what it has to cool from. */
const unlit = (rule: StepRule): StepRule => ({
  ...rule,
  gates: (f) => {
    const gates: readonly Gate[] = typeof rule.gates === 'function' ? rule.gates(f) : (rule.gates ?? []);
    return gates.filter((g) => g.kind !== 'fire out' && !(g.kind === 'seen' && g.what === 'engine cold'));
  }
});

type Library = readonly { readonly phase: Phase; readonly rules: readonly StepRule[] }[];

/** The library of an occasion: by phase and in the order in which the work is done. */
export function libraryOf(library: Library, occasion: OccasionKey): Library {
  const of = composed[occasion];
  if (of) {
    const all = new Map(library.flatMap(({ rules }) => rules.map((r) => [r.key, r] as const)));
    return library.map(({ phase }) => {
      const { first = [], from = [], own = [] } = of[phase] ?? {};
      return { phase, rules: [...first, ...from.flatMap((key) => all.get(key) ?? []), ...own].map(unlit) };
    });
  }
  const more = added[occasion];
  if (!more) return library;
  // A test in steam is proven and put away: nobody gives their word that it is fit to run.
  const not = occasion === 'steam test' ? new Set([...looks, 'fit-to-run', 'feeds-proven']) : looks;
  return library.map(({ phase, rules }) => ({
    phase,
    rules: occasion === 'steam test' && phase === 'Run' ? [] : [...rules.filter((r) => !not.has(r.key)), ...(more[phase] ?? [])]
  }));
}
