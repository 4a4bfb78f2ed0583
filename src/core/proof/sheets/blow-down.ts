import { boilerShape, glassHeight } from '../../engine';
import { choice, group, number, quantity } from '../../form';
import { given, line, mark, minus, over, psi, Refusal } from '../../units';
import { type Finding, seen, sheet } from '../sheet';

const shuts = { tight: 'seen', drips: 'not within', runs: 'not within' } as const;

/** The blow-down valve: that it passes, and that it shuts again. */
export const blowDown = sheet({
  key: 'blow-down',
  name: 'Blow-down valve',
  how: [
    'Fire out and confirmed out. The pipe points where it can hurt nobody, and nobody stands in line with it.',
    'Opened at low pressure for a counted time while the glass is watched, and shut while water is still in sight.',
    'Looked at ten minutes later: dry, or not.'
  ],
  when: (f) => f.blowDown && f.glasses.length > 0,
  fields: () =>
    group('Blow-down valve', {
      pressure: quantity('Opened at', 'pressure', 0, psi(300)),
      error: number('A glass is read to, of it, either way', 0, 0.25, '1/16 is 0.06.'),
      before: number('Glass before', 0, 1, 'As a part of the glass.'),
      after: number('Glass after', 0, 1),
      open: quantity('Open for', 'time', 1, 600),
      shut: choice('Ten minutes later it is', { tight: 'dry', drips: 'dripping', runs: 'running' })
    }),
  starts: () => ({ pressure: '', error: '', before: '', after: '', open: '', shut: '' }),
  judge: ({ pressure, error, before, after, open, shut }, fitOut) => {
    if (after > before) throw new Refusal('after', 'The glass cannot rise by blowing down: read both again.');
    const shape = boilerShape(fitOut.boiler);
    const at = (level: number) => shape.volume(glassHeight(fitOut, level));
    const fell = line(
      'the glass fell by',
      'ratio',
      minus(given('before', before, 'ratio', 'measured'), given('after', after, 'ratio', 'measured'))
    );
    const out = line(
      'let out',
      'volume',
      minus(
        given('water at the level before', at(before), 'volume', 'geometry'),
        given('at the level after', at(after), 'volume', 'geometry')
      )
    );
    const rate = line(
      'passes',
      'flow',
      over(given('let out', out.result.value, 'volume', 'above'), given('open for', open, 'time', 'measured'))
    );
    const passed = fell.result.value > 2 * error;
    const findings: Finding[] = [
      {
        verdict: passed ? 'seen' : 'shows nothing',
        says: passed
          ? `It let out ${mark(out.result.value, 'volume')} in ${mark(open, 'time')} at ${mark(pressure, 'pressure')}.`
          : `The glass fell by less than it can be read to in ${mark(open, 'time')}: it may be choked, or it was not open for long enough.`,
        steps: [fell, out, rate]
      },
      seen(shuts, shut, shut === 'tight' ? 'It shuts: dry ten minutes later.' : `It does not shut: ${shut} ten minutes later.`)
    ];
    return findings;
  }
});
