import { energyOf, type Plant } from '../boiler';
import { saturationAtGauge, waterVolume } from '../steam';
import type { Gauge } from '../units';

/** What it takes to bring a filling to working pressure: energy of water and metal, J, and s at a steady power. */
export interface HeatUp {
  /** kg filled in */ readonly water: number;
  readonly energy: number;
  readonly seconds: number;
}

/**
 * @param fill m³ of cold water @param power W of the burner @param efficiency share of it that reaches the water
 * @param start and @param ambient K
 */
export function heatUp(
  plant: Plant,
  {
    fill,
    power,
    efficiency,
    start = 288.15,
    ambient = 288.15
  }: { fill: number; power: number; efficiency: number; start?: number; ambient?: number }
): HeatUp {
  const water = fill / waterVolume(start);
  const at = (T: number) => energyOf(plant.vessel, { water, air: 0, energy: 0, T, p: 0, liquid: 0, steam: 0, liquidVolume: 0, space: 0 });
  const { T } = saturationAtGauge(plant.workingPressure as Gauge);
  const energy = at(T) - at(start);
  // Lost on the way: half of what is lost at the end of it.
  return { water, energy, seconds: energy / Math.max(1, power * efficiency - (plant.vessel.loss * (T - ambient)) / 2) };
}
