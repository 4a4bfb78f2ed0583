import { describe, expect, it } from 'vitest';
import { patterns } from '../engine';
import { compose } from '../procedure';
import { Refusal } from '../units';
import { type AskedAway, barsOf, barsPassengers, beginAway, type EngineInBook, mayBegin, unheardOf } from '.';

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

const refused = (work: () => unknown): Pick<Refusal, 'field' | 'code' | 'more'> | undefined => {
  try {
    work();
    return undefined;
  } catch (no) {
    if (no instanceof Refusal) return { field: no.field, code: no.code, more: no.more };
    throw no;
  }
};
const today = '2026-06-13';
const good = [paper('Insurance', '2027-01-01')];
const everything = () => true;

describe('may it be begun', () => {
  const barred = { faults: [fault('plug weeps', 'steaming')], papers: good };
  it.each([
    ['nothing stops it', { faults: [], papers: good }, { may: everything }, undefined],
    ['a trainee does not start', { faults: [], papers: good }, { may: () => false }, 'forbidden engine'],
    ['barred, and no reason', barred, { may: everything }, 'conflict reason'],
    [
      'barred, a reason, by one who may not',
      barred,
      { may: (right: string) => right !== 'override', reason: 'seen to' },
      'forbidden reason'
    ],
    ['barred, and overridden', barred, { may: everything, reason: 'seen to' }, undefined]
  ] as const)('%s', (_, standing, asks, no) => {
    const said = refused(() => mayBegin(standing, { ...asks, today }));
    expect(said && `${said.code} ${said.field}`).toBe(no);
    if (no?.includes('reason')) expect(said!.more.stops).toEqual(['Open fault: plug weeps']);
  });
  it('what was overridden is given back', () => {
    expect(mayBegin(barred, { may: everything, reason: 'seen to', today })).toEqual(['Open fault: plug weeps']);
  });
});

describe('begun without a connection', () => {
  const fitOut = patterns.find((p) => p.fitOut.name === 'Marsh Hen')!.fitOut;
  const book: EngineInBook = {
    id: 'e',
    version: 3,
    fitOut,
    faults: [],
    papers: good,
    feedsAsked: 2,
    left: [{ what: 'Grease the pins', how: 'skipped' }],
    known: { fits: [], offs: [], used: [], runs: [] },
    plans: [],
    running: null,
    mine: true,
    records: []
  };
  const asked: AskedAway = { purpose: '', public: true, plan: null, today, at: '2026-06-13T08:00:00.000Z', faults: [], may: everything };
  it('has what the book has: what was left last time, and the proven feeds that are asked for', () => {
    const { begun, procedure, stops, plan } = beginAway(book, asked);
    expect({ begun, stops, plan }).toEqual({ begun: { public: true, feedsAsked: 2, faults: [], papers: good }, stops: [], plan: null });
    expect(procedure.steps.map((s) => s.key)).toEqual(compose(fitOut).steps.map((s) => s.key));
    expect(JSON.stringify(procedure)).toContain('Grease the pins: skipped');
  });
  it('is barred by what was found on this device and has not been delivered', () => {
    const found = { ...asked, faults: [{ text: 'a stay weeps', forbids: 'steaming' as const }] };
    expect(refused(() => beginAway(book, found))?.more.stops).toEqual(['Open fault: a stay weeps']);
    expect(beginAway(book, { ...found, reason: 'caulked' }).stops).toEqual(['Open fault: a stay weeps']);
  });
  it('is begun from no day sheet that it has not heard of', () => {
    expect(refused(() => beginAway(book, { ...asked, plan: 'p' }))).toMatchObject({ field: 'plan', code: 'missing' });
    const planned = { ...book, plans: [{ id: 'p', wantedAt: asked.at, purpose: '', plan: null }] };
    expect(beginAway(planned, { ...asked, plan: 'p' }).plan).toBe('p');
  });
  it('what its device had not heard of is what the club knew beside it', () => {
    const { begun } = beginAway(book, { ...asked, faults: [{ text: 'a stay weeps', forbids: 'steaming' }], reason: 'caulked' });
    expect(unheardOf(['Open fault: a stay weeps', 'Open fault: plug weeps'], { begun, override: null }, today)).toEqual([
      'Open fault: plug weeps'
    ]);
  });
});
