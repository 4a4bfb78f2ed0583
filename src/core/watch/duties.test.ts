import { describe, expect, it } from 'vitest';
import { at, entry, type Made, steaming } from '../../../tests/made';
import { add, type Log } from '../log';
import { type Day, dutiesKept, dutiesOf, standingBy } from '.';

/** Lit at 0, moving from minute 60 with the regulator a quarter open. */
const moving: Made[] = [
  [0, 'fire', { act: 'light' }],
  [59, 'phase', { phase: 'Run' }],
  [60, 'tick', { step: 'first-move', outcome: 'done' }]
];
const run = (engine: string, made: Made[], minute: number, day: Day = {}) =>
  dutiesOf(steaming(engine, [...moving, ...made]), at(minute), day);
const of = (engine: string, key: string, made: Made[], minute: number, day: Day = {}) =>
  run(engine, made, minute, day).find((d) => d.key.startsWith(key));
const glass = (minute: number): Made => [minute, 'reading', { glass: 0.5, glassAt: 6e5 }];
const shut = (minute: number): Made => [minute, 'valve', { valve: 'regulator', open: 0 }];

describe('duties', () => {
  it('come round while it runs: not before it moves, and not when its fire is out', () => {
    const keys = (log: Log, minute: number) => dutiesOf(log, at(minute)).map((d) => d.key);
    expect(keys(steaming('Little Bittern', [moving[0]!]), 30)).toEqual([]);
    expect(keys(steaming('Little Bittern', moving), 61)).toEqual(expect.arrayContaining(['glass', 'fire', 'balance', 'hand pump']));
    expect(keys(steaming('Little Bittern', [...moving, [90, 'fire', { act: 'out' }]]), 91)).toEqual([]);
  });
  it('the glass by its size, from the last look; due at its minute and late after it', () => {
    expect(of('Little Bittern', 'glass', [glass(70)], 72.9)).toMatchObject({ state: 'waiting', due: at(73) });
    expect(of('Little Bittern', 'glass', [glass(70)], 73.5)).toMatchObject({ state: 'due', late: 30_000 });
    expect(of('Little Bittern', 'glass', [glass(70)], 75)).toMatchObject({ state: 'late', late: 120_000 });
    expect(of('Marsh Hen', 'glass', [glass(70)], 74)).toMatchObject({ state: 'waiting' });
    expect(of('Water Rail', 'glass', [], 200)).toBeUndefined();
    // While it is fed it is looked at sooner, as the glance is.
    const fed: Made = [70.5, 'feed', { feed: 'Left injector', on: true, to: 'boiler' }];
    expect(of('Marsh Hen', 'glass', [glass(70), fed], 71)).toMatchObject({ due: at(72.5) });
  });
  it('the fire by a round of coal or by how it looks; the water by where it is sent', () => {
    expect(of('Little Bittern', 'fire', [[70, 'fire', { act: 'fuel on' }]], 75)?.state).toBe('waiting');
    expect(of('Little Bittern', 'fire', [[70, 'observation', { seen: 'fire bright' }]], 75)?.state).toBe('waiting');
    expect(of('Little Bittern', 'fire', [[70, 'observation', { seen: 'simmer' }]], 75)?.state).toBe('late');
    expect(of('Little Bittern', 'balance', [], 75)?.state).toBe('due');
    expect(of('Little Bittern', 'balance', [[70, 'feed', { feed: 'Axle pump', on: true, to: 'both' }]], 75)?.state).toBe('waiting');
    expect(of('Marsh Hen', 'balance', [], 75)).toBeUndefined();
    expect(of('Water Rail', 'fire', [], 90)).toBeUndefined();
  });
  it('oil by minutes with the regulator open: a halt counts for nothing, and each point is timed by its own', () => {
    const lubricator = (made: Made[], minute: number) => of('Little Bittern', 'lubricator', made, minute)!;
    // Every 90 minutes of running, from 60 on.
    expect(lubricator([], 149)).toMatchObject({ state: 'waiting', due: at(150) });
    expect(lubricator([], 150.5)).toMatchObject({ state: 'due' });
    const halt: Made[] = [shut(100), [130, 'valve', { valve: 'regulator', open: 0.3 }]];
    expect(lubricator(halt, 150.5)).toMatchObject({ state: 'waiting', due: at(180) });
    expect(lubricator([shut(100)], 200).due).toBeUndefined();
    const { touch } = lubricator([], 150);
    const [oiled] = touch!.made;
    expect(lubricator([[150, oiled!.kind, oiled!.body] as Made], 151)).toMatchObject({ state: 'waiting', due: at(240) });
    expect(lubricator([[150, 'oil', { what: 'oil round' }]], 151).state).not.toBe('waiting');
    expect(of('Little Bittern', 'oil ', [[150, 'oil', { what: 'oil round' }]], 151)?.state).toBe('waiting');
  });
  it('the tank by what it uses, so that a quarter is left; each reading says it anew', () => {
    // 12 l, three quarters of it to use, at 0.0025 kg/s: an hour.
    const day = { water: 0.0025 };
    expect(of('Little Bittern', 'tank', [], 119, day)).toMatchObject({ state: 'waiting', due: at(120) });
    expect(of('Little Bittern', 'tank', [[90, 'reading', { tank: 0.5 }]], 100, day)).toMatchObject({ due: at(110) });
    expect(of('Little Bittern', 'tank', [], 119)).toBeUndefined();
  });
  it('each train anew, once anybody is carried; the wants of the day at their times', () => {
    expect(of('Little Bittern', 'train', [], 200)).toBeUndefined();
    const carried: Made = [70, 'tick', { step: 'passengers', outcome: 'done' }];
    expect(of('Little Bittern', 'train', [carried], 90)).toMatchObject({ state: 'due' });
    const kept: Made = [91, 'duty', { duty: 'train', what: 'This train' }];
    expect(of('Little Bittern', 'train', [carried, kept], 120)).toMatchObject({ state: 'waiting', due: at(121) });
    const day = { wants: [{ what: 'Last train', at: new Date(at(110)).toISOString() }] };
    expect(of('Little Bittern', 'want', [], 100, day)).toMatchObject({ what: 'Last train', due: at(110), state: 'waiting' });
    expect(of('Little Bittern', 'want', [[111, 'duty', { duty: 'want 1', what: 'Last train' }]], 120, day)).toBeUndefined();
  });
  it('put off once with a reason: it comes again, and the reason stands until it is kept', () => {
    const put: Made = [74, 'duty', { duty: 'glass', what: 'Look', put: 'on the bank' }];
    expect(of('Little Bittern', 'glass', [glass(70), put], 76)).toMatchObject({ state: 'waiting', due: at(77), put: 'on the bank' });
    expect(of('Little Bittern', 'glass', [glass(70), put], 78)).toMatchObject({ state: 'late', put: 'on the bank' });
    expect(of('Little Bittern', 'glass', [glass(70), put, glass(78)], 79)).not.toHaveProperty('put');
    // By whatever way it is put off a second time, nothing more is put off.
    const again: Made = [76, 'duty', { duty: 'glass', what: 'Look', put: 'still on it' }];
    expect(of('Little Bittern', 'glass', [glass(70), put, again], 78)).toMatchObject({ state: 'late', due: at(77), put: 'on the bank' });
  });
  it('standing by has duties of its own: the glass still, the banked fire, somebody by it; nothing that needs it to run', () => {
    const by: Made = [100, 'observation', { seen: 'standing by' }];
    expect(run('Little Bittern', [glass(99), by], 101).map((d) => d.key)).toEqual(['glass', 'banked', 'by it']);
    expect(of('Little Bittern', 'by it', [by], 114)).toMatchObject({ state: 'waiting', due: at(115) });
    const again: Made = [130, 'observation', { seen: 'running again' }];
    expect(run('Little Bittern', [by, again], 131).map((d) => d.key)).not.toContain('by it');
    expect([standingBy(steaming('Little Bittern', [by]).state), standingBy(steaming('Little Bittern', [by, again]).state)]).toEqual([
      new Date(at(100)).toISOString(),
      undefined
    ]);
  });
});

