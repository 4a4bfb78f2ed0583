import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { patterns } from '../engine';
import { compose } from '../procedure';
import { evaluate, psi, usualUnits } from '../units';
import { tell } from '../../../demo/story';
import { checkEntry } from './check';
import { timeOrderedId } from './id';
import {
  add,
  type Bodies,
  carriedOver,
  type Context,
  type Entry,
  fold,
  glassReading,
  inOrder,
  type Kind,
  type Log,
  quickLine,
  recordFigures,
  say,
  summarise
} from '.';

const fitOut = patterns.find((p) => p.fitOut.name === 'Little Bittern')!.fitOut;
const context: Context = { fitOut, procedure: compose(fitOut), keeper: 'Wenna Thrale' };
const t0 = Date.parse('2026-06-13T09:00:00.000Z');
const entry = <K extends Kind>(n: number, kind: K, body: Bodies[K], strikes?: number): Entry =>
  ({
    id: id(n),
    kind,
    body,
    at: new Date(t0 + n * 1000).toISOString(),
    by: 'Wenna Thrale',
    source: 'person',
    ...(strikes === undefined ? {} : { strikes: id(strikes) })
  }) as Entry;
const id = (n: number) => `00000000-0000-7000-8000-${String(n).padStart(12, '0')}`;

/** Entries of many kinds, with times that collide and strikes that may strike strikes. */
const anyEntries = fc
  .array(
    fc.record({
      second: fc.nat(40),
      pick: fc.nat(9),
      level: fc.double({ min: 0, max: 1, noNaN: true }),
      target: fc.nat(60)
    }),
    { minLength: 1, maxLength: 160 }
  )
  .map((rows) =>
    rows.map(({ second, pick, level, target }, i): Entry => {
      const steps = context.procedure.steps;
      const made: [Kind, Bodies[Kind]][] = [
        ['reading', { pressure: psi(level * 100) }],
        ['reading', { glass: level, glassAt: null }],
        ['tick', { step: steps[target % steps.length]!.key, outcome: level > 0.2 ? 'done' : 'skipped', reason: 'no need' }],
        ['valve', { valve: 'drains', open: level > 0.5 ? 1 : 0 }],
        ['feed', { feed: 'Injector', on: level > 0.5, to: 'boiler', volume: 0.001 }],
        ['fire', { act: level > 0.7 ? 'light' : level > 0.6 ? 'out' : 'fuel on', amount: 1 }],
        ['thing', { thing: 'plug', open: level > 0.5 }],
        ['fault', { text: 'weep', forbids: 'nothing' }],
        ['strike', {}],
        ['reading', { pressure: psi(50) }]
      ];
      const [kind, body] = made[pick]!;
      return {
        ...entry(i, kind, body as never),
        at: new Date(t0 + second * 1000).toISOString(),
        ...(pick >= 8 ? { strikes: id(target % rows.length) } : {})
      } as Entry;
    })
  );

