import type { Plant } from '../boiler';
import type { FitOut } from '../engine';
import { gasHeat, tabletHeat } from '../firing';
import { saturationAtGauge } from '../steam';
import { above, type Gauge, given, line, minus, over, plus, times, type Worked, type WorkedStep } from '../units';
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
  const { water: kg, energy: warm } = heatUp(plant, { fill, power: by.power, efficiency: by.efficiency, start, ambient });
  const power = given('power', by.power, 'power', fire.with === 'gas' ? 'fit-out' : 'class default');
  const reaches = given('share that reaches the water', by.efficiency, 'share', 'class default');
  const heat = given('heat of the fuel', by.heat, 'heat of fuel', 'class default');
  const losses = given('losses at working pressure', plant.vessel.loss * (s.T - ambient), 'power', 'class default');
  const filled = given('water filled in', kg, 'mass', 'geometry');
  const boiling = given('heat of evaporation', s.hg - s.hf, 'heat of fuel', 'steam tables');
  const forSteam = line('left for steam', 'power', minus(times(power, reaches), losses));
  const net = forSteam.result.value;
  const raising = line(
    'fuel to working pressure',
    'mass',
    over(
      times(given('energy to working pressure', warm, 'energy', 'geometry'), power),
      times(minus(times(power, reaches), over(losses, given('half of them on the way', 2, 'count', 'class default'))), heat)
    )
  );
  const allowed = line(
    'may boil away',
    'mass',
    times(filled, minus(given('all of it', 1, 'share', 'rule of the club'), given('reserve', reserve, 'share', 'rule of the club')))
  );
  const time = line('runs', 'time', over(times(above(allowed), boiling), above(forSteam)));
  const largest = line('largest charge', 'mass', plus(above(raising), over(times(power, above(time)), heat)));
  const mayGo = allowed.result.value;
  const runs = net > 0 ? time.result.value : Infinity;
  const toRaise = raising.result.value;
  const most = largest.result.value;
  const steps: WorkedStep[] = [raising, allowed, forSteam, time, largest];
  // What follows from a time that never ends is not shown as if it were a figure.
  if (net <= 0) return refusal('The fire is weaker than what the boiler loses at working pressure: it never gets there.', [forSteam], 0);
  if (charge !== undefined && charge > most * 1.0001) {
    const outlasted = line(
      'would boil away',
      'mass',
      plus(
        above(allowed),
        over(times(minus(given('charge', charge, 'mass', 'measured'), above(largest)), heat, above(forSteam)), times(power, boiling))
      )
    );
    const boils = outlasted.result.value;
    steps.push(outlasted);
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
