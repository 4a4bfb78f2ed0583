import { gasHeat } from '../firing';
import { above, given, line, mark, over, plus, times, workedFrom } from '../units';
import { chargesFor, dayInputs, fillings, runningOf, spare, usualDay } from './day';
import { heatUp } from './heat-up';
import { isTimed } from './stop-terms';
import { sum } from './sum';

/** Gas for a day: every filling is brought to pressure, at full power; running takes about four fifths of it. */
export const gas = sum({
  key: 'fuel',
  name: 'Gas for the day',
  when: ({ plant }) => plant.fire.with === 'gas',
  said: () => 'Gas',
  inputs: dayInputs,
  usual: usualDay,
  work: (day, engine) => {
    const { fire } = engine.plant;
    if (fire.with !== 'gas') throw new Error('asked only where it burns gas');
    if (isTimed(engine.fitOut)) return chargesFor(day, engine);
    const up = heatUp(engine.plant, {
      ...day,
      power: fire.power,
      from: 'fit-out',
      efficiency: fire.efficiency
    });
    const needed = line(
      'for the day',
      'mass',
      times(
        over(
          times(
            up.power,
            plus(
              times(fillings(day, engine), above(up.time)),
              times(given('share of it while running', 0.8, 'share', 'class default'), runningOf(day))
            )
          ),
          given('heat of the gas', gasHeat, 'heat of fuel', 'class default')
        ),
        spare(0.2, 'a fifth')
      )
    );
    const canisters = Math.ceil(needed.result.value / fire.canister);
    return workedFrom(
      [...up.lines, up.time, needed],
      'estimate',
      up.weak ??
        (canisters > 1
          ? `More than one canister of ${mark(fire.canister, 'mass')}: bring ${canisters}. Changed with the fire out and away from any flame.`
          : undefined)
    );
  }
});
