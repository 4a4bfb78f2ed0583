import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { tell } from '../../../demo/story';
import { morning } from '../../../tests/made';
import { plantOf, usualFill } from '../boiler';
import { pastOf } from '../learn';
import { add, type Entry, fold, type Log } from '../log';
import { psi } from '../units';
import { warnings } from '../watch';
import { classHeating, fedOf, follow, type Heating, following, live, liveOf, waterIn, waterReplayed, waterUsed } from '.';

const { fitOut, context, t0, entry, done, valve, log } = morning();
const plant = plantOf(fitOut);
let heating: Heating;
beforeAll(() => void (heating = classHeating(fitOut, plant, { water: usualFill(fitOut, plant), T: 288.15 })));

describe('ticked through by hand, with no entry that the step does not ask for', () => {
  // The same morning, once told by ticks alone and once by entries alone.
  const morning = (changeover: Entry[], airOut: Entry[], match: Entry[]) =>
    log(
      entry(-20, 'reading', { glass: 0.4, glassAt: 0, temperature: 286 }),
      ...match,
      entry(9, 'reading', { pressure: psi(4) }),
      entry(12, 'reading', { pressure: psi(18) }),
      ...airOut,
      entry(15, 'reading', { pressure: psi(31) }),
      ...changeover,
      entry(18, 'reading', { pressure: psi(52), glass: 0.5, glassAt: psi(52) }),
      entry(21, 'reading', { pressure: psi(90) })
    );
  const ticked = morning([done(15.5, 'changeover')], [done(12.5, 'air-out')], [done(0, 'match')]);
  const entered = morning(
    [valve(15.5, 'blower', 0.5), valve(15.5, 'fan', 0)],
    [valve(12.5, 'whistle', 1), valve(12.5, 'whistle', 0)],
    [entry(0, 'fire', { act: 'light' })]
  );

  it('learning sees the same raising', () => {
    const past = pastOf(ticked)!;
    expect(past).toEqual(pastOf(entered));
    expect(past.blowerAt).toBe(15.5 * 60);
    expect(past.open[0]).toEqual({ at: 12.5 * 60, area: plant.whistle });
  });

  it('the forecast says the same at every minute, and the watch warns of the same', () => {
    for (const minute of [5, 13, 16, 19]) {
      const asked = { now: t0 + minute * 60_000, gates: [psi(30)] };
      const until = (l: Log) =>
        fold(
          context,
          l.entries.filter((e) => Date.parse(e.at) <= asked.now)
        );
      expect(live(until(ticked), plant, heating, asked)).toEqual(live(until(entered), plant, heating, asked));
    }
    const soon = t0 + 30 * 60_000;
    expect(warnings(ticked, soon)).toEqual(warnings(entered, soon));
  });

  it('the demo tells its past the same way: blower, whistle, regulator and tank stand in no entry of it, and all are in its timeline', () => {
    const told = tell(fitOut, { seed: 4, keeper: 'Wenna Thrale', begins: t0, running: 20 });
    expect(told.entries.filter((e) => e.kind === 'valve')).toEqual([]);
    const valves = new Set(told.events.flatMap((e) => (e.is === 'valve' ? [e.valve] : [])));
    for (const v of ['blower', 'whistle', 'regulator', 'drains', 'fan'] as const) expect([...valves]).toContain(v);
    expect(told.state.tank?.value).toBe(1);
    expect(pastOf(told)!.blowerAt).toBeGreaterThan(0);
  });
});

