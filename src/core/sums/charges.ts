import { above, given, greater, line, over, plus, roundedUp, times, workedFrom } from '../units';
import { dayInputs, fillings, runningOf, usualDay } from './day';
import { heatUp } from './heat-up';
import { sum } from './sum';

/** Tablets, spirit or gel for a day: a charge for each filling at the least, and as many as its raises and its running take. */
export const charges = sum({
  key: 'fuel',
  name: 'Spirit, gel or tablets for the day',
  when: ({ plant }) => plant.fire.with === 'spirit',
  said: ({ fitOut: { fire } }) => (fire.with === 'spirit' && fire.fuel === 'tablets' ? 'Fuel tablets' : 'Spirit or gel, measured'),
  inputs: dayInputs,
  usual: usualDay,
  work: (day, engine) => {
    const { fire } = engine.plant;
    const said = engine.fitOut.fire;
    if (fire.with !== 'spirit' || said.with !== 'spirit') throw new Error('asked only where it burns charges');
    const known = said.heat === null ? 'class default' : 'fit-out';
    const power = fire.charge / fire.burns;
    const up = heatUp(engine.plant, {
      ...day,
      power,
      from: known,
      efficiency: fire.efficiency
    });
    const { lines, count } = fillings(day, engine);
    const charges = line(
      'charges',
      'count',
      greater(
        count,
        roundedUp(
          over(
            plus(times(count, above(up.time)), runningOf(day)),
            given('a charge burns', fire.burns, 'time', said.burns === null ? 'class default' : 'fit-out')
          )
        )
      )
    );
    return workedFrom(
      [
        ...lines,
        ...up.lines,
        up.time,
        charges,
        line(
          'for the day',
          'mass',
          over(
            times(above(charges), given('heat of a charge', fire.charge, 'energy', known)),
            given('heat of the fuel', fire.heat, 'heat of fuel', 'class default')
          )
        )
      ],
      'estimate',
      up.weak
    );
  }
});
