import fc from 'fast-check';
import { expect, it } from 'vitest';
import { mixedFitOut } from '../../../tests/mixed';
import { occasionKeys, occasionOf } from '../commission';
import { type FitOut, patterns } from '../engine';
import { psi } from '../units';
import { compose, type Step } from '.';
import { lint } from './linter';

const bittern = patterns.find((p) => p.fitOut.name === 'Little Bittern')!.fitOut;

it('nothing untrue, out of order, left open or out of reach in the procedures of other occasions: in the ten patterns, and in fit-outs that no pattern has', () => {
  for (const occasion of occasionKeys)
    for (const { fitOut } of patterns) {
      const procedure = compose(fitOut, occasion);
      expect(lint(procedure, fitOut), `${fitOut.name}, ${occasion}`).toEqual([]);
      const fires = procedure.steps.some((s) => s.act === 'light');
      expect(fires, `${fitOut.name}, ${occasion}`).toBe(occasionOf(occasion).by === 'own fire');
    }
  fc.assert(
    fc.property(mixedFitOut, fc.constantFrom(...occasionKeys), (fitOut, occasion) => {
      expect(lint(compose(fitOut, occasion), fitOut)).toEqual([]);
    }),
    { numRuns: 300, seed: 20261201 }
  );
});
it('a first steaming sweeps where a usual day looks round, and a steam test is not run', () => {
  const keys = (occasion: 'first' | 'steam test' | 'running') => compose(bittern, occasion).steps.map((s) => s.key);
  expect(keys('first').filter((k) => k.startsWith('sweep-'))).toEqual(['sweep-0', 'sweep-1', 'sweep-2', 'sweep-3']);
  expect(keys('first').some((k) => k.startsWith('leaks-'))).toBe(false);
  expect(keys('running').some((k) => k.startsWith('sweep-'))).toBe(false);
  expect(compose(bittern, 'steam test').steps.some((s) => s.phase === 'Run')).toBe(false);
  const gates = compose(bittern, 'first').steps.flatMap((s) => (s.proof?.kind === 'swept' ? [[s.proof.at, s.gates.length]] : []));
  expect(gates).toEqual([
    [0, 0],
    [psi(30), 1],
    [psi(50), 1],
    [bittern.workingPressure, 1]
  ]);
});

it('nothing untrue, out of order, left open or out of reach: in the ten patterns, and in 500 fit-outs that no pattern has', () => {
  for (const { fitOut } of patterns) expect(lint(compose(fitOut), fitOut), fitOut.name).toEqual([]);
  fc.assert(
    fc.property(mixedFitOut, (fitOut) => {
      expect(lint(compose(fitOut), fitOut)).toEqual([]);
    }),
    { numRuns: 500, seed: 20261127 }
  );
});

/** A fault put into a procedure on purpose, and what the linter says of it. */
const faults: readonly (readonly [what: string, engine: string, spoil: (steps: Step[], f: FitOut) => void, found: RegExp])[] = [
  [
    'a word of another engine',
    'Lantern',
    (steps) => void (of(steps, 'valve-lifts').how += ' Damper shut.'),
    /^valve-lifts: says “Damper”, which this engine has not$/
  ],
  [
    'a gate of 81 psi before one of 72',
    'Little Bittern',
    (steps) => {
      const [a, b] = ['leaks-wp', 'level-hot'].map((key) => steps.findIndex((s) => s.key === key)) as [number, number];
      [steps[a], steps[b]] = [steps[b]!, steps[a]!];
    },
    /^\S+: opens at less than the step before it$/
  ],
  [
    'a plug that nothing takes out again',
    'Little Bittern',
    (steps) => void (of(steps, 'plug-out').closes = []),
    /^plug-in: opens “plug”, which no later step closes$/
  ],
  [
    'blown down after it was filled for the night',
    'Marsh Hen',
    (steps) => void steps.push({ ...of(steps, 'refill'), key: 'cool-drain', gates: [], needs: [] }),
    /^cool-drain: empties what was filled for the night$/
  ],
  [
    'a must that needs what comes after it',
    'Marsh Hen',
    (steps) => void (of(steps, 'match').needs = ['water-and-valves', 'changeover']),
    /^match: needs “changeover”, which does not come before it$/
  ],
  [
    'a wait for what no step sees',
    'Tin Heron',
    (steps) => void delete of(steps, 'cold').sees,
    /^\S+: waits for “engine cold”, which no step before it sees$/
  ],
  [
    'opened on the way down at more than what came before',
    'Eelcatcher',
    (steps) => void (of(steps, 'drains-off').gates = [{ kind: 'pressure falls', atMost: psi(20) }]),
    /^drains-off: opens at more than the step before it, on the way down$/
  ],
  ['left full, and nothing fills it', 'Marsh Hen', (steps) => drop(steps, 'refill'), /^boiler-state: is left full, and nothing fills it$/]
];
const of = (steps: Step[], key: string) => steps.find((s) => s.key === key)! as { -readonly [K in keyof Step]: Step[K] };
const drop = (steps: Step[], key: string) =>
  void steps.splice(
    steps.findIndex((s) => s.key === key),
    1
  );

it.each(faults)('catches a seeded fault: %s', (_, engine, spoil, found) => {
  const fitOut = patterns.find((p) => p.fitOut.name === engine)!.fitOut;
  const { library, steps } = structuredClone(compose(fitOut));
  const spoilt = [...steps];
  spoil(spoilt, fitOut);
  expect(lint({ library, steps: spoilt }, fitOut).map((l) => `${l.step}: ${l.says}`)).toEqual(
    expect.arrayContaining([expect.stringMatching(found)])
  );
});
