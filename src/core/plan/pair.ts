import type { Plant } from '../boiler';
import type { FitOut } from '../engine';
import { gasHeat, tabletHeat } from '../firing';
import { saturationAtGauge } from '../steam';
import type { Gauge, Worked, WorkedStep } from '../units';
import { heatUp } from './heat-up';

/**
 * Fuel and water that must end together: on an engine that cannot be fed under pressure the fuel must burn out while there
 * is still water, with a reserve. Either the largest charge that does, or why there is none; with its arithmetic both ways.
 */
export type Pair =
  | { readonly charge: Worked; /** s of running after working pressure */ readonly runs: number }
  | { readonly refused: string; readonly worked: Worked };

/** What of the water must be left when the fire is out: a third, until the owner says otherwise. */
export const usualReserve = 1 / 3;

/** Weight of one tablet, kg: fuel that cannot be divided. */
const tablet = 0.004;

/** Whether an engine needs a pair: nothing can be fed while there is pressure, and its fire is not switched off by its own thermostat. */
export const needsPair = (f: FitOut): boolean => !f.feeds.some((x) => x.plumbed && x.kind !== 'bottle') && f.fire.with !== 'electric';

/**
 * @param fill m³ of cold water @param charge kg of fuel that is meant to be used; the largest that may be when left out
 * @param start K
 */
export function fuelAndWater(
  fitOut: FitOut,
  plant: Plant,
  {
    fill,
    charge,
    reserve = usualReserve,
    start = 288.15,
    ambient = 288.15
  }: { fill: number; charge?: number; reserve?: number; start?: number; ambient?: number }
): Pair {
  const { fire } = plant;
  const by =
    fire.with === 'gas'
      ? { heat: gasHeat, efficiency: fire.efficiency, power: fire.power }
      : fire.with === 'spirit'
        ? { heat: tabletHeat, efficiency: fire.efficiency, power: fire.charge / fire.burns }
        : undefined;
  if (!by)
    return refusal(
      'There is no feed that works under pressure, and a fire of this kind is not measured out in charges: the water goes and the fire stays. It needs a feed that is plumbed in before it is lit.',
      [],
      0
    );
  const s = saturationAtGauge(fitOut.workingPressure as Gauge);
  const { water: kg, energy: warm, seconds: raises } = heatUp(plant, { fill, power: by.power, efficiency: by.efficiency, start, ambient });
  const net = by.power * by.efficiency - plant.vessel.loss * (s.T - ambient);
  const mayGo = kg * (1 - reserve);
  const runs = net > 0 ? (mayGo * (s.hg - s.hf)) / net : Infinity;
  const toRaise = (by.power * raises) / by.heat;
  const most = toRaise + (by.power * runs) / by.heat;
  const i = (name: string, value: number, kind: WorkedStep['inputs'][number]['kind'], from: WorkedStep['inputs'][number]['from']) => ({
    name,
    value,
    kind,
    from
  });
  const steps: WorkedStep[] = [
    {
      formula:
        'fuel to working pressure = energy of water and metal ÷ (power × share that reaches the water − losses) × power ÷ heat of the fuel',
      inputs: [
        i('water filled in', kg, 'mass', 'measured'),
        i('energy to working pressure', warm, 'energy', 'geometry'),
        i('power', by.power, 'power', fire.with === 'gas' ? 'fit-out' : 'class default'),
        i('share that reaches the water', by.efficiency * 100, 'percent', 'class default'),
        i('megajoules in a kilogram', by.heat / 1e6, 'count', 'class default')
      ],
      result: { name: 'fuel to working pressure', value: toRaise, kind: 'mass' }
    },
    {
      formula: 'water that may boil away = what was filled × (1 − reserve)',
      inputs: [i('reserve', reserve * 100, 'percent', 'rule of the club')],
      result: { name: 'may boil away', value: mayGo, kind: 'mass' }
    },
    {
      formula: 'time until it has = that × heat of evaporation ÷ (heat to the water − losses)',
      inputs: [
        i('kilojoules to boil a kilogram', (s.hg - s.hf) / 1000, 'count', 'steam tables'),
        i('heat to the water, less losses', net, 'power', 'class default')
      ],
      result: { name: 'runs', value: runs, kind: 'time' }
    },
    {
      formula: 'largest charge = fuel to working pressure + power × that time ÷ heat of the fuel',
      inputs: [],
      result: { name: 'largest charge', value: most, kind: 'mass' }
    }
  ];
  // What follows from a time that never ends is not shown as if it were a figure.
  if (net <= 0)
    return refusal(
      'The fire is weaker than what the boiler loses at working pressure: it never gets there.',
      [
        {
          formula: 'heat left for steam = power × share that reaches the water − losses at working pressure',
          inputs: [
            i('power', by.power, 'power', fire.with === 'gas' ? 'fit-out' : 'class default'),
            i('share that reaches the water', by.efficiency * 100, 'percent', 'class default'),
            i('losses', plant.vessel.loss * (s.T - ambient), 'power', 'class default')
          ],
          result: { name: 'left for steam', value: net, kind: 'power' }
        }
      ],
      0
    );
  if (charge !== undefined && charge > most * 1.0001) {
    const boils = mayGo + ((charge - most) * by.heat * net) / by.power / (s.hg - s.hf);
    steps.push({
      formula:
        'water that the charge would boil away = what may + (charge − largest charge) × heat of the fuel × share left for steam ÷ heat of evaporation',
      inputs: [i('charge', charge, 'mass', 'measured')],
      result: { name: 'would boil away', value: boils, kind: 'mass' }
    });
    return refusal(
      `The fuel outlasts the water: {mass:${charge}} of fuel would boil away {mass:${boils}} of the {mass:${kg}} that is in, and only {mass:${mayGo}} may go. At most {mass:${most}} of fuel.`,
      steps,
      most
    );
  }
  const least = fitOut.fire.with === 'spirit' && fitOut.fire.fuel === 'tablets' ? Math.max(tablet, toRaise) : toRaise;
  if (most < least || runs < 60)
    return refusal(
      `There is no charge that does: {mass:${least}} of fuel is the least that brings it to steam, and with {mass:${kg}} of water no more than {mass:${most}} burns out with the reserve left. Fill more, or use a smaller burner.`,
      steps,
      most
    );
  const gives = charge === undefined ? runs : (Math.max(0, charge - toRaise) * by.heat) / by.power;
  return {
    charge: {
      value: charge ?? most,
      kind: 'mass',
      sure: 'estimate',
      steps,
      caution:
        'Class figures until this engine’s own burner has been timed. Adding fuel needs water first, and a burner changed needs a new pair.'
    },
    runs: gives
  };
}

const refusal = (refused: string, steps: readonly WorkedStep[], value: number): Pair => ({
  refused,
  worked: { value, kind: 'mass', sure: 'estimate', steps }
});
