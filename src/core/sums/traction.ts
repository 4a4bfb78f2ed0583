import { count, group, number, quantity } from '../form';
import { above, given, line, lesser, minus, over, plus, Refusal, times, workedFrom } from '../units';
import { gravity, plain, rule, said } from './words';
import { sum } from './sum';

const rails = ({ fitOut }: { fitOut: { kind: string } }) => fitOut.kind === 'tank locomotive' || fitOut.kind === 'tender locomotive';

/** 0.85 p d² s/D for two cylinders, and in proportion for others. */
export const tractiveEffort = sum({
  key: 'tractive-effort',
  name: 'Tractive effort',
  asks: 'How hard can it pull?',
  inputs: group('Cylinders and wheels', {
    count: count('Cylinders', 1, 8),
    bore: quantity('Bore', 'length', 0.003, 1),
    stroke: quantity('Stroke', 'length', 0.003, 1.5),
    wheel: quantity('Driven wheel', 'length', 0.01, 3),
    pressure: quantity('Boiler pressure', 'pressure', 1e4, 2.1e6)
  }),
  usual: ({ fitOut }) => ({
    count: fitOut.cylinders.count,
    bore: fitOut.cylinders.bore,
    stroke: fitOut.cylinders.stroke,
    wheel: 2.2 * fitOut.cylinders.stroke,
    pressure: fitOut.workingPressure
  }),
  work: ({ count: n, bore, stroke, wheel, pressure }) => {
    const d = said('bore', bore, 'length');
    return workedFrom(
      [
        line(
          'tractive effort',
          'force',
          over(
            times(
              rule('what reaches the piston', 0.85, 'ratio'),
              said('boiler pressure', pressure, 'pressure'),
              d,
              d,
              said('stroke', stroke, 'length'),
              over(said('cylinders', n, 'count'), plain('of two', 2))
            ),
            said('driven wheel', wheel, 'length')
          )
        )
      ],
      'estimate',
      'As the cylinders would have it. What the rails hold is another sum.'
    );
  }
});

/** What the rails hold: μ·m·g. */
export const adhesion = sum({
  key: 'adhesion',
  name: 'What the rails hold',
  asks: 'When does it slip?',
  when: rails,
  inputs: group('Weight and rails', {
    mass: quantity('Weight on driven wheels', 'mass', 0.1, 2e5),
    grip: number('Grip', 0.03, 0.5, '0.2 on clean dry rails; 0.1 and less on wet or oily ones.')
  }),
  usual: ({ fitOut }) => ({ mass: 0.8 * fitOut.mass, grip: 0.2 }),
  work: ({ mass, grip }) =>
    workedFrom(
      [line('holds', 'force', times(said('grip', grip, 'ratio'), said('weight on driven wheels', mass, 'mass'), gravity()))],
      'estimate'
    )
});

