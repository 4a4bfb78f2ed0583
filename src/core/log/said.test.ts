import { describe, expect, it } from 'vitest';
import { glass, lit, type Made, pressure, steaming } from '../../../tests/made';
import { psi, usualUnits } from '../units';
import { againstOf, echo, type Entry, laneOf, recordFigures, say, summarise } from '.';

const metric = { ...usualUnits, pressure: 'bar', volume: 'l', mass: 'kg' } as const;
const made = (kind: string, body: object) => ({ kind, body }) as Pick<Entry, 'kind' | 'body'>;
const thin = '\u2009';

describe('an entry as a line of the log, and as the quick line gives it back', () => {
  it.each([
    ['reading', { pressure: psi(65), glass: 0.5, glassAt: null }, `65${thin}psi · ½ glass`, `65${thin}psi · ½ of the glass`],
    ['reading', { glass: 'bottom nut', glassNumber: 2, glassAt: null }, 'In the bottom nut, second', 'in the bottom nut'],
    ['reading', { temperature: 358.15, tank: 0.5 }, `85${thin}°C · tank ½`, `85${thin}°C · tank ½`],
    ['reading', { tank: 0 }, 'Tank at the bottom', 'tank at the bottom'],
    ['reading', { draught: 12 }, 'Draught 12 Pa', ''],
    ['fire', { act: 'light' }, 'Fire lit', 'fire lit'],
    ['fire', { act: 'fuel on', fuel: 'coal', amount: 0.5 }, `Coal 500${thin}g`, `a round of coal, 500${thin}g`],
    ['fire', { act: 'fuel on', fuel: 'coal', amount: 0 }, `Coal 0.0${thin}kg`, 'a round of coal'],
    ['fire', { act: 'fuel on' }, 'Fuel', undefined],
    ['fire', { act: 'drop' }, 'Fire dropped', 'fire dropped'],
    ['feed', { feed: 'Injector', on: true, to: 'both', volume: 0.5e-3 }, `Injector on, water to boiler and tank 500${thin}ml`, undefined],
    [
      'feed',
      { feed: 'Axle pump', on: true, to: 'both', part: 0.25 },
      'Axle pump on, water to boiler and tank, ¼ to the boiler',
      'Axle pump on, water to both, ¼ of it to the boiler'
    ],
    ['feed', { feed: 'Hand pump', on: false, strokes: 20 }, 'Hand pump 20 strokes', 'Hand pump 20 strokes'],
    ['feed', { feed: 'Axle pump', on: true, to: 'tank' }, 'Axle pump on, water to tank', 'Axle pump on, water to tank'],
    ['feed', { feed: 'Axle pump', on: false, to: 'tank', proven: true }, 'Axle pump off, proven', 'Axle pump off'],
    ['valve', { valve: 'blower', open: 0.25 }, 'Blower on, ¼', 'blower ¼ open'],
    ['valve', { valve: 'blower', open: 0 }, 'Blower off', 'blower shut'],
    ['valve', { valve: 'whistle', open: 1 }, 'Whistle on', 'whistle open'],
    ['valve', { valve: 'regulator', open: 0 }, 'Regulator shut', 'regulator shut'],
    ['valve', { valve: 'regulator', open: 1 }, 'Regulator open', 'regulator open'],
    ['valve', { valve: 'regulator', open: 0.5 }, 'Regulator ½ open', 'regulator ½ open'],
    [
      'lift',
      { valve: 2, lifted: psi(90), reseated: psi(84) },
      `Safety valve 2 lifted at 90${thin}psi, reseated at 84${thin}psi`,
      `valve lifted at 90${thin}psi`
    ],
    ['lift', { valve: 1, reseated: psi(84) }, `Safety valve 1 reseated at 84${thin}psi`, `valve reseated at 84${thin}psi`],
    [
      'fault',
      { text: 'left clack weeps', forbids: 'passengers' },
      'Fault: left clack weeps (not with passengers)',
      'fault: left clack weeps'
    ],
    ['handover', { to: 'Pim Larkwater', next: 'oil round' }, 'Handed over to Pim Larkwater. Next: oil round', undefined],
    ['note', { text: 'mist on the drain' }, 'mist on the drain', 'note: mist on the drain'],
    [
      'override',
      { reason: 'examiner present', of: ['papers', 'hydraulic'] },
      'Steamed all the same: examiner present (papers; hydraulic)',
      undefined
    ],
    ['phase', { phase: 'Raise' }, 'On to: Raise', undefined],
    ['sign', { as: 'keeper', name: 'Wenna', remarks: 'good' }, 'Signed as keeper: Wenna. good', undefined],
    ['sign', { as: 'keeper', name: 'Wenna' }, 'Signed as keeper: Wenna', undefined],
    ['oil', { what: 'axleboxes' }, 'Axleboxes', undefined],
    ['test', { test: 'accumulation', result: 'pass', text: 'held' }, 'Accumulation: passed. held', undefined],
    ['test', { test: 'gauge', result: 'fail' }, 'Gauge: failed', undefined],
    ['strike', { reason: 'undone' }, 'Struck out: undone', undefined],
    ['strike', {}, 'Struck out', undefined],
    ['tick', { step: 'none of these', outcome: 'skipped', reason: 'no fan' }, 'Skipped: none of these. No fan', undefined],
    ['tick', { step: 'none of these', outcome: 'done' }, 'None of these', undefined]
  ] as const)('%s %j is said "%s"', (kind, body, said, echoed) => {
    expect(say(made(kind, body), usualUnits)).toBe(said);
    if (echoed !== undefined) expect(echo(made(kind, body), usualUnits)).toBe(echoed);
  });
  it('a step is said by its name, and units are the reader’s', () => {
    const { context } = steaming('Marsh Hen', []);
    const step = context.procedure.steps[0]!;
    expect(say(made('tick', { step: step.key, outcome: 'done' }), usualUnits, context.procedure)).toBe(step.what);
    const last = context.procedure.steps.at(-1)!;
    expect(say(made('tick', { step: last.key, outcome: 'done' }), usualUnits, context.procedure)).toBe(last.what);
    // Of another engine, or of a library that has changed: its key is all that is left.
    expect(say(made('tick', { step: 'gone', outcome: 'done' }), usualUnits, context.procedure)).toBe('Gone');
    expect(say(made('reading', { pressure: 4e5 }), metric)).toBe(`4.0${thin}bar`);
  });
  it('is marked with what it lacked when it was told, and only the tick that stands', () => {
    const log = steaming('Marsh Hen', [
      lit,
      [1, 'tick', { step: 'changeover', outcome: 'done' }],
      [2, 'note', { text: 'x' }],
      pressure(3, 40),
      [4, 'tick', { step: 'changeover', outcome: 'done' }]
    ]);
    const [, first, note, , second] = log.entries as [Entry, Entry, Entry, Entry, Entry];
    expect(againstOf(note, log.state)).toBeUndefined();
    expect(againstOf(first, log.state)).toBeUndefined();
    expect(log.state.steps.changeover?.at).toBe(second.at);
    const early = steaming('Marsh Hen', [lit, [1, 'tick', { step: 'changeover', outcome: 'done' }]]);
    expect(againstOf(early.entries[1]!, early.state)).toMatch(/\w/);
  });
});

