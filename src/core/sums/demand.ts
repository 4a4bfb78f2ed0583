import type { FitOut } from '../engine';
import { choice } from '../form';
import { saturationAtGauge } from '../steam';
import { above, asked, type Gauge, given, lesser, line, minus, over, plus, times, type WorkedInput, type WorkedStep } from '../units';
import { duties, type Duty, usualDuty } from './duties';
import type { Given } from './sum';
import { plain, quarterPi, rule } from './words';

export const dutyField = choice('Work of the day', {
  light: 'light: moving four tenths of the time, easy',
  passengers: 'passengers: moving two thirds of the time',
  hard: 'hard: moving nearly all the time, well open'
});

/** Turns a second at an ordinary pace, by what it is: small wheels turn fast. */
export function usualTurns({ kind, size }: Pick<FitOut, 'kind' | 'size'>): number {
  if (kind === 'road engine' || kind === 'portable') return (size === 'full' ? 120 : 150) / 60;
  if (kind === 'tank locomotive' || kind === 'tender locomotive') return (size === 'full' ? 120 : 250) / 60;
  return (size === 'full' ? 100 : size === 'medium' ? 150 : 250) / 60;
}

export interface Demand {
  readonly lines: readonly WorkedStep[];
  /** While it moves, and over the hour, kg/s. */
  readonly moving: WorkedInput;
  readonly hour: WorkedInput;
}

/** The most that a fire makes: of one drawn by the exhaust, as much as its grate can; of one that is set, what it is set to. */
export function mostMade({ fitOut: f, plant }: Pick<Given, 'fitOut' | 'plant'>): {
  readonly lines: readonly WorkedStep[];
  readonly most: WorkedInput;
} {
  if (f.fire.with !== 'solid') return { lines: [], most: given('steam the fire makes', plant.ratedSteam, 'mass flow', 'class default') };
  const s = saturationAtGauge(f.workingPressure as Gauge);
  const most = line(
    'most that its fire makes, drawn hard',
    'mass flow',
    over(
      times(
        given('length of the grate', f.fire.grateLength, 'length', 'fit-out'),
        given('width of the grate', f.fire.grateWidth, 'length', 'fit-out'),
        rule('reaches the water from a grate drawn hard', 5e5, 'heat on an area')
      ),
      given('heat of evaporation', s.hg - s.hf, 'heat of fuel', 'steam tables')
    )
  );
  return { lines: [most], most: above(most) };
}

/**
 * THE use of steam: from the cylinders and the day's duty. Quantities, tank, water, fuel and the forecast of the water read this and
 * nothing else. Displacement to cut-off and clearance, less what the clearance holds of the last stroke, × 1.6 for what condenses on the
 * way; by the turns; by the share of the hour in which it moves. Once days were counted by glass and feeds, it is held against them.
 */
export function demandOf(engine: Pick<Given, 'fitOut' | 'plant' | 'used'>, duty: Duty = usualDuty): Demand {
  const { fitOut: f } = engine;
  const { cylinders: c } = f;
  const d = duties[duty];
  const from = `a day’s work: ${duty}`;
  const bore = given('bore', c.bore, 'length', 'fit-out');
  const [cutOff, clearance] = [rule(`cut-off, ${from}`, d.cutOff, 'ratio'), rule('clearance', 0.08, 'ratio')];
  const chest = line(
    'pressure in the chest',
    'pressure',
    times(given('working pressure', f.workingPressure, 'pressure', 'fit-out'), rule(`of it in the chest, ${from}`, d.chest, 'ratio'))
  );
  const weight = (name: string, gauge: number, of: WorkedInput) =>
    asked(name, 'density', 'weight of a volume of steam at that pressure (IAPWS-IF97)', 1 / saturationAtGauge(gauge as Gauge).vg, [of]);
  const fresh = weight('weight of the steam', chest.result.value, above(chest));
  const back = rule('back pressure', 1e4, 'pressure');
  const left = weight('weight of what is left', back.value, back);
  const taken = line('let in', 'density', minus(times(above(fresh), plus(cutOff, clearance)), times(above(left), clearance)));
  const turn = line(
    'a turn',
    'mass',
    times(
      quarterPi(),
      bore,
      bore,
      given('stroke', c.stroke, 'length', 'fit-out'),
      given('sides that take steam', c.doubleActing ? 2 : 1, 'count', 'fit-out'),
      given('cylinders', c.count, 'count', 'fit-out'),
      above(taken),
      rule('with what condenses on the way', 1.6, 'ratio')
    )
  );
  const asks = times(above(turn), rule('turns', usualTurns(f), 'turns'));
  // A fire that is set gives what it gives. One that is drawn by the exhaust answers to the work, as far as its grate can.
  const fire = mostMade(engine);
  const moving = line('used while it moves', 'mass flow', lesser(asks, fire.most));
  const part = rule(`part of the hour in which it moves, ${from}`, d.moving, 'share');
  const counted = (engine.used ?? []).flatMap((u) => u.water ?? []).slice(-6);
  const shown = counted.length ? line('its own days, over what the sum says of them', 'ratio', heldAgainst(counted, engine)) : undefined;
  const hour = line('used over the hour', 'mass flow', shown ? times(above(moving), part, above(shown)) : times(above(moving), part));
  return {
    lines: [chest, fresh, left, taken, turn, ...fire.lines, moving, ...(shown ? [shown] : []), hour],
    moving: above(moving),
    hour: above(hour)
  };
}

/** Water that days took, over what they would have taken by the sum at their work, with what goes besides. */
function heldAgainst(
  days: readonly NonNullable<NonNullable<Given['used']>[number]['water']>[],
  { fitOut, plant }: Pick<Given, 'fitOut' | 'plant'>
) {
  const bySum = days.map((d) => demandOf({ fitOut, plant }, d.duty).hour.value);
  return over(
    plus(...days.map((d, i) => given(`water of day ${i + 1}`, d.kg, 'mass', 'measured'))),
    times(
      plus(
        ...days.map((d, i) =>
          times(
            given(`in steam, day ${i + 1}`, d.time, 'time', 'measured'),
            given(`by the sum, day ${i + 1}: ${d.duty}`, bySum[i]!, 'mass flow', 'class default')
          )
        )
      ),
      besides()
    )
  );
}

/** What an engine takes over the hour at a usual day's work, with what goes besides, kg/s: where a sum of the bench asks for a use. */
export const usualUse = (engine: Given): number => demandOf(engine).hour.value * besides().value;

/** What goes besides: blower, whistle, injector, drains, valves that lift. */
export const besides = () => plain('with a fifth for blower, whistle, drains and valves', 1.2);