describe('the fold', () => {
  it('does not depend on the order of arrival', () => {
    fc.assert(
      fc.property(anyEntries, fc.infiniteStream(fc.nat()), (entries, chance) => {
        const shuffled = entries
          .map((e) => [chance.next().value as number, e] as const)
          .sort((a, b) => a[0] - b[0])
          .map(([, e]) => e);
        expect(fold(context, shuffled).state).toEqual(fold(context, entries).state);
      })
    );
  });

  it('adding one at a time, in any order and twice, gives the same as folding all', () => {
    fc.assert(
      fc.property(anyEntries, fc.infiniteStream(fc.nat()), (entries, chance) => {
        const shuffled = entries
          .map((e) => [chance.next().value as number, e] as const)
          .sort((a, b) => a[0] - b[0])
          .map(([, e]) => e);
        const added = [...shuffled, ...shuffled.slice(0, 5)].reduce<Log>(add, fold(context, []));
        const full = fold(context, entries);
        expect(added.entries).toEqual([...entries].sort(inOrder));
        expect([...added.struck].sort()).toEqual([...full.struck].sort());
        expect(added.state).toEqual(full.state);
      })
    );
  });

  it('a struck reading leaves no trace, and a struck strike brings it back', () => {
    const base = [entry(1, 'reading', { pressure: psi(60) }), entry(2, 'reading', { pressure: psi(660) })];
    const struck = fold(context, [...base, entry(3, 'strike', {}, 2)]);
    expect(struck.state.pressure?.value).toBe(psi(60));
    expect(struck.state.highest?.value).toBe(psi(60));
    expect(fold(context, [...base, entry(3, 'strike', {}, 2), entry(4, 'strike', {}, 3)]).state.pressure?.value).toBe(psi(660));
  });

  it('a strike works by its target, whatever the clocks said, and those in a circle strike nothing', () => {
    const high = entry(2, 'reading', { pressure: psi(660) });
    const before = [entry(1, 'reading', { pressure: psi(60) }), high];
    // The phone that struck it is five minutes slow: the strike stands before what it strikes, and may come first.
    const slow = { ...entry(3, 'strike', {}, 2), at: new Date(t0 - 300_000).toISOString() };
    expect(fold(context, [...before, slow]).state.pressure?.value).toBe(psi(60));
    expect(add(fold(context, [before[0]!, slow]), high).state.pressure?.value).toBe(psi(60));
    expect(fold(context, [...before, slow, entry(4, 'strike', {}, 3)]).state.pressure?.value).toBe(psi(660));
    const circle = [entry(5, 'strike', {}, 6), entry(6, 'strike', {}, 5), entry(7, 'strike', {}, 7)];
    expect(fold(context, [...before, ...circle]).struck.size).toBe(0);
    // Of two strikers one is struck: the other still strikes. What is not there cannot be struck.
    const two = [entry(8, 'strike', {}, 2), entry(9, 'strike', {}, 2), entry(10, 'strike', {}, 8), entry(11, 'strike', {}, 99)];
    expect([...fold(context, [...before, ...two]).struck].sort()).toEqual([id(2), id(8)]);
  });

  it('what a device made stands by its own clock until the server has placed it', () => {
    const mine = entry(500, 'reading', { pressure: psi(20) });
    const theirs = { ...entry(400, 'reading', { pressure: psi(70) }), receivedAt: mine.at };
    const before = fold(context, [theirs, mine]);
    expect(before.state.pressure?.value).toBe(psi(20));
    const placedAt = new Date(t0 + 200_000).toISOString();
    const after = add(before, { ...mine, at: placedAt, receivedAt: mine.at, clock: { said: mine.at, ahead: 300_000 } } as Entry);
    expect([after.state.pressure?.value, after.entries.map((e) => e.id)]).toEqual([psi(70), [mine.id, theirs.id]]);
    // The same time again: nothing is folded anew, and its receipt is known.
    const same = add(before, { ...mine, receivedAt: mine.at });
    expect([same.state === before.state, same.entries[1]?.receivedAt]).toEqual([true, mine.at]);
    expect(add(after, mine)).toBe(after);
  });

  it('a long log is marked each 64 entries however it grew; a late or struck entry is folded from the mark before it', () => {
    const many = Array.from({ length: 200 }, (_, i) => entry(i + 1, 'fire', { act: 'fuel on', amount: 1 }));
    const full = fold(context, many);
    const rounds = (log: Log) => log.marks.map((m) => [m.state.fire.rounds, m.events]);
    expect(rounds(full)).toEqual([0, 64, 128, 192].map((n) => [n, n]));
    expect(rounds(many.reduce(add, fold(context, [])))).toEqual(rounds(full));
    const before = fold(context, many.toSpliced(100, 1));
    const late = add(before, many[100]!);
    expect([late.state, late.events, rounds(late)]).toEqual([full.state, full.events, rounds(full)]);
    expect(late.marks[1]).toBe(before.marks[1]);
    const struck = add(full, entry(300, 'strike', {}, 71));
    expect([struck.state.fire.rounds, struck.events.length]).toEqual([199, 199]);
    expect(rounds(struck)).toEqual([0, 64, 127, 191].map((n) => [n, n]));
    expect(struck.marks[1]).toBe(full.marks[1]);
    // The same entry again, or another under its name, changes nothing.
    expect(add(full, many[7]!)).toBe(full);
    expect(add(full, { ...many[7]!, at: many[150]!.at })).toBe(full);
  });

  it('keeps what is open until it is closed, by step, by valve or by name', () => {
    const opened = fold(context, [
      entry(1, 'tick', { step: 'plug-in', outcome: 'done' }),
      entry(2, 'valve', { valve: 'drains', open: 1 }),
      entry(3, 'tick', { step: 'match', outcome: 'done' })
    ]);
    expect(Object.keys(opened.state.open).sort()).toEqual(['drains', 'fire', 'plug']);
    expect(opened.state.fire.litAt).toBe(entry(3, 'note', { text: 'x' }).at);
    const closed = [
      entry(4, 'thing', { thing: 'plug', open: false }),
      entry(5, 'valve', { valve: 'drains', open: 0 }),
      entry(6, 'fire', { act: 'drop' })
    ].reduce(add, opened);
    expect(closed.state.open).toEqual({});
  });

  it('a glass carries the pressure it was taken at', () => {
    const log = fold(context, [entry(1, 'reading', { pressure: psi(40) })]);
    expect(glassReading(0.5, log.state)).toEqual({ glass: 0.5, glassAt: psi(40) });
    expect(glassReading(0.5, log.state, psi(45))).toEqual({ glass: 0.5, glassAt: psi(45), pressure: psi(45) });
    expect(checkEntry({ id: id(1), kind: 'reading', at: '2026-06-13T10:00:00Z', body: { glass: 0.5 } })).toMatchObject({
      sentence: expect.stringContaining('Pressure it was taken at')
    });
  });
});

