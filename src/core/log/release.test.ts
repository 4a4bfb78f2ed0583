import { describe, expect, it } from 'vitest';
import { at, fitOut, type Made, pressure, steaming } from '../../../tests/made';
import { compose, withBook } from '../procedure';
import { printMarks, psi, usualUnits } from '../units';
import { type Begun, feedsProven, fold, type Log, mayNotEnter, openFaults, released, standing, standingOpen, whyNot } from '.';
import { entry } from '../../../tests/made';

const done = (step: string, minute: number): Made => [minute, 'tick', { step, outcome: 'done' }];
const item = (log: Log, name: string) => released(log.context.fitOut, log.state).find((i) => i.name === name)!;
const proven = (minute: number, feed: string): Made => [minute, 'feed', { feed, on: true, to: 'boiler', proven: true }];

describe('the release', () => {
  it('names everything that must work, and nothing that the engine has not got', () => {
    const names = (engine: string) => released(fitOut(engine), steaming(engine, []).state).map((i) => i.name);
    expect(names('Little Bittern')).toEqual([
      'Axle pump',
      'Tender hand pump',
      'Injector',
      'Safety valve 1',
      'Safety valve 2',
      'Gauge glass',
      'Pressure gauge',
      'Hand brake',
      'Whistle',
      'Blower',
      'Displacement lubricator',
      'Drains'
    ]);
    expect(names('Tin Heron')).toEqual(['Relief valve', 'Whistle']);
    expect(released(fitOut('Tin Heron'), steaming('Tin Heron', []).state).every((i) => i.result === 'not tested')).toBe(true);
  });
  it('passed is what was seen today, with when and by whom; a valve that did not shut is not', () => {
    const log = steaming('Little Bittern', [
      pressure(1, 90),
      proven(2, 'Injector'),
      [3, 'lift', { valve: 1, lifted: psi(90) }],
      [4, 'lift', { valve: 1, reseated: psi(86) }],
      [5, 'lift', { valve: 2, lifted: psi(92) }],
      done('whistle', 6)
    ]);
    expect(item(log, 'Injector')).toMatchObject({ result: 'passed', by: 'Wenna', at: new Date(at(2)).toISOString() });
    expect(item(log, 'Axle pump').result).toBe('not tested');
    expect(printMarks(item(log, 'Safety valve 1').how!, usualUnits)).toBe('lifted at 90\u2009psi, shut at 86\u2009psi');
    expect(item(log, 'Safety valve 2')).toMatchObject({ result: 'not tested' });
    expect(item(log, 'Whistle')).toMatchObject({ result: 'passed', by: 'Wenna' });
  });
  it('a step that was excused, skipped or not borne out has tested nothing', () => {
    const log = steaming('Little Bittern', [
      [1, 'tick', { step: 'whistle', outcome: 'skipped', reason: 'children asleep' }],
      done('blow-through', 2)
    ]);
    expect(item(log, 'Whistle')).toMatchObject({ result: 'not tested', how: 'children asleep' });
    // Ticked at no pressure: the log did not bear it out.
    expect(item(log, 'Gauge glass').result).toBe('not tested');
  });
  it('a fault that names it, or a test that it failed, stands over what was seen; a test passed stands for it', () => {
    const seen = proven(2, 'Injector');
    const failed = steaming('Little Bittern', [seen, [3, 'test', { test: 'Injector', result: 'fail', text: 'knocks off' }]]);
    expect(item(failed, 'Injector')).toMatchObject({ result: 'failed', how: 'knocks off' });
    expect(feedsProven(failed.context.fitOut, failed.state).proven).toEqual([]);
    const faulty = steaming('Little Bittern', [seen, [3, 'fault', { text: 'injector knocks off', forbids: 'nothing' }]]);
    expect(item(faulty, 'Injector')).toMatchObject({ result: 'failed' });
    expect(feedsProven(faulty.context.fitOut, faulty.state).proven).toEqual([]);
    const cleared = steaming('Little Bittern', [
      seen,
      [3, 'fault', { text: 'injector knocks off', forbids: 'passengers' }],
      [4, 'cleared', { fault: 'injector knocks off', fix: 'strainer' }]
    ]);
    expect(feedsProven(cleared.context.fitOut, cleared.state).proven).toEqual(['Injector']);
    expect([openFaults(cleared.state), cleared.state.faults.length]).toEqual([[], 1]);
    const told = steaming('Little Bittern', [[3, 'test', { test: 'Whistle', result: 'pass' }]]);
    expect(item(told, 'Whistle')).toMatchObject({ result: 'passed', by: 'Wenna' });
    // A feed that was tested and passed is proven, and passes in no other sense.
    const tested = steaming('Little Bittern', [[3, 'test', { test: 'Injector', result: 'pass' }]]);
    expect([item(tested, 'Injector').result, feedsProven(tested.context.fitOut, tested.state).proven]).toEqual(['passed', ['Injector']]);
    const noted = steaming('Little Bittern', [[3, 'test', { test: 'Whistle', result: 'noted', text: 'gargles' }]]);
    expect(item(noted, 'Whistle')).toMatchObject({ result: 'not tested', how: 'gargles' });
  });
  it('two injectors are two proofs', () => {
    const one = steaming('Marsh Hen', [proven(2, 'Left injector')]);
    expect(feedsProven(one.context.fitOut, one.state)).toEqual({ able: ['Left injector', 'Right injector'], proven: ['Left injector'] });
  });
  it('says what still stands open, the fire aside', () => {
    const { state } = steaming('Little Bittern', [
      [0, 'fire', { act: 'light' }],
      [1, 'thing', { thing: 'chocks', open: true }]
    ]);
    expect(standingOpen(state)).toEqual(['chocked']);
  });
});

