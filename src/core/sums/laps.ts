import { group, number, quantity } from '../form';
import { above, given, line, minus, over, plus, roundedDown, times, workedFrom } from '../units';
import { sum } from './sum';
import { usualUse } from './demand';
import { said } from './words';

/** How many laps the water lasts. */
export const lapsLeft = sum({
  key: 'laps-left',
  name: 'Laps that are left',
  asks: 'How many laps are left in the water?',
  inputs: group('Laps and water', {
    length: quantity('Length of a lap', 'length', 5, 20_000),
    time: quantity('Time of a lap', 'time', 5, 36_000),
    uses: quantity('Water used', 'mass flow', 1e-6, 2),
    boiler: quantity('In the boiler over the lowest', 'volume', 0, 5),
    tank: quantity('In the tank', 'volume', 0, 20),
    reserve: number('Kept back, of all', 0, 0.9, 'A third is a habit that has saved many a plug.')
  }),
  usual: (engine) => ({
    length: 300,
    time: 150,
    uses: usualUse(engine),
    boiler: 0.1 * engine.plant.vessel.room,
    tank: engine.fitOut.tanks.reduce((all, t) => all + t.capacity, 0),
    reserve: 0.33
  }),
  work: ({ length, time, uses, boiler, tank, reserve }) => {
    const lap = said('length of a lap', length, 'length');
    const took = said('time of a lap', time, 'time');
    const back = said('kept back', reserve, 'ratio');
    const speed = line('speed', 'speed', over(lap, took));
    const each = line('water a lap', 'mass', times(said('water used', uses, 'mass flow'), took));
    const all = line('in all', 'volume', plus(said('in the tank', tank, 'volume'), said('in the boiler', boiler, 'volume')));
    const may = line(
      'may be used',
      'mass',
      times(minus(above(all), times(above(all), back)), given('weight of cold water', 1000, 'density', 'steam tables'))
    );
    const laps = line('laps left', 'count', roundedDown(over(above(may), above(each))));
    return workedFrom([speed, each, all, may, laps], 'estimate', 'No sum replaces looking at the glass and into the tank.');
  }
});
