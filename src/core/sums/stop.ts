import { coldWater, saturationAtGauge, waterVolume } from '../steam';
import {
  above,
  asked,
  type Expression,
  type Gauge,
  given,
  greater,
  lesser,
  line,
  mark,
  minus,
  over,
  plus,
  type Source,
  times,
  workedFrom,
  type WorkedInput,
  type WorkedStep
} from '../units';
import { energyWith } from './heat-up';
import {
  doubts,
  type Ends,
  type Filling,
  floorOf,
  heatOf,
  leastFill,
  noneShown,
  notesOf,
  reaching,
  refusal,
  type Shown,
  type Stopping,
  whole
} from './stop-terms';
import { type Given } from './sum';

/**
 * WHEN IT STOPS. On an engine that nothing can be fed into while there is pressure, water, fuel and time are one sum: what must stay in, what
 * may boil away, when the fuel is out, and the earliest of what ends the run. Day sheet, kit, procedure, Footplate and record show this one.
 */

/**
 * When a run has to be over.
 * @param asked m³ in, kg charged (what its owner charges, and no more than the largest, when null), share kept back, K of the water at the match
 * and of the air
 * @param shown what its own runs have shown @param burning it burns already: a fuel that outlasts the water is said, and its time is the water's
 */
export function stopOf(
  { fill, charge, reserve, water: start, air }: Filling,
  engine: Given,
  shown: Shown = engine.shown ?? noneShown,
  burning = false
): Stopping {
  const { fitOut, plant } = engine;
  const fire = heatOf(engine);
  if (!fire)
    return refusal(
      'There is no feed that works under pressure, and a fire of this kind is not measured out in charges: the water goes and the fire stays. It needs a feed that is plumbed in before it is lit.',
      []
    );
  const from: Source = shown.runs ? 'learned' : 'class default';
  // How fast the fuel goes is known by its weight; how much of its heat reaches the water, by what boiled away.
  const burnt =
    shown.burns === undefined
      ? fire.power
      : given('power, by the fuel that was weighed', shown.burns * fire.power.value, 'power', 'learned');
  const heated = shown.runs ? fire.power : burnt;
  const doubt = shown.runs ? shown.spread : fire.unknown ? doubts.unknown : doubts.heat;
  const hot = saturationAtGauge(fitOut.workingPressure as Gauge);
  const boil = saturationAtGauge(0 as Gauge);
  const water = line(
    'water in',
    'mass',
    over(
      given('filled in', fill, 'volume', 'given'),
      given('room of a kilogram of it', waterVolume(Math.min(start, coldWater + 60)), 'volume', 'steam tables')
    )
  );
  const kg = water.result.value;
  const [covered, floor] = floorOf(engine, water, reserve) as [WorkedStep, WorkedStep];
  const surely = line('surely in', 'mass', times(above(water), given('what of it is sure', 1 - doubts.water, 'share', 'class default')));
  const may = line('may boil away', 'mass', minus(above(surely), above(floor)));
  const heads = [water, covered, floor, surely, may];
  if (may.result.value <= 0) {
    const byMetal = floor.result.value > reserve * kg * 1.0001;
    return refusal(
      byMetal
        ? `${mark(fill, 'volume')} is in and ${mark(covered.result.value, 'volume')} must stand over ${fitOut.glasses.length ? 'what the glass shows' : 'the hottest metal'}, with ${mark(fill * doubts.water, 'volume')} of the measuring in doubt: fill at least ${mark(leastFill(covered.result.value), 'volume')}.`
        : 'Nothing may boil away: the share that is kept back is all that is surely in.',
      heads
    );
  }
  const energy = (name: string, T: number) =>
    asked(
      name,
      'energy',
      `what that water and the metal hold ${T > boil.T ? 'at working pressure' : 'at the boil'}, less what they hold at the match`,
      Math.max(1, energyWith(plant, kg, T) - energyWith(plant, kg, start)),
      [above(water), given('at the match', start, 'temperature', 'given')]
    );
  const lost = (name: string, T: number, share: number) =>
    line(
      name,
      'power',
      times(
        given('lost for each kelvin', plant.vessel.loss, 'loss', 'class default'),
        minus(
          given(T > boil.T ? 'at working pressure' : 'at the boil', T, 'temperature', 'steam tables'),
          given('air', air, 'temperature', 'given')
        ),
        given(share < 1 ? 'losses at the least' : 'losses as expected', share, 'ratio', 'class default')
      )
    );
  const half = given('the half lost on the way', 0.5, 'share', 'class default');
  const watt = given('a watt', 1, 'power', 'class default');

  // On the safe side: more heat and less lost than expected, and what boils away going from the boil on.
  const toBoil = energy('energy to the boil', boil.T);
  const leastLost = lost('losses at the boil, at the least', boil.T, 1 - doubts.loss);
  const boiling = given('heat of evaporation', boil.hg - boil.hf, 'heat of fuel', 'steam tables');
  const dry = given('what goes as steam, and not as water with it', 1 - doubts.wet * plant.moisture, 'share', 'class default');
  const goes = times(above(may), dry, boiling);
  const raising: Source = shown.raise === undefined ? 'class default' : 'learned';
  const raises = shown.raise ?? 1;
  const most = {
    raising: raises * (1 + (shown.raise === undefined ? (fire.unknown ? doubts.unknown : doubts.heat) : doubts.raise)),
    boiling: shown.factor * (1 + doubt)
  } as const;

  // How much of the fuel: what is asked, or its own charge as far as it ends before the water.
  const together = fire.burns !== undefined;
  const byTime = (power: Expression): readonly WorkedStep[] => {
    const early = line(
      'heat while raising, at the most',
      'power',
      reaching(power, fire.share, most.raising, 'at the most while raising, of what is expected', raising)
    );
    const fast = line(
      'heat to the water, at the most',
      'power',
      reaching(power, fire.share, most.boiling, 'at the most, of what is expected', from)
    );
    const sooner = line(
      'boils at the earliest',
      'time',
      over(above(toBoil), greater(minus(above(early), times(above(leastLost), half)), watt))
    );
    const rate = line(
      'left to boil it away, at the most',
      'power',
      greater(
        minus(
          fire.peak > 1 ? times(above(fast), given('when it burns hardest', fire.peak, 'ratio', 'class default')) : above(fast),
          above(leastLost)
        ),
        watt
      )
    );
    return [early, fast, sooner, rate, line('water lasts', 'time', plus(above(sooner), over(goes, above(rate))))];
  };
  const largest = fire.heat && largestCharge();
  function largestCharge(): readonly WorkedStep[] {
    const { heat, share, burns } = fire!;
    if (burns === undefined) {
      const lines = byTime(heated);
      return [...lines, line('largest charge', 'mass', over(times(above(lines.at(-1)!), burnt), heat!))];
    }
    const all = line(
      'heat that may reach the water',
      'energy',
      plus(goes, above(toBoil), times(above(leastLost), half, given('a charge burns', burns, 'time', 'fit-out')))
    );
    return [
      all,
      line(
        'largest charge',
        'mass',
        over(
          above(all),
          times(
            heat!,
            given('share that reaches the water', share, 'share', 'class default'),
            given('at the most, of what is expected', Math.max(most.raising, most.boiling), 'ratio', from)
          )
        )
      )
    ];
  }
  const largestLine = largest?.at(-1);
  const own = fire.own;
  const used = charge ?? (own === undefined ? undefined : Math.min(own, whole(largestLine!.result.value, fire.piece)));
  const power =
    together && used !== undefined
      ? line(
          'power of the charge',
          'power',
          over(times(given('charge', used, 'mass', 'given'), fire.heat!), given('a charge burns', fire.burns!, 'time', 'fit-out'))
        )
      : undefined;
  const powerIn = power ? above(power) : heated;
  const safe = byTime(powerIn);
  const lasts = safe.at(-1)!;

  // As is to be expected.
  const expected = line('heat to the water', 'power', reaching(powerIn, fire.share, shown.factor, 'of what is expected', from));
  const hotLost = lost('losses at working pressure', hot.T, 1);
  const boilLost = lost('losses at the boil', boil.T, 1);
  const raised = line('heat while raising', 'power', reaching(powerIn, fire.share, raises, 'of what is expected, while raising', raising));
  const boils = line('boils', 'time', over(above(toBoil), greater(minus(above(raised), times(above(boilLost), half)), watt)));
  const toUp = energy('energy to working pressure', hot.T);
  const up = line('up', 'time', over(above(toUp), greater(minus(above(raised), times(above(hotLost), half)), watt)));
  const forSteam = line('left for steam', 'power', minus(above(expected), above(hotLost)));
  const fuelOut =
    fire.heat && used !== undefined
      ? line(
          'fuel out',
          'time',
          fire.burns !== undefined
            ? given('a charge burns', fire.burns, 'time', 'fit-out')
            : over(times(given('charge', used, 'mass', charge === null ? 'fit-out' : 'given'), fire.heat), burnt)
        )
      : undefined;

  const shownLines = [...heads, ...(power ? [power] : []), toBoil, leastLost];
  const weak = () =>
    refusal('The fire is weaker than what the boiler loses at working pressure: it never gets there.', [
      ...shownLines,
      expected,
      hotLost,
      forSteam
    ]);
  if (largestLine && own !== undefined) {
    const ends = largestLine.result.value;
    const least = Math.max(
      fire.piece ?? 0,
      fire.burns === undefined
        ? (up.result.value * burnt.value) / fire.heat!.value
        : (toUp.result.value + 0.5 * hotLost.result.value * fire.burns) / (fire.heat!.value * fire.share * raises)
    );
    if (!burning && (ends < least || whole(ends, fire.piece) <= 0))
      return refusal(
        `There is no charge that does: ${mark(least, 'mass')} of fuel is the least that brings it to steam, and with ${mark(kg, 'mass')} of water no more than ${mark(ends, 'mass')} burns out before the water is at its floor. Fill more, or use a smaller burner.`,
        [...shownLines, ...largest!]
      );
    if (forSteam.result.value <= 0) return weak();
    if (!burning && used! > ends * 1.0001)
      return refusal(
        `The fuel outlasts the water: ${mark(used!, 'mass')} is charged, and with ${mark(kg, 'mass')} of water no more than ${mark(ends, 'mass')} burns out before the water is at its floor of ${mark(floor.result.value, 'mass')}.`,
        [...shownLines, ...largest!]
      );
  } else if (forSteam.result.value <= 0) return weak();
  const limit = fitOut.runLimit === null ? undefined : given('longest run', fitOut.runLimit, 'time', 'fit-out');
  // A charge that ends as the water does has ended by itself.
  const ends: readonly (readonly [Ends, WorkedInput])[] = [
    ...(limit ? [['run limit', limit] as const] : []),
    ...(fuelOut ? [['fuel', above(fuelOut)] as const] : []),
    ['water', above(lasts)]
  ];
  const stop = line('stop', 'time', ends.length > 1 ? lesser(...ends.map(([, x]) => x)) : ends[0]![1]);
  const at = stop.result.value;
  const by = ends.find(([, x]) => x.value <= at * (1 + 1e-9))![0];
  const gone = (perSecond: number, since: number) => Math.max(0, at - since) * perSecond;
  const fast = safe.find((s) => s.result.name === 'left to boil it away, at the most')!.result.value / (boiling.value * dry.value);
  const soonest = safe.find((s) => s.result.name === 'boils at the earliest')!.result.value;
  const likely = forSteam.result.value / ((hot.hg - hot.hf) * (1 - plant.moisture));
  return {
    worked: workedFrom(
      [...shownLines, ...safe, ...(fuelOut ? [fuelOut] : []), stop],
      'estimate',
      shown.runs
        ? `By ${shown.runs} of its own runs, measured in and out.`
        : 'By class figures until its own runs have been measured in and out. The clock is no glass: in doubt, fire out.'
    ),
    by,
    boils: boils.result.value,
    up: up.result.value,
    ...(fuelOut ? { fuelOut: fuelOut.result.value } : {}),
    lasts: lasts.result.value,
    fastest: fast,
    steams: likely,
    water: kg,
    fill,
    floor: workedFrom([water, covered, floor], 'estimate'),
    left: Math.max(0, kg - gone(likely, up.result.value)),
    leastLeft: surely.result.value - gone(fast, soonest),
    ...(used === undefined ? {} : { charge: used }),
    ...(largest ? { largest: workedFrom([...shownLines, ...largest], 'estimate') } : {}),
    notes: notesOf({
      ...(burning && largestLine ? { burns: used!, most: largestLine.result.value } : {}),
      limit: limit?.value ?? 0,
      lasts: lasts.result.value,
      unknown: fire.unknown && !shown.runs
    })
  };
}
