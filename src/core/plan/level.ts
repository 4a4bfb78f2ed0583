import { type Plant, raise, usualFill, waterAtGlass } from '../boiler';
import { boilerShape, coldFor, type FitOut } from '../engine';
import { saturationAtGauge, waterVolume } from '../steam';
import type { Procedure } from '../procedure';
import { type Figure, type Gauge, mark, printGlass, Refusal, type Worked, type WorkedStep } from '../units';

/**
 * What to fill to when cold, solved backward: the lowest level it may come to, what is boiled away before the first feed
 * that can work, what the tests use, less the swell; and after the tests it must not stand over the ceiling.
 */
export interface Level {
  /** Cold glass, 0 to 1; m³ for an engine with no glass. */
  readonly fill: Worked;
  /** The least and the most that will do, as the same. */
  readonly least: number;
  readonly most: number;
  /** kg lost before the first feed can work, and s until then after the match. */
  readonly gap: { readonly kg: number; readonly until: number; readonly feed?: string };
  /** kg that the tests use. */
  readonly tests: number;
  /** Why no level does: the floor asks for more than the ceiling allows. */
  readonly refused?: string;
}

const input = (name: string, value: number, kind: WorkedStep['inputs'][number]['kind'], from: WorkedStep['inputs'][number]['from']) => ({
  name,
  value,
  kind,
  from
});

/** Steam and water that proving uses: valves lifted, glass blown through, whistle, warming through, kg. */
function testsUse(fitOut: FitOut, plant: Plant): { kg: number; step: WorkedStep } {
  const steam = plant.ratedSteam;
  const room = boilerShape(fitOut.boiler).total;
  const parts: [string, number][] = [
    ['each safety valve lifting for a quarter of a minute', fitOut.safetyValves.length * 15 * steam],
    ['each glass blown through', fitOut.glasses.filter((g) => g.blowThrough).length * 0.004 * room * 1000],
    ['whistle', fitOut.whistle ? 4 * steam : 0],
    ['cylinders warmed through, drains open', 60 * 0.4 * steam]
  ];
  const kg = parts.reduce((sum, [, x]) => sum + x, 0);
  return {
    kg,
    step: {
      formula: 'tests in steam: what each of them uses, together',
      inputs: parts.filter(([, x]) => x > 0).map(([name, x]) => input(name, x, 'mass', 'class default')),
      result: { name: 'used by the tests', value: kg, kind: 'mass' }
    }
  };
}

