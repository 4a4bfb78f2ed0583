import { type Plant, startDepth } from '../boiler';
import type { FitOut } from '../engine';
import { type FuelName, fuels, gasHeat, tabletHeat } from '../firing';
import { saturationAtGauge } from '../steam';
import {
  above,
  type Gauge,
  given,
  greater,
  line,
  mark,
  over,
  plus,
  roundedDown,
  roundedUp,
  type Source,
  times,
  type Worked,
  type WorkedInput,
  type WorkedStep
} from '../units';
import type { DayPlan } from './day';
import { heatUp } from './heat-up';
import { fillOf, type Level } from './level';

/** One thing that the day needs so much of. */
export interface Need {
  readonly key: string;
  readonly what: string;
  readonly worked: Worked;
}

/** What an engine used on past days: kg of fuel and s in steam, so that fuel an hour follows. */
export interface Used {
  readonly fuel: number;
  readonly inSteam: number;
}

/** A need from the lines of its working: what it comes to is what the last of them says. */
const need = (key: string, what: string, steps: readonly WorkedStep[], caution?: string): Need => {
  const { value, kind } = steps.at(-1)!.result;
  return { key, what, worked: { value, kind, sure: 'estimate', steps, ...(caution ? { caution } : {}) } };
};
const spare = (share: number, words: string) => given(`with ${words} over`, 1 + share, 'ratio', 'class default');

/** Share of the fire's rated steam that ordinary running takes. */
const working = 0.45;

/**
 * Water, fuel and oil for a day. From the engine's own past once there is one, from its geometry until then.
 * @param past days on which fuel was weighed
 */
export function quantitiesFor(
  fitOut: FitOut,
  plant: Plant,
  plan: Pick<DayPlan, 'running' | 'water' | 'air'>,
  level: Level,
  past: readonly Used[] = []
): Need[] {
  const out: Need[] = [];
  const s = saturationAtGauge(fitOut.workingPressure as Gauge);
  const running = given('running', plan.running * 60, 'time', 'rule of the club');
  const fill = given('first fill', fillOf(level, plant), 'volume', 'geometry');
  const used = given('share used in ordinary running', working, 'share', 'class default');
  const made = given('steam the fire makes', plant.ratedSteam, 'mass flow', 'class default');
  const coldWeight = given('weight of cold water', 1000, 'density', 'steam tables');
  // The same water and air as the pair and the raise begin with.
  const begins = { fill: fill.value, start: plan.water, ambient: plan.air };
  const fed = fitOut.feeds.some((f) => f.plumbed && f.kind !== 'bottle');
  // What cannot be fed is filled again for each run.
  const lasts = fitOut.runLimit
    ? undefined
    : line(
        'running on one fill',
        'time',
        greater(
          given('five minutes', 300, 'time', 'class default'),
          over(times(fill, given('part that may go', 0.45, 'share', 'class default'), coldWeight), made)
        )
      );
  const oneRun = lasts ? above(lasts) : given('running on one fill', fitOut.runLimit ?? 0, 'time', 'fit-out');
  const fillings = line(
    'fillings',
    'count',
    greater(given('one at the least', 1, 'count', 'rule of the club'), roundedUp(over(running, oneRun)))
  );
  const fills = fed ? 1 : fillings.result.value;
  if (fed) {
    const boiled = line('evaporated while running', 'volume', over(times(running, made, used), coldWeight));
    const end = line('filling the glass at the end', 'volume', times(fill, given('part fed at the end', 0.3, 'share', 'class default')));
    const down = fitOut.blowDown
      ? line(
          'blown down',
          'volume',
          times(given('room in the boiler', plant.vessel.room, 'volume', 'geometry'), given('part let out', 0.1, 'share', 'class default'))
        )
      : undefined;
    const parts = [boiled, ...(down ? [down] : []), end];
    out.push(need('water', `Water: ${fitOut.water.kind}`, [...parts, line('for the day', 'volume', plus(fill, ...parts.map(above)))]));
  } else
    out.push(
      need(
        'water',
        `Water: ${fitOut.water.kind}`,
        [...(lasts ? [lasts] : []), fillings, line('for the day', 'volume', times(fill, above(fillings)))],
        fills > 1
          ? 'A fill for each run, with time to cool between: nothing is fed under pressure.'
          : 'Nothing is fed under pressure: each further run needs another fill.'
      )
    );
  const { fire } = plant;
  if (fire.with === 'solid' && fitOut.fire.with === 'solid') {
    const layer = (name: string, fuel: FuelName, depth: number) =>
      line(
        name,
        'mass',
        times(
          given('grate', fire.area, 'area', 'fit-out'),
          given('depth', depth * fire.lump, 'length', 'class default'),
          given('weight of a heap of it', fuels[fuel].bulk, 'density', 'class default')
        )
      );
    const first = layer('first bed', fire.start, startDepth(fire.start));
    out.push(
      need('start-fuel', `Start fuel: ${fitOut.fire.start}`, [
        first,
        line('for the day', 'mass', times(above(first), spare(0.3, 'three tenths')))
      ])
    );
    out.push(
      need('lighting-fluid', 'Lighting fluid, in its own closed can', [
        first,
        line(
          'for the day',
          'volume',
          over(
            times(above(first), given('fluid for each weight of it', 0.07, 'share', 'class default')),
            given('weight of the fluid', 800, 'density', 'class default')
          )
        )
      ])
    );
    const weighed = past.filter((p) => p.fuel > 0 && p.inSteam > 0);
    const rate = (value: number, from: Source) => given('burnt while running', value, 'mass flow', from);
    const guess = line(
      'burnt while running',
      'mass flow',
      over(
        times(made, used, given('heat of a kilogram of steam', s.hg - 60e3, 'heat of fuel', 'steam tables')),
        times(
          given('share that reaches the water', 0.48, 'share', 'class default'),
          given('heat of the fuel', fuels[fire.fuel].heat, 'heat of fuel', 'class default')
        )
      )
    );
    const burns = weighed.length ? rate(weighed.reduce((a, p) => a + p.fuel / p.inSteam, 0) / weighed.length, 'learned') : above(guess);
    const bed = layer('one bed', fire.fuel, 5);
    out.push(
      need('fuel', `Coal: ${fitOut.fire.fuel}`, [
        bed,
        ...(weighed.length ? [] : [guess]),
        line(
          'for the day',
          'mass',
          plus(above(bed), times(burns, plus(running, given('proving', 1800, 'time', 'class default')), spare(0.2, 'a fifth')))
        )
      ])
    );
  } else if (fire.with === 'gas') {
    // Every filling is brought to pressure, at full power; running takes about four fifths of it.
    const { seconds } = heatUp(plant, { ...begins, power: fire.power, efficiency: fire.efficiency });
    const gas = line(
      'for the day',
      'mass',
      times(
        over(
          times(
            given('power', fire.power, 'power', 'fit-out'),
            plus(
              times(
                given('raises', fills, 'count', fitOut.runLimit ? 'fit-out' : 'class default'),
                given('time of one raise', seconds, 'time', 'geometry')
              ),
              times(given('share of it while running', 0.8, 'share', 'class default'), running)
            )
          ),
          given('heat of the gas', gasHeat, 'heat of fuel', 'class default')
        ),
        spare(0.2, 'a fifth')
      )
    );
    const canisters = line(
      'canisters',
      'count',
      roundedUp(over(above(gas), given('in a full canister', fire.canister, 'mass', 'fit-out')))
    );
    const many = canisters.result.value > 1;
    out.push(
      need(
        'fuel',
        'Gas',
        [gas],
        many
          ? `More than one canister of ${mark(fire.canister, 'mass')}: bring ${canisters.result.value}. Changed with the fire out and away from any flame.`
          : undefined
      )
    );
  } else if (fire.with === 'spirit') {
    const { seconds } = heatUp(plant, { ...begins, power: fire.charge / fire.burns, efficiency: fire.efficiency });
    const each = given('fillings', fills, 'count', 'class default');
    const charges = line(
      'charges',
      'count',
      greater(
        each,
        roundedUp(
          over(
            plus(times(each, given('time of one raise', seconds, 'time', 'geometry')), running),
            given('a charge burns', fire.burns, 'time', 'class default')
          )
        )
      )
    );
    out.push(
      need('fuel', fitOut.fire.with === 'spirit' && fitOut.fire.fuel === 'tablets' ? 'Fuel tablets' : 'Spirit or gel, measured', [
        charges,
        line(
          'for the day',
          'mass',
          over(
            times(above(charges), given('heat of a charge', fire.charge, 'energy', 'class default')),
            given('heat of the fuel', tabletHeat, 'heat of fuel', 'class default')
          )
        )
      ])
    );
  }
  out.push(...oilFor(fitOut, running));
  return out;
}

