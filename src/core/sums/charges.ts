import { chargesFor, dayInputs, fillings, runningOf, usualDay } from './day';
import { isTimed } from './stop-terms';
import { above, given, greater, line, over, roundedUp, times, workedFrom } from '../units';
import { sum } from './sum';

/** Tablets, spirit or gel for a day: what is charged for each run; where it can be fed, as many charges as the running takes. */
export const charges = sum({
  key: 'fuel',
  name: 'Spirit, gel or tablets for the day',
  when: ({ plant }) => plant.fire.with === 'spirit',
  said: ({ fitOut: { fire } }) => (fire.with === 'spirit' && fire.fuel === 'tablets' ? 'Fuel tablets' : 'Spirit or gel, measured'),
  inputs: dayInputs,
  usual: usualDay,
  work: (day, engine) => {
    const { fire } = engine.plant;
    if (fire.with !== 'spirit') throw new Error('asked only where it burns charges');
    if (isTimed(engine.fitOut)) return chargesFor(day, engine);
    const burning = line(
      'charges',
      'count',
      greater(fillings(day, engine), roundedUp(over(runningOf(day), given('a charge burns', fire.burns, 'time', 'fit-out'))))
    );
    return workedFrom(
      [burning, line('for the day', 'mass', times(above(burning), given('one charge', fire.charge / fire.heat, 'mass', 'fit-out')))],
      'estimate'
    );
  }
});