/** What it takes up a grade and round a curve: (F/g − m(rₑ + i + c)) ÷ (r + i + c). */
export const load = sum({
  key: 'load',
  name: 'Load on a grade and a curve',
  asks: 'What can it take up the bank?',
  when: rails,
  inputs: group('Engine, train and track', {
    effort: quantity('Tractive effort', 'force', 1, 1e6),
    driven: quantity('Weight on driven wheels', 'mass', 0.1, 2e5),
    grip: number('Grip', 0.03, 0.5),
    mass: quantity('Engine and tender', 'mass', 0.1, 3e5),
    grade: number('Grade, one in (0 for the level)', 0, 10_000),
    radius: quantity('Radius of the curve', 'length', 0, 5000, '0 for straight track.'),
    gauge: quantity('Gauge', 'length', 0.02, 2),
    wheelbase: quantity('Wheelbase of a vehicle', 'length', 0.02, 10),
    engineRolls: number('Engine rolls at', 0.002, 0.1, '0.02: two in a hundred of its weight.'),
    trainRolls: number('Train rolls at', 0.002, 0.1, '0.012 on ball bearings and good track.')
  }),
  usual: ({ fitOut }) => ({
    effort: (0.85 * fitOut.workingPressure * fitOut.cylinders.bore ** 2) / 2.2,
    driven: 0.8 * fitOut.mass,
    grip: 0.2,
    mass: fitOut.mass,
    grade: 80,
    radius: 12,
    gauge: 0.127,
    wheelbase: 0.15,
    engineRolls: 0.02,
    trainRolls: 0.012
  }),
  work: (x) => {
    const holds = line(
      'rails hold',
      'force',
      times(said('grip', x.grip, 'ratio'), said('weight on driven wheels', x.driven, 'mass'), gravity())
    );
    const pulls = line('pulls', 'force', lesser(said('tractive effort', x.effort, 'force'), above(holds)));
    const grade = line('grade', 'ratio', x.grade > 0 ? over(plain('one', 1), said('in', x.grade, 'ratio')) : plain('level track', 0));
    const curve = line(
      'curve',
      'ratio',
      x.radius > 0
        ? over(
            times(
              rule('grip of the flanges', 0.25, 'ratio'),
              plus(said('gauge', x.gauge, 'length'), said('wheelbase', x.wheelbase, 'length'))
            ),
            times(plain('both rails', 2), said('radius', x.radius, 'length'))
          )
        : plain('straight track', 0)
    );
    const train = line(
      'each weight of train takes',
      'ratio',
      plus(said('train rolls at', x.trainRolls, 'ratio'), above(grade), above(curve))
    );
    const engine = line('engine itself takes', 'ratio', plus(said('engine rolls at', x.engineRolls, 'ratio'), above(grade), above(curve)));
    const takes = line(
      'takes',
      'mass',
      over(minus(over(above(pulls), gravity()), times(said('engine and tender', x.mass, 'mass'), above(engine))), above(train))
    );
    if (takes.result.value <= 0)
      throw new Refusal('grade', 'It does not take itself up that: give a lighter engine, a better grip or an easier grade.');
    return workedFrom(
      [holds, pulls, grade, curve, train, engine, takes],
      'estimate',
      'Steady and slow. What it starts is less, and what it can stop is another question: try the brake first.'
    );
  }
});

/** A drawbar trial: pull times way over time. */
export const drawbar = sum({
  key: 'drawbar',
  name: 'Drawbar trial',
  asks: 'What horsepower at the drawbar?',
  when: rails,
  inputs: group('A trial', {
    pull: quantity('Pull at the spring balance', 'force', 0.1, 1e5),
    way: quantity('Way', 'length', 0.5, 1e5),
    time: quantity('Time', 'time', 1, 1e5)
  }),
  usual: ({ fitOut }) => ({ pull: 0.4 * fitOut.mass, way: 100, time: 60 }),
  work: ({ pull, way, time }) => {
    const goes = line('goes', 'travel', over(said('way', way, 'length'), said('time', time, 'time')));
    return workedFrom([goes, line('power at the drawbar', 'power', times(said('pull', pull, 'force'), above(goes)))], 'measured');
  }
});

/** Speed as it would look full size. */
export const scaleSpeed = sum({
  key: 'scale-speed',
  name: 'Scale speed',
  asks: 'How fast is that, full size?',
  inputs: group('A lap', {
    way: quantity('Way', 'length', 0.5, 1e5),
    time: quantity('Time', 'time', 1, 1e5),
    scale: number('One in', 1, 100, '12 for an inch to the foot.')
  }),
  usual: ({ fitOut }) => ({ way: 100, time: 60, scale: fitOut.size === 'full' ? 1 : 12 }),
  work: ({ way, time, scale }) => {
    const goes = line('goes', 'travel', over(said('way', way, 'length'), said('time', time, 'time')));
    return workedFrom([goes, line('full size', 'travel', times(above(goes), given('scale', scale, 'ratio', 'given')))], 'measured');
  }
});

/** Turns from what was counted while it was timed. */
export const turnsFromTaps = sum({
  key: 'turns',
  name: 'Turns from taps',
  asks: 'How fast is it turning?',
  inputs: group('What was counted', {
    taps: count('Beats or taps counted', 2, 5000),
    time: quantity('Time', 'time', 1, 3600),
    each: count('Beats to a turn', 1, 8, 'Four of two double-acting cylinders; one where you tap with the crank.')
  }),
  usual: ({ fitOut }) => ({ taps: 60, time: 30, each: fitOut.cylinders.count * (fitOut.cylinders.doubleActing ? 2 : 1) }),
  work: ({ taps, time, each }) =>
    workedFrom(
      [
        line(
          'turns',
          'turns',
          over(said('counted', taps, 'count'), times(said('time', time, 'time'), said('beats to a turn', each, 'count')))
        )
      ],
      'measured'
    )
});