describe('what was fed', () => {
  it('is a span with its rate: as measured, as the feed gives, or still running; to the tank it is none', () => {
    const feed = (minute: number, name: string, on: boolean, more: object = {}) => entry(minute, 'feed', { feed: name, on, ...more });
    const of = (...entries: Entry[]) => {
      const l = log(entry(0, 'fire', { act: 'light' }), ...entries);
      const f = following(l, plant, heating);
      follow(f, l);
      return fedOf(f);
    };
    const rate = (name: string) => plant.feeds.find((x) => x.name === name)!.rate;
    const at = (minute: number) => t0 / 1000 + minute * 60;
    expect(of(feed(10, 'Injector', true, { to: 'boiler' }))).toEqual([{ from: at(10), feed: 'Injector', rate: rate('Injector') }]);
    expect(of(feed(10, 'Injector', true, { to: 'boiler' }), feed(12, 'Axle pump', true, { to: 'both' })).map((x) => x.rate)).toEqual([
      rate('Injector'),
      rate('Axle pump') / 2
    ]);
    expect(of(feed(12, 'Axle pump', true, { to: 'both', part: 0.25 }))).toEqual([
      { from: at(12), feed: 'Axle pump', rate: rate('Axle pump') / 4, unsure: 0.4 }
    ]);
    // Its bypass is turned while it runs.
    expect(of(feed(12, 'Axle pump', true, { to: 'boiler' }), feed(14, 'Axle pump', true, { to: 'both', part: 0.5 }))).toEqual([
      { from: at(12), to: at(14), feed: 'Axle pump', rate: rate('Axle pump') },
      { from: at(14), feed: 'Axle pump', rate: rate('Axle pump') / 2, unsure: 0.4 }
    ]);
    expect(of(feed(10, 'Injector', true, { to: 'boiler' }), feed(12, 'Injector', false))).toEqual([
      { from: at(10), to: at(12), feed: 'Injector', rate: rate('Injector') }
    ]);
    expect(of(feed(10, 'Injector', true, { to: 'boiler' }), feed(12, 'Injector', false, { volume: 0.0006 }))).toEqual([
      { from: at(10), to: at(12), feed: 'Injector', rate: 0.6 / 120 }
    ]);
    expect(of(feed(10, 'Injector', true, { to: 'tank' }))).toEqual([]);
    // Counted strokes, at a stroke a second, told when they were done.
    expect(of(feed(10, 'Tender hand pump', false, { strokes: 30 }))).toEqual([
      { from: at(9.5), to: at(10), feed: 'Tender hand pump', rate: rate('Tender hand pump'), unsure: 0.25 }
    ]);
    expect(of(feed(10, 'Tender hand pump', false, { strokes: 30, volume: 1e-4 }))).toEqual([
      { from: at(9.5), to: at(10), feed: 'Tender hand pump', rate: 0.1 / 30 }
    ]);
    // Measured in, and nobody said for how long.
    expect(of(feed(10, 'Tender hand pump', false, { volume: 2e-4 }))).toEqual([{ from: at(10) - 1, to: at(10), rate: 0.2 }]);
    // A pump on the engine gives nothing while it stands, and goes on when it goes; an injector does not ask.
    const running = [feed(10, 'Axle pump', true, { to: 'boiler' }), feed(10, 'Injector', true, { to: 'boiler' })];
    expect(of(...running, valve(12, 'regulator', 0), valve(15, 'regulator', 0.5), valve(16, 'regulator', 0.7))).toEqual([
      { from: at(10), to: at(12), feed: 'Axle pump', rate: rate('Axle pump') },
      { from: at(12), to: at(15), feed: 'Axle pump', rate: 0 },
      { from: at(10), feed: 'Injector', rate: rate('Injector') },
      { from: at(15), feed: 'Axle pump', rate: rate('Axle pump') }
    ]);
    expect(of(feed(10, 'Bucket', true, { to: 'boiler' }))).toEqual([{ from: at(10), feed: 'Bucket', rate: 0 }]);
  });
});

