import { createHash } from 'node:crypto';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type FitOut, patterns } from '../engine';
import { psi, Refusal } from '../units';
import { broken, canonical, exampleRules, type Link, linkSum, type Rules, sheetOf, sheets, worst } from '.';
import { judge, readRules } from './check';

const tank = { ...patterns[0]!.fitOut, workingPressure: psi(110) } as FitOut;
const rules: Rules = {
  ...exampleRules,
  hydraulicFirst: 2,
  hydraulicRepeat: 1.5,
  hold: 1200,
  fall: 0,
  valveWithin: 3,
  reseat: 15,
  gaugeWithin: 2
};

/** What each finding comes to, or the field at which it is refused. */
const come = (key: string, body: object, fitOut = tank, by = rules): string => {
  try {
    return judge(sheetOf(key)!, body, fitOut, by)
      .findings.map((f) => f.verdict)
      .join(', ');
  } catch (no) {
    if (!(no instanceof Refusal)) throw no;
    return `refused: ${no.field}`;
  }
};

describe('hydraulic test', () => {
  const good = { which: 'first', reached: psi(220), held: 1200, after: psi(220), error: psi(2), gauge: 'The club’s, May', weeps: '' };
  it.each<[string, object, string]>([
    ['110 × 2 = 220 psi, reached and held', {}, 'within, within, within'],
    ['a hair under it, within what the gauge is read to', { reached: psi(219), after: psi(219) }, 'too close, within, within'],
    ['under it by more', { reached: psi(217), after: psi(217) }, 'not within, within, within'],
    ['repeated: 165 psi', { which: 'repeat', reached: psi(165), after: psi(165) }, 'within, within, within'],
    ['first, pumped as a repeat', { reached: psi(165), after: psi(165) }, 'not within, within, within'],
    ['let off too soon', { held: 1199 }, 'within, shows nothing, within'],
    ['it fell by what the gauge cannot tell', { after: psi(219) }, 'within, within, too close'],
    ['it fell', { after: psi(217) }, 'within, within, not within'],
    ['it wept', { weeps: 'Third stay from the left, at 150 psi' }, 'within, within, within, not within'],
    ['a fall without a hold', { held: 0 }, 'refused: held'],
    ['higher at the end', { after: psi(221) }, 'refused: after'],
    ['no gauge named', { gauge: '' }, 'refused: gauge'],
    ['not a pressure', { reached: 'much' }, 'refused: reached']
  ])('%s', (_, change, is) => expect(come('hydraulic', { ...good, ...change })).toBe(is));
  it('what is asked for and reached to the figure is reached, at every pressure and multiplier', () =>
    fc.assert(
      fc.property(fc.integer({ min: 10, max: 250 }), fc.constantFrom(1.3, 1.4, 1.5, 1.6, 2), (wp, ratio) => {
        const of = { ...tank, workingPressure: psi(wp) } as FitOut;
        const reached = psi(Math.round(wp * ratio * 10) / 10);
        expect(come('hydraulic', { ...good, reached, after: reached }, of, { ...rules, hydraulicFirst: ratio })).toBe(
          'within, within, within'
        );
      })
    ));
  it('a fall that the rules allow', () => {
    expect(come('hydraulic', { ...good, after: psi(216) }, tank, { ...rules, fall: psi(10) })).toBe('within, within, within');
    expect(come('hydraulic', { ...good, after: psi(211) }, tank, { ...rules, fall: psi(10) })).toBe('within, within, too close');
  });
});

