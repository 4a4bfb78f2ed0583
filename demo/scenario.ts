import { exampleRules, type Rules } from '../src/core/proof';
import type { FaultBodies, FaultKind } from '../src/core/faults';
import type { Forbids } from '../src/core/log';
import type { Day } from './day';

/** The scenario's facts, by engine name. Days are counted back (negative) or forward from today. */

export const papers: Record<string, [kind: string, number: string, issued: number, expires: number][]> = {
  'Marsh Hen': [
    ['Boiler certificate', 'OF-201', -250, 115],
    ['Insurance', 'FM-7741', -120, 245]
  ],
  'Little Bittern': [
    ['Boiler certificate', 'OF-214', -180, 185],
    ['Insurance', 'FM-7741', -120, 245]
  ],
  Snipe: [
    ['Boiler certificate', 'OF-188', -354, 11],
    ['Insurance', 'FM-7741', -120, 245]
  ],
  'Water Rail': [
    ['Boiler certificate', 'OF-233', -60, 305],
    ['Gas system check', 'OF-G12', -60, 305]
  ],
  'Peat Presser': [
    ['Boiler certificate', 'OF-197', -210, 155],
    ['Hydraulic test', 'OF-H31', -560, 900],
    ['Insurance', 'FM-7802', -40, 325]
  ],
  Eelcatcher: [
    ['Boiler certificate', 'OF-160', -300, 65],
    ['Hydraulic test', 'OF-H18', -2100, 1500],
    ['Insurance', 'FM-7803', -40, 325]
  ],
  'Old Scoop': [
    ['Boiler certificate', 'OF-205', -140, 225],
    ['Gas system check', 'OF-G09', -140, 225]
  ],
  Lantern: [
    ['Boiler certificate', 'OF-220', -90, 275],
    ['Electrical test', 'OF-E04', -90, 275]
  ],
  'Pond Skater': [
    ['Boiler certificate', 'OF-176', -377, -12],
    ['Gas system check', 'OF-G07', -200, 165]
  ],
  'Tin Heron': [['Boiler certificate', 'OF-240', -30, 700]]
};

/** What the club of the scenario proves by: made up, as its examiner is. */
export const rules: Rules = {
  ...exampleRules,
  name: 'Osier Fen boiler rules, made up for the demo',
  source: 'Hesper Vane-Oddie, at the winter meeting. Not a rule of any code: ask your examiner.'
};

interface DemoFault {
  engine: string;
  text: string;
  forbids: Forbids;
  raised: number;
  by: string;
  fixed?: number;
  fix?: string;
  /** What was looked at and changed since: days after it was raised, and what was written, as its page writes it. */
  log?: readonly (readonly [days: number, by: string, ...entry: FaultSaid])[];
}
type FaultSaid = { [K in FaultKind]: [kind: K, body: FaultBodies[K]] }[FaultKind];
export const faults: readonly DemoFault[] = [
  { engine: 'Little Bittern', text: 'Tender hand pump weeps at the gland', forbids: 'nothing', raised: -34, by: 'Jory Quillfeather' },
  { engine: 'Little Bittern', text: 'Left clack passing, seen at 60 psi', forbids: 'passengers', raised: -34, by: 'Jory Quillfeather' },
  {
    engine: 'Water Rail',
    text: 'Gas leak at the jet holder: bubbles in the leak fluid',
    forbids: 'steaming',
    raised: -20,
    by: 'Tamsel Bewick-Drane'
  },
  { engine: 'Eelcatcher', text: 'Third mudhole door from the left drips when cold', forbids: 'nothing', raised: -48, by: 'Corrin Sallow' },
  {
    engine: 'Old Scoop',
    text: 'Second burner slow to take when the first is at full',
    forbids: 'nothing',
    raised: -75,
    by: 'Wenna Thrale'
  },
  {
    engine: 'Marsh Hen',
    text: 'Right injector knocks off below 50 psi',
    forbids: 'nothing',
    raised: -61,
    by: 'Wenna Thrale',
    log: [
      [0.1, 'Wenna Thrale', 'asked', { symptom: 'injector-knocks-off', feed: 'Right injector' }],
      [0.1, 'Wenna Thrale', 'shown', { check: 'overflow-water', result: 'a dribble, or in spurts', note: 'Left one runs full' }],
      [0.1, 'Wenna Thrale', 'shown', { check: 'tank-look', result: 'well filled' }],
      [14, 'Corrin Sallow', 'shown', { check: 'order-again', result: 'it does not' }],
      [14, 'Corrin Sallow', 'changed', { what: 'Strainer of the right tank cleaned', cause: 'strainer', both: false }],
      [14.1, 'Corrin Sallow', 'tried', { result: 'as before' }],
      [34, 'Wenna Thrale', 'shown', { check: 'needle-try', result: 'well over it' }]
    ]
  },
  {
    engine: 'Peat Presser',
    text: 'Steering chain slack on the near side',
    forbids: 'nothing',
    raised: -110,
    by: 'Corrin Sallow',
    fixed: -96,
    fix: 'Two links out, both chains level'
  },
  {
    engine: 'Marsh Hen',
    text: 'Whistle valve weeps',
    forbids: 'nothing',
    raised: -190,
    by: 'Wenna Thrale',
    fixed: -170,
    fix: 'Seat recut, new ball'
  },
  {
    engine: 'Snipe',
    text: 'Safety valve lifts at 74 psi',
    forbids: 'steaming',
    raised: -280,
    by: 'Jory Quillfeather',
    fixed: -262,
    fix: 'New spring, set on air, seen to lift at 80 psi in steam'
  },
  {
    engine: 'Little Bittern',
    text: 'Injector will not pick up: cone scaled',
    forbids: 'passengers',
    raised: -400,
    by: 'Tamsel Bewick-Drane',
    fixed: -390,
    fix: 'Cones out and cleaned in weak acid, delivers at 45 psi'
  },
  {
    engine: 'Eelcatcher',
    text: 'Fusible plug weeping',
    forbids: 'steaming',
    raised: -420,
    by: 'Corrin Sallow',
    fixed: -395,
    fix: 'Plug renewed by the boiler examiner’s list, steam test witnessed'
  },
  {
    engine: 'Lantern',
    text: 'Thermostat lets go 4 °C late',
    forbids: 'nothing',
    raised: -150,
    by: 'Tamsel Bewick-Drane',
    fixed: -149,
    fix: 'Knob reset against the thermometer'
  }
];

