import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { mixedFitOut } from '../../../tests/mixed';
import { type FitOut, patterns } from '../engine';
import { add, type Context, type Entry, fold, isAsked, isDue, type Log, standing } from '../log';
import { printMarks, psi, usualUnits } from '../units';
import { due } from '../watch';
import { compose, libraryVersion, phases, type Procedure } from '.';

const named = (name: string): FitOut => structuredClone(patterns.find((p) => p.fitOut.name === name)!.fitOut);
const keys = (p: Procedure) => p.steps.map((s) => s.key);
const solid = (f: FitOut) => f.fire as Extract<FitOut['fire'], { with: 'solid' }>;

describe('a procedure composed from a fit-out', () => {
  it.each(patterns.map((p) => [p.fitOut.name, p.fitOut] as const))('%s: whole, in order, worded', (_, fitOut) => {
    const procedure = compose(fitOut);
    expect(procedure.library).toBe(libraryVersion);
    expect(new Set(keys(procedure)).size).toBe(procedure.steps.length);
    const ranks = procedure.steps.map((s) => phases.indexOf(s.phase));
    expect(ranks).toEqual([...ranks].sort((a, b) => a - b));
    expect(new Set(procedure.steps.map((s) => s.phase))).toEqual(new Set(phases));
    for (const step of procedure.steps) {
      for (const words of [step.what, step.how, step.why]) {
        expect(words, step.key).toMatch(/\S/);
        expect(words, step.key).not.toMatch(/undefined|NaN|\[object|!/);
        // Quantities are marked, so that they can be printed in anybody's units.
        expect(words, step.key).not.toMatch(/\d\s?(psi|bar|litres?|ml|kg)\b/);
        expect(printMarks(words, usualUnits), step.key).not.toMatch(/[{}]/);
      }
      for (const need of step.needs) expect(keys(procedure), step.key).toContain(need);
      for (const gate of step.gates) if (gate.kind === 'minutes') expect(keys(procedure), step.key).toContain(gate.after);
    }
    // It is plain data: what is stored with a steaming is what was composed.
    expect(JSON.parse(JSON.stringify(procedure))).toEqual(procedure);
  });

  it('a second chimney bore is plugged before the fire and unplugged before it moves; one bore has no plug', () => {
    const two = compose(named('Little Bittern'));
    expect(keys(two)).toEqual(expect.arrayContaining(['plug-in', 'plug-out']));
    expect(two.steps.find((s) => s.key === 'match')!.needs).toContain('plug-in');
    expect(keys(compose(named('Marsh Hen'))).filter((k) => k.startsWith('plug'))).toEqual([]);
  });

  it('no glass: a measured fill and a run limit, and nothing that asks for a level', () => {
    const procedure = compose(named('Water Rail'));
    expect(keys(procedure)).toContain('run-limit');
    expect(printMarks(procedure.steps.find((s) => s.key === 'fill')!.what, usualUnits)).toBe('Fill with 260\u2009ml, measured');
    expect(procedure.steps.every((s) => s.evidence !== 'glass reading')).toBe(true);
  });

  it('no gauge: what tells instead is waited for, never a pressure', () => {
    const procedure = compose(named('Tin Heron'));
    expect(procedure.steps.flatMap((s) => s.gates).filter((g) => g.kind === 'pressure' || g.kind === 'pressure falls')).toEqual([]);
    expect(procedure.steps.every((s) => s.evidence !== 'pressure reading' && s.evidence !== 'lift')).toBe(true);
    expect(keys(procedure)).toContain('relief');
  });

  it('gas is leak tested, purged and heard; electricity covers its element first', () => {
    expect(keys(compose(named('Old Scoop')))).toEqual(expect.arrayContaining(['gas-leak', 'gas-light', 'gas-set', 'gas-off']));
    const electric = compose(named('Lantern'));
    expect(electric.steps.find((s) => s.key === 'mains-on')!.needs).toEqual(
      expect.arrayContaining(['electrics', 'element-covered', 'water-and-valves'])
    );
  });

  it('the schools change the order and say so', () => {
    const hen = named('Marsh Hen');
    const order = (f: FitOut) => keys(compose(f)).filter((k) => ['fan-on', 'match', 'fan-on-after'].includes(k));
    expect(order(hen)).toEqual(['fan-on', 'match']);
    hen.habits.draught = 'after';
    expect(order(hen)).toEqual(['match', 'fan-on-after']);
    expect(compose(hen).steps.find((s) => s.key === 'fan-on-after')!.why).toContain('other school');
    const gate = (f: FitOut) => compose(f).steps.find((s) => s.key === 'changeover')!.gates[0];
    expect(gate(hen)).toEqual({ kind: 'pressure', atLeast: solid(hen).blower });
    hen.habits.changeover = 'late';
    expect(gate(hen)).toEqual({ kind: 'pressure', atLeast: psi(50) });
  });

  it('gates stand where the work does: lifts just under WP, the plug out with the changeover and never skipped', () => {
    const step = (name: string, key: string) => compose(named(name)).steps.find((s) => s.key === key)!;
    expect(step('Marsh Hen', 'valve-lifts').gates).toEqual([{ kind: 'pressure', atLeast: psi(94) }]);
    expect(step('Little Bittern', 'leaks-wp').gates).toEqual([{ kind: 'pressure', atLeast: psi(77) }]);
    expect(step('Little Bittern', 'plug-out')).toMatchObject({
      must: true,
      needs: ['changeover'],
      closes: ['plug'],
      gates: step('Little Bittern', 'changeover').gates
    });
    for (const [name, key] of [
      ['Marsh Hen', 'match'],
      ['Marsh Hen', 'valve-lifts'],
      ['Little Bittern', 'fire-drop'],
      ['Old Scoop', 'gas-off']
    ] as const)
      expect(step(name, key).must, key).toBe(true);
  });

  it('where water is sent is said as boiler or tank, whichever way the handle turns', () => {
    const bittern = named('Little Bittern');
    const how = () => compose(bittern).steps.find((s) => s.key === 'bypass')!.how;
    expect(how()).toContain('open sends it to the tank');
    bittern.feeds[0]!.bypassShutSendsTo = 'tank';
    expect(how()).toContain('shut sends it to the tank');
  });
});

const entry = (n: number, kind: string, body: object): Entry =>
  ({
    id: `00000000-0000-7000-8000-${String(n).padStart(12, '0')}`,
    kind,
    body,
    at: new Date(1.75e12 + n * 60_000).toISOString(),
    by: 'Jory',
    source: 'person'
  }) as Entry;

describe('order locks, whatever the engine and whatever order a keeper tries', () => {
  it('no fire without water and valves, none with anything left out or on; no moving with anything in the way', () => {
    fc.assert(
      fc.property(mixedFitOut, fc.array(fc.nat(200), { minLength: 150, maxLength: 300 }), (fitOut, tries) => {
        const procedure = compose(fitOut);
        const context: Context = { fitOut, procedure, keeper: 'Jory' };
        // Full pressure and everything seen: no gate is in the way, only the locks are.
        let log: Log = fold(context, [
          entry(1, 'reading', { pressure: fitOut.workingPressure, glass: 0.5, glassAt: 0 }),
          ...(['start fuel alight', 'coal alight', 'flame heard', 'feather', 'whistle note', 'spring stiff'] as const).map((seen, i) =>
            entry(2 + i, 'observation', { seen })
          )
        ]);
        const step = (key: string) => procedure.steps.find((s) => s.key === key);
        tries.forEach((pick, i) => {
          const left = procedure.steps.filter((s) => !log.state.steps[s.key]);
          const chosen = left[pick % Math.max(1, left.length)];
          const now = 1.75e12 + (60 + i) * 60_000;
          if (!chosen || !isDue(standing(chosen, log.state, procedure, now))) return;
          const before = log.state;
          if (chosen.act === 'light') {
            for (const key of ['fill', 'valves-fitted', 'close-top', 'water-and-valves', 'fire-kit', 'gas-leak', 'electrics'])
              if (step(key)) expect(before.steps[key]?.outcome, `${key} before fire`).toBe('done');
            for (const out of ['valve', 'filler', 'funnel', 'hose', 'gas joint'])
              expect(Object.keys(before.open), `${out} at the match`).not.toContain(out);
          }
          if (chosen.act === 'move') {
            expect(before.steps['fit-to-run'], 'keeper’s word').toBeDefined();
            for (const on of ['plug', 'fan', 'hose', 'isolator']) expect(Object.keys(before.open), `${on} when moving`).not.toContain(on);
          }
          if (chosen.key === 'blow-down') expect(before.fire.outAt ?? !before.fire.litAt, 'fire out before blowing down').toBeTruthy();
          log = add(log, entry(60 + i, 'tick', { step: chosen.key, outcome: 'done' }));
        });
      }),
      { numRuns: 60 }
    );
  });

  it('nothing is opened, drained or turned by hand before the pressure is gone, and the vacuum is broken before anything drains', () => {
    for (const { fitOut } of patterns) {
      const { steps } = compose(fitOut);
      const place = (key: string) => steps.findIndex((s) => s.key === key);
      const waits = steps.filter((s) => ['cool-drain', 'drains-off', 'drain-all', 'rust', 'boiler-state'].includes(s.key));
      expect(waits.length, fitOut.name).toBeGreaterThanOrEqual(2);
      for (const s of waits) {
        expect(s.gates, `${fitOut.name}: ${s.key}`).toContainEqual({ kind: 'fire out' });
        expect(s.gates, `${fitOut.name}: ${s.key}`).toContainEqual(
          fitOut.gauge ? { kind: 'pressure falls', atMost: psi(1) } : { kind: 'seen', what: 'engine cold' }
        );
        expect(place(s.key)).toBeGreaterThan(place(fitOut.gauge ? 'vacuum' : 'cold'));
      }
      // What is waited for without a gauge, a step says.
      if (!fitOut.gauge) expect(steps[place('cold')]).toMatchObject({ sees: 'engine cold', must: true, gates: [{ kind: 'fire out' }] });
    }
  });

  it('a procedure never stands still: with its readings and its minutes, some step is always due until all are done', () => {
    fc.assert(
      fc.property(mixedFitOut, (fitOut) => {
        const procedure = compose(fitOut);
        let log: Log = fold({ fitOut, procedure, keeper: 'Jory' }, []);
        let n = 0;
        const at = () => 1.75e12 + n * 60_000;
        for (let i = 0; i < 400 && procedure.steps.some((s) => isAsked(s, log.state) && !log.state.steps[s.key]); i++) {
          n++;
          const { now } = due(procedure, log.state, at());
          if (now) {
            log = add(log, entry(n, 'tick', { step: now.step.key, outcome: 'done' }));
            continue;
          }
          // What is timed is put out, and said to be.
          const timed = procedure.steps.some((s) => s.key === 'run-limit') && !log.state.steps['run-limit'];
          if (log.state.phase === 'Run' && timed && !log.state.fire.outAt) {
            log = add(log, entry(n, 'fire', { act: 'out' }));
            continue;
          }
          if (log.state.phase === 'Run' && !log.state.seen['running ends']) {
            log = add(log, entry(n, 'observation', { seen: 'running ends' }));
            continue;
          }
          // What is waited for comes: pressure up while there is fire, down after it, and what tells where there is no gauge.
          const cooling = log.state.fire.outAt !== undefined;
          log = add(log, entry(n, 'reading', { pressure: cooling ? 0 : fitOut.workingPressure }));
          n++;
          log = add(
            log,
            entry(n, 'observation', {
              seen: ({ whistle: 'whistle note', feather: 'feather', spring: 'spring stiff', none: 'feather' } as const)[fitOut.tellTale]
            })
          );
        }
        expect(procedure.steps.filter((s) => isAsked(s, log.state) && !log.state.steps[s.key]).map((s) => s.key)).toEqual([]);
        expect(log.state.fire.outAt).toBeDefined();
      }),
      { numRuns: 60 }
    );
  });
});
