import type { FitOut } from '../engine';
import { opensFrom } from './compose';
import {
  bores,
  bypassed,
  carries,
  damper,
  drains,
  electric,
  fan,
  fed,
  gas,
  glass,
  hasFeed,
  lubricated,
  rails,
  road,
  solid,
  spirit,
  turning,
  wheels
} from './library/fits';
import { opensAtPressure, type Procedure, type Step } from './step';

/** THE LINTER: what would be untrue or impossible in a composed procedure, found by machine over any fit-out. */

/** What is wrong with which step, as a line to read. */
export interface Lint {
  readonly step: string;
  readonly says: string;
}

const either =
  (...tests: ((f: FitOut) => boolean)[]) =>
  (f: FitOut) =>
    tests.some((test) => test(f));
const burns =
  (...words: string[]) =>
  (f: FitOut) =>
    f.fire.with === 'solid' && [f.fire.fuel, f.fire.start].some((fuel) => words.some((word) => fuel.includes(word)));

/** A word, and the fit-out of which it may be said. */
const words: readonly (readonly [RegExp, (f: FitOut) => boolean])[] = [
  [/\b(start )?fan\b/i, fan],
  [/\bdamper\b/i, damper],
  [/\bregulator\b/i, (f) => f.control === 'regulator' || f.fire.with === 'gas'],
  [/\bsteam cock\b/i, (f) => f.control === 'steam cock'],
  [/\bwhistle\b/i, (f) => f.whistle],
  [/\binjectors?\b/i, hasFeed('injector')],
  [/\bblower\b/i, solid],
  [/\b(?<!condensate )tanks?\b/i, (f) => f.tanks.length > 0 || f.water.treatment === 'tank' || bypassed(f)],
  [/\bcondensate tank\b/i, (f) => f.exhaust === 'condensate'],
  [/\bseparator\b/i, (f) => f.exhaust === 'separator'],
  [/\b(chocks?|chocked|wheels?)\b/i, wheels],
  [/\b(wheels’|train|rail)\b/i, either(rails, road)],
  [/\bpassengers?\b|\bthe public\b/i, carries],
  [/\b(coal|coaling)\b/i, burns('coal', 'anthracite')],
  [/\bcharcoal\b/i, burns('charcoal')],
  [/\bwood\b/i, burns('wood', 'sticks', 'kindling')],
  [/\b(grate|ashpan|ash|firebox|bars|shovel|fire door)\b/i, solid],
  [/\bsmokebox\b/i, (f) => solid(f) || (f.fire.with === 'gas' && f.fire.burners.some((b) => b.litAt === 'smokebox'))],
  [/\btubes?\b/i, (f) => f.boiler.form !== 'pot' && f.boiler.form !== 'electric'],
  [/\b(gas|canister|burners?)\b/i, either(gas, spirit)],
  [/\b(canister|leak fluid)\b/i, gas],
  [/\b(charge of spirit|spilt spirit|tablets?)\b/i, spirit],
  [/\b(thermostat|element|mains|socket|fuse)\b/i, electric],
  [/\bhand pump\b/i, hasFeed('hand pump')],
  [/\b(bypass)\b/i, bypassed],
  [/\b(pump|pumps)\b/i, (f) => f.feeds.some((x) => x.plumbed && x.kind.endsWith('pump'))],
  [/\b(?<!no )glass(es)?\b/i, glass],
  [/\b(gauge|needle)\b/i, (f) => f.gauge],
  [/\bdrains?\b(?= (open|shut|cocks?)\b)/i, drains],
  [/\bvent\b/i, (f) => f.vent],
  [/\bblow(-| )down\b/i, (f) => f.blowDown],
  [/\blubricator\b/i, (f) => f.lubrication.some((x) => ['displacement', 'mechanical', 'sight feed'].includes(x.kind))],
  [/\bwicks?\b/i, lubricated('wick')],
  [/\bbrakes?\b/i, (f) => f.brakes.length > 0],
  [/\bfusible\b/i, (f) => f.fusiblePlug],
  [/\bsecond (chimney )?bore\b/i, bores],
  [/\btender\b/i, (f) => f.kind === 'tender locomotive' || f.tanks.some((t) => /tender/i.test(t.name))],
  [/\b(reverser|mid gear|both directions|both gears)\b/i, (f) => f.cylinders.reverser !== 'none'],
  [/\b(in|out of) gear\b/i, (f) => f.drive === 'gears'],
  [/\bclutch\b/i, (f) => f.drive === 'clutch'],
  [/\bflywheel\b/i, (f) => !rails(f)],
  [/\brock (it|the engine)\b/i, (f) => f.mass < 60],
  [/\b(turned?|turn it) by hand\b/i, turning],
  [/\bfeed\b(?! pump)/i, (f) => fed(f) || lubricated('sight feed')(f)],
  [/\bmanhole|mudhole\b/i, (f) => f.manholes + f.mudholes > 0],
  [/\b(lamp oil|lamps)\b/i, either((f) => f.lamps, solid)],
  [/\bisolators?\b/i, (f) => f.brakes.some((b) => b.isolator) || f.cylinders.drains === 'steam isolated'],
  [/\b(?<!no )treat(ed|ment)\b/i, (f) => f.water.treatment !== 'none' || f.storage === 'full'],
  [/\brivet/i, (f) => f.shell.joints === 'riveted']
];

