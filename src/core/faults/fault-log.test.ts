import { describe, expect, it } from 'vitest';
import { fitOut } from '../../../tests/made';
import { patterns } from '../engine';
import { compose, retestName, withBook } from '../procedure';
import { Refusal } from '../units';
import { counted, type FaultBodies, type FaultEntry, type FaultKind, faultPage, faultState, mayTell, type Teller, untold } from '.';

const tender = patterns.find(({ key }) => key === 'tender')!.fitOut;
type Made = { [K in FaultKind]: [kind: K, body: FaultBodies[K]] }[FaultKind];
const made = (list: readonly Made[]): FaultEntry[] =>
  list.map(([kind, body], i) => ({ id: `e${i}`, kind, at: `2026-06-13T10:0${i}:00.000Z`, by: 'Wenna', body }) as FaultEntry);
const state = (...list: Made[]) => faultState(made(list));

const everything: Teller = { may: () => true, fitOut: tender, forbids: 'nothing', facts: ['needle-try'] };
/** The field at which an entry is refused after others, and its code; nothing where it may be made. */
const refused = (before: Made[], [kind, body]: Made, teller: Partial<Teller> = {}): string | undefined => {
  try {
    mayTell(state(...before), made([[kind, body] as Made])[0]!, { ...everything, ...teller });
    return undefined;
  } catch (no) {
    if (!(no instanceof Refusal)) throw no;
    return `${no.field} ${no.code}`;
  }
};

const asked: Made = ['asked', { symptom: 'pump-nothing' }];
const change = (what: string, cause?: string, both = false): Made => ['changed', { what, both, ...(cause ? { cause } : {}) }];
const tried = (result: FaultBodies['tried']['result'] = 'gone'): Made => ['tried', { result }];
const fix = (more: Partial<FaultBodies['fix']> = {}): Made => [
  'fix',
  { did: 'New ball', sure: 'cannot be told', retest: 'Raises the glass', modifies: false, ...more }
];
const seen = (check: string, result: string): Made => ['shown', { check, result }];
const holds: Made = ['retest', { result: 'holds' }];
const back: Made = ['retest', { result: 'back again' }];
const cleared: Made = ['cleared', { note: 'Seen' }];

describe('where a fault stands', () => {
  it.each<[string, Made[]]>([
    ['open', [asked]],
    ['to be tried again', [asked, fix()]],
    ['mended', [asked, fix(), holds]],
    ['open', [asked, fix(), back]],
    ['mended', [asked, fix(), back, fix(), holds]],
    ['to be cleared', [asked, fix({ modifies: true })]],
    ['to be tried again', [asked, fix({ modifies: true }), cleared]],
    ['mended', [asked, fix({ modifies: true }), cleared, holds]]
  ])('%s', (stands, list) => expect(state(...list).stands).toBe(stands));
  it('mended, of one that was fixed before faults had a log: nothing opens it', () => {
    const old = faultState([], true);
    expect(old.stands).toBe('mended');
    for (const said of [asked, fix(), holds, tried()]) expect(() => mayTell(old, made([said])[0]!, everything)).toThrow(Refusal);
  });
  it('where it is is said while it is open, and a picture taken of what was mended too', () => {
    const placed: Made = ['placed', { place: 'Whistle' }];
    const photo: Made = ['photo', { sum: 'a'.repeat(64), what: 'Whistle sticks' }];
    expect([refused([asked], placed), refused([asked], photo), refused([asked, fix()], photo)]).toEqual([undefined, undefined, undefined]);
    expect(refused([asked, fix()], placed)).toMatch(/^kind/);
    expect(state(asked, placed, photo).stands).toBe('open');
  });
  it('keeps every fix with what came of it', () => {
    const { fixes } = state(asked, fix(), back, fix({ did: 'Clack too' }), holds);
    expect(fixes.map((f) => [f.did, f.retested?.result])).toEqual([
      ['New ball', 'back again'],
      ['Clack too', 'holds']
    ]);
  });
});

