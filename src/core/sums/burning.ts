import { fuels } from '../firing';
import { group, number, quantity } from '../form';
import { above, line, minus, over, plus, times, workedFrom } from '../units';
import { said } from './words';
import { usualUse } from './demand';
import { sum } from './sum';

/** As much heat of another fuel. */
export const equivalent = sum({
  key: 'fuel-equivalent',
  name: 'As much of another fuel',
  asks: 'How much wood is a bag of coal?',
  inputs: group('Two fuels', {
    mass: quantity('Of the one', 'mass', 0.001, 1e5),
    heat: quantity('Its heat', 'heat of fuel', 5e6, 6e7),
    other: quantity('Heat of the other', 'heat of fuel', 5e6, 6e7)
  }),
  usual: () => ({ mass: 10, heat: fuels['dry steam coal'].heat, other: fuels.wood.heat }),
  work: ({ mass, heat, other }) =>
    workedFrom(
      [
        line(
          'of the other',
          'mass',
          over(
            times(said('of the one', mass, 'mass'), said('its heat', heat, 'heat of fuel')),
            said('heat of the other', other, 'heat of fuel')
          )
        )
      ],
      'estimate',
      'By their heat alone: how well each burns on your grate is another matter.'
    )
});

/** How long what is left lasts. */
export const endurance = sum({
  key: 'endurance',
  name: 'How long the water lasts',
  asks: 'How long can I stay out?',
  inputs: group('What is left', {
    tank: quantity('In the tank', 'volume', 0, 20),
    boiler: quantity('In the boiler over the lowest', 'volume', 0, 5),
    uses: quantity('Used', 'flow', 1e-10, 1e-2),
    reserve: number('Kept back, of all', 0, 0.9, 'A third is a habit that has saved many a plug.')
  }),
  usual: (engine) => ({
    tank: engine.fitOut.tanks.reduce((a, t) => a + t.capacity, 0),
    boiler: 0.1 * engine.plant.vessel.room,
    uses: usualUse(engine) / 1000,
    reserve: 0.33
  }),
  work: ({ tank, boiler, uses, reserve }) => {
    const all = said('kept back', reserve, 'ratio');
    const both = line('in all', 'volume', plus(said('in the tank', tank, 'volume'), said('in the boiler', boiler, 'volume')));
    const may = line('may be used', 'volume', minus(above(both), times(above(both), all)));
    return workedFrom(
      [both, may, line('lasts', 'time', over(above(may), said('used', uses, 'flow')))],
      'estimate',
      'No sum replaces looking at the glass and into the tank.'
    );
  }
});
