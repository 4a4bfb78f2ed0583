import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cameHow, placed } from '.';

const noon = Date.parse('2026-06-13T12:00:00.000Z');
const at = (ms: number) => new Date(noon + ms).toISOString();
const [second, minute] = [1000, 60_000];

describe('where an entry stands in time', () => {
  it.each([
    ['a good clock', 0, undefined, 2 * second, { at: at(0) }],
    ['five minutes fast', 5 * minute, 5 * minute, 2 * second, { at: at(0), clock: { said: at(5 * minute), ahead: 5 * minute } }],
    ['five minutes slow', -5 * minute, -5 * minute, 0, { at: at(0), clock: { said: at(-5 * minute), ahead: -5 * minute } }],
    ['a minute fast and not measured', minute, undefined, 0, { at: at(minute) }],
    ['more, and not measured', minute + 1, undefined, 0, { at: at(0), clock: { said: at(minute + 1) } }],
    ['measured, and still to come', 9 * minute, 2 * minute, 0, { at: at(0), clock: { said: at(9 * minute), ahead: 2 * minute } }]
  ])('%s', (_, said, ahead, received, stands) => {
    expect(placed(noon + said, ahead, noon + received)).toEqual(stands);
  });

  it('two phones, however far their clocks are off, stand in the order in which they were made', () => {
    const offset = fc.integer({ min: -400 * 86_400_000, max: 400 * 86_400_000 });
    fc.assert(
      fc.property(offset, offset, fc.integer({ min: 1, max: 1e7 }), (a, b, later) => {
        const received = noon + later + second;
        const [first, then] = [placed(noon + a, a, received), placed(noon + later + b, b, received)];
        expect(first.at < then.at).toBe(true);
      })
    );
  });

  it.each([
    [{ at: at(0), receivedAt: at(second) }, undefined, []],
    [{ at: at(0) }, undefined, []],
    [{ at: at(0), clock: { said: at(29 * second), ahead: 29 * second } }, undefined, []],
    [{ at: at(0), clock: { said: at(30 * second), ahead: 30 * second } }, undefined, ['by a clock 30 s fast, put right']],
    [{ at: at(0), clock: { said: at(-5 * minute), ahead: -5 * minute } }, undefined, ['by a clock 5 min slow, put right']],
    [
      { at: at(0), receivedAt: at(0), clock: { said: '2099-01-01T10:30:00.000Z' } },
      undefined,
      ['its clock was ahead of the club’s: it stands when it arrived']
    ],
    [{ at: at(0), receivedAt: at(2 * minute) }, undefined, ['arrived 2 min later']],
    [{ at: at(0), receivedAt: at(2 * minute - 1) }, undefined, []],
    [{ at: at(0), receivedAt: at(150 * minute) }, undefined, ['arrived 3 h later']],
    [{ at: at(0), receivedAt: at(49 * 60 * minute) }, undefined, ['arrived 2 days later']],
    [{ at: at(0), receivedAt: at(second) }, at(second), []],
    [{ at: at(0), receivedAt: at(2 * second) }, at(second), ['after the signing']]
  ])('what is said of it: %o', (entry, signed, marks) => {
    expect(cameHow(entry, signed)).toEqual(marks);
  });
});
