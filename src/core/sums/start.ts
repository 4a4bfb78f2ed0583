import { type Plant, raise, usualFill, waterAtGlass } from '../boiler';
import { boilerShape, coldFor, feedsOf, type FitOut } from '../engine';
import { group, type Infer } from '../form';
import { coldWater, saturationAtGauge, waterVolume } from '../steam';
import {
  above,
  asked,
  type Expression,
  type Gauge,
  given,
  greater,
  lesser,
  line,
  over,
  plus,
  Refusal,
  times,
  type Worked,
  workedFrom,
  type WorkedStep
} from '../units';
import { demandOf } from './demand';
import { conditions, type Given, sum, usualConditions } from './sum';

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

const inputs = group('What to fill to', conditions);
type Asked = Infer<typeof inputs>;

const guess = (name: string, value: number, kind: Parameters<typeof given>[2]) => given(name, value, kind, 'class default');

/** Steam and water that proving uses: valves lifted, glass blown through, whistle, warming through. */
function testsUse({ fitOut, plant }: Given): { readonly lines: readonly WorkedStep[]; readonly step: WorkedStep } {
  const steam = given('steam the fire makes', plant.ratedSteam, 'mass flow', 'class default');
  // Warmed through gently: as it is worked on a light day.
  const work = demandOf({ fitOut, plant }, 'light');
  const room = given('room of the boiler', boilerShape(fitOut.boiler).total, 'volume', 'geometry');
  const blown = fitOut.glasses.filter((g) => g.blowThrough).length;
  const parts: Expression[] = [
    times(
      given('safety valves', fitOut.safetyValves.length, 'count', 'fit-out'),
      guess('lifting for a quarter of a minute', 15, 'time'),
      steam
    ),
    ...(blown
      ? [
          times(
            given('glasses blown through', blown, 'count', 'fit-out'),
            room,
            guess('part of it that a glass lets out', 0.004, 'share'),
            given('weight of cold water', 1000, 'density', 'steam tables')
          )
        ]
      : []),
    ...(fitOut.whistle ? [times(guess('whistle blown', 4, 'time'), steam)] : []),
    times(guess('cylinders warmed through', 60, 'time'), work.moving)
  ];
  return { lines: work.lines.slice(0, -1), step: line('used by the tests', 'mass', plus(...parts)) };
}

/** Lost before the first feed that can work, and when that is: a raising by ordinary practice, stepped by the model. */
function feedGap({ fitOut, plant }: Given, { water: fillAt, air }: Asked, { lines, step: tests }: ReturnType<typeof testsUse>) {
  const water = usualFill(fitOut, plant, fillAt);
  const rising = raise(plant, { water, T: fillAt, ambient: air }, {}, { every: 20 });
  // A feed that needs the engine turning cannot work before it moves: after the tests.
  const able = feedsOf(fitOut);
  const standing = able.filter((f) => !f.turning).sort((a, b) => a.from - b.from)[0];
  const feed = standing ?? able[0];
  const reached = rising.moments.find((m) => m.gauge >= Math.max(feed?.from ?? plant.inSteam, 1));
  const moment = standing && reached ? reached : (rising.moments.at(-1) ?? rising.moments[0]!);
  const told = [
    given('water filled in', water, 'mass', 'geometry'),
    given('cold water', fillAt, 'temperature', 'given'),
    given('air', air, 'temperature', 'given'),
    ...(feed ? [given('works from', feed.from, 'pressure', 'fit-out')] : [])
  ];
  const until = feed
    ? `by the model, of a raise by ordinary practice until “${feed.name}” can work${standing ? '' : ', which needs the engine turning: at its end'}`
    : 'by the model, of a whole raise: nothing can be fed under pressure';
  const time = asked('time until then', 'time', `time ${until}`, moment.time, told);
  const raising = asked('lost while raising', 'mass', `leaks, blower and steam let out ${until}`, Math.max(0, water - moment.water), told);
  const gap = standing ? raising : line('feed gap', 'mass', plus(above(raising), above(tests)));
  return {
    steps: [...lines, tests, time, raising, ...(standing ? [] : [gap])],
    step: gap,
    gap: { kg: gap.result.value, until: moment.time, ...(feed ? { feed: feed.name } : {}) },
    /** What is gone when the glass is looked at after the tests. */
    afterTests: standing ? line('gone after the tests', 'mass', plus(above(gap), above(tests))) : gap
  };
}

/** The last level of each engine: its figures, its day and its forms ask for it several times over, and each time is a whole raise. */
const kept = new WeakMap<Plant, { readonly fitOut: FitOut; readonly asked: Asked; readonly level: Level }>();

/** @param asked temperature of the water that is filled in and of the air, K */
export function startingSum(engine: Given, asked: Asked = usualConditions): Level {
  const { fitOut, plant } = engine;
  const last = kept.get(plant);
  if (last?.fitOut === fitOut && last.asked.water === asked.water && last.asked.air === asked.air) return last.level;
  const level = levelOf(engine, asked);
  kept.set(plant, { fitOut, asked: { water: asked.water, air: asked.air }, level });
  return level;
}

function levelOf(engine: Given, asked: Asked): Level {
  const tests = testsUse(engine);
  const lost = feedGap(engine, asked, tests);
  return engine.fitOut.glasses.length ? byGlass(engine, asked, tests.step, lost) : byMeasure(engine, asked, tests.step, lost);
}