describe('gauge comparison', () => {
  const points = (...of: [number, number][]) => of.map(([standard, reads]) => ({ standard: psi(standard), reads: psi(reads) }));
  const body = (of: ReturnType<typeof points>) => ({ full: psi(200), standard: 'Test gauge', error: psi(1), points: of });
  // 2 % of 200 psi is 4 psi.
  it.each<[string, [number, number][], string]>([
    [
      'off by 2 psi',
      [
        [50, 52],
        [100, 100],
        [110, 110]
      ],
      'within, within'
    ],
    [
      'off by 3.5 psi of 4, read to 1',
      [
        [50, 50],
        [100, 96.5],
        [110, 110]
      ],
      'too close, within'
    ],
    [
      'off by 4.5',
      [
        [50, 50],
        [100, 104.5],
        [110, 110]
      ],
      'too close, within'
    ],
    [
      'off by 6, the low way',
      [
        [50, 44],
        [100, 100],
        [110, 110]
      ],
      'not within, within'
    ],
    [
      'not up to working pressure',
      [
        [50, 50],
        [80, 80],
        [100, 100]
      ],
      'within, shows nothing'
    ],
    [
      'two points only',
      [
        [50, 50],
        [110, 110]
      ],
      'refused: points'
    ]
  ])('%s', (_, of, is) => expect(come('gauge', body(points(...of)))).toBe(is));
});

describe('safety valves', () => {
  const one = { ...tank, safetyValves: [{ ...tank.safetyValves[0]!, set: psi(100) }] } as FitOut;
  const body = (lifted: number, shut: number) => ({
    gauge: 'Test gauge',
    error: psi(1),
    lifts: [{ lifted: psi(lifted), shut: psi(shut) }]
  });
  // 3 % of 100 psi is 3 psi; 15 % under a lift at 100 is 85.
  it.each([
    [100, 95, 'within, within'],
    [101.9, 95, 'within, within'],
    [102.5, 95, 'too close, within'],
    [97.5, 95, 'too close, within'],
    [104.5, 95, 'not within, within'],
    [95.5, 90, 'not within, within'],
    [100, 85.5, 'within, too close'],
    [100, 83, 'within, not within'],
    [100, 101, 'refused: lifts.0.shut']
  ])('lifted at %d, shut at %d', (lifted, shut, is) => expect(come('valves', body(lifted, shut), one)).toBe(is));
  it('each of them', () =>
    expect(come('valves', body(100, 95), { ...one, safetyValves: [...one.safetyValves, ...one.safetyValves] } as FitOut)).toBe(
      'refused: lifts'
    ));
  it('beside where it lifted the last time, as far as two readings tell them apart', () => {
    const said = (lifted: number) =>
      judge(sheetOf('valves')!, body(lifted, 90), one, rules, { day: '2025-04-12', body: body(100, 95) }).findings.at(-1)!;
    expect(said(101.9).says).toMatch(/12 Apr 2025: no more apart than two readings/);
    expect(said(102.1).says).toMatch(/it lifts later than then/);
    expect(said(97.9).says).toMatch(/it lifts sooner than then/);
    expect(said(102.1)).toMatchObject({ verdict: 'measured', steps: [{ result: { value: expect.closeTo(psi(2.1), 3) } }] });
  });
  // By the published check of the discharge: 6 mm, 0.4 mm, 90 psi pass 20.1 (20.15) kg/h; two of them twice as much.
  it('what they pass by their sizes, beside the fire: judged by none', () => {
    const two = { ...one, safetyValves: [0, 1].map(() => ({ ...one.safetyValves[0]!, set: psi(90) })) } as FitOut;
    const sized = { lifted: psi(90), shut: psi(85), seat: 0.006, opens: 0.0004 };
    const of = (...lifts: object[]) => judge(sheetOf('valves')!, { ...body(90, 85), lifts }, two, rules).findings;
    const last = of(sized, sized).at(-1)!;
    expect(last.verdict).toBe('measured');
    expect(last.steps.find((s) => s.result.name === 'pass together')!.result.value * 3600).toBeCloseTo(40.3, 1);
    expect(last.says).toContain('Only an accumulation test shows what they pass.');
    const { value } = last.steps.at(-1)!.result;
    expect(last.says.includes('they pass less than that')).toBe(value < 1);
    expect(of(sized, { lifted: psi(90), shut: psi(85) })).toHaveLength(4);
  });
});

