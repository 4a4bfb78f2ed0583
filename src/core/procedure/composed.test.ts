import { expect, it } from 'vitest';
import { type FitOut, patterns } from '../engine';
import { compose, type Gate, type Step } from '.';

/**
 * The checklists of the ten patterns as they are composed, to be read by somebody who steams such an engine: composed.txt. A step, a
 * gate, a lock or a word that appears, goes or moves shows there as a difference, and has to be meant.
 */

const psi = (p: number) => `${Math.round(p / 68.94757) / 100} psi`;
const gate = (g: Gate): string =>
  g.kind === 'pressure'
    ? `from ${psi(g.atLeast)}`
    : g.kind === 'pressure falls'
      ? `down to ${psi(g.atMost)}`
      : g.kind === 'seen'
        ? `${g.what} seen`
        : g.kind === 'minutes'
          ? `${g.minutes} min after ${g.after}`
          : g.kind;
const list = (name: string, of: readonly unknown[]) =>
  of.length ? [`${name} ${of.map((x) => (typeof x === 'string' ? x : JSON.stringify(x))).join(' ')}`] : [];
const flags = ({ must, chore, kept, flammable, away, ends, act, sees }: Step) => [
  ...(must ? ['must'] : []),
  ...(chore ? ['chore'] : []),
  ...(kept ? ['kept'] : []),
  ...(flammable ? ['flammable'] : []),
  ...(away ? ['away'] : []),
  ...(ends ? ['ends'] : []),
  ...(act ? [`act ${act}`] : []),
  ...(sees ? [`sees ${sees}`] : [])
];
const lineOf = (s: Step): string =>
  [
    s.key,
    s.what,
    s.how,
    ...(s.caution ? [`caution ${s.caution}`] : []),
    ...(s.evidence === 'tick' ? [] : [`shown by ${s.evidence}`]),
    ...list('opens', s.gates.map(gate)),
    ...list('after', s.needs),
    ...list('leaves open', s.opens),
    ...list('closes', s.closes),
    ...list('sets', s.sets),
    ...list('proves', s.proves ?? []),
    ...flags(s),
    `${s.minutes} min ${s.who}`,
    ...list('with', s.materials)
  ].join(' | ');
const told = (f: FitOut): string[] => compose(f).steps.map((s) => `${s.phase}: ${lineOf(s)}`);

/** One thing different about an engine. */
const variants: readonly (readonly [string, (f: FitOut) => Partial<FitOut>])[] = [
  ['draught before', (f) => ({ habits: { ...f.habits, draught: 'before' } })],
  ['draught after', (f) => ({ habits: { ...f.habits, draught: 'after' } })],
  ['first bed thin', (f) => ({ habits: { ...f.habits, firstBed: 'thin' } })],
  ['first bed full', (f) => ({ habits: { ...f.habits, firstBed: 'full' } })],
  ['changeover first', (f) => ({ habits: { ...f.habits, changeover: 'first' } })],
  ['changeover late', (f) => ({ habits: { ...f.habits, changeover: 'late' } })],
  ['filled warm', (f) => ({ habits: { ...f.habits, fill: 'warm' } })],
  ['oiled in the wait', (f) => ({ habits: { ...f.habits, oiling: 'wait' } })],
  ['oiled before', (f) => ({ habits: { ...f.habits, oiling: 'before' } })],
  ['injector proven moving', (f) => ({ habits: { ...f.habits, injector: 'moving' } })],
  ['blown down cool', (f) => ({ habits: { ...f.habits, blowDown: 'cool' } })],
  ['blown down full', (f) => ({ habits: { ...f.habits, blowDown: 'full' } })],
  ['cleaned before', (f) => ({ habits: { ...f.habits, clean: 'before' } })],
  ...(['hand', 'steam', 'steam isolated', 'chest', 'none'] as const).map(
    (drains) => [`drains ${drains}`, (f: FitOut) => ({ cylinders: { ...f.cylinders, drains } })] as const
  ),
  ['no blow-down', () => ({ blowDown: false })],
  ['a vent', () => ({ vent: true })],
  ['no whistle', () => ({ whistle: false })],
  ['stored full', () => ({ storage: 'full' })],
  ['a fusible plug', () => ({ fusiblePlug: true })],
  ['no tanks', () => ({ tanks: [] })],
  ['one feed', (f) => ({ feeds: f.feeds.slice(0, 1) })],
  ['no feed plumbed in', (f) => ({ feeds: f.feeds.map((x) => ({ ...x, plumbed: false })) })],
  ['no blow-through', (f) => ({ glasses: f.glasses.map((g) => ({ ...g, blowThrough: false })) })],
  ['valves unscrew to fill', (f) => ({ safetyValves: f.safetyValves.map((v) => ({ ...v, unscrewsToFill: true })) })],
  ['driven direct', () => ({ drive: 'direct' })],
  ['driven by gears', () => ({ drive: 'gears' })],
  ['driven by a clutch', () => ({ drive: 'clutch' })]
];

it('each pattern has the checklist that stands in composed.txt, and with one thing different what stands there as different', async () => {
  const varied = ['large-tank', 'gas-tank', 'road-roller', 'tabletop'];
  const pages = patterns.map(({ key, fitOut }) => {
    const plain = told(fitOut);
    const other = (varied.includes(key) ? variants : []).flatMap(([name, change]) => {
      const changed = told({ ...fitOut, ...change(fitOut) } as FitOut);
      const gone = plain.filter((l) => !changed.includes(l)).map((l) => `  − ${l}`);
      const come = changed.filter((l) => !plain.includes(l)).map((l) => `  + ${l}`);
      return gone.length + come.length ? [`With ${name}:`, ...gone, ...come] : [];
    });
    return [`${fitOut.name}, ${fitOut.description}`, ...plain, ...other].join('\n');
  });
  await expect(pages.join('\n\n') + '\n').toMatchFileSnapshot('composed.txt');
});

it('where two schools differ, the why is the owner’s school’s and names the other with its reason', () => {
  const hen = patterns.find((p) => p.fitOut.name === 'Marsh Hen')!.fitOut;
  const why = (habits: Partial<FitOut['habits']>, key: string) =>
    compose({ ...hen, habits: { ...hen.habits, ...habits } }).steps.find((s) => s.key === key)!.why;
  const bed = compose(hen).steps.find((s) => s.what.startsWith('Lay the start fuel'))!.key;
  expect(why({ firstBed: 'thin' }, bed)).toMatch(/^A thin even bed takes sooner\. The other school .* holds longer\.$/);
  expect(why({ firstBed: 'full' }, bed)).toMatch(/^A deep bed holds longer\. The other school .* takes sooner\.$/);
  expect(why({ changeover: 'late' }, 'changeover')).toMatch(/You change over late.*the other school does it at the first pressure/);
  expect(why({ changeover: 'first' }, 'changeover')).toMatch(/the other school waits for half pressure/);
});