describe('public running', () => {
  const f = fitOut('Little Bittern');
  const begun: Begun = { public: true, feedsAsked: 2, faults: [], papers: [] };
  const able = ['Axle pump', 'Tender hand pump', 'Injector'];
  const book = { at: new Date(at(0)).toISOString(), papers: [], stops: [], left: [], feeds: { asked: 2, of: able } };
  const log = (made: Made[], of: Partial<Begun> = {}) =>
    fold({ fitOut: f, procedure: withBook(compose(f), book), keeper: 'Wenna', begun: { ...begun, ...of } }, made.map(entry));
  const carry = (l: Log) => {
    const step = l.context.procedure.steps.find((s) => s.act === 'carry')!;
    return whyNot(standing(step, l.state, l.context.procedure, at(60)));
  };
  it('nobody is carried before as many feeds are proven as the club asks', () => {
    expect(carry(log([]))).toMatch(/asks for 2 proven feeds: none is proven\. Not proven: axle pump, tender hand pump, injector\./);
    expect(carry(log([proven(1, 'Injector')]))).toMatch(/1 of 2 proven\. Not proven: axle pump, tender hand pump\./);
    expect(carry(log([proven(1, 'Injector'), proven(2, 'Axle pump')]))).toBeUndefined();
  });
  it('a fault of before it began stops the passengers and is named, until the book has cleared it', () => {
    const both = [proven(1, 'Injector'), proven(2, 'Axle pump')];
    const faults = [{ text: 'drawbar pin worn', forbids: 'passengers' as const }];
    expect(carry(log(both, { faults }))).toContain('Not with passengers: “drawbar pin worn” is open.');
    expect(carry(log(both, { faults: [{ text: 'paint chipped', forbids: 'nothing' }] }))).toBeUndefined();
    expect(carry(log([...both, [3, 'cleared', { fault: 'drawbar pin worn', fix: 'new pin' }]], { faults }))).toBeUndefined();
  });
  it('what the book shows is not asked; what it does not, is', () => {
    const at0 = new Date(at(0)).toISOString();
    const steps = (stops: string[], left: string[]) =>
      fold({ fitOut: f, procedure: withBook(compose(f), { ...book, stops, left }), keeper: 'W' }, []).state.steps;
    expect(steps([], [])).toMatchObject({ papers: { outcome: 'done', at: at0, shown: true }, carried: { outcome: 'done' } });
    expect(Object.keys(steps(['Insurance ran out'], ['Tubes swept: skipped']))).toEqual(['carried']);
    // What the book speaks against is not called done by hand.
    const barred = fold({ fitOut: f, procedure: withBook(compose(f), { ...book, stops: ['Insurance ran out'] }), keeper: 'W' }, []);
    const papers = barred.context.procedure.steps.find((s) => s.key === 'papers')!;
    expect(whyNot(standing(papers, barred.state, barred.context.procedure, at(1)))).toContain('does not bear it out: Insurance ran out.');
    const left = withBook(compose(f), { ...book, left: ['Tubes swept: skipped', 'drains open'] }).steps.find((s) => s.key === 'carried')!;
    expect(left.known!.says).toEqual(['Tubes swept: skipped', 'drains open']);
    expect(compose(f).steps.find((s) => s.act === 'carry')!.proof).toBeUndefined();
  });
});

