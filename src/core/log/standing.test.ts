import { describe, expect, it } from 'vitest';
import { at, entry, glass, lit, type Made, pressure, steaming } from '../../../tests/made';
import { printMarks, psi, toSi, usualUnits } from '../units';
import { add, type Bodies, forbidden, isDue, lightRefused, standing, tickRefused, unskipped, waitsFor, whyNot } from '.';

describe('may it be done?', () => {
  const { procedure } = steaming('Little Bittern', []).context;
  const step = (key: string) => procedure.steps.find((s) => s.key === key)!;

  it('a step opens on a reading, not before, and says what it waits for', () => {
    const gate = step('changeover').gates[0]!;
    const cold = steaming('Little Bittern', [lit]);
    expect(waitsFor(gate, cold.state, procedure, at(1))).toMatch(/^opens at \{pressure:206842\.7\}$/);
    expect(waitsFor(gate, steaming('Little Bittern', [lit, pressure(20, 29)]).state, procedure, at(20))).toBeDefined();
    expect(waitsFor(gate, steaming('Little Bittern', [lit, pressure(20, 30)]).state, procedure, at(20))).toBeUndefined();
  });

  it('a gate opens at what it is shown as, whichever way a pressure is rounded', () => {
    const gate = { kind: 'pressure', atLeast: psi(13.5) } as const;
    const falls = { kind: 'pressure falls', atMost: psi(1) } as const;
    const reads = (value: number) => steaming('Little Bittern', [lit, [1, 'reading', { pressure: value }]]).state;
    const waits = (g: typeof gate | typeof falls, value: number) => waitsFor(g, reads(value), procedure, at(2));
    for (const units of [usualUnits, { ...usualUnits, pressure: 'bar' } as const, { ...usualUnits, pressure: 'kPa' } as const])
      for (const g of [gate, falls]) {
        const shown = Number(/to? ?([\d.]+)/.exec(printMarks(waits(g, g === gate ? 0 : psi(50))!, units).replace('opens at', 'to'))![1]);
        expect(waits(g, toSi(shown, 'pressure', units.pressure)), `${shown} ${units.pressure}`).toBeUndefined();
      }
    // What was read before the match, or never, is not down.
    const down = (made: Made[]) => waitsFor(falls, steaming('Little Bittern', made).state, procedure, at(9));
    expect(down([])).toBeUndefined();
    expect(down([lit])).toContain('fallen');
    expect(down([pressure(-5, 0), lit])).toContain('fallen');
    expect(down([lit, pressure(5, 0)])).toBeUndefined();
    expect(waits(gate, psi(12.5))).toBeDefined();
    expect(waits(falls, psi(2))).toBeDefined();
  });

  it('the last fire opens when the day sheet has it, or when it is said that the running ends; not at minute three', () => {
    const said: Made = [2, 'observation', { seen: 'running ends' }];
    const waits = (made: Made[], from?: number, minute = 3) =>
      waitsFor(
        { kind: 'ending', ...(from === undefined ? {} : { from: new Date(at(from)).toISOString() }) },
        steaming('Little Bittern', made).state,
        procedure,
        at(minute)
      );
    expect(waits([lit])).toBe('opens when you say that the running ends');
    expect(waits([lit, said])).toBeUndefined();
    expect(printMarks(waits([lit], 90)!, usualUnits)).toBe('opens in 87\u2009min, or when you say that the running ends');
    expect(waits([lit], 90, 89.9)).toBeDefined();
    expect(waits([lit], 90, 90)).toBeUndefined();
    expect(waits([lit, said], 90)).toBeUndefined();
    expect(step('last-fire').gates).toEqual([{ kind: 'ending' }]);
    expect(step('run-end').gates).toEqual([{ kind: 'ending' }]);
  });

  it('a step opens after its minutes', () => {
    const log = steaming('Little Bittern', [[0, 'tick', { step: 'match', outcome: 'done' }]]);
    const gate = step('alight').gates[0]!;
    expect(waitsFor(gate, log.state, procedure, at(1))).toBe('opens in 2 min');
    expect(waitsFor(gate, log.state, procedure, at(3))).toBeUndefined();
    expect(waitsFor(gate, steaming('Little Bittern', []).state, procedure, at(3))).toContain('after “Light it”');
  });

  it('a skip with a reason lets the next go on, but not past one that must be done', () => {
    const skipped = (key: string) => steaming('Little Bittern', [[0, 'tick', { step: key, outcome: 'skipped', reason: 'no' }]]).state;
    expect(standing(step('gauge-agrees'), skipped('valve-lifts'), procedure, at(1))).toMatchObject({ is: 'blocked' });
    expect(standing(step('lubricator-on'), skipped('warm-through'), procedure, at(1))).toMatchObject({ is: 'open' });
  });

  it('what stands open forbids what it must, and closing it lets it go on', () => {
    const ready: Made[] = ['fill', 'valves-fitted', 'water-and-valves', 'fire-kit', 'plug-in'].map((key): Made => [
      0,
      'tick',
      { step: key, outcome: 'done' }
    ]);
    const out = steaming('Little Bittern', [...ready, [1, 'thing', { thing: 'valve', open: true }]]);
    expect(standing(step('match'), out.state, procedure, at(2))).toEqual({
      is: 'blocked',
      because: ['A safety valve is out: no fire before it is back.']
    });
    const back = add(out, entry([2, 'thing', { thing: 'valve', open: false }], 99));
    expect(standing(step('match'), back.state, procedure, at(3))).toEqual({ is: 'open' });
  });

  it('evidence is a young reading with water in it, a lift, or nothing', () => {
    /** The step by itself: nothing else is in its way. */
    const need = (made: Made[], key: string, minute: number) => {
      const s = standing({ ...step(key), needs: [], gates: [] }, steaming('Little Bittern', made).state, procedure, at(minute));
      return s.is === 'lacking' ? s.lacks : undefined;
    };
    expect(need([], 'fill', 0)).toContain('Log the glass');
    expect(need([glass(0, 0.4)], 'fill', 1)).toBeUndefined();
    expect(need([glass(0, 0.4)], 'fill', 6)).toContain('Log the glass');
    expect(need([glass(0, 'bottom nut')], 'water-and-valves', 1)).toContain('water is not seen');
    expect(need([glass(0, 'top nut')], 'fill-last', 1)).toBeUndefined();
    expect(need([[0, 'lift', { valve: 1, reseated: psi(86) }]], 'valve-lifts', 1)).toContain('Log the lift');
    expect(need([[0, 'lift', { valve: 1, lifted: psi(90) }]], 'valve-lifts', 1)).toContain('shuts again');
    expect(need([], 'papers', 1)).toBeUndefined();
    expect(need([], 'start-temperature', 1)).toContain('Log the temperature');
    expect(need([[0, 'reading', { temperature: 285 }]], 'start-temperature', 1)).toBeUndefined();
  });

  describe('held against the engine’s own figures', () => {
    // Two litres at the bottom nut, four at the top one, asked for 3⁄8.
    const eighths = Array.from({ length: 9 }, (_, i) => 2e-3 + i * 0.25e-3);
    const asked = { ...step('fill'), needs: [], proof: { kind: 'level', fill: 0.375, least: 0.3125, most: 0.6, eighths } } as const;
    const lacks = (made: Made[], s: Parameters<typeof standing>[0] = asked, minute = 1) => {
      const found = standing(s, steaming('Little Bittern', made).state, procedure, at(minute));
      return found.is === 'lacking' ? printMarks(found.lacks, usualUnits).replaceAll('\u2009', ' ') : found.is;
    };
    it('a level that is too low says how much more, and one that is too high how much less', () => {
      expect(lacks([glass(0, 0.15)])).toBe('over 1⁄8: fill to 3⁄8, 450 ml more.');
      expect(lacks([glass(0, 0.02)])).toBe('At the bottom nut: fill to 3⁄8, 710 ml more.');
      expect(lacks([glass(0, 0.31)])).toContain('more');
      expect(lacks([glass(0, 0.3125)])).toBe('open');
      expect(lacks([glass(0, 0.6)])).toBe('open');
      expect(lacks([glass(0, 0.61)])).toContain('let it down to 3⁄8, 470 ml less');
      expect(lacks([glass(0, 'top nut')])).toBe('In the top nut: let it down to 3⁄8, 1.25 l less. Hot, it would stand over its ceiling.');
      expect(lacks([glass(0, 'not seen')])).toContain('water is not seen');
    });
    it('a second look is a second reading', () => {
      const look = { ...asked, key: 'water-and-valves', again: true } as const;
      const filled: Made[] = [glass(0, 0.4), [0.5, 'tick', { step: 'fill', outcome: 'done' }]];
      expect(lacks(filled, look)).toMatch(/^Look again and log it: what was read last was for “Fill/);
      expect(lacks([...filled, glass(0.8, 0.4)], look)).toBe('open');
      expect(lacks([...filled, glass(0.8, 0.1)], look)).toContain('fill to 3⁄8');
      expect(lacks([glass(0, 0.4)], look)).toBe('open');
    });
    it('each valve is seen to lift and to shut, or there is a reason in writing', () => {
      const two = { ...step('valve-lifts'), needs: [], gates: [], proof: { kind: 'lifts', valves: 2 } } as const;
      const lift = (minute: number, valve: number, more: object): Made => [minute, 'lift', { valve, ...more }];
      const first = [lift(0, 1, { lifted: psi(90) }), lift(0.1, 1, { reseated: psi(86) })];
      expect(lacks([], two)).toContain('Log the lift');
      expect(lacks([first[0]!], two)).toContain('Valve 1 lifted: log the pressure at which it shuts');
      expect(lacks(first, two)).toContain('Valve 2 has not been seen to lift');
      expect(lacks([...first, lift(0.2, 2, { lifted: psi(93) })], two)).toContain('Valve 2 lifted');
      expect(lacks([...first, lift(0.2, 2, { lifted: psi(93), reseated: psi(88) })], two)).toBe('open');
      const withTwo = { ...procedure, steps: procedure.steps.map((s) => (s.key === 'valve-lifts' ? two : s)) };
      const tick = (made: Made[], reason?: string) =>
        tickRefused(
          { step: 'valve-lifts', outcome: 'done', ...(reason ? { reason } : {}) },
          steaming('Little Bittern', made).state,
          withTwo,
          at(1)
        );
      expect(tick(first)).toContain('Valve 2');
      expect(tick(first, 'The second is set over the first and stays shut')).toBeUndefined();
      expect(tick([], 'None would')).toContain('Log the lift');
    });
    it('no reason stands for water', () => {
      const withLevel = { ...procedure, steps: procedure.steps.map((s) => (s.key === 'fill' ? asked : s)) };
      const state = steaming('Little Bittern', [glass(0, 0.1)]).state;
      expect(tickRefused({ step: 'fill', outcome: 'done', reason: 'Near enough' }, state, withLevel, at(1))).toContain('more');
    });
  });

  it('a fire may be lit when the step that lights it may be done; a second match asks what stands open and that water is seen', () => {
    const before: Made[] = ['valves-fitted', 'fire-kit', 'plug-in'].map((key): Made => [0, 'tick', { step: key, outcome: 'done' }]);
    const filled: Made[] = [
      glass(0, 0.4),
      [0.1, 'tick', { step: 'fill', outcome: 'done' }],
      glass(0.2, 0.4),
      [0.3, 'tick', { step: 'water-and-valves', outcome: 'done' }]
    ];
    const refused = (made: Made[]) => lightRefused(steaming('Little Bittern', made).state, procedure, at(1));
    expect(refused([])).toMatch(/^Not yet\. First: Water in the glass, valves fitted; Extinguisher to hand, .*\.$/);
    expect(refused(before)).toContain('Water in the glass');
    expect(refused([...before, ...filled])).toBeUndefined();
    expect(refused([...before, ...filled, [0.5, 'thing', { thing: 'valve', open: true }]])).toContain('no fire before it is back');
    const lit: Made[] = [...before, ...filled, [0.5, 'tick', { step: 'match', outcome: 'done' }], [0.6, 'fire', { act: 'out' }]];
    expect(refused(lit)).toBeUndefined();
    expect(refused([...lit, glass(0.7, 'not seen')])).toContain('No fire while water is not seen');
    expect(refused([...lit, [0.7, 'thing', { thing: 'valve', open: true }]])).toContain('no fire before');
  });

  it('a fault found since the start forbids what it says: passengers, another match', () => {
    const ride = { ...steaming('Marsh Hen', []).context.procedure.steps.find((s) => s.key === 'passengers')!, needs: [], gates: [] };
    const carry = (made: Made[]) => standing(ride, steaming('Marsh Hen', made).state, procedure, at(2));
    const fault = (forbids: 'nothing' | 'passengers' | 'steaming'): Made => [1, 'fault', { text: 'Brake will not hold', forbids }];
    expect(carry([fault('nothing')])).toEqual({ is: 'open' });
    for (const forbids of ['passengers', 'steaming'] as const)
      expect(carry([fault(forbids)])).toEqual({ is: 'blocked', because: ['Not with passengers: “Brake will not hold” is open.'] });
    expect(carry([fault('passengers'), [1.5, 'strike', {}, 0]])).toEqual({ is: 'open' });
    const match = (made: Made[]) => forbidden('light', steaming('Marsh Hen', made).state);
    expect(match([fault('passengers')])).toEqual([]);
    expect(match([fault('steaming')])[0]).toContain('An owner, a steward or an examiner clears it');
  });

  it('a tick meets one rule however it is made: its evidence, its gate, its order, and whether it may be skipped at all', () => {
    const tick = (made: Made[], body: Bodies['tick'], minute = 1) =>
      tickRefused(body, steaming('Little Bittern', made).state, procedure, at(minute));
    const done = (key: string): Bodies['tick'] => ({ step: key, outcome: 'done' });
    const skipped = (key: string): Bodies['tick'] => ({ step: key, outcome: 'skipped', reason: 'no need' });
    expect(tick([], done('fill'))).toContain('Log the glass');
    expect(tick([glass(0, 0.4)], done('fill'))).toBeUndefined();
    expect(tick([glass(0, 0.4)], done('match'))).toMatch(/^Not yet\. First: /);
    expect(tick([lit], done('changeover'))).toMatch(/First: Light it/);
    expect(tick([lit, [0, 'tick', done('match')]], done('changeover'))).toMatch(/^Not yet: opens at/);
    expect(tick([], skipped('match'))).toContain('not one to skip');
    expect(tick([], skipped('plug-out'))).toContain('not one to skip');
    expect(tick([], skipped('papers'))).toBeUndefined();
    expect(tick([[0, 'tick', done('papers')]], done('papers'))).toContain('done already');
    // Skipped, it may be done after all; done, it is not skipped.
    expect(tick([[0, 'tick', skipped('papers')]], done('papers'))).toBeUndefined();
    expect(tick([[0, 'tick', done('papers')]], skipped('papers'))).toContain('done already');
    expect(tick([], done('fly'))).toContain('no step');
  });

  it('a tick that the log does not bear out is kept, and marked with what it lacked', () => {
    const { steps } = steaming('Little Bittern', [
      [0, 'tick', { step: 'fill', outcome: 'done' }],
      glass(1, 0.4),
      [2, 'tick', { step: 'valves-fitted', outcome: 'done' }]
    ]).state;
    expect(steps.fill).toMatchObject({ outcome: 'done', against: expect.stringContaining('Log the glass') });
    expect(steps['valves-fitted']).not.toHaveProperty('against');
  });

  it('each kind of gate opens at its edge and not a hair before it', () => {
    const waits = (gate: Parameters<typeof waitsFor>[0], made: Made[], minute = 0) =>
      waitsFor(gate, steaming('Little Bittern', made).state, procedure, at(minute));
    const falls = { kind: 'pressure falls', atMost: psi(25) } as const;
    expect(waits(falls, [])).toBeUndefined();
    expect(waits(falls, [pressure(0, 25)])).toBeUndefined();
    expect(waits(falls, [pressure(0, 26)])).toMatch(/^opens when it has fallen to \{pressure:172368/);
    const minutes = { kind: 'minutes', after: 'match', minutes: 3 } as const;
    const match: Made = [0, 'tick', { step: 'match', outcome: 'done' }];
    expect(waits(minutes, [match], 2.99)).toBe('opens in 1 min');
    expect(waits(minutes, [match], 0.5)).toBe('opens in 3 min');
    expect(waits(minutes, [[0, 'tick', { step: 'match', outcome: 'skipped', reason: 'no' }]], 9)).toMatch(/^opens 3 min after “Light it”/);
    expect(waits({ ...minutes, after: 'fly' }, [], 9)).toContain('“fly”');
    const seen = { kind: 'seen', what: 'glass moving' } as const;
    expect(waits(seen, [])).toMatch(/^opens when seen: /);
    expect(waits(seen, [[0, 'observation', { seen: 'glass moving' }]])).toBeUndefined();
    const out = { kind: 'fire out' } as const;
    expect(waits(out, [])).toBeUndefined();
    expect(waits(out, [lit])).toContain('fire is seen to be out');
    expect(waits(out, [lit, [1, 'fire', { act: 'out' }]])).toBeUndefined();
  });

  it('evidence is young for five minutes, and of its own kind', () => {
    const lacks = (key: string, made: Made[], minute: number) => {
      const s = standing({ ...step(key), needs: [], gates: [] }, steaming('Little Bittern', made).state, procedure, at(minute));
      return whyNot(s);
    };
    expect(lacks('fill', [glass(0, 0.4)], 5)).toBeUndefined();
    expect(lacks('fill', [glass(0, 0.4)], 5.01)).toContain('Log the glass');
    expect(lacks('fill', [glass(0, 'not seen')], 1)).toBe('No step goes on while water is not seen in the glass.');
    const warm = standing(
      { ...step('start-temperature'), key: 'another' },
      steaming('Little Bittern', [[0, 'reading', { temperature: 285 }]]).state,
      procedure,
      at(5.01)
    );
    expect(whyNot(warm)).toContain('Log the temperature');
    const read = { ...step('fill'), evidence: 'pressure reading' as const };
    const pressed = (made: Made[], minute: number) =>
      standing({ ...read, needs: [], gates: [] }, steaming('Little Bittern', made).state, procedure, at(minute));
    expect(pressed([], 0)).toMatchObject({ is: 'lacking', lacks: expect.stringContaining('Log the pressure') });
    expect(pressed([glass(0, 0.4)], 0)).toMatchObject({ is: 'lacking' });
    expect(pressed([pressure(0, 40)], 5)).toEqual({ is: 'open' });
    expect(isDue(pressed([], 0))).toBe(true);
  });

  it('a step waits only when nothing stands before it, and is lacking only when nothing is waited for', () => {
    const of = (key: string, made: Made[], minute = 1) =>
      standing(step(key), steaming('Little Bittern', made).state, procedure, at(minute));
    expect(of('changeover', [])).toEqual({ is: 'blocked', because: [expect.stringMatching(/^first: /)] });
    expect(isDue(of('changeover', []))).toBe(false);
    const done: Made = [0, 'tick', { step: 'papers', outcome: 'done' }];
    expect(of('papers', [done])).toEqual({ is: 'done', at: new Date(at(0)).toISOString(), by: 'Wenna' });
    expect(isDue(of('papers', [done]))).toBe(false);
    expect(whyNot(of('papers', [done]))).toBe('It is done already, by Wenna.');
    const skipped: Made = [0, 'tick', { step: 'papers', outcome: 'skipped', reason: 'seen last night' }];
    expect(of('papers', [skipped])).toMatchObject({ is: 'skipped', reason: 'seen last night' });
    expect(whyNot({ is: 'waiting', waits: ['opens at a', 'opens at b'] })).toBe('Not yet: opens at a; opens at b.');
    expect(whyNot({ is: 'open' })).toBeUndefined();
  });

  it('what is open forbids each act by its own rule: heat forbids lighting too, and what closes it is not stopped by it', () => {
    const open = (thing: string, act: Parameters<typeof forbidden>[0]) =>
      forbidden(act, steaming('Little Bittern', [[0, 'thing', { thing, open: true } as never]]).state);
    expect(open('valve', 'light')).toEqual(['A safety valve is out: no fire before it is back.']);
    expect(open('valve', 'move')).toEqual([]);
    expect(open('plug', 'move').length).toBe(1);
    expect(forbidden('light', steaming('Little Bittern', []).state)).toEqual([]);
    const out = steaming('Little Bittern', [[0, 'thing', { thing: 'plug', open: true }]]).state;
    const [because] = forbidden('move', out);
    const mover = { ...step('papers'), needs: [], act: 'move' as const };
    expect(standing(mover, out, procedure, at(1))).toEqual({ is: 'blocked', because: [because] });
    expect(standing({ ...mover, closes: ['plug'] }, out, procedure, at(1))).toEqual({ is: 'open' });
  });

  it('looking at a skipped step as if it were not changes nothing', () => {
    const { state } = steaming('Little Bittern', [[0, 'tick', { step: 'papers', outcome: 'skipped', reason: 'no' }]]);
    const without = unskipped(state, 'papers');
    expect(without.steps).toEqual({});
    expect(state.steps.papers?.outcome).toBe('skipped');
  });
});
