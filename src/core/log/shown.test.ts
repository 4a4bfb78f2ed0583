import { describe, expect, it } from 'vitest';
import { at, entry, fitOut, lit, type Made, pressure, steaming, t0 } from '../../../tests/made';
import { compose, withBook } from '../procedure';
import { psi } from '../units';
import { add, carriedOver, fold, missedOf, standing } from '.';

/** The steps that the log showed to be done, and nobody ticked. */
const shownBy = (name: string, made: Made[]) =>
  Object.entries(steaming(name, made).state.steps).flatMap(([key, s]) => (s.shown ? [key] : []));
const done = (step: string, minute: number): Made => [minute, 'tick', { step, outcome: 'done' }];

describe('what the log shows is not asked', () => {
  it('the needle, once it has moved; not before, and not by another instrument', () => {
    expect(shownBy('Little Bittern', [lit, pressure(9, 1)])).not.toContain('needle');
    expect(shownBy('Little Bittern', [lit, [9, 'reading', { temperature: 370 }]])).not.toContain('needle');
    expect(shownBy('Little Bittern', [lit, pressure(9, 3)])).toContain('needle');
  });
  it('the glass near working pressure is a look of then, and not one of before', () => {
    const glass = (minute: number): Made => [minute, 'reading', { glass: 0.5, glassAt: psi(80) }];
    expect(shownBy('Little Bittern', [lit, glass(30), pressure(31, 80)])).not.toContain('level-hot');
    expect(shownBy('Little Bittern', [lit, pressure(31, 80), glass(31.5)])).toContain('level-hot');
    expect(shownBy('Little Bittern', [lit, pressure(31, 60), glass(31.5)])).not.toContain('level-hot');
  });
  it('what was seen; what it closes found closed, if it had been opened; the blower beside it', () => {
    const seen: Made = [8, 'observation', { seen: 'start fuel alight' }];
    const litByStep: Made = [0, 'tick', { step: 'match', outcome: 'done' }];
    expect(shownBy('Little Bittern', [litByStep, seen])).toContain('alight');
    expect(shownBy('Little Bittern', [litByStep, [1, 'observation', { seen: 'start fuel alight' }]])).not.toContain('alight');
    const raised: Made[] = [done('fan-on', 0), litByStep, pressure(20, 31)];
    const fanOff: Made = [21, 'valve', { valve: 'fan', open: 0 }];
    const blowerOn: Made = [20.5, 'valve', { valve: 'blower', open: 0.5 }];
    expect(shownBy('Little Bittern', [...raised, fanOff])).not.toContain('changeover');
    expect(shownBy('Little Bittern', [...raised, blowerOn, fanOff])).toContain('changeover');
    expect(shownBy('Little Bittern', [litByStep, pressure(20, 31), blowerOn, fanOff])).not.toContain('changeover');
    // Under its pressure it waits, whatever was opened and shut.
    expect(shownBy('Little Bittern', [done('fan-on', 0), litByStep, pressure(20, 20), blowerOn, fanOff])).not.toContain('changeover');
  });
  it('the first coal after the bed is alight, the next after it; a feed proven; the blower turned down', () => {
    const coal = (minute: number): Made => [minute, 'fire', { act: 'fuel on' }];
    const alight: Made[] = [[0, 'tick', { step: 'match', outcome: 'done' }], done('alight', 4)];
    expect(shownBy('Little Bittern', [...alight, coal(3)])).not.toContain('first-coal');
    expect(shownBy('Little Bittern', [...alight, coal(5)])).toContain('first-coal');
    const fed: Made = [40, 'feed', { feed: 'Injector', on: true, proven: true }];
    expect(shownBy('Little Bittern', [lit, pressure(39, 80), fed])).toContain('prove-injectors');
    expect(shownBy('Little Bittern', [lit, pressure(39, 20), fed])).not.toContain('prove-injectors');
    const blower = (open: number): Made => [41, 'valve', { valve: 'blower', open }];
    expect(shownBy('Little Bittern', [lit, pressure(39, 80), blower(0.5)])).not.toContain('blower-down');
    expect(shownBy('Little Bittern', [lit, pressure(39, 80), blower(0.25)])).toContain('blower-down');
  });
  it('each valve lifted and shut, and the needle with what they are stamped; a needle that is off is asked about', () => {
    const lifted = (valve: number, at: number): Made[] => [
      [50, 'lift', { valve, lifted: psi(at) }],
      [51, 'lift', { valve, reseated: psi(at - 4) }]
    ];
    const up: Made[] = [lit, pressure(49, 90)];
    expect(shownBy('Little Bittern', [...up, ...lifted(1, 90)])).not.toContain('valve-lifts');
    expect(shownBy('Little Bittern', [...up, ...lifted(1, 90), ...lifted(2, 93)])).toEqual(
      expect.arrayContaining(['valve-lifts', 'gauge-agrees'])
    );
    const off = steaming('Little Bittern', [...up, ...lifted(1, 97), ...lifted(2, 93)]);
    const agrees = off.context.procedure.steps.find((s) => s.key === 'gauge-agrees')!;
    expect(standing(agrees, off.state, off.context.procedure, at(52))).toMatchObject({
      is: 'lacking',
      lacks: expect.stringContaining('Valve 1 lifted at')
    });
    const near = steaming('Little Bittern', [...up, ...lifted(1, 94), ...lifted(2, 93)]);
    expect(near.state.steps['gauge-agrees']).toMatchObject({ outcome: 'done', shown: true, by: 'Wenna' });
  });
  it('a gauge that does not start at nothing is no gauge at rest', () => {
    expect(shownBy('Little Bittern', [pressure(0, 0)])).toContain('gauge-zero');
    expect(shownBy('Little Bittern', [pressure(0, 1)])).toContain('gauge-zero');
    expect(shownBy('Little Bittern', [pressure(0, 2)])).not.toContain('gauge-zero');
  });
  it('the match said outright, where what must come first had come; struck, it is to be done again', () => {
    const first = ['fill', 'valves-fitted', 'water-and-valves', 'fire-kit', 'plug-in'].map((step, i) => done(step, i / 10));
    const seen: Made[] = [0, 0.15].map((minute): Made => [minute, 'reading', { glass: 0.4, glassAt: null }]);
    const match: Made = [1, 'fire', { act: 'light' }];
    const made = [...seen, ...first, match].sort((a, b) => a[0] - b[0]);
    expect(shownBy('Little Bittern', made)).toContain('match');
    expect(shownBy('Little Bittern', [match])).not.toContain('match');
    const log = steaming('Little Bittern', made);
    const struck = add(log, { ...entry([2, 'strike', {}], 90), strikes: log.entries.find((e) => e.kind === 'fire')!.id } as never);
    expect(struck.state.steps.match).toBeUndefined();
  });
  it('what is shown may be said as well, and not be skipped; the book’s word stands from the start', () => {
    const log = steaming('Little Bittern', [pressure(0, 0), [1, 'tick', { step: 'gauge-zero', outcome: 'done' }]]);
    expect(log.state.steps['gauge-zero']).toEqual({ outcome: 'done', at: new Date(t0 + 60_000).toISOString(), by: 'Wenna' });
    const skipped = steaming('Little Bittern', [lit, pressure(2, 5), [3, 'tick', { step: 'needle', outcome: 'skipped', reason: 'x' }]]);
    expect(skipped.state.steps.needle!.against).toBe('It is done: the log shows it.');
    const f = fitOut('Little Bittern');
    const procedure = compose(f);
    const known = { at: new Date(t0).toISOString(), says: ['Boiler certificate to 2 Mar 2027'] };
    const begun = (done: boolean) =>
      fold(
        {
          fitOut: f,
          keeper: 'Wenna',
          procedure: { ...procedure, steps: procedure.steps.map((s) => (s.key === 'papers' ? { ...s, known: { ...known, done } } : s)) }
        },
        []
      );
    expect(begun(true).state.steps.papers).toMatchObject({ outcome: 'done', by: 'the book', shown: true });
    expect(begun(false).state.steps.papers).toBeUndefined();
  });
});