/** Who usually steams what, and how often over three seasons. */
export const seasons: readonly {
  engine: string;
  keeper: string;
  steamings: number;
  running: [number, number];
  /** Where it is filled for each run. */ runs?: number;
  purposes: string[];
}[] = [
  {
    engine: 'Marsh Hen',
    keeper: 'Wenna Thrale',
    steamings: 8,
    running: [70, 150],
    purposes: ['Public running', 'Members’ day', 'Sluice Weekend']
  },
  {
    engine: 'Little Bittern',
    keeper: 'Jory Quillfeather',
    steamings: 14,
    running: [45, 110],
    purposes: ['Members’ day', 'Public running', 'Steam test']
  },
  { engine: 'Snipe', keeper: 'Jory Quillfeather', steamings: 5, running: [25, 50], purposes: ['Members’ day', 'Evening run'] },
  { engine: 'Peat Presser', keeper: 'Corrin Sallow', steamings: 5, running: [60, 120], purposes: ['Rally field', 'Sluice Weekend'] },
  {
    engine: 'Eelcatcher',
    keeper: 'Corrin Sallow',
    steamings: 3,
    running: [90, 150],
    purposes: ['Sluice Weekend', 'Threshing demonstration']
  },
  { engine: 'Old Scoop', keeper: 'Wenna Thrale', steamings: 3, running: [40, 90], purposes: ['Pump house open', 'Sluice Weekend'] },
  { engine: 'Lantern', keeper: 'Tamsel Bewick-Drane', steamings: 2, running: [15, 30], purposes: ['School visit'] },
  { engine: 'Water Rail', keeper: 'Tamsel Bewick-Drane', steamings: 2, running: [10, 14], runs: 2, purposes: ['Evening run'] },
  { engine: 'Pond Skater', keeper: 'Tamsel Bewick-Drane', steamings: 2, running: [12, 18], purposes: ['On the drain'] },
  { engine: 'Tin Heron', keeper: 'Tamsel Bewick-Drane', steamings: 2, running: [4, 6], runs: 3, purposes: ['School visit'] }
];

/** What went differently now and then. */
export const oddities: readonly Pick<Day, 'skips' | 'fault' | 'remarks'>[] = [
  {},
  { skips: { 'tubes-swept': 'Out of daylight' }, remarks: 'Tubes to do next time.' },
  { remarks: 'Ran well. Bring more steam oil.' },
  { fault: { phase: 'Run', text: 'Steam leak at a joint, front cover', forbids: 'nothing' } },
  { skips: { passengers: 'No passengers today' } }
];

/**
 * What time does to two of them. Little Bittern's tubes fur while nobody sweeps them, and are swept at last; one of Marsh Hen's
 * valves drifts down. Each is there for the trends and the learning to find.
 * @param i which of the engine's steamings, from 0
 */
export function ageing(engine: string, i: number): Pick<Day, 'own' | 'skips' | 'lifts' | 'remarks'> {
  if (engine === 'Little Bittern') {
    const since = i < 3 ? 0 : i < 10 ? i - 2 : 0;
    const left = i >= 2 && i < 9;
    return {
      own: { ntu: 1 - 0.075 * since },
      ...(left ? { skips: { 'tubes-swept': ['Out of daylight', 'Next time', 'Brush left at home'][i % 3]! } } : { skips: {} }),
      ...(i === 9 ? { remarks: 'Tubes swept at last: a bucket of soot.' } : {})
    };
  }
  if (engine === 'Marsh Hen') return { lifts: [1, 1 - 0.012 * i] };
  return {};
}