describe('entries from outside', () => {
  it.each([
    [{ kind: 'reading', body: { pressure: 'lots' } }, 'body.pressure'],
    [{ kind: 'reading', body: {} }, 'body'],
    [{ kind: 'tick', body: { step: 'match', outcome: 'skipped' } }, 'body.reason'],
    [{ kind: 'feed', body: { feed: 'Injector', on: true, to: 'open' } }, 'body.to'],
    [{ kind: 'strike', body: {} }, 'strikes'],
    [{ kind: 'explosion', body: {} }, 'kind'],
    [{ kind: 'note', body: { text: 'x' }, at: 'yesterday' }, 'at']
  ])('%j is refused at %s', (wrong, field) => {
    expect(checkEntry({ id: id(1), at: '2026-06-13T10:00:00Z', ...wrong })).toMatchObject({
      field,
      sentence: expect.stringMatching(/^The entry’s .*\.$/)
    });
  });
});

describe('the quick line', () => {
  const around = (entries: Entry[] = [], seconds = 60) => ({
    fitOut,
    state: fold(context, entries).state,
    units: usualUnits,
    now: t0 + seconds * 1000
  });
  const read = (line: string) => quickLine(line, around());

  it.each([
    [
      '65 1/2 coal',
      [
        { kind: 'reading', body: { pressure: psi(65), glass: 0.5, glassAt: psi(65) } },
        { kind: 'fire', body: { act: 'fuel on', fuel: 'coal' } }
      ]
    ],
    ['65psi ½', [{ kind: 'reading', body: { pressure: psi(65), glass: 0.5, glassAt: psi(65) } }]],
    ['4.5bar', [{ kind: 'reading', body: { pressure: 450_000 } }]],
    ['62 pounds half a glass', [{ kind: 'reading', body: { pressure: psi(62), glass: 0.5, glassAt: psi(62) } }]],
    ['just above bottom nut', [{ kind: 'reading', body: { glass: 0.05, glassAt: null } }]],
    ['in the bottom nut', [{ kind: 'reading', body: { glass: 'bottom nut', glassAt: null } }]],
    [
      'injector on 70',
      [
        { kind: 'reading', body: { pressure: psi(70) } },
        { kind: 'feed', body: { feed: 'Injector', on: true, to: 'boiler' } }
      ]
    ],
    ['axle pump to tank', [{ kind: 'feed', body: { feed: 'Axle pump', on: true, to: 'tank' } }]],
    ['blower 1/4', [{ kind: 'valve', body: { valve: 'blower', open: 0.25 } }]],
    [
      'drains shut, rake',
      [
        { kind: 'valve', body: { valve: 'drains', open: 0 } },
        { kind: 'fire', body: { act: 'rake' } }
      ]
    ],
    ['coal 0.5 kg', [{ kind: 'fire', body: { act: 'fuel on', fuel: 'coal', amount: 0.5 } }]],
    ['lift 91', [{ kind: 'lift', body: { valve: 1, lifted: psi(91) } }]],
    ['bobbing', [{ kind: 'observation', body: { seen: 'glass moving' } }]],
    ['85 °C', [{ kind: 'reading', body: { temperature: 358.15 } }]],
    ['tank 3/4', [{ kind: 'reading', body: { tank: 0.75 } }]],
    ['tender full', [{ kind: 'reading', body: { tank: 1 } }]],
    ['tank empty', [{ kind: 'reading', body: { tank: 0 } }]],
    ['coal .5 kg', [{ kind: 'fire', body: { act: 'fuel on', fuel: 'coal', amount: 0.5 } }]],
    ['coal 500g', [{ kind: 'fire', body: { act: 'fuel on', fuel: 'coal', amount: 0.5 } }]],
    ['coal 2 pounds', [{ kind: 'fire', body: { act: 'fuel on', fuel: 'coal', amount: 2 * 0.45359237 } }]],
    [
      'coal 65',
      [
        { kind: 'reading', body: { pressure: psi(65) } },
        { kind: 'fire', body: { act: 'fuel on', fuel: 'coal' } }
      ]
    ],
    [
      'coal coal 60',
      [
        { kind: 'reading', body: { pressure: psi(60) } },
        { kind: 'fire', body: { act: 'fuel on', fuel: 'coal' } },
        { kind: 'fire', body: { act: 'fuel on', fuel: 'coal' } }
      ]
    ],
    ['fire out', [{ kind: 'fire', body: { act: 'out' } }]],
    ['fire dropped', [{ kind: 'fire', body: { act: 'drop' } }]],
    ['match', [{ kind: 'fire', body: { act: 'light' } }]],
    ['already lit', [{ kind: 'fire', body: { act: 'light', already: true } }]],
    ['fire lit already', [{ kind: 'fire', body: { act: 'light', already: true } }]],
    ['thinned', [{ kind: 'fire', body: { act: 'thin' } }]],
    ['injector knocked off', [{ kind: 'feed', body: { feed: 'Injector', on: false } }]],
    ['20 strokes', [{ kind: 'feed', body: { feed: 'Tender hand pump', on: false, strokes: 20 } }]],
    [
      'hand pump 12 strokes 1/2',
      [
        { kind: 'reading', body: { glass: 0.5, glassAt: null } },
        { kind: 'feed', body: { feed: 'Tender hand pump', on: false, strokes: 12 } }
      ]
    ],
    ['axle pump to both 1/4', [{ kind: 'feed', body: { feed: 'Axle pump', on: true, to: 'both', part: 0.25 } }]],
    ['axle pump to both', [{ kind: 'feed', body: { feed: 'Axle pump', on: true, to: 'both' } }]],
    ['raked', [{ kind: 'fire', body: { act: 'rake' } }]],
    [
      'coal lit',
      [
        { kind: 'fire', body: { act: 'fuel on', fuel: 'coal' } },
        { kind: 'fire', body: { act: 'light' } }
      ]
    ],
    ['whistle passed', [{ kind: 'test', body: { test: 'Whistle', result: 'pass' } }]],
    ['injector failed knocks off', [{ kind: 'test', body: { test: 'Injector', result: 'fail', text: 'knocks off' } }]],
    [
      '2 coal',
      [
        { kind: 'fire', body: { act: 'fuel on', fuel: 'coal' } },
        { kind: 'fire', body: { act: 'fuel on', fuel: 'coal' } }
      ]
    ],
    ['temp 85', [{ kind: 'reading', body: { temperature: 358.15 } }]],
    ['temp 85 c 20', [{ kind: 'reading', body: { pressure: psi(20), temperature: 358.15 } }]],
    ['  ', []],
    ['note Left clack weeps at 30', [{ kind: 'note', body: { text: 'Left clack weeps at 30' } }]]
  ])('%s', (line, entries) => {
    const got = read(line);
    expect(got.problem).toBeUndefined();
    expect(got.entries).toEqual(entries);
    expect(got.echo).toHaveLength(entries.length);
    for (const e of got.entries) expect(checkEntry({ id: id(1), at: '2026-06-13T10:00:00Z', ...e })).toHaveProperty('entry');
  });

  it('asks when a value is implausible for this engine', () => {
    expect(read('300 psi').asks[0]).toContain('90');
    // What no log can hold is refused there and then, and not after it was confirmed.
    expect(read('900').problem).toBe('900\u2009psi is more than a log holds, 725\u2009psi: read the needle again.');
    expect([read('725 psi').problem, read('726 psi').problem]).toEqual([undefined, expect.any(String)]);
    // A needle that fell by sixty in a minute is asked about; by twenty it fed, and in an hour it may have gone anywhere.
    const needle = (line: string, now: number) => quickLine(line, around([entry(0, 'reading', { pressure: psi(80) })], now)).asks;
    expect(needle('20', 60)).toEqual(['The needle went from 80\u2009psi to 20\u2009psi in 1 min: is that right?']);
    expect([needle('60', 60), needle('20', 3600), needle('44', 60)]).toEqual([[], [], []]);
    expect(needle('43', 60)).toHaveLength(1);
    expect(needle('117', 30)[0]).toContain('in 30 s');
    expect(read('70 125c').asks[0]).toContain('158');
    expect(read('70 157c').asks).toEqual([]);
    const jumped = quickLine('1', around([entry(50, 'reading', { glass: 0.3, glassAt: null })], 60));
    expect(jumped.asks).toEqual([]);
    expect(quickLine('3/4', around([entry(50, 'reading', { glass: 0.3, glassAt: null })], 60)).asks[0]).toContain('10 s');
  });

  it('and asks nothing of one that is plausible', () => {
    for (const line of ['117 psi', '0 psi', '1/2', 'coal', '65 1/2']) expect(read(line).asks).toEqual([]);
    expect(read('118 psi').asks[0]).toContain('90');
    expect(read('-1 psi').asks).toEqual(['A pressure below nothing: is the boiler cooling shut?']);
    const blind = { ...around(), fitOut: { ...fitOut, glasses: [] } };
    expect([quickLine('1/2', blind).asks, quickLine('65', blind).asks]).toEqual([
      ['This engine has no gauge glass: log it all the same?'],
      []
    ]);
  });

  it('a word whose second half is missing or cannot be is not understood', () => {
    for (const line of ['tank', 'tank 65', 'tank wibble', 'temp', 'temp wibble', 'fire', 'fire 65 wibble', 'lift wibble'])
      expect(read(line), line).toMatchObject({ entries: [], problem: expect.any(String) });
  });

  it('hears the second of two things of one kind as a slip, not as the truth', () => {
    expect(read('65 70').problem).toContain('70');
    expect(read('1/2 3/4').problem).toContain('3/4');
  });

  it('never throws, and what it understands is always accepted, whatever is typed', () => {
    const words = [
      '65',
      '½',
      '1/2',
      'coal',
      'injector',
      'on',
      'off',
      'to',
      'tank',
      'boiler',
      'blower',
      'lift',
      'note',
      'fault',
      'nut',
      'bottom',
      '12c',
      '0.5',
      'kg',
      '-3',
      '💧',
      'glass',
      'a',
      'in',
      '',
      '99999 psi',
      'full'
    ];
    fc.assert(
      fc.property(fc.array(fc.oneof(fc.constantFrom(...words), fc.string({ maxLength: 6 })), { maxLength: 7 }), (parts) => {
        const heard = read(parts.join(' '));
        if (heard.problem) expect(heard.entries).toEqual([]);
        else expect(heard.echo).toHaveLength(heard.entries.length);
        for (const e of heard.entries)
          if (e.kind !== 'reading' || (e.body.pressure ?? 0) < 5e6)
            expect(checkEntry({ id: id(1), at: '2026-06-13T10:00:00Z', ...e })).toHaveProperty('entry');
      })
    );
  });

  it('asks about an absurd pressure beside a temperature, and does not stumble over it', () => {
    expect(read('600 psi 12c').asks.length).toBeGreaterThan(0);
    expect(read('99999 psi 12c').problem).toContain('more than a log holds');
  });

  it('says what it did not understand and logs nothing', () => {
    expect(read('65 wibble')).toEqual({ entries: [], echo: [], asks: [], problem: expect.stringContaining('wibble') });
    // Nor is the name of something that every object has a fuel or a valve.
    expect(read('constructor')).toMatchObject({ entries: [], problem: expect.stringContaining('constructor') });
  });

  it('says an entry in the reader’s units', () => {
    expect(say(entry(1, 'reading', { pressure: psi(65), glass: 0.5, glassAt: psi(65) }), usualUnits)).toBe('65\u2009psi · ½ glass');
    expect(say(entry(1, 'reading', { pressure: 450_000 }), { ...usualUnits, pressure: 'bar' })).toBe('4.5\u2009bar');
  });
});

