import { type Plant } from '../boiler';
import type { Log } from '../log';
import { type Figure, given, line, over, psi, workedFrom } from '../units';
import { fedOf, follow, following } from './follow';
import type { Heating } from './heating';
import { waterAt, waterIn } from './water';

/** A raise is not asked about here: how its fire heats does not matter. */
export const noHeating: Heating = {
  lnHeat: 0,
  heatSpread: 0,
  lag: 1,
  lagSpread: 0,
  lnBoost: 0,
  boostSpread: 0,
  walk: 0,
  width: 1,
  from: '',
  raisings: 0
};

/**
 * The forecast of the water held against what was then looked at: how many looks found the glass where the looks before them would have had
 * it, eight times in ten. Undefined with fewer than three looks in steam.
 */
export function waterReplayed(log: Log, plant: Plant): Figure | undefined {
  const f = following(log, plant, noHeating);
  follow(f, log);
  const looks = f.looks.filter((l) => l.gauge > psi(5));
  const fed = fedOf(f);
  let [held, of] = [0, 0];
  looks.forEach((look, i) => {
    const band = i === 0 ? undefined : waterAt(plant, looks.slice(0, i), fed, { at: look.at, usual: f.uses });
    if (!band) return;
    of++;
    const shows = waterIn(plant, look);
    if (band.low <= shows && shows <= band.high) held++;
  });
  if (of < 2) return undefined;
  const share = line(
    'held',
    'share',
    over(
      given('looks that found the water where it was foretold', held, 'count', 'measured'),
      given('looks with one before them', of, 'count', 'measured')
    )
  );
  return {
    key: 'water-held',
    name: `Water forecast: the band held ${held} of ${of} looks`,
    worked: workedFrom([share], 'measured', 'Eight in ten is what the band is meant for. No forecast replaces looking at the glass.')
  };
}