describe('the water held against what was then looked at', () => {
  const looked = (...glasses: number[]) =>
    waterReplayed(
      log(
        entry(0, 'fire', { act: 'light' }),
        ...glasses.map((glass, i) => entry(20 + 4 * i, 'reading', { pressure: psi(80), glass, glassAt: psi(80) }))
      ),
      plant
    );
  it('counts the looks that found it where the ones before them would have had it', () => {
    const steady = looked(0.6, 0.55, 0.5, 0.45, 0.4)!;
    expect(steady.name).toBe('Water forecast: the band held 4 of 4 looks');
    expect([steady.worked.value, steady.worked.kind]).toEqual([1, 'share']);
    expect(looked(0.6, 0.55, 0.5, 0.95, 0.4)!.name).not.toContain('held 4 of 4');
    expect(looked(0.6, 0.55, 0.5, 0.95)!.worked.value).toBeCloseTo(2 / 3, 9);
  });
  it('says nothing of fewer than three looks in steam', () => {
    expect(looked(0.6, 0.55)).toBeUndefined();
    expect(looked(0.6, 0.55, 0.5)!.name).toContain('2 of 2');
    const cold = log(
      entry(0, 'fire', { act: 'light' }),
      ...[5, 6, 7, 8].map((m) => entry(m, 'reading', { pressure: psi(2), glass: 0.5, glassAt: psi(2) }))
    );
    expect(waterReplayed(cold, plant)).toBeUndefined();
  });
});

describe('the water of a day, counted', () => {
  const look = (minute: number, glass: number, gauge = 90) =>
    entry(minute, 'reading', { pressure: psi(gauge), glass, glassAt: psi(gauge) });
  const day = (...entries: Entry[]) => waterUsed(log(entry(0, 'fire', { act: 'light' }), ...entries), plant);
  const [full, low] = [0.6, 0.4].map((glass) => waterIn(plant, { glass, gauge: psi(90) })) as [number, number];
  it('is what the glass lost and what was fed, between the first look in steam and the last', () => {
    const used = day(look(10, 0.9, 40), look(20, 0.6), look(50, 0.5), look(80, 0.4))!;
    expect(used.kg).toBeCloseTo(full - low, 9);
    expect(used.time).toBe(3600);
    const [feed] = plant.feeds;
    const fed = day(
      look(20, 0.6),
      entry(40, 'feed', { feed: feed!.name, on: true }),
      entry(50, 'feed', { feed: feed!.name, on: false }),
      look(80, 0.4),
      entry(90, 'fire', { act: 'out' }),
      look(95, 0.1)
    )!;
    expect(fed.kg).toBeCloseTo(full - low + 600 * feed!.rate, 6);
    expect(fed.spread).toBeGreaterThan(0);
    // Twice the fall is known better.
    expect(day(look(20, 0.8), look(80, 0.2))!.spread).toBeLessThan(day(look(20, 0.6), look(80, 0.4))!.spread);
  });
  it('is not told by looks that lie close together, by a glass that rose, or by a fall within what looks have wrong', () => {
    expect(day(look(20, 0.6), look(39, 0.4))).toBeUndefined();
    expect(day(look(20, 0.6), look(41, 0.4))).toBeDefined();
    expect(day(look(20, 0.4), look(80, 0.6))).toBeUndefined();
    expect(day(look(20, 0.5), look(80, 0.45))).toBeUndefined();
    expect(day(look(10, 0.6, 40), look(80, 0.4, 40))).toBeUndefined();
  });
  it('makes the forecast of the water begin from what such days took', () => {
    const l = log(entry(0, 'fire', { act: 'light' }));
    const usual = following(l, plant, heating).uses;
    const water = { kg: 1.2 * 2 * usual * 3600, time: 3600, duty: 'passengers' as const };
    expect(following(l, plant, heating, undefined, [{ fuel: 0, inSteam: 0, water }]).uses).toBeCloseTo(2 * usual, 9);
  });
  it('is kept with the raising, and the work of that day with it', () => {
    const l = log(
      entry(0, 'fire', { act: 'light' }),
      entry(8, 'reading', { pressure: psi(15) }),
      entry(12, 'reading', { pressure: psi(40) }),
      look(20, 0.6),
      look(80, 0.4)
    );
    expect(pastOf(l, 'light')!.used).toMatchObject({ kg: full - low, time: 3600, duty: 'light' });
    expect(pastOf(l)!.used!.duty).toBe('passengers');
  });
});

