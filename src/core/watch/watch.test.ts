import { describe, expect, it } from 'vitest';
import { at, entry, fitOut, glass, lit, type Made, pressure, steaming } from '../../../tests/made';
import { type FitOut, patterns } from '../engine';
import { add } from '../log';
import { psi } from '../units';
import { attended, drillsOf, due, glance, lowWater, nextGlance, saidOf, warnings } from '.';

describe('warnings: few, ranked, each with its first action', () => {
  // Little Bittern: 90 psi, lowest ¼, ceiling ¾, looked at every three minutes.
  it.each<[string, Made[], number, string[]]>([
    ['a healthy engine', [lit, glass(1, 0.5), pressure(1, 60)], 2, []],
    ['no water seen', [lit, glass(1, 'not seen')], 2, ['no water']],
    ['in the bottom nut', [lit, glass(1, 'bottom nut')], 2, ['no water']],
    ['no water seen, but no fire either', [glass(1, 'not seen')], 2, []],
    ['a fire that was in before anything was proven', [[0, 'fire', { act: 'light', already: true }]], 2, ['lit unproven']],
    [
      'the same, no water seen since',
      [[0, 'fire', { act: 'light', already: true }], glass(1, 'not seen')],
      2,
      ['no water', 'lit unproven']
    ],
    ['the same, water seen since', [[0, 'fire', { act: 'light', already: true }], glass(1, 0.5)], 2, []],
    [
      'the same, out again',
      [
        [0, 'fire', { act: 'light', already: true }],
        [1.5, 'fire', { act: 'out' }]
      ],
      2,
      []
    ],
    ['a tenth over', [lit, glass(1, 0.5), pressure(1, 100)], 2, ['over pressure']],
    ['just inside a tenth over, nothing lifted', [lit, glass(1, 0.5), pressure(1, 98)], 2, ['no lift']],
    ['the same, the valve seen to lift', [lit, glass(1, 0.5), pressure(1, 98), [1, 'lift', { valve: 1, lifted: psi(91) }]], 2, []],
    ['at its lowest running level', [lit, glass(1, 0.25)], 2, ['low']],
    ['over the ceiling', [lit, glass(1, 0.8)], 2, ['high']],
    ['in the top nut', [lit, glass(1, 'top nut')], 2, ['high']],
    ['not looked at for its interval', [lit, glass(1, 0.5)], 4.5, ['glance']],
    ['feeding wants looking sooner', [lit, glass(1, 0.5), [1, 'feed', { feed: 'Injector', on: true, to: 'boiler' }]], 3.5, ['glance']],
    ['feeding the tank does not', [lit, glass(1, 0.5), [1, 'feed', { feed: 'Axle pump', on: true, to: 'tank' }]], 3.5, []],
    ['a struck reading is as good as none', [lit, glass(1, 0.5), glass(1.2, 'not seen'), [1.5, 'strike', {}, 2]], 2, []],
    [
      'the regulator open with a bore plugged',
      [lit, glass(1, 0.5), [1, 'thing', { thing: 'plug', open: true }], [1, 'valve', { valve: 'regulator', open: 0.2 }]],
      2,
      ['plug']
    ],
    [
      'moving off with the drains open',
      [lit, glass(1, 0.5), [1, 'valve', { valve: 'drains', open: 1 }], [1, 'valve', { valve: 'regulator', open: 0.2 }]],
      2,
      []
    ],
    [
      'moving long with the drains open',
      [lit, glass(12, 0.5), [1, 'valve', { valve: 'drains', open: 1 }], [1, 'valve', { valve: 'regulator', open: 0.2 }]],
      12.5,
      ['drains']
    ],
    [
      'passengers on one proven feed',
      [
        lit,
        glass(1, 0.5),
        [1, 'phase', { phase: 'Run' }],
        [1, 'feed', { feed: 'Injector', on: false, proven: true }],
        [1, 'tick', { step: 'passengers', outcome: 'done' }]
      ],
      2,
      ['feeds']
    ],
    [
      'passengers on two',
      [
        lit,
        glass(1, 0.5),
        [1, 'phase', { phase: 'Run' }],
        [1, 'tick', { step: 'feeds-proven', outcome: 'done' }],
        [1, 'tick', { step: 'prove-injectors', outcome: 'done' }],
        [1, 'tick', { step: 'passengers', outcome: 'done' }]
      ],
      2,
      []
    ],
    [
      'a fault that bars it, found in steam',
      [lit, glass(1, 0.5), [1, 'fault', { text: 'Crown weeps', forbids: 'steaming' }]],
      2,
      ['barred']
    ],
    ['one that does not', [lit, glass(1, 0.5), [1, 'fault', { text: 'Brake slack', forbids: 'passengers' }]], 2, []],
    [
      'after the fire is out and the pressure gone nothing is asked',
      [lit, glass(1, 0.1), [2, 'fire', { act: 'out' }], pressure(20, 2)],
      30,
      []
    ],
    [
      'with pressure in it it has its keeper, fire or none',
      [lit, glass(1, 0.1), pressure(1, 60), [2, 'fire', { act: 'out' }]],
      30,
      ['low', 'keeper gone']
    ],
    ['and no water is no water', [lit, pressure(1, 60), [2, 'fire', { act: 'out' }], glass(3, 'bottom nut')], 4, ['no water']]
  ])('%s', (_, made, minute, keys) => {
    const found = warnings(steaming('Little Bittern', made), at(minute));
    expect(found.map((w) => w.key)).toEqual(keys);
    for (const w of found) {
      expect(w.first).toMatch(/\.$/);
      expect(Date.parse(w.since)).toBeLessThanOrEqual(at(minute));
    }
  });

  it('the worst comes first', () => {
    expect(warnings(steaming('Little Bittern', [lit, glass(1, 'not seen'), pressure(1, 105)]), at(9)).map((w) => w.rank)).toEqual([
      'act now',
      'act now',
      'look'
    ]);
  });

  const found = (key: string, made: Made[], minute = 2, change: Partial<FitOut> = {}) => {
    return warnings(steaming('Little Bittern', made, change), at(minute)).find((w) => w.key === key);
  };

  it('says which of two it is: no water seen, or water in the nut', () => {
    expect(found('no water', [lit, glass(1, 'not seen')])!.what).toBe('No water seen in the glass');
    expect(found('no water', [lit, glass(1, 'bottom nut')])!.what).toContain('in the bottom nut');
  });

  it('over pressure asks to feed only where the glass shows water', () => {
    expect(found('over pressure', [lit, glass(1, 0.5), pressure(1, 100)])!.first).toContain('Feed: the glass shows water');
    for (const made of [
      [lit, pressure(1, 100)],
      [lit, glass(1, 'not seen'), pressure(1, 100)]
    ] as Made[][])
      expect(found('over pressure', made)!.first).not.toContain('Feed');
    // Exactly a tenth over is not more than a tenth.
    expect(found('over pressure', [lit, pressure(1, 99)])).toBeUndefined();
    expect(found('no lift', [lit, pressure(1, 99)])).toBeDefined();
  });

  it('a valve that should have lifted is asked about by the lowest that is set, and not when blowing off was seen', () => {
    const valves = (...set: number[]) => ({
      safetyValves: set.map((p) => ({ ...fitOut('Little Bittern').safetyValves[0]!, set: psi(p) }))
    });
    expect(found('no lift', [lit, pressure(1, 91)], 2, valves(85, 90))!.what).toContain('Over {pressure:');
    expect(found('no lift', [lit, pressure(1, 91)], 2, valves(90, 90))).toBeUndefined();
    expect(found('no lift', [lit, pressure(1, 88)], 2, valves(90, 90))).toBeUndefined();
    expect(found('no lift', [lit, pressure(1, 97), [1, 'observation', { seen: 'blowing off' }]])).toBeUndefined();
    // A valve that was only seen to reseat is not one that was seen to lift.
    expect(found('no lift', [lit, pressure(1, 97), [1, 'lift', { valve: 1, reseated: psi(86) }]])).toBeDefined();
  });

  it('the ceiling itself is not over it, and the drains’ time runs from whichever came later', () => {
    expect(found('high', [lit, glass(1, 0.75)])).toBeUndefined();
    expect(found('high', [lit, glass(1, 0.76)])).toBeDefined();
    const drains: Made = [1, 'valve', { valve: 'drains', open: 1 }];
    const regulator = (minute: number, open: number): Made => [minute, 'valve', { valve: 'regulator', open }];
    const late = (made: Made[], minute: number) => found('drains', [lit, glass(minute - 0.5, 0.5), ...made], minute);
    expect(late([drains, regulator(8, 0.2)], 12)).toBeUndefined();
    expect(late([drains, regulator(8, 0.2)], 17.99)).toBeUndefined();
    expect(late([drains, regulator(8, 0.2)], 18.1)).toBeDefined();
    expect(late([drains, regulator(1, 0)], 30)).toBeUndefined();
    expect(late([drains], 30)).toBeUndefined();
    expect(found('plug', [lit, [1, 'thing', { thing: 'plug', open: true }], regulator(1, 0)])).toBeUndefined();
  });

  it('a fed engine is named its feeds as it has them, proven or not, while it runs with passengers', () => {
    const riding: Made[] = [lit, glass(1, 0.5), [1, 'tick', { step: 'passengers', outcome: 'done' }]];
    const run: Made = [1, 'phase', { phase: 'Run' }];
    expect(found('feeds', riding)).toBeUndefined();
    expect(found('feeds', [...riding, run])!.what).toBe('No feed proven today');
    expect(found('feeds', [...riding, run, [1, 'feed', { feed: 'Injector', on: false, proven: true }]])!.what).toBe(
      'Only one feed proven today: injector'
    );
    // One feed is all that there is: one proven is enough. A bottle and a feed that is not plumbed in are none.
    const { feeds } = fitOut('Little Bittern');
    const one = feeds.filter((f) => f.name === 'Injector');
    const other = feeds.find((f) => f.name !== 'Injector')!;
    const proven: Made[] = [...riding, run, [1, 'feed', { feed: 'Injector', on: false, proven: true }]];
    for (const more of [[], [{ ...other, plumbed: false }], [{ ...other, kind: 'bottle' as const }]])
      expect(found('feeds', proven, 2, { feeds: [...one, ...more] })).toBeUndefined();
    expect(
      found('feeds', [...riding.slice(0, 2), [1, 'tick', { step: 'passengers', outcome: 'skipped', reason: 'none' }], run])
    ).toBeUndefined();
  });

  it('a glance is asked for when its interval is over and not at its end, by the match where nothing was read, and never after the end', () => {
    expect(found('glance', [lit, glass(1, 0.5)], 4)).toBeUndefined();
    expect(found('glance', [lit, glass(1, 0.5)], 4.01)!.since).toBe(new Date(at(1)).toISOString());
    expect(found('glance', [lit], 3.1)!.since).toBe(new Date(at(0)).toISOString());
    const ended: Made[] = [lit, glass(1, 0.5), [2, 'fire', { act: 'out' }], [3, 'sign', { as: 'keeper', name: 'Wenna' }]];
    expect(warnings(steaming('Little Bittern', ended), at(60))).toEqual([]);
    const tin = steaming('Tin Heron', []).context.fitOut;
    expect(glance[tin.size]).toBe(180_000);
  });

  it('low water names a feed that works at this pressure, and the next', () => {
    const first = (made: Made[], change: Partial<FitOut> = {}) => found('low', made, 2, change)!.first;
    const { feeds } = fitOut('Little Bittern');
    const feed = (name: string, more: Partial<FitOut['feeds'][number]>) => ({ ...feeds.find((f) => f.name === name)!, ...more });
    const low: Made[] = [lit, glass(1, 0.2), pressure(1, 60)];
    expect(first(low, { feeds: [feed('Injector', { from: psi(60) })] })).toBe('Feed now: injector.');
    expect(first(low, { feeds: [feed('Injector', { from: psi(61) })] })).toBe('No feed on this engine works as it is now: fire down.');
    for (const none of [{ plumbed: false }, { kind: 'bottle' as const }])
      expect(first(low, { feeds: [feed('Injector', { from: 0, ...none })] })).toBe('Nothing feeds this engine: fire out.');
    // A pump that needs turning is no feed while it stands, and the second choice while it moves, wherever it stands in the list.
    const both = { feeds: [feed('Axle pump', { from: 0 }), feed('Injector', { from: 0 })] };
    expect(first(low, both)).toBe('Feed now: injector.');
    const moving: Made[] = [...low, [1, 'valve', { valve: 'regulator', open: 0.4 }]];
    expect(first(moving, both)).toBe('Feed now: injector; if it will not, axle pump, bypass shut.');
    expect(first([...low, [1, 'phase', { phase: 'Run' }]], both)).toContain('axle pump');
    expect(first([...low, [1, 'phase', { phase: 'Run' }], [1, 'valve', { valve: 'regulator', open: 0 }]], both)).toBe(
      'Feed now: injector.'
    );
  });
});