/** What one point takes at a round, m³: a few drops by hand, eight times as much as a filling of a lubricator. */
const drops: Record<FitOut['size'], number> = { tabletop: 0.3e-6, small: 1e-6, medium: 4e-6, full: 15e-6 };

/** Oil: each point by its interval, a round before moving and one each time its interval is over. */
function oilFor({ size, lubrication }: FitOut, running: WorkedInput): Need[] {
  return (['steam', 'motion'] as const).flatMap((oil) => {
    const points = lubrication.filter((p) => p.oil === oil);
    if (!points.length) return [];
    const every = [...new Set(points.map((p) => Math.max(300, p.every)))].sort((a, b) => a - b);
    const rounds = every.map((gap) =>
      line(
        `rounds, one each ${Math.round(gap / 60)} min`,
        'count',
        times(
          given('points', points.filter((p) => Math.max(300, p.every) === gap).length, 'count', 'fit-out'),
          plus(
            given('before moving', 1, 'count', 'rule of the club'),
            roundedDown(over(running, given('interval', gap, 'time', 'fit-out')))
          )
        )
      )
    );
    const each = given(
      oil === 'steam' ? 'one filling' : 'a point at a round',
      drops[size] * (oil === 'steam' ? 8 : 3),
      'volume',
      'class default'
    );
    const all = rounds.length === 1 ? above(rounds[0]!) : plus(...rounds.map(above));
    return [
      need(`${oil}-oil`, oil === 'steam' ? 'Steam oil' : 'Motion oil', [
        ...rounds,
        line('for the day', 'volume', times(all, each, spare(0.5, 'half')))
      ])
    ];
  });
}