describe('what an event does to the state', () => {
  const state = (...made: Made[]) => steaming('Marsh Hen', made).state;
  it('the highest pressure keeps the time at which it was first seen; a glass counts as the first or the second', () => {
    expect(state(lit, pressure(1, 60), pressure(2, 60), pressure(3, 59)).highest?.at).toBe('2026-06-13T10:01:00.000Z');
    expect(state(lit, pressure(1, 60), pressure(2, 61)).highest?.at).toBe('2026-06-13T10:02:00.000Z');
    const two = state(glass(1, 0.5), [2, 'reading', { glass: 0.4, glassNumber: 2, glassAt: null }]);
    expect([two.glass?.value, two.secondGlass?.value, two.secondGlass?.pressure]).toEqual([0.5, 0.4, null]);
  });
  it('fuel adds up by weight and by rounds, raking is neither; a fire out is closed and seen', () => {
    const fuel = (minute: number, amount?: number): Made => [
      minute,
      'fire',
      { act: 'fuel on', ...(amount === undefined ? {} : { amount }) }
    ];
    const burning = state(lit, fuel(1, 0.5), fuel(2, 0.25), fuel(3), [4, 'fire', { act: 'rake' }]);
    expect(burning.fire).toMatchObject({ rounds: 3, fuel: 0.75, fuelAt: '2026-06-13T10:03:00.000Z' });
    expect(burning.open.fire).toEqual({ since: '2026-06-13T10:00:00.000Z', by: 'Wenna' });
    const out = state(lit, [5, 'observation', { seen: 'fire out' }]);
    expect([out.open.fire, out.fire.outAt, out.seen['fire out']]).toEqual([
      undefined,
      '2026-06-13T10:05:00.000Z',
      '2026-06-13T10:05:00.000Z'
    ]);
    expect(state(lit, [5, 'fire', { act: 'drop' }], [9, 'fire', { act: 'light' }]).fire).toMatchObject({
      litAt: '2026-06-13T10:09:00.000Z',
      outAt: undefined
    });
  });
  it('what was fed adds up; where the water goes and that it was proven stay', () => {
    const feed = (minute: number, body: object): Made => [minute, 'feed', { feed: 'Left injector', on: true, ...body }];
    const fed = state(feed(1, { to: 'boiler', volume: 1e-3, proven: true }), feed(2, { volume: 5e-4 }), feed(3, { on: false }));
    expect(fed.fed).toBeCloseTo(1.5e-3, 12);
    expect(fed.feeds['Left injector']).toMatchObject({ on: false, to: 'boiler', since: '2026-06-13T10:03:00.000Z', proven: true });
    expect(state(feed(1, {})).feeds['Left injector']).toEqual({ on: true, since: '2026-06-13T10:01:00.000Z', proven: false });
  });
  it('what is open keeps since when and by whom until it is closed, by its name or by its valve', () => {
    const open = (minute: number, thing: 'vent' | 'plug', open = true): Made => [minute, 'thing', { thing, open }];
    expect(state(open(1, 'vent'), open(2, 'vent')).open.vent?.since).toBe('2026-06-13T10:01:00.000Z');
    expect(state(open(1, 'vent')).valves.vent?.open).toBe(1);
    expect(state(open(1, 'vent'), [2, 'valve', { valve: 'vent', open: 0 }]).open).toEqual({});
    expect(state(open(1, 'plug'), open(2, 'vent'), open(3, 'plug', false)).open).toHaveProperty('vent');
    expect(state([1, 'valve', { valve: 'vent', open: 0.1 }]).open.vent?.since).toBe('2026-06-13T10:01:00.000Z');
  });
  it('an oil round keeps its time, and every kind tells what it is', () => {
    expect(state([7, 'oil', { what: 'motion' }]).oiledAt).toBe('2026-06-13T10:07:00.000Z');
    expect(steaming('Marsh Hen', [[7, 'oil', { what: 'motion' }]]).events).toMatchObject([{ is: 'oil', what: 'motion' }]);
  });
  it('a phase that is said again keeps its time; a keeper’s signature ends it, an examiner’s does not', () => {
    const phase = (minute: number): Made => [minute, 'phase', { phase: 'Raise' }];
    expect(state(phase(1), phase(5)).phaseSince).toBe('2026-06-13T10:01:00.000Z');
    const sign = (as: 'keeper' | 'examiner'): Made => [9, 'sign', { as, name: 'W' }];
    expect([state(sign('keeper')).endedAt, state(sign('examiner')).endedAt]).toEqual(['2026-06-13T10:09:00.000Z', undefined]);
  });
  it('is marked in the lane of its kind', () => {
    const lane = (e: object) => laneOf(e as Parameters<typeof laneOf>[0]);
    expect([
      lane({ is: 'fire', act: 'fuel on' }),
      lane({ is: 'fire', act: 'rake' }),
      lane({ is: 'feed', feed: 'x', on: true }),
      lane({ is: 'feed', feed: 'x', on: false }),
      lane({ is: 'feed', feed: 'x', on: false, strokes: 9 }),
      lane({ is: 'lift', valve: 1 }),
      lane({ is: 'seen', seen: 'blowing off' }),
      lane({ is: 'seen', seen: 'bobbing' }),
      lane({ is: 'fault' }),
      lane({ is: 'oil' })
    ]).toEqual(['fuel', undefined, 'feed', undefined, 'feed', 'lift', 'lift', undefined, 'fault', undefined]);
  });
});

