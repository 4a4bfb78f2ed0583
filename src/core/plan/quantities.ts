import { bedOf, type Plant } from '../boiler';
import type { FitOut } from '../engine';
import { fuels, startFuel } from '../firing';
import { saturationAtGauge } from '../steam';
import type { Gauge, Worked, WorkedInput } from '../units';
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

const input = (name: string, value: number, kind: WorkedInput['kind'], from: WorkedInput['from']): WorkedInput => ({
  name,
  value,
  kind,
  from
});
const sum = (value: number, kind: Worked['kind'], formula: string, inputs: readonly WorkedInput[], caution?: string): Worked => ({
  value,
  kind,
  sure: 'estimate',
  steps: [{ formula, inputs, result: { name: 'for the day', value, kind } }],
  ...(caution ? { caution } : {})
});

/** Share of the fire's rated steam that ordinary running takes. */
const working = 0.45;

/**
 * Water, fuel and oil for a day. From the engine's own past once there is one, from its geometry until then.
 * @param past days on which fuel was weighed
 */
export function quantitiesFor(
  fitOut: FitOut,
  plant: Plant,
  plan: Pick<DayPlan, 'running' | 'wants'>,
  level: Level,
  past: readonly Used[] = []
): Need[] {
  const out: Need[] = [];
  const s = saturationAtGauge(fitOut.workingPressure as Gauge);
  const running = plan.running * 60;
  const boiled = plant.ratedSteam * working * running;
  const fill = fillOf(level, plant);
  const blowDown = fitOut.blowDown ? 0.1 * plant.vessel.room : 0;
  const fed = fitOut.feeds.some((f) => f.plumbed && f.kind !== 'bottle');
  const again = fed ? fill * 0.3 : 0;
  // What cannot be fed is filled again for each run.
  const fills = fed ? 1 : Math.max(1, Math.ceil(running / (fitOut.runLimit ?? Math.max(300, (0.45 * fill * 1000) / plant.ratedSteam))));
  const evaporated = fed ? boiled / 1000 : 0;
  out.push({
    key: 'water',
    what: `Water: ${fitOut.water.kind}`,
    worked: sum(
      fill * fills + evaporated + blowDown + again,
      'volume',
      fills > 1
        ? 'a fill for each run, with time to cool between'
        : 'first fill + evaporated while running + blown down + filling the glass at the end',
      [
        input(fills > 1 ? 'one fill' : 'first fill', fill, 'volume', 'geometry'),
        ...(fills > 1 ? [input('fills', fills, 'count', fitOut.runLimit ? 'fit-out' : 'class default')] : []),
        input('running', running, 'time', 'rule of the club'),
        input('steam the fire makes', plant.ratedSteam, 'mass flow', 'class default'),
        input('of that, used in ordinary running, %', working * 100, 'percent', 'class default'),
        ...(blowDown ? [input('blown down', blowDown, 'volume', 'class default')] : []),
        ...(again ? [input('at the end', again, 'volume', 'class default')] : [])
      ],
      fed ? undefined : 'Nothing is fed under pressure: each further run needs another fill.'
    )
  });
  const { fire } = plant;
  if (fire.with === 'solid' && fitOut.fire.with === 'solid') {
    const first = bedOf(fire, fire.start, fire.start === 'wood' ? 4 : 6);
    out.push({
      key: 'start-fuel',
      what: `Start fuel: ${fitOut.fire.start}`,
      worked: sum(first * 1.3, 'mass', 'first bed = area of the grate × its depth × weight of the fuel, and a third over', [
        input('grate, square centimetres', fire.area * 1e4, 'count', 'fit-out'),
        input('kilograms in a cubic metre', fuels[startFuel[fitOut.fire.start]].bulk, 'count', 'class default')
      ])
    });
    out.push({
      key: 'lighting-fluid',
      what: 'Lighting fluid, in its own closed can',
      worked: sum((first * 0.07) / 800, 'volume', 'seven hundredths of the weight of the first bed', [
        input('first bed', first, 'mass', 'geometry')
      ])
    });
    const weighed = past.filter((p) => p.fuel > 0 && p.inSteam > 0);
    const hourly = weighed.reduce((a, p) => a + p.fuel / p.inSteam, 0) / Math.max(1, weighed.length);
    const bed = bedOf(fire, fire.fuel);
    const burns = weighed.length ? hourly : (plant.ratedSteam * working * (s.hg - 60e3)) / (0.48 * fuels[fire.fuel].heat);
    out.push({
      key: 'fuel',
      what: `Coal: ${fitOut.fire.fuel}`,
      worked: sum(
        bed + burns * (running + 1800) * 1.2,
        'mass',
        'a bed of it + what an hour burns × running and half an hour of proving, and a fifth over',
        [
          input('one bed', bed, 'mass', 'geometry'),
          input('burnt in an hour', burns * 3600, 'mass', weighed.length ? 'learned' : 'class default'),
          input('running', running, 'time', 'rule of the club')
        ]
      )
    });
  } else if (fire.with === 'gas') {
    // Every filling is brought to pressure, at full power; running takes about four fifths of it.
    const { seconds } = heatUp(plant, { fill, power: fire.power, efficiency: fire.efficiency });
    const kg = (fire.power * (fills * seconds + 0.8 * running)) / 46e6;
    out.push({
      key: 'fuel',
      what: 'Gas',
      worked: sum(
        kg * 1.2,
        'mass',
        'power × (raises × time of one + four fifths of the running) ÷ 46 MJ/kg, and a fifth over',
        [
          input('power', fire.power, 'power', 'fit-out'),
          input('raises', fills, 'count', fitOut.runLimit ? 'fit-out' : 'class default'),
          input('to working pressure', seconds, 'time', 'geometry'),
          input('running', running, 'time', 'rule of the club'),
          input('in a full canister', fire.canister, 'mass', 'fit-out')
        ],
        kg * 1.2 > fire.canister
          ? `More than one canister: bring ${Math.ceil((kg * 1.2) / fire.canister)}. Changed with the fire out and away from any flame.`
          : undefined
      )
    });
  } else if (fire.with === 'spirit') {
    const { seconds } = heatUp(plant, { fill, power: fire.charge / fire.burns, efficiency: fire.efficiency });
    const charges = Math.max(fills, Math.ceil((fills * seconds + running) / fire.burns));
    out.push({
      key: 'fuel',
      what: fitOut.fire.with === 'spirit' && fitOut.fire.fuel === 'tablets' ? 'Fuel tablets' : 'Spirit or gel, measured',
      worked: sum((charges * fire.charge) / 30e6, 'mass', 'charges × heat of a charge ÷ 30 MJ/kg', [
        input('charges', charges, 'count', 'class default'),
        input('heat of a charge', fire.charge, 'energy', 'class default')
      ])
    });
  }
  // Oil: each point by its interval, a few drops for a hand round, a filling for a lubricator.
  const perRound: Record<FitOut['size'], number> = { tabletop: 0.3e-6, small: 1e-6, medium: 4e-6, full: 15e-6 };
  const rounds = (every: number) => 1 + Math.floor(running / Math.max(300, every));
  for (const oil of ['steam', 'motion'] as const) {
    const points = fitOut.lubrication.filter((p) => p.oil === oil);
    if (!points.length) continue;
    const each = perRound[fitOut.size] * (oil === 'steam' ? 8 : 3);
    const volume = points.reduce((a, p) => a + rounds(p.every) * each, 0);
    out.push({
      key: `${oil}-oil`,
      what: oil === 'steam' ? 'Steam oil' : 'Motion oil',
      worked: sum(volume * 1.5, 'volume', 'points × rounds × what one takes, and half over', [
        input('points', points.length, 'count', 'fit-out'),
        input('one filling or round', each, 'volume', 'class default')
      ])
    });
  }
  return out;
}