/** @param fillAt temperature of the water that is filled in, K */
export function startingSum(
  fitOut: FitOut,
  plant: Plant,
  { fillAt = 288.15, ambient = 288.15 }: { fillAt?: number; ambient?: number } = {}
): Level {
  const tests = testsUse(fitOut, plant);
  const water = usualFill(fitOut, plant, fillAt);
  const rising = raise(plant, { water, T: fillAt, ambient }, {}, { every: 20 });
  // A feed that needs the engine turning cannot work before it moves: after the tests.
  const able = fitOut.feeds.filter((f) => f.plumbed && f.kind !== 'bottle');
  const standing = able.filter((f) => !f.turning).sort((a, b) => a.from - b.from)[0];
  const first = standing ?? able[0];
  const reached = rising.moments.find((m) => m.gauge >= Math.max(first?.from ?? fitOut.workingPressure, 1));
  const moment = standing && reached ? reached : (rising.moments.at(-1) ?? rising.moments[0]!);
  const lost = Math.max(0, water - moment.water) + (standing ? 0 : tests.kg);
  const gap = { kg: lost, until: moment.time, ...(first ? { feed: first.name } : {}) };
  const gapStep: WorkedStep = {
    formula: first
      ? `lost before “${first.name}” can work${standing ? '' : ', which needs the engine turning: after the tests'}: leaks, blower and steam let out while raising, by the model`
      : 'lost while raising: nothing can be fed under pressure',
    inputs: [
      input('time until then', gap.until, 'time', 'class default'),
      ...(first ? [input('works from', first.from, 'pressure', 'fit-out')] : [])
    ],
    result: { name: 'feed gap', value: gap.kg, kind: 'mass' }
  };
  const s = saturationAtGauge(fitOut.workingPressure as Gauge);
  const cold = waterVolume(fillAt);

  if (!fitOut.glasses.length) {
    const room = boilerShape(fitOut.boiler).total;
    // Hot water swells: it must not fill more than nine tenths of the boiler.
    const most = (0.9 * room * cold) / s.vf;
    const fill = fitOut.fill ?? 0.6 * room;
    const least = (gap.kg + tests.kg) * cold + room / 5;
    return {
      fill: {
        value: Math.min(fill, most),
        kind: 'volume',
        sure: fitOut.fill ? 'from the drawing' : 'estimate',
        steps: [
          gapStep,
          tests.step,
          {
            formula: 'most that may be filled = nine tenths of the room, less the swell',
            inputs: [input('room', room, 'volume', 'geometry'), input('swell', (s.vf / cold - 1) * 100, 'percent', 'steam tables')],
            result: { name: 'at most', value: most, kind: 'volume' }
          },
          {
            formula: fitOut.fill ? 'measured fill of this engine' : 'six tenths of the room, until the owner has measured a better one',
            inputs: [],
            result: { name: 'fill', value: Math.min(fill, most), kind: 'volume' }
          }
        ],
        caution: 'There is no glass: measure the water in, note it, and time the run.'
      },
      least,
      most,
      gap,
      tests: tests.kg,
      ...(fill > most ? { refused: 'The measured fill would swell past nine tenths of the boiler: fill less, or measure it again.' } : {})
    };
  }

  const { levels } = fitOut;
  // More than the boiler holds is more than any glass shows.
  const glass = (hot: number, used: number) => {
    try {
      return coldFor(fitOut, hot, { used, fillAt }).glass;
    } catch (error) {
      if (error instanceof Refusal) return Infinity;
      throw error;
    }
  };
  const least = glass(levels.lowest, gap.kg);
  const most = glass(levels.ceiling, gap.kg + (standing ? tests.kg : 0));
  const wanted = glass(levels.wanted, gap.kg + (standing ? tests.kg : 0));
  const value = Math.min(most, Math.max(least, Math.min(1, Math.max(0, wanted))));
  const volume = waterAtGlass(plant.vessel, value, fillAt);
  return {
    fill: {
      value,
      kind: 'glass',
      sure: 'estimate',
      steps: [
        gapStep,
        tests.step,
        {
          formula: 'least: cold glass that stands at the lowest running level, hot, when the first feed can work',
          inputs: [
            input('lowest running level', levels.lowest, 'glass', 'fit-out'),
            input('feed gap', gap.kg, 'mass', 'class default'),
            input('swell', (s.vf / cold - 1) * 100, 'percent', 'steam tables')
          ],
          result: { name: 'at least', value: least, kind: 'glass' }
        },
        {
          formula: 'most: cold glass that stands at the ceiling, hot, after the tests',
          inputs: [input('ceiling', levels.ceiling, 'glass', 'fit-out')],
          result: { name: 'at most', value: most, kind: 'glass' }
        },
        {
          formula: 'fill: cold glass that stands as wanted, hot, after the tests, between the two',
          inputs: [input('wanted, hot', levels.wanted, 'glass', 'fit-out'), input('cold water', volume, 'volume', 'geometry')],
          result: { name: 'fill to', value, kind: 'glass' }
        }
      ],
      caution:
        'Expansion and what is used only. Bubbles while steaming, or a slope, lift the glass further: 1 in 100 over half a metre is 5 mm.'
    },
    least,
    most,
    gap,
    tests: tests.kg,
    ...(least > Math.min(most, 1)
      ? {
          refused:
            least > 1
              ? 'No level does: what is lost before the first feed asks for a cold glass over the top nut. Prove a feed that works sooner, or stop the leak.'
              : 'No level does: what is lost before the first feed asks for more than the ceiling allows. Feed sooner by hand, or test less before it.'
        }
      : {})
  };
}

/** The cold water that a starting level stands for, m³. */
export const fillOf = (level: Level, plant: Plant): number =>
  level.fill.kind === 'glass' ? waterAtGlass(plant.vessel, level.fill.value, 288.15) : level.fill.value;

/** A procedure whose filling step asks for this level: a sheet and its steps must not name two. */
export const withFill = (procedure: Procedure, level: Level, plant: Plant): Procedure => ({
  ...procedure,
  steps: procedure.steps.map((s) => {
    if (s.key !== 'fill') return s;
    const volume = mark(fillOf(level, plant), 'volume');
    return level.fill.kind === 'glass'
      ? { ...s, what: `Fill to ${printGlass(level.fill.value)} of the glass`, how: `About ${volume} if it is empty. ${s.how}` }
      : { ...s, what: `Fill with ${volume}, measured` };
  })
});

/** What to fill to and how much that is, as figures of an engine. The same sum as on its day sheets and its Footplate. */
export function fillFigures(fitOut: FitOut, plant: Plant): Figure[] {
  const level = startingSum(fitOut, plant);
  if (level.fill.kind !== 'glass') return [{ key: 'start', name: 'Measured fill', worked: level.fill }];
  const volume = fillOf(level, plant);
  return [
    { key: 'start', name: 'Fill cold to', worked: level.fill },
    {
      key: 'cold',
      name: 'Cold water to fill',
      worked: {
        value: volume,
        kind: 'volume',
        sure: level.fill.sure,
        steps: [
          ...level.fill.steps,
          {
            formula: 'volume of the boiler up to that level',
            inputs: [input('fill to', level.fill.value, 'glass', 'geometry')],
            result: { name: 'cold water', value: volume, kind: 'volume' }
          }
        ]
      }
    }
  ];
}