/** What is said beside the owner’s own names for things. */
function said({ what, how, why, caution = '' }: Step, { feeds, tanks, lubrication, comesOff, fire }: FitOut): string {
  const own = [
    ...(fire.with === 'gas' ? [...fire.burners.map((b) => b.name), ...fire.joints.map((j) => j.name)] : []),
    ...feeds.map((x) => x.name),
    ...tanks.map((t) => t.name),
    ...lubrication.map((x) => x.point),
    comesOff
  ];
  return [...own, fire.with === 'spirit' ? fire.charge : '']
    .filter(Boolean)
    .reduce((text, name) => text.replaceAll(name, '').replaceAll(name.toLowerCase(), ''), [what, how, why, caution].join(' '));
}

function wordsOf(step: Step, fitOut: FitOut): string[] {
  const text = said(step, fitOut);
  return words.flatMap(([word, allowed]) => {
    const found = word.exec(text);
    return found && !allowed(fitOut) ? [`says “${found[0]}”, which this engine has not`] : [];
  });
}

const goingUp = new Set<Step['phase']>(['Raise', 'Prove']);
const comingDown = new Set<Step['phase']>(['Shut down', 'Put away']);

/** On the way up each gate is at or above the one before it, on the way down at or under it. */
function inOrder(steps: readonly Step[], fitOut: FitOut): Lint[] {
  const from = opensFrom(steps, fitOut);
  const lints: Lint[] = [];
  for (const phase of goingUp) {
    let last = 0;
    for (const step of steps.filter((s) => s.phase === phase)) {
      const own = step.gates.some((g) => opensAtPressure(g, 1) !== undefined) ? from.get(step.key)! : undefined;
      if (own === undefined) continue;
      if (own < last - 1) lints.push({ step: step.key, says: 'opens at less than the step before it' });
      last = Math.max(last, own);
    }
  }
  let lowest = Infinity;
  for (const step of steps.filter((s) => comingDown.has(s.phase)))
    for (const gate of step.gates) {
      if (gate.kind !== 'pressure falls') continue;
      if (gate.atMost > lowest + 1) lints.push({ step: step.key, says: 'opens at more than the step before it, on the way down' });
      lowest = Math.min(lowest, gate.atMost);
    }
  return lints;
}

/** Whatever is opened is closed by a later step. */
const closedAgain = (steps: readonly Step[]): Lint[] =>
  steps.flatMap(({ key, opens }, i) =>
    opens
      .filter((thing) => !steps.slice(i + 1).some((s) => s.closes.includes(thing)))
      .map((thing) => ({ step: key, says: `opens “${thing}”, which no later step closes` }))
  );

/** What is needed and waited for comes before, so that every step can be reached. */
function reachable(steps: readonly Step[]): Lint[] {
  const before = new Set<string>();
  const seen = new Set<string>();
  return steps.flatMap((step) => {
    const lints = [
      ...step.needs
        .filter((need) => !before.has(need))
        .map((need) => ({ step: step.key, says: `needs “${need}”, which does not come before it` })),
      ...step.gates.flatMap((g) =>
        g.kind === 'minutes' && !before.has(g.after)
          ? [{ step: step.key, says: `is timed from “${g.after}”, which does not come before it` }]
          : g.kind === 'seen' && !seen.has(g.what) && opensAtPressure(g, 1) === undefined
            ? [{ step: step.key, says: `waits for “${g.what}”, which no step before it sees` }]
            : g.kind === 'fire out' && !seen.has('fire out')
              ? [{ step: step.key, says: 'waits for the fire to be out, which no step before it sees' }]
              : []
      )
    ];
    before.add(step.key);
    if (step.sees) seen.add(step.sees);
    return lints;
  });
}

/** What is filled last is not then run out: only a boiler that is blown down for its sludge and left full is filled, after it. */
function filledForNothing(steps: readonly Step[]): Lint[] {
  const at = (key: string) => steps.findIndex((s) => s.key === key);
  const filled = Math.max(at('fill-last'), at('refill'));
  const run = ['blow-down', 'cool-drain'].map(at).filter((i) => i > filled);
  return filled >= 0 && run.length ? run.map((i) => ({ step: steps[i]!.key, says: 'empties what was filled for the night' })) : [];
}

/** Left dry or left full, as it is stored: what is left full is filled, what is left dry is not. */
function leftAsSaid(steps: readonly Step[], { storage }: FitOut): Lint[] {
  if (!steps.some((s) => s.key === 'boiler-state')) return [];
  const filled = steps.some((s) => s.key === 'fill-last' || s.key === 'refill' || s.key === 'filled-again');
  return filled === (storage === 'full')
    ? []
    : [{ step: 'boiler-state', says: filled ? 'is left dry, and is filled for the night' : 'is left full, and nothing fills it' }];
}

/** Everything that is untrue, out of order, left open or out of reach in the procedure of an engine; empty when there is nothing. */
export const lint = ({ steps }: Procedure, fitOut: FitOut): Lint[] => [
  ...steps.flatMap((step) => wordsOf(step, fitOut).map((says) => ({ step: step.key, says }))),
  ...inOrder(steps, fitOut),
  ...closedAgain(steps),
  ...reachable(steps),
  ...filledForNothing(steps),
  ...leftAsSaid(steps, fitOut)
];
