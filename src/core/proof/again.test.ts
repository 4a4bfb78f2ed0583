import { describe, expect, it } from 'vitest';
import { type FitOut, patterns } from '../engine';
import {
  againFor,
  againWords,
  beforeAndAfter,
  canonical,
  type Day,
  type Done,
  exampleRules,
  type Made,
  provenOf,
  proofsOf,
  stillAgain,
  type Last,
  ledgerOf,
  measuresPair,
  type Watered,
  worksBetween,
  worksOn
} from '.';

const pattern = (name: string): FitOut => structuredClone(patterns.find((p) => p.fitOut.name === name)!.fitOut);
const gas = (f: FitOut) => f.fire as Extract<FitOut['fire'], { with: 'gas' }>;
const [hen, rail, scoop, tin, lantern] = ['Marsh Hen', 'Water Rail', 'Old Scoop', 'Tin Heron', 'Lantern'].map(pattern) as [
  FitOut,
  FitOut,
  FitOut,
  FitOut,
  FitOut
];

describe('what a fit-out tells of', () => {
  const after = (f: FitOut, change: object) => worksBetween(f, { ...f, ...change } as FitOut);
  it.each<[string, string[], string[]]>([
    ['another jet', after(rail, { fire: { ...gas(rail), burners: gas(rail).burners.map((b) => ({ ...b, jet: 0.0003 })) } }), ['burner']],
    ['more power', after(scoop, { fire: { ...gas(scoop), power: 8000 } }), ['burner']],
    ['a heavier charge', after(tin, { fire: { ...tin.fire, weight: 0.02 } }), ['burner']],
    ['a stronger element', after(lantern, { fire: { ...lantern.fire, power: 2000 } }), ['burner']],
    ['another coal', after(hen, { fire: { ...hen.fire, fuel: 'anthracite' } }), ['fuel']],
    ['a longer grate', after(hen, { fire: { ...hen.fire, grateLength: 0.3 } }), ['grate']],
    ['a valve set anew', after(hen, { safetyValves: hen.safetyValves.map((v) => ({ ...v, set: v.set + 1e4 })) }), ['valve']],
    [
      'tubes of another bore',
      after(hen, { boiler: { ...hen.boiler, tubes: { ...(hen.boiler as { tubes: object }).tubes, diameter: 0.02 } } }),
      ['tubes']
    ],
    ['more pressure', after(hen, { workingPressure: hen.workingPressure + 1e4 }), ['pressure']],
    ['a feed turned round', after(hen, { feeds: hen.feeds.map((x) => ({ ...x, into: 'steam' })) }), ['feed']],
    ['a canister, joints and a name', after(rail, { name: 'Another', fire: { ...gas(rail), canister: 0.02, joints: [], wait: 60 } }), []],
    ['habits and levels', after(hen, { levels: { ...hen.levels, wanted: 0.6 }, habits: { ...hen.habits, fill: 'warm' } }), []]
  ])('%s', (_, told, is) => expect(told).toEqual(is));
  it('nothing where nothing is another, in whatever order it was written down', () => {
    for (const { fitOut } of patterns) expect(worksBetween(fitOut, JSON.parse(canonical(fitOut)) as FitOut)).toEqual([]);
  });
});

describe('what must be proven again', () => {
  it('is what this engine has', () => {
    expect(againFor('burner', rail)).toEqual(['gas', 'accumulation', 'pair']);
    expect(againFor('burner', scoop)).toEqual(['gas', 'accumulation']);
    expect(againFor('burner', tin)).toEqual(['pair']);
    expect(againFor('burner', lantern)).toEqual(['accumulation']);
    expect(againFor('valve', hen)).toEqual(['valves', 'accumulation']);
    expect(againFor('tubes', hen)).toEqual(['hydraulic', 'steam', 'accumulation']);
    expect(worksOn(rail)).not.toContain('glass');
    expect(worksOn(hen)).not.toContain('gas');
    for (const { fitOut } of patterns)
      for (const w of worksOn(fitOut)) for (const k of againFor(w, fitOut)) expect(proofsOf(fitOut)).toContain(k);
  });
  const done: Done = {
    id: 'w',
    work: 'valve',
    text: 'New spring',
    again: ['valves', 'accumulation'],
    at: '2026-05-01T10:00:00Z',
    day: '2026-05-01',
    by: 'Wenna'
  };
  const made = (proof: string, at: string, good = true): Made => ({ proof, at: `2026-${at}T10:00:00Z`, good });
  const left = (...of: Made[]) => stillAgain([done], of).flatMap((d) => d.left);
  it('until it has been, since, and by the newest', () => {
    expect(left()).toEqual(['valves', 'accumulation']);
    expect(left(made('valves', '04-30'), made('accumulation', '05-02'))).toEqual(['valves']);
    expect(left(made('valves', '05-02'), made('accumulation', '05-02'))).toEqual([]);
    expect(left(made('valves', '05-03', false), made('valves', '05-02'), made('accumulation', '05-02'))).toEqual(['valves']);
    expect(left(made('valves', '05-02', false), made('valves', '05-03'), made('accumulation', '05-02'))).toEqual([]);
    expect(left(made('valves', '05-01'))).toContain('valves');
  });
  it('a pair is measured by a run whose water was, with the burner that it has', () => {
    expect(measuresPair([{ burner: 'now', factor: 1.1 }], 'now')).toBe(true);
    expect(measuresPair([{ burner: 'now' }], 'now')).toBe(false);
    expect(measuresPair([{ burner: 'before', factor: 1.1 }, { burner: 'now' }], 'now')).toBe(false);
  });
  it('says it in a sentence', () =>
    expect(againWords({ ...done, left: done.again })).toBe(
      'To be proven again: safety valves, set, accumulation test (a safety valve renewed, taken apart or set anew, 1 May 2026)'
    ));
  it('stands beside what was proven, with the day on which it is due', () => {
    const last: Last[] = [
      { proof: 'valves', at: '2026-04-30T10:00:00Z', day: '2026-04-30', good: true, verdict: 'within' },
      { proof: 'hydraulic', at: '2025-02-28T10:00:00Z', day: '2025-02-28', good: true, verdict: 'within' }
    ];
    const of = (today: string) => provenOf(hen, { ...exampleRules, hydraulicEvery: 24, steamEvery: null }, { last, done: [done], today });
    const row = (key: string, today = '2027-02-27') => of(today).find((p) => p.key === key)!;
    expect(of('2027-01-01').map((p) => p.key)).toEqual(proofsOf(hen));
    expect(row('valves')).toMatchObject({ last: { day: '2026-04-30' }, again: [{ id: 'w' }] });
    expect(row('valves').due).toBeUndefined();
    expect(row('hydraulic').due).toEqual({ day: '2027-02-28', past: false });
    // Its last day still counts, as that of a paper does.
    expect(row('hydraulic', '2027-02-28').due).toEqual({ day: '2027-02-28', past: false });
    expect(row('hydraulic', '2027-03-01').due).toEqual({ day: '2027-02-28', past: true });
    const failed = last.map((l) => ({ ...l, good: false, verdict: 'not within' as const }));
    expect(
      provenOf(hen, { ...exampleRules, hydraulicEvery: 24 }, { last: failed, done: [], today: '2026-06-01' }).filter((p) => p.due)
    ).toEqual([]);
    expect(row('gauge')).toEqual({ key: 'gauge', name: 'Gauge comparison', again: [] });
    expect(row('accumulation')).toMatchObject({ again: [{ id: 'w' }] });
  });
});

