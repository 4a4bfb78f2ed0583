import { describe, expect, it } from 'vitest';
import { at, entry, glass, lit, type Made, pressure, steaming } from '../../../tests/made';
import { printMarks, usualUnits } from '../units';
import { againstOf, closing, type Entry, type LogRight, mayNotEnter } from '.';

const who = (name: string, ...rights: LogRight[]) => ({ name, may: (right: LogRight) => rights.includes(right) });
const keeper = who('Wenna', 'sign as keeper');
const steward = who('Corrin', 'sign as keeper', 'add late notes', 'strike a signature', 'clear a bar');
const examiner = who('Hesper', 'sign as examiner', 'add late notes', 'clear a bar');
const trainee = who('Pim');
const sign = (minute: number, as: 'keeper' | 'examiner' = 'keeper', name = 'Wenna'): Made => [minute, 'sign', { as, name }];
/** Asked of one more entry, made in that minute and asked about so many minutes later. */
const asked = (made: Made[], more: Made, maker = keeper, later = 0, changes: Partial<Entry> = {}) => {
  const one = { ...entry(more, 900), by: maker.name, ...changes } as Entry;
  return mayNotEnter(one, steaming('Little Bittern', made), maker, at(more[0] + later));
};

describe('may it go in', () => {
  it('what a person says of the engine goes in; an override only at the start', () => {
    expect(asked([], [1, 'note', { text: 'x' }], trainee)).toBeUndefined();
    expect(asked([], glass(1, 0.5), trainee)).toBeUndefined();
    expect(asked([], [1, 'override', { reason: 'x', of: ['y'] }], steward)).toMatchObject({ field: 'kind' });
  });

  it('a step that the log does not bear out does not, when it is made now; two minutes later it is taken as it was said', () => {
    const tick: Made = [1, 'tick', { step: 'fill', outcome: 'done' }];
    expect(asked([], tick)).toMatchObject({ field: 'body.step', sentence: expect.stringContaining('Log the glass') });
    expect(asked([], tick, keeper, 1.99)).toBeDefined();
    expect(asked([], tick, keeper, 2)).toBeUndefined();
  });

  it('a signature is by who may, in their own name, once, and not over a fire that is left', () => {
    expect(asked([], sign(5))).toBeUndefined();
    expect(asked([], sign(5), who('Wenna'))).toEqual({ field: 'body.as', sentence: 'Your role does not allow you to sign as keeper.' });
    expect(asked([], sign(5, 'examiner'))).toMatchObject({ field: 'body.as' });
    expect(asked([], sign(5, 'keeper', 'Corrin'))).toEqual({
      field: 'body.name',
      sentence: 'A signature is your own: you are signed in as Wenna, not as Corrin.'
    });
    expect(asked([sign(4)], sign(5, 'keeper', 'Corrin'), steward)).toEqual({ field: 'kind', sentence: 'It was signed by Wenna already.' });
    expect(asked([sign(4)], sign(5, 'examiner', 'Hesper'), examiner)).toBeUndefined();
    expect(asked([lit], sign(5))).toMatchObject({ field: 'kind', sentence: expect.stringContaining('still fire in it') });
    expect(asked([lit], sign(5), keeper, 3)).toBeUndefined();
  });

  it('whoever handed it over does not sign for it any more; who has it does, and who never had it may', () => {
    const handed: Made[] = [[1, 'handover', { to: 'Jory', next: 'Fill the tank' }]];
    const jory = who('Jory', 'sign as keeper');
    expect(asked(handed, sign(5))).toEqual({ field: 'body.name', sentence: 'It was handed over to Jory, who signs for it.' });
    expect(asked(handed, sign(5, 'keeper', 'Jory'), jory)).toBeUndefined();
    expect(asked(handed, sign(5, 'keeper', 'Corrin'), steward)).toBeUndefined();
    expect(asked([...handed, [2, 'handover', { to: 'Wenna', next: 'x' }]], sign(5))).toBeUndefined();
    expect(asked([...handed, [2, 'handover', { to: 'Wenna', next: 'x' }]], sign(5, 'keeper', 'Jory'), jory)).toBeDefined();
    expect(asked([...handed, [2, 'strike', {}, 0]], sign(5))).toBeUndefined();
  });

  it('an engine that was last read hot is not left by a signature: it is waited for, or handed over', () => {
    const out: Made[] = [lit, pressure(1, 139), [2, 'fire', { act: 'out' }]];
    const refused = asked(out, sign(5));
    expect(refused?.field).toBe('kind');
    expect(printMarks(refused!.sentence, usualUnits)).toBe(
      '139\u2009psi: it is not cold. Wait until the needle is at nothing and log it, or hand it over.'
    );
    expect(asked([...out, pressure(4, 4)], sign(5))).toBeDefined();
    expect(asked([...out, pressure(4, 2.5)], sign(5))).toBeUndefined();
    expect(asked(out, sign(5, 'examiner', 'Hesper'), examiner)).toBeUndefined();
  });

  it('a match meets the lock of the step that lights it, by whatever way it is told; a fire that is in already is taken, and marked', () => {
    const match: Made = [1, 'fire', { act: 'light' }];
    const refused = asked([], match);
    expect(refused).toMatchObject({ field: 'body.act', sentence: expect.stringMatching(/Water in the glass.*“already lit”/s) });
    const ready: Made[] = [
      ...['valves-fitted', 'fire-kit', 'plug-in'].map((step): Made => [0, 'tick', { step, outcome: 'done' }]),
      glass(0, 0.4),
      [0.1, 'tick', { step: 'fill', outcome: 'done' }],
      glass(0.2, 0.4),
      [0.3, 'tick', { step: 'water-and-valves', outcome: 'done' }]
    ];
    expect(asked(ready, match)).toBeUndefined();
    expect(asked([], [1, 'fire', { act: 'fuel on' }])).toBeUndefined();
    // Two minutes later it is told as it was: what the log has against it stands beside it.
    expect(asked([], match, keeper, 2)).toBeUndefined();
    const already: Made = [1, 'fire', { act: 'light', already: true }];
    expect(asked([], already)).toBeUndefined();
    const marked = steaming('Little Bittern', [already]);
    expect(marked.state.fire).toMatchObject({ already: true, against: expect.stringContaining('Water in the glass') });
    expect(againstOf(marked.entries[0]!, marked.state)).toBe(marked.state.fire.against);
    const proven = steaming('Little Bittern', [...ready, match]).state.fire;
    expect(proven.against).toBeUndefined();
    // Lit again in order, nothing is held against the first.
    expect(
      steaming('Little Bittern', [
        already,
        [2, 'fire', { act: 'out' }],
        ...ready.map((m) => [m[0] + 3, m[1], m[2]] as Made),
        [5, 'fire', { act: 'light' }]
      ]).state.fire
    ).not.toHaveProperty('already');
  });

  it('what is signed is closed: late notes by those who may; what was made before belongs in', () => {
    const note = (minute: number): Made => [minute, 'note', { text: 'x' }];
    expect(asked([sign(4)], note(4), trainee)).toBeUndefined();
    expect(asked([sign(4)], note(5), trainee)).toMatchObject({
      sentence: expect.stringContaining('only an owner, a steward or an examiner')
    });
    expect(asked([sign(4)], note(5), steward)).toBeUndefined();
    expect(asked([sign(4)], glass(5, 0.5), steward)).toMatchObject({ sentence: expect.stringContaining('is told in a late note') });
    expect(asked([sign(4)], glass(3, 0.5), trainee)).toBeUndefined();
    // An examiner's signature closes nothing, nor does one that is struck.
    expect(asked([sign(4, 'examiner', 'Hesper')], note(5), trainee)).toBeUndefined();
    expect(asked([sign(4), [4.5, 'strike', {}, 0]], note(5), trainee)).toBeUndefined();
    const { entries, struck } = steaming('Little Bittern', [sign(4), [4.5, 'strike', {}, 0], sign(6)]);
    expect(closing({ entries, struck })?.at).toBe(new Date(at(6)).toISOString());
  });

  it('a strike needs its target; a signature and another’s fault are struck by those who may, an override by nobody', () => {
    const fault: Made = [1, 'fault', { text: 'weep', forbids: 'nothing' }];
    const strike = (made: Made[], maker = keeper, target = 0) => asked(made, [5, 'strike', {}, target], maker);
    expect(strike([glass(1, 0.5)], trainee)).toBeUndefined();
    expect(strike([glass(1, 0.5)], trainee, 77)).toEqual({ field: 'strikes', sentence: 'There is no such entry in this log to strike.' });
    expect(strike([fault])).toBeUndefined();
    expect(strike([fault], trainee)).toMatchObject({ sentence: 'Only Wenna, an owner, a steward or an examiner strikes this fault.' });
    expect(strike([fault], examiner)).toBeUndefined();
    expect(strike([sign(4)])).toMatchObject({ sentence: 'Only an owner or a steward strikes a signature.' });
    // To strike the signature that closed it opens it again; anything else after it stays shut.
    expect(strike([sign(4)], steward)).toBeUndefined();
    expect(strike([glass(1, 0.5), sign(4)], steward)).toMatchObject({ field: 'kind' });
    expect(strike([[0, 'override', { reason: 'x', of: ['y'] }]], steward)).toMatchObject({
      sentence: expect.stringContaining('stays in the record')
    });
  });
});
