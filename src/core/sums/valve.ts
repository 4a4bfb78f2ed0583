import { group, number, quantity } from '../form';
import { above, given, lesser, line, over, times, toThePower, workedFrom } from '../units';
import { absolute, half, plain, quarterPi, rule, said } from './words';
import { mostMade } from './demand';
import { sum } from './sum';

/** Napier's rule, 1 lb/s through a square inch for each 70 psi absolute, as a speed: flow through an area is pressure over it. */
const napier = () => rule('Napier’s rule, as a speed', 686.467, 'speed');
const tenth = () => given('and a tenth', 1.1, 'ratio', 'rule of the club');
const flux = (set: number) =>
  line('flow through an area', 'flow through an area', over(absolute(times(said('lifts at', set, 'pressure'), tenth())), napier()));

/** What a safety valve passes a tenth over its set pressure: Cd·A·G, A the lesser of the seat and the curtain under the lifted valve. */
export const valveDischarge = sum({
  key: 'valve-discharge',
  name: 'Steam that a safety valve passes',
  asks: 'What does this valve pass?',
  inputs: group('A safety valve', {
    set: quantity('Lifts at', 'pressure', 7e3, 2.1e6),
    seat: quantity('Bore of its seat', 'length', 0.001, 0.15),
    lift: quantity('Lift of the valve', 'length', 0.00005, 0.05),
    cd: number('Share that gets through, Cd', 0.1, 1, 'About 0.65 for a plain valve; lower where springs and guides stand in the way.')
  }),
  usual: ({ fitOut }) => ({ set: fitOut.safetyValves[0]!.set, seat: 0.006, lift: 0.0004, cd: 0.65 }),
  work: ({ set, seat, lift, cd }) => {
    const bore = said('bore', seat, 'length');
    const area = line(
      'open area',
      'area',
      lesser(times(quarterPi(), bore, bore), times(plain('circle round its middle', Math.PI), bore, said('lift', lift, 'length')))
    );
    const g = flux(set);
    return workedFrom(
      [area, g, line('passes', 'mass flow', times(said('share that gets through', cd, 'ratio'), above(area), above(g)))],
      'estimate',
      'Arithmetic from sizes. Only an accumulation test shows what a valve passes.'
    );
  }
});

/** The bore of a valve that passes a duty, its lift a share of the bore. */
export const valveBore = sum({
  key: 'valve-bore',
  name: 'Bore of a safety valve for a duty',
  asks: 'Is the valve big enough for the new burner?',
  inputs: group('What it must pass', {
    duty: quantity('Steam to pass', 'mass flow', 1e-5, 3),
    set: quantity('Lifts at', 'pressure', 7e3, 2.1e6),
    share: number('Lift, as a part of the bore', 0.01, 0.25, 'Plain spring valves lift a twentieth of their bore or so.'),
    cd: number('Share that gets through, Cd', 0.1, 1)
  }),
  usual: (engine) => ({ duty: mostMade(engine).most.value, set: engine.fitOut.safetyValves[0]!.set, share: 0.05, cd: 0.65 }),
  work: ({ duty, set, share, cd }) => {
    const g = flux(set);
    const area = line(
      'open area needed',
      'area',
      over(said('steam to pass', duty, 'mass flow'), times(said('share that gets through', cd, 'ratio'), above(g)))
    );
    return workedFrom(
      [
        g,
        area,
        line(
          'bore',
          'length',
          toThePower(over(above(area), times(plain('circle round its middle', Math.PI), said('lift, of the bore', share, 'ratio'))), half())
        )
      ],
      'estimate',
      'At working pressure a plain valve is not flat out; what your club’s code asks of a valve comes first.'
    );
  }
});