describe('worksheets', () => {
  it('what fails fails, whatever else was not as it should be', () => {
    expect(worst(['within', 'too close', 'shows nothing', 'not within'])).toBe('not within');
    expect(worst(['within', 'too close', 'shows nothing'])).toBe('shows nothing');
    expect(worst(['within', 'too close'])).toBe('too close');
    expect(worst(['within'])).toBe('within');
    expect(worst(['measured', 'seen', 'within'])).toBe('within');
    expect(worst(['measured', 'seen'])).toBe('seen');
    expect(worst(['measured'])).toBe('measured');
  });
  it('none comes to anything before its instruments were read: nothing that is read stands there already', () => {
    for (const { fitOut } of patterns)
      for (const s of sheets.filter((x) => x.when?.(fitOut) ?? true)) {
        const starts = s.starts(fitOut);
        expect(Object.keys(starts)).toEqual(Object.keys(s.fields(fitOut).fields));
        expect(come(s.key, starts, fitOut), `${s.key} of ${fitOut.name}`).toMatch(/refused/);
        expect(come(s.key, { ...starts, gauge: 'x', standard: 'x', error: 0 }, fitOut)).toMatch(/refused/);
      }
  });
  it('no verdict and no sentence says that anything is safe', () => {
    const text = JSON.stringify([sheets.map((s) => [s.how, s.fields(tank)])]);
    expect(text).not.toMatch(/\bsafe\b|fit for use|approved/i);
  });
  it('rules without a source are none', () => {
    expect(() => readRules({ ...rules, source: '' })).toThrow('Rules without a source are none.');
    expect(() => readRules({ ...rules, hydraulicFirst: 0.5 })).toThrow(Refusal);
    expect(readRules(rules)).toEqual(rules);
  });
});

const sum = (text: string) => createHash('sha256').update(text, 'utf8').digest('hex');
/** A chain of some worksheets, every second signed. */
function chain(n: number): Link[] {
  const links: Link[] = [];
  const add = (id: string, document: unknown) => {
    const [text, previous] = [canonical(document), links.at(-1)?.hash ?? ''];
    links.push({ id, document: text, previous, hash: linkSum(previous, text, sum) });
  };
  for (let i = 0; i < n; i++) {
    add(`w${i}`, { kind: 'worksheet', id: `w${i}`, body: { reached: 220 + i, weeps: 'né' } });
    if (i % 2) add(`s${i}`, { kind: 'signature', of: `w${i}`, hash: links.at(-1)!.hash, note: 'seen' });
  }
  return links;
}

describe('the chain', () => {
  it('has nothing to say of what stands as it was written', () => expect(broken(chain(6), sum)).toEqual([]));
  it('names the one of which any byte was changed', () => {
    const links = chain(5);
    fc.assert(
      fc.property(fc.nat(links.length - 1), fc.nat(1000), fc.integer({ min: 33, max: 126 }), (at, where, to) => {
        const { document } = links[at]!;
        const i = where % document.length;
        if (document.charCodeAt(i) === to) return;
        const changed = links.map((l, n) =>
          n === at ? { ...l, document: document.slice(0, i) + String.fromCharCode(to) + document.slice(i + 1) } : l
        );
        expect(broken(changed, sum).map((b) => b.id)).toEqual([links[at]!.id]);
      })
    );
  });
  it('names the one after what was taken out, put elsewhere, or put in', () => {
    const links = chain(4);
    expect(broken(links.toSpliced(2, 1), sum).map((b) => b.id)).toContain(links[3]!.id);
    expect(broken([links[1]!, links[0]!, ...links.slice(2)], sum).length).toBeGreaterThan(0);
    expect(broken(links.slice(1), sum)[0]!.id).toBe(links[1]!.id);
  });
  it('names a signature whose worksheet was written anew, with all sums made to fit', () => {
    const links = chain(2);
    const again: Link[] = [];
    for (const l of links) {
      const document = l.id === 'w1' ? l.document.replace('221', '999') : l.document;
      const previous = again.at(-1)?.hash ?? '';
      again.push({ ...l, document, previous, hash: linkSum(previous, document, sum) });
    }
    expect(broken(again, sum)).toEqual([{ id: 's1', why: 'it signs another text than the one that stands there' }]);
  });
  it('one document has one text, whatever the order of its keys', () => {
    expect(canonical({ b: 1, a: [{ d: 'x', c: null }], e: undefined })).toBe('{"a":[{"c":null,"d":"x"}],"b":1}');
  });
});