describe('what counts', () => {
  const low = seen('tank-look', 'low, or the pipe nearly bare');
  const full = seen('tank-look', 'well filled');
  const fact = { check: 'tank-look', result: 0, says: 'said' };
  const counts = (list: Made[], facts = [fact]) =>
    counted(state(...list), facts).map((c) => ('check' in c ? [c.check, c.result] : [c.mended, c.did]));
  it('a hand before the record, and the last look of a hand', () => {
    expect(counts([asked])).toEqual([['tank-look', 0]]);
    expect(counts([asked, full])).toEqual([['tank-look', 1]]);
    expect(counts([asked, full, low])).toEqual([['tank-look', 0]]);
  });
  it('not what was struck: the look before it, or the record, counts again', () => {
    expect(counts([asked, full, low, ['struck', { entry: 'e2', why: 'misread' }]])).toEqual([['tank-look', 1]]);
    expect(counts([asked, low, ['struck', { entry: 'e1', why: 'misread' }]], [])).toEqual([]);
    expect(counts([asked, ['struck', { fact: 'tank-look', why: 'another tank' }]])).toEqual([]);
  });
  it('what came of a change that was said to mend something, and no other', () => {
    expect(counts([asked, change('Strainer', 'strainer'), tried('as before')], [])).toEqual([[['strainer'], 'as before']]);
    expect(counts([asked, change('Strainer'), tried('as before')], [])).toEqual([]);
    expect(counts([asked, change('Strainer', 'strainer'), change('Gland', 'pump-gland', true), tried()], [])).toEqual([
      [['strainer', 'pump-gland'], 'gone']
    ]);
  });
  it('that a fix did not hold, against what it was to mend', () => {
    const of = fix({ cause: 'pump-ball', sure: 'likely' });
    expect(counts([asked, of, back], [])).toEqual([[['pump-ball'], 'as before']]);
    expect(counts([asked, of, holds], [])).toEqual([]);
  });
  it('not what the book does not know any more', () => expect(counts([asked, seen('tank-look', 'half')], [])).toEqual([]));
});

describe('one change before it is tried', () => {
  const [gland, strainer] = [change('Gland', 'pump-gland'), change('Strainer', 'strainer')];
  it('a second one is asked about, and may be kept', () => {
    expect(refused([asked, gland], strainer)).toBe('both conflict');
    expect(refused([asked, gland], change('Strainer', 'strainer', true))).toBeUndefined();
    expect(refused([asked, gland, tried('as before')], strainer)).toBeUndefined();
    expect(refused([asked, gland, ['undone', { entry: 'e1' }]], strainer)).toBeUndefined();
  });
  const both = [asked, gland, change('Strainer', 'strainer', true)];
  it('both kept cannot be told apart any more, unless one is put back before it was tried', () => {
    expect(untold(state(...both))).toEqual([['pump-gland', 'strainer']]);
    expect(untold(state(...both, tried(), ['undone', { entry: 'e1' }]))).toEqual([['pump-gland', 'strainer']]);
    expect(untold(state(...both, ['undone', { entry: 'e1' }]))).toEqual([]);
    expect(state(...both, tried('better')).changes.map((c) => c.tried)).toEqual(['better', 'better']);
  });
  it('and no fix of one of them is certain', () => {
    const certain = (cause: string) => refused([...both, tried()], fix({ cause, sure: 'certain' }));
    expect(certain('strainer')).toBe('sure invalid');
    expect(certain('pump-gland')).toBe('sure invalid');
    expect(certain('bypass-open')).toBeUndefined();
    expect(refused([...both, tried()], fix({ cause: 'strainer', sure: 'likely' }))).toBeUndefined();
    expect(refused([asked, gland, tried(), strainer, tried()], fix({ cause: 'strainer', sure: 'certain' }))).toBeUndefined();
  });
  it('nothing is tried that was not changed, and nothing put back twice', () => {
    expect(refused([asked], tried())).toBe('kind conflict');
    expect(refused([asked, gland, tried()], tried())).toBe('kind conflict');
    expect(refused([asked, gland], ['undone', { entry: 'e1' }])).toBeUndefined();
    expect(refused([asked, gland, ['undone', { entry: 'e1' }]], ['undone', { entry: 'e1' }])).toBe('entry missing');
  });
});