describe('three hours of running, minute by minute', () => {
  it('every duty falls due when it should, and a keeper who keeps each as it falls due is late with none', () => {
    // Looked at as it moves off; what the pump sends, it sends to the tank, so that nothing is fed.
    let log = steaming('Little Bittern', [...moving, glass(60)]);
    let n = 100;
    const fell = new Map<string, number[]>();
    const day = { water: 0.0025 };
    for (let minute = 60; minute <= 240; minute += 0.5)
      for (const duty of dutiesOf(log, at(minute), day)) {
        if (duty.state === 'waiting') continue;
        expect(duty.late, `${duty.key} at ${minute}`).toBeLessThan(60_000);
        fell.set(duty.key, [...(fell.get(duty.key) ?? []), minute]);
        const made: Made[] = duty.touch
          ? duty.touch.made.map((m) => [minute, m.kind, m.body] as Made)
          : duty.key === 'glass'
            ? [glass(minute)]
            : [
                [
                  minute,
                  'feed',
                  {
                    feed: 'Axle pump',
                    on: false,
                    to: 'tank',
                    ...(duty.key === 'hand pump' ? { feed: 'Tender hand pump', strokes: 5 } : {})
                  }
                ]
              ];
        for (const m of made) log = add(log, entry(m, n++));
      }
    const every = (key: string) => fell.get([...fell.keys()].find((k) => k.startsWith(key))!);
    const each = (step: number, till = 240) => Array.from({ length: Math.floor((till - 60) / step) }, (_, i) => 60 + (i + 1) * step);
    expect(every('glass')).toEqual(each(3));
    expect(every('fire')).toEqual(each(6));
    expect(every('hand pump')).toEqual(each(60));
    expect(every('lubricator')).toEqual(each(90));
    expect(every('tank')).toEqual(each(60));
    const kept = dutiesKept(log, day);
    expect(kept.find((k) => k.what === 'Look at the glass')).toMatchObject({ times: 60, late: 0, worst: 0, putOff: 0 });
    expect(kept.every((k) => k.late === 0)).toBe(true);
  });
  it('one who looks every five minutes is late each time by two, and the record says so', () => {
    const looks = Array.from({ length: 12 }, (_, i) => glass(65 + 5 * i));
    const log = steaming('Little Bittern', [...moving, ...looks, [120, 'fire', { act: 'out' }]]);
    expect(dutiesKept(log).find((k) => k.what === 'Look at the glass')).toEqual({
      what: 'Look at the glass',
      times: 12,
      late: 12,
      worst: 120_000,
      putOff: 0
    });
  });
});

it('no duty speaks of what an engine has not: chocks without wheels, a fire that is not solid, a train that it cannot pull', () => {
  const by: Made = [100, 'observation', { seen: 'standing by' }];
  const said = (engine: string) =>
    run(engine, [by], 101)
      .map((d) => `${d.what} ${d.how}`)
      .join(' ');
  expect(said('Old Scoop')).not.toMatch(/[Cc]hocked|banked|blower/);
  expect(said('Little Bittern')).toMatch(/Chocked.*|banked/);
  const scoop = run('Old Scoop', [], 200)
    .map((d) => `${d.what} ${d.how}`)
    .join(' ');
  expect(scoop).not.toMatch(/fire|train|brake/i);
});