describe('glances', () => {
  it.each<[string, number]>([
    ['Little Bittern', 3],
    ['Marsh Hen', 5],
    ['Eelcatcher', 10]
  ])('%s: every %i minutes while there is fire', (name, minutes) => {
    const { state, context } = steaming(name, [lit, glass(1, 0.5)]);
    expect(glance[context.fitOut.size]).toBe(minutes * 60_000);
    expect(nextGlance(context.fitOut, state)).toBe(at(1 + minutes));
  });
  it('not before the match, nor where there is no glass', () => {
    expect(nextGlance(fitOut('Marsh Hen'), steaming('Marsh Hen', [glass(1, 0.5)]).state)).toBeUndefined();
    expect(nextGlance(fitOut('Water Rail'), steaming('Water Rail', [lit]).state)).toBeUndefined();
  });
});

describe('what is due', () => {
  const { procedure } = steaming('Little Bittern', []).context;
  it('now is the first open step of the phase; what earlier phases left undone is missed; chores fill the waits', () => {
    const fresh = due(procedure, steaming('Little Bittern', []).state, at(0));
    expect(fresh.now?.step.key).toBe('papers');
    const raising = steaming('Little Bittern', [
      lit,
      [1, 'phase', { phase: 'Raise' }],
      [2, 'tick', { step: 'alight', outcome: 'done' }],
      [3, 'fire', { act: 'fuel on' }],
      [4, 'fire', { act: 'fuel on' }]
    ]);
    const plan = due(procedure, raising.state, at(4));
    expect(plan.now?.step.chore).toBe(true);
    expect(plan.missed.map((p) => p.step.phase)).toContain('Look over');
    const hot = add(raising, entry([5, 'reading', { pressure: psi(31) }], 98));
    // What the reading shows, it is not asked for.
    expect(due(procedure, hot.state, at(5)).now?.step.key).toBe('leaks-30');
  });

  it('what comes next is the rest of this phase and the later ones, in order; only what must be done comes back from an earlier one', () => {
    const keys = (list: readonly { step: { key: string } }[]) => list.map((p) => p.step.key);
    const of = (phase: string) => procedure.steps.filter((s) => s.phase === phase);
    const fresh = due(procedure, steaming('Little Bittern', [[0, 'tick', { step: 'papers', outcome: 'done' }]]).state, at(0));
    // What belongs to a further run is not asked before there is to be one.
    const today = procedure.steps.filter((s) => s.cycle !== 'further');
    const rest = keys(today.map((step) => ({ step }))).filter((k) => k !== 'papers' && k !== fresh.now!.step.key);
    expect(keys(fresh.next)).toEqual(rest);
    expect(fresh.missed).toEqual([]);
    const inRaise = due(procedure, steaming('Little Bittern', [[0, 'phase', { phase: 'Raise' }]]).state, at(0));
    expect(inRaise.phase).toBe('Raise');
    expect(keys(inRaise.missed)).toEqual(
      keys(procedure.steps.filter((s) => ['Look over', 'Fill and oil', 'Light up'].includes(s.phase)).map((step) => ({ step })))
    );
    expect(keys(inRaise.next).some((k) => keys(inRaise.missed).includes(k))).toBe(false);
    // Everything of the phase settled: now is what must be done of an earlier phase, not what may be left.
    const settled = of('Put away').map((s): Made => [1, 'tick', { step: s.key, outcome: 'done' }]);
    const last = due(procedure, steaming('Little Bittern', [[0, 'phase', { phase: 'Put away' }], ...settled]).state, at(2));
    expect(last.now?.step.must).toBe(true);
    expect(last.now?.step.phase).not.toBe('Put away');
    expect(last.missed.length).toBeGreaterThan(1);
    const musts = procedure.steps
      .filter((s) => s.must && s.phase !== 'Put away')
      .map((s): Made => [1, 'tick', { step: s.key, outcome: 'done' }]);
    const free = due(procedure, steaming('Little Bittern', [[0, 'phase', { phase: 'Put away' }], ...settled, ...musts]).state, at(2));
    expect(free.now).toBeUndefined();
    expect(free.next).toEqual([]);
  });
});