describe('before and after', () => {
  const day = (d: number, raise: number | null, fuel = 2, inSteam: number | null = 7200): Day => ({
    at: `2026-05-${String(d).padStart(2, '0')}T09:00:00Z`,
    raise,
    highest: 1000 * d,
    fuel,
    inSteam
  });
  it('takes the five days next to it on either side, and the middle of each', () => {
    const days = [...[1, 2, 3, 4, 5, 6].map((d) => day(d, d * 60)), ...[11, 12, 13, 14, 15, 16].map((d) => day(d, d * 60, 4))];
    expect(beforeAndAfter(days.reverse(), '2026-05-08T00:00:00Z')).toEqual({
      before: { days: 5, raise: 240, highest: 4000, fuel: 1 },
      after: { days: 5, raise: 780, highest: 13_000, fuel: 2 }
    });
  });
  it('says nothing of what was not measured; of two, what lies between', () => {
    expect(beforeAndAfter([day(1, null, 0), day(2, 100, 0), day(3, 200, 3, null)], '2026-05-09T00:00:00Z')).toEqual({
      before: { days: 3, raise: 150, highest: 2000 },
      after: { days: 0 }
    });
  });
});

describe('the ledger of water', () => {
  const session = (day: number, more: Partial<Watered> = {}): Watered => ({
    at: `2026-05-0${day}T17:00:00Z`,
    day: `2026-05-0${day}`,
    washOut: false,
    steamed: true,
    ...more
  });
  const washed = session(3, { washOut: true, steamed: false });
  it('counts the steamings since it was washed out, and says when the rules ask for another', () => {
    const days = [session(5), session(1), washed, session(4, { steamed: false }), session(6)];
    expect(ledgerOf(days, null)).toEqual({ washed: '2026-05-03', steamings: 2, fills: [], doses: [] });
    expect(ledgerOf(days, 3).due).toBe(false);
    expect(ledgerOf(days, 2).due).toBe(true);
    expect(ledgerOf([session(1), session(2)], 3)).toEqual({ steamings: 2, due: false, fills: [], doses: [] });
  });
  it('counts what it was filled with since it was washed out, the most often first', () => {
    const with_ = (day: number, filled: string) => session(day, { filled });
    const days = [with_(1, 'tap'), with_(4, 'rain'), with_(5, 'tap'), session(6), with_(7, 'rain')];
    expect(ledgerOf([...days, washed], null).fills).toEqual([
      { kind: 'rain', times: 2 },
      { kind: 'tap', times: 1 }
    ]);
    expect(ledgerOf(days, null).fills.map((f) => f.times)).toEqual([2, 2]);
  });
  it('says what went into each litre, the newest first, where the water was measured too', () => {
    const { doses } = ledgerOf([session(1, { dose: 1e-5 }), session(2, { dose: 4e-5, water: 8e-3, product: 'Softener' })], null);
    expect(doses).toEqual([
      { day: '2026-05-02', dose: 4e-5, product: 'Softener', water: 8e-3, each: 4e-5 / 8e-3 },
      { day: '2026-05-01', dose: 1e-5 }
    ]);
    expect(
      ledgerOf(
        [1, 2, 3, 4, 5, 6, 7].map((d) => session(d, { dose: d * 1e-6 })),
        null
      ).doses.map((d) => d.day.slice(-1))
    ).toEqual(['7', '6', '5', '4', '3', '2']);
  });
});