describe('what stands open while it is raised', () => {
  const filterOf = (...entries: Entry[]) => {
    const l = log(entry(0, 'fire', { act: 'light' }), ...entries);
    const f = following(l, plant, heating);
    follow(f, l);
    return f.taken.filter!;
  };
  const air = (f: { air: Float64Array }) => f.air.reduce((a, b) => a + b, 0) / f.air.length;
  const hot = entry(8, 'reading', { pressure: psi(12) });
  it('is kept with its size, and shut again; of before the match too', () => {
    expect(filterOf(valve(5, 'vent', 0.5)).open).toEqual({ vent: 0.5 * plant.vent });
    expect(filterOf(valve(5, 'vent', 0.5), valve(6, 'drains', 1), valve(7, 'vent', 0)).open).toEqual({ vent: 0, drains: plant.drains });
    expect(filterOf(valve(-5, 'vent', 1), hot).open).toEqual({ vent: plant.vent });
    expect(filterOf(valve(5, 'damper', 0.5)).open).toEqual({});
  });
  it('opened and shut in one breath lets some of the air out; shut when it was not open lets out none', () => {
    const [shut, brief, apart, never, open] = [
      filterOf(hot, entry(10, 'reading', { pressure: psi(16) })),
      filterOf(hot, valve(9, 'whistle', 1), valve(9, 'whistle', 0), entry(10, 'reading', { pressure: psi(16) })),
      filterOf(hot, valve(9, 'whistle', 1), valve(9.02, 'whistle', 0), entry(10, 'reading', { pressure: psi(16) })),
      filterOf(hot, valve(9, 'whistle', 0), entry(10, 'reading', { pressure: psi(16) })),
      filterOf(hot, valve(9, 'whistle', 1), entry(10, 'reading', { pressure: psi(16) }))
    ].map(air);
    expect(brief!).toBeLessThan(0.6 * shut!);
    expect(apart!).toBeGreaterThan(brief!);
    expect(never!).toBeCloseTo(shut!, 1);
    expect(open!).toBeLessThan(0.5 * shut!);
  });
  it('what has been taken is not taken again, and a feed logged on twice runs from the first', () => {
    const l = log(entry(0, 'fire', { act: 'light' }), hot, entry(10, 'feed', { feed: 'Injector', on: true, to: 'boiler' }));
    const f = following(l, plant, heating);
    follow(f, l);
    follow(f, l);
    const more = add(l, entry(12, 'feed', { feed: 'Injector', on: true, to: 'boiler' }));
    follow(f, more);
    expect([f.reads.length, f.taken.count, f.taken.events]).toEqual([1, 1, more.events.length]);
    expect(fedOf(f)).toEqual([{ from: t0 / 1000 + 600, feed: 'Injector', rate: plant.feeds.find((x) => x.name === 'Injector')!.rate }]);
  });
});

describe('a steaming followed event by event', () => {
  it('says what a log folded from its beginning says, whatever comes late, is struck or is brought back', () => {
    const told = tell(fitOut, { seed: 8, keeper: 'Wenna Thrale', begins: t0, running: 15, until: t0 + 130 * 60_000 });
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat(), fc.nat(), fc.nat(3)), { maxLength: 12 }), (shakes) => {
        const entries = [...told.entries];
        const order: Entry[] = [...entries];
        for (const [from, to, what] of shakes) {
          if (what === 0) {
            const [e] = order.splice(from % order.length, 1);
            order.splice(to % order.length, 0, e!);
          } else {
            const target = order[from % order.length]!;
            order.push({ ...entry(125 + order.length / 1e6, 'strike', {}), strikes: target.id } as Entry);
          }
        }
        let growing = fold(context, []);
        const f = following(growing, plant, heating);
        order.forEach((e, i) => {
          growing = add(growing, e);
          if (i % 7 === 0 || i > order.length - 4) follow(f, growing);
        });
        const asked = { now: t0 + 131 * 60_000, gates: [psi(30)] };
        expect(liveOf(f, growing, asked)).toEqual(live(fold(context, order), plant, heating, asked));
      }),
      { numRuns: 25 }
    );
  });
});