describe('what each kind of entry does', () => {
  const after = (...made: Entry[]) => fold(context, made).state;

  it('readings keep their age; the highest pressure stays', () => {
    const state = after(
      entry(1, 'reading', { pressure: psi(80) }),
      entry(2, 'reading', { pressure: psi(60), temperature: 400, tank: 0.5 }),
      entry(3, 'reading', { glass: 0.4, glassAt: null, glassNumber: 2 })
    );
    expect(state.pressure).toEqual({ value: psi(60), at: entry(2, 'note', { text: '' }).at });
    expect(state.highest?.value).toBe(psi(80));
    expect(state.tank?.value).toBe(0.5);
    expect(state.glass).toBeUndefined();
    expect(state.secondGlass?.value).toBe(0.4);
  });

  it('fire: lit, fuelled by weight and by rounds, out; a relight starts its clock again', () => {
    const state = after(
      entry(1, 'fire', { act: 'light' }),
      entry(2, 'fire', { act: 'fuel on', fuel: 'coal', amount: 0.4 }),
      entry(3, 'fire', { act: 'fuel on', fuel: 'coal' }),
      entry(4, 'observation', { seen: 'fire out' })
    );
    expect(state.fire).toMatchObject({ rounds: 2, fuel: 0.4, outAt: entry(4, 'note', { text: '' }).at });
    expect(state.open).toEqual({});
    expect(
      after(entry(1, 'fire', { act: 'light' }), entry(2, 'fire', { act: 'out' }), entry(3, 'fire', { act: 'light' })).fire.outAt
    ).toBeUndefined();
  });

  it('feeds: where the water goes is kept while it runs, what was proven stays proven', () => {
    const state = after(
      entry(1, 'feed', { feed: 'Axle pump', on: true, to: 'both' }),
      entry(2, 'feed', { feed: 'Axle pump', on: false, volume: 0.002, proven: true }),
      entry(3, 'feed', { feed: 'Axle pump', on: true })
    );
    expect(state.feeds['Axle pump']).toMatchObject({ on: true, to: 'both', proven: true });
    expect(state.fed).toBe(0.002);
    expect(after(entry(1, 'tick', { step: 'prove-injectors', outcome: 'done' })).feeds.Injector).toMatchObject({ on: false, proven: true });
    expect(after(entry(1, 'tick', { step: 'prove-injectors', outcome: 'skipped', reason: 'no' })).feeds.Injector).toBeUndefined();
  });

  it('the phase moves on by itself when nothing is left in it, and by word', () => {
    const first = context.procedure.steps.filter((s) => s.phase === 'Look over');
    const state = after(...first.map((s, i) => entry(i, 'tick', { step: s.key, outcome: i % 2 ? 'done' : 'skipped', reason: 'no' })));
    expect(state.phase).toBe('Fill and oil');
    expect(after(entry(1, 'phase', { phase: 'Raise' })).phase).toBe('Raise');
    expect(after(entry(1, 'tick', { step: 'no such step', outcome: 'done' })).steps).toEqual({});
  });

  it('keeper, faults, lifts, override, signature', () => {
    const state = after(
      entry(1, 'handover', { to: 'Pim Larkwater', next: 'glass' }),
      entry(2, 'fault', { text: 'weep', forbids: 'passengers' }),
      entry(3, 'lift', { valve: 1, lifted: psi(91) }),
      entry(4, 'override', { reason: 'steam test', of: ['papers'] }),
      entry(5, 'sign', { as: 'examiner', name: 'Hesper' })
    );
    expect(state).toMatchObject({
      keeper: 'Pim Larkwater',
      faults: [{ text: 'weep' }],
      lifts: [{ lifted: psi(91) }],
      override: { reason: 'steam test' },
      signatures: [{ as: 'examiner' }]
    });
    expect(state.endedAt).toBeUndefined();
    expect(fold(context, [entry(6, 'sign', { as: 'keeper', name: 'Wenna' })]).state.endedAt).toBeDefined();
  });
});