describe('the oil round', () => {
  it('is shown by the round and by no single point; what it missed is carried over and heads the next', () => {
    expect(shownBy('Little Bittern', [[1, 'oil', { what: 'Axleboxes' }]])).not.toContain('oil-round');
    expect(shownBy('Little Bittern', [[1, 'oil', { what: 'oil round' }]])).toContain('oil-round');
    const part: Made = [2, 'tick', { step: 'oil-round', outcome: 'done', reason: 'Missed: Axleboxes; Tender axles' }];
    const left = carriedOver(steaming('Little Bittern', [part])).filter((c) => c.how === 'in part');
    expect(left).toEqual([{ what: 'Oil round, point by point', how: 'in part', reason: 'Missed: Axleboxes; Tender axles' }]);
    expect(carriedOver(steaming('Little Bittern', [done('oil-round', 2)])).some((c) => c.how === 'in part')).toBe(false);
    expect([missedOf(left[0]!.reason!), missedOf('no time')]).toEqual([['Axleboxes', 'Tender axles'], []]);
    const f = fitOut('Little Bittern');
    const next = withBook(compose(f), { at: new Date(t0).toISOString(), papers: [], stops: [], left: [], missed: ['Axleboxes'] });
    expect(next.steps.find((s) => s.key === 'oil-round')!.known).toMatchObject({ says: ['Axleboxes'], done: false });
  });
});
