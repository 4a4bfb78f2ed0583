import { startDepth } from '../boiler';
import { type FuelName, fuels, type Grate } from '../firing';
import { saturationAtGauge } from '../steam';
import { above, type Gauge, given, line, over, plus, times, workedFrom, type WorkedStep } from '../units';
import { type Day, dayInputs, runningOf, spare, usualDay } from './day';
import { besides, demandOf } from './demand';
import { filledUp } from './heat-up';
import { type Given, type Sum, sum } from './sum';

/** What a fire on a grate needs: each is worked from its grate. */
const onGrate = (
  key: string,
  name: string,
  said: (fire: Extract<Given['fitOut']['fire'], { with: 'solid' }>) => string,
  of: (grate: Grate, day: Day, engine: Given) => readonly WorkedStep[]
): Sum<typeof dayInputs> =>
  sum({
    key,
    name,
    when: ({ fitOut }) => fitOut.fire.with === 'solid',
    said: ({ fitOut: { fire } }) => (fire.with === 'solid' ? said(fire) : name),
    inputs: dayInputs,
    usual: usualDay,
    work: (day, engine) => workedFrom(of(engine.plant.fire as Grate, day, engine), 'estimate')
  });

const layer = (name: string, grate: Grate, fuel: FuelName, depth: number): WorkedStep =>
  line(
    name,
    'mass',
    times(
      given('grate', grate.area, 'area', 'fit-out'),
      given('depth', depth * grate.lump, 'length', 'class default'),
      given('weight of a heap of it', fuels[fuel].bulk, 'density', 'class default')
    )
  );
const firstBed = (grate: Grate) => layer('first bed', grate, grate.start, startDepth(grate.start));

export const startFuelFor = onGrate(
  'start-fuel',
  'Start fuel for the day',
  (fire) => `Start fuel: ${fire.start}`,
  (grate) => {
    const first = firstBed(grate);
    return [first, line('for the day', 'mass', times(above(first), spare(0.3, 'three tenths')))];
  }
);

export const lightingFluidFor = onGrate(
  'lighting-fluid',
  'Lighting fluid for the day',
  () => 'Lighting fluid, in its own closed can',
  (grate) => {
    const first = firstBed(grate);
    return [
      first,
      line(
        'for the day',
        'volume',
        over(
          times(above(first), given('fluid for each weight of it', 0.07, 'share', 'class default')),
          given('weight of the fluid', 800, 'density', 'class default')
        )
      )
    ];
  }
);

/** What running burns, kg/s: by the engine's own days once they were weighed, by its steam until then. */
export function burning(grate: Grate, day: Omit<Day, 'running'>, engine: Given) {
  const weighed = (engine.used ?? []).filter((p) => p.fuel > 0 && p.inSteam > 0);
  const useful = times(
    given('share that reaches the water', 0.48, 'share', 'class default'),
    given('heat of the fuel', fuels[grate.fuel].heat, 'heat of fuel', 'class default')
  );
  if (weighed.length) {
    const days = weighed.map((p, i) =>
      over(given(`fuel of day ${i + 1}`, p.fuel, 'mass', 'measured'), given(`in steam, day ${i + 1}`, p.inSteam, 'time', 'measured'))
    );
    return {
      lines: [],
      burnt: line('burnt while running', 'mass flow', over(plus(...days), given('days weighed', weighed.length, 'count', 'learned')))
    };
  }
  const { lines, hour } = demandOf(engine, day.duty);
  const s = saturationAtGauge(engine.fitOut.workingPressure as Gauge);
  const up = filledUp(engine.plant, day);
  const kilogram = given('heat of a kilogram of steam', s.hg - 60e3, 'heat of fuel', 'steam tables');
  return {
    lines: [...lines, ...up.lines],
    burnt: line('burnt while running', 'mass flow', over(plus(times(hour, besides(), kilogram), above(up.losses)), useful)),
    // Days that were weighed hold their raises; until then what water and metal take is counted by itself.
    raised: line('burnt while it is raised', 'mass', over(above(up.energy), useful))
  };
}

/** A bed as it is kept while running, in lumps. */
export const runningDepth = 5;

/** Coal for a day: a bed, and what raising and running burn. */
export const coal = onGrate(
  'fuel',
  'Coal for the day',
  (fire) => `Coal: ${fire.fuel}`,
  (grate, day, engine) => {
    const { lines, burnt, raised } = burning(grate, day, engine);
    const bed = layer('one bed', grate, grate.fuel, runningDepth);
    const inSteam = times(above(burnt), plus(runningOf(day), given('proving', 1800, 'time', 'class default')));
    const all = raised ? plus(above(raised), inSteam) : inSteam;
    return [
      ...lines,
      bed,
      burnt,
      ...(raised ? [raised] : []),
      line('for the day', 'mass', plus(above(bed), times(all, spare(0.2, 'a fifth'))))
    ];
  }
);
