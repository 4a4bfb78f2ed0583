import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { plantOf } from '../boiler';
import { figures, patterns } from '../engine';
import { dip } from '../forecast';
import {
  evaluate,
  type Expression,
  given,
  greater,
  inputsOf,
  inWords,
  minus,
  over,
  plus,
  psi,
  roundedDown,
  roundedUp,
  times,
  type Worked,
  type WorkedInput,
  type WorkedStep
} from '../units';
import { fillFigures, fillOf, fuelAndWater, needsPair, quantitiesFor, startingSum } from '.';

/** A sum as a reader with a pocket calculator does it: from its printed words and the numbers printed under them. */
function byHand(words: string, inputs: readonly WorkedInput[]): number {
  let text = words;
  const longestFirst = [...inputs].sort((a, b) => b.name.length - a.name.length);
  longestFirst.forEach((x, i) => (text = text.replaceAll(x.name, `§${i}§`)));
  const tokens = text.match(/§\d+§|[()+−×÷]|the greater of|and|rounded up|rounded down/g)!;
  expect(tokens.join('').replace(/\s/g, '').length, words).toBe(text.replace(/\s/g, '').length);
  const taken = (token: string) => tokens[0] === token && tokens.shift();
  const whole = (): number => {
    if (taken('the greater of')) {
      const list = [sum()];
      while (taken('and')) list.push(sum());
      return Math.max(...list);
    }
    return sum();
  };
  const sum = (): number => {
    let x = product();
    for (;;)
      if (taken('+')) x += product();
      else if (taken('−')) x -= product();
      else return x;
  };
  const product = (): number => {
    let x = rounded();
    for (;;)
      if (taken('×')) x *= rounded();
      else if (taken('÷')) x /= rounded();
      else return x;
  };
  const rounded = (): number => {
    const bracket = taken('(');
    let x = bracket ? whole() : longestFirst[Number(tokens.shift()!.slice(1, -1))]!.value;
    if (bracket) expect(taken(')'), words).toBeTruthy();
    for (;;)
      if (taken('rounded up')) x = Math.ceil(x);
      else if (taken('rounded down')) x = Math.floor(x);
      else return x;
  };
  const value = whole();
  expect(tokens, words).toEqual([]);
  return value;
}
const close = (got: number, wanted: number, what: string): void =>
  void expect(Math.abs(got - wanted), `${what}: ${got}, not ${wanted}`).toBeLessThanOrEqual(1e-9 * Math.max(1e-6, Math.abs(wanted)));

/** Every line that is a sum comes to what it says, and takes from the lines above it what they came to; the last line is the figure. */
function reworked({ steps, value }: Worked, what: string) {
  const above = new Map<string, number>();
  for (const step of steps) {
    for (const input of step.inputs) if (input.from === 'above') expect(input.value, `${what}: ${input.name}`).toBe(above.get(input.name));
    if (step.sum)
      close(byHand(step.formula.slice(step.formula.indexOf('= ') + 2), step.inputs), step.result.value, `${what}: ${step.formula}`);
    above.set(step.result.name, step.result.value);
  }
  expect(steps.at(-1)!.result.value, what).toBe(value);
}
const sums = (steps: readonly WorkedStep[]) => steps.every((s) => s.sum);

describe('a working is the sum', () => {
  it('whatever is put together reads in words that come to the same by hand', () => {
    const leaf = fc.nat(25).map((i) => given(`x${i}x`, i + 1.5, 'count', 'measured'));
    const { any } = fc.letrec<{ any: Expression }>((tie) => {
      const two = fc.tuple(tie('any'), tie('any'));
      return {
        any: fc.oneof(
          { maxDepth: 5 },
          leaf,
          ...[plus, minus, times, over, greater].map((op) => two.map((of) => op(...of))),
          ...[roundedUp, roundedDown].map((op) => tie('any').map((e) => op(e)))
        )
      };
    });
    fc.assert(
      fc.property(
        any.filter((e) => Number.isFinite(evaluate(e)) && Math.abs(evaluate(e)) < 1e9),
        (e) => {
          close(byHand(inWords(e), inputsOf(e)), evaluate(e), inWords(e));
        }
      ),
      { numRuns: 1000 }
    );
  });

  const engines = patterns.map(({ fitOut }) => {
    const plant = plantOf(fitOut);
    return { fitOut, plant, level: startingSum(fitOut, plant) };
  });
  // By number: a counterexample that prints a whole plant is not read.
  const one = (list: readonly unknown[]) => fc.nat(list.length - 1);
  const day = fc.record({
    running: fc.integer({ min: 0, max: 480 }),
    water: fc.integer({ min: 274, max: 300 }),
    air: fc.integer({ min: 265, max: 305 }),
    past: fc.array(fc.record({ fuel: fc.double({ min: 0.1, max: 60, noNaN: true }), inSteam: fc.integer({ min: 600, max: 30_000 }) }), {
      maxLength: 3
    })
  });

  it('what a day needs, on 1,000 random days', () => {
    fc.assert(
      fc.property(one(engines), day, (i, { running, water, air, past }) => {
        const { fitOut, plant, level } = engines[i]!;
        for (const { worked, key } of quantitiesFor(fitOut, plant, { running, water, air }, level, past)) {
          expect(sums(worked.steps), `${fitOut.name} ${key}`).toBe(true);
          reworked(worked, `${fitOut.name} ${key}`);
        }
      }),
      { numRuns: 1000 }
    );
  });

  it('fuel and water that end together, and a slug of cold water, on 1,000 random ones', () => {
    const paired = engines.filter(({ fitOut }) => needsPair(fitOut));
    const fed = engines.filter(({ fitOut }) => !needsPair(fitOut));
    const share = fc.double({ min: 0.05, max: 1, noNaN: true });
    fc.assert(
      fc.property(one(paired), one(fed), share, share, fc.boolean(), (i, j, x, y, given) => {
        const [p, f] = [paired[i]!, fed[j]!];
        const fill = Math.max(0.1, x) * fillOf(p.level, p.plant);
        const pair = fuelAndWater(p.fitOut, p.plant, { fill, ...(given ? { charge: y * 5 } : {}) });
        if ('refused' in pair) for (const step of pair.worked.steps) expect(step.sum).toBeTruthy();
        else reworked(given ? { ...pair.charge, value: pair.charge.steps.at(-1)!.result.value } : pair.charge, p.fitOut.name);
        const water = (0.4 + 0.2 * x) * f.plant.vessel.room * 900;
        reworked(
          dip(f.plant, { water, gauge: psi(30 + 50 * y), kg: 0.05 * water, feedAt: 290, heat: y * 20_000 }).worked,
          `${f.fitOut.name}, a slug`
        );
      }),
      { numRuns: 1000 }
    );
  });

  it('every figure of every engine ends in the line that gives it', () => {
    for (const { fitOut, plant } of engines)
      for (const { worked, name } of [...figures(fitOut), ...fillFigures(fitOut, plant)]) reworked(worked, `${fitOut.name}: ${name}`);
  });
});