describe('handed over', () => {
  const maker = (name: string, ...may: string[]) => ({ name, may: (right: string) => may.includes(right) });
  const offer: Made = [1, 'handover', { to: 'Jory', next: 'oil', offered: true }];
  const asked = (made: Made[], one: Made, by: ReturnType<typeof maker>) =>
    mayNotEnter({ ...entry(one, 50), by: by.name }, steaming('Marsh Hen', made), by, at(one[0]))?.sentence;
  it('is offered, and stays with its keeper until it is taken by whom it was offered to', () => {
    const offered = steaming('Marsh Hen', [offer]);
    expect([offered.state.keeper, offered.state.offer?.to]).toEqual(['Wenna', 'Jory']);
    const taken = steaming('Marsh Hen', [offer, [2, 'taken', { name: 'Jory' }]]);
    expect([taken.state.keeper, taken.state.offer]).toEqual(['Jory', undefined]);
    expect(taken.state.keepers).toEqual([{ name: 'Wenna' }, { name: 'Jory', at: new Date(at(2)).toISOString() }]);
    // As it was written before it had to be taken.
    expect(steaming('Marsh Hen', [[1, 'handover', { to: 'Jory', next: 'oil' }]]).state.keeper).toBe('Jory');
  });
  it('by its keeper or a steward, to somebody else; taken on the own device or by a sign-in name', () => {
    const [wenna, jory, pim] = [maker('Wenna'), maker('Jory'), maker('Pim')];
    expect(asked([], offer, wenna)).toBeUndefined();
    expect(asked([], offer, pim)).toContain('Wenna keeps it');
    expect(asked([], offer, maker('Pim', 'clear a bar'))).toBeUndefined();
    // The keeper stands beside it, at another’s device.
    expect(asked([], [1, 'handover', { to: 'Jory', next: 'oil', offered: true, signIn: 'wenna' }], pim)).toBeUndefined();
    expect(asked([], [1, 'handover', { to: 'Wenna', next: 'x', offered: true }], wenna)).toBe('Wenna has it already.');
    expect(asked([], [1, 'handover', { to: 'Jory', next: 'x' }], wenna)).toContain('offered first');
    expect(asked([], [2, 'taken', { name: 'Jory' }], jory)).toContain('not being handed over');
    expect(asked([offer], [2, 'taken', { name: 'Jory' }], jory)).toBeUndefined();
    expect(asked([offer], [2, 'taken', { name: 'Pim' }], pim)).toContain('offered to Jory');
    expect(asked([offer], [2, 'taken', { name: 'Jory' }], wenna)).toContain('on their own device');
    expect(asked([offer], [2, 'taken', { name: 'Jory', signIn: 'jory' }], wenna)).toBeUndefined();
    const sign: Made = [5, 'sign', { as: 'keeper', name: 'Wenna' }];
    const mayKeep = maker('Wenna', 'sign as keeper');
    expect(asked([offer], sign, mayKeep)).toBeUndefined();
    expect(asked([offer, [2, 'taken', { name: 'Jory' }]], sign, mayKeep)).toBe('It was handed over to Jory, who signs for it.');
    expect(asked([], [1, 'cleared', { fault: 'x', fix: 'y' }], wenna)).toContain('where it is fixed');
  });
});