describe('what may be said', () => {
  it.each<[string | undefined, Made[], Made]>([
    ['symptom invalid', [], ['asked', { symptom: 'gas-howls' }]],
    ['symptom invalid', [], ['asked', { symptom: 'none' }]],
    ['feed invalid', [], ['asked', { symptom: 'pump-nothing', feed: 'Other' }]],
    [undefined, [], ['asked', { symptom: 'pump-nothing', feed: 'Axle pump' }]],
    ['symptom conflict', [], seen('tank-look', 'well filled')],
    [undefined, [asked], seen('tank-look', 'well filled')],
    ['result invalid', [asked], seen('tank-look', 'half')],
    ['check invalid', [asked], seen('gas-weigh', 'empty or nearly')],
    ['entry missing', [asked], ['struck', { entry: 'e7', why: 'no' }]],
    ['entry invalid', [asked], ['struck', { why: 'no' }]],
    [undefined, [asked], ['struck', { fact: 'needle-try', why: 'no' }]],
    ['entry missing', [asked, ['struck', { fact: 'needle-try', why: 'no' }]], ['struck', { fact: 'needle-try', why: 'no' }]],
    ['cause invalid', [asked], change('Jet', 'jet-part')],
    ['cause invalid', [asked], fix({ sure: 'likely' })],
    ['cause invalid', [asked], fix({ sure: 'likely', cause: 'jet-part' })],
    [undefined, [asked], fix({ sure: 'certain', cause: 'unlisted' })],
    ['modifies invalid', [asked], fix({ sure: 'likely', cause: 'tube-weeps' })],
    [undefined, [asked], fix({ sure: 'likely', cause: 'tube-weeps', modifies: true })],
    ['kind conflict', [asked], holds],
    ['kind conflict', [asked, fix({ modifies: true })], holds],
    ['kind conflict', [asked, fix()], cleared],
    ['kind conflict', [asked, fix(), holds], holds],
    ['kind conflict', [asked, fix()], seen('tank-look', 'well filled')],
    ['kind conflict', [asked, fix()], fix()]
  ])('%s', (is, before, entry) => expect(refused(before, entry)).toBe(is));
  it('a bar is lifted by those who may, and work on a pressure part cleared by the examiner alone', () => {
    const keeper = { may: (right: string) => right === 'fix faults' };
    expect(refused([asked], fix(), { ...keeper, forbids: 'steaming' })).toBe('kind forbidden');
    expect(refused([asked], fix(), { ...keeper, forbids: 'passengers' })).toBeUndefined();
    expect(refused([asked, fix({ modifies: true })], cleared, { may: (r) => r !== 'sign as examiner' })).toBe('kind forbidden');
  });
});

describe('its page', () => {
  it('offers what the fault’s own words come nearest to, and anything that the engine can have', () => {
    const page = faultPage({ text: 'axle pump not feeding', fitOut: tender, state: state(), facts: [] }, {}, 'cold');
    expect(page.symptoms[0]?.key).toBe('pump-nothing');
    expect([page.standing, page.ahead, page.stands]).toEqual([[], [], 'open']);
  });
  it('asks three checks and none that was answered, and says what the club has found', () => {
    const page = faultPage(
      { text: 'x', fitOut: tender, state: state(asked, seen('tank-look', 'well filled')), facts: [] },
      { strainer: 4, 'pump-ball': 7 },
      'cold'
    );
    expect(page.ahead).toHaveLength(3);
    expect(page.ahead.map((a) => a.key)).not.toContain('tank-look');
    expect(page.ahead[0]!.why).toMatch(/^Parts “.+” from “.+”, and settles about \d+ % of what is not known\.$/);
    expect(page.standing.find((c) => c.key === 'strainer')!.here).toBe('4 of 11 here');
    expect(page.excluded.find((c) => c.key === 'tank-low')!.excluded).toMatchObject({
      words: 'well filled',
      at: '2026-06-13T10:01:00.000Z'
    });
  });
  it('asks nothing of what is mended', () =>
    expect(faultPage({ text: 'x', fitOut: tender, state: state(asked, fix()), facts: [] }, {}, 'cold').ahead).toEqual([]));
});

describe('a fix stands in the next procedure', () => {
  const of = { id: '01890000-0000-7000-8000-0000abcdef12', text: 'The pump does not deliver', retest: 'Raises the glass', fix: 'New ball' };
  const book = { at: '2026-06-13T08:00:00.000Z', papers: [], stops: [], left: [] };
  const bittern = fitOut('Little Bittern');
  const procedure = withBook(compose(bittern), { ...book, retests: [of] });
  const test = retestName(of);
  it('at the end of what is proven, in its own words, and called done only by what it did', () => {
    const at = procedure.steps.findIndex((s) => s.key.startsWith('retest-'));
    expect(procedure.steps[at]).toMatchObject({ phase: 'Prove', how: 'Raises the glass', proof: { kind: 'retest', test } });
    expect(procedure.steps[at + 1]!.phase).not.toBe('Prove');
    expect(procedure.steps.length).toBe(compose(bittern).steps.length + 1);
    expect(withBook(compose(bittern), book).steps.length).toBe(compose(bittern).steps.length);
  });
  it('its test has a name of its own, that fits and breaks no character', () => {
    expect(test).toBe('Retest cdef12: The pump does not deliver');
    const long = retestName({ ...of, text: `${'x'.repeat(43)}😀` });
    expect(long).toBe(`Retest cdef12: ${'x'.repeat(43)}`);
    expect(retestName({ ...of, text: 'y'.repeat(2000) }).length).toBeLessThanOrEqual(60);
  });
});
