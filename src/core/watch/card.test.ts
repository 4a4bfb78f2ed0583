import { describe, expect, it } from 'vitest';
import { at, type Made, steaming } from '../../../tests/made';
import { cardOf, type Detail, due, headOf } from '.';

const done = (step: string, minute: number): Made => [minute, 'tick', { step, outcome: 'done' }];
/** The keys on the card that is to be done now. */
const card = (name: string, made: Made[], detail: Detail = 'usual') => {
  const { state, context } = steaming(name, made);
  const { now } = due(context.procedure, state, at(90));
  const points = cardOf(now!, context.procedure, state, at(90), detail);
  return { keys: points.map((p) => p.step.key), head: headOf(points).what };
};
const book = [done('papers', 0), done('carried', 0)];

describe('a card', () => {
  it('has the points of a round that can be done now; what is read or must not be missed stands alone', () => {
    expect(card('Little Bittern', book)).toEqual({ keys: ['smokebox', 'tubes', 'grate', 'firebox'], head: 'Fire side, front to back' });
    const looked = [...book, ...['smokebox', 'tubes', 'grate', 'firebox'].map((k) => done(k, 1))];
    expect(card('Little Bittern', looked).keys).toEqual(['valves-fitted']);
    expect(card('Little Bittern', [...looked, done('valves-fitted', 2), [3, 'reading', { pressure: 0 }]]).keys).toEqual([
      'glass-clean',
      'feeds-look',
      'fastenings',
      'brakes',
      'coupling',
      'drains-free',
      'bore-look',
      'bore-note',
      'tender-look',
      'water-kind',
      'blow-down-shut'
    ]);
  });
  it('leaves out what is done, skipped or waiting, and takes in what waits only for a point before it', () => {
    expect(
      card('Little Bittern', [...book, done('tubes', 1), [2, 'tick', { step: 'grate', outcome: 'skipped', reason: 'x' }]]).keys
    ).toEqual(['smokebox', 'firebox']);
    const raised: Made[] = [
      [0, 'phase', { phase: 'Raise' }],
      done('match', 0),
      done('alight', 4),
      [5, 'fire', { act: 'fuel on' }],
      [6, 'fire', { act: 'fuel on' }],
      [9, 'reading', { pressure: 206_843 }],
      done('air-out', 9)
    ];
    // The plug waits for the changeover and for nothing else.
    expect(card('Little Bittern', raised).keys).toEqual(['changeover', 'plug-out']);
    const cold = raised.filter((m) => m[1] !== 'reading');
    expect(card('Little Bittern', cold).keys).not.toContain('plug-out');
  });
  it('full asks point by point; brief for all of a phase that can be done', () => {
    expect(card('Little Bittern', book, 'full').keys).toEqual(['smokebox']);
    const brief = card('Little Bittern', book, 'brief');
    expect(brief.keys.slice(0, 5)).toEqual(['smokebox', 'tubes', 'grate', 'firebox', 'glass-clean']);
    expect(brief.keys).not.toContain('valves-fitted');
    expect(brief.head).toBe('Look over');
  });
  it('two injectors are two proofs', () => {
    const up: Made[] = [
      [0, 'phase', { phase: 'Prove' }],
      [1, 'reading', { pressure: 690_000, glass: 0.5, glassAt: 690_000 }],
      done('blow-through', 2),
      [2.5, 'reading', { glass: 0.5, glassAt: 690_000 }],
      done('glasses-agree', 3),
      done('whistle', 4),
      done('blower-proof', 4)
    ];
    expect(card('Marsh Hen', up).keys).toEqual(['prove-injectors', 'prove-injectors-2']);
    const { state } = steaming('Marsh Hen', [...up, done('prove-injectors', 5)]);
    expect([state.feeds['Left injector']?.proven, state.feeds['Right injector']?.proven]).toEqual([true, undefined]);
  });
});
