import { energyOf, type Plant } from '../boiler';
import { saturationAtGauge, waterVolume } from '../steam';
import { above, asked, type Gauge, given, greater, line, minus, over, type Source, times, type WorkedStep } from '../units';

/** A filling and the burner under it. */
export interface Filling {
  /** m³ of cold water */ readonly fill: number;
  /** of it, K */ readonly water: number;
  /** K */ readonly air: number;
  /** W */ readonly power: number;
  /** Where that is from. */ readonly from: Source;
  /** Share of it that reaches the water. */ readonly efficiency: number;
}

/** Energy of water and metal at a temperature, J. @param water kg */
export const energyWith = ({ vessel }: Plant, water: number, T: number): number =>
  energyOf(vessel, { water, air: 0, energy: 0, T, p: 0, liquid: 0, steam: 0, liquidVolume: 0, space: 0 });

/** What bringing a filling to working pressure takes, whatever heats it, and what it then loses: the lines of its water, energy and losses. */
export function filledUp(plant: Plant, { fill, water: start, air }: Pick<Filling, 'fill' | 'water' | 'air'>) {
  const { T } = saturationAtGauge(plant.workingPressure as Gauge);
  const water = line(
    'water filled in',
    'mass',
    over(given('fill', fill, 'volume', 'given'), given('room of a kilogram of cold water', waterVolume(start), 'volume', 'steam tables'))
  );
  const kg = water.result.value;
  const energy = asked(
    'energy to working pressure',
    'energy',
    'what that water and the metal hold at working pressure, less what they hold cold',
    energyWith(plant, kg, T) - energyWith(plant, kg, start),
    [
      above(water),
      given('cold water', start, 'temperature', 'given'),
      given('working pressure', plant.workingPressure, 'pressure', 'fit-out')
    ]
  );
  const losses = line(
    'losses at working pressure',
    'power',
    times(
      given('lost for each kelvin', plant.vessel.loss, 'loss', 'class default'),
      minus(given('boiling', T, 'temperature', 'steam tables'), given('air', air, 'temperature', 'given'))
    )
  );
  const lines: readonly WorkedStep[] = [water, energy, losses];
  return { lines, water, energy, losses };
}

/** The numbers that bringing a filling to working pressure with a burner stands on: besides its lines the time, and what is left for steam. */
export function heatUp(plant: Plant, filling: Filling) {
  const { power, from, efficiency } = filling;
  const { lines, water, energy, losses } = filledUp(plant, filling);
  const heat = {
    power: given('power', power, 'power', from),
    reaches: given('share that reaches the water', efficiency, 'share', 'class default')
  };
  // Lost on the way: half of what is lost at the end of it.
  const onTheWay = times(above(losses), given('the half lost on the way', 0.5, 'share', 'class default'));
  const kept = minus(times(heat.power, heat.reaches), onTheWay);
  const time = line('time of one raise', 'time', over(above(energy), greater(kept, given('a watt', 1, 'power', 'class default'))));
  const forSteam = line('left for steam', 'power', minus(times(heat.power, heat.reaches), above(losses)));
  /** What is said when there is no raise to work out. */
  const weak =
    forSteam.result.value <= 0 ? 'The fire is weaker than what the boiler loses at working pressure: it never gets there.' : undefined;
  return { lines, water, energy, losses, time, kept, forSteam, weak, ...heat };
}
