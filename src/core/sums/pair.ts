import type { FitOut } from '../engine';
import { gasHeat } from '../firing';
import { group, type Infer, maybe, number, quantity } from '../form';
import { saturationAtGauge } from '../steam';
import {
  above,
  type Gauge,
  given,
  lesser,
  line,
  minus,
  over,
  plus,
  Refusal,
  times,
  type Worked,
  workedFrom,
  type WorkedStep
} from '../units';
import { heatUp } from './heat-up';
import { fillOf, startingSum } from './start';
import { conditions, type Given, sum, usualConditions } from './sum';

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

const inputs = group('Fuel and water that end together', {
  fill: quantity('Water filled in', 'volume', 1e-6, 5),
  charge: maybe(quantity('Fuel that is meant to be used', 'mass', 0.0001, 500)),
  reserve: number('Share of the water that must be left', 0.05, 0.9),
  ...conditions
});

/** Whether an engine needs a pair: nothing can be fed while there is pressure, and its fire is not switched off by its own thermostat. */
export const needsPair = (f: FitOut): boolean => !f.feeds.some((x) => x.plumbed && x.kind !== 'bottle') && f.fire.with !== 'electric';

/**
 * The pair of an engine for what was filled in.
 * @param asked m³ filled in, kg of fuel meant to be used (the largest that may be when null), share left over, K of water and air
 */
export function fuelAndWater({ fill, charge, reserve, water, air }: Infer<typeof inputs>, { fitOut, plant }: Given): Pair {
  const { fire } = plant;
  const by =
    fire.with === 'gas'
      ? { heat: gasHeat, power: fire.power, from: 'fit-out' as const }
      : fire.with === 'spirit'
        ? {
            heat: fire.heat,
            power: fire.charge / fire.burns,
            from: fitOut.fire.with === 'spirit' && fitOut.fire.heat !== null ? ('fit-out' as const) : ('class default' as const)
          }
        : undefined;
  if (!by || !('efficiency' in fire))
    return refusal(
      'There is no feed that works under pressure, and a fire of this kind is not measured out in charges: the water goes and the fire stays. It needs a feed that is plumbed in before it is lit.',
      []
    );
  const s = saturationAtGauge(fitOut.workingPressure as Gauge);
  const up = heatUp(plant, { fill, water, air, power: by.power, from: by.from, efficiency: fire.efficiency });
  const heat = given('heat of the fuel', by.heat, 'heat of fuel', 'class default');
  const boiling = given('heat of evaporation', s.hg - s.hf, 'heat of fuel', 'steam tables');
  const raising = line('fuel to working pressure', 'mass', over(times(above(up.energy), up.power), times(up.kept, heat)));
  const allowed = line(
    'may boil away',
    'mass',
    times(
      above(up.water),
      minus(given('all of it', 1, 'share', 'rule of the club'), given('reserve', reserve, 'share', 'rule of the club'))
    )
  );
  const time = line('runs', 'time', over(times(above(allowed), boiling), above(up.forSteam)));
  const largest = line('largest charge', 'mass', plus(above(raising), over(times(up.power, above(time)), heat)));
  const most = largest.result.value;
  const steps: readonly WorkedStep[] = [...up.lines, raising, allowed, up.forSteam, time, largest];
  // What follows from a time that never ends is not shown as if it were a figure.
  if (up.weak) return refusal(up.weak, [...up.lines, up.forSteam]);
  const meant = charge === null ? undefined : given('charge', charge, 'mass', 'given');
  if (meant && meant.value > most * 1.0001) {
    const outlasted = line(
      'would boil away',
      'mass',
      plus(above(allowed), over(times(minus(meant, above(largest)), heat, above(up.forSteam)), times(up.power, boiling)))
    );
    return refusal(
      `The fuel outlasts the water: {mass:${meant.value}} of fuel would boil away {mass:${outlasted.result.value}} of the {mass:${up.water.result.value}} that is in, and only {mass:${allowed.result.value}} may go. At most {mass:${most}} of fuel.`,
      [...steps, outlasted]
    );
  }
  const toRaise = raising.result.value;
  const least = fitOut.fire.with === 'spirit' && fitOut.fire.fuel === 'tablets' ? Math.max(tablet, toRaise) : toRaise;
  if (most < least || time.result.value < 60)
    return refusal(
      `There is no charge that does: {mass:${least}} of fuel is the least that brings it to steam, and with {mass:${up.water.result.value}} of water no more than {mass:${most}} burns out with the reserve left. Fill more, or use a smaller burner.`,
      steps
    );
  const used = meant ? [line('fuel to be used', 'mass', lesser(meant, above(largest)))] : [];
  return {
    charge: workedFrom(
      [...steps, ...used],
      'estimate',
      'Class figures until this engine’s own burner has been timed. Adding fuel needs water first, and a burner changed needs a new pair.'
    ),
    runs: meant ? (Math.max(0, meant.value - toRaise) * by.heat) / by.power : time.result.value
  };
}

const refusal = (refused: string, steps: readonly WorkedStep[]): Pair => ({
  refused,
  worked: steps.length ? workedFrom(steps, 'estimate') : { value: 0, kind: 'mass', sure: 'estimate', steps }
});

/** What an engine would be asked first: its own fill, a third left. */
export const usualPair = (given: Given): Infer<typeof inputs> => ({
  fill: fillOf(startingSum(given), given.plant),
  charge: null,
  reserve: usualReserve,
  ...usualConditions
});

export const pair = sum({
  key: 'pair',
  name: 'Largest charge that ends before the water',
  asks: 'How much fuel may I fill in?',
  when: ({ fitOut }) => needsPair(fitOut),
  inputs,
  usual: usualPair,
  work: (asked, given) => {
    const found = fuelAndWater(asked, given);
    if ('refused' in found) throw new Refusal('charge', found.refused);
    return found.charge;
  }
});
