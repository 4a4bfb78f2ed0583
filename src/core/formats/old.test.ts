import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { fitOutOf } from '../engine';
import { checkFitOut } from '../engine/check';
import { pastOf } from '../learn';
import { fold } from '../log';
import { compose, procedureOf } from '../procedure';
import { checkRecord, recordFormat } from '.';

/** One of each document as earlier versions stored and exported it: tests/old is only ever added to. */
const old = (name: string) => JSON.parse(readFileSync(`tests/old/${name}.json`, 'utf8'));

describe('documents of November 2026', () => {
  it('a stored fit-out opens, and composes today’s procedure', () => {
    const fitOut = fitOutOf(old('fit-out.2026-11'));
    expect(checkFitOut(fitOut)).toHaveProperty('fitOut');
    expect(compose(fitOut).steps.length).toBeGreaterThan(60);
  });

  it('a running steaming opens where it stood: the same steps done, the same readings, the same things open', () => {
    const { context, entries, state } = old('running.2026-11');
    const fitOut = fitOutOf(context.fitOut);
    const procedure = procedureOf(context.procedure, fitOut);
    expect(procedure.steps.map((s) => [s.key, s.what, s.gates])).toEqual(
      context.procedure.steps.map((s: (typeof procedure.steps)[number]) => [s.key, s.what, s.gates])
    );
    const now = fold({ ...context, fitOut, procedure }, entries).state;
    for (const part of ['phase', 'steps', 'pressure', 'highest', 'glass', 'temperature', 'fed', 'seen', 'lifts', 'open'] as const)
      expect(now[part], part).toEqual(state[part]);
    // The step that put the first coal on tells of it now: one round more than its log counted.
    expect(now.fire).toEqual({ ...state.fire, rounds: state.fire.rounds + 1 });
    for (const [valve, stands] of Object.entries<{ open: number }>(state.valves))
      expect(now.valves, valve).toMatchObject({ [valve]: { open: stands.open } });
  });

  it('an exported record comes in, brought up to today, with its raising as it was', () => {
    const checked = checkRecord(old('record.2026-11'));
    expect(checked).toHaveProperty('record');
    if (!('record' in checked)) return;
    const { record } = checked;
    expect(record.format).toBe(recordFormat);
    expect(record.procedure.steps.find((s) => s.key === 'changeover')!.sets).toEqual([{ valve: 'blower', open: 0.5 }]);
    const log = fold({ fitOut: record.fitOut, procedure: record.procedure, keeper: record.steaming.keeper }, record.entries);
    expect(log.state.endedAt).toBe(record.steaming.endedAt);
    expect(pastOf(log)!.readings.length).toBeGreaterThan(4);
    // Brought up once, it is left as it is.
    expect(checkRecord(record)).toEqual(checked);
  });

  it('one of a version that nobody knows is refused at the field that says so', () => {
    expect(checkRecord({ ...old('record.2026-11'), format: 'joram.record/99' })).toMatchObject({ problems: [{ path: 'format' }] });
    expect(() => fitOutOf({ format: 'joram.fit-out/99' })).toThrow(/joram\.fit-out\/4.* or older/);
  });
});