describe('what the Logbook lists', () => {
  it('a raise ends at the first look that is as good as in steam after the match, and is none before it', () => {
    const day = (...made: Made[]) => summarise(steaming('Marsh Hen', made));
    expect(day(lit, pressure(40, 95), pressure(41, 95.1), pressure(50, 100)).raise).toBe(41 * 60);
    expect(day([0, 'reading', { pressure: psi(98) }], [1, 'fire', { act: 'light' }], pressure(30, 96)).raise).toBe(29 * 60);
    expect([day(lit, pressure(40, 90)).raise, day(pressure(40, 96)).raise, day().highest]).toEqual([null, null, null]);
    expect([day(lit, [90, 'fire', { act: 'out' }]).inSteam, day(lit).inSteam]).toEqual([90 * 60, null]);
  });
  it('counts what stands: no struck reading, what was skipped, what was missed, what was found wrong', () => {
    const log = steaming('Marsh Hen', [
      lit,
      pressure(1, 10),
      pressure(2, 999),
      [2.5, 'reading', { glass: 0.5, glassAt: null }],
      [3, 'strike', {}, 2],
      [4, 'tick', { step: 'papers', outcome: 'done' }],
      [5, 'tick', { step: 'carried', outcome: 'skipped', reason: 'nothing was' }],
      [6, 'fault', { text: 'x', forbids: 'nothing' }],
      [7, 'fire', { act: 'fuel on', amount: 0.5 }]
    ]);
    const steps = log.context.procedure.steps.filter((s) => s.cycle !== 'further').length;
    const ticked = Object.keys(log.state.steps).length;
    expect(summarise(log)).toMatchObject({
      readings: 2,
      faults: 1,
      skipped: 1,
      missed: steps - ticked,
      fuel: 0.5,
      rounds: 1,
      entries: 8
    });
    // Beside the two that were ticked: the log shows by itself that the needle moved.
    expect(ticked).toBe(3);
  });
  it('shows how each figure came about, and none that the log does not bear', () => {
    const keys = (...made: Made[]) => recordFigures(steaming('Marsh Hen', made)).map((f) => f.key);
    expect(keys()).toEqual([]);
    expect(keys(pressure(1, 99))).toEqual(['highest']);
    expect(keys(lit, [30, 'fire', { act: 'out' }])).toEqual(['steam']);
    expect(keys(lit, pressure(20, 96), [30, 'fire', { act: 'out' }])).toEqual(['raise', 'steam', 'highest']);
  });
});