describe('who has it', () => {
  it('a fault that bars it is run down in the words of its fire, and an engine that was never lit has nobody to keep it', () => {
    const barred = (name: string) =>
      warnings(steaming(name, [lit, glass(1, 0.5), [1, 'fault', { text: 'Weeps', forbids: 'steaming' }]]), at(2)).find(
        (w) => w.key === 'barred'
      )!.first;
    expect(barred('Snipe')).toMatch(/^Run it down: nothing more on the fire,/);
    expect(barred('Snipe')).toContain('nobody carried, water kept up, then fire out.');
    expect(barred('Old Scoop')).toMatch(/^Run it down: fire down, water kept up, then fire out\./);
    expect(barred('Lantern')).toMatch(/^Run it down: fire down, then fire out\./);
    const { state } = steaming('Little Bittern', [pressure(0, 40)]);
    expect(attended(state)).toBe(false);
    const out: Made[] = [lit, [1, 'fire', { act: 'out' }]];
    expect(attended(steaming('Little Bittern', [...out, pressure(2, 3)]).state)).toBe(false);
    expect(attended(steaming('Little Bittern', [...out, pressure(2, 3.1)]).state)).toBe(true);
  });
});

describe('the drills', () => {
  const of = (name: string, made: Made[] = [], changes: Partial<FitOut> = {}) =>
    lowWater({ ...fitOut(name), ...changes }, steaming(name, made).state).question!.answers.map((a) => a.steps.map(saidOf));
  it('low water asks whether water can be seen before anything is done, and No never feeds', () => {
    const { question } = lowWater(fitOut('Little Bittern'), steaming('Little Bittern', [lit, pressure(1, 60)]).state);
    expect(question!.ask).toBe('Can you see water in the glass?');
    const [yes, still, no] = question!.answers;
    expect(yes!.steps[0]).toBe('Feed now, gently: tender hand pump.');
    expect(still!.steps.map(saidOf).join(' ')).toMatch(
      /^Once: injector\. Still not rising: fire out now, while water shows\. Drop the fire/
    );
    expect(no!.steps[0]).toBe('Do not feed.');
    expect(no!.steps.slice(1).map(saidOf).join(' ')).not.toMatch(/feed/i);
  });
  it('names the feed that works as it is: at this pressure, standing or moving, proven first, with no fault on it, and its bypass', () => {
    const first = (made: Made[]) => of('Little Bittern', [lit, ...made])[0]![0];
    const moving: Made = [1, 'valve', { valve: 'regulator', open: 0.5 }];
    const proven: Made = [1, 'tick', { step: 'axle-pump', outcome: 'done' }];
    expect(first([pressure(1, 20)])).toContain('tender hand pump');
    expect(first([pressure(1, 60), [1, 'feed', { feed: 'Injector', on: false, proven: true }]])).toBe('Feed now, gently: injector.');
    expect(first([pressure(1, 60), moving, [1, 'feed', { feed: 'Axle pump', on: false, proven: true }], proven])).toBe(
      'Feed now, gently: axle pump, bypass shut.'
    );
    const bad: Made = [2, 'fault', { text: 'Tender hand pump draws air', forbids: 'passengers' }];
    expect(first([pressure(1, 60), bad])).toContain('injector');
    expect(first([pressure(1, 20), bad])).toContain('Nothing can be fed as it is now');
  });
  it('only what can happen on an engine is offered for it', () => {
    const keys = (name: string) => drillsOf(fitOut(name)).map((d) => d.key);
    expect(keys('Snipe')).toEqual(['over-pressure', 'glass', 'blow-back', 'priming', 'stuck', 'scald', 'runaway']);
    expect(keys('Water Rail')).toEqual(['over-pressure', 'gas', 'priming', 'stuck', 'scald', 'runaway']);
    expect(keys('Tin Heron')).toEqual(['valve-shut', 'spirit', 'priming', 'stuck', 'scald']);
    expect(keys('Pond Skater')).toContain('adrift');
    expect(keys('Lantern')).toEqual(['over-pressure', 'glass', 'shock', 'priming', 'stuck', 'scald']);
  });
  it('is read out for each kind of engine as it has to be done', () => {
    expect(of('Peat Presser', [lit, pressure(1, 80)])).toEqual([
      ['Feed now, gently: injector.', 'Blower down, damper in: ask less of the fire.', 'Keep your eyes on the glass until it rises.'],
      [
        'Still not rising: fire out now, while water shows.',
        'Drop the fire, or smother it with sand or ash.',
        'Blower off.',
        'Watch the glass. Gone from sight: answer No.'
      ],
      [
        'Do not feed.',
        'Drop the fire, or smother it with sand or ash.',
        'Blower off.',
        'Fire door shut. Damper shut. Chimney closed off.',
        'Leave the regulator as it is.',
        'People back.',
        'Let it cool. Open nothing.'
      ]
    ]);
    expect(of('Snipe', [lit])[0]![1]).toBe('Blower down: ask less of the fire.');
    expect(of('Old Scoop', [lit])[0]).toEqual([
      'Feed now, gently: hand pump.',
      'Burner down.',
      'Keep your eyes on the glass until it rises.'
    ]);
    expect(of('Lantern', [lit])[0]).toEqual([
      'Nothing feeds this engine: fire out while water still shows.',
      'Off at the switch, plug out.',
      'Keep your eyes on the glass.'
    ]);
    expect(of('Tin Heron', [lit])).toEqual([
      ['Its countdown has {time:540} left: keep to it.', 'In doubt: burner out from under, flame out.'],
      ['Put nothing in.', 'Burner out from under, flame out.', 'Let it run as it is.', 'People back.', 'Let it cool. Open nothing.']
    ]);
    const asked = lowWater(fitOut('Water Rail'), steaming('Water Rail', [lit]).state).question!;
    expect(asked.ask).toBe('Is there water in the boiler? There is no glass to tell.');
    expect(asked.answers[0]!.then).toContain('measured, and its time is worked from that');
  });
  it('what it was answered is what is raised as a fault, in words that are true of the engine; where nothing feeds nobody feeds in vain', () => {
    const answers = (name: string) => lowWater(fitOut(name), steaming(name, [lit]).state).question!.answers;
    expect(answers('Peat Presser').map((a) => [a.says, a.fault?.forbids])).toEqual([
      ['seen', undefined],
      ['does not rise', 'passengers'],
      ['not seen', 'steaming']
    ]);
    expect(answers('Tin Heron').map((a) => a.says)).toEqual(['seen', 'not seen']);
    expect(answers('Lantern').map((a) => a.says)).toEqual(['seen', 'not seen']);
    expect(answers('Peat Presser')[2]!.fault!.text).toContain('Boiler and plug to be examined');
    expect(answers('Snipe')[2]!.fault!.text).toBe('Low water: no water seen in the glass. Boiler to be examined before the next fire.');
    expect(answers('Tin Heron')[1]!.fault!.text).not.toContain('glass');
  });
  it('says nothing of what the engine has not got', () => {
    const said = (name: string) => of(name, [lit]).flat().join(' ');
    expect(said('Water Rail')).not.toMatch(/feed now|damper|blower|fire door|glass|chimney/i);
    expect(said('Tin Heron')).not.toMatch(/feed now|damper|blower|fire door|glass|gas/i);
    expect(said('Lantern')).toMatch(/Off at the switch/);
    expect(said('Snipe')).not.toMatch(/damper/i);
    expect(said('Peat Presser')).toMatch(/Damper shut/);
    const plug = (name: string) => lowWater(fitOut(name), steaming(name, []).state).question!.answers[2]!.then!;
    expect(plug('Peat Presser')).toContain('plug');
    expect(plug('Snipe')).not.toContain('plug');
  });
  it.each(
    patterns
      .flatMap((p) => [...drillsOf(p.fitOut), lowWater(p.fitOut, steaming(p.fitOut.name, [lit]).state)])
      .map((d, i) => [d.title, i, d] as const)
  )('%s (%d): short steps, in order, without shouting', (_, __, drill) => {
    const lists = drill.steps ? [drill.steps] : drill.question!.answers.map((a) => a.steps);
    for (const steps of lists) {
      expect(steps.length).toBeGreaterThan(1);
      for (const s of steps) expect(saidOf(s)).toMatch(/^[A-Z].{2,100}\.$/);
    }
  });
});