describe('what a finished steaming leaves', () => {
  const told = tell(fitOut, { seed: 11, keeper: 'Wenna Thrale', begins: t0, running: 40, skips: { 'tubes-swept': 'Out of daylight' } });

  it('skips with their reasons and things still open head the next list', () => {
    expect(carriedOver(told)).toEqual([{ what: 'Tubes swept, blast nozzle looked at', how: 'skipped', reason: 'Out of daylight' }]);
    const open = add(told, entry(99_999, 'thing', { thing: 'wicks', open: true }));
    expect(carriedOver(open)[0]).toEqual({ what: 'wicks in', how: 'left open' });
    expect(carriedOver(fold(context, [])).some((c) => c.how === 'not done')).toBe(true);
  });

  it('what was done is not carried, what was not is, a chore only when it was skipped', () => {
    const tick = (n: number, step: string, outcome: 'done' | 'skipped') =>
      entry(n, 'tick', outcome === 'done' ? { step, outcome } : { step, outcome, reason: 'rain' });
    const left = carriedOver(fold(context, [tick(1, 'papers', 'done'), tick(2, 'grate', 'skipped'), tick(3, 'oil-round', 'skipped')]));
    const of = (key: string) => left.filter((c) => c.what === context.procedure.steps.find((s) => s.key === key)!.what);
    expect(of('papers')).toEqual([]);
    expect(of('grate')).toMatchObject([{ how: 'skipped', reason: 'rain' }]);
    expect(of('oil-round')).toMatchObject([{ how: 'skipped' }]);
    expect(of('smokebox')).toMatchObject([{ how: 'not done' }]);
    expect(of('leaks-50')).toEqual([]);
  });

  it('the summary and the figures come from the same two moments, and each figure shows them', () => {
    const summary = summarise(told);
    const by = Object.fromEntries(recordFigures(told).map((f) => [f.key, f.worked]));
    expect(by.raise!.value).toBeCloseTo(summary.raise!, 3);
    expect(by.steam!.value).toBeCloseTo(summary.inSteam!, 3);
    expect(by.highest!.value).toBe(summary.highest);
    expect(summary.raise).toBeGreaterThan(10 * 60);
    expect(summary.skipped).toBe(1);
    expect(summary.missed).toBe(0);
    const lit = told.entries.find((e) => e.kind === 'tick' && e.body.step === 'match')!;
    expect(by.raise!.steps[0]!.inputs.map((i) => i.value)).toContain(Date.parse(lit.at) / 1000);
    // Each figure is the sum under it, done again.
    for (const { steps, value } of Object.values(by)) {
      for (const s of steps) expect(s.result.value).toBe(evaluate(s.sum!));
      expect(steps.at(-1)!.result.value).toBe(value);
    }
    expect(recordFigures(fold(context, []))).toEqual([]);
  });

  it('every entry of it can be said, in words without a hole', () => {
    for (const e of told.entries) expect(say(e, usualUnits, told.context.procedure)).toMatch(/^(?!.*(undefined|NaN|\[object)).+$/);
  });
});

describe('time-ordered ids', () => {
  it('are UUIDs of version 7 that sort by when they were made', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 2 ** 45 }),
        fc.integer({ min: 0, max: 2 ** 45 }),
        fc.uint8Array({ minLength: 10, maxLength: 10 }),
        (a, b, random) => {
          const [x, y] = [timeOrderedId(a, random), timeOrderedId(b, random)];
          expect(x).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
          expect(Math.sign(x < y ? -1 : x > y ? 1 : 0)).toBe(Math.sign(a - b));
        }
      )
    );
  });
});
