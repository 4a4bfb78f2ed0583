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

/** Coal for a day: a bed, and what running burns: by the engine's own days once they were weighed, by its steam until then. */
export const coal = onGrate(
  'fuel',
  'Coal for the day',
  (fire) => `Coal: ${fire.fuel}`,
  (grate, day, engine) => {
    const weighed = (engine.used ?? []).filter((p) => p.fuel > 0 && p.inSteam > 0);
    const { lines, hour } = demandOf(engine, day.duty);
    const s = saturationAtGauge(engine.fitOut.workingPressure as Gauge);
    const up = filledUp(engine.plant, day);
    const useful = times(
      given('share that reaches the water', 0.48, 'share', 'class default'),
      given('heat of the fuel', fuels[grate.fuel].heat, 'heat of fuel', 'class default')
    );
    const burnt = weighed.length
      ? line(
          'burnt while running',
          'mass flow',
          over(
            plus(
              ...weighed.map((p, i) =>
                over(
                  given(`fuel of day ${i + 1}`, p.fuel, 'mass', 'measured'),
                  given(`in steam, day ${i + 1}`, p.inSteam, 'time', 'measured')
                )
              )
            ),
            given('days weighed', weighed.length, 'count', 'learned')
          )
        )
      : line(
          'burnt while running',
          'mass flow',
          over(
            plus(
              times(hour, besides(), given('heat of a kilogram of steam', s.hg - 60e3, 'heat of fuel', 'steam tables')),
              above(up.losses)
            ),
            useful
          )
        );
    const bed = layer('one bed', grate, grate.fuel, 5);
    // Days that were weighed hold their raises; until then what water and metal take is counted by itself.
    const raised = line('burnt while it is raised', 'mass', over(above(up.energy), useful));
    const inSteam = times(above(burnt), plus(runningOf(day), given('proving', 1800, 'time', 'class default')));
    return weighed.length
      ? [bed, burnt, line('for the day', 'mass', plus(above(bed), times(inSteam, spare(0.2, 'a fifth'))))]
      : [
          ...lines,
          ...up.lines,
          bed,
          burnt,
          raised,
          line('for the day', 'mass', plus(above(bed), times(plus(above(raised), inSteam), spare(0.2, 'a fifth'))))
        ];
  }
);
