import type { FitOut } from '../engine';
import { count, group, number, quantity } from '../form';
import { saturationAtGauge } from '../steam';
import { above, asked, type Gauge, given, line, minus, over, plus, times, workedFrom, type WorkedStep } from '../units';
import { absolute, plain, quarterPi, rule, said } from './words';
import { sum } from './sum';

/** Cylinders as a sum asks for them. */
export const cylinderInputs = {
  count: count('Cylinders', 1, 8),
  bore: quantity('Bore', 'length', 0.003, 1),
  stroke: quantity('Stroke', 'length', 0.003, 1.5),
  sides: count('Sides that take steam', 1, 2, 'Two where steam works on both sides of the piston.')
} as const;
export const cylindersOf = ({ cylinders: c }: FitOut) => ({
  count: c.count,
  bore: c.bore,
  stroke: c.stroke,
  sides: c.doubleActing ? 2 : 1
});
const admission = {
  chest: quantity('Pressure in the steam chest', 'pressure', 1e4, 2.1e6),
  cutOff: number('Cut-off, of the stroke', 0.05, 0.95),
  clearance: number('Clearance, of the stroke', 0, 0.3, '0.08 is usual.'),
  back: quantity('Back pressure', 'pressure', 0, 2e5, 'Of the exhaust on its way out: a tenth of a bar is usual.')
} as const;
const usually = { cutOff: 0.5, clearance: 0.08, back: 1e4 } as const;
interface Admitted {
  chest: number;
  cutOff: number;
  clearance: number;
  back: number;
}

const one = () => plain('the whole stroke', 1);

/** Mean pressure on a piston through its stroke: P(c + (c+e)·ln((1+e)/(c+e))) − back, times how full the diagram is. */
function meanPressure({ chest, cutOff, clearance, back }: Admitted): readonly WorkedStep[] {
  const [c, e] = [said('cut-off', cutOff, 'ratio'), said('clearance', clearance, 'ratio')];
  const times_ = line('expands', 'ratio', over(plus(one(), e), plus(c, e)));
  const ln = asked('logarithm of that', 'ratio', 'natural logarithm of that', Math.log(times_.result.value), [above(times_)]);
  return [
    times_,
    ln,
    line(
      'mean pressure',
      'pressure',
      times(
        minus(
          times(absolute(said('chest', chest, 'pressure')), plus(c, times(plus(c, e), above(ln)))),
          absolute(said('back pressure', back, 'pressure'))
        ),
        rule('how full the diagram is', 0.75, 'ratio')
      )
    )
  ];
}

export const meanPressureSum = sum({
  key: 'mean-pressure',
  name: 'Mean pressure on the piston',
  asks: 'What is the mean pressure at that cut-off?',
  inputs: group('Steam in the cylinder', admission),
  usual: ({ fitOut }) => ({ chest: 0.8 * fitOut.workingPressure, ...usually }),
  work: (x) => workedFrom(meanPressure(x), 'estimate', 'A real diagram is rounded at its corners: three quarters as full as it is drawn.')
});

/** Power at the pistons: PLAN, by the mean pressure of a diagram three quarters full. */
export const power = sum({
  key: 'power',
  name: 'Power at the pistons',
  asks: 'What horsepower is it?',
  inputs: group('The engine at work', { ...cylinderInputs, ...admission, turns: quantity('Turns', 'turns', 0.1, 30) }),
  usual: ({ fitOut }) => ({ ...cylindersOf(fitOut), chest: 0.8 * fitOut.workingPressure, ...usually, turns: 5 }),
  work: ({ count: n, bore, stroke, sides, turns, ...x }) => {
    const steps = meanPressure(x);
    const b = said('bore', bore, 'length');
    return workedFrom(
      [
        ...steps,
        line(
          'power',
          'power',
          times(
            above(steps.at(-1)!),
            said('stroke', stroke, 'length'),
            quarterPi(),
            b,
            b,
            said('turns', turns, 'turns'),
            said('sides that take steam', sides, 'count'),
            said('cylinders', n, 'count')
          )
        )
      ],
      'estimate',
      x.chest < 2e4 ? 'With so little in the chest it may not turn at all.' : undefined
    );
  }
});

/** Steam per turn, from displacement to cut-off and clearance, with what condenses on the way; and by the hour. */
export const steamUsed = sum({
  key: 'steam-used',
  name: 'Steam that the cylinders use',
  asks: 'How much steam does it use?',
  inputs: group('The engine at work', {
    ...cylinderInputs,
    ...admission,
    turns: quantity('Turns', 'turns', 0.1, 30),
    missing: number('And what condenses on the way', 1, 3, 'Small cylinders take 1.6 times what their displacement says.')
  }),
  usual: ({ fitOut }) => ({ ...cylindersOf(fitOut), chest: 0.8 * fitOut.workingPressure, ...usually, turns: 5, missing: 1.6 }),
  work: ({ count: n, bore, stroke, sides, turns, missing, chest, cutOff, clearance, back }) => {
    const b = said('bore', bore, 'length');
    const density = asked(
      'weight of the steam',
      'density',
      'weight of a volume of steam at that pressure (IAPWS-IF97)',
      1 / saturationAtGauge(chest as Gauge).vg,
      [said('chest', chest, 'pressure')]
    );
    const left = asked(
      'weight of what is left',
      'density',
      'weight of a volume of steam at the back pressure (IAPWS-IF97)',
      1 / saturationAtGauge(back as Gauge).vg,
      [said('back pressure', back, 'pressure')]
    );
    const taken = line(
      'let in',
      'density',
      minus(
        times(above(density), plus(said('cut-off', cutOff, 'ratio'), said('clearance', clearance, 'ratio'))),
        times(above(left), said('clearance', clearance, 'ratio'))
      )
    );
    const turn = line(
      'a turn',
      'mass',
      times(
        quarterPi(),
        b,
        b,
        said('stroke', stroke, 'length'),
        said('sides that take steam', sides, 'count'),
        said('cylinders', n, 'count'),
        above(taken),
        given('and what condenses', missing, 'ratio', 'class default')
      )
    );
    return workedFrom(
      [density, left, taken, turn, line('uses', 'mass flow', times(above(turn), said('turns', turns, 'turns')))],
      'estimate',
      'While it turns. Blower, whistle, injector, drains and valves come on top.'
    );
  }
});
