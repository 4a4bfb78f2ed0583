import { energyOf, feedEnthalpy, type Plant } from '../boiler';
import { boilingAt } from '../steam';
import { given, line, minus, over, Refusal, standardAtmosphere, type Worked } from '../units';
import { energyAt, energyTable, needleAt, temperatureAt } from './energy';

/** What a slug of cold water will cost. */
export interface Dip {
  /** Pressure at the gauge just after, Pa; 0 when it falls off the gauge. */
  readonly after: number;
  /** s until the fire has brought it back; Infinity when it does not. */
  readonly recovers: number;
  readonly worked: Worked;
}

/**
 * Energy before, and the slug's own, shared by all the water and the metal: exact balance, no heat from the fire meanwhile.
 * @param water kg in the boiler @param gauge Pa @param kg fed @param feedAt K @param heat of the fire, W
 * @throws Refusal when more is fed than there is room for, or nothing
 */
export function dip(
  plant: Plant,
  {
    water,
    gauge,
    kg,
    feedAt,
    heat,
    ambient = 288.15
  }: { water: number; gauge: number; kg: number; feedAt: number; heat: number; ambient?: number }
): Dip {
  if (!(kg > 0)) throw new Refusal('kg', 'Say how much is fed, in kilograms or litres.');
  // Hot water weighs about 900 kg/m³.
  if ((water + kg) / 900 > plant.vessel.room) throw new Refusal('kg', 'There is no room in the boiler for that much.');
  const T = boilingAt(gauge + standardAtmosphere);
  const c = { water, air: 0, energy: 0, T, p: 0, liquid: 0, steam: 0, liquidVolume: 0, space: 0 };
  const before = energyOf(plant.vessel, c);
  const table = energyTable(plant.vessel, water + kg);
  const after = before + kg * feedEnthalpy(feedAt);
  const cold = temperatureAt(table, after);
  const pressure = needleAt(table, 0, cold, standardAtmosphere);
  const missing = energyAt(table, T) - after;
  const fire = given('heat of the fire', heat, 'power', 'learned');
  const lost = given('losses meanwhile', plant.vessel.loss * ((T + cold) / 2 - ambient), 'power', 'class default');
  const back = line('comes back in', 'time', over(given('energy that is missing', missing, 'energy', 'geometry'), minus(fire, lost)));
  // A fire that only makes up the losses never brings it back: then there is no such line.
  const recovers = fire.value > lost.value ? back.result.value : Infinity;
  return {
    after: pressure,
    recovers,
    worked: {
      value: pressure,
      kind: 'pressure',
      sure: 'estimate',
      steps: [
        {
          formula: 'temperature at which water, slug and metal share the energy they had',
          inputs: [
            { name: 'water in the boiler', value: water, kind: 'mass', from: 'measured' },
            { name: 'pressure before', value: gauge, kind: 'pressure', from: 'measured' },
            { name: 'fed', value: kg, kind: 'mass', from: 'measured' },
            { name: 'feed water', value: feedAt, kind: 'temperature', from: 'measured' },
            { name: 'heat held by the metal, per kelvin', value: plant.vessel.metal, kind: 'heat capacity', from: 'fit-out' }
          ],
          result: { name: 'just after', value: cold, kind: 'temperature' }
        },
        ...(recovers < Infinity ? [back] : []),
        {
          formula: 'pressure of steam at that temperature (IAPWS-IF97)',
          inputs: [{ name: 'just after', value: cold, kind: 'temperature', from: 'above' }],
          result: { name: 'pressure just after', value: pressure, kind: 'pressure' }
        }
      ]
    }
  };
}
