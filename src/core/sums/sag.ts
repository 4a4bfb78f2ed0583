import { waterAtGlass } from '../boiler';
import { group, type Infer, quantity } from '../form';
import { boilingAt, waterVolume } from '../steam';
import { above, asked, given, line, minus, over, plus, Refusal, times, workedFrom } from '../units';
import { energyWith } from './heat-up';
import { conditions, sum } from './sum';

/** What an electric boiler's needle tells by falling while its element is on: more steam is asked for than the element makes. */

const inputs = group('A needle that falls with the element on', {
  water: quantity('Water in the boiler', 'mass', 0.001, 5000),
  before: quantity('Pressure before', 'pressure', 0, 2e6),
  after: quantity('Pressure after', 'pressure', 0, 2e6),
  between: quantity('Time between', 'time', 10, 3600),
  air: conditions.air
});

/**
 * Power that the engine and its leaks ask for, W: what the element gives, and what water and metal gave back by cooling, less what is lost.
 * @throws Refusal where there is no element, or the needle did not fall
 */
export const sag = sum({
  key: 'sag',
  name: 'What it asks for while it sags',
  asks: 'How much more does it ask for than the element gives?',
  when: ({ fitOut }) => fitOut.fire.with === 'electric',
  inputs,
  usual: ({ fitOut, plant }): Infer<typeof inputs> => {
    const T = boilingAt(0.9 * fitOut.workingPressure + plant.atmosphere);
    const stands = plant.vessel.glass ? waterAtGlass(plant.vessel, fitOut.levels.wanted, T) : plant.vessel.room * 0.6;
    return {
      water: stands / waterVolume(T),
      before: 0.9 * fitOut.workingPressure,
      after: 0.75 * fitOut.workingPressure,
      between: 180,
      air: 288.15
    };
  },
  work: ({ water, before, after, between, air }, { plant }) => {
    if (plant.fire.with !== 'electric') throw new Refusal('water', 'There is no element on this engine.');
    if (!(after < before)) throw new Refusal('after', 'It did not fall: give a pressure under the one before.');
    const boils = (name: string, gauge: number) =>
      asked(
        `boiling ${name}`,
        'temperature',
        'boiling temperature at that pressure over the atmosphere (IAPWS-IF97)',
        boilingAt(gauge + plant.atmosphere),
        [
          given(`pressure ${name}`, gauge, 'pressure', 'given'),
          given('atmosphere, by the altitude', plant.atmosphere, 'pressure', 'fit-out')
        ]
      );
    const [high, low] = [boils('before', before), boils('after', after)];
    const gave = asked(
      'given back by water and metal',
      'energy',
      'what they held before, less what they hold after',
      energyWith(plant, water, high.result.value) - energyWith(plant, water, low.result.value),
      [given('water in the boiler', water, 'mass', 'given'), above(high), above(low)]
    );
    const losses = line(
      'losses',
      'power',
      times(
        given('lost for each kelvin', plant.vessel.loss, 'loss', 'class default'),
        minus(over(plus(above(high), above(low)), given('two of them', 2, 'count', 'geometry')), given('air', air, 'temperature', 'given'))
      )
    );
    const element = given('power of the element', plant.fire.power, 'power', 'fit-out');
    const makes = line('the element makes of steam', 'power', minus(element, above(losses)));
    const asks = line(
      'asked for as steam',
      'power',
      plus(above(makes), over(above(gave), given('time between', between, 'time', 'given')))
    );
    return workedFrom([high, low, gave, losses, makes, asks], 'estimate', 'What is over goes out of what it has stored, and so it falls.');
  }
});
