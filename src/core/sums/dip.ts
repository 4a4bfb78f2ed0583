import { energyAt, energyOf, energyTable, feedEnthalpy, needleAt, temperatureAt, waterAtGlass } from '../boiler';
import { group, type Infer, quantity } from '../form';
import { boilingAt, waterVolume } from '../steam';
import { above, asked, given, line, minus, over, plus, Refusal, times, type Worked, workedFrom } from '../units';
import { canBeFed } from './stop-terms';
import { conditions, type Given, sum } from './sum';

/** What a slug of cold water will cost. */
export interface Dip {
  /** Pressure at the gauge just after, Pa; 0 when it falls off the gauge. */
  readonly after: number;
  /** s until the fire has brought it back; Infinity when it does not. */
  readonly recovers: number;
  readonly worked: Worked;
}

const inputs = group('A slug of cold water', {
  water: quantity('Water in the boiler', 'mass', 0.001, 5000),
  gauge: quantity('Pressure before', 'pressure', 0, 2e6),
  fed: quantity('Fed', 'mass', 0.001, 1000),
  feedAt: quantity('Feed water', 'temperature', 273.16, 373.15),
  heat: quantity('Heat of the fire that reaches the water', 'power', 0, 5e6),
  air: conditions.air
});

/**
 * Energy before, and the slug's own, shared by all the water and the metal: exact balance, no heat from the fire meanwhile.
 * @throws Refusal when more is fed than there is room for, or nothing
 */
export function dip({ water, gauge, fed, feedAt, heat, air }: Infer<typeof inputs>, { plant }: Pick<Given, 'plant'>): Dip {
  if (!(fed > 0)) throw new Refusal('fed', 'Say how much is fed, in kilograms or litres.');
  // Hot water weighs about 900 kg/m³.
  if ((water + fed) / 900 > plant.vessel.room) throw new Refusal('fed', 'There is no room in the boiler for that much.');
  const T = boilingAt(gauge + plant.atmosphere);
  const before = energyOf(plant.vessel, { water, air: 0, energy: 0, T, p: 0, liquid: 0, steam: 0, liquidVolume: 0, space: 0 });
  const table = energyTable(plant.vessel, water + fed);
  const after = before + fed * feedEnthalpy(feedAt);
  const cold = temperatureAt(table, after);
  const told = [
    given('water in the boiler', water, 'mass', 'given'),
    given('pressure before', gauge, 'pressure', 'given'),
    given('fed', fed, 'mass', 'given'),
    given('feed water', feedAt, 'temperature', 'given')
  ];
  const shared = asked('just after', 'temperature', 'temperature at which water, slug and metal share the energy they had', cold, [
    ...told,
    given('heat held by the metal, per kelvin', plant.vessel.metal, 'heat capacity', 'fit-out')
  ]);
  const boiling = asked('boiling before', 'temperature', 'boiling temperature at that pressure (IAPWS-IF97)', T, [told[1]!]);
  const missing = asked(
    'energy that is missing',
    'energy',
    'what they would hold at the temperature before, less what they have',
    energyAt(table, T) - after,
    told
  );
  const losses = line(
    'losses meanwhile',
    'power',
    times(
      given('lost for each kelvin', plant.vessel.loss, 'loss', 'class default'),
      minus(
        over(plus(above(boiling), above(shared)), given('two of them', 2, 'count', 'geometry')),
        given('air', air, 'temperature', 'given')
      )
    )
  );
  const fire = given('heat of the fire', heat, 'power', 'given');
  const back = line('comes back in', 'time', over(above(missing), minus(fire, above(losses))));
  // A fire that only makes up the losses never brings it back: then there is no such line.
  const recovers = fire.value > losses.result.value ? back.result.value : Infinity;
  const pressure = asked(
    'pressure just after',
    'pressure',
    'pressure of steam at that temperature (IAPWS-IF97)',
    needleAt(table, 0, cold, plant.atmosphere),
    [above(shared)]
  );
  return {
    after: pressure.result.value,
    recovers,
    worked: workedFrom([shared, ...(recovers < Infinity ? [boiling, missing, losses, back] : []), pressure], 'estimate')
  };
}

export const slug = sum({
  key: 'slug',
  name: 'Pressure after a slug of cold water',
  asks: 'What will a slug of cold water cost?',
  when: ({ fitOut }) => canBeFed(fitOut),
  inputs,
  usual: ({ fitOut, plant }) => {
    const { vessel } = plant;
    const T = boilingAt(0.8 * fitOut.workingPressure + plant.atmosphere);
    const stands = vessel.glass ? waterAtGlass(vessel, 0.5, T) : vessel.room * 0.6;
    const water = stands / waterVolume(T);
    return {
      water,
      gauge: 0.8 * fitOut.workingPressure,
      fed: 0.05 * water,
      feedAt: 288.15,
      heat: 1.2 * plant.ratedSteam * 2.1e6,
      air: 288.15
    };
  },
  work: (said, engine) => dip(said, engine).worked
});
