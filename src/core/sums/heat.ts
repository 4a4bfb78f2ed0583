import { fuels, gasHeat } from '../firing';
import { group, number, quantity } from '../form';
import { saturationAtGauge } from '../steam';
import { above, asked, type Gauge, line, minus, over, plus, Refusal, times, workedFrom } from '../units';
import { heatOfSteam, heatOfWater, rule, said } from './words';
import { usualUse } from './demand';
import { sum } from './sum';

const waterAt = (gauge: number) =>
  asked(
    'heat of the hot water',
    'heat of a weight',
    'heat of a kilogram of boiling water at that pressure (IAPWS-IF97)',
    saturationAtGauge(gauge as Gauge).hf,
    [said('boiler pressure', gauge, 'pressure')]
  );
const conditions = {
  gauge: quantity('Boiler pressure', 'pressure', 0, 2.1e6),
  feed: quantity('Feed water', 'temperature', 273.16, 368.15)
} as const;

/** What a kilogram of feed takes to become boiling water, and then steam: h_f − h_w and h_g − h_w. */
export const feedHeat = sum({
  key: 'feed-heat',
  name: 'Heat that a kilogram of feed takes',
  asks: 'What does the feed water cost in heat?',
  inputs: group('Feeding', conditions),
  usual: ({ fitOut }) => ({ gauge: 0.8 * fitOut.workingPressure, feed: 288.15 }),
  work: ({ gauge, feed }) => {
    const [water, steam, cold] = [waterAt(gauge), heatOfSteam(gauge), heatOfWater('feed water', feed)];
    if (feed >= saturationAtGauge(gauge as Gauge).T)
      throw new Refusal('feed', 'Feed water is colder than the boiler: give its temperature in the tank.');
    return workedFrom(
      [
        cold,
        water,
        line('to become boiling water', 'heat of a weight', minus(above(water), above(cold))),
        steam,
        line('to become steam', 'heat of a weight', minus(above(steam), above(cold)))
      ],
      'from the drawing'
    );
  }
});

/** Steam that a heat makes: Q ÷ (h_g − h_w). */
export const evaporation = sum({
  key: 'evaporation',
  name: 'Steam that a fire makes',
  asks: 'How much steam does that make?',
  inputs: group('A fire', { heat: quantity('Heat that reaches the water', 'power', 1, 5e6), ...conditions }),
  usual: ({ fitOut, plant }) => ({ heat: 1.2 * plant.ratedSteam * 2.1e6, gauge: 0.8 * fitOut.workingPressure, feed: 288.15 }),
  work: ({ heat, gauge, feed }) => {
    const [steam, cold] = [heatOfSteam(gauge), heatOfWater('feed water', feed)];
    const takes = line('to become steam', 'heat of a weight', minus(above(steam), above(cold)));
    return workedFrom(
      [steam, cold, takes, line('makes', 'mass flow', over(said('heat that reaches the water', heat, 'power'), above(takes)))],
      'estimate'
    );
  }
});

/** Fuel for a use of steam: ṁ·(h_g − h_w) ÷ (heat of the fuel × share that reaches the water). */
export const fuelForSteam = sum({
  key: 'fuel-for-steam',
  name: 'Fuel for a use of steam',
  asks: 'How much coal is that an hour?',
  inputs: group('Steam and fuel', {
    steam: quantity('Steam used', 'mass flow', 1e-6, 3),
    ...conditions,
    fuel: quantity('Heat of the fuel', 'heat of fuel', 1e7, 5e7),
    share: number('Of that, reaches the water', 0.05, 0.95, 'Half or so of a coal fire’s; less of a small one’s.')
  }),
  usual: (engine) => ({
    steam: usualUse(engine),
    gauge: 0.8 * engine.fitOut.workingPressure,
    feed: 288.15,
    fuel: engine.fitOut.fire.with === 'solid' ? fuels[engine.fitOut.fire.fuel].heat : gasHeat,
    share: 0.48
  }),
  work: ({ steam, gauge, feed, fuel, share }) => {
    const [hot, cold] = [heatOfSteam(gauge), heatOfWater('feed water', feed)];
    const takes = line('to become steam', 'heat of a weight', minus(above(hot), above(cold)));
    return workedFrom(
      [
        hot,
        cold,
        takes,
        line(
          'burns',
          'mass flow',
          over(
            times(said('steam used', steam, 'mass flow'), above(takes)),
            times(said('heat of the fuel', fuel, 'heat of fuel'), said('reaches the water', share, 'ratio'))
          )
        )
      ],
      'estimate'
    );
  }
});

/** How long gas lasts: m × 46 MJ/kg ÷ power. */
export const gasTime = sum({
  key: 'gas-time',
  name: 'How long the gas lasts',
  asks: 'How long does the canister last?',
  when: ({ fitOut }) => fitOut.fire.with === 'gas',
  inputs: group('A canister', {
    gas: quantity('Gas in it', 'mass', 0.001, 20, 'Weigh it, and take away what it weighs empty.'),
    power: quantity('Power of the burner', 'power', 10, 1e5)
  }),
  usual: ({ fitOut }) => ({
    gas: fitOut.fire.with === 'gas' ? fitOut.fire.canister : 0.16,
    power: fitOut.fire.with === 'gas' ? fitOut.fire.power : 1300
  }),
  work: ({ gas, power }) =>
    workedFrom(
      [
        line(
          'lasts',
          'time',
          over(times(said('gas in it', gas, 'mass'), rule('heat of the gas', gasHeat, 'heat of fuel')), said('power', power, 'power'))
        )
      ],
      'estimate',
      'At full. A cold canister gives less.'
    )
});

/** What warming through condenses: Σ m·c·ΔT ÷ h_fg. */
export const condensate = sum({
  key: 'condensate',
  name: 'Water that warming through makes',
  asks: 'How much water must the drains pass?',
  inputs: group('Cylinders and pipes', {
    iron: quantity('Iron and steel', 'mass', 0, 2000),
    copper: quantity('Copper and brass', 'mass', 0, 500),
    cold: quantity('As cold as', 'temperature', 253.15, 350),
    gauge: quantity('Steam let in at', 'pressure', 1e4, 2.1e6)
  }),
  usual: ({ fitOut }) => ({ iron: 0.01 * fitOut.mass, copper: 0.002 * fitOut.mass, cold: 288.15, gauge: 0.5 * fitOut.workingPressure }),
  work: ({ iron, copper, cold, gauge }) => {
    const hot = asked(
      'comes to',
      'temperature',
      'boiling temperature at the pressure that is let in (IAPWS-IF97)',
      saturationAtGauge(gauge as Gauge).T,
      [said('steam let in at', gauge, 'pressure')]
    );
    const s = saturationAtGauge(gauge as Gauge);
    const gives = asked(
      'each weight of steam gives',
      'heat of a weight',
      'heat that steam gives as it condenses at that pressure (IAPWS-IF97)',
      s.hg - s.hf,
      [said('steam let in at', gauge, 'pressure')]
    );
    const takes = line(
      'the metal takes',
      'energy',
      times(
        plus(
          times(said('iron', iron, 'mass'), rule('heat of iron', 480, 'specific heat')),
          times(said('copper', copper, 'mass'), rule('heat of copper', 390, 'specific heat'))
        ),
        minus(above(hot), said('as cold as', cold, 'temperature'))
      )
    );
    return workedFrom(
      [hot, takes, gives, line('condenses', 'mass', over(above(takes), above(gives)))],
      'estimate',
      'All of it must leave by the drains before the engine is asked to turn.'
    );
  }
});