/** For an engine without a glass: a measured fill. */
function byMeasure({ fitOut }: Given, { water }: Asked, tests: WorkedStep, lost: ReturnType<typeof feedGap>): Level {
  const cold = given('room of a kilogram of cold water', waterVolume(water), 'volume', 'steam tables');
  const hot = given('room of a kilogram of boiling water', saturationAtGauge(fitOut.workingPressure as Gauge).vf, 'volume', 'steam tables');
  const room = given('room of the boiler', boilerShape(fitOut.boiler).total, 'volume', 'geometry');
  // Hot water swells: it must not fill more than nine tenths of the boiler.
  const most = line('at most', 'volume', over(times(given('nine tenths', 0.9, 'share', 'rule of the club'), room, cold), hot));
  const least = line(
    'at least',
    'volume',
    plus(times(plus(above(lost.step), above(tests)), cold), times(room, given('a fifth', 0.2, 'share', 'class default')))
  );
  const wanted =
    fitOut.fill === null
      ? line(
          'usual fill',
          'volume',
          times(room, given('six tenths, until the owner has measured a better one', 0.6, 'share', 'class default'))
        )
      : line('usual fill', 'volume', given('measured fill of this engine', fitOut.fill, 'volume', 'fit-out'));
  const fill = line('fill', 'volume', lesser(above(wanted), above(most)));
  return {
    fill: workedFrom(
      [...lost.steps, least, most, wanted, fill],
      fitOut.fill ? 'from the drawing' : 'estimate',
      'There is no glass: measure the water in, note it, and time the run.'
    ),
    least: least.result.value,
    most: most.result.value,
    gap: lost.gap,
    tests: tests.result.value,
    ...(wanted.result.value > most.result.value
      ? { refused: 'The measured fill would swell past nine tenths of the boiler: fill less, or measure it again.' }
      : {})
  };
}

/** For an engine with a glass: between the floor when the first feed can work, and the ceiling after the tests. */
function byGlass({ fitOut }: Given, { water: fillAt }: Asked, tests: WorkedStep, lost: ReturnType<typeof feedGap>): Level {
  const { levels } = fitOut;
  const after = lost.afterTests;
  // More than the boiler holds is more than any glass shows.
  const glass = (name: string, hot: number, what: string, used: WorkedStep) => {
    const cold = () => {
      try {
        return coldFor(fitOut, hot, { used: used.result.value, fillAt }).glass;
      } catch (error) {
        if (error instanceof Refusal) return Infinity;
        throw error;
      }
    };
    return asked(name, 'glass', 'cold glass that stands at that one, hot, when that much of the water is gone', cold(), [
      given(what, hot, 'glass', 'fit-out'),
      above(used),
      given('cold water', fillAt, 'temperature', 'given')
    ]);
  };
  const least = glass('at least', levels.lowest, 'lowest running level', lost.step);
  const most = glass('at most', levels.ceiling, 'ceiling', after);
  const wanted = glass('as wanted', levels.wanted, 'wanted, hot', after);
  const fill = line(
    'fill to',
    'glass',
    greater(
      given('bottom nut', 0, 'glass', 'geometry'),
      lesser(above(most), greater(above(least), lesser(given('top nut', 1, 'glass', 'geometry'), above(wanted))))
    )
  );
  const [floor, ceiling] = [least.result.value, most.result.value];
  return {
    fill: workedFrom(
      [...lost.steps, ...(after === lost.step ? [] : [after]), least, most, wanted, fill],
      'estimate',
      'Expansion and what is used only. Bubbles while steaming, or a slope, lift the glass further: 1 in 100 over half a metre is 5 mm.'
    ),
    least: floor,
    most: ceiling,
    gap: lost.gap,
    tests: tests.result.value,
    ...(floor > Math.min(ceiling, 1) || ceiling < 0
      ? {
          refused:
            ceiling < 0
              ? 'No level in the glass does: for its ceiling to hold when hot, the cold water would have to stand under the bottom nut. Look at the heights of the nuts and at the levels.'
              : floor > 1
                ? 'No level does: what is lost before the first feed asks for a cold glass over the top nut. Prove a feed that works sooner, or stop the leak.'
                : 'No level does: what is lost before the first feed asks for more than the ceiling allows. Feed sooner by hand, or test less before it.'
        }
      : {})
  };
}

/** The cold water that a starting level stands for, m³. */
export const fillOf = (level: Level, plant: Plant): number =>
  level.fill.kind === 'glass' ? waterAtGlass(plant.vessel, level.fill.value, coldWater) : level.fill.value;

/** The level to fill to, as an engine's own figure: the same sum as on its day sheets and its Footplate. */
export const start = sum({
  key: 'start',
  name: 'Fill cold to',
  said: ({ fitOut }) => (fitOut.glasses.length ? 'Fill cold to' : 'Measured fill'),
  inputs,
  usual: () => usualConditions,
  work: (asked, given) => startingSum(given, asked).fill
});

/** The cold water up to that level. */
export const coldFill = sum({
  key: 'cold',
  name: 'Cold water to fill',
  when: ({ fitOut }) => fitOut.glasses.length > 0,
  inputs,
  usual: () => usualConditions,
  work: (said, engine) => {
    const level = startingSum(engine, said);
    const { fill } = level;
    return workedFrom(
      [
        ...fill.steps,
        asked('cold water', 'volume', 'volume of the boiler up to that level', fillOf(level, engine.plant), [above(fill.steps.at(-1)!)])
      ],
      fill.sure
    );
  }
});
