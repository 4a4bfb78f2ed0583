import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { tell } from '../../../demo/story';
import { morning } from '../../../tests/made';
import { patterns } from '../engine';
import { compose, valveThings } from '../procedure';
import { add, type Entry, fold, type Log } from '.';

const { fitOut, context, t0, entry, done, valve, log } = morning();
/** What happened, without who told it and by what. */
const bare = (l: Log) => l.events.map(({ entry: _, by: _b, ...event }) => event);

describe('what a step sets', () => {
  it.each([
    [
      'changeover',
      [
        { is: 'thing', thing: 'fan', open: false },
        { is: 'valve', valve: 'fan', open: 0 },
        { is: 'valve', valve: 'blower', open: 0.5 }
      ]
    ],
    [
      'hold-drains',
      [
        { is: 'thing', thing: 'drains', open: true },
        { is: 'valve', valve: 'drains', open: 1 }
      ]
    ],
    ['first-coal', [{ is: 'fire', act: 'fuel on', fuel: 'coal' }]],
    ['tanks', [{ is: 'reading', tank: 1 }]],
    ['bypass', [{ is: 'feed', feed: 'Axle pump', on: false, to: 'tank' }]],
    ['first-move', [{ is: 'valve', valve: 'regulator', open: 0.25 }]],
    [
      'air-out',
      [
        { is: 'valve', valve: 'whistle', open: 1 },
        { is: 'valve', valve: 'whistle', open: 0 }
      ]
    ],
    [
      'fire-drop',
      [
        { is: 'seen', seen: 'fire out' },
        { is: 'fire', act: 'out' }
      ]
    ]
  ])('%s tells the timeline as its own entries would', (step, told) => {
    const at = entry(0, 'note', { text: 'x' }).at;
    expect(bare(log(done(0, step)))).toEqual(told.map((t) => ({ ...t, at })));
  });

  it('what was said outright stands: a blower at a quarter is not opened by the step that asks for it, but one at full is turned down', () => {
    expect(log(valve(0, 'blower', 0.25), done(1, 'changeover')).state.valves.blower?.open).toBe(0.25);
    expect(log(valve(0, 'blower', 0), done(1, 'changeover')).state.valves.blower?.open).toBe(0.5);
    expect(log(valve(0, 'blower', 1), done(1, 'blower-down')).state.valves.blower?.open).toBe(0.25);
    expect(log(valve(0, 'blower', 0.1), done(1, 'blower-down')).state.valves.blower?.open).toBe(0.1);
    expect(log(valve(0, 'blower', 0.5), done(1, 'blower-off')).state.valves.blower?.open).toBe(0);
    // A round of coal logged and then ticked is one round; ten minutes later it is another.
    const coal = entry(0, 'fire', { act: 'fuel on', fuel: 'coal' });
    expect(log(coal, done(1, 'first-coal')).state.fire.rounds).toBe(1);
    expect(log(coal, done(11, 'first-coal')).state.fire.rounds).toBe(2);
    // And what was seen keeps the time at which it was seen.
    expect(log(entry(0, 'observation', { seen: 'glass moving' }), done(4, 'boiling')).state.seen['glass moving']).toBe(
      new Date(t0).toISOString()
    );
  });

  it('a skipped step makes nothing happen, and a struck tick takes back what it told', () => {
    expect(log(entry(0, 'tick', { step: 'changeover', outcome: 'skipped', reason: 'no fan' })).events).toEqual([]);
    const tick = done(0, 'changeover');
    expect(log(tick, { ...entry(1, 'strike', {}), strikes: tick.id } as Entry).state.valves).toEqual({});
  });

  it('every setting is of something this engine has, and what a step opens as a valve some step shuts or accounts for', () => {
    for (const { fitOut: f } of patterns) {
      const { steps } = compose(f);
      const closes = new Set(steps.flatMap((s) => s.closes));
      for (const set of steps.flatMap((s) => s.sets)) {
        if ('feed' in set) expect(f.feeds.map((x) => x.name)).toContain(set.feed);
        if (!('valve' in set)) continue;
        if (set.valve === 'whistle') expect(f.whistle, f.name).toBe(true);
        if (set.valve === 'vent') expect(f.vent, f.name).toBe(true);
        if (set.valve === 'damper') expect(f.fire.with === 'solid' && f.fire.damper, f.name).toBe(true);
        const thing = valveThings[set.valve];
        if (thing && set.open > 0 && set.then === undefined) expect([...closes], `${f.name}: ${set.valve}`).toContain(thing);
      }
    }
  });
});

describe('the timeline', () => {
  it('grown one entry at a time in any order, is that of a fold from scratch', () => {
    const told = tell(fitOut, { seed: 9, keeper: 'Wenna Thrale', begins: t0, running: 5 });
    fc.assert(
      fc.property(fc.shuffledSubarray([...told.entries], { minLength: 40 }), (order) => {
        expect(order.reduce(add, fold(context, [])).events).toEqual(fold(context, order).events);
      }),
      { numRuns: 12 }
    );
  });
});
