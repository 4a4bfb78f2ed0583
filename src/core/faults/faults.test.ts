import { describe, expect, it } from 'vitest';
import { barsOf, barsPassengers } from '.';

const paper = (kind: string, expires: string) => ({ kind, expires });
const fault = (text: string, forbids: string) => ({ text, forbids });

describe('what bars an engine', () => {
  it.each([
    ['nothing', [], [paper('Boiler certificate', '2026-06-13')], []],
    ['no paper at all', [], [], ['No papers are recorded for this engine']],
    ['one that ran out yesterday', [], [paper('Insurance', '2026-06-12')], ['Insurance ran out on 12 Jun 2026']],
    ['a fault that forbids it', [fault('plug weeps', 'steaming')], [paper('Insurance', '2027-01-01')], ['Open fault: plug weeps']],
    ['not one that forbids passengers only', [fault('clack', 'passengers')], [paper('Insurance', '2027-01-01')], []]
  ])('%s', (_, faults, papers, bars) => expect(barsOf({ faults, papers }, '2026-06-13')).toEqual(bars));
  it('passengers are barred by their own', () => {
    expect(barsPassengers({ faults: [fault('clack', 'passengers'), fault('drip', 'nothing'), fault('plug', 'steaming')] })).toEqual([
      'clack'
    ]);
  });
});
